import {
  asksOf,
  axisOf,
  basisOf,
  boltCount,
  checkAt,
  checkResults,
  competenceFor,
  confirmationOf,
  decidedWith,
  dotsTaken,
  easedOf,
  emptyFold,
  extend,
  findingsOn,
  hindrances,
  isDrawnUp,
  leftToLead,
  markOf,
  mediumsOf,
  newFrom,
  nextStep,
  obligations,
  partState,
  planIn,
  progressOf,
  proposalOf,
  proposalsOf,
  questionsAt,
  reportedSigns,
  readingIn,
  readingKey,
  sentenceOf,
  viewJob,
  wantedAt,
  weighCauses,
  type Act,
  type AnyEntry,
  type Cell,
  type Competence,
  type EntryKind,
  type Finding,
  type Folded,
  type Mark,
  type OwedId,
  type MateAnswer,
  type Noted,
  type Payloads,
  type Photo,
  type Role,
  type Said,
  type Settle,
} from '../core/job/index.ts'
import { withinTurn } from '../core/marks/index.ts'
import { passesOf, type PassWanted } from '../core/joints/index.ts'
import { fromBase } from '../core/quantity/index.ts'
import {
  durationMs,
  isDecided,
  type Check,
  type Decision,
  type Hold,
  type Look,
  type Mate,
  type Moment,
  type Plan,
  type Ref,
  type Step,
} from '../core/sheet/index.ts'
import type { AnySum } from '../core/sums/index.ts'

/** What the technician finds on this machine: figures, decisions, and how long a step takes. */
export interface Findings {
  /** One try of a check in a place, in base units. */
  reading: (check: Check, moment: Moment, cell: Cell, attempt: number) => number[]
  /** What is typed or chosen for one figure of a sum, in the unit of its field. */
  figure: (sum: AnySum, check: Check, moment: Moment, cell: Cell) => string
  choice: (ref: Ref) => Decision
  /** What is seen on a part at a look of the sheet; nothing where it is left out. */
  seen?: (ref: Ref, look: Look) => Finding[]
  /** The picture that is taken of something, where one is. */
  shot?: (of: Noted | null) => (Pick<Photo, 'sha256' | 'width' | 'height'> & { words: string }) | undefined
  /** What the machine says of itself; as the sheet writes it where it is left out. */
  fact?: (id: string, example: string) => string
  fitter: string
  lead: string
  /** What each holds papers for; left out, whoever does something holds what it asks for. */
  held?: Record<'fitter' | 'lead', readonly Competence[]>
}

export interface Clock {
  now: () => string
  id: () => string
  /** Between two steps the day may end: what is begun is finished first. */
  between?: () => void
  /** Lets time go by, ms. Where it cannot, a lead cuts short what waits. */
  pass?: (ms: number) => void
}

/**
 * Goes through a whole overhaul by the sheet, the way a careful fitter would, and leaves a ledger behind.
 * Used to give the demo fleet its past and the tests a machine in any state.
 */
export class Technician {
  folded: Folded = emptyFold()

  constructor(
    readonly opened: Plan,
    readonly findings: Findings,
    readonly clock: Clock,
    /** The next number on a tag or bag. */
    readonly label: () => number = counter(),
  ) {}

  /** The plan in force. */
  get plan(): Plan {
    return planIn(this.opened, this.folded.state)
  }

  act<K extends EntryKind>(kind: K, payload: Payloads[K], role: Role = 'fitter'): AnyEntry {
    return this.acts([{ kind, payload } as Act], role)[0]!
  }

  /** One press: everything done with it carries one number. */
  acts(acts: readonly Act[], role: Role = 'fitter'): AnyEntry[] {
    const madeBy = role === 'lead' ? this.findings.lead : this.findings.fitter
    const act = this.clock.id()
    const entries = acts.map((one, i) => {
      const madeAt = this.clock.now()
      return {
        id: i ? this.clock.id() : act,
        ...one,
        act,
        madeBy,
        role,
        madeAt,
        receivedAt: madeAt,
        seq: this.folded.entries.length + 1 + i,
      } as AnyEntry
    })
    this.folded = this.take(entries)
    return entries
  }

  /** Takes in what was done; what makes no sense is flagged. */
  protected take(entries: readonly AnyEntry[]): Folded {
    return extend(this.opened, this.folded, entries)
  }

  open(equipment: string, complaint: string, signs: readonly string[] = []): void {
    const { sheet, variants } = this.plan
    const reported = signs.length ? { complaint, signs } : { complaint }
    this.act('job.opened', { equipment, sheet: sheet.id, version: sheet.version, variants, ...reported })
  }

  /** Does steps in order until the given one is next, or until none is left; some of them said otherwise than right. */
  workUntil(stop?: string, otherwise: Readonly<Record<string, Said>> = {}): void {
    for (
      let step = nextStep(this.plan, this.folded.state);
      step && step.id !== stop;
      step = nextStep(this.plan, this.folded.state)
    ) {
      this.doStep(step, otherwise[step.id])
      if (this.folded.state.steps.has(step.id)) continue
      const flagged = this.folded.state.flags.at(-1)
      throw new Error(`“${step.title}” could not be done. ${flagged ? sentenceOf(flagged.why) : ''}`)
    }
  }

  /** Does a step, and says of it what is asked; something otherwise than it should be, where that is given. */
  doStep(step: Step, otherwise: Said = {}): void {
    this.prepare(step)
    const { doer } = step
    const on = doer && this.paperFor(doer, 'fitter')
    const said = { ...this.said(step), ...(on ? { on } : {}) }
    const acts = confirmationOf(this.plan, this.folded.state, step, saidOtherwise(said, otherwise))
    this.acts(acts, doer?.by === 'lead' ? 'lead' : 'fitter')
  }

  /** The paper that something is signed or done on, by whoever holds it. */
  private paperFor({ by, of }: Pick<Hold, 'by' | 'of'>, whose: 'fitter' | 'lead'): Competence | undefined {
    return by === 'lead'
      ? undefined
      : competenceFor({ by, of }, this.findings.held?.[whose] ?? [{ by, of: of! }], this.clock.now())
  }

  /** Everything that comes before a step is confirmed: cautions, marks, decisions, readings, bolts, signatures. */
  prepare(step: Step): void {
    this.clock.between?.()
    this.readyAgain(step)
    step.cautions?.forEach((_, caution) => this.act('caution.read', { step: step.id, caution }))
    // What one pad settles may open another: a sum asks for more, a choice brings checks with it.
    const worked = new Set<string>()
    for (let wanted = this.wantedAt(step); wanted.length; wanted = this.wantedAt(step)) {
      wanted = wanted.filter(at => !worked.has(JSON.stringify(at)))
      for (const at of wanted) {
        worked.add(JSON.stringify(at))
        this.work(step, at)
      }
      if (!wanted.some(({ to }) => to !== 'say')) break
    }
    if (step.hold) this.signHold(step.id, step.hold)
  }

  /** What the step wants of the pad. */
  private wantedAt(step: Step): Settle[] {
    const { plan } = this
    const { state } = this.folded
    const results = checkResults(plan, state)
    return wantedAt({ plan, state, results }, step, hindrances(plan, state, obligations(plan, state, results), step))
  }

  /** Works at a pad as a careful fitter does; what is said with the step itself is said with it. */
  private work(step: Step, at: Settle): void {
    if (at.to === 'wait') this.wait(this.plan.steps.get(at.step)!)
    else if (at.to === 'mark') this.mark(at.mate)
    else if (at.to === 'look') this.look(at.part, at.look)
    else if (at.to === 'axis') this.choose(at.axis)
    else if (at.to === 'cause') this.sayCause()
    else if (at.to === 'child') this.act('child.none', { part: at.part, why: 'Sound as it came out' })
    else if (at.to === 'decide') this.decideAll()
    else if (at.to === 'reading') this.measure(this.plan.checks.get(at.check)!, at.moment)
    else if (at.to === 'slackening') this.slacken(at.joint)
    else if (at.to === 'joint') this.pull(at.joint, step.joint?.act === 'nip' ? 'nip' : 'pull')
  }

  /** Reads what a wait begins on, and begins it. */
  begin(id: string): void {
    const { wait } = this.plan.steps.get(id)!
    for (const { check, moment } of this.plan.checksAt.get(id) ?? [])
      if (wait!.once?.includes(check.id)) this.measure(check, moment)
    if (!this.folded.state.waits.has(id)) this.act('wait.begun', { step: id })
  }

  /** Begins what waits, and stands by until it is over. */
  private wait({ id, wait }: Step): void {
    const stood = this.folded.state.waits.has(id)
    this.begin(id)
    if (stood) return
    const { least } = wait!
    if (this.clock.pass) this.clock.pass(least ? durationMs(least) : 0)
    else if (least) this.act('wait.ended', { step: id, why: 'Nobody had the time' }, 'lead')
  }

  /** What is decided at a step, as the readings speak for it; what is chosen already stands. */
  private choose(id: string): void {
    if (this.plan.variants[id] !== undefined) return
    const axis = axisOf(this.plan, id)
    const proposed = proposalOf(this.plan, viewJob(this.plan, this.folded.state).results, axis)
    const { choice, why } = proposed ?? { choice: axis.choices[0]!.id, why: 'as usual' }
    this.act('variant.changed', { axis: id, choice, why }, axis.decided!.by ?? 'fitter')
  }

  /** What it failed of: what most of what was found speaks for. */
  private sayCause(): void {
    const { plan } = this
    const { state } = this.folded
    const [first] = weighCauses({ plan, state, results: checkResults(plan, state) }).suspects
    this.act('cause.said', first ? { cause: first.id } : { cause: 'not found', why: 'Every part is sound' })
  }

  /** Looks at a part, and says what is found on it. */
  look(part: Ref, look: string | undefined): void {
    const asked = look === undefined ? undefined : this.plan.looks.get(look)
    const findings = (asked && this.findings.seen?.(part, asked)) ?? []
    const isPlaced = findings.some(one => one.deg !== undefined)
    const assembly = this.plan.parts.get(part)!.part.assembly
    const from = this.plan.sheet.assemblies.find(one => one.id === assembly)!.seenFrom
    this.act('part.looked', {
      part,
      ...(asked ? { look: asked.id } : {}),
      findings,
      ...(isPlaced ? { seenFrom: from } : {}),
    })
    if (asked) this.photograph({ what: 'look', id: asked.id, part })
  }

  /** Takes a picture, where there is one to be taken. */
  photograph(of: Noted | null): void {
    const shot = this.findings.shot?.(of)
    if (!shot) return
    const { sha256, width, height, words } = shot
    this.act('photo.added', { photo: this.clock.id(), sha256, width, height, words, ...(of ? { on: of } : {}) })
  }

  /** A mark as a careful fitter makes it: an angle at the top, a distance as the seal happens to sit. */
  mark(id: string): void {
    const { rule, mark } = this.plan.mates.get(id)!
    const where =
      rule.kind === 'distance'
        ? { mm: MARKED_MM, text: String(MARKED_MM) }
        : rule.kind === 'label'
          ? { label: rule.example }
          : rule.kind === 'dots'
            ? { dots: this.nextDots(id) }
            : { deg: 0 }
    this.act('mark.made', { mate: id, ...where, seenFrom: mark!.seenFrom, carrier: mark!.method })
  }

  /** As many dots as no other part of the kind has. */
  private nextDots(id: string): [number, number] {
    const mate = this.plan.mates.get(id)!
    const n = [1, 2, 3, 4, 5, 6].find(one => !dotsTaken(this.plan, this.folded.state, mate, one))!
    return [n, n]
  }

  /** Everything a step asks for, answered right. */
  said(step: Step): Said {
    const { bags, tags, counts, hands, mates, lubricants, found, facts } = asksOf(this.plan, this.folded.state, step)
    const { state } = this.folded
    return {
      bags: Object.fromEntries(bags.map(({ group }) => [group, `B${this.label()}`])),
      tags: Object.fromEntries(tags.map(ref => [ref, `T${this.label()}`])),
      counts: Object.fromEntries(
        counts.map(one => [
          one.key,
          one.must ??
            (one.part
              ? this.plan.parts.get(one.part)!.part.quantity!
              : step.leaves!.find(debt => debt.id === one.item)!.pieces!),
        ]),
      ),
      hands: Object.fromEntries(hands.map(({ place }) => [place, place])),
      mates: Object.fromEntries(mates.map(mate => [mate.id, rightAnswer(mate, markOf(state, mate))])),
      lubricants: Object.fromEntries(
        lubricants.map(({ on, medium, never }) => [on, medium ?? mediumsOf(this.plan).find(one => one !== never)!]),
      ),
      found: found?.words[0],
      facts: Object.fromEntries(
        facts.map(({ id, before, example }) => [id, before ?? this.findings.fact?.(id, example) ?? example]),
      ),
      started: Object.fromEntries(questionsAt(step).map(({ id, choices }) => [id, choices.find(one => one.met)!.say])),
    }
  }

  /** Reads a check cell by cell; one that is asked for only after another comes when it is. */
  measure(check: Check, moment: Moment): void {
    for (;;) {
      const { owed, worked } = checkResults(this.plan, this.folded.state).get(readingKey(check.id, moment))!
      if (!owed || !worked.missing.length) return
      const refused = this.folded.state.flags.length
      for (const cell of worked.missing) this.read(check, moment, cell, worked.sum)
      if (this.folded.state.flags.length > refused) return
    }
  }

  private read(check: Check, moment: Moment, cell: Cell, sum: AnySum): void {
    const own = checkAt(check, cell)
    const tries = sum.bench
      ? Array.from({ length: cell.tries }, (_, attempt) =>
          this.findings.reading(own, moment, cell, attempt).map(figure => typed(figure, own)),
        )
      : [[this.findings.figure(sum, check, moment, cell)]]
    const style = cell.row.of === 'lift' ? { style: 'signed readings' as const } : {}
    this.act('reading.taken', readingIn(check.id, moment, cell, tries, { instrument: check.instrument, ...style }))
  }

  decideAll(): void {
    const { plan } = this
    const { state } = this.folded
    const open = [...plan.parts].flatMap(([ref, { part }]) => {
      const { where, renewed } = partState(state, ref)
      const decidesItself = !isDecided(part) && part.renewal !== 'always'
      return where === 'off' && !renewed && !decidesItself ? [ref] : []
    })
    // What goes back, and nothing that was read or seen says anything of, is decided together.
    const proposals = proposalsOf(plan, state, checkResults(plan, state))
    const isPlain = (ref: Ref) =>
      plan.parts.get(ref)!.part.renewal !== 'always' &&
      this.findings.choice(ref) === 'reuse' &&
      !proposals.has(ref) &&
      !findingsOn(plan, state, ref).length &&
      leftToLead(plan, state, ref) === null
    const plain = new Set(open.filter(isPlain))
    if (plain.size) this.act('part.decided', decidedWith([...plain], 'reuse', undefined))
    for (const ref of open) if (!plain.has(ref)) this.decide(ref)
  }

  private decide(ref: Ref): void {
    const { part } = this.plan.parts.get(ref)!
    const { state } = this.folded
    const proposed = proposalsOf(this.plan, state, checkResults(this.plan, state)).get(ref)
    // What fails by eye does not go back.
    const isFailed = findingsOn(this.plan, state, ref).some(one => one.verdict === 'Out')
    const choice =
      part.renewal === 'always' ? 'renew' : isFailed && proposed ? proposed.choice : this.findings.choice(ref)
    if (part.renewal !== 'always') {
      const isAsked = choice === 'reuse' && leftToLead(this.plan, state, ref) !== null
      const why = isAsked || (proposed && proposed.choice !== choice) ? 'Looked at together' : undefined
      this.act('part.decided', decidedWith([ref], choice, proposed, why))
    }
    if (choice === 'renew') this.act('part.renewed', { part: ref, from: newFrom(part) })
    if (choice === 'rework' || choice === 'send out') this.act('part.returned', { part: ref })
  }

  /** What came off again since it was decided is decided again, where it was harmed or is always new. */
  private readyAgain({ station, fits = [] }: Step): void {
    if (station === 'strip') return
    for (const ref of fits) {
      const { where, decision, renewed } = partState(this.folded.state, ref)
      const { part } = this.plan.parts.get(ref)!
      const isReady = part.renewal === 'always' ? renewed : (decision ?? part.joins)
      if (where === 'off' && !isReady) this.decide(ref)
    }
  }

  /** Draws a joint up as far as a step does, in the sheet's order, and locks it. */
  pull(id: string, way: 'nip' | 'pull' = 'pull'): void {
    const joint = this.plan.joints.get(id)!
    for (let i = 0; i < passesOf(joint).length * boltCount(joint); i++) {
      const progress = progressOf(joint, this.folded.state)
      const { pass, next: bolt, wanted } = progress
      if (isDrawnUp(joint, way, progress) || pass === null || bolt === null || !wanted) break
      this.act('bolt.pulled', { joint: id, pass, bolt, ...pullAsWanted(wanted) })
    }
    const { locking } = joint
    if (!locking || way === 'nip') return
    const say = locking.choices.find(one => one.met)!.say
    this.act('joint.locked', { joint: id, say, ...(locking.newPieces ? { newPieces: locking.newPieces.pieces } : {}) })
  }

  /** Eases a joint bolt by bolt, where the sheet gives an order for that. */
  slacken(id: string): void {
    const joint = this.plan.joints.get(id)!
    if (!joint.slacken) return
    for (
      let bolt = easedOf(joint, this.folded.state).next;
      bolt !== null;
      bolt = easedOf(joint, this.folded.state).next
    )
      this.act('bolt.eased', { joint: id, bolt })
  }

  /** A second pair of eyes signs: on what the lead holds, where the sheet asks for more than a lead. */
  signHold(step: string, hold: Hold): void {
    const on = this.paperFor(hold, 'lead')
    const basis = this.basis({ kind: 'hold', step })
    this.act('hold.signed', { step, basis, ...(on ? { on } : {}) }, 'lead')
  }

  /** The acts that something owed rests on now. */
  basis(of: OwedId): string[] {
    return basisOf(this.plan, this.folded.state, of)
  }

  /** A lead lets something owed pass, as it is now. */
  concede(of: OwedId, why: string, more: { onlyLead?: boolean } = {}): void {
    this.act('concession.given', { of, basis: this.basis(of), why, ...more }, 'lead')
  }

  /** Hands the machine back, with a lead's written concession for whatever still stands against it. */
  sign(cured: Payloads['job.signed']['cured'], cause?: string): void {
    for (const { id } of reportedSigns(this.plan, this.folded.state))
      this.act('sign.answered', { sign: id, how: HOW[cured], was: cause ?? 'Wear' })
    for (const one of viewJob(this.plan, this.folded.state).owed)
      this.concede(one.id, 'Accepted for one season; renew at the next overhaul')
    this.act('job.signed', { cured, ...(cause ? { cause } : {}) }, 'lead')
  }

  /** What hinders the step now next; empty when it may be done. */
  hindered(): string[] {
    const step = nextStep(this.plan, this.folded.state)
    const { owed } = viewJob(this.plan, this.folded.state)
    return step ? hindrances(this.plan, this.folded.state, owed, step).map(one => one.text) : []
  }
}

/** What is said, with some of it said otherwise. */
export function saidOtherwise(right: Said, otherwise: Said): Said {
  const said: Said = { ...right, ...otherwise }
  for (const key of ['tags', 'bags', 'counts', 'hands', 'mates', 'lubricants'] as const)
    Object.assign(said, { [key]: { ...right[key], ...otherwise[key] } })
  return said
}

/** How each sign is answered where the complaint is cured so. */
const HOW = { 'yes': 'gone', 'no': 'not gone', 'not known yet': 'no cause found' } as const

/** Where the scribed line of a seal lies in the demo, mm from its datum. */
const MARKED_MM = 42

const counter =
  (from = 0) =>
  () =>
    ++from

/** How two parts are seen to stand when they stand right. */
export function rightAnswer(
  { rule }: Mate,
  mark: Pick<Mark, 'deg' | 'mm' | 'label' | 'dots'> | undefined,
): Omit<MateAnswer, 'mate'> {
  if (rule.kind === 'seen') return { say: rule.choices.find(one => one.met)!.say }
  if (!mark) return { say: 'set without its mark' }
  if (rule.kind === 'label') return { label: mark.label! }
  if (rule.kind === 'dots') return { dots: mark.dots! }
  if (rule.kind === 'distance') return { mm: mark.mm!, text: String(mark.mm!) }
  return { deg: withinTurn(mark.deg! + (rule.kind === 'aligned' ? (rule.deg ?? 0) : 0)) }
}

/** A figure as it would be typed into the check's field. */
const typed = (figure: number, check: Check) => {
  if (check.choices) return check.choices[figure]?.say ?? ''
  const shown = fromBase(figure, check.unit)
  const short = shown.toFixed(check.decimals)
  return Math.abs(Number(short) - shown) < 1e-9 ? short : String(Number(shown.toPrecision(12)))
}

/** A pull that is what its pass wants. */
function pullAsWanted(wanted: PassWanted): Partial<Payloads['bolt.pulled']> {
  if (wanted.by === 'felt') return { felt: wanted.choices.find(one => one.met)!.say }
  return wanted.by === 'torque' ? { torqueNm: wanted.target, text: String(wanted.target) } : { deg: wanted.target }
}
