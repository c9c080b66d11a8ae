import { backlash } from '../../drives/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { fallback, limitOf, list, number, optional } from '../fields.ts'
import { hold, makerMax, makerMin, RULE_OF_THUMB } from '../limits.ts'

const PLAY = [0, 20] as const
const RADIUS = [1, 5000] as const

export const backlashSum = defineSum({
  name: 'backlash',
  craft: 'drives',
  title: 'Backlash and root clearance',
  about: 'Play of a pair of gears by dial at several places, brought to the pitch line, and the room under the teeth.',
  source: 'ISO 21771-1 for backlash; ISO 53 for the root; 0.03 to 0.08 of the module is a rule of thumb',
  fields: {
    readingsMm: list('Dial, at places round the wheel', 'mm', PLAY, [1, 24], 'the other gear held'),
    pitchRadiusMm: limitOf(
      number('Pitch radius', 'mm', RADIUS, 'with the dial’s, where it stands off the pitch line'),
      'dialRadiusMm',
    ),
    dialRadiusMm: limitOf(number('Dial stands on radius', 'mm', RADIUS), 'pitchRadiusMm'),
    moduleMm: optional(number('Module', 'mm', [0.3, 60])),
    pressureDeg: fallback(number('Pressure angle', '°', [0, 45]), 20),
    helixDeg: fallback(number('Helix angle', '°', [0, 45]), 0),
    rootsMm: limitOf(list('Room at the root, by feeler or lead', 'mm', PLAY, [1, 24]), 'moduleMm'),
    minMm: makerMin('mm', PLAY),
    maxMm: makerMax('mm', PLAY),
    maxSpreadMm: optional(number('Maximum difference round', 'mm', PLAY)),
  },
  example: {
    readingsMm: [0.31, 0.27, 0.29, 0.34],
    pitchRadiusMm: 132,
    dialRadiusMm: 120,
    moduleMm: 6,
    pressureDeg: 20,
    helixDeg: 12,
    rootsMm: [1.4, 1.5, 1.45],
    maxSpreadMm: 0.1,
  },
  work: ({
    readingsMm,
    pitchRadiusMm,
    dialRadiusMm,
    moduleMm,
    pressureDeg,
    helixDeg,
    rootsMm,
    minMm,
    maxMm,
    maxSpreadMm,
  }) => {
    if ((pitchRadiusMm === undefined) !== (dialRadiusMm === undefined))
      return refuse('Give both radii, pitch line and dial, or neither where the dial stands on the pitch line.')
    return answering(backlash(readingsMm, { pitchRadiusMm, dialRadiusMm }, pressureDeg, helixDeg), made => {
      const says = {
        low: 'warm, the teeth wedge: no room for oil and growth',
        high: 'the teeth knock at every change of load: worn, or set too far apart',
      }
      const general =
        moduleMm === undefined
          ? undefined
          : {
              limits: { min: 0.03 * moduleMm, max: 0.08 * moduleMm },
              source: `0.03 to 0.08 of the module, ${RULE_OF_THUMB}`,
            }
      const limits = { min: minMm, max: maxMm }
      const root = rootsMm && Math.min(...rootsMm)
      return {
        figures: [
          fig('leastMm', 'Backlash, minimum', made.leastMm, 'mm', 3, hold(made.leastMm, limits, says, general)),
          fig(
            'greatestMm',
            'Backlash, maximum',
            made.greatestMm,
            'mm',
            3,
            hold(made.greatestMm, limits, says, general),
          ),
          fig(
            'spreadMm',
            'Difference round',
            made.spreadMm,
            'mm',
            3,
            maxSpreadMm === undefined
              ? undefined
              : hold(
                  made.spreadMm,
                  { max: maxSpreadMm },
                  { high: 'the wheel runs out: read its run-out before it is judged' },
                ),
          ),
          ...(root === undefined || moduleMm === undefined
            ? []
            : [
                fig(
                  'rootMm',
                  'Room at the root, minimum',
                  root,
                  'mm',
                  2,
                  hold(
                    root,
                    {},
                    { low: 'tips meet roots when warm' },
                    {
                      limits: { min: 0.1 * moduleMm, best: 0.25 * moduleMm },
                      source: 'ISO 53: 0.25 of the module when new, never under 0.1',
                    },
                  ),
                ),
              ]),
          fig('normalLeastMm', 'Minimum, square to the flank', made.normalLeastMm, 'mm', 3),
        ],
        working: [
          line(
            'At the pitch line',
            'reading·r/rd',
            `${say(Math.min(...readingsMm))}${pitchRadiusMm === undefined ? '' : `·${say(pitchRadiusMm)}/${say(dialRadiusMm!)}`}`,
            `${say(made.leastMm)} mm`,
          ),
          line(
            'Square to the flank',
            'jt·cos α·cos β',
            `${say(made.leastMm)}·cos ${say(pressureDeg)}°·cos ${say(helixDeg)}°`,
            `${say(made.normalLeastMm)} mm`,
          ),
          line(
            'Round',
            'maximum − minimum',
            `${say(made.greatestMm)} − ${say(made.leastMm)}`,
            `${say(made.spreadMm)} mm`,
          ),
        ],
        notes: ['The drive is isolated and cannot turn back before a hand goes between teeth.'],
        reading: { row: 'figure', tries: [[made.leastMm]] },
      }
    })
  },
})
