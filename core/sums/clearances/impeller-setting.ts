import { impellerSetting } from '../../clearances/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { fallback, limitOf, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'

const AXIAL = [0, 100] as const

export const impellerSettingSum = defineSum({
  name: 'impeller-setting',
  craft: 'clearances',
  title: 'Axial set of an impeller',
  about: 'From where it touches: how far to back off, in turns of the adjuster, and what is left to the stop.',
  source: 'one-dimensional chain; growth towards where it touches is added to the clearance',
  fields: {
    travelMm: number('Whole travel, from touching to the stop', 'mm', AXIAL),
    wantedMm: number('Clearance wanted, warm', 'mm', AXIAL),
    growsForwardMm: fallback(number('Shaft grows towards where it touches', 'mm', [-10, 10]), 0),
    pitchMm: number('Pitch of the adjuster', 'mm', [0.25, 20]),
    frontMm: optional(number('Stands clear of touching now, cold', 'mm', AXIAL)),
    toleranceMm: limitOf(number('May be off by', 'mm', [0, 10]), 'frontMm'),
    minBehindMm: optional(number('Minimum left to the stop', 'mm', AXIAL)),
  },
  example: {
    travelMm: 2.6,
    wantedMm: 0.4,
    growsForwardMm: 0.15,
    pitchMm: 1.5,
    frontMm: 0.5,
    toleranceMm: 0.1,
    minBehindMm: 1,
  },
  work: ({ travelMm, wantedMm, growsForwardMm, pitchMm, frontMm, toleranceMm, minBehindMm }) =>
    answering(impellerSetting(travelMm, wantedMm, growsForwardMm, pitchMm, frontMm), made => ({
      figures: [
        fig('backOffMm', 'Back off from touching by', made.backOffMm, 'mm', 2),
        fig('turns', 'Turns of the adjuster', made.turns, undefined, 2),
        fig(
          'behindMm',
          'Left to the stop',
          made.behindMm,
          'mm',
          2,
          hold(
            made.behindMm,
            { min: minBehindMm },
            { low: 'it touches at the other end of its travel: it wears there and locks' },
            { limits: { min: 0 }, source: 'some room to the stop' },
          ),
        ),
        ...(frontMm === undefined
          ? []
          : [
              fig(
                'frontMm',
                'Stands clear now',
                frontMm,
                'mm',
                2,
                hold(
                  frontMm,
                  toleranceMm === undefined
                    ? {}
                    : { min: made.backOffMm - toleranceMm, max: made.backOffMm + toleranceMm, best: made.backOffMm },
                  { low: 'warm, it touches', high: 'it stands too far off: head and flow are lost' },
                ),
              ),
            ]),
      ],
      working: [
        line(
          'Back off',
          'wanted + growth towards it',
          `${say(wantedMm)} + ${say(growsForwardMm)}`,
          `${say(made.backOffMm)} mm`,
        ),
        line('Turns', 'back off/pitch', `${say(made.backOffMm)}/${say(pitchMm)}`, say(made.turns, 2)),
        line('Left', 'travel − back off', `${say(travelMm)} − ${say(made.backOffMm)}`, `${say(made.behindMm)} mm`),
      ],
      notes: [
        'Turned by hand to feel where it touches, never with power on. Lock the adjuster, then read it once more.',
      ],
      reading: { row: 'figure', tries: [[made.backOffMm]] },
    })),
})
