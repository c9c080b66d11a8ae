import { accept, refuse, type Result } from '../result.ts'
import {
  BOLT_CLASSES,
  METRIC_PITCHES,
  UNIFIED_TPI,
  type BoltClass,
  type BoltClassName,
  type ThreadSystem,
  type UnifiedSeries,
} from './thread-data.ts'
import { metricStressAreaMm2 } from './torque.ts'

export interface Thread {
  name: string
  system: ThreadSystem
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
 * Reads a thread: `M16` (coarse), `M16x1.5`, `1/2 UNC`, `1 1/4-12 UNF`, `2-8 UN`. Metric M3 to M64, unified 1/4 to 2 in (fine to
 * 1½), and eight threads an inch 1⅛ to 4 in.
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
      system: 'metric',
      name: pitchMm === pitches[0] ? `M${diameterMm}` : `M${diameterMm}×${pitchMm}`,
      diameterMm,
      pitchMm,
      stressAreaMm2: metricStressAreaMm2(diameterMm, pitchMm),
    })
  }
  const unified = /^((?:\d+ )?\d+(?:\/\d+)?)(?:"| in)?(?:-(\d+(?:\.\d+)?))? ?(UNC|UNF|8 ?UN|UN)$/i.exec(clean)
  if (!unified) return refuse(`“${text}” is not a thread known here. Write M16, M16x1.5, 1/2 UNC, 1 1/4 UNF or 2-8 UN.`)
  const [, size = '', asked, series = ''] = unified
  const written = series.toUpperCase().replace(' ', '')
  if (written === 'UN' && asked !== '8')
    return refuse(
      `“${text}”: of the UN threads only those with eight an inch are kept here. Write ${size}-8 UN, UNC or UNF.`,
    )
  const kind: UnifiedSeries = written === 'UNC' || written === 'UNF' ? written : '8UN'
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
    system: 'unified',
    name: `${size}-${threadsPerInch} ${kind === '8UN' ? 'UN' : kind}`,
    diameterMm: inches(size) * 25.4,
    pitchMm: 25.4 / threadsPerInch,
    stressAreaMm2: unifiedStressAreaMm2(inches(size), threadsPerInch),
  })
}

export interface Strength {
  mpa: number
  yieldMpa: number
  what: string
  standard: string
}

/**
 * Stress that a bolt of a class may be loaded against, and its yield, MPa: proof stress (ISO 898-1, SAE J429), 0.2 % stress
 * (ISO 3506-1), yield (ASTM A193/A193M B7, by its inch or metric sizes).
 * Refused by name: threads the class's standard does not give it for, a size outside its span.
 * @example boltStrength('8.8', { system: 'metric', diameterMm: 20 }) // 600 MPa, proof stress, ISO 898-1
 */
export function boltStrength(
  name: BoltClassName,
  { system, diameterMm }: Pick<Thread, 'system' | 'diameterMm'>,
): Result<Strength> {
  const known: BoltClass = BOLT_CLASSES[name]
  const span = known[system]
  if (!span)
    return refuse(
      system === 'metric'
        ? `${name} is a class of inch threads (${known.standard}); a metric bolt carries one such as 8.8 or A4-70. Read its head again.`
        : `${name} is a class of metric threads (${known.standard}); an inch bolt carries a grade such as Grade 5 or B7. Read its head again.`,
    )
  const row = diameterMm >= span.fromMm - 1e-9 ? span.rows.find(one => diameterMm <= one.upToMm + 1e-9) : undefined
  if (!row)
    return refuse(
      `${name} is not defined for ${Number(diameterMm.toFixed(2))} mm: ${known.standard} gives it from ${span.fromMm} to ${span.rows.at(-1)!.upToMm} mm. Take the figure from the maker.`,
    )
  return accept({ mpa: row.mpa, yieldMpa: row.yieldMpa, what: known.what, standard: known.standard })
}
