import { accept, refuse, type Result } from '../result.ts'
import { boltSteps, type Pattern } from './patterns.ts'

/** What a neighbour loses of a gain, by what lies in the joint. Model figures, to compare orders. */
export const JOINT_STIFFNESS = {
  'metal to metal': 0.02,
  'compressed sheet': 0.1,
  'spiral or jacketed': 0.18,
  'soft sheet': 0.25,
} as const
export type JointFilling = keyof typeof JOINT_STIFFNESS
export const FILLINGS = Object.keys(JOINT_STIFFNESS) as [JointFilling, ...JointFilling[]]

/** Each place further round loses this share of what the nearer one loses. */
const FALL_OFF = 0.35
const MOST_CHECK_PASSES = 12
const STEADY = 0.02

export interface Interaction {
  pattern: Pattern
  bolts: number
  targetN: number
  /** Shares of the target, the last one 1. */
  passes: readonly number[]
  /** Neighbour loss a. */
  loss: number
  /** No check pass on a curing thread-locker or on bolts taken to yield. */
  checkPasses?: boolean
}

export interface AfterPass {
  name: string
  preloadsN: readonly number[]
  scatter: number
}

export interface InteractionResult {
  pattern: Pattern
  after: readonly AfterPass[]
  /** Check passes round until the next changes no bolt by over 2 %; null when twelve do not do it, or none are allowed. */
  checkPasses: number | null
  /** Preload to pull each bolt to in one single pass so that all end level, in bolt order. */
  levelPullsN: readonly number[]
}

/** Loss of every bolt for a unit gain of one, by how many places they lie apart on the circle. */
function lossesBetween(n: number, a: number): Float64Array {
  const losses = new Float64Array(n)
  for (let k = 1; k < n; k++) losses[k] = a * FALL_OFF ** (Math.min(k, n - k) - 1)
  return losses
}

/** Greatest less least, over the mean. */
function scatterOf(preloads: Float64Array): number {
  let [least, most, sum] = [Infinity, -Infinity, 0]
  for (const one of preloads) {
    least = Math.min(least, one)
    most = Math.max(most, one)
    sum += one
  }
  return sum > 0 ? (most - least) / (sum / preloads.length) : 0
}

/** Pulls every step's bolts to the target; a bolt already there or above is left. Neighbours go slack, none below nought. */
function pullPass(
  preloads: Float64Array,
  steps: readonly (readonly number[])[],
  targetN: number,
  losses: Float64Array,
): void {
  const n = preloads.length
  for (const step of steps) {
    const gains = step.map(bolt => Math.max(0, targetN - preloads[bolt - 1]!))
    for (let g = 0; g < step.length; g++) {
      if (gains[g] === 0) continue
      const from = step[g]! - 1
      for (let j = 0; j < n; j++) preloads[j] = Math.max(0, preloads[j]! - losses[(j - from + n) % n]! * gains[g]!)
    }
    // The tools hold their own bolts at the target whatever the others of the step do.
    step.forEach((bolt, g) => {
      if (gains[g]! > 0) preloads[bolt - 1] = targetN
    })
  }
}

/** In a single pass each bolt starts slack: working back from the last, it must be pulled over by what later ones will take. */
function levelPulls(steps: readonly (readonly number[])[], n: number, targetN: number, losses: Float64Array): number[] {
  const pulls = new Array<number>(n).fill(0)
  for (let s = steps.length - 1; s >= 0; s--) {
    for (const bolt of steps[s]!) {
      let taken = 0
      for (let later = s + 1; later < steps.length; later++) {
        for (const other of steps[later]!) taken += losses[(bolt - other + n) % n]! * pulls[other - 1]!
      }
      pulls[bolt - 1] = targetN + taken
    }
  }
  return pulls
}

/**
 * Elastic interaction of a bolted joint on a circle, linear model: when bolt i gains ΔF, the bolt k places away loses
 * a·0.35^(k − 1)·ΔF. Preload left in every bolt after each pass, scatter, check passes wanted, and the single-pass pulls
 * that leave all bolts level. A model to compare orders, not a measurement. N.
 * Refused: a loss with 2a/(1 − 0.35) of 1 or more, passes that do not rise to 1, a count the order does not take.
 *
 * @param progress told after every pass, 0 to 1
 */
export function interact(
  { pattern, bolts, targetN, passes, loss, checkPasses = true }: Interaction,
  progress?: (share: number) => void,
): Result<InteractionResult> {
  const steps = boltSteps(pattern, bolts)
  if (!steps.ok) return steps
  if (!(targetN > 0)) return refuse('The preload aimed at must be above zero.')
  if (!(loss >= 0 && (2 * loss) / (1 - FALL_OFF) < 1))
    return refuse('This joint is too soft for the model: its neighbours would lose all that one bolt gains.')
  if (
    !passes.length ||
    passes.length > 10 ||
    passes.some((one, i) => !(one > (i ? passes[i - 1]! : 0))) ||
    Math.abs(passes.at(-1)! - 1) > 1e-9
  )
    return refuse('Passes are rising shares of the target, 1 to 10 of them, and the last is 1.')
  const losses = lossesBetween(bolts, loss)
  const preloads = new Float64Array(bolts)
  const after: AfterPass[] = []
  const note = (name: string) => after.push({ name, preloadsN: Array.from(preloads), scatter: scatterOf(preloads) })
  passes.forEach((share, i) => {
    pullPass(preloads, steps.value, share * targetN, losses)
    note(`pass ${i + 1}, ${Math.round(share * 100)} %`)
    progress?.((i + 1) / (passes.length + MOST_CHECK_PASSES))
  })
  const round = Array.from({ length: bolts }, (_, i) => [i + 1])
  let wanted: number | null = null
  for (let check = 1; checkPasses && check <= MOST_CHECK_PASSES && wanted === null; check++) {
    const before = Float64Array.from(preloads)
    pullPass(preloads, round, targetN, losses)
    if (preloads.every((one, i) => Math.abs(one - before[i]!) <= STEADY * targetN)) {
      preloads.set(before)
      wanted = check - 1
    } else {
      note(`check ${check}`)
    }
    progress?.((passes.length + check) / (passes.length + MOST_CHECK_PASSES))
  }
  return accept({ pattern, after, checkPasses: wanted, levelPullsN: levelPulls(steps.value, bolts, targetN, losses) })
}
