import { meanOf } from '../../gauging/index.ts'
import { CLEARANCE_SCHOOLS, runningClearance } from '../../sleeves/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { list } from '../fields.ts'
import { hold, makerMax, makerMin, RULE_OF_THUMB, worseOf } from '../limits.ts'
import { GAP, SIZE, NARROW } from './shared.ts'

export const runningClearanceSum = defineSum({
  name: 'running-clearance',
  craft: 'sleeves',
  title: 'Running clearance',
  about: 'Bore readings less journal readings, and what the rules of thumb would want.',
  source: 'extremes of both parts; targets are rules of thumb',
  fields: {
    boresMm: list('Bore readings', 'mm', SIZE, [1, 20]),
    journalsMm: list('Journal readings', 'mm', SIZE, [1, 20]),
    minMm: makerMin('mm', GAP),
    maxMm: makerMax('mm', GAP),
  },
  example: { boresMm: [80.102, 80.11, 80.106], journalsMm: [80.008, 80.004, 80.006], minMm: 0.08, maxMm: 0.14 },
  work: ({ boresMm, journalsMm, minMm, maxMm }) =>
    answering(runningClearance(boresMm, journalsMm), ({ leastMm, greatestMm, meanMm, perMille }) => {
      const d = meanOf(journalsMm)
      const limits = { min: minMm, max: maxMm }
      return {
        figures: [
          {
            key: 'leastMm',
            what: 'Minimum',
            value: leastMm,
            unit: 'mm',
            decimals: 3,
            held: hold(leastMm, limits, NARROW),
          },
          {
            key: 'greatestMm',
            what: 'Maximum',
            value: greatestMm,
            unit: 'mm',
            decimals: 3,
            held: hold(greatestMm, limits, NARROW),
          },
          { key: 'meanMm', what: 'Mean', value: meanMm, unit: 'mm', decimals: 4 },
          { key: 'perMille', what: 'Of the journal', value: perMille, unit: '‰', decimals: 2 },
        ],
        working: [
          line(
            'Minimum',
            'minimum bore − maximum journal',
            `${say(Math.min(...boresMm))} − ${say(Math.max(...journalsMm))}`,
            `${say(leastMm)} mm`,
          ),
          line(
            'Maximum',
            'maximum bore − minimum journal',
            `${say(Math.max(...boresMm))} − ${say(Math.min(...journalsMm))}`,
            `${say(greatestMm)} mm`,
          ),
          line('Share', 'mean/d', `${say(meanMm, 4)}/${say(d)}`, `${say(perMille, 2)} ‰`),
        ],
        schools: Object.entries(CLEARANCE_SCHOOLS).map(([name, school]) => {
          const [low, high] = school.spanMm(d)
          return {
            name,
            gives: low === high ? `about ${say(low)} mm` : `${say(low)} to ${say(high)} mm`,
            why: school.why,
          }
        }),
        notes: [`The targets are ${RULE_OF_THUMB}.`],
        reading: { row: 'figure', tries: [[worseOf(leastMm, greatestMm, limits)]] },
      }
    }),
})
