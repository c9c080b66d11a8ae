import { clockFace } from './face.ts'

/** A small clock with what was found on it, for tables: so wide, twelve at its top. */
export const SMALL_DIAL = 44
const [C, R] = [SMALL_DIAL / 2, 15]
/** What is at one place is still to be seen, degrees. */
const LEAST_ARC = 14

const face = clockFace(C)

/** The path of what runs round a small clock, from one place clockwise to another; degrees from the top. */
export const arcPath = (span: readonly [number, number]): string => face.arc(span, R, LEAST_ARC)

/** The hours of a small clock. */
export const hourPath = Array.from({ length: 12 }, (_, i) => face.line(i * 30, 19, i % 3 ? 21 : 17)).join('')

/** A small clock as SVG, for paper. */
export const dialAsSvg = (arcs: readonly (readonly [number, number])[]): string =>
  `<svg viewBox="0 0 ${SMALL_DIAL} ${SMALL_DIAL}"><circle cx="${C}" cy="${C}" r="21" fill="#ffffff" stroke="#44504d"/><path d="${hourPath}" stroke="#44504d"/>${arcs.map(one => `<path d="${arcPath(one)}" fill="none" stroke="#a3262a" stroke-width="6"/>`).join('')}</svg>`
