import { MOMENTS, type Moment, type Plan } from '../../sheet/index.ts'

/** What an act or something owed may say of what it is about. */
interface About {
  step?: unknown
  check?: unknown
  moment?: unknown
  mate?: unknown
  joint?: unknown
  part?: unknown
  item?: unknown
  way?: unknown
}

const isMoment = (one: unknown): one is Moment => MOMENTS.includes(one as Moment)

/**
 * The steps that an act, or something owed, is about: where it is done, read, asked, drawn up or counted. Empty for what
 * belongs to no step.
 */
export function stepsAbout(plan: Plan, about: object): string[] {
  const { step, check, moment, mate, joint, part, item, way } = about as About
  const fitting = (ref: string) => plan.fittedBy.get(ref)?.id ?? []
  if (typeof step === 'string') return [step]
  if (typeof check === 'string' && isMoment(moment))
    return (plan.checks.get(check)?.at ?? []).flatMap(at => (at.moment === moment ? [at.step] : []))
  if (typeof mate === 'string') {
    const known = plan.mates.get(mate)
    return known ? [known.asked ?? [], fitting(known.a), fitting(known.b)].flat() : []
  }
  if (typeof joint === 'string')
    return plan.sheet.steps.flatMap(one => (one.joint?.id === joint && one.joint.act !== 'slacken' ? [one.id] : []))
  if (typeof part === 'string' && way !== 'out') return [fitting(part)].flat()
  if (typeof item === 'string')
    return plan.sheet.steps.flatMap(one => (one.leaves?.some(debt => debt.id === item) ? [one.id] : []))
  return []
}
