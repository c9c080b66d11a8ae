import { valveLift } from '../../clearances/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { list, number } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'

const DEPTH = [0.05, 100] as const

export const valveLiftSum = defineSum({
  name: 'valve-lift',
  craft: 'clearances',
  title: 'Lift of a valve plate',
  about:
    'Depth of the guard less the plate, at its places: too little starves the cylinder, too much breaks the plate.',
  source: 'one-dimensional chain; limits are the maker’s',
  fields: {
    depthsMm: list('Guard, deep', 'mm', DEPTH, [1, 8]),
    plateMm: number('Plate, thick', 'mm', DEPTH),
    minMm: makerMin('mm', DEPTH),
    maxMm: makerMax('mm', DEPTH),
  },
  example: { depthsMm: [3.82, 3.86, 3.85], plateMm: 2, minMm: 1.7, maxMm: 2 },
  work: ({ depthsMm, plateMm, minMm, maxMm }) =>
    answering(valveLift(depthsMm, plateMm), ({ leastMm, greatestMm }) => {
      const limits = { min: minMm, max: maxMm }
      const says = {
        low: 'gas is throttled: the valve heats and power is lost',
        high: 'the plate strikes too fast and breaks; so do its springs',
      }
      return {
        figures: [
          fig('greatestMm', 'Lift, maximum', greatestMm, 'mm', 2, hold(greatestMm, limits, says)),
          fig('leastMm', 'Lift, minimum', leastMm, 'mm', 2, hold(leastMm, limits, says)),
        ],
        working: [
          line('Maximum', 'depth − plate', `${say(Math.max(...depthsMm))} − ${say(plateMm)}`, `${say(greatestMm)} mm`),
          line('Minimum', 'depth − plate', `${say(Math.min(...depthsMm))} − ${say(plateMm)}`, `${say(leastMm)} mm`),
        ],
        reading: { row: 'figure', tries: [[greatestMm]] },
      }
    }),
})
