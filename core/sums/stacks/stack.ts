import { stackGap } from '../../stacks/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { hold } from '../limits.ts'
import { LINKS, LIMITS, SAYS, asLinks, EXAMPLE } from './shared.ts'

export const stackSum = defineSum({
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
            what: 'Worst case, minimum',
            value: worst.leastMm,
            unit: 'mm',
            decimals: 3,
            held: hold(worst.leastMm, limits, SAYS),
          },
          {
            key: 'worstGreatestMm',
            what: 'Worst case, maximum',
            value: worst.greatestMm,
            unit: 'mm',
            decimals: 3,
            held: hold(worst.greatestMm, limits, SAYS),
          },
          { key: 'nominalMm', what: 'Gap at nominal', value: nominalMm, unit: 'mm', decimals: 3 },
          { key: 'middleMm', what: 'Gap at the middle of all tolerances', value: middleMm, unit: 'mm', decimals: 3 },
          { key: 'rssLeastMm', what: 'Root-sum-square, minimum', value: rss.leastMm, unit: 'mm', decimals: 3 },
          { key: 'rssGreatestMm', what: 'Root-sum-square, maximum', value: rss.greatestMm, unit: 'mm', decimals: 3 },
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
})
