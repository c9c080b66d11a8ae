import { fromOf, type Moment, type Step } from '../../sheet/index.ts'
import type { Figure } from '../../sums/define.ts'
import { readingKey } from '../ledger/state.ts'
import type { CheckResult } from './results.ts'

/** Figures that whoever does a step goes by, of what was worked out or read before it: a number of stops, the gasket of a trial. Nothing that is not known yet. */
export const goneBy = (results: ReadonlyMap<string, CheckResult>, { shows = [] }: Pick<Step, 'shows'>): Figure[] =>
  shows.flatMap(text => {
    const { of, at, figure } = fromOf(text)!
    const result = results.get(readingKey(of, at as Moment))
    const answer = result?.worked.answer
    const found = answer?.ok ? answer.value.figures.find(one => one.key === figure) : undefined
    // What was read straight off is called by what it was read for.
    return found ? [result!.check.sum ? found : { ...found, what: result!.check.title }] : []
  })
