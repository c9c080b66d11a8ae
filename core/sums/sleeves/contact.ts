import { holdAgainst } from '../../verdict.ts'
import { blueContact, CONTACT_COLUMNS, CONTACT_ROWS, type Contact } from '../../sleeves/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { flag, list, maker, number, ticked } from '../fields.ts'
import { hold } from '../limits.ts'

/** What contact in the wrong place does. */
const CONTACT_SAYS: Record<Exclude<Contact['says'], 'well spread'>, string> = {
  'one end only': 'the load sits on one end: it wipes there; scrape and blue again',
  'both ends only': 'it bridges: the middle carries nothing; scrape both ends and blue again',
  'the middle of its length only': 'it rocks on its middle: scrape there and blue again',
  'opposite corners': 'the journal lies skewed in it: line it up before anything is scraped',
  'one edge only': 'the load sits on one edge: scrape there and blue again',
  'off the middle': 'the load sits on the edges, not under the shaft: scrape there and blue again',
  'none': 'nothing touches: was it blued, and does the shaft lie in it?',
}

export const contactSum = defineSum({
  name: 'contact',
  craft: 'sleeves',
  title: 'Contact by blue',
  about: 'How much of a bearing half carries, and where, from a grid that is ticked.',
  source: 'projected area, 4 along by 6 round',
  fields: {
    squares: ticked(
      list(
        `Squares, ${CONTACT_ROWS} rows of ${CONTACT_COLUMNS}`,
        '1',
        [0, 1],
        [24, 24],
        '0, 0.5 or 1, row by row from the stated end',
      ),
    ),
    minShare: maker('min', number('Minimum share', '%', [0, 100])),
    closeUp: flag('Judge where it lies, too'),
  },
  example: {
    squares: [0, 1, 1, 1, 0.5, 0, 0, 1, 1, 1, 1, 0, 0.5, 1, 1, 1, 0.5, 0, 0, 0.5, 1, 1, 0, 0],
    minShare: 50,
    closeUp: true,
  },
  work: ({ squares, minShare, closeUp }) =>
    answering(blueContact(squares), ({ share, centralShare, says }) => ({
      figures: [
        {
          key: 'sharePercent',
          what: 'Carries',
          value: share * 100,
          unit: '%',
          decimals: 0,
          held: hold(
            share * 100,
            { min: minShare, best: minShare === undefined ? undefined : 100 },
            { low: 'too little carries: it runs hot and wipes where it bears' },
          ),
        },
        {
          key: 'says',
          what: 'It is',
          value: says,
          ...(closeUp
            ? {
                held: {
                  ...holdAgainst(says === 'well spread' ? 0 : 1, { max: 0 }, 'spread over the middle 120°, both ends'),
                  share: null,
                  consequence: says === 'well spread' ? null : CONTACT_SAYS[says],
                },
              }
            : {}),
        },
        {
          key: 'centralPercent',
          what: 'Of that, in the middle 120°',
          value: centralShare * 100,
          unit: '%',
          decimals: 0,
        },
      ],
      working: [
        line(
          'Carries',
          'sum of squares / 24',
          `${say(
            squares.reduce((sum, one) => sum + one, 0),
            1,
          )}/24`,
          `${say(share * 100, 0)} %`,
        ),
      ],
    })),
})
