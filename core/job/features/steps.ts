import { STATIONS } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { competenceShape, competenceWords, qualified, signerWords, type Competence } from '../ledger/competence.ts'
import { timeOf } from '../ledger/entry.ts'
import { owedKind } from '../ledger/feature.ts'
import { partsIn, partState } from '../ledger/part.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { choice, id, optional, record, why, words, type Shaped } from '../ledger/shape.ts'
import { stamped, type Stamp } from '../ledger/state.ts'
import { STATION_WORDS, stepName } from '../ledger/words.ts'
import type { Owing, Source } from '../owed/owing.ts'
import { unsaid } from '../parts/confirm.ts'
import { doerRefusal } from '../parts/doers.ts'
import { slackened } from '../parts/joints.ts'
import type { Started } from '../parts/starting.ts'
import { stepsLeft } from '../parts/needs.ts'
import { waitStands } from '../parts/waits.ts'
import { hindered, openStep, outOfReach, stepHindrances } from './sense.ts'

/** Steps of the sheet: done, or left out. */

const refusals = refusalsAbout('step', {
  unmoved: ({ step, what }: { step: string; what: string }) => `“${step}” cannot be done yet. ${what}.`,
  mayNotSkip: ({ step }: { step: string }) =>
    `“${step}” may not be left out: this machine's sheet does not allow it. Do it, or ask a lead.`,
  waits: ({ what }: { what: string }) => `Not over yet: ${what}. Say that it is over.`,
  leadSkips: ({ step }: { step: string }) => `“${step}” is left out by a lead only. Ask one to do it.`,
})

const doing = {
  step: id,
  note: optional(words(400)),
  /** Rung of the ladder that brought it home, where nothing was lifted. */
  method: optional(words(120)),
  /** What was seen before it was started; see `parts/starting.ts`. */
  started: optional(
    record({ guards: optional(words(120)), locks: optional(words(120)), people: optional(words(120)) }),
  ),
  /** The paper it is done on, where not everybody may do it. */
  on: optional(record(competenceShape)),
} as const

const done: ActKind<Shaped<typeof doing>> = {
  shape: doing,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  claims: ({ on }) => (on ? [{ competence: on }] : []),
  // A part that is still where the step says it is not: no hindrance to pass, the step is simply not done.
  sense: (plan, state, { payload }) => {
    const lost = openStep(plan, state, payload.step)
    if (lost) return lost
    const { title, removes = [], fits = [], trial = {} } = plan.steps.get(payload.step)!
    const name = (ref: string) => plan.parts.get(ref)!.name
    const unmoved = [
      ...removes.filter(ref => partState(state, ref).where !== 'off').map(ref => `${name(ref)} is not off yet`),
      ...fits.filter(place => !partsIn(state, [place]).length).map(ref => `${name(ref)} is not fitted yet`),
      ...(trial.on ?? [])
        .filter(ref => !partState(state, ref).trial)
        .map(ref => `${name(ref)} is not on for the trial yet`),
      ...(trial.off ?? [])
        .filter(ref => partState(state, ref).trial)
        .map(ref => `${name(ref)} is still on for the trial`),
    ]
    return unmoved.length ? refusals.unmoved({ step: title, what: unmoved.slice(0, 4).join('. ') }) : null
  },
  live: (at, entry) => {
    const { step: name, note: found, started, on } = entry.payload
    const step = at.plan.steps.get(name)!
    const as = { person: entry.madeBy, role: entry.role, on, at: timeOf(entry) }
    const notTheirs = doerRefusal(at.plan, at.state, step, as)
    return [
      ...(notTheirs ? [notTheirs] : []),
      ...stepHindrances(at, name, entry),
      ...(waitStands(at.state, step) === 'begun' ? [refusals.waits({ what: step.wait!.what })] : []),
      ...unsaid(at.plan, at.state, step, { found, started }).map(what => hindered(step, what)),
    ]
  },
  apply: (state, entry, plan) => {
    const { step, note, started, on } = entry.payload
    state.steps.set(step, stamped(entry, state, { note, started, on }))
    const joint = plan.steps.get(step)!.joint
    if (joint?.act === 'slacken') state.joints.set(joint.id, slackened(state.joints.get(joint.id)))
  },
  words: (plan, { step, note, method }) =>
    `Done: ${stepName(plan, step)}${method ? `, by: ${method.toLowerCase()}` : ''}${note ? `. Found: ${note}` : ''}`,
}

const leaving = { step: id, why } as const

const skipped: ActKind<Shaped<typeof leaving>> = {
  shape: leaving,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload, role }) => {
    const lost = openStep(plan, state, payload.step)
    if (lost) return lost
    const { title, skip } = plan.steps.get(payload.step)!
    if (!skip) return refusals.mayNotSkip({ step: title })
    return skip === 'lead' && role !== 'lead' ? refusals.leadSkips({ step: title }) : null
  },
  live: (at, { payload }) => outOfReach(at, payload.step),
  apply: (state, entry) => {
    const { step, why: skippedFor } = entry.payload
    state.steps.set(step, stamped(entry, state, { skipped: skippedFor }))
    // Nobody waits for what is left out.
    if (!state.waits.get(step)?.ended) state.waits.delete(step)
  },
  words: (plan, payload) => `Left out: ${stepName(plan, payload.step)}. ${payload.why}`,
}

const undone: Source = ({ plan, state }) =>
  stepsLeft(plan, state).flatMap((step): Owing[] => {
    const gate = plan.gates.find(one => one.before.has(step.id))
    // The last gate is not behind itself.
    if (!gate && step.closes) return []
    return [
      {
        id: { kind: 'step', step: step.id },
        station: step.station,
        what: step.title,
        why: 'Not done yet',
        step: gate?.step.id ?? null,
        settle: { to: 'step', step: step.id },
      },
    ]
  })

/** Done, as it came late, by somebody who may not. */
const byOthers: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap((step): Owing[] => {
    const done = state.steps.get(step.id)
    if (!step.doer || !done || done.skipped !== undefined) return []
    if (qualified(step.doer, done.role, done.on, done.at) === 'yes') return []
    return [
      {
        id: { kind: 'doer', step: step.id },
        station: step.station,
        what: `Not done by ${signerWords(step.doer)}: ${step.title}`,
        why: 'Take it back, and have it done by them: nobody accepts it in their place',
        step: null,
        settle: { to: 'step', step: step.id },
      },
    ]
  })

export const slice = () => ({
  steps: new Map<string, Stamp & { skipped?: string; note?: string; started?: Started; on?: Competence }>(),
})
export const acts = { 'step.done': done, 'step.skipped': skipped }
export const owes = {
  step: owedKind({
    by: { step: id },
    words: (plan, { step }) => stepName(plan, step),
    never: () => 'do it, or leave it out where the sheet allows',
    withItsStep: true,
  }),
  doer: owedKind({
    by: { step: id },
    words: (plan, { step }) => `${stepName(plan, step)}: not done by who may`,
    never: () => 'take the step back, and have it done by who may',
  }),
}
export const sources = [undone, byOthers]
export const sections = {
  steps: section({
    title: 'Steps',
    in: 'course',
    rows: ({ plan, state, by: signed }) =>
      STATIONS.flatMap(station =>
        plan.sheet.steps
          .filter(step => step.station === station && state.steps.has(step.id))
          .map(step => {
            const settled = state.steps.get(step.id)!
            return {
              station: STATION_WORDS[station],
              title: step.title,
              found: settled.note ?? null,
              skipped: settled.skipped ?? null,
              started: Object.values(settled.started ?? {}).join('; '),
              on: settled.on ? competenceWords(settled.on) : null,
              ...signed(settled),
            }
          }),
      ),
    columns: [
      { head: 'Station', width: 2, cell: row => text(row.station) },
      {
        head: 'Step',
        width: 8,
        cell: row => ({
          text: row.title,
          small: [
            ...(row.found ? [`found: ${row.found}`] : []),
            ...(row.skipped ? [`left out: ${row.skipped}`] : []),
            ...(row.started ? [`seen before the start: ${row.started}`] : []),
            ...(row.on ? [`done by somebody ${row.on}`] : []),
          ],
        }),
      },
      by(),
    ],
  }),
}
export const pads = {
  step: { step: id },
  steps: { station: choice(STATIONS) },
  say: {},
  gate: { passing: optional(words(400)) },
  ledger: {},
} as const
