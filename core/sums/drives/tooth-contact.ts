import { TOOTH_CONTACT_NAMES, TOOTH_CONTACTS } from '../../drives/index.ts'
import { accept } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, number } from '../fields.ts'
import { hold, RULE_OF_THUMB } from '../limits.ts'

export const toothContactSum = defineSum({
  name: 'tooth-contact',
  craft: 'drives',
  title: 'Contact of teeth',
  about: 'How much of a tooth carries, along and up it, and what the place of the blue says of the axes.',
  source: 'general practice of gear fitting; the sheet’s minimum goes before it',
  fields: {
    alongPercent: number('Along the tooth', '%', [0, 100]),
    upPercent: number('Up the working height', '%', [0, 100]),
    where: choice('The blue lies', TOOTH_CONTACT_NAMES),
    minAlongPercent: fallback(number('Minimum along', '%', [0, 100]), 50),
    minUpPercent: fallback(number('Minimum up', '%', [0, 100]), 40),
  },
  example: { alongPercent: 70, upPercent: 45, where: 'even, in the middle', minAlongPercent: 50, minUpPercent: 40 },
  work: ({ alongPercent, upPercent, where, minAlongPercent, minUpPercent }) => {
    const wrong = TOOTH_CONTACTS[where]
    const carries = (value: number, min: number) =>
      hold(
        value,
        {},
        { low: 'too little carries: the teeth pit where they bear' },
        { limits: { min, best: 100 }, source: `minimum of the sheet, or ${RULE_OF_THUMB}` },
      )
    return accept({
      figures: [
        fig('alongPercent', 'Along the tooth', alongPercent, '%', 0, carries(alongPercent, minAlongPercent)),
        fig('upPercent', 'Up the working height', upPercent, '%', 0, carries(upPercent, minUpPercent)),
        fig('where', 'It lies', where, undefined, undefined, {
          ...holdAgainst(wrong ? 1 : 0, { max: 0 }, 'in the middle of the tooth, light load'),
          share: null,
          consequence: wrong,
        }),
      ],
      working: [
        line(
          'Area',
          'along·up',
          `${say(alongPercent)} %·${say(upPercent)} %`,
          `${say((alongPercent * upPercent) / 100, 0)} % of the flank`,
        ),
        line('Place', 'what it says', where, wrong ?? 'the axes lie as they should'),
      ],
      notes: ['Both flanks, several teeth round; under its load a crowned tooth carries more than the blue shows.'],
    })
  },
})
