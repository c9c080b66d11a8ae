import {
  displacementOfVelocity,
  pumpVibrationZone,
  shaftVibrationZone,
  velocityOfDisplacement,
  PUMP_CATEGORIES,
  type VibrationZone,
} from '../../proving/index.ts'
import { refuse } from '../../result.ts'
import { holdAgainst, type Held } from '../../verdict.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, number, only, optional } from '../fields.ts'
import { hold, makerMax } from '../limits.ts'
import { ZONE_SAYS } from './shared.ts'

const SPEED = number('Speed', '1/min', [1, 60000])

/** Inside B holds, with care from A on; a limit of the maker’s goes before the zones. */
function zoneHeld(value: number, { zone, limits }: VibrationZone, source: string, max: number | undefined): Held {
  if (max !== undefined)
    return hold(value, { max }, { high: 'over what the maker allows: find the cause before it runs on' })
  return {
    ...holdAgainst(value, { max: limits[1], warningShare: 1 - limits[0] / limits[1] }, source),
    consequence: zone === 'A' ? null : ZONE_SAYS[zone],
  }
}

export const pumpVibrationSum = defineSum({
  name: 'pump-vibration',
  craft: 'proving',
  title: 'Vibration of a pump',
  about: 'Velocity r.m.s. on a pump’s bearing housing, by its category and power.',
  source: 'ISO 10816-7, rotodynamic pumps',
  fields: {
    mmPerS: number('Velocity r.m.s.', 'mm/s', [0, 200]),
    category: choice('Category', PUMP_CATEGORIES),
    powerKW: number('Power', 'kW', [0.1, 100000]),
    speedPerMin: SPEED,
    maxMmPerS: makerMax('mm/s', [0, 200]),
  },
  example: { mmPerS: 3.6, category: 'II, general', powerKW: 55, speedPerMin: 1480 },
  work: ({ mmPerS, category, powerKW, speedPerMin, maxMmPerS }) =>
    answering(pumpVibrationZone(mmPerS, category, powerKW, speedPerMin), made => ({
      figures: [
        fig('mmPerS', 'Velocity', mmPerS, 'mm/s', 2, zoneHeld(mmPerS, made, 'ISO 10816-7, zone B ends', maxMmPerS)),
        fig('zone', 'Zone', made.zone),
      ],
      working: [
        line(
          'Zones',
          'A/B, B/C, C/D',
          `category ${category}, ${powerKW > 200 ? 'over' : 'up to'} 200 kW`,
          `${made.limits.join(', ')} mm/s`,
        ),
      ],
      notes: ['At its preferred flow, in three directions on both housings; the highest counts.'],
      reading: { row: 'figure', tries: [[mmPerS]] },
    })),
})

export const shaftVibrationSum = defineSum({
  name: 'shaft-vibration',
  craft: 'proving',
  title: 'Vibration of a shaft',
  about: 'Displacement of the shaft against its bearing, peak to peak, by speed; for sleeve bearings with probes.',
  source: 'ISO 20816-3, shaft vibration: 4800, 9000 and 13 200 over √n',
  fields: {
    peakToPeakUm: number('Peak to peak', 'µm', [0, 2000]),
    speedPerMin: SPEED,
    clearanceUm: optional(number('Bearing’s clearance, on the diameter', 'µm', [1, 5000])),
    maxUm: makerMax('µm', [0, 2000]),
  },
  example: { peakToPeakUm: 88, speedPerMin: 2980, clearanceUm: 160 },
  work: ({ peakToPeakUm, speedPerMin, clearanceUm, maxUm }) =>
    answering(shaftVibrationZone(peakToPeakUm, speedPerMin), made => ({
      figures: [
        fig(
          'peakToPeakUm',
          'Peak to peak',
          peakToPeakUm,
          'µm',
          0,
          zoneHeld(peakToPeakUm, made, 'ISO 20816-3, zone B ends', maxUm),
        ),
        fig('zone', 'Zone', made.zone),
        ...(clearanceUm === undefined
          ? []
          : [
              fig(
                'ofClearancePercent',
                'Of the bearing’s clearance',
                (peakToPeakUm / clearanceUm) * 100,
                '%',
                0,
                hold(
                  (peakToPeakUm / clearanceUm) * 100,
                  {},
                  { high: 'the journal nears its bearing: the film breaks' },
                  {
                    limits: { max: 70 },
                    source: 'general rule: under 0.7 of the clearance',
                  },
                ),
              ),
            ]),
      ],
      working: [
        line(
          'Zones',
          '4800, 9000, 13 200/√n',
          `√${say(Math.max(600, speedPerMin))}`,
          `${made.limits.map(one => say(one, 0)).join(', ')} µm`,
        ),
      ],
      notes: ['Run-out of the track under the probe is in it: read it at slow turning first.'],
      reading: { row: 'figure', tries: [[peakToPeakUm / 1000]] },
    })),
})

const GIVEN = ['displacement', 'velocity'] as const

export const vibrationOfSum = defineSum({
  name: 'displacement-velocity',
  craft: 'proving',
  title: 'Displacement and velocity',
  about: 'One frequency said the other way: peak to peak into velocity r.m.s., and back.',
  source: 'a sine: v = π·f·s/√2',
  fields: {
    given: choice('Given is the', GIVEN),
    peakToPeakUm: only(number('Peak to peak', 'µm', [0, 20000]), 'given', GIVEN[0]),
    mmPerS: only(number('Velocity r.m.s.', 'mm/s', [0, 1000]), 'given', GIVEN[1]),
    perMin: number('At', '1/min', [1, 600000]),
  },
  example: { given: 'displacement', peakToPeakUm: 60, perMin: 1480 },
  work: ({ given, peakToPeakUm, mmPerS, perMin }) => {
    const hz = perMin / 60
    if (given === 'displacement') {
      if (peakToPeakUm === undefined) return refuse('Give the displacement, peak to peak.')
      return answering(velocityOfDisplacement(peakToPeakUm, hz), v => ({
        figures: [fig('velocityMmPerS', 'Velocity r.m.s.', v, 'mm/s', 2)],
        working: [line('Velocity', 'π·f·s/√2', `π·${say(hz, 2)}·${say(peakToPeakUm / 1000)}/√2`, `${say(v, 2)} mm/s`)],
      }))
    }
    if (mmPerS === undefined) return refuse('Give the velocity, r.m.s.')
    return answering(displacementOfVelocity(mmPerS, hz), s => ({
      figures: [fig('displacementUm', 'Peak to peak', s, 'µm', 1)],
      working: [line('Displacement', '√2·v/(π·f)', `√2·${say(mmPerS)}/(π·${say(hz, 2)})·1000`, `${say(s, 1)} µm`)],
    }))
  },
})
