import { turnFor } from '../../marks/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line } from '../define.ts'
import { choice } from '../fields.ts'

export const turningSenseSum = defineSum({
  name: 'turning-sense',
  craft: 'marks',
  title: 'Which way to turn',
  about: 'Which way a nut or screw turns as you stand.',
  source: 'a right-hand nut tightens clockwise as seen from the nut',
  fields: {
    hand: choice('Thread', ['right', 'left']),
    act: choice('To', ['tighten', 'slacken']),
    seenFrom: choice('You look from', ['the nut or head', 'behind it']),
  },
  example: { hand: 'left', act: 'slacken', seenFrom: 'the nut or head' },
  work: ({ hand, act, seenFrom }) => {
    const sense = turnFor(hand, act, seenFrom)
    return accept({
      figures: [{ key: 'sense', what: 'Turn it', value: sense }],
      working: [line('Sense', 'hand, act, side', `${hand}-hand, to ${act}, from ${seenFrom}`, sense)],
    })
  },
})
