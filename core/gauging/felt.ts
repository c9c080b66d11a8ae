import type { Verdict } from '../verdict.ts'

/** Fits judged by hand, loosest to tightest; each with what it means at the bench. Graded words of the trade, not a measurement. */
export const FELT_FITS = {
  'wobbles': 'rocks on its seat: well worn, or the wrong part',
  'knocks': 'play that can be felt and heard: worn beyond a sliding fit',
  'drops on': 'falls home by its own weight: clear play',
  'slides': 'goes on by hand with a film of oil: little play',
  'snug': 'goes on with a firm push of both hands: next to none',
  'taps home': 'wants a soft mallet: a slight grip',
  'presses': 'wants a press or heat: interference',
} as const
export type FeltFit = keyof typeof FELT_FITS
export const FELT_WORDS = Object.keys(FELT_FITS) as [FeltFit, ...FeltFit[]]

export interface FeltJudgement {
  verdict: Verdict
  steps: number
  says: string
}

/**
 * A felt fit against the wanted one: the same grade holds, one grade off is thin, more is out; what knocks or wobbles is
 * out whatever was wanted. A part that feels loose on a new mate is itself worn, and one that holds on it is sound.
 * `steps` is negative when looser than wanted.
 */
export function judgeFelt(found: FeltFit, wanted: FeltFit, mateIsNew: boolean): FeltJudgement {
  const steps = FELT_WORDS.indexOf(found) - FELT_WORDS.indexOf(wanted)
  const worn = found === 'wobbles' || found === 'knocks'
  const verdict = worn || Math.abs(steps) > 1 ? 'Out' : steps === 0 ? 'Holds' : 'Thin'
  const culprit = mateIsNew
    ? 'The mate is new, so this part is the worn one.'
    : 'Try it on a new mate to learn which of the two is worn.'
  const says =
    verdict === 'Holds'
      ? 'As wanted.'
      : steps < 0
        ? `Looser than wanted. ${culprit}`
        : 'Tighter than wanted. Look for a burr, dirt or a wrong part before forcing it.'
  return { verdict, steps, says }
}
