import { waitState, WAIT_KINDS } from '../../baths/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, number, optional } from '../fields.ts'

export const waitSum = defineSum({
  name: 'wait',
  craft: 'baths',
  title: 'Soak, dry, cool or cure',
  about: 'How a wait stands, and when the next hands-on step comes. Too short and too long both count.',
  source: 'times of the sheet',
  fields: {
    what: choice('It is a', WAIT_KINDS),
    doneMin: number('In so far, minutes', '1', [0, 100000]),
    shortestMin: number('Shortest, minutes', '1', [0, 100000]),
    longestMin: optional(number('Longest, minutes', '1', [0, 100000])),
  },
  example: { what: 'soak', doneMin: 95, shortestMin: 120, longestMin: 360 },
  work: wait =>
    answering(waitState(wait), ({ state, nextMin, held }) => ({
      figures: [
        { key: 'doneMin', what: 'In so far, minutes', value: wait.doneMin, decimals: 0, held },
        {
          key: 'state',
          what: 'It',
          value:
            state === 'too soon'
              ? `is too soon to end the ${wait.what}`
              : state === 'too long'
                ? 'was in too long'
                : 'may come out',
        },
        {
          key: 'nextMin',
          what: state === 'too soon' ? 'Hands-on again in, minutes' : 'Must be out within, minutes',
          value: nextMin,
          decimals: 0,
        },
      ],
      working: [
        line(
          'Next',
          state === 'too soon' ? 'shortest − done' : 'longest − done',
          state === 'too soon'
            ? `${say(wait.shortestMin)} − ${say(wait.doneMin)}`
            : `${wait.longestMin === undefined ? 'no longest' : say(wait.longestMin)} − ${say(wait.doneMin)}`,
          nextMin === null ? 'nothing waits' : `${say(nextMin)} min`,
        ),
      ],
    })),
})
