import { accept, refuse, type Result } from '../result.ts'
import { BOLT_CLASSES, METRIC_PITCHES, UNIFIED_TPI, type BoltClass, type BoltClassName } from './thread-data.ts'
import { metricStressAreaMm2 } from './torque.ts'

export interface Thread {
  name: string
  diameterMm: number
  pitchMm: number
  stressAreaMm2: number
}

/** Stress area of a unified thread, mm² (ASME B1.1): π/4·(d − 0.9743/tpi)², d in inches. */
export function unifiedStressAreaMm2(diameterIn: number, threadsPerInch: number): number {
  return (Math.PI / 4) * (diameterIn - 0.9743 / threadsPerInch) ** 2 * 25.4 ** 2
}

const inches = (size: string) =>
  size
    .split(' ')
    .reduce(
      (sum, part) =>
        sum + (part.includes('/') ? Number(part.split('/')[0]) / Number(part.split('/')[1]) : Number(part)),
      0,
    )

/**
 * Reads a thread: `M16` (coarse), `M16x1.5`, `1/2 UNC`, `1 1/4-12 UNF`. Metric M5 to M64, unified 1/4 to 2 in (fine to 1½).
 * Refused by name: another size, a pitch its size does not have.
 *
 * @example readThread('M16') // 2 mm pitch, 156.7 mm²
 */
export function readThread(text: string): Result<Thread> {
  const clean = text.trim().replace(',', '.').replace(/\s+/g, ' ')
  const metric = /^M ?(\d+(?:\.\d+)?)(?: ?[x×*] ?(\d+(?:\.\d+)?))?$/i.exec(clean)
  if (metric) {
    const diameterMm = Number(metric[1])
    const pitches = METRIC_PITCHES[diameterMm]
    if (!pitches)
      return refuse(
        `M${diameterMm} is not among the sizes kept here: ${Object.keys(METRIC_PITCHES)
          .map(one => `M${one}`)
          .join(' ')}.`,
      )
    const pitchMm = metric[2] ? Number(metric[2]) : pitches[0]!
    if (!pitches.includes(pitchMm))
      return refuse(`M${diameterMm} has no pitch of ${pitchMm} mm here; it has ${pitches.join(', ')} mm.`)
    return accept({
      name: pitchMm === pitches[0] ? `M${diameterMm}` : `M${diameterMm}×${pitchMm}`,
      diameterMm,
      pitchMm,
      stressAreaMm2: metricStressAreaMm2(diameterMm, pitchMm),
    })
  }
  const unified = /^((?:\d+ )?\d+(?:\/\d+)?)(?:"| in)?(?:-(\d+(?:\.\d+)?))? ?(UNC|UNF)$/i.exec(clean)
  if (!unified) return refuse(`“${text}” is not a thread known here. Write M16, M16x1.5, 1/2 UNC or 1 1/4 UNF.`)
  const [, size = '', asked, series = ''] = unified
  const kind = series.toUpperCase() as 'UNC' | 'UNF'
  const threadsPerInch = UNIFIED_TPI[kind][size]
  if (!threadsPerInch)
    return refuse(
      `${size} in has no ${kind} thread here: sizes are ${Object.keys(UNIFIED_TPI[kind])
        .sort((a, b) => inches(a) - inches(b))
        .join(', ')} in.`,
    )
  if (asked && Number(asked) !== threadsPerInch)
    return refuse(`${size} ${kind} has ${threadsPerInch} threads an inch, not ${asked}.`)
  return accept({
    name: `${size}-${threadsPerInch} ${kind}`,
    diameterMm: inches(size) * 25.4,
    pitchMm: 25.4 / threadsPerInch,
    stressAreaMm2: unifiedStressAreaMm2(inches(size), threadsPerInch),
  })
}

export interface Strength {
  mpa: number
  what: string
  standard: string
}

/**
 * Stress that a bolt of a class may be loaded against, MPa: proof stress (ISO 898-1, SAE J429), 0.2 % stress (ISO 3506-1),
 * yield (ASTM A193 B7). Refused by name: a size outside the class's standard.
 * @example boltStrength('8.8', 20) // 600 MPa, proof stress, ISO 898-1
 */
export function boltStrength(name: BoltClassName, diameterMm: number): Result<Strength> {
  const known: BoltClass = BOLT_CLASSES[name]
  const row = diameterMm >= known.fromMm - 1e-9 ? known.rows.find(one => diameterMm <= one.upToMm + 1e-9) : undefined
  const most = known.rows.at(-1)!.upToMm
  if (!row)
    return refuse(
      `${name} is not defined for ${Number(diameterMm.toFixed(2))} mm: ${known.standard} gives it from ${known.fromMm} to ${most} mm. Take the figure from the maker.`,
    )
  return accept({ mpa: row.mpa, what: known.what, standard: known.standard })
}
