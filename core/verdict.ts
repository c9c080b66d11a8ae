/** The four words used everywhere. Open: not measured, or not all readings in. */
export const VERDICTS = ['Holds', 'Thin', 'Out', 'Open'] as const
export type Verdict = (typeof VERDICTS)[number]
/** As they are read on the screen and on paper: out means removed, to whoever overhauls machines. */
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  Holds: 'Holds',
  Thin: 'Thin',
  Out: 'Failed',
  Open: 'Open',
}

export interface Limits {
  min?: number
  max?: number
  /** The best end or the nominal, where the share used is 0 %. Left out: the middle of two limits, or nought for a lone maximum. */
  best?: number
  /** Share of the allowance that must be left to hold without a warning; 0.2 unless the sheet says otherwise. */
  warningShare?: number
}

export interface Judgement {
  verdict: Verdict
  /** 0 at the best end, 1 at the limit, above 1 out; null where the limits give no scale. */
  share: number | null
  side: 'low' | 'high' | null
}

export const DEFAULT_WARNING_SHARE = 0.2

/** Nothing to judge, or not enough. */
export const OPEN: Judgement = { verdict: 'Open', share: null, side: null }

/** How a figure stands that was held against its limits. */
export const judgementOf = ({ verdict, share, side }: Judgement): Judgement => ({ verdict, share, side })

/** A value may sit on its limit; this keeps sums of decimals from falling off it. Well under any gauge's resolution. */
const EDGE = 1e-9

/** An allowance next to nothing gives no scale. */
const finite = (share: number) => (Number.isFinite(share) ? share : null)

function bestOf({ min, max, best }: Limits): number | undefined {
  if (best !== undefined) return best
  if (min !== undefined && max !== undefined) return (min + max) / 2
  return max !== undefined && max >= 0 ? 0 : undefined
}

/**
 * Holds a value against its limits: a value on the limit is inside.
 * Units are the caller's, the same for value and limits. No limit at all, or a value that is not a number: Open.
 * A lone minimum without a best end has no scale: share is null and only Holds or Out can be said.
 *
 * @example judge(59.983, { min: 59.98, max: 60, best: 60 }) // { verdict: 'Thin', share: 0.85, side: 'low' }
 */
export function judge(value: number, limits: Limits): Judgement {
  const { min, max } = limits
  if (!Number.isFinite(value) || (min === undefined && max === undefined)) return OPEN
  const best = bestOf(limits)
  const low = best === undefined ? min !== undefined && value < min : value < best
  const limit = low ? min : max
  const side = low ? 'low' : 'high'
  const share =
    best === undefined ? null : finite(limit === undefined || limit === best ? 0 : (value - best) / (limit - best))
  if ((min !== undefined && value < min - EDGE) || (max !== undefined && value > max + EDGE))
    return { verdict: 'Out', share: share && share > 1 ? share : null, side }
  const warns = share !== null && share > 1 - (limits.warningShare ?? DEFAULT_WARNING_SHARE) + EDGE
  return { verdict: warns ? 'Thin' : 'Holds', share, side }
}

/** The worse of two judgements: one that is out, else the one that has used more of its allowance; the first of equals. */
export function worseJudgement<J extends Judgement>(one: J, other: J): J {
  const used = ({ verdict, share }: Judgement) => (verdict === 'Out' ? 10 : (share ?? 0))
  return used(one) >= used(other) ? one : other
}

const RANK: Record<Verdict, number> = { Holds: 0, Thin: 1, Open: 2, Out: 3 }

/** The worst of several verdicts; Open is worse than Thin, since it may still turn out. None: Open. */
export function worstVerdict(verdicts: readonly Verdict[]): Verdict {
  return verdicts.reduce<Verdict>(
    (worst, one) => (RANK[one] > RANK[worst] ? one : worst),
    verdicts.length ? 'Holds' : 'Open',
  )
}

/** One line of a working: what is worked out, the rule in letters, the rule with its numbers put in, and what comes out. */
export interface WorkingLine {
  what: string
  rule?: string
  sum: string
  gives: string
}

/** A line of a working as one text; what is read straight off is its own sum, and is said once. */
export const workingText = ({ what, sum, gives }: WorkingLine): string =>
  sum === gives ? `${what}: ${gives}` : `${what}: ${sum} = ${gives}`

/** A figure held against its limits: where they come from, how it stands, and what being out does. */
export interface Held extends Judgement {
  limits: Limits
  source: string
  consequence: string | null
  /** What would follow, could it go further: of a figure that is Thin. */
  would?: string | null
}

/** What a figure below, above, or on either wrong side of its limits does to the machine. */
export interface Consequences {
  low?: string
  high?: string
}

/** What being out does is said of what is out; of what is Thin, and so still inside, it is what would follow. */
export const follows = (verdict: Verdict, words: string | null): Pick<Held, 'consequence' | 'would'> => ({
  consequence: verdict === 'Out' ? words : null,
  would: verdict === 'Thin' ? words : null,
})

/** Judges a value and says where the limits come from, and what being out of them does. */
export function holdAgainst(value: number, limits: Limits, source: string, { low, high }: Consequences = {}): Held {
  const judged = judge(value, limits)
  return { ...judged, limits, source, ...follows(judged.verdict, (judged.side === 'low' ? low : high) ?? null) }
}

/** What was held, left Open: the figure stands there, and `why` says what it still wants before it counts. */
export const leftOpen = (held: Held, why: string): Held => ({
  ...held,
  verdict: 'Open',
  source: `${held.source}; ${why}`,
  consequence: null,
  would: null,
})
