import { chooseShims, DISTRIBUTIONS, seeded, shimWork, stackGap, tryStack, type Link } from '../stacks/index.ts'
import { accept } from '../result.ts'
import { holdAgainst } from '../verdict.ts'
import { answering, defineSum, line, say } from './define.ts'
import { choice, fallback, number, optional, rows, text, whole } from './fields.ts'
import { hold, makerMax, makerMin } from './limits.ts'

const MM = [0, 10000] as const
const GAP = [-100, 1000] as const
const LINKS = rows(
  'Lengths',
  {
    name: optional(text('Part', 30)),
    sign: choice('Gap', ['opens', 'closes']),
    nominalMm: number('Length', 'mm', MM),
    plusMm: fallback(number('Plus', 'mm', [0, 100]), 0),
    minusMm: fallback(number('Minus', 'mm', [0, 100]), 0),
    distribution: fallback(choice('Spread', DISTRIBUTIONS), 'normal'),
  },
  [1, 20],
)
const LIMITS = { minMm: makerMin('mm', GAP), maxMm: makerMax('mm', GAP) }
const SAYS = { low: 'it closes up and binds', high: 'it is left slack' }

type Row = {
  name?: string
  sign: 'opens' | 'closes'
  nominalMm: number
  plusMm: number
  minusMm: number
  distribution: Link['distribution'] & string
}
const asLinks = (links: readonly Row[]): Link[] =>
  links.map(one => ({ ...one, name: one.name ?? '', sign: one.sign === 'opens' ? 1 : -1 }))
const EXAMPLE: Row[] = [
  { name: 'Housing depth', sign: 'opens', nominalMm: 62, plusMm: 0.05, minusMm: 0, distribution: 'normal' },
  { name: 'Bearing', sign: 'closes', nominalMm: 31, plusMm: 0, minusMm: 0.12, distribution: 'even' },
  { name: 'Spacer', sign: 'closes', nominalMm: 18.4, plusMm: 0.03, minusMm: 0.03, distribution: 'normal' },
  { name: 'Cover spigot', sign: 'closes', nominalMm: 12.5, plusMm: 0.04, minusMm: 0.04, distribution: 'normal' },
  { name: 'Gasket, pressed', sign: 'opens', nominalMm: 0.4, plusMm: 0.05, minusMm: 0.05, distribution: 'triangle' },
]

export const stackSums = [
  defineSum({
    name: 'stack',
    craft: 'stacks',
    title: 'Stack of lengths',
    about: 'A signed chain of lengths with tolerances as a gap: worst case and root-sum-square.',
    source: 'dimension chains; root-sum-square wants independent, centred links',
    fields: { links: LINKS, ...LIMITS },
    example: { links: EXAMPLE, minMm: 0.2, maxMm: 0.8 },
    work: ({ links, minMm, maxMm }) =>
      answering(stackGap(asLinks(links)), ({ nominalMm, middleMm, worst, rss }) => {
        const limits = { min: minMm, max: maxMm }
        return {
          figures: [
            {
              key: 'worstLeastMm',
              what: 'Worst case, least',
              value: worst.leastMm,
              unit: 'mm',
              decimals: 3,
              held: hold(worst.leastMm, limits, SAYS),
            },
            {
              key: 'worstGreatestMm',
              what: 'Worst case, greatest',
              value: worst.greatestMm,
              unit: 'mm',
              decimals: 3,
              held: hold(worst.greatestMm, limits, SAYS),
            },
            { key: 'nominalMm', what: 'Gap at nominal', value: nominalMm, unit: 'mm', decimals: 3 },
            { key: 'middleMm', what: 'Gap at the middle of all tolerances', value: middleMm, unit: 'mm', decimals: 3 },
            { key: 'rssLeastMm', what: 'Root-sum-square, least', value: rss.leastMm, unit: 'mm', decimals: 3 },
            { key: 'rssGreatestMm', what: 'Root-sum-square, greatest', value: rss.greatestMm, unit: 'mm', decimals: 3 },
          ],
          working: [
            line(
              'Nominal',
              'Σ ± length',
              links.map(one => `${one.sign === 'opens' ? '+' : '−'} ${say(one.nominalMm)}`).join(' '),
              `${say(nominalMm)} mm`,
            ),
            line(
              'Worst case',
              'middle ± Σ t/2',
              `${say(middleMm)} ± ${say((worst.greatestMm - worst.leastMm) / 2)}`,
              `${say(worst.leastMm)} to ${say(worst.greatestMm)} mm`,
            ),
            line(
              'Root-sum-square',
              'middle ± √Σ(t/2)²',
              `${say(middleMm)} ± ${say((rss.greatestMm - rss.leastMm) / 2)}`,
              `${say(rss.leastMm)} to ${say(rss.greatestMm)} mm`,
            ),
          ],
          schools: [
            {
              name: 'Worst case',
              gives: `${say(worst.leastMm)} to ${say(worst.greatestMm)} mm`,
              why: 'one machine on the bench: what can happen, will',
            },
            {
              name: 'Root-sum-square',
              gives: `${say(rss.leastMm)} to ${say(rss.greatestMm)} mm`,
              why: 'many alike, each free of the others: what nearly always happens',
            },
          ],
        }
      }),
  }),
  defineSum({
    name: 'stack-trial',
    craft: 'stacks',
    title: 'Stack by trial',
    about: 'The same chain drawn at random many times over: how often the gap really falls out.',
    source: 'Monte Carlo; a tolerance is ± 3σ of a normal link',
    cost: ({ links, samples }) => samples * (links.length + 5),
    fields: {
      links: LINKS,
      ...LIMITS,
      samples: fallback(whole('Samples', [100, 2000000]), 100000),
      seed: fallback(whole('Seed', [0, 2147483647]), 1),
    },
    example: { links: EXAMPLE, minMm: 0.35, maxMm: 0.75, samples: 1000000, seed: 1 },
    work: ({ links, minMm, maxMm, samples, seed }, progress) => {
      const chain = asLinks(links)
      const stack = stackGap(chain)
      if (!stack.ok) return stack
      return answering(tryStack(chain, samples, seeded(seed), { min: minMm, max: maxMm }, progress), trial => ({
        figures: [
          {
            key: 'spanLeastMm',
            what: 'Nearly always above',
            value: trial.span.leastMm,
            unit: 'mm',
            decimals: 3,
            held: hold(trial.span.leastMm, { min: minMm, max: maxMm }, SAYS),
          },
          {
            key: 'spanGreatestMm',
            what: 'Nearly always below',
            value: trial.span.greatestMm,
            unit: 'mm',
            decimals: 3,
            held: hold(trial.span.greatestMm, { min: minMm, max: maxMm }, SAYS),
          },
          {
            key: 'outPercent',
            what: 'Falls out',
            value: trial.outShare === null ? null : trial.outShare * 100,
            unit: '%',
            decimals: 3,
          },
          { key: 'meanMm', what: 'Mean', value: trial.meanMm, unit: 'mm', decimals: 4 },
          { key: 'deviationMm', what: 'Standard deviation', value: trial.deviationMm, unit: 'mm', decimals: 4 },
          { key: 'samples', what: 'Samples', value: trial.samples, decimals: 0 },
        ],
        working: [
          line(
            'Samples',
            'each link drawn, added with its sign',
            `${trial.samples}, seed ${seed}`,
            `${say(trial.leastMm)} to ${say(trial.greatestMm)} mm`,
          ),
          line(
            'Nearly always',
            '0.135 % to 99.865 % of them',
            'what ± 3σ is of a normal gap',
            `${say(trial.span.leastMm)} to ${say(trial.span.greatestMm)} mm`,
          ),
        ],
        more: { histogram: trial.histogram, worst: stack.value.worst, rss: stack.value.rss },
      }))
    },
  }),
  defineSum({
    name: 'shim-choice',
    craft: 'stacks',
    title: 'Shim pack out of stock',
    about: 'The pack that lands the gap nearest its middle with the fewest pieces, and the next two.',
    source: 'exact search over the stock',
    cost: ({ stock, mostPieces, ...wish }) => shimWork(stock, { ...wish, mostPieces }),
    fields: {
      openMm: number('Gap with no shim', 'mm', [0.001, 200]),
      leastMm: number('Gap wanted, least', 'mm', GAP),
      greatestMm: number('Gap wanted, greatest', 'mm', GAP),
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
  }),
]
