import { leftOpen } from '../../verdict.ts'
import { followRounds } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { number, optional, rows, text } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'
import { MM } from './shared.ts'

export const fitUpRoundsSum = defineSum({
  name: 'fit-up-rounds',
  craft: 'gauging',
  title: 'Fit-up rounds',
  about: 'Cover on, read, off, changed, on again: rounds in their order, void ones kept with their cause.',
  source: 'workshop practice: rounds are not tries, and are never averaged',
  fields: {
    rounds: rows(
      'Rounds',
      {
        value: number('Reads', 'mm', MM),
        changed: optional(text('Changed before it', 60)),
        voidBecause: optional(text('Void because', 60)),
      },
      [1, 20],
    ),
    minMm: makerMin('mm', MM),
    maxMm: makerMax('mm', MM),
  },
  example: {
    rounds: [
      { value: 0.02 },
      { value: 0.09, changed: '0.05 shim out', voidBecause: 'bolt 4 was loose' },
      { value: 0.07, changed: '0.05 shim out' },
    ],
    minMm: 0.05,
    maxMm: 0.1,
  },
  work: ({ rounds, minMm, maxMm }) =>
    answering(followRounds(rounds), ({ last, isCurrent, steps, voids }) => ({
      figures: [
        {
          key: 'lastMm',
          what: 'Last round that stands',
          value: last,
          unit: 'mm',
          decimals: 3,
          held: isCurrent
            ? hold(last, { min: minMm, max: maxMm })
            : leftOpen(hold(last, { min: minMm, max: maxMm }), 'the build it was read on was taken apart since'),
        },
        { key: 'voidCount', what: 'Void rounds', value: voids.length },
      ],
      working: [
        ...steps.map(one =>
          line(
            `Round ${one.round}`,
            'change against the round before',
            one.changed ?? 'first',
            one.change === null
              ? `${say(one.value)} mm`
              : `${say(one.value)} mm (${one.change >= 0 ? '+' : '−'}${say(Math.abs(one.change))})`,
          ),
        ),
        ...voids.map(one => line(`Round ${one.round}, void`, 'not used', one.because, `${say(one.value)} mm`)),
      ],
      more: { steps, voids },
      notes: isCurrent ? [] : ['The last round is void: the machine as it stands has not been read. Read it again.'],
      ...(isCurrent ? { reading: { row: 'figure' as const, tries: [[last]] } } : {}),
    })),
})
