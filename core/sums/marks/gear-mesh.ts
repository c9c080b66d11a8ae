import { gearMesh } from '../../marks/index.ts'
import { answering, defineSum, line } from '../define.ts'
import { flag, whole } from '../fields.ts'
import { TEETH } from './shared.ts'

export const gearMeshSum = defineSum({
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
})
