import { leadClearance } from '../../clearances/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { fallback, list, number, optional } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'

const LEAD = [0.05, 30] as const

export const topClearanceSum = defineSum({
  name: 'top-clearance',
  craft: 'clearances',
  title: 'Piston clearance by lead',
  about:
    'Leads pressed at both ends of a compressor’s stroke: the room left, warm too, and whether the piston stands square.',
  source: 'workshop practice; the flattest lead counts',
  fields: {
    headMm: list('Leads, head end', 'mm', LEAD, [1, 8]),
    crankMm: { ...list('Leads, crank end', 'mm', LEAD, [1, 8]), optional: true as const },
    growsHeadMm: fallback(number('Rod grows to the head', 'mm', [0, 10]), 0),
    minMm: makerMin('mm', LEAD),
    maxMm: makerMax('mm', LEAD),
    maxTiltMm: optional(number('Maximum difference at one end', 'mm', [0, 10])),
  },
  example: { headMm: [1.82, 1.9], crankMm: [1.44, 1.4], growsHeadMm: 0.3, minMm: 1.2, maxMm: 2.2, maxTiltMm: 0.15 },
  work: ({ headMm, crankMm, growsHeadMm, minMm, maxMm, maxTiltMm }) => {
    const crank = crankMm ? leadClearance(crankMm, 0) : null
    if (crank && !crank.ok) return crank
    return answering(leadClearance(headMm, growsHeadMm), head => {
      const says = {
        low: 'the piston strikes its cover when rod and piston are warm',
        high: 'gas stays behind in the cylinder: it delivers less and runs hot',
      }
      const limits = { min: minMm, max: maxMm }
      const tilt = Math.max(head.tiltMm, crank?.ok ? crank.value.tiltMm : 0)
      return {
        figures: [
          fig('headWarmMm', 'Head end, minimum, warm', head.warmLeastMm, 'mm', 2, hold(head.warmLeastMm, limits, says)),
          fig('headMm', 'Head end, minimum, cold', head.leastMm, 'mm', 2),
          ...(crank?.ok
            ? [
                fig(
                  'crankMm',
                  'Crank end, minimum',
                  crank.value.leastMm,
                  'mm',
                  2,
                  hold(crank.value.leastMm, limits, says),
                ),
              ]
            : []),
          fig(
            'tiltMm',
            'Difference at one end',
            tilt,
            'mm',
            2,
            maxTiltMm === undefined
              ? undefined
              : hold(tilt, { max: maxTiltMm }, { high: 'the piston stands cocked, or the rod is bent' }),
          ),
        ],
        working: [
          line(
            'Head, warm',
            'minimum lead − growth',
            `${say(head.leastMm)} − ${say(growsHeadMm)}`,
            `${say(head.warmLeastMm)} mm`,
          ),
          line(
            'Difference',
            'maximum − minimum',
            `${say(Math.max(...headMm))} − ${say(Math.min(...headMm))}`,
            `${say(head.tiltMm)} mm`,
          ),
        ],
        notes: ['Barred over by hand, the drive isolated and the cylinder open to the air. Count the leads out again.'],
        reading: { row: 'figure', tries: [[head.leastMm]] },
      }
    })
  },
})
