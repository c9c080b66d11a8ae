import {
  asksOf,
  answerText,
  lacks,
  lostWords,
  refusalOf,
  sentenceOf,
  standsMet,
  viewJob,
  type EntryKind,
  type Payloads,
  type Role,
  type Said,
} from '../../core/job/index.ts'
import type { Step, Variants } from '../../core/sheet/index.ts'
import { saidOtherwise, type Technician } from '../../demo/technician.ts'
import { entryOf } from '../pump.ts'
import { findingsOf, type Read } from '../sheets.ts'

/** What somebody tired does at a step, and how it is caught. */
export interface Mistake {
  what: string
  /** The step at which it is done; all before it is done right. */
  at: string
  variants?: Variants
  does: (bench: Bench) => void
  /** What Needler says, and what that does to the machine: both in one breath. */
  says: RegExp
  means: RegExp
  /** The step that it stops first: its own, where that is refused as it is done so; none where nothing may be stopped. */
  stopped: string | null
  /** At once, or before something is shut. */
  noticed: string
  /** What is renewed for it, where the readings alone do not tell which part it is. */
  renews?: string[]
}

/** One family's mistakes: its sheet, and what is read of a machine in good order. */
export interface Mistakes {
  family: string
  sheet: string
  figures: (variants: Variants) => Read
  mistakes: Mistake[]
}

export const AT_ONCE = 'at once'

/** Two parts of a kind, each put where the other belongs, on purpose. */
export const swapped = (one: string, other: string): Said => ({
  hands: { [one]: other, [other]: one },
  swapped: [one, other],
})

/** A bench at which something may be done wrong. What is said of it the moment it is done is kept. */
export class Bench {
  readonly heard: string[] = []
  /** Steps that were refused, done so. */
  private readonly refused = new Set<string>()

  constructor(
    readonly by: Technician,
    private readonly figures: Read,
  ) {}

  get plan() {
    return this.by.plan
  }

  step(id: string): Step {
    return this.plan.steps.get(id)!
  }

  /** From now on some of the figures are others. */
  reads(other: Read): this {
    Object.assign(this.by.findings, findingsOf({ ...this.figures, ...other }, true))
    return this
  }

  /** Does a step, with some of it said otherwise than it should be. */
  does(id: string, otherwise: Said = {}): this {
    const step = this.step(id)
    this.by.prepare(step)
    const said = saidOtherwise(this.by.said(step), otherwise)
    const lacking = lacks(this.plan, asksOf(this.plan, this.by.folded.state, step, said), said)
    const lost = lostWords(asksOf(this.plan, this.by.folded.state, step, said))
    this.heard.push(...lacking, ...(lost ? [lost] : []))
    for (const [mate, answer] of Object.entries(said.mates ?? {})) this.stands(mate, answer)
    // What is not said right is not sent.
    if (lacking.length) {
      this.refused.add(id)
      return this
    }
    const before = this.by.folded.state.flags.length
    this.by.doStep(step, otherwise)
    const flags = this.by.folded.state.flags.slice(before)
    this.heard.push(...flags.map(one => sentenceOf(one.why)))
    if (flags.length) this.refused.add(id)
    return this
  }

  /** What the pad says of an answer. */
  private stands(id: string, answer: NonNullable<Said['mates']>[string]) {
    const mate = this.plan.mates.get(id)!
    const whole = { mate: id, ...answer }
    if (!standsMet(this.by.folded.state, mate, whole))
      this.heard.push(`${mate.title}: ${answerText(whole)}. Not met. ${mate.ifWrong}`)
  }

  /** Tries something that is not to be. */
  tries<K extends EntryKind>(kind: K, payload: Payloads[K], role: Role = 'fitter'): this {
    const why = refusalOf(this.by.opened, this.by.folded, entryOf(kind, payload, { role }))
    if (why) {
      this.heard.push(sentenceOf(why))
      if ('step' in payload && payload.step) this.refused.add(String(payload.step))
    } else this.by.act(kind, payload, role)
    return this
  }

  /** The steps that are stopped by what another does not owe, in their order: where one was refused as it was done, that one. */
  stoppedBefore(right: Bench): string[] {
    const { owed } = viewJob(this.plan, this.by.folded.state)
    const known = new Set(viewJob(right.plan, right.by.folded.state).owed.map(one => one.key))
    const own = owed.filter(one => !known.has(one.key))
    const isStopped = ({ id }: Step) =>
      this.refused.size
        ? this.refused.has(id)
        : own.some(one => (one.step === id && !one.withItsStep) || one.wrong?.stops.has(id))
    return this.plan.sheet.steps.filter(isStopped).map(step => step.id)
  }

  /** Everything that is said by now: at once, or owed before something is shut. */
  said(): { text: string; noticed: string }[] {
    const { results, owed } = viewJob(this.plan, this.by.folded.state)
    const read = [...results.values()].flatMap(({ check, judgement: { verdict }, consequence, again, owed: is }) => [
      ...(is && consequence ? [`${check.title}: ${verdict}. ${consequence}`] : []),
      ...(is && again ? [`${check.title}: ${again}`] : []),
    ])
    return [
      ...[...this.heard, ...read].map(text => ({ text, noticed: AT_ONCE })),
      ...owed.map(one => ({ text: `${one.what}. ${one.why}`, noticed: `before: ${one.blocks}` })),
    ]
  }
}
