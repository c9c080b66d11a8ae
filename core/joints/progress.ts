import { judge, type Verdict } from '../verdict.ts'
import { boltOrder } from './patterns.ts'

/** What of a joint decides how it is pulled. Torques in N·m. */
export interface JointPlan {
  bolts: number
  targetNm: number
  /** Permitted share either side of the target. */
  toleranceShare: number
  passes: readonly number[]
  pattern: Parameters<typeof boltOrder>[0]
}

export interface Pull {
  bolt: number
  torqueNm: number
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
  /** Target and permitted span of the pass in hand, or of the last. */
  wanted: { targetNm: number; leastNm: number; mostNm: number }
  /** Bolts of the pass in hand, or of the last, as last pulled. */
  pulled: PulledBolt[]
  /** Holds only when every bolt of every pass is in, in order and inside its span. */
  verdict: Verdict
  faults: string[]
}

/** Target and permitted span of one pass, from 1; N·m. */
export function wantedInPass(
  { targetNm, toleranceShare, passes }: Pick<JointPlan, 'targetNm' | 'toleranceShare' | 'passes'>,
  pass: number,
) {
  const target = targetNm * passes[pass - 1]!
  return { targetNm: target, leastNm: target * (1 - toleranceShare), mostNm: target * (1 + toleranceShare) }
}

interface PassState {
  pulled: PulledBolt[]
  next: number | null
  strayed: { bolt: number; wanted: number } | null
}

function readPass(plan: JointPlan, order: readonly number[], pass: number, pulls: readonly Pull[]): PassState {
  const { leastNm, mostNm, targetNm } = wantedInPass(plan, pass)
  const first = [...new Set(pulls.map(pull => pull.bolt))]
  const strayedAt = first.findIndex((bolt, i) => bolt !== order[i])
  const pulled = first.map((bolt): PulledBolt => {
    const { torqueNm, how } = pulls.findLast(pull => pull.bolt === bolt)!
    const { verdict } = judge(torqueNm, { min: leastNm, max: mostNm, best: targetNm, warningShare: 0 })
    return { bolt, torqueNm, how, verdict }
  })
  return {
    pulled,
    next: order.find(bolt => pulled.find(one => one.bolt === bolt)?.verdict !== 'Holds') ?? null,
    strayed: strayedAt < 0 ? null : { bolt: first[strayedAt]!, wanted: order[strayedAt]! },
  }
}

/**
 * How far a joint is: the pass and bolt that come next, the torques so far, and whether it stands. A joint out of
 * order, between passes or with a bolt missing is Open, however good the rest looks. Torques in N·m.
 */
export function jointProgress(plan: JointPlan, passes: readonly (readonly Pull[])[]): JointProgress {
  const order = boltOrder(plan.pattern, plan.bolts)
  if (!order.ok)
    return {
      order: [],
      pass: null,
      next: null,
      wanted: wantedInPass(plan, plan.passes.length),
      pulled: [],
      verdict: 'Open',
      faults: [order.why],
    }
  for (let pass = 1; pass <= plan.passes.length; pass++) {
    const state = readPass(plan, order.value, pass, passes[pass - 1] ?? [])
    const wanted = wantedInPass(plan, pass)
    if (state.strayed) {
      return {
        order: order.value,
        pass,
        next: null,
        wanted,
        pulled: state.pulled,
        verdict: 'Open',
        faults: [
          `Bolt ${state.strayed.bolt} was torqued when it was the turn of ${state.strayed.wanted}. Slacken the joint and start again.`,
        ],
      }
    }
    if (state.next !== null) {
      const bad = state.pulled.filter(one => one.verdict === 'Out')
      const faults = bad.map(
        one =>
          `Bolt ${one.bolt}: ${one.torqueNm > wanted.mostNm ? 'over, slacken it and torque it again' : 'under, torque it again'}.`,
      )
      return { order: order.value, pass, next: state.next, wanted, pulled: state.pulled, verdict: 'Open', faults }
    }
    if (pass === plan.passes.length)
      return { order: order.value, pass: null, next: null, wanted, pulled: state.pulled, verdict: 'Holds', faults: [] }
  }
  return {
    order: order.value,
    pass: null,
    next: null,
    wanted: wantedInPass(plan, 1),
    pulled: [],
    verdict: 'Open',
    faults: ['The joint has no passes on its sheet.'],
  }
}
