import { meanOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

/** Rules of thumb for running clearance where no manual is to hand; none of them is a limit. */
export const CLEARANCE_SCHOOLS = {
  'oil-ring motors and gear sets': {
    why: 'slow film fed by a ring: a tight gap keeps the film',
    spanMm: (d: number) => [0.0008 * d, 0.0012 * d] as const,
  },
  'high speed or water': {
    why: 'fast or thin film: more room keeps it cool',
    spanMm: (d: number) => [0.0015 * d, 0.002 * d] as const,
  },
  'a thou an inch, and one': {
    why: 'the old rule of the trade: 0.001 in for each inch of journal, and 0.001 in more',
    spanMm: (d: number) => [0.001 * d + 0.0254, 0.001 * d + 0.0254] as const,
  },
} as const

export interface RunningClearance {
  leastMm: number
  greatestMm: number
  meanMm: number
  perMille: number
}

/**
 * Running clearance of a journal in its bore from readings of both (mm): least and greatest by the extremes, mean by the
 * means, and per mille of the journal. Refused: no readings, one not above nought.
 */
export function runningClearance(boresMm: readonly number[], journalsMm: readonly number[]): Result<RunningClearance> {
  if (!boresMm.length || !journalsMm.length || ![...boresMm, ...journalsMm].every(mm => mm > 0))
    return refuse('Read bore and journal, each at least once, above zero.')
  const meanMm = meanOf(boresMm) - meanOf(journalsMm)
  return accept({
    leastMm: Math.min(...boresMm) - Math.max(...journalsMm),
    greatestMm: Math.max(...boresMm) - Math.min(...journalsMm),
    meanMm,
    perMille: (meanMm / meanOf(journalsMm)) * 1000,
  })
}
