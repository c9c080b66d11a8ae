import { checkPlaces } from '../../marks/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, line } from '../define.ts'
import { flag, optional, rows, text } from '../fields.ts'
import { PART, wanted } from './shared.ts'

export const placesSum = defineSum({
  name: 'places',
  craft: 'marks',
  title: 'Numbered places',
  about: 'Parts that came from numbered places: which were swapped, and which went astray.',
  source: 'a part goes back to its place unless renewed',
  fields: {
    placed: rows(
      'Parts',
      {
        part: PART,
        cameFrom: text('Came from', 30),
        wentTo: text('Went to', 30),
        renewed: optional(flag('Renewed')),
      },
      [1, 60],
    ),
  },
  example: {
    placed: [
      { part: 'blade A', cameFrom: '1', wentTo: '1' },
      { part: 'blade B', cameFrom: '2', wentTo: '3' },
      { part: 'blade C', cameFrom: '3', wentTo: '2' },
    ],
  },
  work: ({ placed }) => {
    if (placed.some(one => !one.cameFrom || !one.wentTo))
      return refuse('Every part wants the place it came from and the one it went to.')
    return answering(checkPlaces(placed), ({ swaps, strays, twice }) => {
      const words = [
        ...swaps.map(one => `${one.parts.join(' and ')} changed places (${one.places.join(', ')})`),
        ...strays.map(one => `${one.part} came from ${one.cameFrom} and went to ${one.wentTo}`),
        ...twice.map(one => `place ${one.place} got ${one.parts.join(' and ')}`),
      ]
      return {
        figures: [
          {
            key: 'wrongCount',
            what: 'Not in their places',
            value: words.length,
            decimals: 0,
            held: wanted(!words.length, 'every part in its own place', words.join('; ')),
          },
        ],
        working: words.map(one => line('Found', 'came from ≠ went to', one, 'put it right')),
        more: { swaps, strays, twice },
      }
    })
  },
})
