import { leastRunningClearanceMm, ringClearance } from '../../clearances/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { flag, list, number, optional } from '../fields.ts'
import { hold, makerMax, makerMin, RULE_OF_THUMB } from '../limits.ts'

const SIZE = [5, 3000] as const
const GAP = [0.01, 20] as const

export const wearRingSum = defineSum({
  name: 'wear-ring',
  craft: 'clearances',
  title: 'Wear ring',
  about: 'Clearance of a wear ring over its hub on the diameter, and how much more leaks past than when it was new.',
  source: 'ISO 13709 for the minimum; twice the new clearance as a rule of thumb for the maximum',
  fields: {
    ringsMm: list('Ring bore', 'mm', SIZE, [1, 20]),
    hubsMm: list('Hub of the impeller', 'mm', SIZE, [1, 20]),
    newMm: optional(number('Clearance when new', 'mm', GAP)),
    gallsOrHot: flag('The pair galls, or runs above 260 °C'),
    minMm: makerMin('mm', GAP),
    maxMm: makerMax('mm', GAP),
  },
  example: { ringsMm: [180.62, 180.68, 180.71], hubsMm: [180.02, 179.98], newMm: 0.48, gallsOrHot: false },
  work: ({ ringsMm, hubsMm, newMm, gallsOrHot, minMm, maxMm }) => {
    const least = leastRunningClearanceMm(Math.min(...hubsMm), gallsOrHot)
    if (!least.ok) return least
    return answering(ringClearance(ringsMm, hubsMm), made => {
      const says = {
        low: 'the rings touch as the shaft bends: they seize',
        high: 'what is pumped runs back: flow and pressure are lost, and the thrust changes',
      }
      const fresh = newMm ?? least.value
      const general = {
        limits: { min: least.value, max: 2 * fresh, best: Math.max(fresh, least.value) },
        source: `minimum by ISO 13709; maximum twice ${newMm === undefined ? 'that' : 'the new one'}, ${RULE_OF_THUMB}`,
      }
      const limits = { min: minMm, max: maxMm }
      return {
        figures: [
          fig(
            'greatestMm',
            'Clearance, maximum',
            made.greatestMm,
            'mm',
            3,
            hold(made.greatestMm, limits, says, general),
          ),
          fig('leastMm', 'Clearance, minimum', made.leastMm, 'mm', 3, hold(made.leastMm, limits, says, general)),
          fig('meanMm', 'Clearance, mean', made.meanMm, 'mm', 3),
          fig('leaksTimes', 'Leaks past, times as new', made.meanMm / fresh, undefined, 2),
          fig('standardLeastMm', 'Minimum for this size', least.value, 'mm', 3),
        ],
        working: [
          line(
            'Maximum',
            'maximum ring − minimum hub',
            `${say(Math.max(...ringsMm))} − ${say(Math.min(...hubsMm))}`,
            `${say(made.greatestMm)} mm`,
          ),
          line(
            'Minimum',
            'minimum ring − maximum hub',
            `${say(Math.min(...ringsMm))} − ${say(Math.max(...hubsMm))}`,
            `${say(made.leastMm)} mm`,
          ),
          line(
            'Leakage',
            'mean/new, at least',
            `${say(made.meanMm)}/${say(fresh)}`,
            `${say(made.meanMm / fresh, 2)} times`,
          ),
        ],
        reading: { row: 'figure', tries: [[made.greatestMm]] },
      }
    })
  },
})
