import { stepsBefore } from '../before.ts'
import { lastWanted } from '../from.ts'
import { placesOf, liftedWith, type Plan } from '../plan.ts'
import { viewsOf } from '../views.ts'
import { benchRules } from './bench-rules.ts'
import { connectionRules } from './connection-rules.ts'
import { coverRules } from './cover-rules.ts'
import { causeRules } from './cause-rules.ts'
import { evidenceRules } from './evidence-rules.ts'
import { jointRules } from './joint-rules.ts'
import { kindRules } from './kind-rules.ts'
import { lookRules } from './look-rules.ts'
import { loopRules } from './loop-rules.ts'
import { runRules } from './run-rules.ts'
import { placeRules } from './place-rules.ts'
import { serviceRules } from './service-rules.ts'
import { shownRules, sumRules } from './sum-rules.ts'
import { waitRules } from './wait-rules.ts'
import type { Doer, Hold, LookInto, Sheet } from '../types.ts'
import { axesIn } from '../variants.ts'

/** Kinds of checks that no limits of their own judge. */
const JUDGED_OTHERWISE: ReadonlySet<string> = new Set(['asked', 'sum', 'run'])

type Rule = (plan: Plan) => string[]

const repeated = (ids: string[]) => ids.filter((id, i) => ids.indexOf(id) !== i)

/** What may be answered to a check, whatever the machine. */
const answersTo = ({ whole }: Plan, check: string) =>
  whole.checks.find(one => one.id === check)?.choices?.map(one => one.say) ?? []

/** What is looked at for a sign, and is not there. */
const lookFaults = ({ steps, mates, checks, looks }: Plan, look: LookInto): string[] => [
  ...(look.steps ?? []).filter(one => !steps.has(one)).map(one => `looks at an unknown step ${one}`),
  ...(look.mates ?? []).filter(one => !mates.has(one)).map(one => `looks at an unknown mate ${one}`),
  ...(look.checks ?? []).filter(one => !checks.has(one)).map(one => `looks at an unknown check ${one}`),
  ...(look.looks ?? []).filter(one => !looks.has(one)).map(one => `goes by an unknown look ${one}`),
]

/** A paper is for something, being a lead is for nothing besides. */
const askedFor = ({ by, of }: Doer | Hold, where: string, who: string, done: string): string[] =>
  (by === 'lead') === (of === undefined)
    ? []
    : [
        of === undefined
          ? `${where} does not say what its ${who} is ${by} for`
          : `${where} is ${done} by a lead, and wants ${of} besides`,
      ]

/** What makes a sheet good, one rule at a time; each names what breaks it. */
export const RULES: Rule[] = [
  ({ sheet }) =>
    [
      ['part', sheet.parts],
      ['step', sheet.steps],
      ['check', sheet.checks],
      ['look', sheet.looks ?? []],
      ['complaint', sheet.complaints ?? []],
      ['cause', sheet.causes ?? []],
      ['mate', sheet.mates],
      ['joint', sheet.joints],
      ['service', sheet.service.also ?? []],
    ].flatMap(([word, list]) =>
      repeated((list as { id: string }[]).map(one => one.id)).map(id => `two ${word}s are called ${id}`),
    ),
  ({ sheet, parts, steps, mates, checks, joints }) => [
    ...sheet.steps.flatMap(step => [
      ...(step.needs ?? []).filter(id => !steps.has(id)).map(id => `step ${step.id} needs an unknown step ${id}`),
      ...[...(step.removes ?? []), ...(step.fits ?? [])]
        .filter(ref => !parts.has(ref))
        .map(ref => `step ${step.id} moves an unknown part ${ref}`),
      ...(step.marks ?? []).filter(id => !mates.has(id)).map(id => `step ${step.id} marks an unknown mate ${id}`),
      ...(step.destroys ?? [])
        .filter(({ check, moment }) => !checks.get(check)?.at.some(at => at.moment === moment))
        .map(({ check, moment }) => `step ${step.id} destroys an unknown reading ${check} ${moment}`),
      ...(step.over ?? [])
        .filter(id => !stepsBefore(steps, step.id).has(id))
        .map(id => `step ${step.id} lies over ${id}, which does not come before it`),
      ...(step.mends ?? []).filter(id => !checks.has(id)).map(id => `step ${step.id} mends an unknown check ${id}`),
      ...(step.joint && !joints.has(step.joint.id) ? [`step ${step.id} works an unknown joint ${step.joint.id}`] : []),
      ...(step.leaves ?? [])
        .filter(debt => !steps.has(debt.until))
        .map(debt => `step ${step.id} leaves ${debt.id} until an unknown step ${debt.until}`),
    ]),
    ...sheet.mates.flatMap(mate => [
      ...[mate.a, mate.b]
        .filter(ref => !parts.has(ref))
        .map(ref =>
          ref.startsWith('@') && sheet.assemblies.some(one => `@${one.id}` === ref)
            ? `mate ${mate.id} goes by the datum of ${ref.slice(1)}, which does not say what part it is on`
            : `mate ${mate.id} names an unknown part ${ref}`,
        ),
      ...(mate.a === mate.b ? [`mate ${mate.id} has ${mate.a} on both sides`] : []),
      ...(mate.asked && !steps.has(mate.asked) ? [`mate ${mate.id} is asked at an unknown step ${mate.asked}`] : []),
      ...(mate.before && !steps.has(mate.before) ? [`mate ${mate.id} stops an unknown step ${mate.before}`] : []),
    ]),
    ...sheet.checks.flatMap(check => [
      ...check.at
        .filter(({ step }) => !steps.has(step))
        .map(({ step }) => `check ${check.id} is taken at an unknown step ${step}`),
      ...check.of.filter(ref => !parts.has(ref)).map(ref => `check ${check.id} is of an unknown part ${ref}`),
      ...(check.above && !checks.has(check.above)
        ? [`check ${check.id} lies above an unknown check ${check.above}`]
        : []),
      ...(check.before && !steps.has(check.before) ? [`check ${check.id} stops an unknown step ${check.before}`] : []),
      ...(check.between
        ? [check.between.outer, check.between.inner]
            .filter(id => !checks.has(id))
            .map(id => `check ${check.id} is made from an unknown check ${id}`)
        : []),
    ]),
    ...sheet.parts
      .filter(part => part.kit && !sheet.kits.some(kit => kit.id === part.kit))
      .map(part => `part ${part.id} is in an unknown kit ${part.kit}`),
    ...sheet.assemblies.flatMap(({ id, datum }) =>
      datum.on !== undefined && !parts.has(datum.on)
        ? [`the datum of assembly ${id} is on an unknown part ${datum.on}`]
        : [],
    ),
    ...sheet.parts
      .filter(part => !sheet.assemblies.some(one => one.id === part.assembly))
      .map(part => `part ${part.id} is in an unknown assembly ${part.assembly}`),
  ],
  ({ sheet, steps }) =>
    sheet.steps.filter(step => reaches(steps, step.id)).map(step => `step ${step.id} waits for itself`),
  ({ sheet, removedBy, fittedBy }) =>
    sheet.parts
      .flatMap(placesOf)
      .flatMap(({ ref }) => [
        ...(removedBy.has(ref) && !fittedBy.has(ref) ? [`${ref} comes off and never goes back`] : []),
        ...(fittedBy.has(ref) && !removedBy.has(ref) ? [`${ref} is fitted and never came off`] : []),
      ]),
  ({ removedBy, fittedBy, steps }) =>
    [...fittedBy]
      .filter(([ref, step]) => removedBy.has(ref) && !stepsBefore(steps, step.id).has(removedBy.get(ref)!.id))
      .map(([ref, step]) => `step ${step.id} fits ${ref} without first needing it off`),
  ({ sheet, fittedBy }) =>
    sheet.mates
      .filter(mate => mate.mark && mate.rule.kind !== 'index' && !fittedBy.has(mate.a) && !fittedBy.has(mate.b))
      .map(mate => `the mark of ${mate.id} is made and never met`),
  ({ sheet }) =>
    sheet.mates
      .filter(mate => mate.mark && !mate.mark.stamped && !sheet.steps.some(step => step.marks?.includes(mate.id)))
      .map(mate => `no step makes the mark of ${mate.id}`),
  ({ sheet }) =>
    sheet.mates.flatMap(({ id, rule, mark }) => [
      ...(rule.kind === 'seen' && !(rule.choices.some(one => one.met) && rule.choices.some(one => !one.met))
        ? [`mate ${id} can only be answered one way`]
        : []),
      ...(['aligned', 'distance', 'label', 'dots', 'index'].includes(rule.kind) && !mark
        ? [`mate ${id} has no mark to be held against`]
        : []),
      ...(mark?.stamped && rule.kind !== 'aligned' ? [`the stamp of ${id} has no angle to be held against`] : []),
      ...(rule.kind === 'distance' && mark && !mark.from
        ? [`the mark of ${id} does not say where its distance is from`]
        : []),
    ]),
  // Where one looks from is a place this machine has.
  ({ sheet }) =>
    Object.entries({
      'assembly': sheet.assemblies,
      'joint': sheet.joints,
      'mark of': sheet.mates.flatMap(({ id, mark }) => (mark ? [{ id, seenFrom: mark.seenFrom }] : [])),
    }).flatMap(([word, list]) =>
      list
        .filter(({ seenFrom }) => !viewsOf(sheet).includes(seenFrom))
        .map(
          ({ id, seenFrom }) =>
            `${word} ${id} is seen from ${seenFrom}, which is none of: ${viewsOf(sheet).join(', ')}`,
        ),
    ),
  // What is asked later than its second part goes on is asked when that is there.
  ({ sheet, steps, fittedBy, sidesOf }) =>
    sheet.mates.flatMap(({ id, a, asked }) =>
      asked && steps.has(asked) && !sidesOf.get(id)!.some(ref => fittedBy.has(ref))
        ? [
            `mate ${id} is asked at ${asked}, which does not come after ${fittedBy.get(a)?.id ?? 'any of its parts went on'}`,
          ]
        : [],
    ),
  // Parts that can be taken for each other must be told apart when they are off.
  ({ sheet, removedBy }) =>
    sheet.parts
      .filter(
        part =>
          part.places?.length &&
          part.keep === 'lay' &&
          !part.joins &&
          placesOf(part).some(({ ref }) => removedBy.has(ref)),
      )
      .map(part => `part ${part.id} has several places and is laid out with nothing to tell them apart`),
  ({ sheet }) =>
    sheet.checks
      .filter(one => !JUDGED_OTHERWISE.has(one.kind) && !one.noLimits && !one.alike)
      .filter(({ limits, at }) =>
        [limits, ...at.flatMap(one => one.limits ?? [])].some(one => one.min === undefined && one.max === undefined),
      )
      .map(check => `check ${check.id} has no limits and does not say why`),
  kindRules,
  sumRules,
  shownRules,
  placeRules,
  runRules,
  lookRules,
  causeRules,
  ({ sheet }) =>
    sheet.checks
      .filter(check => !check.source)
      .map(check => `check ${check.id} does not say where its limits come from`),
  // What is asked can turn out either way, and says what a bad answer does.
  ({ sheet }) =>
    sheet.checks
      .filter(check => check.kind === 'asked')
      .flatMap(({ id, choices = [] }) => [
        ...(choices.some(one => one.verdict === 'Holds') && choices.some(one => one.verdict !== 'Holds')
          ? []
          : [`check ${id} can only be answered one way`]),
        ...repeated(choices.map(one => one.say)).map(say => `check ${id} has the answer “${say}” twice`),
        ...choices
          .filter(one => one.verdict === 'Out' && !one.means)
          .map(one => `check ${id} does not say what “${one.say}” does`),
      ]),
  ({ sheet }) =>
    sheet.steps.flatMap(step =>
      (step.lubricants ?? []).flatMap(({ on, medium, never, why }) => [
        ...(why ? [] : [`step ${step.id} does not say what anything but ${medium ?? `no ${never}`} does to ${on}`]),
        ...((medium === undefined) === (never === undefined)
          ? [`step ${step.id} says of ${on} neither what goes on it nor what never does, or both`]
          : []),
      ]),
    ),
  plan =>
    plan.sheet.steps.flatMap(({ id, troubles = [] }) =>
      troubles.flatMap(({ sign, look }) => lookFaults(plan, look).map(why => `“${sign}” of ${id} ${why}`)),
    ),
  plan =>
    (plan.sheet.complaints ?? []).flatMap(({ id, look }) =>
      lookFaults(plan, look).map(why => `complaint ${id} ${why}`),
    ),
  ({ source }) =>
    ((source as Sheet).complaints ?? [])
      .filter(({ look }) => !Object.values(look).flat().length)
      .map(({ id }) => `complaint ${id} leads nowhere: say what to look at first`),
  // What a sign leads to may be left out of a variant, and the cause with it; as written it leads somewhere.
  ({ source }) =>
    (source as Sheet).steps.flatMap(({ id, troubles = [] }) =>
      troubles
        .filter(({ look }) => !Object.values(look).flat().length)
        .map(({ means }) => `“${means}” of ${id} leads nowhere: say what to look at again`),
    ),
  ({ sheet }) =>
    sheet.steps.flatMap(({ id, found }) =>
      (found?.suspect ?? [])
        .filter(word => !found!.words.includes(word))
        .map(word => `step ${id} suspects “${word}”, which is none of the words it offers`),
    ),
  ({ sheet }) =>
    repeated(sheet.steps.flatMap(step => (step.keeps ?? []).map(fact => fact.id))).map(
      id => `the fact ${id} is read at two steps: read it once`,
    ),
  ({ sheet }) => sheet.checks.filter(check => !check.at.length).map(check => `check ${check.id} is never taken`),
  connectionRules,
  benchRules,
  evidenceRules,
  waitRules,
  serviceRules,
  jointRules,
  ({ sheet, steps }) =>
    sheet.steps.flatMap(step =>
      (step.leaves ?? [])
        .filter(debt => !stepsBefore(steps, debt.until).has(step.id))
        .map(debt => `step ${step.id} leaves ${debt.id} until ${debt.until}, which does not come after it`),
    ),
  ({ sheet, steps, checks }) =>
    sheet.steps.flatMap(step =>
      (step.destroys ?? []).flatMap(
        ({ check, moment }) =>
          checks
            .get(check)
            ?.at.filter(at => at.moment === moment && !stepsBefore(steps, step.id).has(at.step))
            .map(at => `step ${step.id} destroys ${check} without first needing ${at.step}`) ?? [],
      ),
    ),
  ({ sheet }) =>
    sheet.steps.flatMap(({ id, doer, hold }) => [
      ...(doer ? askedFor(doer, `step ${id}`, 'doer', 'done') : []),
      ...(hold ? askedFor(hold, `the hold at ${id}`, 'signer', 'signed') : []),
    ]),
  ({ sheet }) =>
    (sheet.service.also ?? []).flatMap(({ id, doer }) => (doer ? askedFor(doer, `service ${id}`, 'doer', 'done') : [])),
  // A hold point signs for work that is done by then.
  ({ sheet, steps }) =>
    sheet.steps.flatMap(({ id, hold }) =>
      hold
        ? [
            ...(hold.covers ?? []).flatMap(one =>
              !steps.has(one)
                ? [`the hold at ${id} covers an unknown step ${one}`]
                : one === id || stepsBefore(steps, id).has(one)
                  ? []
                  : [`the hold at ${id} covers ${one}, which does not come before it`],
            ),
          ]
        : [],
    ),
  // What is said as a step is confirmed is not there yet when its hold is signed, and would undo the signature.
  ({ sheet }) =>
    sheet.steps.flatMap(({ id, hold, removes = [], fits = [], lubricants = [] }) => {
      const isOwn = hold && (hold.covers ?? [id]).includes(id)
      const saysOwn =
        removes.length || fits.length || lubricants.length || sheet.mates.some(({ asked }) => asked === id)
      return isOwn && saysOwn
        ? [`the hold at ${id} signs for what is said only as ${id} is confirmed: it belongs to a step after it`]
        : []
    }),
  ({ gates }) => (gates.length ? [] : ['no step shuts the case']),
  ({ gates }) => repeated(gates.map(gate => gate.name)).map(name => `two gates shut the ${name}`),
  // A gate behind another is reached through it.
  ({ gates }) =>
    gates
      .slice(1)
      .flatMap(({ step, before }, i) =>
        before.has(gates[i]!.step.id)
          ? []
          : [`step ${step.id} shuts something without first needing ${gates[i]!.step.id}`],
      ),
  loopRules,
  coverRules,
  // What lifts with a part lifts with one there is, and not with itself.
  ({ parts, along }) =>
    [...parts.values()].flatMap(({ ref, part }) => [
      ...(part.liftsWith && !parts.has(part.liftsWith) ? [`${ref} lifts with an unknown part ${part.liftsWith}`] : []),
      ...(liftedWith({ along }, ref).includes(ref) ? [`${ref} lifts with itself`] : []),
    ]),
  ({ sheet, parts }) =>
    [...parts.values()]
      .filter(({ geometry }) => geometry?.line && !sheet.lines?.some(one => one.id === geometry.line))
      .map(({ ref, geometry }) => `${ref} sits on an unknown shaft line ${geometry!.line}`),
  // A part renewed takes its readings with it: then the new one must be measurable.
  ({ sheet, removedBy, steps }) =>
    sheet.checks
      // What is tried before the machine is safe tells of no part of it.
      .filter(check => !check.at.every(({ step }) => steps.get(step)?.station === 'make-safe'))
      // What is new has no past to be held against.
      .filter(check => !check.evidence && !lastWanted([check]).length)
      .filter(
        check =>
          check.of.some(ref => removedBy.has(ref)) &&
          check.at.some(({ moment }) => moment === 'asFound' || moment === 'inspect') &&
          !check.at.some(({ moment }) => moment === 'build' || moment === 'asLeft'),
      )
      .map(check => `check ${check.id} can be renewed away and is not taken again at build`),
  // Nothing is lifted, loosened or measured before the machine is safe.
  ({ sheet, steps, checksAt }) => {
    const safe = sheet.steps.filter(
      step => step.station === 'make-safe' && !step.needs?.some(need => steps.get(need)?.station === 'make-safe'),
    )
    return sheet.steps
      .filter(step => step.removes?.length || step.joint || checksAt.get(step.id)?.some(({ check }) => !check.running))
      .filter(step => !safe.every(one => stepsBefore(steps, step.id).has(one.id)))
      .map(step => `step ${step.id} lifts, loosens or measures before the machine is made safe`)
  },
  // What is decided on the job is decided at a step that is there without it, from readings that are too.
  plan =>
    plan.source.axes.flatMap(({ id, choices, decided }) => {
      if (!decided) return []
      const { source } = plan
      const hangs = (one: { id: string } | undefined) => one !== undefined && axesIn(one, new Set([id])).has(id)
      const [step, known] = [source.steps.find(one => one.id === decided.step), choices.map(one => one.id)]
      return [
        ...(step ? [] : [`choice ${id} is decided at an unknown step ${decided.step}`]),
        ...(hangs(step) ? [`choice ${id} is decided at step ${decided.step}, which hangs on it`] : []),
        ...[...(decided.proposes ?? []).map(one => one.choice), ...(decided.else ? [decided.else] : [])]
          .filter(choice => !known.includes(choice))
          .map(choice => `choice ${id} proposes an unknown answer ${choice}`),
        ...(decided.proposes ?? []).flatMap(({ check: name, verdict, say }) => {
          const check = source.checks.find(one => one.id === name)
          if (!check) return [`choice ${id} is proposed by an unknown check ${name}`]
          return [
            ...(hangs(check) ? [`choice ${id} is proposed by check ${name}, which hangs on it`] : []),
            ...((verdict === undefined) === (say === undefined) ||
            (say !== undefined && !answersTo(plan, name).includes(say))
              ? [`choice ${id} is proposed by check ${name} for no verdict or answer that it can have`]
              : []),
          ]
        }),
      ]
    }),
  ({ sheet }) =>
    sheet.steps
      .filter(step => step.skip && (step.closes || step.hold || step.joint))
      .map(step => `step ${step.id} shuts, holds or torques and may not be left out`),
]

function reaches(steps: Plan['steps'], id: string): boolean {
  return (steps.get(id)?.needs ?? []).some(need => need === id || stepsBefore(steps, need).has(id))
}
