import {
  equalLegTensionKN,
  hangingWeightKN,
  HITCHES,
  slingAngleVerdict,
  twoLegTensionsKN,
  useItems,
  type Hitch,
} from '../rigging/index.ts'
import { accept } from '../result.ts'
import { holdAgainst, type Held } from '../verdict.ts'
import { answering, defineSum, line, say, type Figure } from './define.ts'
import { choice, fallback, flag, list, number, optional, rows, text, whole } from './fields.ts'

const PLAN = 'Lifting is planned by a competent person under the site’s rules. This sum does not replace the plan.'
/** From 45° on it is Thin, 45° itself counted in; the share of the allowance goes to 60°. */
function angleHeld(deg: number): Held {
  const verdict = slingAngleVerdict(deg)
  return {
    ...holdAgainst(deg, { max: 60 }, 'general rule: over 60° from the vertical never'),
    verdict,
    consequence: verdict === 'Holds' ? null : 'the legs pull together more than they lift',
  }
}

export const riggingSums = [
  defineSum({
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
  }),
  defineSum({
    name: 'lift-plan',
    craft: 'rigging',
    title: 'Whole lift',
    about: 'What hangs together, each item of rigging at its angle, floor and headroom.',
    source: 'masses by standard gravity; choker 0.8; eyebolts and shackles by their own side-pull rating',
    fields: {
      massesKg: list('Masses that hang together, rigging too', 'kg', [0, 100000], [1, 30]),
      legs: whole('Legs', [1, 8]),
      fromVerticalDeg: number('Leg from the vertical', '°', [0, 89.9]),
      hitch: choice('Hitch', Object.keys(HITCHES) as [Hitch, ...Hitch[]]),
      equalised: flag('Legs are equalised'),
      items: rows(
        'In one leg',
        {
          name: text('Item', 40),
          swlKN: number('Safe working load', 'kN', [0.01, 5000]),
          ratingAtAngle: fallback(number('Rating at this angle', '1', [0.01, 1]), 1),
        },
        [1, 20],
      ),
      floorKPa: optional(number('Floor bears, kPa', '1', [0, 10000])),
      layDownM2: optional(number('Lay-down area, m²', '1', [0.01, 1000])),
      headroomM: optional(number('Headroom', 'm', [0, 100])),
      neededM: optional(number('Headroom needed', 'm', [0, 100])),
    },
    example: {
      massesKg: [640, 85, 22],
      legs: 2,
      fromVerticalDeg: 35,
      hitch: 'straight',
      equalised: false,
      items: [
        { name: 'sling', swlKN: 10, ratingAtAngle: 1 },
        { name: 'eyebolt', swlKN: 12, ratingAtAngle: 0.4 },
      ],
      floorKPa: 10,
      layDownM2: 1.2,
      headroomM: 3.2,
      neededM: 2.9,
    },
    work: ({ massesKg, legs, fromVerticalDeg, hitch, equalised, items, floorKPa, layDownM2, headroomM, neededM }) => {
      const weight = hangingWeightKN(massesKg)
      if (!weight.ok) return weight
      const tension = equalLegTensionKN({ weightKN: weight.value, legs, fromVerticalDeg }, equalised)
      if (!tension.ok) return tension
      const used = useItems(items, tension.value, hitch)
      if (!used.ok) return used
      const carrying = equalised ? legs : Math.min(legs, 2)
      const extra: Figure[] = [
        ...(floorKPa !== undefined && layDownM2 !== undefined
          ? [
              {
                key: 'floorKPa',
                what: 'On the floor, kPa',
                value: weight.value / layDownM2,
                decimals: 1,
                held: holdAgainst(weight.value / layDownM2, { max: floorKPa }, 'what the floor bears, typed here', {
                  high: 'the floor may give: spread the load on planks',
                }),
              },
            ]
          : []),
        ...(headroomM !== undefined && neededM !== undefined
          ? [
              {
                key: 'headroomLeftM',
                what: 'Headroom left',
                value: headroomM - neededM,
                unit: 'm',
                decimals: 2,
                held: holdAgainst(
                  headroomM - neededM,
                  { min: 0, best: Math.max(headroomM, 0.01), warningShare: 0.02 },
                  'headroom typed here',
                  { low: 'the hook does not reach high enough' },
                ),
              },
            ]
          : []),
      ]
      return accept({
        figures: [
          {
            key: 'fromVerticalDeg',
            what: 'Legs lean',
            value: fromVerticalDeg,
            unit: '°',
            decimals: 0,
            held: angleHeld(fromVerticalDeg),
          },
          { key: 'weightKN', what: 'Hangs', value: weight.value, unit: 'kN', decimals: 2 },
          { key: 'legKN', what: 'A leg carries', value: tension.value, unit: 'kN', decimals: 2 },
          ...used.value.items.map((one, i): Figure => ({
            key: `item${i + 1}Percent`,
            what: `${one.name || `Item ${i + 1}`}, used`,
            value: one.usedShare * 100,
            unit: '%',
            decimals: 0,
            held: {
              ...holdAgainst(one.usedShare * 100, { max: 100 }, `${say(one.usableKN, 2)} kN at this angle and hitch`, {
                high: 'overloaded: it may part without warning',
              }),
              verdict: one.verdict,
            },
          })),
          ...extra,
        ],
        working: [
          line(
            'Weight',
            'Σ m·9.80665',
            `(${massesKg.map(one => say(one, 1)).join(' + ')})·9.80665/1000`,
            `${say(weight.value)} kN`,
          ),
          line(
            'Leg',
            'W/(n·cos θ)',
            `${say(weight.value)}/(${carrying}·cos ${say(fromVerticalDeg, 1)}°)`,
            `${say(tension.value)} kN`,
          ),
          ...used.value.items.map(one =>
            line(
              one.name,
              'load/(SWL·rating·hitch)',
              `${say(tension.value)}/${say(one.usableKN)}`,
              `${say(one.usedShare * 100, 0)} %`,
            ),
          ),
        ],
        notes: [PLAN],
      })
    },
  }),
]
