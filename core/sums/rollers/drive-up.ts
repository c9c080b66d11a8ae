import { holdAgainst } from '../../verdict.ts'
import { driveUp, TAPERS, type Taper } from '../../rollers/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, limitOf, number, optional } from '../fields.ts'
import { hold, makerMin } from '../limits.ts'
import { BORE } from './shared.ts'

export const driveUpSum = defineSum({
  name: 'drive-up',
  craft: 'rollers',
  title: 'Tapered bore drive-up',
  about: 'How far a tapered bore is driven up its seat, by lost clearance and by the nut’s angle.',
  source: 'fitting practice: 0.45 to 0.6 ‰ of the bore; the maker’s table goes before it',
  fields: {
    boreMm: BORE,
    taper: choice('Taper', Object.keys(TAPERS) as [Taper, ...Taper[]]),
    nutPitchMm: number('Pitch of the nut', 'mm', [0.25, 10]),
    measuredUm: optional(
      number('Clearance before', 'µm', [0, 1000], 'by feeler over a roller; small bearings by dial'),
    ),
    minLeftUm: limitOf(makerMin('µm', [0, 1000]), 'measuredUm'),
    turnedDeg: optional(number('Nut turned from firm contact', '°', [0, 1440])),
  },
  example: { boreMm: 80, taper: '1:12', nutPitchMm: 2, measuredUm: 90, minLeftUm: 35, turnedDeg: 110 },
  work: ({ boreMm, taper, nutPitchMm, measuredUm, minLeftUm, turnedDeg }) =>
    answering(driveUp(boreMm, taper, nutPitchMm, measuredUm), ({ reduction, travelMm, nutDeg, leftUm }) => ({
      figures: [
        ...(leftUm
          ? [
              {
                key: 'leftLeastUm',
                what: 'Clearance left, minimum',
                value: leftUm.leastUm,
                unit: 'µm',
                decimals: 0,
                held: hold(
                  leftUm.leastUm,
                  { min: minLeftUm },
                  { low: 'the bearing will run preloaded: drive it up less' },
                  { limits: { min: 0 }, source: 'zero: below it the bearing runs preloaded' },
                ),
              },
            ]
          : []),
        ...(turnedDeg === undefined
          ? []
          : [
              {
                key: 'turnedDeg',
                what: 'Nut turned',
                value: turnedDeg,
                unit: '°',
                decimals: 0,
                held: holdAgainst(
                  turnedDeg,
                  { min: nutDeg.least, max: nutDeg.greatest, warningShare: 0 },
                  'angle for 0.45 to 0.6 ‰',
                  { low: 'too little: the ring may creep', high: 'too far: the clearance is spent' },
                ),
              },
            ]),
        {
          key: 'reductionLeastUm',
          what: 'Reduce clearance by, minimum',
          value: reduction.leastUm,
          unit: 'µm',
          decimals: 0,
        },
        {
          key: 'reductionGreatestUm',
          what: 'Reduce clearance by, maximum',
          value: reduction.greatestUm,
          unit: 'µm',
          decimals: 0,
        },
        { key: 'travelLeastMm', what: 'Drive up, minimum', value: travelMm.least, unit: 'mm', decimals: 2 },
        { key: 'travelGreatestMm', what: 'Drive up, maximum', value: travelMm.greatest, unit: 'mm', decimals: 2 },
        { key: 'nutLeastDeg', what: 'Nut angle, minimum', value: nutDeg.least, unit: '°', decimals: 0 },
        { key: 'nutGreatestDeg', what: 'Nut angle, maximum', value: nutDeg.greatest, unit: '°', decimals: 0 },
      ],
      working: [
        line(
          'Reduction',
          '0.45 to 0.6 ‰ of d',
          `0.45 and 0.6·${say(boreMm)}`,
          `${say(reduction.leastUm, 0)} to ${say(reduction.greatestUm, 0)} µm`,
        ),
        line(
          'Travel',
          taper === '1:12' ? '15 to 16 × reduction' : '15 to 16 × 2.5 × reduction',
          `15 and 16·${taper === '1:12' ? '' : '2.5·'}${say(reduction.leastUm, 0)} and ${say(reduction.greatestUm, 0)}/1000, from firm contact`,
          `${say(travelMm.least, 2)} to ${say(travelMm.greatest, 2)} mm`,
        ),
        line(
          'Nut angle',
          '360·travel/pitch',
          `360·${say(travelMm.least, 2)}/${say(nutPitchMm, 2)}`,
          `${say(nutDeg.least, 0)} to ${say(nutDeg.greatest, 0)}°`,
        ),
      ],
      schools: [
        {
          name: 'By feeler gauge',
          gives: `clearance down by ${say(reduction.leastUm, 0)} to ${say(reduction.greatestUm, 0)} µm`,
          why: 'measures the thing that matters, over every roller row; wants room for the feeler and a steady hand',
        },
        {
          name: 'By nut angle',
          gives: `nut on by ${say(nutDeg.least, 0)} to ${say(nutDeg.greatest, 0)}°`,
          why: 'the only way on small and sealed bearings; stands or falls with where firm contact was felt',
        },
      ],
      notes: ['Count from firm contact. Adapter sleeves want more. Tapered bores have clearance groups of their own.'],
    })),
})
