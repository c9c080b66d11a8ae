import {
  chainMarks,
  checkPlaces,
  clockText,
  fromOtherEnd,
  gearMesh,
  marksMeet,
  toothMeeting,
  turnFor,
} from '../marks/index.ts'
import { accept, refuse } from '../result.ts'
import { holdAgainst, type Held } from '../verdict.ts'
import { answering, defineSum, line, say } from './define.ts'
import { choice, fallback, flag, number, optional, rows, text, whole } from './fields.ts'

const PART = text('Part', 40)
const ANGLE = [-360, 360] as const
const TEETH = [5, 2000] as const
/** A yes that is wanted: no scale, only right or not. */
const wanted = (right: boolean, source: string, consequence: string): Held => ({
  verdict: right ? 'Holds' : 'Out',
  share: null,
  side: right ? null : 'high',
  limits: { max: 0 },
  source,
  consequence: right ? null : consequence,
})

export const markSums = [
  defineSum({
    name: 'clock',
    craft: 'marks',
    title: 'Place on the clock',
    about: 'A clock place seen from one end, as it is seen from the other.',
    source: 'mirror: 12 − h',
    fields: { hour: number('Hour', '1', [0, 12], 'halves and parts as decimals: 2.5 is half past two') },
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
  }),
  defineSum({
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
  }),
  defineSum({
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
          deg: number('Stands at', '°', ANGLE, 'clockwise from the first, one stated end'),
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
      answering(chainMarks(rules), ({ anglesDeg, contradictions }) => {
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
                what: `${part} against ${Object.keys(anglesDeg)[0]}`,
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
          more: { anglesDeg, contradictions },
        }
      }),
  }),
  defineSum({
    name: 'mark-meets',
    craft: 'marks',
    title: 'Do the marks meet',
    about: 'Where a mark stands now against where its rule wants it.',
    source: 'a part of symmetry n may stand in steps of 360/n',
    fields: {
      standsDeg: number('Stands at', '°', ANGLE),
      deg: number('Wanted at', '°', ANGLE),
      toleranceDeg: fallback(number('±', '°', [0, 90]), 2),
      symmetry: fallback(whole('Symmetry', [1, 360]), 1),
    },
    example: { standsDeg: 182, deg: 0, toleranceDeg: 3, symmetry: 2 },
    work: ({ standsDeg, ...rule }) => {
      const { missDeg } = marksMeet(standsDeg, rule)
      return accept({
        figures: [
          {
            key: 'missDeg',
            what: 'Misses by',
            value: missDeg,
            unit: '°',
            decimals: 1,
            held: holdAgainst(missDeg, { max: rule.toleranceDeg, warningShare: 0 }, 'tolerance typed here', {
              high: 'the parts do not stand as they did: holes, keys or balance no longer meet',
            }),
          },
        ],
        working: [
          line(
            'Miss',
            '|stands − wanted| in steps of 360/n',
            `|${say(standsDeg, 1)} − ${say(rule.deg, 1)}| in steps of ${say(360 / rule.symmetry, 1)}°`,
            `${say(missDeg, 1)}°`,
          ),
        ],
      })
    },
  }),
  defineSum({
    name: 'gear-mesh',
    craft: 'marks',
    title: 'Pair of gears',
    about: 'In how many ways a pair can go together, and when the same teeth meet again.',
    source: 'greatest common divisor of the tooth counts',
    fields: {
      pinionTeeth: whole('Pinion teeth', TEETH),
      wheelTeeth: whole('Wheel teeth', TEETH),
      runInOrTimed: flag('Lapped, run in or timed'),
    },
    example: { pinionTeeth: 22, wheelTeeth: 110, runInOrTimed: false },
    work: ({ pinionTeeth, wheelTeeth, runInOrTimed }) =>
      answering(gearMesh(pinionTeeth, wheelTeeth), ({ meshes, hunting, pinionTurnsToRepeat, wheelTurnsToRepeat }) => ({
        figures: [
          { key: 'meshes', what: 'Different meshes', value: meshes, decimals: 0 },
          { key: 'hunting', what: 'Hunting pair', value: hunting },
          {
            key: 'pinionTurnsToRepeat',
            what: 'Same teeth after, pinion turns',
            value: pinionTurnsToRepeat,
            decimals: 0,
          },
          { key: 'wheelTurnsToRepeat', what: 'Same teeth after, wheel turns', value: wheelTurnsToRepeat, decimals: 0 },
        ],
        working: [
          line('Meshes', 'g = gcd(z1, z2)', `gcd(${pinionTeeth}, ${wheelTeeth})`, String(meshes)),
          line('Repeat', 'z2/g pinion turns', `${wheelTeeth}/${meshes}`, String(pinionTurnsToRepeat)),
        ],
        notes: [
          hunting && !runInOrTimed
            ? 'Any tooth may meet any: the mark is not needed for the teeth.'
            : 'The mark matters: put the same teeth together again.',
        ],
      })),
  }),
  defineSum({
    name: 'hunting',
    craft: 'marks',
    title: 'Do two teeth meet',
    about: 'Whether a damaged tooth ever meets a marked one, and after how many turns.',
    source: 'congruence of the tooth counts',
    fields: {
      pinionTeeth: whole('Pinion teeth', TEETH),
      wheelTeeth: whole('Wheel teeth', TEETH),
      pinionTooth: whole('Tooth of the pinion', [1, 2000]),
      wheelTooth: whole('Tooth of the wheel', [1, 2000]),
    },
    example: { pinionTeeth: 17, wheelTeeth: 100, pinionTooth: 3, wheelTooth: 54 },
    work: input =>
      answering(
        toothMeeting(input.pinionTeeth, input.wheelTeeth, input.pinionTooth, input.wheelTooth),
        ({ meet, afterPinionTurns, meets }) => ({
          figures: [
            { key: 'meet', what: 'They meet', value: meet },
            { key: 'afterPinionTurns', what: 'First, after pinion turns', value: afterPinionTurns, decimals: 0 },
          ],
          working: [
            line(
              'Meets',
              '(i − 1) + k·z1 modulo z2',
              `pinion tooth ${input.pinionTooth}`,
              meets.slice(0, 12).join(' '),
            ),
          ],
          more: { meets },
        }),
      ),
  }),
  defineSum({
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
  }),
]
