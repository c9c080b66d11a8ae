import { pressureDrop } from '../../proving/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { absolute, number, optional, whole } from '../fields.ts'
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
    minutes: whole('Ran, minutes', [1, 100000]),
    maxDropMPa: optional(number('Greatest drop', 'MPa', [0, 100])),
  },
  example: { startMPaAbs: 0.7013, startC: 24, endMPaAbs: 0.6935, endC: 21, minutes: 60, maxDropMPa: 0.005 },
  work: ({ startMPaAbs, startC, endMPaAbs, endC, minutes, maxDropMPa }) => {
    if (endMPaAbs > startMPaAbs * 1.5)
      return refuse('The end stands far above the start. Were both read absolute, in one unit?')
    return answering(
      pressureDrop(startMPaAbs, startC, endMPaAbs, endC, minutes),
      ({ dropMPa, perHourMPa, rawDropMPa }) => ({
        figures: [
          {
            key: 'dropMPa',
            what: 'Drop, corrected',
            value: dropMPa,
            unit: 'MPa',
            decimals: 5,
            held: hold(dropMPa, { max: maxDropMPa }, { high: 'it leaks: soap the joints and the seal' }),
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
        notes: ['Gas only: a liquid does not follow it. Stand clear of a vessel under gas pressure.'],
      }),
    )
  },
})
