import { accept, refuse, type Result } from '../result.ts'

/** One fit-up round: cover on, read, off, something changed, on again. A spoiled one is void, with its cause. */
export interface Round {
  value: number
  changed?: string
  voidBecause?: string
}

export interface Rounds {
  /** The last round that stands. */
  last: number
  /** It is of the machine as it is built now: no void round came after it. What is void was built too, and took the older build with it. */
  isCurrent: boolean
  /** What each standing round changed against the one before; null for the first. */
  steps: { round: number; value: number; change: number | null; changed: string | null }[]
  voids: { round: number; value: number; because: string }[]
}

/**
 * Fit-up rounds in their order, kept apart from tries: they are never averaged, since something was changed between
 * them. Unit in = unit out. Refused: no round, all of them void, a figure that is not a number.
 */
export function followRounds(rounds: readonly Round[]): Result<Rounds> {
  if (!rounds.every(one => Number.isFinite(one.value)))
    return refuse('One of the rounds is not a figure. Read it again.')
  const numbered = rounds.map((one, i) => ({ ...one, round: i + 1 }))
  const stand = numbered.filter(one => !one.voidBecause)
  const last = stand.at(-1)
  if (!last) return refuse('No round stands yet: take one that is not void.')
  return accept({
    last: last.value,
    isCurrent: last.round === numbered.length,
    steps: stand.map((one, i) => ({
      round: one.round,
      value: one.value,
      change: i ? one.value - stand[i - 1]!.value : null,
      changed: one.changed || null,
    })),
    voids: numbered.flatMap(one =>
      one.voidBecause ? [{ round: one.round, value: one.value, because: one.voidBecause }] : [],
    ),
  })
}
