import { accept, refuse, type Result } from '../result.ts'
import type { TwoPlanes } from './readings.ts'

/** The moved shaft's axis against the standing one's: offset at the coupling, mm, and slope going away from it, mm per m. */
export interface Misalignment {
  offsetMm: TwoPlanes
  slopeMmPerM: TwoPlanes
}

/** From the plane the offset was read in to the feet of the machine that is moved, away from the coupling, mm. */
export interface Feet {
  frontMm: number
  backMm: number
}

/** What each part grows upward from cold to running, mm. */
export interface Growth {
  frontMm: number
  backMm: number
  /** Of the machine that stands, at its coupling. */
  standingMm: number
}
export const NO_GROWTH: Growth = { frontMm: 0, backMm: 0, standingMm: 0 }

/** Moves at the feet, mm: up is shim to add, right is to the right seen from behind; negative the other way. */
export interface Moves {
  front: TwoPlanes
  back: TwoPlanes
}

/** Height of the axis at a place away from the coupling, mm. */
const axisAt = ({ offsetMm, slopeMmPerM }: Misalignment, mm: number): TwoPlanes => ({
  up: offsetMm.up + (slopeMmPerM.up * mm) / 1000,
  right: offsetMm.right + (slopeMmPerM.right * mm) / 1000,
})

/**
 * Moves and shims at both feet that lay the axes on one line when everything is warm: cold, each foot is left as much low
 * as it grows more than the standing machine does. Sideways nothing grows. Similar triangles.
 * Refused: a back foot not further off than the front one.
 */
export function feetMoves(found: Misalignment, feet: Feet, growth: Growth = NO_GROWTH): Result<Moves> {
  if (!(feet.backMm > feet.frontMm))
    return refuse('The back feet lie further from the coupling than the front ones. Change the distances round.')
  const move = (mm: number, growsMm: number): TwoPlanes => {
    const at = axisAt(found, mm)
    // Not minus nought: that is nought.
    return { up: growth.standingMm - growsMm - at.up + 0, right: 0 - at.right }
  }
  return accept({ front: move(feet.frontMm, growth.frontMm), back: move(feet.backMm, growth.backMm) })
}

/** What the axes come to once the feet have been moved, cold: what {@link feetMoves} undoes. */
export function afterMoves(found: Misalignment, feet: Feet, { front, back }: Moves): Misalignment {
  const length = feet.backMm - feet.frontMm
  const turn = (plane: keyof TwoPlanes) => {
    const slope = ((back[plane] - front[plane]) / length) * 1000
    return {
      slope: found.slopeMmPerM[plane] + slope,
      offset: found.offsetMm[plane] + front[plane] - (slope * feet.frontMm) / 1000,
    }
  }
  const [up, right] = [turn('up'), turn('right')]
  return {
    offsetMm: { up: up.offset, right: right.offset },
    slopeMmPerM: { up: up.slope, right: right.slope },
  }
}

/**
 * Line through two offsets of the moved axis, read by reverse dials at two planes: at the moved machine's rim and, nearer
 * to the standing one by `apartMm`, at the standing rim. Offset is said at the moved rim. Refused: planes not apart.
 */
export function lineThrough(atMovedMm: TwoPlanes, atStandingMm: TwoPlanes, apartMm: number): Result<Misalignment> {
  if (!(apartMm > 0)) return refuse('Give the distance between the two planes the dials read on.')
  const slope = (plane: keyof TwoPlanes) => ((atMovedMm[plane] - atStandingMm[plane]) / apartMm) * 1000
  return accept({ offsetMm: atMovedMm, slopeMmPerM: { up: slope('up'), right: slope('right') } })
}

/**
 * How far cold alignment may be off at a speed, where neither coupling nor sheet says: 90/n mm of offset, held to 0.02 to
 * 0.12 mm, and 700/n mm per m of slope, held to 0.1 to 1. A rule of thumb for flexible couplings: what is allowed falls as
 * the speed rises. Speed in 1/min. Refused: a speed not above nought.
 */
export function alignmentTolerance(speedPerMin: number): Result<{ offsetMm: number; slopeMmPerM: number }> {
  if (!(speedPerMin > 0)) return refuse('Give the speed the coupling runs at.')
  const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value))
  return accept({
    offsetMm: within(90 / speedPerMin, 0.02, 0.12),
    slopeMmPerM: within(700 / speedPerMin, 0.1, 1),
  })
}
