import { judge, type Verdict } from '../verdict.ts'
import { jointOrder, type Pattern } from './patterns.ts'

/** An answer to how a bolt feels as it draws up, and whether that is what is wanted. */
export interface Felt {
  say: string
  met: boolean
}

/** How the bolts of a joint are drawn up: by torque in passes, by a turn after snug, or until it is felt to be so. */
export interface Drawing {
  /** N·m, and the permitted share either side of it. */
  targetNm?: number
  toleranceShare?: number
  /** Shares of the target, pass by pass, the last one 1. */
  passes?: readonly number[]
  /** After the last pass by torque, which makes it snug: degrees that each is turned further, and how far off it may be. */
  turn?: { deg: number; toleranceDeg: number }
  /** No wrench tells: what is felt. */
  felt?: { ask: string; choices: readonly Felt[] }
}

/** What decides how a joint is drawn up. */
export interface JointPlan extends Drawing {
  bolts: number
  pattern: Pattern
}

interface Span {
  target: number
  least: number
  most: number
}

/** What one pass wants of every bolt: a torque in N·m, a turn in degrees, or a feel. */
export type PassWanted =
  ({ by: 'torque' } & Span) | ({ by: 'turn' } & Span) | { by: 'felt'; ask: string; choices: readonly Felt[] }

/** What was done to one bolt in one pass: one of the three. */
export interface Pull {
  bolt: number
  torqueNm?: number
  deg?: number
  felt?: string
  /** The wrench was set to this and clicked, rather than read. */
  how?: 'read' | 'clicked'
}

export interface PulledBolt extends Pull {
  verdict: Verdict
}

export interface JointProgress {
  order: readonly number[]
  /** The pass in hand, from 1; null once every pass is in. */
  pass: number | null
  /** The bolt to pull next; null when done, or when the joint must be slackened first. */
  next: number | null
  /** What the pass in hand wants, or the last; null where the joint cannot be drawn up as written. */
  wanted: PassWanted | null
  /** Bolts of the pass in hand, or of the last, as last pulled. */
  pulled: PulledBolt[]
  /** Holds only when every bolt of every pass is in, in order and as wanted. */
  verdict: Verdict
  faults: string[]
}

/** Every pass of a joint, in order. */
export function passesOf({ targetNm, toleranceShare = 0, passes = [], turn, felt }: Drawing): PassWanted[] {
  const span = (by: 'torque' | 'turn', target: number, either: number): PassWanted => ({
    by,
    target,
    least: target - either,
    most: target + either,
  })
  return [
    ...(targetNm === undefined
      ? []
      : passes.map(share => span('torque', targetNm * share, targetNm * share * toleranceShare))),
    ...(turn ? [span('turn', turn.deg, turn.toleranceDeg)] : []),
    ...(felt ? [{ by: 'felt' as const, ...felt }] : []),
  ]
}

/** How a pull stands to what its pass wants: inside, over or under; a feel that is not the wanted one is under. */
export function sideOf(wanted: PassWanted, pull: Pull): 'inside' | 'over' | 'under' {
  if (wanted.by === 'felt') return wanted.choices.find(one => one.say === pull.felt)?.met ? 'inside' : 'under'
  const value = (wanted.by === 'torque' ? pull.torqueNm : pull.deg) ?? 0
  const { verdict, side } = judge(value, { min: wanted.least, max: wanted.most, best: wanted.target, warningShare: 0 })
  return verdict === 'Holds' ? 'inside' : side === 'high' ? 'over' : 'under'
}

interface PassState {
  pulled: PulledBolt[]
  sides: Map<number, 'inside' | 'over' | 'under'>
  next: number | null
  strayed: { bolt: number; wanted: number } | null
}

function readPass(wanted: PassWanted, order: readonly number[], pulls: readonly Pull[]): PassState {
  const first = [...new Set(pulls.map(pull => pull.bolt))]
  const strayedAt = first.findIndex((bolt, i) => bolt !== order[i])
  const last = first.map(bolt => pulls.findLast(pull => pull.bolt === bolt)!)
  const sides = new Map(last.map(pull => [pull.bolt, sideOf(wanted, pull)]))
  return {
    pulled: last.map(pull => ({ ...pull, verdict: sides.get(pull.bolt) === 'inside' ? 'Holds' : 'Out' })),
    sides,
    next: order.find(bolt => sides.get(bolt) !== 'inside') ?? null,
    strayed: strayedAt < 0 ? null : { bolt: first[strayedAt]!, wanted: order[strayedAt]! },
  }
}

const PUT_RIGHT: Record<PassWanted['by'], Record<'over' | 'under', string>> = {
  torque: { over: 'over, slacken it and torque it again', under: 'under, torque it again' },
  turn: { over: 'turned too far, slacken it, snug it and turn it again', under: 'not turned far enough, turn it on' },
  felt: { over: '', under: 'not as it should feel, see what holds it and draw it up again' },
}
const DONE: Record<PassWanted['by'], string> = { torque: 'torqued', turn: 'turned', felt: 'drawn up' }

/**
 * How far a joint is: the pass and bolt that come next, what was done so far, and whether it stands. A joint out of
 * order, between passes or with a bolt missing is Open, however good the rest looks.
 */
export function jointProgress(plan: JointPlan, passes: readonly (readonly Pull[])[]): JointProgress {
  const order = jointOrder(plan.pattern, plan.bolts)
  const wanted = passesOf(plan)
  const open = { pass: null, next: null, wanted: wanted.at(-1) ?? null, pulled: [], verdict: 'Open' as const }
  if (!order.ok) return { ...open, order: [], faults: [order.why] }
  for (const [i, now] of wanted.entries()) {
    const { pulled, sides, next, strayed } = readPass(now, order.value, passes[i] ?? [])
    const at = { order: order.value, pass: i + 1, wanted: now, pulled, verdict: 'Open' as const }
    if (strayed)
      return {
        ...at,
        next: null,
        faults: [
          `Bolt ${strayed.bolt} was ${DONE[now.by]} when it was the turn of ${strayed.wanted}. Slacken the joint and start again.`,
        ],
      }
    if (next !== null) {
      const faults = pulled.flatMap(({ bolt }) => {
        const side = sides.get(bolt)!
        return side === 'inside' ? [] : [`Bolt ${bolt}: ${PUT_RIGHT[now.by][side]}.`]
      })
      return { ...at, next, faults }
    }
    if (i === wanted.length - 1) return { ...at, pass: null, next: null, verdict: 'Holds', faults: [] }
  }
  return { ...open, order: order.value, faults: ['The joint has no passes on its sheet.'] }
}
