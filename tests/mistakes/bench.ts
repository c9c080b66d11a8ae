import {
  asksOf,
  checkResults,
  codeOf,
  decidedWith,
  findingText,
  judgedFinding,
  oddnessOf,
  proposalsOf,
  readDraft,
  readingKey,
  hindrances,
  answerText,
  lacks,
  lostWords,
  refusalOf,
  sentenceOf,
  standsMet,
  viewJob,
  type EntryKind,
  type Obligation,
  type Payloads,
  type Role,
  type Said,
} from '../../core/job/index.ts'
import { PROPOSED_WORDS } from '../../core/looks/index.ts'
import { VERDICT_WORDS } from '../../core/verdict.ts'
import type { Decision, Moment, Ref, Step, Variants } from '../../core/sheet/index.ts'
import { seenIn } from '../../demo/figures.ts'
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

  /** Looks at a part and sees this on it; what it tells and proposes is said beside it. */
  sees(look: string, part: Ref, found: string): this {
    const asked = this.plan.looks.get(look)!
    const findings = seenIn(found, asked)
    const { seen } = this.by.findings
    this.by.findings.seen = (ref, at) => (ref === part && at.id === look ? findings : (seen?.(ref, at) ?? []))
    for (const one of findings) {
      const at = { part, look }
      const { proposes } = judgedFinding(this.plan, at, one)
      this.heard.push(
        `${findingText(this.plan, at, one)}. ${codeOf(this.plan, at, one).tells}. ${PROPOSED_WORDS[proposes]}.`,
      )
    }
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
    // At the time that the work has come to: what waits has not waited any longer.
    const madeAt = this.by.folded.entries.at(-1)!.madeAt
    const why = refusalOf(this.by.opened, this.by.folded, entryOf(kind, payload, { role, madeAt, receivedAt: madeAt }))
    if (why) {
      this.heard.push(sentenceOf(why))
      if ('step' in payload && payload.step) this.refused.add(String(payload.step))
    } else this.by.act(kind, payload, role)
    return this
  }

  /** Reads what a step warns of. */
  readsCautions(step: string): this {
    this.step(step).cautions?.forEach((_, caution) => this.tries('caution.read', { step, caution }))
    return this
  }

  /** Begins what waits at a step, once what it begins on is read. */
  begins(step: string): this {
    for (const id of this.step(step).wait?.once ?? []) {
      const check = this.plan.checks.get(id)!
      this.by.measure(check, check.at.find(one => one.step === step)!.moment)
    }
    return this.readsCautions(step).tries('wait.begun', { step })
  }

  /**
   * Types a figure without its unit, and is asked before it is kept; the one that is right is not asked about.
   * @param at check and moment, and the place where there are several
   * @param last what the last overhaul found there
   */
  types(at: string, value: number, { last, right }: { last?: number; right: number }): this {
    const [check, moment, ...place] = at.split(' ') as [string, Moment, ...string[]]
    const now = checkResults(this.plan, this.by.folded.state).get(readingKey(check, moment))!
    const cell = now.worked.cells.find(one => !place.length || one.place === place.join(' '))!
    const asked = (read: number) =>
      oddnessOf(readDraft(this.plan, now, cell, { values: [cell.row.figures === 2 ? [0, read] : [read]] }), cell, {
        found: last === undefined ? {} : { '': last },
        system: 'mm',
        bareIn: now.check.unit,
        results: viewJob(this.plan, this.by.folded.state).results,
      })
    if (asked(right) !== null) throw new Error(`The right figure is asked about: ${asked(right)}`)
    const why = asked(value)
    if (!why) return this
    this.heard.push(why)
    this.refused.add(now.check.at.find(one => one.moment === moment)!.step)
    return this
  }

  /** Decides a part, and what is proposed for it is said with it. */
  decides(part: Ref, choice: Decision, why?: string): this {
    const { state } = this.by.folded
    const proposal = proposalsOf(this.plan, state, viewJob(this.plan, state).results).get(part)
    const payload = decidedWith([part], choice, proposal, why)
    const refused = refusalOf(this.by.opened, this.by.folded, entryOf('part.decided', payload, { role: 'fitter' }))
    if (refused) {
      this.heard.push(sentenceOf(refused))
      this.refused.add('decide')
    } else this.by.act('part.decided', payload)
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
        : own.some(one => one.step === id && !one.withItsStep) || this.isHindered(id, own)
    return this.plan.sheet.steps.filter(isStopped).map(step => step.id)
  }

  /** Whether a step is not done over something of what is owed: what is wrong and stops it, or all there is where it starts the machine. */
  private isHindered(id: string, own: readonly Obligation[]): boolean {
    const { state } = this.by.folded
    const step = this.step(id)
    const held = own.filter(one => step.starts || one.wrong?.stops.has(id))
    if (!held.length) return false
    const texts = hindrances(this.plan, state, viewJob(this.plan, state).owed, step).map(one => one.text)
    return held.some(one => texts.includes(one.what))
  }

  /** Everything that is said by now: at once, or owed before something is shut. */
  said(): { text: string; noticed: string }[] {
    const { results, owed } = viewJob(this.plan, this.by.folded.state)
    const read = [...results.values()].flatMap(({ check, judgement: { verdict }, consequence, again, owed: is }) => [
      ...(is && consequence ? [`${check.title}: ${VERDICT_WORDS[verdict]}. ${consequence}`] : []),
      ...(is && again ? [`${check.title}: ${again}`] : []),
    ])
    return [
      ...[...this.heard, ...read].map(text => ({ text, noticed: AT_ONCE })),
      ...owed.map(one => ({ text: `${one.what}. ${one.why}`, noticed: `before: ${one.blocks}` })),
    ]
  }
}

type Told = Pick<Mistake, 'what' | 'at' | 'stopped' | 'means'>

/** What is seen, an angle, dots on either side, or an answer as the pad gives it: a label, a distance as it was typed. */
type Answered = string | number | [number, number] | NonNullable<Said['mates']>[string]
function answerOf(answer: Answered): NonNullable<Said['mates']>[string] {
  if (typeof answer === 'string') return { say: answer }
  if (typeof answer === 'number') return { deg: answer }
  return Array.isArray(answer) ? { dots: answer } : answer
}

/** A part that failed by eye goes back all the same, with a reason written down: its step is stopped. */
export const goesBack = (
  { what, at, stopped, means }: Told,
  [look, part, found]: [look: string, part: Ref, found: string],
): Mistake => ({
  ...{ what, at, stopped, means, says: /is proposed\./, noticed: AT_ONCE },
  does: bench => {
    bench.sees(look, part, found).does(at)
    bench.decides(part, 'reuse', 'It has run so for years')
  },
})

/** Two parts stand otherwise than they must, and it is said as it is seen. */
export const stands = (
  what: string,
  at: string,
  mate: string,
  answer: Answered,
  stopped: string,
  means: RegExp,
): Mistake => ({
  ...{ what, at, stopped, means, says: /Not met/, noticed: AT_ONCE },
  does: bench => bench.does(at, { mates: { [mate]: answerOf(answer) } }),
})

/** Something goes on a face that does not belong there: its own step is not done so. */
export const smeared = (what: string, at: string, on: string, medium: string, means: RegExp): Mistake => ({
  ...{ what, at, means, stopped: at, says: /is wanted|never that/, noticed: AT_ONCE },
  does: bench => bench.does(at, { lubricants: { [on]: medium } }),
})

/** Pieces that do not all come out, or do not all go back. */
export const short = (
  what: string,
  at: string,
  counts: Record<string, number>,
  stopped: string,
  blocks = 'cover',
): Mistake => ({
  ...{ what, at, stopped, means: /count again/, says: /came off|went back/, noticed: `before: ${blocks}` },
  does: bench => bench.does(at, { counts }),
})

/** Something that was laid in for the time being does not all come out: the step that takes it out is not done so. */
export const leftIn = (what: string, at: string, counts: Record<string, number>, says: RegExp): Mistake => ({
  ...{ what, at, says, means: /still in: find it/, stopped: at, noticed: AT_ONCE },
  does: bench => bench.does(at, { counts }),
})

/** The same on machines that are built so. */
export const on = (variants: Variants, mistakes: readonly Mistake[]): Mistake[] =>
  mistakes.map(one => ({ ...one, variants }))

/** What waits is gone on from as soon as it is begun. */
export const hurried = (what: string, at: string, says: RegExp): Mistake => ({
  ...{ what, at, says, means: /to go/, stopped: at, noticed: AT_ONCE },
  does: bench => void bench.begins(at).tries('wait.ended', { step: at }),
})

/** What waits is begun on something that is not as it has to be: it is not begun so. */
export const unready = (what: string, at: string, read: Read, means: RegExp): Mistake => ({
  ...{ what, at, means, stopped: at, says: /: Failed\./, noticed: AT_ONCE },
  does: bench => void bench.reads(read).begins(at),
})

/** A step is gone to before the one that had to be done first; what comes of that is said. */
export const early = (
  what: string,
  at: string,
  to: string,
  means: RegExp,
  { lifts, fits = [] }: { lifts?: string[]; fits?: string[] } = {},
): Mistake => ({
  ...{ what, at, means, stopped: to, says: /first|before/i, noticed: AT_ONCE },
  does: bench => {
    bench.readsCautions(to)
    for (const part of fits) bench.tries('part.refitted', { part, step: to })
    if (lifts) bench.tries('part.lifted', { parts: lifts, step: to })
    else if (!fits.length) bench.tries('step.done', { step: to })
  },
})

/** Another than the one of this place is in the hand. */
export const inHand = (what: string, at: string, hands: Record<string, string>, means: RegExp): Mistake => ({
  ...{ what, at, means, stopped: at, says: /is in the hand for/, noticed: AT_ONCE },
  does: bench => bench.does(at, { hands }),
})

/** Each of two parts goes into the place of the other. */
export const exchanged = ({ what, at, stopped, means }: Told, [one, other]: [Ref, Ref], gate: string): Mistake => ({
  ...{ what, at, stopped, means, says: /is in the place of/, noticed: `before: ${gate}` },
  does: bench => bench.does(at, swapped(one, other)),
})

/** Something reads otherwise than it may, and the step is gone on from. */
export const outAt = ({ what, at, stopped, means }: Told, read: Read): Mistake => ({
  ...{ what, at, stopped, means, says: /: Failed\./, noticed: AT_ONCE },
  does: bench => bench.reads(read).does(at),
})

/** The machine is left otherwise than it should be, at the last step of its sheet. */
export const leftSo = (what: string, read: Read, means: RegExp): Mistake =>
  outAt({ what, means, at: 'handed-over', stopped: 'handed-over' }, read)

/** Something reads so in a trial, and is gone on from as soon as what was on for it is off again. */
export const inTrial = (off: string, told: Told, read: Read): Mistake => ({
  ...outAt(told, read),
  does: bench => bench.reads(read).does(told.at).does(off),
})

/** A figure that cannot be what the gauge shows, or not in that unit: it is asked before it is kept. */
export const slip = (
  what: string,
  at: string,
  [key, value, right, last]: [key: string, value: number, right: number, last?: number],
  says: RegExp,
): Mistake => ({
  ...{ what, at, says, means: /Is (that what|it)|Which of them/, stopped: at, noticed: AT_ONCE },
  does: bench => {
    bench.by.prepare(bench.step(at))
    bench.types(key, value, { right, last })
  },
})

/** What was found is decided against, and nobody is told why. */
export const against = (
  what: string,
  found: Read | [look: string, part: Ref, found: string],
  [part, choice]: [Ref, Decision],
  means: RegExp,
  seenAt: string,
): Mistake => ({
  ...{ what, at: seenAt, means, says: /is proposed\. Say why/, stopped: 'decide', noticed: AT_ONCE },
  does: bench => {
    if (Array.isArray(found)) bench.sees(...found).by.workUntil('decide')
    else bench.reads(found).by.workUntil('decide')
    bench.decides(part, choice)
  },
})

/** Something is found in passing that came off something, and nobody says what that was. */
export const strange = (what: string, at: string, word: string, blocks = 'cover'): Mistake => ({
  ...{ what, at, stopped: 'decide', noticed: `before: ${blocks}` },
  ...{ says: /^Where did it come from/, means: /came off something/ },
  does: bench => bench.does(at, { found: word }),
})

/** The start is tried with the locks on, and it turns: the wrong breaker is locked. */
export const startsLocked = (place = ''): Mistake =>
  outAt(
    { what: 'The start is tried, and it turns', at: 'try-start', stopped: 'try-start', means: /wrong breaker/ },
    { [`try-start ${place}`.trim()]: 'it turns or hums' },
  )
