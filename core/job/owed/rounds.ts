import { shortOf } from '../parts/rounds.ts'
import type { Owing, Source } from './owing.ts'

/** Loops gone through that have not come out good: something is changed, and they are gone through again. */
export const rounds: Source = ({ plan, state, results }) =>
  [...plan.loops.values()].flatMap((loop): Owing[] => {
    const waits = plan.sheet.steps.find(step => step.after?.includes(loop.id))
    const isThrough = loop.steps.every(step => state.steps.has(step))
    const [first, ...more] = isThrough ? shortOf(plan, loop, results) : []
    if (!waits || !first) return []
    const { check, judgement, consequence, again } = first
    return [
      {
        id: { kind: 'round', loop: loop.id },
        station: waits.station,
        what: `${loop.title}: ${check.title} ${judgement.verdict}${more.length ? ` and ${more.length} more` : ''}`,
        why: consequence ?? again ?? 'Change what it needs, and go through another round',
        step: waits.id,
        settle: { to: 'round', loop: loop.id },
      },
    ]
  })
