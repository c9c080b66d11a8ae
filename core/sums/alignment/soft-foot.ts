import { softFeet } from '../../alignment/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { fallback, number, optional, rows, text } from '../fields.ts'
import { hold } from '../limits.ts'

export const softFootSum = defineSum({
  name: 'soft-foot',
  craft: 'alignment',
  title: 'Soft foot',
  about: 'Each foot loosened alone, its rise on a dial: which one is soft, and what goes under it.',
  source: 'workshop practice; before any alignment is read',
  fields: {
    feet: rows(
      'Feet',
      {
        foot: text('Foot', 20),
        riseMm: number('Rises', 'mm', [0, 5]),
        insideMm: optional(number('Gap, inside edge', 'mm', [0, 5])),
        outsideMm: optional(number('Gap, outside edge', 'mm', [0, 5])),
      },
      [3, 8],
    ),
    maxMm: fallback(number('Soft from', 'mm', [0.001, 1]), 0.05),
  },
  example: {
    feet: [
      { foot: 'front left', riseMm: 0.02 },
      { foot: 'front right', riseMm: 0.13, insideMm: 0.05, outsideMm: 0.15 },
      { foot: 'back left', riseMm: 0.09, insideMm: 0.08, outsideMm: 0.09 },
      { foot: 'back right', riseMm: 0.03 },
    ],
    maxMm: 0.05,
  },
  work: ({ feet, maxMm }) =>
    answering(softFeet(feet, maxMm), shims => {
      const [worst] = shims
      const words = ({ shim, thicknessMm }: (typeof shims)[number]) =>
        shim === 'none'
          ? 'stands'
          : shim === 'even'
            ? `even shim, ${say(thicknessMm![0], 2)} mm`
            : `stepped shims, ${say(thicknessMm![0], 2)} mm inside to ${say(thicknessMm![1], 2)} mm outside, or the foot machined`
      return {
        figures: [
          fig(
            'worstMm',
            `Rises most, ${worst!.foot}`,
            worst!.riseMm,
            'mm',
            3,
            hold(
              worst!.riseMm,
              { max: maxMm },
              { high: 'bolted down it bends the frame: air gap and alignment change with every bolt' },
            ),
          ),
          fig('do', 'Put right first', words(worst!)),
          fig('softCount', 'Soft feet', shims.filter(one => one.shim !== 'none').length, undefined, 0),
        ],
        working: shims.map(one => line(one.foot, 'rise, loosened alone', `${say(one.riseMm)} mm`, words(one))),
        notes: [
          'One foot at a time: put the worst right, then loosen and read every foot again. At most four shims under a foot.',
        ],
        more: { shims },
      }
    }),
})
