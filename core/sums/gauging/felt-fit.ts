import { judgeFelt, FELT_FITS, FELT_WORDS } from '../../gauging/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line } from '../define.ts'
import { choice, flag } from '../fields.ts'

export const feltFitSum = defineSum({
  name: 'felt-fit',
  craft: 'gauging',
  title: 'Felt fit',
  about: 'A fit judged by hand, in graded words, against the one that is wanted.',
  source: 'graded words of the trade; no measurement',
  fields: {
    found: choice('It', FELT_WORDS),
    wanted: choice('Wanted', FELT_WORDS),
    mateIsNew: flag('The mate is new'),
  },
  example: { found: 'drops on', wanted: 'snug', mateIsNew: true },
  work: ({ found, wanted, mateIsNew }) => {
    const { verdict, steps, says } = judgeFelt(found, wanted, mateIsNew)
    return accept({
      figures: [
        {
          key: 'steps',
          what: 'Grades tighter (+) or looser (−)',
          value: steps,
          decimals: 0,
          held: {
            verdict,
            share: null,
            side: steps < 0 ? 'low' : steps > 0 ? 'high' : null,
            limits: { min: -1, max: 1, best: 0 },
            source: 'the graded words',
            consequence: verdict === 'Holds' ? null : says,
          },
        },
      ],
      working: [
        line('Found', 'what it means', `it ${found}`, FELT_FITS[found]),
        line('Wanted', 'what it means', `it ${wanted}`, FELT_FITS[wanted]),
      ],
      notes: verdict === 'Holds' ? [says] : [],
    })
  },
})
