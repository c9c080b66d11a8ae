import type { CheckResult } from '../measuring/results.ts'
import { readingKey } from '../ledger/state.ts'
import { keyOf } from './id.ts'
import type { Owing, Source } from './owing.ts'

/** Worked out of others alone: what is missing is owed there. */
const isDerived = ({ worked }: CheckResult) => !worked.cells.length && !worked.answer

export const readings: Source = ({ plan, state, results }) =>
  [...plan.checksAt].flatMap(([stepId, taken]) =>
    taken.flatMap(({ check, moment }): Owing[] => {
      const result = results.get(readingKey(check.id, moment))!
      const id = { kind: 'reading', check: check.id, moment } as const
      if (!result.owed || result.complete || isDerived(result) || state.evidenceLost.has(keyOf(id))) return []
      const destroyer = plan.destroyedBy.get(readingKey(check.id, moment))
      const left = result.missing.length
      return [
        {
          id,
          station: plan.steps.get(stepId)!.station,
          what: left > 1 ? `${check.title}, ${left} readings` : left ? check.title : `${check.title}: ${result.again}`,
          why: !left
            ? 'Measure again and correct it, or a lead lets it pass'
            : destroyer
              ? `Gone once done: ${destroyer.title}`
              : `${check.choices ? 'By' : 'With the'} ${check.instrument}`,
          step: stepId,
          settle: { to: 'reading', check: check.id, moment },
          perishable: destroyer !== undefined,
        },
      ]
    }),
  )
