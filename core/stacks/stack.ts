import { accept, refuse, type Result } from '../result.ts'

export const DISTRIBUTIONS = ['normal', 'even', 'triangle'] as const
export type Distribution = (typeof DISTRIBUTIONS)[number]

/** One length of a chain; `sign` +1 opens the gap, −1 closes it. Tolerances either side of nominal, mm. */
export interface Link {
  name: string
  sign: 1 | -1
  nominalMm: number
  plusMm: number
  minusMm: number
  distribution?: Distribution
}

export interface StackSpan {
  leastMm: number
  greatestMm: number
}
export interface Stack {
  nominalMm: number
  /** Gap at the middle of every tolerance. */
  middleMm: number
  worst: StackSpan
  /** Root of the sum of squares about the middle; wants independent, centred links. */
  rss: StackSpan
}

const half = (link: Link) => (link.plusMm + link.minusMm) / 2
const centre = (link: Link) => link.nominalMm + (link.plusMm - link.minusMm) / 2

/** What a chain of links cannot be; null when it is sound. */
function wrongLinks(links: readonly Link[]): string | null {
  if (!links.length) return 'A stack wants at least one length.'
  if (!links.every(one => Number.isFinite(one.nominalMm) && one.nominalMm >= 0))
    return 'Lengths are zero or more; a part that closes the gap has the sign −.'
  return links.every(one => one.plusMm >= 0 && one.minusMm >= 0) ? null : 'Tolerances are zero or more either side.'
}

/**
 * A signed chain of lengths as a gap: worst case, and root-sum-square about the middle of the tolerances. mm.
 * Refused: no link, a length or tolerance below nought.
 */
export function stackGap(links: readonly Link[]): Result<Stack> {
  const wrong = wrongLinks(links)
  if (wrong) return refuse(wrong)
  const sum = (of: (link: Link) => number) => links.reduce((total, link) => total + of(link), 0)
  const middleMm = sum(link => link.sign * centre(link))
  const reach = sum(half)
  const root = Math.sqrt(sum(link => half(link) ** 2))
  return accept({
    nominalMm: sum(link => link.sign * link.nominalMm),
    middleMm,
    worst: { leastMm: middleMm - reach, greatestMm: middleMm + reach },
    rss: { leastMm: middleMm - root, greatestMm: middleMm + root },
  })
}

export interface Trial {
  samples: number
  meanMm: number
  deviationMm: number
  /** 0.135 % and 99.865 % of all samples: what ± 3σ would be of a normal gap. */
  span: StackSpan
  leastMm: number
  greatestMm: number
  /** Share of samples outside the limits; null without limits. */
  outShare: number | null
  histogram: { fromMm: number; toMm: number; counts: readonly number[] }
}

const BINS = 60
/** A tolerance is ± 3σ of a normal link. */
const SIGMAS = 3

function drawer(link: Link, random: () => number): () => number {
  const [middle, reach] = [link.sign * centre(link), half(link)]
  if (reach === 0) return () => middle
  if (link.distribution === 'even') return () => middle + reach * (2 * random() - 1)
  if (link.distribution === 'triangle') return () => middle + reach * (random() + random() - 1)
  let spare: number | null = null
  return () => {
    // Marsaglia's polar method gives two at a time.
    if (spare !== null) {
      const one = spare
      spare = null
      return middle + one
    }
    for (;;) {
      const [u, v] = [2 * random() - 1, 2 * random() - 1]
      const s = u * u + v * v
      if (s > 0 && s < 1) {
        const scale = (Math.sqrt((-2 * Math.log(s)) / s) * reach) / SIGMAS
        spare = v * scale
        return middle + u * scale
      }
    }
  }
}

/**
 * The same chain by trial (Monte Carlo): every link drawn from its distribution, tolerance as ± 3σ of a normal one. mm.
 * @param samples 100 to 2 000 000
 * @param random 0 up to but not 1, from outside, so that a trial can be repeated
 * @param progress told every 50 000 samples
 * Refused: what {@link stackGap} refuses, a number of samples outside its span.
 */
export function tryStack(
  links: readonly Link[],
  samples: number,
  random: () => number,
  limits?: { min?: number; max?: number },
  progress?: (share: number) => void,
): Result<Trial> {
  const wrong = wrongLinks(links)
  if (wrong) return refuse(wrong)
  if (!Number.isInteger(samples) || samples < 100 || samples > 2_000_000)
    return refuse('Ask for 100 to 2 000 000 samples.')
  const draws = links.map(link => drawer(link, random))
  const gaps = new Float64Array(samples)
  let [sum, out] = [0, 0]
  for (let i = 0; i < samples; i++) {
    let gap = 0
    for (const draw of draws) gap += draw()
    gaps[i] = gap
    sum += gap
    if ((limits?.min !== undefined && gap < limits.min) || (limits?.max !== undefined && gap > limits.max)) out++
    if (i % 50_000 === 49_999) progress?.((0.85 * i) / samples)
  }
  const meanMm = sum / samples
  gaps.sort()
  progress?.(0.95)
  const at = (share: number) => gaps[Math.min(samples - 1, Math.max(0, Math.round(share * (samples - 1))))]!
  const [leastMm, greatestMm] = [gaps[0]!, gaps[samples - 1]!]
  const width = greatestMm - leastMm || 1e-9
  const counts = new Array<number>(BINS).fill(0)
  let squares = 0
  for (const gap of gaps) {
    squares += (gap - meanMm) ** 2
    counts[Math.min(BINS - 1, Math.floor(((gap - leastMm) / width) * BINS))]!++
  }
  progress?.(1)
  return accept({
    samples,
    meanMm,
    deviationMm: Math.sqrt(squares / samples),
    span: { leastMm: at(0.00135), greatestMm: at(0.99865) },
    leastMm,
    greatestMm,
    outShare: limits?.min === undefined && limits?.max === undefined ? null : out / samples,
    histogram: { fromMm: leastMm, toMm: leastMm + width, counts },
  })
}
