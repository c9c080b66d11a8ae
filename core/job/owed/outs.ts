import { standing } from '../results.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

/** The reading that stands, where it is out. What was found before a part was renewed is history and owes nothing. */
export const outs: Source = ({ plan, results }) =>
  plan.sheet.checks.flatMap((check): Owing[] => {
    const last = standing(results, check)
    if (!last || last.moment === 'asFound' || !last.owed || last.judgement.verdict !== 'Out') return []
    const at = check.at.find(one => one.moment === last.moment)!
    return [
      {
        id: { kind: 'out', check: check.id, moment: last.moment },
        station: plan.steps.get(at.step)!.station,
        what: `${check.title} is out`,
        why: last.consequence ?? `Held against ${check.source}`,
        step: beforeCover(plan, at.step),
        settle: { to: 'reading', check: check.id, moment: last.moment },
        who: 'lead',
      },
    ]
  })
