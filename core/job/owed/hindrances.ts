import type { Plan, Step } from '../../sheet/index.ts'
import { reasonsAt } from './gate.ts'
import { keyOf, type OwedKind } from './id.ts'
import { heldAtStart } from './starts.ts'
import type { Obligation, Settle } from './owing.ts'
import { tightens } from '../parts/joints.ts'
import { unmetNeeds } from '../parts/needs.ts'
import { firstWords } from '../ledger/words.ts'
import { cautionKey, type JobState } from '../ledger/state.ts'

/** Why a step cannot be done yet, and where that is settled. */
export interface Hindrance {
  text: string
  settle: Settle | { to: 'caution'; step: string; caution: number }
  /** What comes of it, where something is wrong that must be put right first. */
  wrong?: string
  /** The debt that it is, for whoever would let it pass. */
  key?: string
}

/** Who is about to do a step, and when: a caution is read by whoever does it, once a shift. */
export interface Reader {
  person: string
  at: string
}
const SHIFT_MS = 12 * 3_600_000

/** Whether a caution is read: by this person within the last twelve hours, or by anybody where nobody is named. */
export function isCautionRead(state: JobState, step: string, caution: number, reader?: Reader): boolean {
  const read = state.cautions.get(cautionKey(step, caution))
  if (!reader || !read) return Boolean(read?.size)
  const last = read.get(reader.person)
  return last !== undefined && Date.parse(reader.at) - Date.parse(last.at) < SHIFT_MS
}

/** What keeps a step that makes the machine safe, beside its cautions: what is read there, and what stands there for its time. */
const SAFETY: ReadonlySet<string> = new Set<OwedKind>(['reading', 'wait'])

/** At a step that draws a joint up: what comes before that, the joint, and what is read of it drawn up. */
function turnAt(plan: Plan, step: Step, { kind, settle, step: at }: Obligation): number {
  if (!tightens(step) || at !== step.id) return 0
  if (kind === 'joint') return 1
  return settle.to === 'reading' && plan.checks.get(settle.check)?.before !== step.id ? 2 : 0
}

/**
 * What stands between now and a step: steps before it, cautions unread, evidence owed,
 * decisions and new parts missing, a joint not torqued, what is wrong with what it would build on, tighten or load, and for
 * the step that shuts the case everything the gate names, for one that starts the machine everything wrong with it.
 * What is wrong stands first. Making safe waits for its own steps, their readings, waits and cautions, whatever else has not been
 * read. Empty when the step may be done.
 */
export function hindrances(
  plan: Plan,
  state: JobState,
  owed: readonly Obligation[],
  step: Step,
  reader?: Reader,
): Hindrance[] {
  // The gate names every step before the cover by itself; nothing but its own steps keeps a machine from being made safe.
  const isSafety = step.station === 'make-safe'
  const needs = step.closes
    ? []
    : unmetNeeds(plan, state, step)
        .filter(need => !isSafety || need.station === 'make-safe')
        .map((need): Hindrance => ({
          text: firstWords(need),
          settle: { to: 'step', step: need.id },
        }))
  const cautions = (step.cautions ?? []).flatMap((caution, i): Hindrance[] =>
    isCautionRead(state, step.id, i, reader)
      ? []
      : [{ text: `Read: ${caution.word}`, settle: { to: 'caution', step: step.id, caution: i } }],
  )
  const said = (o: Obligation): Hindrance => ({
    text: o.what,
    // At its own step a joint is drawn up, and not gone to.
    settle: o.kind === 'joint' && o.step === step.id ? { to: 'joint', joint: step.joint!.id } : o.settle,
    ...(o.wrong ? { wrong: o.why, key: o.key } : {}),
  })
  const destroys = new Set((step.destroys ?? []).map(one => keyOf({ kind: 'reading', ...one })))
  if (isSafety) {
    const own = owed.filter(o => SAFETY.has(o.kind) && o.step === step.id && !destroys.has(o.key))
    // A start that was tried and did start, pressure that is still in it: nothing is safe before that is mended.
    const wrong = owed.filter(
      o => o.wrong?.stops.has(step.id) && plan.steps.get(o.wrong.at ?? '')?.station === 'make-safe',
    )
    return [...wrong.map(said), ...needs, ...cautions, ...own.filter(o => !wrong.includes(o)).map(said)]
  }
  const destroyed = owed.filter(o => destroys.has(o.key))
  // What waits for the parts this step fits is settled before it; a tag or bag does not hold up the hand that fits, and
  // how parts stand is said with the step itself.
  const own = owed
    .filter(o => (o.step === step.id && !o.withItsStep) || o.wrong?.stops.has(step.id))
    .sort((a, b) => turnAt(plan, step, a) - turnAt(plan, step, b))
  const gate = step.closes ? reasonsAt(plan, owed, step.id) : []
  const start = heldAtStart(plan, owed, step)
  const from = [...new Map([...destroyed, ...own, ...gate, ...start].map(o => [o.key, o])).values()]
  return [...from.filter(o => o.wrong).map(said), ...needs, ...cautions, ...from.filter(o => !o.wrong).map(said)]
}
