import { accept, refuse, type Result } from '../result.ts'
import { CLEARANCE_GROUPS, type ClearanceGroup } from './designation.ts'
import { CLEARANCE_UM, type ClearanceTable } from './iso5753-data.ts'

export interface Span {
  leastUm: number
  greatestUm: number
}

/**
 * Radial internal clearance of an unmounted bearing by its group, µm (ISO 5753-1).
 * Refused by name: a bore outside the table (over 6, 10, 14 or 18 mm up to 200 mm, by kind).
 * @example groupClearance('deep groove ball', 60, 'C3') // 23 to 43 µm
 */
export function groupClearance(table: ClearanceTable, boreMm: number, group: ClearanceGroup): Result<Span> {
  const { fromMm, rows } = CLEARANCE_UM[table]
  const row = boreMm > fromMm ? rows.find(([upTo]) => boreMm <= upTo) : undefined
  if (!row)
    return refuse(
      `Clearance groups of a ${table} are kept here for bores over ${fromMm} up to 200 mm; ${boreMm} mm lies outside. Take the limits from the maker.`,
    )
  const [leastUm, greatestUm] = row[CLEARANCE_GROUPS.indexOf(group) + 1] as readonly [number, number]
  return accept({ leastUm, greatestUm })
}

export interface Mounted {
  boreMm: number
  outsideMm: number
  unmounted: Span
  /** Interference of each ring on its seat, µm; a loose end counts as nought. */
  inner: Span
  outer: Span
  seat: 'ground' | 'turned'
  /** Inner ring warmer than the outer, K. */
  warmerK: number
}

export interface ClearanceAfterMounting {
  innerLoss: Span
  outerLoss: Span
  temperatureLossUm: number
  mounted: Span
  running: Span
  innerRacewayMm: number
  outerRacewayMm: number
}

/** Surface peaks are pressed flat: the interference that acts is less than the one measured. */
const EFFECTIVE = { ground: 2, turned: 3 } as const

/**
 * What is left of a bearing's radial clearance once it is mounted and warm, µm: unmounted − inner-fit loss − outer-fit
 * loss − temperature loss. Inner loss δ·d/(d + 2)·(d/di) (ground seat; +3 turned), di = d + (D − d)/4; outer loss δ·(Do/D),
 * Do = D − (D − d)/4; temperature loss 0.012·ΔT·Do. Textbook estimate, on the safe side; the maker's figure goes before it.
 * Refused: an outside diameter not above the bore, spans the wrong way round.
 */
export function clearanceAfterMounting({
  boreMm: d,
  outsideMm: D,
  unmounted,
  inner,
  outer,
  seat,
  warmerK,
}: Mounted): Result<ClearanceAfterMounting> {
  if (!(d > 0 && D > d)) return refuse('The outside diameter must be above the bore.')
  if ([unmounted, inner, outer].some(span => !(span.greatestUm >= span.leastUm)))
    return refuse('A least figure stands above its greatest. Change them round.')
  if (!(warmerK >= 0))
    return refuse(
      'Give how much warmer the inner ring runs; zero when both are alike. A colder inner ring only adds clearance.',
    )
  const innerRacewayMm = d + (D - d) / 4
  const outerRacewayMm = D - (D - d) / 4
  const innerLossOf = (um: number) => ((Math.max(0, um) * d) / (d + EFFECTIVE[seat])) * (d / innerRacewayMm)
  const outerLossOf = (um: number) => Math.max(0, um) * (outerRacewayMm / D)
  const innerLoss = { leastUm: innerLossOf(inner.leastUm), greatestUm: innerLossOf(inner.greatestUm) }
  const outerLoss = { leastUm: outerLossOf(outer.leastUm), greatestUm: outerLossOf(outer.greatestUm) }
  const temperatureLossUm = 0.012 * warmerK * outerRacewayMm
  const mounted = {
    leastUm: unmounted.leastUm - innerLoss.greatestUm - outerLoss.greatestUm,
    greatestUm: unmounted.greatestUm - innerLoss.leastUm - outerLoss.leastUm,
  }
  const running = { leastUm: mounted.leastUm - temperatureLossUm, greatestUm: mounted.greatestUm - temperatureLossUm }
  return accept({ innerLoss, outerLoss, temperatureLossUm, mounted, running, innerRacewayMm, outerRacewayMm })
}
