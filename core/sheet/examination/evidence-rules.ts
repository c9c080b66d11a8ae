import { stepsBefore } from '../before.ts'
import { readingKey, type Plan } from '../plan.ts'
import type { Check, CheckMoment } from '../types.ts'

/** Fields that say what a check stops, and how that is put right: evidence does neither. */
const NO_USE: readonly (keyof Check)[] = ['before', 'remedies', 'proposes']

/** Evidence is read before it is gone, and stops nothing; as sentences. */
export function evidenceRules(plan: Plan): string[] {
  const { sheet, steps, loops, removedBy, destroyedBy } = plan
  const isLost = ({ id, of }: Check, { moment, step }: CheckMoment) =>
    destroyedBy.has(readingKey(id, moment)) ||
    of.some(ref => {
      const off = removedBy.get(ref)
      return off && (off.id === step || stepsBefore(steps, off.id).has(step))
    })
  return sheet.checks
    .filter(check => check.evidence)
    .flatMap(check => [
      ...check.at
        .filter(({ moment }) => moment !== 'asFound' && moment !== 'inspect')
        .map(({ moment }) => `check ${check.id} is evidence and is taken at ${moment}: it is of what was found`),
      ...check.at
        .filter(at => !check.running && !isLost(check, at))
        .map(
          ({ step }) =>
            `check ${check.id} is evidence at ${step}, and nothing says when it is gone: take it before its parts come off, or name it in \`destroys\` of the step that cleans or scraps it`,
        ),
      ...NO_USE.filter(field => check[field] !== undefined).map(
        field => `check ${check.id} is evidence and stops nothing: its \`${field}\` says nothing`,
      ),
      ...[...loops.values()]
        .filter(loop => loop.until.includes(check.id))
        .map(loop => `check ${check.id} is evidence and stops nothing: loop ${loop.id} cannot wait for it`),
      ...sheet.steps
        .filter(step => step.mends?.includes(check.id))
        .map(step => `check ${check.id} is evidence of what was: step ${step.id} cannot mend it`),
    ])
}
