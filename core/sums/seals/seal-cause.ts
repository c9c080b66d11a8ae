import { OBSERVATIONS, rankCauses } from '../../seals/index.ts'
import { answering, defineSum, line } from '../define.ts'
import { choice, optional } from '../fields.ts'

export const sealCauseSum = defineSum({
  name: 'seal-cause',
  craft: 'seals',
  title: 'Why it failed',
  about: 'What was seen on each part ranks the likely causes, with the evidence for and against.',
  source: 'general experience of seal fitters; it advises, the technician decides',
  fields: {
    faces: optional(choice('Faces', OBSERVATIONS.faces)),
    rings: optional(choice('Secondary rings', OBSERVATIONS.rings)),
    springs: optional(choice('Springs', OBSERVATIONS.springs)),
    sleeve: optional(choice('Sleeve', OBSERVATIONS.sleeve)),
    drive: optional(choice('Drive', OBSERVATIONS.drive)),
  },
  example: {
    faces: 'good, even track',
    rings: 'hard or set',
    springs: 'free and alike',
    sleeve: 'fretted',
    drive: 'clean',
  },
  work: seen =>
    answering(rankCauses(seen), ranked => {
      const first = ranked.filter(one => one.score === ranked[0]!.score)
      return {
        figures: [
          {
            key: 'likely',
            what: 'Most likely',
            value:
              first.map(({ cause }, i) => (i ? cause[0]!.toLowerCase() + cause.slice(1) : cause)).join(', or ') ||
              'nothing stands out',
          },
          {
            key: 'advice',
            what: 'What to do',
            value:
              first.map(one => one.advice).join(' ') ||
              'What was looked at is sound. Look at the other parts, and at what moves, presses and feeds the seal.',
          },
        ],
        working: ranked.map(one =>
          line(
            one.cause,
            'evidence for − against',
            [...one.speaksFor.map(word => `+ ${word}`), ...one.speaksAgainst.map(word => `− ${word}`)].join('; '),
            String(one.score),
          ),
        ),
        notes: ['It advises; you decide, and the record keeps both.'],
        more: { ranked },
      }
    }),
})
