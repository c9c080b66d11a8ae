import { RING_GAPS, RING_MATERIALS } from '../../clearances/index.ts'
import { accept } from '../../result.ts'
import { defineSum, fig, line, say } from '../define.ts'
import { choice, list, number } from '../fields.ts'
import { hold, makerMax, makerMin, RULE_OF_THUMB } from '../limits.ts'

export const ringGapSum = defineSum({
  name: 'ring-gap',
  craft: 'clearances',
  title: 'End gap of piston rings',
  about: 'Gap of every ring square in its bore, against its material or the maker’s span.',
  source: 'share of the bore by material, a rule of thumb; the maker’s figures go before it',
  fields: {
    gapsMm: list('Gaps, ring by ring', 'mm', [0, 100], [1, 20]),
    boreMm: number('Bore', 'mm', [20, 2000]),
    of: choice('Rings are of', RING_MATERIALS),
    minMm: makerMin('mm', [0, 100]),
    maxMm: makerMax('mm', [0, 100]),
  },
  example: { gapsMm: [0.95, 1, 1.15], boreMm: 240, of: 'cast iron' },
  work: ({ gapsMm, boreMm, of, minMm, maxMm }) => {
    const [least, greatest] = [Math.min(...gapsMm), Math.max(...gapsMm)]
    const [low, high] = RING_GAPS[of]
    const limits = { min: minMm, max: maxMm }
    const says = {
      low: 'warm, the ends meet: the ring breaks and scores the bore',
      high: 'gas blows past: it delivers less and heats',
    }
    const general = { limits: { min: low * boreMm, max: high * boreMm }, source: `${of}, ${RULE_OF_THUMB}` }
    return accept({
      figures: [
        fig(
          'leastMm',
          `Minimum, ring ${gapsMm.indexOf(least) + 1}`,
          least,
          'mm',
          2,
          hold(least, limits, says, general),
        ),
        fig(
          'greatestMm',
          `Maximum, ring ${gapsMm.indexOf(greatest) + 1}`,
          greatest,
          'mm',
          2,
          hold(greatest, limits, says, general),
        ),
      ],
      working: [
        line(
          'Span',
          'share of the bore',
          `${say(low, 4)} and ${say(high, 4)}·${say(boreMm)}`,
          `${say(low * boreMm, 2)} to ${say(high * boreMm, 2)} mm`,
        ),
      ],
      notes: [
        'The ring pushed square with its own piston, where the bore is least worn. Gaps are staggered when they go in.',
      ],
      reading: { row: 'figure', tries: [[greatest]] },
    })
  },
})
