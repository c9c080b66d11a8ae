import { clockText, fromOtherEnd } from '../../marks/index.ts'
import { accept } from '../../result.ts'
import { defineSum, line, say } from '../define.ts'
import { clocked, number } from '../fields.ts'

export const clockSum = defineSum({
  name: 'clock',
  craft: 'marks',
  title: 'Place on the clock',
  about: 'A clock place seen from one end, as it is seen from the other.',
  source: 'mirror: 12 − h',
  fields: { hour: clocked(number('Hour', '1', [0, 12], '2:30, or 2.5'), 'hours') },
  example: { hour: 2.5 },
  work: ({ hour }) => {
    const deg = (hour % 12) * 30
    const seen = fromOtherEnd(deg)
    const other = seen === 0 ? 12 : seen / 30
    return accept({
      figures: [
        { key: 'hour', what: 'From the other end', value: other, decimals: 2 },
        { key: 'clock', what: 'On the clock', value: clockText(seen) },
        { key: 'deg', what: 'Clockwise from top, this end', value: deg, unit: '°', decimals: 1 },
        { key: 'otherDeg', what: 'Clockwise from top, other end', value: seen, unit: '°', decimals: 1 },
      ],
      working: [line('Mirror', '12 − h', `12 − ${say(hour, 2)}`, say(other, 2))],
      notes: ['12 and 6 stay; 3 and 9 change over.'],
    })
  },
})
