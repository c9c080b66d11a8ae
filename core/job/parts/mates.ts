import { clockText, missOf } from '../../marks/index.ts'
import { fixed, parseQuantity } from '../../quantity/index.ts'
import {
  isAskedBack,
  viewWords,
  type AskedChoice,
  type Check,
  type Mate,
  type Plan,
  type Ref,
  type Step,
} from '../../sheet/index.ts'
import type { Mark } from '../features/marks.ts'
import type { MateAnswer } from '../features/mates.ts'
import { partState } from '../ledger/part.ts'
import { refusalsAbout, type Refusal } from '../../refusal.ts'
import { allSaid } from '../ledger/seen.ts'
import type { JobState } from '../ledger/state.ts'

const refusals = refusalsAbout('mate', {
  unreadable: ({ why }: { why: string }) => why,
  differs: ({ mate, text }: { mate: string; text: string }) =>
    `${mate}: “${text}” and the figure sent with it differ. Type it again.`,
  noNeighbours: ({ mate, one, other, teeth }: { mate: string; one: number; other: number; teeth: number }) =>
    `${mate}: teeth ${one} and ${other} of ${teeth} are no neighbours, and one tooth stands between two that are. Read the numbers again.`,
  noDots: ({ mate }: { mate: string }) => `${mate}: say how many punch dots there are on each side, the same on both.`,
  sameDots: ({ mate, dots, other }: { mate: string; dots: string; other: string }) =>
    `${mate}: ${other} has ${dots} already. Punch another number, so that the two are told apart.`,
  noLabel: ({ mate, example }: { mate: string; example: string }) =>
    `${mate}: write what is read there, as in “${example}”.`,
})

type MarkAt = Pick<Mark, 'deg' | 'mm' | 'label' | 'dots'>

type Marked = Pick<JobState, 'marks'>

/**
 * The marks a mate is held against: the one that was made, or the maker's stamp, whose angle is taken from the top. Several
 * where tablets that had not seen each other each made one.
 */
function marksOf({ marks }: Marked, { id, mark }: Mate): MarkAt[] {
  const made = marks.get(id)
  return made ? allSaid<Mark>(made) : mark?.stamped ? [{ deg: 0 }] : []
}

/** The mark of a mate that stands first. */
export const markOf = (state: Marked, mate: Mate): MarkAt | undefined => marksOf(state, mate)[0]

/** A label as it is compared: letters and figures, however they are parted or written. */
const spelt = (label: string) =>
  label
    .toLowerCase()
    .match(/\p{L}+|\p{N}+/gu)
    ?.join(' ') ?? ''

/** How far a part stands from its mark: degrees for an angle, millimetres for a distance; null where there is no such figure. */
export function missedBy({ rule }: Mate, mark: MarkAt | undefined, answer: MateAnswer): number | null {
  if (rule.kind === 'aligned' && mark?.deg !== undefined && answer.deg !== undefined)
    return missOf(answer.deg - mark.deg, { deg: rule.deg ?? 0, symmetry: rule.symmetry })
  if (rule.kind === 'distance' && mark?.mm !== undefined && answer.mm !== undefined)
    return Math.abs(answer.mm - mark.mm)
  return null
}

/** Where a label is read that another was marked with, at the same part: they are crossed. */
export function crossedWith(plan: Plan, state: Marked, mate: Mate, answer: MateAnswer): Mate | undefined {
  const { label } = answer
  if (mate.rule.kind !== 'label' || label === undefined) return undefined
  return [...plan.mates.values()].find(
    one =>
      one !== mate &&
      one.a === mate.a &&
      one.rule.kind === 'label' &&
      marksOf(state, one).some(mark => mark.label !== undefined && spelt(mark.label) === spelt(label)),
  )
}

/** An aligned mark with nothing said of it may stand this far off, degrees. */
const USUAL_TOLERANCE_DEG = 5
/** Angles and decimals that meet on paper meet. */
const EDGE = 1e-9

/**
 * Whether two parts stand the way their rule asks. The one rule for pad, gate and record. Where the mark was lost, what
 * was written of how it was set stands for it.
 */
export function mateMet(mate: Mate, mark: MarkAt | undefined, answer: MateAnswer): boolean {
  const { rule } = mate
  if (answer.notYet) return false
  if (rule.kind === 'seen') return rule.choices.some(one => one.met && one.say === answer.say)
  if (rule.kind === 'label' && mark?.label !== undefined && answer.label !== undefined)
    return spelt(mark.label) === spelt(answer.label)
  if (rule.kind === 'dots' && mark?.dots && answer.dots) return answer.dots.every(one => one === mark.dots![0])
  const missed = missedBy(mate, mark, answer)
  if (missed === null) return !isAskedBack(mate) || Boolean(answer.say)
  const tolerance = rule.kind === 'distance' ? rule.toleranceMm : toleranceDegOf(mate)
  return missed <= tolerance + EDGE
}

/** Whether two parts stand the way their rule asks, by every mark that was made of it. */
export function standsMet(state: Marked, mate: Mate, answer: MateAnswer): boolean {
  const marks = marksOf(state, mate)
  return marks.length ? marks.every(mark => mateMet(mate, mark, answer)) : mateMet(mate, undefined, answer)
}

/** Whether two parts were seen to stand otherwise than they must, as it was last said. */
export function standsWrong(state: Pick<JobState, 'marks' | 'mates'>, mate: Mate): boolean {
  const said = state.mates.get(mate.id)
  return said !== undefined && !said.notYet && !standsMet(state, mate, said)
}

/** Whether the marks of a mate say different things: parts that stand by the one do not stand by the other. */
export function marksDiffer(state: Marked, mate: Mate): boolean {
  const { rule } = mate
  // How far round it belongs is the rule's, not the mark's.
  const asMade: Mate = rule.kind === 'aligned' ? { ...mate, rule: { ...rule, deg: 0 } } : mate
  const [first, ...others] = marksOf(state, mate)
  return others.some(other => !mateMet(asMade, first, { mate: mate.id, ...other }))
}

/** How far an aligned mark may stand off, degrees. */
const toleranceDegOf = ({ rule }: Mate): number =>
  (rule.kind === 'aligned' ? rule.toleranceDeg : undefined) ?? USUAL_TOLERANCE_DEG

/**
 * Whether both sides are where they belong, one of them put back, so that it can be seen how they stand. A side that goes in
 * only after the step it is asked at is the one that the other was built up on, on the bench.
 */
export function canBeSeen({ sidesOf }: Plan, state: JobState, mate: Mate, also: readonly Ref[] = []): boolean {
  const sides = sidesOf.get(mate.id)!
  const isThere = (ref: Ref) => {
    const { where, fitted } = partState(state, ref)
    return also.includes(ref) || where === 'on' || fitted?.place === ref
  }
  return sides.every(isThere) && sides.some(ref => also.includes(ref) || partState(state, ref).where === 'fitted')
}

/**
 * What is asked at a step: the mates the sheet keeps for it, and those whose second part goes on with it. Each once;
 * what cannot be seen yet, because its other part is off, is asked when that goes on. `fits` are the places the step
 * fills with their own parts.
 */
export function matesAsked(plan: Plan, state: JobState, step: Step, fits: readonly Ref[] = step.fits ?? []): Mate[] {
  return plan.sheet.mates.filter(
    mate =>
      isAskedBack(mate) &&
      (mate.asked ? mate.asked === step.id : [mate.a, mate.b].some(ref => fits.includes(ref))) &&
      canBeSeen(plan, state, mate, fits) &&
      !state.mates.has(mate.id),
  )
}

/**
 * Whether the parts of a mark have parted, so that a mark made now would say nothing. The step that is to make the mark
 * keeps it possible: parts that lifted together are still one, until that step is done.
 */
export function hasParted(plan: Plan, state: JobState, mate: Mate): boolean {
  const [a, b] = [partState(state, mate.a), partState(state, mate.b)]
  if (a.where === 'on' && b.where === 'on') return false
  const marking = plan.sheet.steps.find(step => step.marks?.includes(mate.id))
  if (!marking || state.steps.has(marking.id)) return true
  if (a.where === 'fitted' || b.where === 'fitted') return true
  if (a.where === 'off' && b.where === 'off') return a.lifted?.entry !== b.lifted?.entry
  const still = a.where === 'on' ? mate.a : mate.b
  return !marking.removes?.includes(still)
}

/**
 * What may be seen of two parts, in an order that gives nothing away: which stands first goes by the mate's name, so that
 * nobody learns to take the first one.
 */
export const choicesOf = ({ id, rule }: Mate): readonly { say: string; met: boolean }[] =>
  rule.kind === 'seen' ? turned(id, rule.choices) : []

/** The answers of a check, in an order that gives nothing away either. */
export const answersOf = ({ id, choices = [] }: Pick<Check, 'id' | 'choices'>): readonly AskedChoice[] =>
  turned(id, choices)

/** A list begun somewhere, as a name has it. */
function turned<T>(name: string, list: readonly T[]): readonly T[] {
  const turn = [...name].reduce((sum, letter) => (sum * TURN + letter.charCodeAt(0)) % 9973, 7) % list.length
  return [...list.slice(turn), ...list.slice(0, turn)]
}
const TURN = 47

/** What was typed for a distance comes to the figure that was sent with it, inside what can be believed; else why not. */
export function typedMm({ title, rule }: Mate, { mm, text = '' }: Pick<MateAnswer, 'mm' | 'text'>): Refusal | null {
  if (rule.kind !== 'distance') return null
  const read = parseQuantity(text, { kind: 'length', span: rule.span, label: title })
  if (!read.ok) return refusals.unreadable({ why: read.why })
  return mm !== undefined && Math.abs(read.value.value - mm) < 1e-9 * Math.max(1, Math.abs(mm))
    ? null
    : refusals.differs({ mate: title, text })
}

/** Whether what was read where two parts meet can be told again, and can be so; else why not. */
export function readLabel({ title, rule }: Mate, { label = '' }: Pick<MateAnswer, 'label'>): Refusal | null {
  if (rule.kind !== 'label') return null
  if (!spelt(label)) return refusals.noLabel({ mate: title, example: rule.example })
  if (rule.teeth === undefined) return null
  const [one, other] = (label.match(/\d+/g) ?? []).slice(-2).map(Number)
  if (one === undefined || other === undefined) return refusals.noLabel({ mate: title, example: rule.example })
  const apart = Math.abs(one - other)
  return apart === 1 || apart === rule.teeth - 1
    ? null
    : refusals.noNeighbours({ mate: title, one, other, teeth: rule.teeth })
}

const dotsWords = (n: number) => (n === 0 ? 'no dot' : n === 1 ? '1 dot' : `${n} dots`)

/** The mate of another part of the same kind that is marked with so many dots already; undefined where none is. */
export const dotsTaken = (plan: Plan, state: Marked, mate: Mate, n: number): Mate | undefined =>
  plan.sheet.mates.find(
    one =>
      one.id !== mate.id &&
      one.rule.kind === 'dots' &&
      plan.parts.get(one.a)?.part.id === plan.parts.get(mate.a)?.part.id &&
      markOf(state, one)?.dots?.[0] === n,
  )

/** Whether punch dots tell these parts from others, and the two sides belong together; else why not. */
export function markedDots(plan: Plan, state: Marked, mate: Mate, dots: readonly number[] | undefined): Refusal | null {
  const [one, other] = dots ?? []
  if (!one || one !== other) return refusals.noDots({ mate: mate.title })
  const taken = dotsTaken(plan, state, mate, one)
  return taken ? refusals.sameDots({ mate: mate.title, dots: dotsWords(one), other: taken.title }) : null
}

/** A mark in words: with what, where, and from which end or datum. */
export function markText(
  plan: Plan,
  { mate, deg, mm, label, dots, carrier, seenFrom }: Pick<Mark, keyof MarkAt | 'mate' | 'carrier' | 'seenFrom'>,
): string {
  if (dots) return `${dotsWords(dots[0]!)} on each side, seen from ${viewWords(seenFrom)}`
  if (label !== undefined) return `${carrier}, “${label}”`
  const from = plan.mates.get(mate)?.mark?.from
  return mm !== undefined
    ? `${carrier}, ${fixed(mm, 2)} mm from ${from ?? 'its datum'}`
    : `${carrier} at ${clockText(deg!, 1)} seen from ${viewWords(seenFrom)}`
}

/** An answer in words. */
export function answerText({ deg, mm, label, dots, say, notYet }: MateAnswer): string {
  if (notYet) return 'not to be seen yet'
  if (label !== undefined) return `reads “${label}”`
  if (dots) return `${dotsWords(dots[0]!)} against ${dotsWords(dots[1]!)}`
  if (deg !== undefined) return `stands at ${clockText(deg, 1)}`
  return mm !== undefined ? `stands at ${fixed(mm, 2)} mm` : (say ?? '')
}
