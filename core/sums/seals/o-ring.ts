import { DUTIES, DUTY_NAMES, worstRing } from '../../seals/index.ts'
import { holdAgainst } from '../../verdict.ts'
import { answering, defineSum, line, say, type School } from '../define.ts'
import { choice, fallback, number, optional } from '../fields.ts'
import { MM } from './shared.ts'

const WET = ['wet, with what the sheet names', 'dry', 'never lubricated: it must grip'] as const
const percent = (share: number) => share * 100

/** What soft rings are fitted with; the sheet says which. */
const FITTED_WITH: School[] = [
  {
    name: 'Grease',
    gives: 'slides, stays put',
    why: 'holds the ring in its groove while parts close; must suit the rubber and the liquid',
  },
  {
    name: 'Water',
    gives: 'slides once, leaves nothing',
    why: 'for food, and for rubber that oil swells; work quickly before it dries',
  },
  { name: 'Maker’s compound', gives: 'as its card says', why: 'made for this rubber; where the ring must slide far' },
  { name: 'Dry', gives: 'grips at once', why: 'for a ring that must drive or hold, and never slide' },
]

export const oRingSum = defineSum({
  name: 'o-ring',
  craft: 'seals',
  title: 'O-ring in its gland',
  about: 'Stretch, squeeze and fill of a ring in its groove, at its best and at its worst.',
  source: 'volume kept under stretch; ranges are general, the ring maker’s table goes before them',
  fields: {
    sectionMm: number('Ring’s section', 'mm', MM),
    ringInsideMm: number('Ring’s inside', 'mm', MM),
    grooveInsideMm: number('Groove’s inside', 'mm', MM),
    grooveDepthMm: number('Groove and gap, deep', 'mm', MM),
    grooveWidthMm: number('Groove, wide', 'mm', MM),
    duty: fallback(choice('Duty', DUTY_NAMES), 'static'),
    eccentricityMm: fallback(number('Eccentricity, worst', 'mm', [0, 10]), 0),
    growthPercent: fallback(number('Grows by heat and swell', '%', [0, 50]), 0),
    fitted: optional(choice('It is fitted', WET)),
  },
  example: {
    sectionMm: 3.53,
    ringInsideMm: 59.92,
    grooveInsideMm: 61,
    grooveDepthMm: 2.85,
    grooveWidthMm: 4.8,
    duty: 'static',
    eccentricityMm: 0.05,
    growthPercent: 5,
    fitted: 'wet, with what the sheet names',
  },
  work: ({ duty, eccentricityMm, growthPercent, fitted, ...gland }) =>
    answering(
      worstRing(gland, eccentricityMm, growthPercent / 100),
      ({ seated, leastSqueeze, greatestSqueeze, greatestFill }) => {
        const range = DUTIES[duty]
        const source = `general range, ${duty} duty`
        const squeezeSays = {
          low: 'too little squeeze: it leaks cold or off centre',
          high: 'too much squeeze: it takes a set, or cannot be pushed home',
        }
        return {
          figures: [
            {
              key: 'squeeze',
              what: 'Squeeze',
              value: seated.squeeze,
              as: 'percent' as const,
              held: holdAgainst(seated.squeeze, range.squeeze, source, squeezeSays),
            },
            {
              key: 'stretch',
              what: 'Stretch',
              value: seated.stretch,
              as: 'percent' as const,
              held: holdAgainst(seated.stretch, range.stretch, source, {
                low: 'the ring is too large: it ruckles when it goes in',
                high:
                  duty === 'rotary'
                    ? 'a stretched ring on a turning shaft heats, grips and burns'
                    : 'the section thins and the ring ages fast',
              }),
            },
            {
              key: 'fill',
              what: 'Gland fill',
              value: seated.fill,
              as: 'percent' as const,
              held: holdAgainst(seated.fill, range.fill, source, {
                low: 'the ring can roll in its groove',
                high: 'no room to grow: it is squeezed out or bursts the joint',
              }),
            },
            {
              key: 'sectionStretchedMm',
              what: 'Section when stretched',
              value: seated.sectionStretchedMm,
              unit: 'mm',
              decimals: 3,
            },
            ...(eccentricityMm || growthPercent
              ? [
                  {
                    key: 'leastSqueeze',
                    what: 'Minimum squeeze, off centre',
                    value: leastSqueeze,
                    as: 'percent' as const,
                    held: holdAgainst(
                      leastSqueeze,
                      { min: 0.02, best: range.squeeze.max },
                      'above zero, with a little to spare',
                      squeezeSays,
                    ),
                  },
                  {
                    key: 'greatestSqueeze',
                    what: 'Maximum squeeze, warm',
                    value: greatestSqueeze,
                    as: 'percent' as const,
                  },
                  {
                    key: 'greatestFill',
                    what: 'Maximum fill, warm',
                    value: greatestFill,
                    as: 'percent' as const,
                    held: holdAgainst(greatestFill, { max: 0.95, best: 0.7 }, 'under 95 %, warm', {
                      high: 'no room to grow: it is squeezed out',
                    }),
                  },
                ]
              : []),
          ],
          working: [
            line(
              'Stretch',
              '(groove − ring)/ring',
              `(${say(gland.grooveInsideMm)} − ${say(gland.ringInsideMm)})/${say(gland.ringInsideMm)}`,
              `${say(percent(seated.stretch), 1)} %`,
            ),
            line(
              'Section',
              'cs/√(1 + stretch)',
              `${say(gland.sectionMm)}/√(1 + ${say(seated.stretch, 4)})`,
              `${say(seated.sectionStretchedMm)} mm`,
            ),
            line(
              'Squeeze',
              '(cs − depth)/cs',
              `(${say(seated.sectionStretchedMm)} − ${say(gland.grooveDepthMm)})/${say(seated.sectionStretchedMm)}`,
              `${say(percent(seated.squeeze), 1)} %`,
            ),
            line(
              'Fill',
              'π/4·cs²/(depth·width)',
              `0.7854·${say(seated.sectionStretchedMm)}²/(${say(gland.grooveDepthMm)}·${say(gland.grooveWidthMm)})`,
              `${say(percent(seated.fill), 1)} %`,
            ),
          ],
          schools: FITTED_WITH,
          notes: fitted ? [`Fitted ${fitted}.`] : [],
        }
      },
    ),
})
