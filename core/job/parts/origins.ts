import type { Plan, Step } from '../../sheet/index.ts'
import { originKey, type JobState } from '../ledger/state.ts'

/** What was found in passing and has no business there, such as metal in the oil: it came off something. */

export interface StrangeFind {
  step: Step
  word: string
  /** Where it came from, once somebody has said so; null until then. */
  from: string | null
}

/** Whether a word stands among what was written down at a step; words are parted by commas. */
const isNoted = (note: string | undefined, word: string) => (note ?? '').split(/,\s*/).includes(word)

/** Everything of the sort that was found, in the order of the steps. */
export function strangeFinds({ sheet }: Plan, state: JobState): StrangeFind[] {
  return sheet.steps.flatMap(step => {
    const done = state.steps.get(step.id)
    if (!done) return []
    return (step.found?.suspect ?? [])
      .filter(word => isNoted(done.note, word))
      .map(word => {
        const said = state.origins.get(originKey(step.id, word))
        return { step, word, from: said && said.n > done.n ? said.from : null }
      })
  })
}

/** What nobody has said yet where it came from. */
export const unexplained = (plan: Plan, state: JobState): StrangeFind[] =>
  strangeFinds(plan, state).filter(find => find.from === null)
