import { impellerSetting } from '../../clearances/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { fallback, limitOf, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'

const AXIAL = [0, 100] as const

export const impellerSettingSum = defineSum({
  name: 'impeller-setting',
  craft: 'clearances',
  title: 'Axial set of an impeller',
  about: 'From touching in front: how far to back off, in turns of the adjuster, and what is left behind.',
  source: 'one-dimensional chain; growth toward the front is added to the clearance',
  fields: {
    travelMm: number('Whole travel, front to back', 'mm', AXIAL),
    wantedMm: number('Clearance wanted in front, warm', 'mm', AXIAL),
    growsForwardMm: fallback(number('Shaft grows to the front', 'mm', [-10, 10]), 0),
    pitchMm: number('Pitch of the adjuster', 'mm', [0.25, 20]),
    frontMm: optional(number('Stands clear in front now, cold', 'mm', AXIAL)),
    toleranceMm: limitOf(number('May be off by', 'mm', [0, 10]), 'frontMm'),
    minBehindMm: optional(number('Minimum behind', 'mm', AXIAL)),
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
    answering(impellerSetting(travelMm, wantedMm, growsForwardMm, pitchMm), made => ({
      figures: [
        fig('backOffMm', 'Back off from touching by', made.backOffMm, 'mm', 2),
        fig('turns', 'Turns of the adjuster', made.turns, undefined, 2),
        fig(
          'behindMm',
          'Left behind',
          made.behindMm,
          'mm',
          2,
          hold(
            made.behindMm,
            { min: minBehindMm },
            { low: 'the back of the impeller touches: it wears its plate and locks' },
            { limits: { min: 0 }, source: 'some room behind' },
          ),
        ),
        ...(frontMm === undefined
          ? []
          : [
              fig(
                'frontMm',
                'Stands in front now',
                frontMm,
                'mm',
                2,
                hold(
                  frontMm,
                  toleranceMm === undefined
                    ? {}
                    : { min: made.backOffMm - toleranceMm, max: made.backOffMm + toleranceMm, best: made.backOffMm },
                  { low: 'warm, it touches in front', high: 'it stands too far back: head and flow are lost' },
                ),
              ),
            ]),
      ],
      working: [
        line(
          'Back off',
          'wanted + growth to the front',
          `${say(wantedMm)} + ${say(growsForwardMm)}`,
          `${say(made.backOffMm)} mm`,
        ),
        line('Turns', 'back off/pitch', `${say(made.backOffMm)}/${say(pitchMm)}`, say(made.turns, 2)),
        line('Behind', 'travel − back off', `${say(travelMm)} − ${say(made.backOffMm)}`, `${say(made.behindMm)} mm`),
      ],
      notes: [
        'Turned by hand to feel where it touches, never with power on. Lock the adjuster, then read it once more.',
      ],
      reading: { row: 'figure', tries: [[made.backOffMm]] },
    })),
})
