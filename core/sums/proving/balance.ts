import { permissibleUnbalance, sharedUnbalance } from '../../proving/index.ts'
import { accept } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { defineSum, line, say } from '../define.ts'
import { choice, fallback, limitOf, number, optional } from '../fields.ts'

export const balanceSum = defineSum({
  name: 'balance',
  craft: 'proving',
  title: 'Balance',
  about: 'Unbalance a rotor may keep, shared between its planes.',
  source: 'ISO 21940-11',
  fields: {
    grade: number('Grade G', '1', [0.1, 6300]),
    speedPerMin: number('Service speed', '1/min', [1, 500000]),
    massKg: number('Rotor', 'kg', [0.001, 500000]),
    toPlaneAM: limitOf(number('Centre of gravity to plane A', 'm', [0.001, 50]), 'toPlaneBM'),
    toPlaneBM: limitOf(number('… to plane B', 'm', [0.001, 50]), 'toPlaneAM'),
    leftGmm: optional(number('Left in it', 'g·mm', [0, 100000000])),
    key: fallback(choice('Balanced with', ['half key', 'full key', 'no key']), 'half key'),
  },
  example: {
    grade: 6.3,
    speedPerMin: 1480,
    massKg: 48,
    toPlaneAM: 0.22,
    toPlaneBM: 0.34,
    leftGmm: 900,
    key: 'half key',
  },
  work: ({ grade, speedPerMin, massKg, toPlaneAM, toPlaneBM, leftGmm, key }) => {
    const allowed = permissibleUnbalance(grade, speedPerMin, massKg)
    if (!allowed.ok) return allowed
    const { eccentricityUm, unbalanceGmm } = allowed.value
    const shared =
      toPlaneAM !== undefined && toPlaneBM !== undefined ? sharedUnbalance(unbalanceGmm, toPlaneAM, toPlaneBM) : null
    if (shared && !shared.ok) return shared
    return accept({
      figures: [
        ...(leftGmm === undefined
          ? []
          : [
              {
                key: 'leftGmm',
                what: 'Left in it',
                value: leftGmm,
                unit: 'g·mm',
                decimals: 0,
                held: holdAgainst(leftGmm, { max: unbalanceGmm }, `G ${say(grade)} at service speed, ISO 21940-11`, {
                  high: 'it shakes its bearings: balance it again',
                }),
              },
            ]),
        { key: 'unbalanceGmm', what: 'May keep', value: unbalanceGmm, unit: 'g·mm', decimals: 0 },
        { key: 'eccentricityUm', what: 'As eccentricity', value: eccentricityUm, unit: 'µm', decimals: 2 },
        ...(shared?.ok
          ? [
              { key: 'planeAGmm', what: 'In plane A', value: shared.value.aGmm, unit: 'g·mm', decimals: 0 },
              { key: 'planeBGmm', what: 'In plane B', value: shared.value.bGmm, unit: 'g·mm', decimals: 0 },
            ]
          : []),
      ],
      working: [
        line('Eccentricity', '9549.3·G/n', `9549.3·${say(grade)}/${say(speedPerMin)}`, `${say(eccentricityUm, 2)} µm`),
        line('Unbalance', 'e·m', `${say(eccentricityUm, 2)}·${say(massKg)}`, `${say(unbalanceGmm, 0)} g·mm`),
        ...(shared?.ok
          ? [
              line(
                'Plane A',
                'U·L_B/L, 0.3 to 0.7',
                `${say(unbalanceGmm, 0)}·${say(toPlaneBM!)}/${say(toPlaneAM! + toPlaneBM!)}`,
                `${say(shared.value.aGmm, 0)} g·mm`,
              ),
            ]
          : []),
      ],
      notes: [`Balanced with ${key}: write it on the rotor.`],
    })
  },
})
