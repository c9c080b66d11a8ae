import { trialWeight } from '../../proving/index.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { number, optional } from '../fields.ts'
import { hold } from '../limits.ts'

const SIZE = [0, 5000] as const
const TURN = [0, 360] as const

export const trialWeightSum = defineSum({
  name: 'trial-weight',
  craft: 'proving',
  title: 'Balance by a trial weight',
  about: 'One plane, two runs: as it is and with a trial mass; how much goes where on the trial’s radius.',
  source: 'influence coefficient of one plane; ISO 21940-13 for field balancing',
  fields: {
    asIs: number('As it is, size', '1', SIZE, 'any one unit for all runs'),
    asIsDeg: number('… its phase', '°', TURN),
    withTrial: number('With the trial, size', '1', SIZE),
    withTrialDeg: number('… its phase', '°', TURN),
    trialG: number('Trial mass', 'g', [0.01, 100000]),
    trialDeg: number('Trial sits at', '°', TURN, 'counted the way the phases count'),
    after: optional(number('After, size', '1', SIZE)),
    wanted: optional(number('Wanted under', '1', SIZE)),
  },
  example: {
    asIs: 6.2,
    asIsDeg: 40,
    withTrial: 4.9,
    withTrialDeg: 110,
    trialG: 18,
    trialDeg: 0,
    after: 0.8,
    wanted: 1.5,
  },
  work: ({ asIs, asIsDeg, withTrial, withTrialDeg, trialG, trialDeg, after, wanted }) =>
    answering(
      trialWeight({ size: asIs, phaseDeg: asIsDeg }, { size: withTrial, phaseDeg: withTrialDeg }, trialG, trialDeg),
      made => ({
        figures: [
          fig('massG', 'Put on', made.massG, 'g', 1),
          fig('placeDeg', 'At', made.placeDeg, '°', 0),
          fig('fromTrialDeg', 'On from the trial’s place', made.fromTrialDeg, '°', 0),
          fig(
            'after',
            after === undefined ? 'Vibration as it is' : 'Vibration after',
            after ?? asIs,
            undefined,
            2,
            hold(after ?? asIs, { max: wanted }, { high: 'it shakes its bearings: take one more run from here' }),
          ),
        ],
        working: [
          line(
            'What the trial did',
            'T − O',
            `${say(withTrial)}∠${say(withTrialDeg, 0)}° − ${say(asIs)}∠${say(asIsDeg, 0)}°`,
            `${say(made.influence.size * trialG)}`,
          ),
          line(
            'Mass',
            'trial·|O|/|T − O|',
            `${say(trialG)}·${say(asIs)}/${say(made.influence.size * trialG)}`,
            `${say(made.massG, 1)} g`,
          ),
          line(
            'Place',
            'trial’s place + angle from T − O to −O',
            `${say(trialDeg, 0)}° + ${say(made.fromTrialDeg, 0)}°`,
            `${say(made.placeDeg, 0)}°`,
          ),
        ],
        notes: [
          'Take the trial off first. Same speed, same load, same radius in every run; weights are fixed so that they cannot fly, guards on.',
        ],
      }),
    ),
})
