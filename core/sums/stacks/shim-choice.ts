import { chooseShims, shimWork } from '../../stacks/index.ts'
import { accept } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { defineSum, line, say } from '../define.ts'
import { fallback, number, rows, whole } from '../fields.ts'
import { GAP, SAYS } from './shared.ts'

export const shimChoiceSum = defineSum({
  name: 'shim-choice',
  craft: 'stacks',
  title: 'Shim pack out of stock',
  about: 'The pack that lands the gap nearest its middle with the fewest pieces, and the next two.',
  source: 'exact search over the stock',
  cost: ({ stock, mostPieces, ...wish }) => shimWork(stock, { ...wish, mostPieces }),
  fields: {
    openMm: number('Gap with no shim', 'mm', [0.001, 200]),
    leastMm: number('Gap wanted, minimum', 'mm', GAP),
    greatestMm: number('Gap wanted, maximum', 'mm', GAP),
    stock: rows(
      'In stock',
      { thicknessMm: number('Thickness', 'mm', [0.001, 50]), count: whole('Pieces', [0, 200]) },
      [1, 60],
    ),
    mostPieces: fallback(whole('At most pieces', [1, 20]), 8),
  },
  example: {
    openMm: 1.34,
    leastMm: 0.2,
    greatestMm: 0.3,
    stock: [
      { thicknessMm: 0.05, count: 6 },
      { thicknessMm: 0.1, count: 4 },
      { thicknessMm: 0.15, count: 2 },
      { thicknessMm: 0.25, count: 4 },
      { thicknessMm: 0.5, count: 3 },
      { thicknessMm: 1, count: 2 },
    ],
    mostPieces: 6,
  },
  work: ({ stock, mostPieces, ...wish }, progress) => {
    const packs = chooseShims(stock, { ...wish, mostPieces }, progress)
    if (!packs.ok) return packs
    const [best] = packs.value
    const words = (pack: typeof best) =>
      pack!.pieces.map(one => `${one.count} × ${say(one.thicknessMm, 4)}`).join(' + ') || 'no shim'
    return accept({
      figures: [
        {
          key: 'gapMm',
          what: 'Gap with the best pack',
          value: best!.gapMm,
          unit: 'mm',
          decimals: 3,
          held: holdAgainst(best!.gapMm, { min: wish.leastMm, max: wish.greatestMm }, 'limits typed here', SAYS),
        },
        { key: 'thicknessMm', what: 'Pack is thick', value: best!.thicknessMm, unit: 'mm', decimals: 3 },
        { key: 'pieces', what: 'Pieces', value: best!.count, decimals: 0 },
        { key: 'pack', what: 'Best pack', value: words(best) },
      ],
      working: packs.value.map((pack, i) =>
        line(
          ['Best', 'Next', 'Third'][i]!,
          'gap − pack',
          `${say(wish.openMm)} − (${words(pack)})`,
          `${say(pack.gapMm, 4)} mm`,
        ),
      ),
      more: { packs: packs.value },
      notes: packs.value.every(one => !one.inside)
        ? ['No pack in stock lands inside the limits: order another thickness, or have one ground.']
        : [],
    })
  },
})
