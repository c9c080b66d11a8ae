import { fromOtherEnd, withinTurn } from '../../marks/index.ts'
import type { Mate, Plan, Ref } from '../../sheet/index.ts'
import type { JobState } from '../ledger/state.ts'
import { findingsOn, findingText } from './looks.ts'
import { partName } from '../ledger/words.ts'

/** What was found on a part that sits against another, as it lies on the dial of that one. */
export interface LaidOver {
  part: Ref
  name: string
  /** What was found, in words without where. */
  finding: string
  /** Degrees, clockwise from the top of the other's dial; with `toDeg`, from there clockwise to that. */
  deg: number
  toDeg?: number
}

/** How far the twelve of the other part stands round on this part's dial; null where nothing says so. */
function turnOf({ a, b, rule }: Mate, ref: Ref): { other: Ref; by: number } | null {
  if ((a !== ref && b !== ref) || (rule.kind !== 'index' && rule.kind !== 'aligned')) return null
  const by = rule.kind === 'aligned' ? (rule.deg ?? 0) : 0
  // The second part stands so far round from the first.
  return a === ref ? { other: b, by } : { other: a, by: -by }
}

/**
 * The dials of the parts that a mark ties to this one, laid over its own: what was found on them, where it lay against it.
 * Wear that lies on the same hours of both faces is of both; on one alone it is of that one.
 * @param seenFrom the end that this part's dial is seen from
 */
export const laidOver = (plan: Plan, state: JobState, ref: Ref, seenFrom: string): LaidOver[] =>
  (plan.matesOf.get(ref) ?? []).flatMap(mate => {
    const turn = turnOf(mate, ref)
    if (!turn) return []
    return findingsOn(plan, state, turn.other).flatMap(({ looked, finding: found }): LaidOver[] => {
      const { deg, toDeg, ...rest } = found
      if (deg === undefined) return []
      const isMirrored = looked.seenFrom !== seenFrom
      const finding = findingText(plan, looked, rest)
      const here = (deg: number) => withinTurn((isMirrored ? fromOtherEnd(deg) : deg) + turn.by)
      // Seen from the other end what runs clockwise runs the other way: it begins where it ended.
      const [from, to] = toDeg === undefined ? [deg] : isMirrored ? [toDeg, deg] : [deg, toDeg]
      return [
        {
          ...{ part: turn.other, name: partName(plan, turn.other), finding, deg: here(from) },
          ...(to === undefined ? {} : { toDeg: here(to) }),
        },
      ]
    })
  })
