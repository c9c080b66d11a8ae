import { readingKey, type Plan, type Step, type Wait } from '../../sheet/index.ts'
import type { ActKind, AtHand, Done } from '../ledger/act.ts'
import { timedAt, timeOf } from '../ledger/entry.ts'
import { owedKind } from '../ledger/feature.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { id, optional, why, type Shaped } from '../ledger/shape.ts'
import { stamped, type JobState } from '../ledger/state.ts'
import { stepName, utcText } from '../ledger/words.ts'
import { checkResults } from '../measuring/results.ts'
import { hindrances } from '../owed/hindrances.ts'
import { beforeCover, type Owing, type Source } from '../owed/owing.ts'
import {
  endsOf,
  lengthText,
  lengthOf,
  spanText,
  stillText,
  waitedMs,
  waitStands,
  type Waiting,
} from '../parts/waits.ts'
import { hindered, openStep } from './sense.ts'

/** What takes its time by itself: it is begun, and over when it has stood as long as the sheet says. Only a lead cuts it short. */

const refusals = refusalsAbout('wait', {
  none: ({ step }: { step: string }) => `“${step}” waits for nothing.`,
  begun: ({ what }: { what: string }) => `This waits already: ${what}.`,
  over: ({ what }: { what: string }) => `It is over already: ${what}.`,
  notBegun: ({ what }: { what: string }) => `Say first when it begins: ${what}.`,
  short: ({ what, still, wanted }: { what: string; still: string; wanted: string }) =>
    `${what}: ${still} still to go of ${wanted}. Go on with what can be done beside it; a lead can cut it short, in writing.`,
  leadCuts: ({ what }: { what: string }) => `Only a lead cuts this short: ${what}. Ask one, or wait.`,
})

/** What waits at a step, by its words; of a sheet that has no such wait, the step. */
const whatWaits = (plan: Plan, step: string) => plan.steps.get(step)?.wait?.what ?? stepName(plan, step)

function waitOf(plan: Plan, state: JobState, step: string): { why: Refusal } | { why: null; step: Step; wait: Wait } {
  const lost = openStep(plan, state, step)
  if (lost) return { why: lost }
  const one = plan.steps.get(step)!
  return one.wait ? { why: null, step: one, wait: one.wait } : { why: refusals.none({ step: one.title }) }
}

/** What is read before it is begun, and is not, or is out. */
function notReady({ plan, state }: AtHand, { id: step, wait }: Step): string[] {
  const results = checkResults(plan, state)
  const here = plan.checksAt.get(step) ?? []
  return here.flatMap(({ check, moment }) => {
    if (!wait!.once?.includes(check.id)) return []
    const { complete, judgement } = results.get(readingKey(check.id, moment))!
    if (!complete) return [`Read first: ${check.title}`]
    return judgement.verdict === 'Out' ? [`${check.title} is out: put it right first`] : []
  })
}

const beginning = { step: id } as const

const begun: ActKind<Shaped<typeof beginning>> = {
  shape: beginning,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload }) => {
    const at = waitOf(plan, state, payload.step)
    if (at.why) return at.why
    return state.waits.has(payload.step) ? refusals.begun({ what: at.wait.what }) : null
  },
  live: (at, entry) => {
    const step = at.plan.steps.get(entry.payload.step)!
    const reader = { person: entry.madeBy, at: timeOf(entry) }
    // What is read at its end does not keep it from beginning.
    const before = hindrances(at.plan, at.state, at.owed, step, reader).filter(
      ({ settle, wrong }) => wrong || !['wait', 'reading'].includes(settle.to),
    )
    return [...before.map(one => one.text), ...notReady(at, step)].map(what => hindered(step, what))
  },
  apply: (state, entry) => {
    const { step } = entry.payload
    state.waits.set(step, { begun: stamped(entry, state, { since: timedAt(entry) }) })
  },
  words: (plan, { step }) => `Begun: ${whatWaits(plan, step)}`,
}

const ending = { step: id, why: optional(why) } as const

const shortOf = (wait: Wait, waiting: Waiting, entry: Done<unknown>): Refusal | null => {
  const until = timedAt(entry)
  if (lengthOf(wait, waiting, until) !== 'short') return null
  const { since } = waiting.begun
  const { least } = endsOf(wait, since)
  return refusals.short({
    what: wait.what,
    // By a clock that stands before the beginning nothing of it has gone.
    still: stillText(until < since ? since : until, least!),
    wanted: lengthText(wait),
  })
}

const ended: ActKind<Shaped<typeof ending>> = {
  shape: ending,
  by: HANDS,
  corrected: 'take back',
  sameAgain: true,
  sense: (plan, state, { payload, role }) => {
    const at = waitOf(plan, state, payload.step)
    if (at.why) return at.why
    const waiting = state.waits.get(payload.step)
    if (!waiting) return refusals.notBegun({ what: at.wait.what })
    if (waiting.ended) return refusals.over({ what: at.wait.what })
    return payload.why !== undefined && role !== 'lead' ? refusals.leadCuts({ what: at.wait.what }) : null
  },
  live: ({ plan, state }, entry) => {
    const { step, why: cut } = entry.payload
    const short = cut === undefined && shortOf(plan.steps.get(step)!.wait!, state.waits.get(step)!, entry)
    return short ? [short] : []
  },
  apply: (state, entry) => {
    const { step, why: cut } = entry.payload
    const until = timedAt(entry)
    state.waits.set(step, {
      ...state.waits.get(step)!,
      ended: stamped(entry, state, { until, ...(cut === undefined ? {} : { why: cut }) }),
    })
  },
  words: (plan, { step, why: cut }) =>
    `${cut === undefined ? 'Over' : 'Cut short'}: ${whatWaits(plan, step)}${cut === undefined ? '' : `. ${cut}`}`,
}

/** What is to wait and has not begun. */
const toBegin: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap((step): Owing[] =>
    waitStands(state, step) === 'to begin'
      ? [
          {
            id: { kind: 'wait', step: step.id },
            station: step.station,
            what: `To begin: ${step.wait!.what}`,
            why: lengthText(step.wait!),
            step: step.id,
            settle: { to: 'wait', step: step.id },
          },
        ]
      : [],
  )

/** What turned out shorter or longer than the sheet says, and no lead cut it short. */
const wrongLength: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap((step): Owing[] => {
    const waiting = state.waits.get(step.id)
    if (!step.wait || !waiting?.ended || waiting.ended.why !== undefined) return []
    const length = lengthOf(step.wait, waiting)
    if (length === 'right') return []
    return [
      {
        id: { kind: 'wait length', step: step.id },
        station: step.station,
        what: `${step.wait.what}: ${spanText(waitedMs(waiting))}, ${length === 'short' ? 'too short' : 'too long'}`,
        why: `${lengthText(step.wait)} by the sheet. Take the step back and wait again, or a lead accepts it`,
        step: beforeCover(plan, step.id),
        settle: { to: 'step', step: step.id },
      },
    ]
  })

export const slice = () => ({
  /** By step. */
  waits: new Map<string, Waiting>(),
})
export const acts = { 'wait.begun': begun, 'wait.ended': ended }
export const owes = {
  'wait': owedKind({
    by: { step: id },
    words: (plan, { step }) => `To begin: ${whatWaits(plan, step)}`,
    never: () => 'begin it; a lead can cut it short, in writing',
    onceReached: true,
  }),
  'wait length': owedKind({
    by: { step: id },
    words: (plan, { step }) => `Too short or too long: ${whatWaits(plan, step)}`,
    basis: ({ state }, { step }) => [state.waits.get(step)?.ended].flatMap(one => one ?? []),
    holdsStart: true,
  }),
}
export const sources = [toBegin, wrongLength]
export const sections = {
  waits: section({
    title: 'Waits',
    in: 'work',
    rows: ({ plan, state, by: signed }) =>
      plan.sheet.steps.flatMap(step => {
        const waiting = state.waits.get(step.id)
        if (!step.wait || !waiting) return []
        const { begun: from, ended: to } = waiting
        return [
          {
            what: step.wait.what,
            at: step.title,
            wanted: lengthText(step.wait),
            took: to ? spanText(waitedMs(waiting)) : 'not over',
            from: from.since,
            verdict: to
              ? ({ short: 'Out', right: 'Holds', long: 'Out' } as const)[lengthOf(step.wait, waiting)]
              : ('Open' as const),
            cut: to?.why ?? null,
            ...signed(to ?? from),
          },
        ]
      }),
    columns: [
      { head: 'What', width: 5, cell: row => ({ ...text(row.what), small: [row.at] }) },
      { head: 'Wanted', width: 3, cell: row => ({ text: row.wanted, figures: true }) },
      {
        head: 'Took',
        width: 3,
        cell: row => ({
          text: row.took,
          figures: true,
          verdict: row.verdict,
          small: [`from ${utcText(row.from)}`, ...(row.cut ? [`Cut short: ${row.cut}`] : [])],
        }),
      },
      by(),
    ],
  }),
}
export const pads = { wait: { step: id } } as const
