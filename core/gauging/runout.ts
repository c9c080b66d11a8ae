import { angleBetween, withinTurn } from '../marks/clock.ts'
import { accept, refuse, type Result } from '../result.ts'
import { meanOf, rangeOf } from './tries.ts'

export interface Runout {
  tirUm: number
  /** Amplitude of the first harmonic: eccentricity, half of what a bend alone would show as TIR. */
  eccentricityUm: number
  /** Its two parts, from reading 1: a = 2/n·Σ r·cos, b = 2/n·Σ r·sin. */
  cosineUm: number
  sineUm: number
  /** How much further to turn from reading 1, in the turning direction, until the high spot is under the dial: 0 to 360. */
  highSpotDeg: number
  /** TIR of what is left when mean and first harmonic are taken off: lobes, ovality, damage. */
  formErrorUm: number
  /** Fewer than eight readings can miss 30 % and take three lobes for a bend. */
  coarse: boolean
}

/**
 * A run-out sweep: n readings in µm, equally spaced over one turn, dial standing still.
 * First harmonic by discrete Fourier sum. Refused: fewer than four readings, or one that is not a number.
 */
export function reduceRunout(readingsUm: readonly number[]): Result<Runout> {
  const n = readingsUm.length
  if (n < 4) return refuse(`A sweep needs at least 4 readings round the turn; 8 are better. There are ${n}.`)
  if (!readingsUm.every(Number.isFinite)) return refuse('One of the readings is not a figure. Take it again.')
  const mean = meanOf(readingsUm)
  const angle = (index: number) => (2 * Math.PI * index) / n
  const a = (2 / n) * readingsUm.reduce((sum, r, i) => sum + r * Math.cos(angle(i)), 0)
  const b = (2 / n) * readingsUm.reduce((sum, r, i) => sum + r * Math.sin(angle(i)), 0)
  const rest = readingsUm.map((r, i) => r - mean - a * Math.cos(angle(i)) - b * Math.sin(angle(i)))
  return accept({
    tirUm: rangeOf(readingsUm),
    eccentricityUm: Math.hypot(a, b),
    cosineUm: a,
    sineUm: b,
    highSpotDeg: withinTurn((Math.atan2(b, a) * 180) / Math.PI),
    formErrorUm: rangeOf(rest),
    coarse: n < 8,
  })
}

/** Each station further off than the one before, and the last at least twice the first: no bow between two supports does that. */
const growsToOneEnd = (off: readonly number[]) =>
  off.length > 1 && off.every((one, i) => i === 0 || one > off[i - 1]!) && off.at(-1)! >= 2 * off[0]!

export type ShaftShape = 'true' | 'bent' | 'out of true to one end' | 'cranked or cocked centres' | 'worn or oval'

/**
 * What several stations along a shaft say together: high spots in line and greatest in the middle, bent; opposed,
 * cranked or cocked centres; in line and growing to one end, that end is out of true: bent outside its bearings, or what was
 * read sits cocked; form error above half of the run-out at any station, worn or oval: read that journal again. Stations are
 * in their order along the shaft.
 * @param limitUm run-out below which a station counts as true
 */
export function shaftShape(stations: readonly Runout[], limitUm: number): ShaftShape {
  const rough = stations.filter(station => station.tirUm > limitUm)
  if (!rough.length) return 'true'
  if (rough.some(station => station.formErrorUm > station.tirUm / 2)) return 'worn or oval'
  const first = rough[0]!
  const opposed = rough.some(station => angleBetween(first.highSpotDeg, station.highSpotDeg) > 90)
  if (opposed) return 'cranked or cocked centres'
  const off = stations.map(station => station.eccentricityUm)
  return growsToOneEnd(off) || growsToOneEnd(off.toReversed()) ? 'out of true to one end' : 'bent'
}
