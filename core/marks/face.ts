import { withinTurn } from './clock.ts'

/** A clock as it is drawn: twelve at its top, degrees clockwise from there. */
export interface ClockFace {
  /** Where something stands, so far out from the middle. */
  at: (deg: number, r: number) => { x: number; y: number }
  /** The path of what runs round, from one place clockwise to another; at one place it is drawn so many degrees wide. */
  arc: (span: readonly [number, number], r: number, least: number) => string
  /** The path of a line outwards, from one distance to another. */
  line: (deg: number, from: number, to: number) => string
}

/** A clock face about a middle that is as far from the left as from the top. Places are to a tenth. */
export function clockFace(middle: number): ClockFace {
  const at: ClockFace['at'] = (deg, r) => {
    const turn = (deg * Math.PI) / 180
    const place = (along: number) => Number((middle + r * along).toFixed(1))
    return { x: place(Math.sin(turn)), y: place(-Math.cos(turn)) }
  }
  const point = (deg: number, r: number) => `${at(deg, r).x} ${at(deg, r).y}`
  return {
    at,
    arc: ([from, to], r, least) => {
      const wide = Math.max(least, withinTurn(to - from))
      return `M${point(from, r)}A${r} ${r} 0 ${wide > 180 ? 1 : 0} 1 ${point(from + wide, r)}`
    },
    line: (deg, from, to) => `M${point(deg, from)}L${point(deg, to)}`,
  }
}
