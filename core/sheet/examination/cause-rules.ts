import { codesOf } from '../../looks/index.ts'
import { stepsBefore } from '../before.ts'
import type { Plan } from '../plan.ts'
import { NO_CAUSES, type CauseSign, type FailureCause } from '../types.ts'

/** What a sign goes by that is not there, or that can never be so. */
function signFaults(plan: Plan, sign: CauseSign): (string | false)[] {
  const { reported, check: checkId, answers, side, look: lookId, codes, grade, of = [], clean, weighs } = sign
  const check = checkId === undefined ? undefined : plan.checks.get(checkId)
  const look = lookId === undefined ? undefined : plan.looks.get(lookId)
  const known = look ? codesOf(look.codes, look.also).map(one => one.id) : []
  const said = [answers, side, codes, clean].filter(one => one !== undefined && one !== false).length
  return [
    [reported, checkId, lookId].filter(one => one !== undefined).length !== 1 &&
      'goes by a complaint, a check or a look: one of them in every sign',
    reported !== undefined && said > 0 && `says of the complaint ${reported} more than that it was reported`,
    reported === undefined && said !== 1 && `says of ${checkId ?? lookId} not one thing that it may be`,
    reported !== undefined &&
      !plan.sheet.complaints?.some(one => one.id === reported) &&
      `goes by an unknown complaint ${reported}`,
    checkId !== undefined && !check && `goes by an unknown check ${checkId}`,
    lookId !== undefined && !look && `goes by an unknown look ${lookId}`,
    check !== undefined && codes !== undefined && `goes by codes of ${check.id}, which is a check`,
    look !== undefined && (answers ?? side) !== undefined && `goes by answers or a side of ${look.id}, which is a look`,
    check !== undefined && of.length > 0 && `goes by parts of ${check.id}, which is a check`,
    grade !== undefined && codes === undefined && 'has a grade, and no findings that it is of',
    side !== undefined && check?.kind === 'asked' && `goes by a side of ${check.id}, which is asked`,
    ...(check ? (answers ?? []) : [])
      .filter(say => !check!.choices?.some(one => one.say === say))
      .map(say => `goes by “${say}”, which is no answer to ${check!.id}`),
    ...(look ? (codes ?? []) : [])
      .filter(code => !known.includes(code))
      .map(code => `goes by “${code}”, which is no finding of ${look!.id}`),
    ...(look ? of : [])
      .filter(ref => !look!.of.includes(ref))
      .map(ref => `goes by ${ref}, which ${look!.id} is not of`),
    weighs === 0 && 'has a sign that weighs nothing',
  ]
}

/** Steps at which a sign is read. */
const readAt = (plan: Plan, { check, look }: CauseSign): string[] => [
  ...(check === undefined ? [] : (plan.checks.get(check)?.at ?? []).map(one => one.step)),
  ...(look === undefined ? [] : [plan.looks.get(look)?.step ?? '']),
]

/** What is wrong with what a sheet may have failed of, as sentences. */
export function causeRules(plan: Plan): string[] {
  const { sheet, steps, source } = plan
  const causes = sheet.causes ?? []
  // Where a variant leaves out all that speaks for a cause, it leaves out the cause.
  const written = (source.causes ?? []) as FailureCause[]
  const saying = sheet.steps.filter(one => one.saysCause)
  const before = saying[0] && stepsBefore(steps, saying[0].id)
  return [
    ...written
      .filter(({ signs }) => !signs.some(one => one.weighs > 0))
      .map(({ id }) => `cause ${id} has nothing that speaks for it`),
    ...causes.flatMap(({ id, signs }) =>
      [
        NO_CAUSES.some(one => one === id) && 'is called what stands for none of them',
        ...signs.flatMap(sign => signFaults(plan, sign)),
        ...(before
          ? signs
              .filter(sign => readAt(plan, sign).length && !readAt(plan, sign).some(step => before.has(step)))
              .map(({ check, look }) => `goes by ${check ?? look}, which is not read before ${saying[0]!.id}`)
          : []),
      ].flatMap(why => (why ? [`cause ${id} ${why}`] : [])),
    ),
    ...saying.filter(() => !causes.length).map(({ id }) => `step ${id} says a cause, and the sheet has none`),
    ...saying.slice(1).map(({ id }) => `step ${id} says a cause, and so does ${saying[0]!.id}: it is said once`),
  ]
}
