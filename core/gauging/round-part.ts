import { accept, refuse, type Result } from '../result.ts'
import { meanOf, rangeOf } from './tries.ts'

/** One gauge place on a journal or in a bore: a station along the length, a plane round it. */
export interface RoundReading {
  station: string
  plane: string
  mm: number
}

export interface StationReading {
  station: string
  meanMm: number
  outOfRoundUm: number | null
}

export interface RoundPart {
  stations: StationReading[]
  meanMm: number
  leastMm: number
  greatestMm: number
  /** First-station mean less last-station mean; null with a single station. */
  taperUm: number | null
  /** Middle mean less mean of the two ends: positive a barrel on a shaft; null with fewer than three stations. */
  barrelUm: number | null
  /** The largest out-of-round of any station; null where every station has one plane only: then it is Open. */
  outOfRoundUm: number | null
}

/**
 * A journal or bore read at 1–5 stations in 1–4 planes, in mm. Stations keep the order in which they first appear,
 * from the stated end. Two-point readings miss odd lobes; that is for the interface to say.
 * Refused: nothing measured, a reading that is not above nought, the same place read twice.
 */
export function reduceRoundPart(readings: readonly RoundReading[]): Result<RoundPart> {
  if (!readings.length) return refuse('Nothing measured yet. Read at least one station.')
  if (readings.some(({ mm }) => !(mm > 0)))
    return refuse('A diameter must be greater than zero. Read that place again.')
  const places = readings.map(({ station, plane }) => `${station}\n${plane}`)
  if (new Set(places).size !== places.length)
    return refuse('The same station and plane is in twice. Correct the first reading instead.')
  const names = [...new Set(readings.map(reading => reading.station))]
  const stations = names.map((station): StationReading => {
    const here = readings.filter(reading => reading.station === station).map(reading => reading.mm)
    return { station, meanMm: meanOf(here), outOfRoundUm: here.length > 1 ? rangeOf(here) * 1000 : null }
  })
  const means = stations.map(station => station.meanMm)
  const all = readings.map(reading => reading.mm)
  const rounds = stations.flatMap(station => station.outOfRoundUm ?? [])
  const first = means[0]!
  const last = means.at(-1)!
  return accept({
    stations,
    meanMm: meanOf(all),
    leastMm: Math.min(...all),
    greatestMm: Math.max(...all),
    taperUm: means.length > 1 ? (first - last) * 1000 : null,
    barrelUm: means.length > 2 ? (meanOf(means.slice(1, -1)) - (first + last) / 2) * 1000 : null,
    outOfRoundUm: rounds.length ? Math.max(...rounds) : null,
  })
}
