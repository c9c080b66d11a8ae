import { accept, refuse, type Result } from '../result.ts'
import { holdAgainst, leftOpen, type Consequences, type Held } from '../verdict.ts'

export interface Mix {
  stockL: number
  waterL: number
}

/**
 * A bath of a given strength from a concentrate: stock = V·c_target/c_stock, the rest water. Litres; both strengths in one
 * measure. Refused: a volume not above nought, a bath stronger than its concentrate.
 * @example mixBath(120, 5, 40) // 15 L of concentrate, 105 L of water
 */
export function mixBath(volumeL: number, targetPercent: number, stockPercent: number): Result<Mix> {
  if (!(volumeL > 0)) return refuse('Give the volume of the bath.')
  if (!(targetPercent > 0 && stockPercent > 0 && stockPercent <= 100))
    return refuse('Both strengths lie over 0 and up to 100 %.')
  if (targetPercent > stockPercent) return refuse('The bath cannot be stronger than its concentrate.')
  const stockL = (volumeL * targetPercent) / stockPercent
  return accept({ stockL, waterL: volumeL - stockL })
}

/** What a wait cut short or drawn out does, by what it is. */
export const WAITS = {
  soak: { low: 'it comes out dirty', high: 'soaked too long: metal or rubber is attacked' },
  dry: {
    low: 'it is damp yet: it rusts, or thins the oil',
    high: 'dried too long: rubber hardens and grease runs out',
  },
  cool: {
    low: 'it is warm yet: it measures large',
    high: 'left too long: it has cooled past where it was to be fitted',
  },
  cure: {
    low: 'it is soft yet: it gives when it is loaded',
    high: 'left too long: it has set, and what was to follow no longer takes',
  },
} as const satisfies Record<string, Consequences>
export type WaitKind = keyof typeof WAITS
export const WAIT_KINDS = Object.keys(WAITS) as [WaitKind, ...WaitKind[]]

export interface Wait {
  what: WaitKind
  /** Minutes in the bath so far. */
  doneMin: number
  shortestMin: number
  /** Over-soak spoils; left out where it may stay as long as it likes. */
  longestMin?: number
}

export interface WaitState {
  state: 'too soon' | 'may come out' | 'too long'
  nextMin: number | null
  held: Held
}

/**
 * How a wait stands (soak, dry, cool, cure): too soon before its shortest, too long after its longest, and how many
 * minutes until the next thing a hand must do. Refused: a longest below the shortest, times below nought.
 */
export function waitState({ what, doneMin, shortestMin, longestMin }: Wait): Result<WaitState> {
  if (!(doneMin >= 0 && shortestMin >= 0)) return refuse('Times are not below zero.')
  if (longestMin !== undefined && longestMin < shortestMin)
    return refuse('The longest time is below the shortest. Change them round.')
  const held = holdAgainst(
    doneMin,
    { min: shortestMin, max: longestMin, best: longestMin === undefined ? undefined : shortestMin, warningShare: 0.1 },
    'times typed here',
    WAITS[what],
  )
  if (doneMin < shortestMin)
    return accept({
      state: 'too soon',
      nextMin: shortestMin - doneMin,
      held: leftOpen(held, `ended now, ${WAITS[what].low}`),
    })
  if (longestMin !== undefined && doneMin > longestMin) return accept({ state: 'too long', nextMin: null, held })
  return accept({ state: 'may come out', nextMin: longestMin === undefined ? null : longestMin - doneMin, held })
}
