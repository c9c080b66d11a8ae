import { equalLegTensionKN, twoLegTensionsKN } from '../../rigging/index.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { flag, number, whole } from '../fields.ts'
import { PLAN, angleHeld } from './shared.ts'

export const liftingSum = defineSum({
  name: 'lifting',
  craft: 'rigging',
  title: 'Sling legs',
  about: 'Tension of equal legs by their angle, and of two unequal legs by where the weight sits.',
  source: 'balance of forces and moments; three or more legs count as two unless equalised',
  fields: {
    weightKN: number('Weight that hangs', 'kN', [0.01, 5000]),
    legs: whole('Legs', [1, 8]),
    fromVerticalDeg: number('Leg from the vertical', '°', [0, 89.9]),
    cgFromLeftM: number('Centre of gravity from the left', 'm', [0.01, 50]),
    cgFromRightM: number('… from the right', 'm', [0.01, 50]),
    hookHeightM: number('Hook above the lugs', 'm', [0.01, 50]),
    equalised: flag('Legs are equalised'),
  },
  example: {
    weightKN: 8,
    legs: 2,
    fromVerticalDeg: 30,
    cgFromLeftM: 0.6,
    cgFromRightM: 0.9,
    hookHeightM: 1.2,
    equalised: false,
  },
  work: ({ equalised, cgFromLeftM, cgFromRightM, hookHeightM, ...lift }) => {
    const equal = equalLegTensionKN(lift, equalised)
    if (!equal.ok) return equal
    const carrying = equalised ? lift.legs : Math.min(lift.legs, 2)
    return answering(twoLegTensionsKN(lift.weightKN, cgFromLeftM, cgFromRightM, hookHeightM), two => ({
      figures: [
        {
          key: 'fromVerticalDeg',
          what: 'Equal legs lean',
          value: lift.fromVerticalDeg,
          unit: '°',
          decimals: 0,
          held: angleHeld(lift.fromVerticalDeg),
        },
        { key: 'equalLegKN', what: 'Equal leg carries', value: equal.value, unit: 'kN', decimals: 2 },
        { key: 'leftKN', what: 'Left leg carries', value: two.leftKN, unit: 'kN', decimals: 2 },
        { key: 'rightKN', what: 'Right leg carries', value: two.rightKN, unit: 'kN', decimals: 2 },
        {
          key: 'leftDeg',
          what: 'Left leg leans',
          value: two.leftFromVerticalDeg,
          unit: '°',
          decimals: 0,
          held: angleHeld(two.leftFromVerticalDeg),
        },
        {
          key: 'rightDeg',
          what: 'Right leg leans',
          value: two.rightFromVerticalDeg,
          unit: '°',
          decimals: 0,
          held: angleHeld(two.rightFromVerticalDeg),
        },
      ],
      working: [
        line(
          'Equal leg',
          'W/(n·cos θ)',
          `${say(lift.weightKN)}/(${carrying}·cos ${say(lift.fromVerticalDeg, 1)}°)`,
          `${say(equal.value)} kN`,
        ),
        line(
          'Left leg',
          'W·b/(a + b)·√(a² + h²)/h',
          `${say(lift.weightKN)}·${say(cgFromRightM)}/${say(cgFromLeftM + cgFromRightM)}·√(${say(cgFromLeftM)}² + ${say(hookHeightM)}²)/${say(hookHeightM)}`,
          `${say(two.leftKN)} kN`,
        ),
        line(
          'Right leg',
          'W·a/(a + b)·√(b² + h²)/h',
          `${say(lift.weightKN)}·${say(cgFromLeftM)}/${say(cgFromLeftM + cgFromRightM)}·√(${say(cgFromRightM)}² + ${say(hookHeightM)}²)/${say(hookHeightM)}`,
          `${say(two.rightKN)} kN`,
        ),
      ],
      notes: ['The hook stands straight over the centre of gravity.', PLAN],
    }))
  },
})
