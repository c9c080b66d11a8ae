import {
  alignmentTolerance,
  closureMm,
  feetMoves,
  type Feet,
  type FourReadings,
  type Growth,
  type Misalignment,
} from '../../alignment/index.ts'
import { accept, type Result } from '../../result.ts'
import { leftOpen, type Held } from '../../verdict.ts'
import { fig, line, say, type Answer } from '../define.ts'
import { fallback, number, optional } from '../fields.ts'
import { hold, RULE_OF_THUMB } from '../limits.ts'

const DIAL = [-20, 20] as const
export const LENGTH = [1, 20000] as const
const GROWTH = [-20, 20] as const

/** Which way left and right are read; said once a sum. */
export const FROM_BEHIND = 'seen from behind the machine that is moved'

/** Four readings of one dial; left and right are as seen from behind the machine that is moved. */
export const dialFields = <const P extends string>(prefix: P, label: string, help?: string) =>
  ({
    [`${prefix}TopMm`]: number(`${label}, top`, 'mm', DIAL),
    [`${prefix}RightMm`]: number(`${label}, right`, 'mm', DIAL, help),
    [`${prefix}BottomMm`]: number(`${label}, bottom`, 'mm', DIAL),
    [`${prefix}LeftMm`]: number(`${label}, left`, 'mm', DIAL),
  }) as Record<`${P}${'Top' | 'Right' | 'Bottom' | 'Left'}Mm`, ReturnType<typeof number>>

export const fourOf = (given: object, prefix: string): FourReadings => {
  const at = (place: string) => (given as Record<string, number>)[`${prefix}${place}Mm`]!
  return { topMm: at('Top'), rightMm: at('Right'), bottomMm: at('Bottom'), leftMm: at('Left') }
}

export const FEET_FIELDS = {
  frontMm: number('To the front feet', 'mm', LENGTH, 'from the plane the moved rim was read in'),
  backMm: number('To the back feet', 'mm', LENGTH),
  growFrontMm: fallback(number('Front feet grow', 'mm', GROWTH, 'cold to running, at shaft height'), 0),
  growBackMm: fallback(number('Back feet grow', 'mm', GROWTH), 0),
  growStandingMm: fallback(number('Standing machine grows', 'mm', GROWTH, 'at its coupling'), 0),
  speedPerMin: optional(number('Speed', '1/min', [1, 60000])),
  maxOffsetMm: optional(number('Coupling’s maximum offset', 'mm', [0, 5])),
  maxSlopeMmPerM: optional(number('Coupling’s maximum slope, mm/m', '1', [0, 50])),
  closesWithinMm: fallback(number('Readings close within', 'mm', [0, 1]), 0.03),
}
interface FeetGiven {
  frontMm: number
  backMm: number
  growFrontMm: number
  growBackMm: number
  growStandingMm: number
  speedPerMin?: number
  maxOffsetMm?: number
  maxSlopeMmPerM?: number
  closesWithinMm: number
}

const BENT = 'the coupling works at every turn: it wears, and bearings and seals run hot'
const UNCLOSED = 'the readings do not close: top + bottom is not left + right'

/** A move in words: what the hand does. */
const shim = (mm: number) =>
  Math.abs(mm) < 0.005 ? 'leave it' : mm > 0 ? `add ${say(mm, 2)} mm` : `take out ${say(-mm, 2)} mm`
const push = (mm: number) =>
  Math.abs(mm) < 0.005 ? 'leave it' : `${say(Math.abs(mm), 2)} mm to the ${mm > 0 ? 'right' : 'left'}`

/** What every way of reading comes to: how the axes lie, against what, and the moves at both feet. */
export function alignmentAnswer(
  found: Misalignment,
  given: FeetGiven,
  dials: readonly { name: string; reads: FourReadings }[],
): Result<Answer> {
  const feet: Feet = given
  const growth: Growth = { frontMm: given.growFrontMm, backMm: given.growBackMm, standingMm: given.growStandingMm }
  const moves = feetMoves(found, feet, growth)
  if (!moves.ok) return moves
  const byspeed = given.speedPerMin === undefined ? null : alignmentTolerance(given.speedPerMin)
  if (byspeed && !byspeed.ok) return byspeed
  // Against what it must be cold: the line that the growth will close.
  const { front, back } = moves.value
  const slopeLeft = (plane: 'up' | 'right') => ((front[plane] - back[plane]) / (feet.backMm - feet.frontMm)) * 1000
  const offsetLeft = (plane: 'up' | 'right') => -front[plane] - (slopeLeft(plane) * feet.frontMm) / 1000
  const closures = dials.map(one => ({ ...one, mm: closureMm(one.reads) }))
  const open = closures.filter(one => Math.abs(one.mm) > given.closesWithinMm + 1e-9)
  const held = (value: number, max: number | undefined, general: number | undefined): Held => {
    const judged = hold(
      value,
      max === undefined ? {} : { min: -max, max, best: 0 },
      { low: BENT, high: BENT },
      general === undefined
        ? undefined
        : { limits: { min: -general, max: general, best: 0 }, source: `by speed, ${RULE_OF_THUMB}` },
    )
    return open.length ? leftOpen(judged, UNCLOSED) : judged
  }
  const offset = (value: number) => held(value, given.maxOffsetMm, byspeed?.value.offsetMm)
  const slope = (value: number) => held(value, given.maxSlopeMmPerM, byspeed?.value.slopeMmPerM)
  return accept({
    figures: [
      fig('offsetUpMm', 'Moved shaft is high by', offsetLeft('up'), 'mm', 3, offset(offsetLeft('up'))),
      fig('offsetRightMm', '… to the right by', offsetLeft('right'), 'mm', 3, offset(offsetLeft('right'))),
      fig('slopeUpMmPerM', 'It rises going away, mm/m', slopeLeft('up'), undefined, 3, slope(slopeLeft('up'))),
      fig('slopeRightMmPerM', '… to the right, mm/m', slopeLeft('right'), undefined, 3, slope(slopeLeft('right'))),
      fig('shimFront', 'Shims, front feet', shim(front.up)),
      fig('shimBack', 'Shims, back feet', shim(back.up)),
      fig('pushFront', 'Front feet go', push(front.right)),
      fig('pushBack', 'Back feet go', push(back.right)),
    ],
    working: [
      ...closures.map(({ name, reads, mm }) =>
        line(
          `${name} closes`,
          'top + bottom − left − right',
          `${say(reads.topMm)} + ${say(reads.bottomMm)} − ${say(reads.leftMm)} − ${say(reads.rightMm)}`,
          `${say(mm)} mm`,
        ),
      ),
      line(
        'Axis at the feet',
        'offset + slope·x',
        `${say(found.offsetMm.up)} + ${say(found.slopeMmPerM.up)}·${say(feet.frontMm / 1000)} and ${say(feet.backMm / 1000)}`,
        `${say(growth.standingMm - growth.frontMm - front.up)} and ${say(growth.standingMm - growth.backMm - back.up)} mm high`,
      ),
      line(
        'Shim',
        'standing’s growth − foot’s growth − height there',
        `${say(growth.standingMm)} − ${say(growth.frontMm)} and ${say(growth.backMm)} − height`,
        `${say(front.up)} and ${say(back.up)} mm`,
      ),
      line('Sideways', '− place there', 'nothing grows sideways', `${say(front.right)} and ${say(back.right)} mm`),
    ],
    notes: [
      'Soft foot first, pipes off or free of strain, and the coupling’s bolts out or loose. Isolate the drive before hands go to a coupling.',
      ...(open.length
        ? [
            `${open.map(one => one.name).join(' and ')}: ${UNCLOSED}. The bar slipped or a plunger stuck: take them again.`,
          ]
        : []),
    ],
    more: {
      moves: moves.value,
      feet: { frontMm: feet.frontMm, backMm: feet.backMm },
    },
  })
}
