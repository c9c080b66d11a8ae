import { withinTurn } from './clock.ts'
import { clockFace } from './face.ts'

/** A large clock with all that was marked or found on the parts of one group, a ring a part. */

/** Something that lies somewhere on a part: at one place, or from one place clockwise to another; degrees from the top. */
export interface Position {
  /** As it is numbered on the clock. */
  n: number
  from: number
  to: number
  /** A mark is drawn as a line, what was found as a band. */
  is: 'mark' | 'found'
}

/** The side of the drawing, its rim, and half the size of a number's disc. */
export const POSITIONS_DIAL = { side: 320, rim: 128, number: 9 }
const { side, rim, number: NUMBER_R } = POSITIONS_DIAL
const C = side / 2
/** Where the rings end, and how far out the hours stand. */
const [INNER, HOURS] = [42, 144]
/** What is at one place is still to be seen, degrees. */
const LEAST_ARC = 8

const face = clockFace(C)

/** A ring as it is drawn: its middle, how wide it is, and what lies on it. */
export interface DrawnRing {
  r: number
  width: number
  bands: string[]
  lines: string[]
  numbers: { n: number; x: number; y: number }[]
}

const middleOf = ({ from, to }: Position) => withinTurn(from + withinTurn(to - from) / 2)

/** Places for numbers on one ring: each at the middle of its own, moved on clockwise until it is clear of those before it. */
function numbersOn(positions: readonly Position[], r: number): DrawnRing['numbers'] {
  const apart = (Math.asin(Math.min(1, NUMBER_R / r)) * 360) / Math.PI + 2
  const taken: number[] = []
  return positions.map(one => {
    let deg = middleOf(one)
    const isTaken = () => taken.some(other => Math.min(withinTurn(deg - other), withinTurn(other - deg)) < apart)
    for (let tries = 0; isTaken() && tries < 360 / apart; tries++) deg = withinTurn(deg + apart)
    taken.push(deg)
    return { n: one.n, ...face.at(deg, r) }
  })
}

/** Rings of a large clock, the first outermost, with what lies on each. */
export function drawnRings(rings: readonly (readonly Position[])[]): DrawnRing[] {
  const width = (rim - INNER) / Math.max(1, rings.length)
  return rings.map((positions, i) => {
    const r = rim - width * (i + 0.5)
    return {
      ...{ r, width },
      bands: positions.filter(one => one.is === 'found').map(({ from, to }) => face.arc([from, to], r, LEAST_ARC)),
      lines: positions.filter(one => one.is === 'mark').map(one => face.line(one.from, r - width / 2, r + width / 2)),
      numbers: numbersOn(positions, r),
    }
  })
}

/** The hours round a large clock, twelve at the top, and the point of the datum over it. */
export const dialHours = Array.from({ length: 12 }, (_, i) => ({ hour: i || 12, ...face.at(i * 30, HOURS) }))
export const datumPath = `M${C} ${C - rim}l-6 -8h12z`

/** A large clock as SVG, for paper; without its hours and numbers, which are set in the letters of the paper. */
export function positionsAsSvg(rings: readonly (readonly Position[])[]): string {
  const drawn = drawnRings(rings).map(
    ({ r, width, bands, lines, numbers }) =>
      `<circle cx="${C}" cy="${C}" r="${r}" fill="none" stroke="#e3ebf5" stroke-width="${width - 2}"/>${bands
        .map(d => `<path d="${d}" fill="none" stroke="#d98a8c" stroke-width="${width - 4}"/>`)
        .join('')}${lines.map(d => `<path d="${d}" stroke="#1f3a68" stroke-width="3"/>`).join('')}${numbers
        .map(({ x, y }) => `<circle cx="${x}" cy="${y}" r="${NUMBER_R}" fill="#ffffff" stroke="#17211f"/>`)
        .join('')}`,
  )
  return `<svg viewBox="0 0 ${side} ${side}"><circle cx="${C}" cy="${C}" r="${rim}" fill="#ffffff" stroke="#44504d"/>${drawn.join('')}<path d="${datumPath}" fill="#1f3a68"/></svg>`
}
