import { holdAgainst } from '../../verdict.ts'
import { blueContact, CONTACT_COLUMNS, CONTACT_ROWS, type Contact } from '../../sleeves/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { fallback, flag, list, maker, number, ticked } from '../fields.ts'
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

/** With its running clearance a half is bare at the horns, but for a corner of the brush. */
const MOST_AT_HORNS = 15

const carries = (share: number, min: number | undefined) =>
  hold(
    share * 100,
    { min, best: min === undefined ? undefined : 100 },
    { low: 'too little carries: it runs hot and wipes where it bears' },
  )

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
    withClearance: fallback(
      flag('It lies on its journal with the running clearance', 'the bottom third carries, and the horns are bare'),
      false,
    ),
  },
  example: {
    squares: [0, 1, 1, 1, 0.5, 0, 0, 1, 1, 1, 1, 0, 0.5, 1, 1, 1, 0.5, 0, 0, 0.5, 1, 1, 0, 0],
    minShare: 50,
    closeUp: true,
    withClearance: false,
  },
  work: ({ squares, minShare, closeUp, withClearance }) =>
    answering(blueContact(squares), ({ share, centralShare, bottomShare, hornShare, says }) => ({
      figures: [
        {
          key: 'sharePercent',
          what: 'Carries',
          value: share * 100,
          unit: '%',
          decimals: 0,
          ...(withClearance ? {} : { held: carries(share, minShare) }),
        },
        {
          key: 'bottomPercent',
          what: 'Of the bottom third carries',
          value: bottomShare * 100,
          unit: '%',
          decimals: 0,
          ...(withClearance ? { held: carries(bottomShare, minShare) } : {}),
        },
        {
          key: 'hornPercent',
          what: 'Of the horns carries',
          value: hornShare * 100,
          unit: '%',
          decimals: 0,
          ...(withClearance
            ? {
                held: hold(
                  hornShare * 100,
                  { max: MOST_AT_HORNS },
                  { high: 'it grips the journal at its horns: there is no room for oil, and it wipes as it warms' },
                ),
              }
            : {}),
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
