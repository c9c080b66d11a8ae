import { stepsBefore } from '../before.ts'
import { gateAfter, isAskedBack, type Plan } from '../plan.ts'
import { stopsOf, type Thing } from '../stops.ts'

/**
 * What is asked or read at build and stops nothing when it is wrong, as sentences: it would be found at the first start, with
 * all that came after built on it. What is read at the last start, or after it, holds the hand-back.
 */
export function coverRules(plan: Plan): string[] {
  const { sheet, steps, fittedBy, loopOf } = plan
  const lastStart = sheet.steps.findLast(step => step.starts)?.id
  if (lastStart === undefined) return []
  const isBefore = (step: string) => stepsBefore(steps, lastStart).has(step)
  const stopsNothing = (at: string, thing: Omit<Thing, 'at' | 'isIn'>) =>
    isBefore(at) && gateAfter(plan, at) === null && stopsOf(plan, { ...thing, at, isIn: true }).size === 0
  return [
    ...sheet.checks.flatMap(({ id, of, before, at }) =>
      at
        .filter(({ moment, step }) => moment === 'build' && !loopOf.has(step))
        .filter(({ step }) => stopsNothing(step, { of, check: id, before }))
        .map(({ step }) => `check ${id} stops nothing at ${step} when it is out: say what it must stop, by \`before\``),
    ),
    ...sheet.mates.flatMap(({ id, a, b, rule, asked, before }) => {
      const at = asked ?? [a, b].map(ref => fittedBy.get(ref)?.id).find(step => step !== undefined)
      return isAskedBack({ rule }) && at !== undefined && steps.has(at) && stopsNothing(at, { of: [a, b], before })
        ? [`mate ${id} stops nothing at ${at} when it is not met: say what it must stop, by \`before\``]
        : []
    }),
  ]
}
