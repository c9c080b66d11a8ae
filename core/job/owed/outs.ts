import type { Check, Plan } from '../../sheet/index.ts'
import { standing, type CheckResult } from '../measuring/results.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

/** What was found out is put right later and measured again; where that is left out, it stands. */
const isLeftSo = (plan: Plan, { id }: Check) =>
  plan.whole.checks
    .find(one => one.id === id)!
    .at.some(({ moment, step }) => moment !== 'asFound' && !plan.steps.has(step))

/** A check that is out, with the places that are, where it is judged place by place: a few by name, many by their number. */
function outAt({ check, places }: CheckResult): string {
  const named = [...places.values()].filter(one => one.cell.name)
  const out = named.filter(one => one.judgement.verdict === 'Out').map(one => one.cell.name)
  const where = out.length > 3 ? `${out.length} of ${named.length} places` : out.join('; ')
  return `${check.title} is out${where ? `: ${where}` : ''}`
}

/** The reading that stands, where it is out. What was found before a part was renewed is history and owes nothing. */
export const outs: Source = ({ plan, results }) =>
  plan.sheet.checks.flatMap((check): Owing[] => {
    const last = standing(results, check)
    if (!last?.owed || last.judgement.verdict !== 'Out') return []
    if (last.moment === 'asFound' && !isLeftSo(plan, check)) return []
    // In a loop it is put right by another round, which is owed itself.
    const at = check.at.find(one => one.moment === last.moment)!
    if (plan.loopOf.get(at.step)?.until.includes(check.id)) return []
    return [
      {
        id: { kind: 'out', check: check.id, moment: last.moment },
        station: plan.steps.get(at.step)!.station,
        what: outAt(last),
        why: last.consequence ?? `Held against ${check.source}`,
        step: beforeCover(plan, at.step),
        settle: { to: 'reading', check: check.id, moment: last.moment },
        who: 'lead',
      },
    ]
  })
