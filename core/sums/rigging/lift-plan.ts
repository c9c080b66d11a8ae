import { equalLegTensionKN, hangingWeightKN, RIGGING_USE_NAMES, useItems } from '../../rigging/index.ts'
import { accept } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { defineSum, line, say, type Figure } from '../define.ts'
import { choice, fallback, flag, limitOf, list, number, optional, rows, text, whole } from '../fields.ts'
import { PLAN, angleHeld } from './shared.ts'

export const liftPlanSum = defineSum({
  name: 'lift-plan',
  craft: 'rigging',
  title: 'Whole lift',
  about: 'What hangs together, each item of rigging at its angle, floor and headroom.',
  source: 'masses by standard gravity; choked 0.8; eyebolts and shackles by their own side-pull rating',
  fields: {
    massesKg: list('Masses that hang together', 'kg', [0, 100000], [1, 40]),
    riggingKg: fallback(number('Slings, shackles and beam', 'kg', [0, 20000]), 0),
    legs: whole('Legs', [1, 8]),
    fromVerticalDeg: number('Leg from the vertical', '°', [0, 89.9]),
    equalised: flag('Legs are equalised'),
    items: rows(
      'Rigging',
      {
        name: text('Item', 40),
        swlKN: number('Safe load', 'kN', [0.01, 5000]),
        use: fallback(choice('Carries', RIGGING_USE_NAMES), 'a leg'),
        ratingAtAngle: fallback(number('Rating', '1', [0.01, 1]), 1),
      },
      [1, 20],
      'rating: the share that its own marking leaves at this angle; both parts of a basket are legs',
    ),
    floorKPa: limitOf(number('Floor bears, kPa', '1', [0, 10000]), 'layDownM2'),
    layDownM2: optional(number('Lay-down area, m²', '1', [0.01, 1000])),
    headroomM: limitOf(number('Headroom', 'm', [0, 100]), 'neededM'),
    neededM: limitOf(number('Headroom needed', 'm', [0, 100]), 'headroomM'),
  },
  example: {
    massesKg: [640, 85],
    riggingKg: 22,
    legs: 2,
    fromVerticalDeg: 35,
    equalised: false,
    items: [
      { name: 'sling', swlKN: 10, use: 'a leg', ratingAtAngle: 1 },
      { name: 'eyebolt', swlKN: 12, use: 'a leg', ratingAtAngle: 0.4 },
      { name: 'hoist hook', swlKN: 20, use: 'the whole load', ratingAtAngle: 1 },
    ],
    floorKPa: 10,
    layDownM2: 1.2,
    headroomM: 3.2,
    neededM: 2.9,
  },
  work: ({ massesKg, riggingKg, legs, fromVerticalDeg, equalised, items, floorKPa, layDownM2, headroomM, neededM }) => {
    const hanging = riggingKg > 0 ? [...massesKg, riggingKg] : massesKg
    const weight = hangingWeightKN(hanging)
    if (!weight.ok) return weight
    const tension = equalLegTensionKN({ weightKN: weight.value, legs, fromVerticalDeg }, equalised)
    if (!tension.ok) return tension
    const used = useItems(items, tension.value, weight.value)
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
            ...holdAgainst(one.usedShare * 100, { max: 100 }, `${say(one.usableKN, 2)} kN at this angle and use`, {
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
          `(${hanging.map(one => say(one, 1)).join(' + ')})·9.80665/1000`,
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
            'carried/(SWL·rating·use)',
            `${say(one.carriedKN)}/${say(one.usableKN)}`,
            `${say(one.usedShare * 100, 0)} %`,
          ),
        ),
      ],
      notes: [PLAN],
    })
  },
})
