import {
  bearingRingLimits,
  classOfMeasured,
  fitOfClasses,
  fitOfLimits,
  limitsOfClass,
  measuredFit,
  parseClass,
  worseEnd,
  LETTERS,
  type ToleranceLimits,
} from '../fits/index.ts'
import { meanOf } from '../gauging/index.ts'
import { refuse } from '../result.ts'
import { answering, defineSum, line, say, type Figure } from './define.ts'
import { choice, list, number, optional, text } from './fields.ts'
import { hold, makerMax, makerMin, MAKER } from './limits.ts'

const NOMINAL = number('Nominal size', 'mm', [0.001, 500])
const SIZE = [0.001, 501] as const
const CLEARANCE = [-5000, 20000] as const
const SLACK = {
  low: 'tighter than the fit wants: it may not go home, or the ring is strained',
  high: 'looser than the fit wants: the part creeps and frets',
}

const limitFigures = (hole: ToleranceLimits, shaft: ToleranceLimits): Figure[] => [
  { key: 'holeUpperUm', what: 'Hole, upper', value: hole.upperUm, unit: 'µm', decimals: 1 },
  { key: 'holeLowerUm', what: 'Hole, lower', value: hole.lowerUm, unit: 'µm', decimals: 1 },
  { key: 'shaftUpperUm', what: 'Shaft, upper', value: shaft.upperUm, unit: 'µm', decimals: 1 },
  { key: 'shaftLowerUm', what: 'Shaft, lower', value: shaft.lowerUm, unit: 'µm', decimals: 1 },
]
const ends = (hole: ToleranceLimits, shaft: ToleranceLimits) => [
  line(
    'Greatest clearance',
    'hole upper − shaft lower',
    `${say(hole.upperUm, 1)} − (${say(shaft.lowerUm, 1)})`,
    `${say(hole.upperUm - shaft.lowerUm, 1)} µm`,
  ),
  line(
    'Least clearance',
    'hole lower − shaft upper',
    `${say(hole.lowerUm, 1)} − (${say(shaft.upperUm, 1)})`,
    `${say(hole.lowerUm - shaft.upperUm, 1)} µm`,
  ),
]

export const fitSums = [
  defineSum({
    name: 'limits-and-fits',
    craft: 'fits',
    title: 'Fit from its classes',
    about: 'Limits of hole and shaft, and what clearance or interference they make.',
    source: 'ISO 286-1:2010 and ISO 286-2:2010',
    fields: { nominalMm: NOMINAL, hole: text('Hole class', 6), shaft: text('Shaft class', 6) },
    example: { nominalMm: 60, hole: 'H7', shaft: 'k6' },
    work: ({ nominalMm, hole, shaft }) => {
      const [holeClass, shaftClass] = [parseClass(hole), parseClass(shaft)]
      if (holeClass.ok && holeClass.value.side === 'shaft')
        return refuse(`“${hole}” is a shaft class. A hole has a capital letter, such as H7.`)
      if (shaftClass.ok && shaftClass.value.side === 'hole')
        return refuse(`“${shaft}” is a hole class. A shaft has a small letter, such as k6.`)
      return answering(fitOfClasses(nominalMm, hole, shaft), fit => ({
        figures: [
          { key: 'maxClearanceUm', what: 'Greatest clearance', value: fit.maxClearanceUm, unit: 'µm', decimals: 1 },
          { key: 'minClearanceUm', what: 'Least clearance', value: fit.minClearanceUm, unit: 'µm', decimals: 1 },
          { key: 'kind', what: 'Kind of fit', value: fit.kind },
          ...limitFigures(fit.hole, fit.shaft),
        ],
        working: ends(fit.hole, fit.shaft),
      }))
    },
  }),
  defineSum({
    name: 'measured-fit',
    craft: 'fits',
    title: 'Fit from measured sizes',
    about: 'The fit two measured parts really make, against the wanted classes and the maker’s span.',
    source: 'ISO 286-1:2010; the maker’s span goes before it',
    fields: {
      nominalMm: NOMINAL,
      holeMm: list('Hole, every reading', 'mm', SIZE, [1, 20]),
      shaftMm: list('Shaft, every reading', 'mm', SIZE, [1, 20]),
      hole: optional(text('Hole class wanted', 6)),
      shaft: optional(text('Shaft class wanted', 6)),
      minUm: makerMin('µm', CLEARANCE),
      maxUm: makerMax('µm', CLEARANCE),
    },
    example: {
      nominalMm: 60,
      holeMm: [60.006, 60.011, 60.014],
      shaftMm: [60.004, 60.009, 60.007],
      hole: 'H7',
      shaft: 'k6',
      minUm: -5,
      maxUm: 15,
    },
    work: given => {
      const { nominalMm, hole, shaft } = given
      const part = (readings: readonly number[]) => ({
        leastMm: Math.min(...readings),
        greatestMm: Math.max(...readings),
        meanMm: meanOf(readings),
      })
      const parts = [part(given.holeMm), part(given.shaftMm)] as const
      const far = [...given.holeMm, ...given.shaftMm].find(
        mm => Math.abs(mm - nominalMm) > Math.max(2, nominalMm * 0.05),
      )
      if (far !== undefined)
        return refuse(
          `${say(far)} mm is far from the nominal ${say(nominalMm)} mm. Check the decimal mark, or the nominal.`,
        )
      const fit = measuredFit(parts[0], parts[1], { nominalMm, hole, shaft })
      return answering(fit, made => {
        const maker = { min: given.minUm, max: given.maxUm }
        const least = hold(made.minClearanceUm, maker, SLACK)
        const most = hold(made.maxClearanceUm, maker, SLACK)
        const classes = hole && shaft ? fitOfClasses(nominalMm, hole, shaft) : null
        const general = classes?.ok ? { min: classes.value.minClearanceUm, max: classes.value.maxClearanceUm } : null
        const judged = worseEnd(made.minClearanceUm, made.maxClearanceUm, general ?? {})
        const inClass = (
          key: string,
          what: string,
          wanted: string | undefined,
          own: typeof made.holeInClass,
        ): Figure[] => {
          const limits = wanted ? limitsOfClass(nominalMm, wanted) : null
          return own && limits?.ok
            ? [
                {
                  key,
                  what,
                  value: `${own.verdict === 'Out' ? 'not ' : ''}in ${wanted}`,
                  held: {
                    ...own,
                    limits: { min: limits.value.lowerUm, max: limits.value.upperUm },
                    source: `${wanted}, ISO 286-2`,
                    consequence:
                      own.verdict === 'Out' ? (own.side === 'low' ? 'under its class' : 'over its class') : null,
                  },
                },
              ]
            : []
        }
        const really = (
          side: 'hole' | 'shaft',
          wanted: string | undefined,
          { leastMm, greatestMm }: (typeof parts)[0],
        ) => {
          const parsed = wanted ? parseClass(wanted) : null
          const found = parsed?.ok
            ? classOfMeasured(nominalMm, side, parsed.value.letter, { leastMm, greatestMm })
            : null
          return found === null ? null : found.ok ? found.value : `no ${wanted!.replace(/\d+/, '')} grade`
        }
        return {
          figures: [
            {
              key: 'minClearanceUm',
              what: 'Least clearance',
              value: made.minClearanceUm,
              unit: 'µm',
              decimals: 1,
              ...(maker.min !== undefined || maker.max !== undefined || !general ? { held: least } : {}),
            },
            {
              key: 'maxClearanceUm',
              what: 'Greatest clearance',
              value: made.maxClearanceUm,
              unit: 'µm',
              decimals: 1,
              ...(maker.min !== undefined || maker.max !== undefined ? { held: most } : {}),
            },
            {
              key: 'meanClearanceUm',
              what: 'Mean clearance',
              value: made.meanClearanceUm,
              unit: 'µm',
              decimals: 1,
              ...(general
                ? {
                    held: {
                      ...judged,
                      limits: general,
                      source: `${hole}/${shaft}, ISO 286-2`,
                      consequence: judged.verdict === 'Out' ? (judged.side === 'low' ? SLACK.low : SLACK.high) : null,
                    },
                  }
                : {}),
            },
            { key: 'kind', what: 'Kind of fit', value: made.kind },
            ...inClass('holeInClass', 'The hole is', hole, made.holeInClass),
            ...inClass('shaftInClass', 'The shaft is', shaft, made.shaftInClass),
            { key: 'holeReally', what: 'The hole really is', value: really('hole', hole, parts[0]) },
            { key: 'shaftReally', what: 'The shaft really is', value: really('shaft', shaft, parts[1]) },
          ],
          working: [
            line(
              'Least clearance',
              'least hole − greatest shaft',
              `${say(parts[0].leastMm)} − ${say(parts[1].greatestMm)}`,
              `${say(made.minClearanceUm, 1)} µm`,
            ),
            line(
              'Greatest clearance',
              'greatest hole − least shaft',
              `${say(parts[0].greatestMm)} − ${say(parts[1].leastMm)}`,
              `${say(made.maxClearanceUm, 1)} µm`,
            ),
            ...(classes?.ok
              ? [
                  line(
                    `${hole}/${shaft} allows`,
                    'ISO 286-2',
                    `${say(nominalMm)} mm`,
                    `${say(classes.value.minClearanceUm, 1)} to ${say(classes.value.maxClearanceUm, 1)} µm`,
                  ),
                ]
              : []),
          ],
          notes:
            maker.min !== undefined && general
              ? [`The maker’s span (${MAKER}) goes before the classes; both are shown.`]
              : [],
          reading: { kind: 'single', tries: [[made.meanClearanceUm / 1000]] },
        }
      })
    },
  }),
  defineSum({
    name: 'class-of-measured',
    craft: 'fits',
    title: 'Which class is it',
    about: 'The finest grade of a letter that a measured part really lies in.',
    source: 'ISO 286-1:2010',
    fields: {
      nominalMm: NOMINAL,
      side: choice('It is a', ['hole', 'shaft']),
      letter: choice('Letter', LETTERS),
      leastMm: number('Least reading', 'mm', SIZE),
      greatestMm: number('Greatest reading', 'mm', SIZE),
    },
    example: { nominalMm: 60, side: 'shaft', letter: 'k', leastMm: 60.004, greatestMm: 60.019 },
    work: ({ nominalMm, side, letter, leastMm, greatestMm }) =>
      answering(classOfMeasured(nominalMm, side, letter, { leastMm, greatestMm }), found => {
        const limits = limitsOfClass(nominalMm, found)
        const { lowerUm, upperUm } = limits.ok ? limits.value : { lowerUm: 0, upperUm: 0 }
        return {
          figures: [
            { key: 'class', what: 'It is in', value: found },
            { key: 'upperUm', what: 'Upper limit', value: upperUm, unit: 'µm', decimals: 1 },
            { key: 'lowerUm', what: 'Lower limit', value: lowerUm, unit: 'µm', decimals: 1 },
          ],
          working: [
            line(
              'From nominal',
              'reading − nominal',
              `${say(leastMm)} and ${say(greatestMm)} − ${say(nominalMm)}`,
              `${say((leastMm - nominalMm) * 1000, 1)} to ${say((greatestMm - nominalMm) * 1000, 1)} µm`,
            ),
          ],
        }
      }),
  }),
  defineSum({
    name: 'bearing-seat',
    craft: 'fits',
    title: 'Bearing ring on its seat',
    about: 'A rolling bearing’s ring, which runs from nought downwards, on a shaft or in a housing of a given class.',
    source: 'ISO 492 Normal class for the ring; ISO 286-2 for the seat; cylindrical bores of radial bearings',
    fields: {
      ring: choice('Ring', ['inner, on the shaft', 'outer, in the housing']),
      nominalMm: NOMINAL,
      seat: text('Class of the seat', 6),
    },
    example: { ring: 'inner, on the shaft', nominalMm: 60, seat: 'k6' },
    work: ({ ring, nominalMm, seat }) => {
      const inner = ring === 'inner, on the shaft'
      const parsed = parseClass(seat)
      if (!parsed.ok) return parsed
      if (parsed.value.side !== (inner ? 'shaft' : 'hole'))
        return refuse(
          inner
            ? `“${seat}” is a hole class; the inner ring sits on a shaft. Use a small letter, such as k6.`
            : `“${seat}” is a shaft class; the outer ring sits in a housing. Use a capital letter, such as H7.`,
        )
      const limits = limitsOfClass(nominalMm, seat)
      if (!limits.ok) return limits
      return answering(bearingRingLimits(nominalMm, inner ? 'bore' : 'outside'), own => {
        const [hole, shaft] = inner ? [own, limits.value] : [limits.value, own]
        const fit = fitOfLimits(hole, shaft)
        return {
          figures: [
            { key: 'maxClearanceUm', what: 'Greatest clearance', value: fit.maxClearanceUm, unit: 'µm', decimals: 1 },
            { key: 'minClearanceUm', what: 'Least clearance', value: fit.minClearanceUm, unit: 'µm', decimals: 1 },
            { key: 'kind', what: 'Kind of fit', value: fit.kind },
            ...limitFigures(hole, shaft),
          ],
          working: ends(hole, shaft),
          notes: [
            'Limits of the ring apply to its mean diameter. Tapered bores, tapered rollers, inch and P5/P6 sets have limits of their own.',
          ],
        }
      })
    },
  }),
]
