import { FIT_MATERIAL_NAMES, pressFit, shrinkFit, taperAdvanceMm } from '../fits/index.ts'
import { holdAgainst } from '../verdict.ts'
import { answering, defineSum, line, say } from './define.ts'
import { choice, fallback, number, optional } from './fields.ts'
import { hold } from './limits.ts'

const SIZE = [0.5, 3000] as const
const E = [100, 1000000] as const
const FRICTION = number('Friction', '1', [0.001, 0.95])
const POISSON = [0, 0.499] as const
const YIELD = { high: 'the ring yields: it will not grip again, or it cracks' }

export const pressSums = [
  defineSum({
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
            'δ/(d·((D² + d²)/(D² − d²) + ν)/E + …)',
            `δ = ${say(fit.interferenceMm, 4)}, d = ${say(fit.interfaceMm)}, D = ${say(fit.outerMm)}, di = ${say(fit.innerBoreMm)}`,
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
            `σθ = ${say(p.hubHoopMPa, 1)}, p = ${say(p.pressureMPa, 1)}`,
            `${say(p.hubEquivalentMPa, 1)} MPa`,
          ),
        ],
        notes: ['A press fit let go at once can fly: keep the nut on a few threads.'],
      })),
  }),
  defineSum({
    name: 'shrink-fit',
    craft: 'press',
    title: 'Hub shrunk on, from measured sizes',
    about: 'Grip, stress, torque hot and running, and the heat or cold to put it together.',
    source: 'Lamé; smoothing 0.8·(Rz + Rz) after DIN 7190-1; linear expansion',
    fields: {
      shaftLeastMm: number('Shaft, least', 'mm', SIZE),
      shaftGreatestMm: number('Shaft, greatest', 'mm', SIZE),
      hubLeastMm: number('Hub bore, least', 'mm', SIZE),
      hubGreatestMm: number('Hub bore, greatest', 'mm', SIZE),
      shaftBoreMm: fallback(number('Bore of the shaft', 'mm', [0, 3000]), 0),
      hubOutsideMm: number('Hub outside', 'mm', SIZE),
      lengthMm: number('Length', 'mm', SIZE),
      shaftOf: fallback(choice('Shaft is of', FIT_MATERIAL_NAMES), 'carbon steel'),
      hubOf: fallback(choice('Hub is of', FIT_MATERIAL_NAMES), 'carbon steel'),
      friction: fallback(FRICTION, 0.14),
      rzShaftUm: fallback(number('Rz of the shaft', 'µm', [0, 100]), 4),
      rzHubUm: fallback(number('Rz of the hub', 'µm', [0, 100]), 6),
      shaftRunningC: fallback(number('Shaft runs at', '°C', [-50, 400]), 20),
      hubRunningC: fallback(number('Hub runs at', '°C', [-50, 400]), 20),
      assemblyClearanceUm: fallback(number('Room to slide', 'µm', [0, 2000]), 40),
      ambientC: fallback(number('Workshop is at', '°C', [-30, 60]), 20),
      torqueNm: optional(number('Torque to carry', 'N·m', [0, 10000000])),
      hubYieldMPa: optional(number('Hub, yield', 'MPa', [10, 3000])),
      mostHeatC: fallback(number('Greatest heat', '°C', [50, 600]), 250),
    },
    example: {
      shaftLeastMm: 80.058,
      shaftGreatestMm: 80.066,
      hubLeastMm: 80.004,
      hubGreatestMm: 80.012,
      shaftBoreMm: 0,
      hubOutsideMm: 150,
      lengthMm: 95,
      shaftOf: 'carbon steel',
      hubOf: 'carbon steel',
      friction: 0.14,
      rzShaftUm: 4,
      rzHubUm: 6,
      shaftRunningC: 45,
      hubRunningC: 60,
      assemblyClearanceUm: 60,
      ambientC: 20,
      torqueNm: 1200,
      hubYieldMPa: 300,
      mostHeatC: 250,
    },
    work: ({ torqueNm, hubYieldMPa, mostHeatC, ...fit }) =>
      answering(shrinkFit(fit), made => ({
        figures: [
          {
            key: 'runningTorqueNm',
            what: 'Carries when running',
            value: made.runningTorqueNm,
            unit: 'N·m',
            decimals: 0,
            held: hold(
              made.runningTorqueNm,
              { min: torqueNm, best: torqueNm === undefined ? undefined : torqueNm * 2 },
              { low: 'the hub slips on its shaft' },
            ),
          },
          {
            key: 'hubEquivalentMPa',
            what: 'Stress at the hub’s bore, most',
            value: made.strain.hubEquivalentMPa,
            unit: 'MPa',
            decimals: 0,
            ...(hubYieldMPa === undefined
              ? {}
              : { held: holdAgainst(made.strain.hubEquivalentMPa, { max: hubYieldMPa }, 'yield typed here', YIELD) }),
          },
          {
            key: 'heatHubToC',
            what: 'Heat the hub to',
            value: made.heatHubToC,
            unit: '°C',
            decimals: 0,
            held: holdAgainst(
              made.heatHubToC,
              { max: mostHeatC, best: Math.min(20, mostHeatC - 1) },
              'greatest heat typed here',
              { high: 'too hot for its steel or its seals: cool the shaft as well, or use oil pressure' },
            ),
          },
          { key: 'coolShaftToC', what: 'Or cool the shaft to', value: made.coolShaftToC, unit: '°C', decimals: 0 },
          { key: 'runningGripUm', what: 'Grip left when running', value: made.runningGripUm, unit: 'µm', decimals: 1 },
          { key: 'gripUm', what: 'Interference that grips', value: made.gripUm, unit: 'µm', decimals: 1 },
          { key: 'strainUm', what: 'Interference that strains', value: made.strainUm, unit: 'µm', decimals: 1 },
          { key: 'pressureMPa', what: 'Pressure, least grip', value: made.grip.pressureMPa, unit: 'MPa', decimals: 1 },
          { key: 'forceN', what: 'Force to pull off, most', value: made.strain.forceN, unit: 'N', decimals: 0 },
        ],
        working: [
          line(
            'Grip',
            'least shaft − greatest hub − 0.8·(Rz + Rz)',
            `(${say(fit.shaftLeastMm)} − ${say(fit.hubGreatestMm)})·1000 − 0.8·(${say(fit.rzShaftUm)} + ${say(fit.rzHubUm)})`,
            `${say(made.gripUm, 1)} µm`,
          ),
          line(
            'Strain',
            'greatest shaft − least hub',
            `(${say(fit.shaftGreatestMm)} − ${say(fit.hubLeastMm)})·1000`,
            `${say(made.strainUm, 1)} µm`,
          ),
          line(
            'Running grip',
            'δ + d·(αs·(Ts − 20) − αh·(Th − 20))',
            `${say(made.gripUm, 1)} + d·(…${say(fit.shaftRunningC)} °C, …${say(fit.hubRunningC)} °C)`,
            `${say(made.runningGripUm, 1)} µm`,
          ),
          line(
            'Heat',
            'ambient + (δ + room)/(α·d)',
            `${say(fit.ambientC)} + (${say(made.strainUm, 1)} + ${say(fit.assemblyClearanceUm)})/(α·d)`,
            `${say(made.heatHubToC, 0)} °C`,
          ),
        ],
        notes: [
          'Hot and deep-cold parts burn: gloves and face shield; nobody before a part that may let go.',
          ...(made.coolShaftToC < -196 ? ['Cold alone does not reach: heat the hub as well.'] : []),
        ],
      })),
  }),
  defineSum({
    name: 'taper-advance',
    craft: 'press',
    title: 'Hub on a taper',
    about: 'How far a tapered hub advances for the interference wanted.',
    source: 'advance = δ·x on a taper of 1 in x',
    fields: {
      interferenceMm: number('Interference wanted', 'mm', [0.0001, 1]),
      oneIn: number('Taper 1 in', '1', [4, 100]),
      advancedMm: optional(number('Advanced so far', 'mm', [0, 100])),
      contactPercent: optional(number('Contact by blue', '%', [0, 100])),
      minContactPercent: optional(number('Least contact', '%', [0, 100])),
    },
    example: { interferenceMm: 0.06, oneIn: 16, advancedMm: 0.9, contactPercent: 80, minContactPercent: 70 },
    work: ({ interferenceMm, oneIn, advancedMm, contactPercent, minContactPercent }) =>
      answering(taperAdvanceMm(interferenceMm, oneIn), advance => ({
        figures: [
          ...(advancedMm === undefined
            ? []
            : [
                {
                  key: 'advancedMm',
                  what: 'Advanced',
                  value: advancedMm,
                  unit: 'mm',
                  decimals: 2,
                  held: holdAgainst(
                    advancedMm,
                    { min: 0.9 * advance, max: 1.1 * advance },
                    'a tenth either side of the advance wanted',
                    { low: 'too little grip: it may turn on the key', high: 'the hub may split' },
                  ),
                },
              ]),
          ...(contactPercent === undefined
            ? []
            : [
                {
                  key: 'contactPercent',
                  what: 'Contact',
                  value: contactPercent,
                  unit: '%',
                  decimals: 0,
                  held: hold(
                    contactPercent,
                    { min: minContactPercent, best: minContactPercent === undefined ? undefined : 100 },
                    { low: 'it grips at one end only: lap it before it is fitted' },
                  ),
                },
              ]),
          { key: 'advanceMm', what: 'Advance from firm contact', value: advance, unit: 'mm', decimals: 2 },
        ],
        working: [line('Advance', 'δ·x', `${say(interferenceMm, 4)}·${say(oneIn)}`, `${say(advance, 3)} mm`)],
        notes: [
          'Blue it before fitting. No lubricant on a taper unless the maker says so. For removal keep the nut on a few threads: a taper lets go at once.',
        ],
      })),
  }),
]
