import { leftOpen } from '../../verdict.ts'
import { pressureDrop } from '../../proving/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { absolute, fallback, maker, number, whole } from '../fields.ts'
import { hold } from '../limits.ts'

export const leakTestSum = defineSum({
  name: 'leak-test',
  craft: 'proving',
  title: 'Leak test with gas',
  about: 'Pressure drop corrected for temperature, against what is allowed.',
  source: 'gas law at one volume, absolute pressure and temperature; gas only',
  fields: {
    startMPaAbs: absolute('At the start, absolute', [0.0001, 100]),
    startC: number('Gas at the start', '°C', [-50, 200]),
    endMPaAbs: absolute('At the end, absolute', [0.0001, 100]),
    endC: number('Gas at the end', '°C', [-50, 200]),
    outsideMPaAbs: fallback(absolute('Air outside, absolute', [0.03, 0.2]), 0.1013),
    minutes: whole('Ran, minutes', [1, 100000]),
    maxDropMPa: maker('max', number('Maximum change', 'MPa', [0, 100])),
  },
  example: {
    startMPaAbs: 0.7013,
    startC: 24,
    endMPaAbs: 0.6935,
    endC: 21,
    outsideMPaAbs: 0.1013,
    minutes: 60,
    maxDropMPa: 0.005,
  },
  work: ({ startMPaAbs, startC, endMPaAbs, endC, outsideMPaAbs, minutes, maxDropMPa }) => {
    // Below the air outside it is a vacuum: what leaks comes in, and the pressure rises.
    const isVacuum = startMPaAbs < outsideMPaAbs
    if (!isVacuum && endMPaAbs > startMPaAbs * 1.5)
      return refuse('The end stands far above the start. Were both read absolute, in one unit?')
    return answering(
      pressureDrop(startMPaAbs, startC, endMPaAbs, endC, minutes),
      ({ dropMPa, perHourMPa, rawDropMPa }) => {
        const leakMPa = isVacuum ? -dropMPa : dropMPa
        const held = hold(
          leakMPa,
          { max: maxDropMPa },
          {
            high: isVacuum
              ? 'air comes in: look at joints, glands and valves'
              : 'it leaks: soap the joints and the seal',
          },
        )
        const isAgainst = maxDropMPa !== undefined && leakMPa < -maxDropMPa
        return {
          figures: [
            {
              key: 'leakMPa',
              what: isVacuum ? 'Rise under vacuum, corrected' : 'Drop, corrected',
              value: leakMPa,
              unit: 'MPa',
              decimals: 5,
              held: isAgainst
                ? leftOpen(held, 'it went the other way: something feeds it, or a temperature is not the gas’s own')
                : held,
            },
            { key: 'rawDropMPa', what: 'Drop as read', value: rawDropMPa, unit: 'MPa', decimals: 5 },
            { key: 'perHourMPa', what: 'An hour', value: perHourMPa, unit: 'MPa', decimals: 5 },
          ],
          working: [
            line(
              'Drop',
              'p₁ − p₂·T₁/T₂',
              `${say(startMPaAbs, 4)} − ${say(endMPaAbs, 4)}·${say(startC + 273.15, 2)}/${say(endC + 273.15, 2)}`,
              `${say(dropMPa, 5)} MPa`,
            ),
          ],
          notes: [
            isVacuum
              ? 'Under vacuum air leaks in, and what is wet inside gives off vapour: dry it first.'
              : 'Gas only: a liquid does not follow it. Stand clear of a vessel under gas pressure.',
          ],
        }
      },
    )
  },
})
