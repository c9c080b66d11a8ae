import { pressFit, type PressFit } from '../../fits/index.ts'
import { holdAgainst } from '../../verdict.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { fallback, number, optional } from '../fields.ts'
import { SIZE, FRICTION, YIELD } from './shared.ts'

const E = [100, 1000000] as const
const POISSON = [0, 0.499] as const

/** The pressure's formula with this fit's own figures put in. */
function pressureWithNumbers(fit: PressFit): string {
  const [δ, d, D, di] = [say(fit.interferenceMm, 4), say(fit.interfaceMm), say(fit.outerMm), say(fit.innerBoreMm)]
  const hub = `((${D}² + ${d}²)/(${D}² − ${d}²) + ${say(fit.outerPoisson)})/${say(fit.outerEMPa, 0)}`
  const shaft = `((${d}² + ${di}²)/(${d}² − ${di}²) − ${say(fit.innerPoisson)})/${say(fit.innerEMPa, 0)}`
  return `${δ}/(${d}·(${hub} + ${shaft}))`
}

export const pressFitSum = defineSum({
  name: 'press-fit',
  craft: 'press',
  title: 'Two rings pressed together',
  about: 'Pressure, force, torque and stress from an interference, both rings elastic.',
  source: 'Lamé, thick-walled cylinders in plane stress; von Mises at the hub’s bore',
  fields: {
    interferenceMm: number('Interference, on diameter', 'mm', [0, 5]),
    interfaceMm: number('Fitted diameter', 'mm', SIZE),
    innerBoreMm: number('Bore of the shaft', 'mm', [0, 3000], '0 when it is solid'),
    outerMm: number('Hub outside', 'mm', SIZE),
    lengthMm: number('Length', 'mm', SIZE),
    innerEMPa: fallback(number('Shaft, modulus', 'MPa', E), 210000),
    innerPoisson: fallback(number('Shaft, Poisson', '1', POISSON), 0.3),
    outerEMPa: fallback(number('Hub, modulus', 'MPa', E), 210000),
    outerPoisson: fallback(number('Hub, Poisson', '1', POISSON), 0.3),
    friction: fallback(FRICTION, 0.12),
    hubYieldMPa: optional(number('Hub, yield', 'MPa', [10, 3000])),
    shaftYieldMPa: optional(number('Shaft, yield', 'MPa', [10, 3000])),
  },
  example: {
    interferenceMm: 0.06,
    interfaceMm: 60,
    innerBoreMm: 0,
    outerMm: 110,
    lengthMm: 70,
    innerEMPa: 210000,
    innerPoisson: 0.3,
    outerEMPa: 210000,
    outerPoisson: 0.3,
    friction: 0.12,
    hubYieldMPa: 300,
    shaftYieldMPa: 350,
  },
  work: ({ hubYieldMPa, shaftYieldMPa, ...fit }) =>
    answering(pressFit(fit), p => ({
      figures: [
        { key: 'pressureMPa', what: 'Pressure', value: p.pressureMPa, unit: 'MPa', decimals: 1 },
        { key: 'forceN', what: 'Force to press on, to pull off', value: p.forceN, unit: 'N', decimals: 0 },
        { key: 'torqueNm', what: 'Friction carries', value: p.torqueNm, unit: 'N·m', decimals: 0 },
        {
          key: 'hubEquivalentMPa',
          what: 'Stress at the hub’s bore',
          value: p.hubEquivalentMPa,
          unit: 'MPa',
          decimals: 0,
          ...(hubYieldMPa === undefined
            ? {}
            : { held: holdAgainst(p.hubEquivalentMPa, { max: hubYieldMPa }, 'yield typed here', YIELD) }),
        },
        {
          key: 'innerHoopMPa',
          what: 'Stress at the shaft’s bore',
          value: p.innerHoopMPa,
          unit: 'MPa',
          decimals: 0,
          ...(shaftYieldMPa === undefined
            ? {}
            : { held: holdAgainst(p.innerHoopMPa, { max: shaftYieldMPa }, 'yield typed here', YIELD) }),
        },
        { key: 'hubHoopMPa', what: 'Hoop stress, hub’s bore', value: p.hubHoopMPa, unit: 'MPa', decimals: 1 },
        { key: 'boreClosureMm', what: 'Shaft’s bore closes by', value: p.boreClosureMm, unit: 'mm', decimals: 4 },
        { key: 'outerGrowthMm', what: 'Hub grows by', value: p.outerGrowthMm, unit: 'mm', decimals: 4 },
      ],
      working: [
        line(
          'Pressure',
          'δ/(d·(((D² + d²)/(D² − d²) + νh)/Eh + ((d² + di²)/(d² − di²) − νs)/Es))',
          pressureWithNumbers(fit),
          `${say(p.pressureMPa, 2)} MPa`,
        ),
        line(
          'Force',
          'µ·p·π·d·L',
          `${say(fit.friction)}·${say(p.pressureMPa, 2)}·π·${say(fit.interfaceMm)}·${say(fit.lengthMm)}`,
          `${say(p.forceN, 0)} N`,
        ),
        line('Torque', 'F·d/2', `${say(p.forceN, 0)}·${say(fit.interfaceMm)}/2000`, `${say(p.torqueNm, 1)} N·m`),
        line(
          'Stress',
          '√(σθ² + σθ·p + p²)',
          `√(${say(p.hubHoopMPa, 1)}² + ${say(p.hubHoopMPa, 1)}·${say(p.pressureMPa, 1)} + ${say(p.pressureMPa, 1)}²)`,
          `${say(p.hubEquivalentMPa, 1)} MPa`,
        ),
      ],
      notes: ['A press fit let go at once can fly: keep the nut on a few threads.'],
    })),
})
