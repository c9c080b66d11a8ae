import { seeded, stackGap, tryStack } from '../../stacks/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { fallback, whole } from '../fields.ts'
import { hold } from '../limits.ts'
import { LINKS, LIMITS, SAYS, asLinks, EXAMPLE } from './shared.ts'

export const stackTrialSum = defineSum({
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
})
