import {
  jointProgress,
  passesOf,
  slackeningOrder,
  type Pattern,
  type JointProgress,
  type PassWanted,
  type Pull,
} from '../../joints/index.ts'
import { torqueText } from '../../joints/index.ts'
import { fixed } from '../../quantity/index.ts'
import { boltCount, type Joint, type Plan, type Step } from '../../sheet/index.ts'
import type { JobState, Stamp } from '../ledger/state.ts'

export { boltCount }

export interface JointState {
  /** Pulls of each pass, in the order they were made. */
  readonly passes: readonly (readonly (Stamp & Pull)[])[]
  slackened: boolean
  /** Pulls outside their span, kept when the joint is slackened: what was put right stays on the record. */
  readonly strays: readonly (Stamp & Pull & { pass: number; side: 'over' | 'under' })[]
  /** The order it was begun in, where it is not the sheet's own. */
  order?: Pattern
  /** Bolts eased since it was last drawn up. */
  readonly eased: readonly (Stamp & { bolt: number })[]
  /** Bolts that were ever eased out of their turn, with whose turn it was. */
  readonly outOfTurn: readonly (Stamp & { bolt: number; turnOf: number })[]
  locked?: Stamp & { say: string; newPieces?: number }
}
export const NO_JOINT: JointState = { passes: [], slackened: false, strays: [], eased: [], outOfTurn: [] }

/** A joint that is loose again: what was pulled is gone, what went wrong with it stays. */
export const slackened = ({ strays, eased, outOfTurn } = NO_JOINT): JointState => ({
  ...NO_JOINT,
  slackened: true,
  strays,
  eased,
  outOfTurn,
})

/** How far a joint of the sheet is, by the job's ledger, in the order it was begun in. */
export function progressOf(joint: Joint, state: JobState): JointProgress {
  const now = state.joints.get(joint.id)
  const known = PROGRESS.get(joint)
  if (known && known.now === now) return known.progress
  const { passes = [], order = joint.pattern } = now ?? {}
  const progress = jointProgress({ ...joint, pattern: order, bolts: boltCount(joint) }, passes)
  PROGRESS.set(joint, { now, progress })
  return progress
}
/** What a joint came to the last time, as its acts stood then: they are replaced by every act, and never changed. */
const PROGRESS = new WeakMap<Joint, { now: JointState | undefined; progress: JointProgress }>()

/** Whether a step has drawn its joint up as far as it does: nipped, or whole. */
export function isDrawnUp(joint: Joint, act: 'nip' | 'pull', { verdict, pass }: JointProgress): boolean {
  return verdict === 'Holds' || (act === 'nip' && pass !== null && pass > (joint.nip ?? 0))
}

/** Orders a joint may be drawn up in, the sheet's own first. */
export const ordersOf = ({ pattern, allowed = [] }: Joint) => [...new Set([pattern, ...allowed])]

/** How far a joint is slackened in its order: the bolt to ease next, and those eased out of turn. */
export function easedOf(joint: Joint, state: JobState) {
  const order = slackeningOrder(joint.slacken!.order, joint.pattern, boltCount(joint))
  const eased = (state.joints.get(joint.id)?.eased ?? []).map(one => one.bolt)
  const left = (order.ok ? order.value : []).filter(bolt => !eased.includes(bolt))
  return { order: order.ok ? order.value : [], eased, next: left[0] ?? null }
}

/** Whether a joint that is drawn up is locked as the sheet wants it. */
export function isLocked(
  { locking }: Joint,
  { locked }: { locked?: Pick<NonNullable<JointState['locked']>, 'say' | 'newPieces'> } = {},
): boolean {
  if (!locking) return true
  const met = locking.choices.find(one => one.say === locked?.say)?.met ?? false
  return met && (!locking.newPieces || locked?.newPieces === locking.newPieces.pieces)
}

/** A step that tightens: nips or draws up. */
export const tightens = (step: Step): step is Step & { joint: { id: string; act: 'nip' | 'pull' } } =>
  step.joint !== undefined && step.joint.act !== 'slacken'

/** Whether a step that tightens has its joint still to draw up. */
export function isLoose({ joints }: Pick<Plan, 'joints'>, state: JobState, step: Step): boolean {
  if (!tightens(step)) return false
  const joint = joints.get(step.joint.id)!
  return !isDrawnUp(joint, step.joint.act, progressOf(joint, state))
}

/** Whether a bolt of a joint is drawn up since it was last loose. */
export const isBegun = (state: JobState, joint: string): boolean =>
  (state.joints.get(joint)?.passes ?? []).some(pulls => pulls.length > 0)

/** The joint that a step draws up over what it fits, while no bolt of it is: what goes back is gone through before it. */
export const jointAhead = ({ joints }: Pick<Plan, 'joints'>, state: JobState, step: Step): Joint | undefined =>
  tightens(step) && step.fits?.length && !isBegun(state, step.joint.id) ? joints.get(step.joint.id) : undefined

/** What a pass wants, in words: “50 N·m, 47 to 53”, “turned 90°, 80 to 100”, “until it is felt”. */
const wantedText = (wanted: PassWanted): string =>
  wanted.by === 'felt'
    ? `until it is felt: ${wanted.choices.find(one => one.met)?.say ?? wanted.ask}`
    : wanted.by === 'turn'
      ? `turned ${fixed(wanted.target, 0)}°, ${fixed(wanted.least, 0)} to ${fixed(wanted.most, 0)}`
      : `${torqueText(wanted.target, 'N·m')}, ${[wanted.least, wanted.most].map(nm => torqueText(nm, 'N·m').split(' ')[0]).join(' to ')}`

/** All a joint wants, pass by pass, passes by torque said by their last. */
export function drawingText(joint: Joint): string {
  const all = passesOf(joint)
  const torque = all.filter(one => one.by === 'torque')
  const said = [torque.at(-1), ...all.filter(one => one.by !== 'torque')].flatMap(one => one ?? [])
  return [...said.map(wantedText), joint.pattern, `${all.length} ${all.length === 1 ? 'pass' : 'passes'}`].join(', ')
}

/** One pull as it is kept on the record: “50”, “50 set”, “90°”, “seated”. */
export const pullText = ({ torqueNm, deg, felt, how }: Pull): string =>
  torqueNm === undefined
    ? deg === undefined
      ? (felt ?? '')
      : `${fixed(deg, 0)}°`
    : `${fixed(torqueNm, 1)}${how === 'clicked' ? ' set' : ''}`
