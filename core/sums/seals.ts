import {
  compareSprings,
  DUTIES,
  DUTY_NAMES,
  gasketFeelerMm,
  OBSERVATIONS,
  rankCauses,
  sealSetting,
  turningSenseFrom,
  worstRing,
} from '../seals/index.ts'
import { accept } from '../result.ts'
import { holdAgainst } from '../verdict.ts'
import { answering, defineSum, line, say } from './define.ts'
import { choice, fallback, list, number, optional, whole } from './fields.ts'
import { hold, makerMax, makerMin } from './limits.ts'

const MM = [0.01, 2000] as const
const SMALL = [-50, 200] as const
const WET = ['wet, with what the sheet names', 'dry', 'never lubricated: it must grip'] as const
const percent = (share: number) => share * 100

export const sealSums = [
  defineSum({
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
                      what: 'Least squeeze, off centre',
                      value: leastSqueeze,
                      as: 'percent' as const,
                      held: holdAgainst(
                        leastSqueeze,
                        { min: 0.02, best: range.squeeze.max },
                        'above nought, with a little to spare',
                        squeezeSays,
                      ),
                    },
                    {
                      key: 'greatestSqueeze',
                      what: 'Greatest squeeze, warm',
                      value: greatestSqueeze,
                      as: 'percent' as const,
                    },
                    {
                      key: 'greatestFill',
                      what: 'Greatest fill, warm',
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
            notes: fitted ? [`Fitted ${fitted}.`] : [],
          }
        },
      ),
  }),
  defineSum({
    name: 'seal-setting',
    craft: 'seals',
    title: 'Setting a rotary face',
    about: 'Where the mark goes on a shaft without a shoulder, and what compression it makes.',
    source: 'one-dimensional stack from the chamber face',
    fields: {
      makerMm: number('Maker’s distance', 'mm', SMALL, 'from the seal-chamber face'),
      gasketMm: fallback(number('Gasket, pressed', 'mm', [0, 20]), 0),
      glandMm: fallback(number('Gland stands in by', 'mm', [-50, 50]), 0),
      freeLengthMm: number('Free length', 'mm', MM),
      workingLengthMm: number('Working length', 'mm', MM),
      minMm: makerMin('mm', [0, 100]),
      maxMm: makerMax('mm', [0, 100]),
      gaskets: optional(whole('Gaskets as a feeler', [1, 20])),
      gasketEachMm: optional(number('Each gasket', 'mm', [0.01, 10])),
    },
    example: {
      makerMm: 42,
      gasketMm: 0.8,
      glandMm: 0.3,
      freeLengthMm: 31.5,
      workingLengthMm: 28.1,
      minMm: 3,
      maxMm: 4,
      gaskets: 4,
      gasketEachMm: 0.8,
    },
    work: ({ minMm, maxMm, gaskets, gasketEachMm, ...given }) => {
      const feeler = gaskets !== undefined && gasketEachMm !== undefined ? gasketFeelerMm(gaskets, gasketEachMm) : null
      return answering(sealSetting(given), ({ markMm, compressionMm }) => ({
        figures: [
          { key: 'markMm', what: 'Scribe the mark at', value: markMm, unit: 'mm', decimals: 2 },
          {
            key: 'compressionMm',
            what: 'Compression',
            value: compressionMm,
            unit: 'mm',
            decimals: 2,
            held: hold(
              compressionMm,
              { min: minMm, max: maxMm },
              { low: 'the faces part when the shaft moves: it leaks', high: 'the faces run hot and wear' },
            ),
          },
          ...(feeler?.ok
            ? [
                {
                  key: 'feelerMm',
                  what: `${gaskets} gaskets as a feeler`,
                  value: feeler.value,
                  unit: 'mm',
                  decimals: 2,
                  held: hold(feeler.value, { min: minMm, max: maxMm }),
                },
              ]
            : []),
        ],
        working: [
          line(
            'Mark',
            'maker’s distance + gasket − gland',
            `${say(given.makerMm)} + ${say(given.gasketMm)} − ${say(given.glandMm)}`,
            `${say(markMm)} mm`,
          ),
          line(
            'Compression',
            'free − working',
            `${say(given.freeLengthMm)} − ${say(given.workingLengthMm)}`,
            `${say(compressionMm)} mm`,
          ),
          ...(feeler?.ok ? [line('Feeler', 'n·t', `${gaskets}·${say(gasketEachMm!)}`, `${say(feeler.value)} mm`)] : []),
        ],
        reading: { kind: 'single', tries: [[markMm]] },
      }))
    },
  }),
  defineSum({
    name: 'drive-pin',
    craft: 'seals',
    title: 'Drive pin or key',
    about: 'Height above the surface: too high jams the ring, too low lets it spin.',
    source: 'the sheet’s limits',
    fields: {
      heightMm: number('Stands up by', 'mm', [-20, 50]),
      minMm: number('Least', 'mm', [-20, 50]),
      maxMm: number('Greatest', 'mm', [-20, 50]),
    },
    example: { heightMm: 2.6, minMm: 2.2, maxMm: 2.7 },
    work: ({ heightMm, minMm, maxMm }) =>
      accept({
        figures: [
          {
            key: 'heightMm',
            what: 'Height',
            value: heightMm,
            unit: 'mm',
            decimals: 2,
            held: holdAgainst(
              heightMm,
              { min: Math.min(minMm, maxMm), max: Math.max(minMm, maxMm) },
              'limits typed here',
              {
                low: 'too low: the ring can slip over it and spin',
                high: 'too high: it jams the ring, which then cannot follow its mate',
              },
            ),
          },
        ],
        working: [
          line(
            'Room',
            'greatest − height; height − least',
            `${say(maxMm)} − ${say(heightMm)}; ${say(heightMm)} − ${say(minMm)}`,
            `${say(maxMm - heightMm)} and ${say(heightMm - minMm)} mm`,
          ),
        ],
        reading: { kind: 'single', tries: [[heightMm]] },
      }),
  }),
  defineSum({
    name: 'springs',
    craft: 'seals',
    title: 'Springs of a set',
    about: 'Free length of each against a new one and against each other; the odd one is named by its place.',
    source: 'workshop practice',
    fields: {
      freeMm: list('Free lengths, by place', 'mm', MM, [2, 40]),
      newMm: number('A new one', 'mm', MM),
      maxLossMm: optional(number('Greatest loss', 'mm', [0, 50])),
      maxRangeMm: optional(number('Greatest difference', 'mm', [0, 50])),
    },
    example: { freeMm: [25.1, 25.0, 25.1, 24.2, 25.0, 25.1], newMm: 25.4, maxLossMm: 1.5, maxRangeMm: 0.5 },
    work: ({ freeMm, newMm, maxLossMm, maxRangeMm }) =>
      answering(compareSprings(freeMm, newMm), ({ meanMm, rangeMm, odd, lossMm }) => {
        const worst = Math.max(...lossMm)
        return {
          figures: [
            {
              key: 'rangeMm',
              what: 'Longest less shortest',
              value: rangeMm,
              unit: 'mm',
              decimals: 2,
              held: hold(rangeMm, { max: maxRangeMm }, { high: 'the face is pressed unevenly: renew the set' }),
            },
            {
              key: 'lossMm',
              what: 'Most set against new',
              value: worst,
              unit: 'mm',
              decimals: 2,
              held: hold(worst, { max: maxLossMm }, { high: 'it has lost its force: the faces open' }),
            },
            { key: 'odd', what: 'Odd one out, place', value: odd, decimals: 0 },
            { key: 'meanMm', what: 'Mean', value: meanMm, unit: 'mm', decimals: 2 },
          ],
          working: [
            line(
              'Difference',
              'longest − shortest',
              `${say(Math.max(...freeMm))} − ${say(Math.min(...freeMm))}`,
              `${say(rangeMm)} mm`,
            ),
            line('Set', 'new − shortest', `${say(newMm)} − ${say(Math.min(...freeMm))}`, `${say(worst)} mm`),
          ],
          more: { lossesMm: lossMm },
        }
      }),
  }),
  defineSum({
    name: 'seal-cause',
    craft: 'seals',
    title: 'Why it failed',
    about: 'What was seen on each part ranks the likely causes, with the evidence for and against.',
    source: 'general experience of seal fitters; it advises, the technician decides',
    fields: {
      faces: optional(choice('Faces', OBSERVATIONS.faces)),
      rings: optional(choice('Secondary rings', OBSERVATIONS.rings)),
      springs: optional(choice('Springs', OBSERVATIONS.springs)),
      sleeve: optional(choice('Sleeve', OBSERVATIONS.sleeve)),
      drive: optional(choice('Drive', OBSERVATIONS.drive)),
    },
    example: {
      faces: 'good, even track',
      rings: 'hard or set',
      springs: 'free and alike',
      sleeve: 'fretted',
      drive: 'clean',
    },
    work: seen =>
      answering(rankCauses(seen), ranked => ({
        figures: [
          { key: 'likely', what: 'Most likely', value: ranked[0]?.cause ?? 'nothing stands out' },
          { key: 'advice', what: 'What to do', value: ranked[0]?.advice ?? 'Look at the other parts.' },
        ],
        working: ranked.map(one =>
          line(
            one.cause,
            'evidence for − against',
            [...one.speaksFor.map(word => `+ ${word}`), ...one.speaksAgainst.map(word => `− ${word}`)].join('; '),
            String(one.score),
          ),
        ),
        notes: ['It advises; you decide, and the record keeps both.'],
        more: { ranked },
      })),
  }),
  defineSum({
    name: 'drive-wear',
    craft: 'seals',
    title: 'Which way it turned',
    about: 'Wear on one side of a drive slot tells the direction of turning.',
    source: 'the driven ring is pushed on its trailing side',
    fields: {
      wear: choice('Slot is worn on its', ['leading side', 'trailing side', 'both sides']),
      slotIsOn: choice('Slot is in the', ['ring that is driven', 'part that drives']),
    },
    example: { wear: 'trailing side', slotIsOn: 'ring that is driven' },
    work: ({ wear, slotIsOn }) =>
      accept({
        figures: [{ key: 'turned', what: 'It turned', value: turningSenseFrom(wear, slotIsOn) }],
        working: [line('Push', 'who pushes whom', `${slotIsOn}, ${wear}`, turningSenseFrom(wear, slotIsOn))],
      }),
  }),
]
