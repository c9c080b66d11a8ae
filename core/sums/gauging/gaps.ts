import { leftOpen } from '../../verdict.ts'
import { reduceGaps } from '../../gauging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { list, number, optional } from '../fields.ts'
import { hold, makerMin } from '../limits.ts'

export const gapsSum = defineSum({
  name: 'gaps',
  craft: 'gauging',
  title: 'Gap round a rotor',
  about: 'Gaps at places equally spaced clockwise from top: spread, and which way and how far the rotor sits off.',
  source: 'half-difference of opposite gaps; first harmonic for more places',
  fields: {
    gapsMm: list('Gaps, clockwise from top', 'mm', [0, 100], [2, 24]),
    minMm: makerMin('mm', [0, 100]),
    maxOffsetMm: optional(number('Maximum offset', 'mm', [0, 100])),
  },
  example: { gapsMm: [0.62, 0.55, 0.48, 0.57], minMm: 0.4, maxOffsetMm: 0.1 },
  work: ({ gapsMm, minMm, maxOffsetMm }) =>
    answering(reduceGaps(gapsMm), ({ leastMm, greatestMm, spreadMm, offset }) => {
      const off = hold(
        offset?.mm ?? Number.NaN,
        { max: maxOffsetMm },
        { high: 'the rotor sits off centre: one side carries, the other leaks' },
      )
      return {
        figures: [
          {
            key: 'leastMm',
            what: 'Minimum gap',
            value: leastMm,
            unit: 'mm',
            decimals: 3,
            held: hold(leastMm, { min: minMm }, { low: 'the rotor may touch its casing when hot' }),
          },
          { key: 'spreadMm', what: 'Spread', value: spreadMm, unit: 'mm', decimals: 3 },
          {
            key: 'offsetMm',
            what: offset && !offset.whole ? 'Along that line it sits off by' : 'Rotor sits off by',
            value: offset?.mm ?? null,
            unit: 'mm',
            decimals: 3,
            ...(maxOffsetMm === undefined
              ? {}
              : { held: offset?.whole || off.verdict === 'Out' ? off : leftOpen(off, 'across is not measured') }),
          },
          {
            key: 'towardDeg',
            what: 'Toward, clockwise from top',
            value: offset?.towardDeg ?? null,
            unit: '°',
            decimals: 0,
          },
        ],
        working: [
          line('Spread', 'maximum − minimum', `${say(greatestMm)} − ${say(leastMm)}`, `${say(spreadMm)} mm`),
          ...(offset
            ? [
                line(
                  'Offset',
                  'half-differences of opposite gaps',
                  gapsMm.length === 2
                    ? `|${say(gapsMm[0]!)} − ${say(gapsMm[1]!)}|/2`
                    : gapsMm.length === 4
                      ? `√(((${say(gapsMm[2]!)} − ${say(gapsMm[0]!)})/2)² + ((${say(gapsMm[3]!)} − ${say(gapsMm[1]!)})/2)²)`
                      : `first harmonic of ${gapsMm.length} places`,
                  offset.towardDeg === null
                    ? 'zero: it points nowhere'
                    : `${say(offset.mm)} mm toward ${say(offset.towardDeg, 0)}°`,
                ),
              ]
            : []),
        ],
        notes: offset?.whole
          ? []
          : [
              offset
                ? 'Two opposite gaps say how it sits along their line, and nothing of across: read four.'
                : 'Places without opposites say nothing of the offset: read four.',
            ],
      }
    }),
})
