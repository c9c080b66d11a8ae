import { chainMarks } from '../../marks/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { clocked, fallback, number, rows, whole } from '../fields.ts'
import { PART, ANGLE, wanted } from './shared.ts'

/** Said where a symmetric part leaves an angle known in steps only. */
const inSteps = (symmetry = 1) => (symmetry > 1 ? `, in steps of ${say(360 / symmetry, 1)}°` : '')

export const markChainSum = defineSum({
  name: 'mark-chain',
  craft: 'marks',
  title: 'Chain of marks',
  about: 'Known marks between pairs of parts: what follows for the rest, and which contradict each other.',
  source: 'angles add along a chain; a ring must close',
  fields: {
    rules: rows(
      'Marks',
      {
        a: PART,
        b: PART,
        deg: clocked(number('Stands at', '°', ANGLE, 'clockwise from the first, one stated end'), 'degrees'),
        toleranceDeg: fallback(number('±', '°', [0, 90]), 2),
        symmetry: fallback(whole('Symmetry', [1, 360]), 1),
      },
      [1, 30],
    ),
  },
  example: {
    rules: [
      { a: 'sleeve', b: 'drive plate', deg: 90, toleranceDeg: 2, symmetry: 1 },
      { a: 'drive plate', b: 'end plate', deg: 120, toleranceDeg: 2, symmetry: 1 },
      { a: 'sleeve', b: 'end plate', deg: 180, toleranceDeg: 2, symmetry: 1 },
    ],
  },
  work: ({ rules }) =>
    answering(chainMarks(rules), ({ anglesDeg, symmetries, contradictions }) => {
      const names = contradictions.map(
        one => `${one.rules.map(([a, b]) => `${a}–${b}`).join(', ')} miss by ${say(one.missDeg, 1)}°`,
      )
      return {
        figures: [
          {
            key: 'contradictionCount',
            what: 'Contradictions',
            value: contradictions.length,
            decimals: 0,
            held: wanted(
              !contradictions.length,
              'every ring of marks closes',
              `one of these marks is wrong: ${names.join('; ')}`,
            ),
          },
          ...Object.entries(anglesDeg)
            .slice(1)
            .map(([part, deg], i) => ({
              key: `angle${i + 1}Deg`,
              what: `${part} against ${Object.keys(anglesDeg)[0]}${inSteps(symmetries[part])}`,
              value: deg,
              unit: '°',
              decimals: 1,
            })),
        ],
        working: [
          ...rules.map(one =>
            line(
              `${one.a}–${one.b}`,
              one.symmetry > 1 ? `steps of ${say(360 / one.symmetry, 1)}°` : 'angle ± tolerance',
              `${say(one.deg, 1)}° ± ${say(one.toleranceDeg, 1)}°`,
              anglesDeg[one.b] === null ? 'stands alone' : `${say(anglesDeg[one.b]!, 1)}° against the first`,
            ),
          ),
          ...names.map(one => line('Contradiction', 'ring does not close', one, 'find the wrong mark')),
        ],
        more: { anglesDeg, symmetries, contradictions },
      }
    }),
})
