import { FIT_MATERIAL_NAMES, FIT_MATERIALS, shrinkFit, type FitMaterial } from '../../fits/index.ts'
import { holdAgainst } from '../../verdict.ts'
import { answering, defineSum, type Figure, line, say } from '../define.ts'
import { choice, fallback, number, optional } from '../fields.ts'
import { hold } from '../limits.ts'
import { SIZE, FRICTION, YIELD } from './shared.ts'

const grows = (material: FitMaterial) => say(FIT_MATERIALS[material].expansion, 1)

export const shrinkFitSum = defineSum({
  name: 'shrink-fit',
  craft: 'press',
  title: 'Hub shrunk on, from measured sizes',
  about: 'Grip, stress and torque cold, warm and turning, and the heat or cold to put it together.',
  source: 'Lamé; smoothing 0.8·(Rz + Rz) after DIN 7190-1; linear expansion; turning rings after Timoshenko',
  fields: {
    shaftLeastMm: number('Shaft, minimum', 'mm', SIZE),
    shaftGreatestMm: number('Shaft, maximum', 'mm', SIZE),
    hubLeastMm: number('Hub bore, minimum', 'mm', SIZE),
    hubGreatestMm: number('Hub bore, maximum', 'mm', SIZE),
    shaftBoreMm: fallback(number('Bore of the shaft', 'mm', [0, 3000]), 0),
    hubOutsideMm: number('Hub outside', 'mm', SIZE),
    lengthMm: number('Length', 'mm', SIZE),
    shaftOf: fallback(choice('Shaft is of', FIT_MATERIAL_NAMES), 'carbon steel'),
    hubOf: fallback(choice('Hub is of', FIT_MATERIAL_NAMES), 'carbon steel'),
    friction: fallback(FRICTION, 0.14),
    rzShaftUm: fallback(number('Roughness Rz, shaft', 'µm', [0, 100]), 4),
    rzHubUm: fallback(number('Roughness Rz, hub', 'µm', [0, 100]), 6),
    shaftRunningC: fallback(number('Shaft runs at', '°C', [-50, 400]), 20),
    hubRunningC: fallback(number('Hub runs at', '°C', [-50, 400]), 20),
    speedPerMin: fallback(number('Turns at', '1/min', [0, 200000]), 0),
    assemblyClearanceUm: fallback(number('Room to slide', 'µm', [0, 2000]), 40),
    ambientC: fallback(number('Workshop is at', '°C', [-30, 60]), 20),
    torqueNm: optional(number('Torque to carry', 'N·m', [0, 10000000])),
    hubYieldMPa: optional(number('Hub, yield', 'MPa', [10, 3000])),
    shaftYieldMPa: optional(number('Shaft, yield', 'MPa', [10, 3000])),
    mostHeatC: fallback(number('Maximum heat', '°C', [50, 600]), 250),
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
    speedPerMin: 2980,
    assemblyClearanceUm: 60,
    ambientC: 20,
    torqueNm: 1200,
    hubYieldMPa: 300,
    shaftYieldMPa: 350,
    mostHeatC: 250,
  },
  work: ({ torqueNm, hubYieldMPa, shaftYieldMPa, mostHeatC, ...fit }) =>
    answering(shrinkFit(fit), made => {
      const loosest = made.states.reduce((a, b) => (b.gripUm < a.gripUm ? b : a))
      const most = (key: 'hubEquivalentMPa' | 'innerHoopMPa') => made.states.reduce((a, b) => (b[key] > a[key] ? b : a))
      const stress = (
        key: 'hubEquivalentMPa' | 'innerHoopMPa',
        what: string,
        yieldMPa: number | undefined,
      ): Figure => ({
        key,
        what: `${what}, ${most(key).name}`,
        value: most(key)[key],
        unit: 'MPa',
        decimals: 0,
        ...(yieldMPa === undefined
          ? {}
          : { held: holdAgainst(most(key)[key], { max: yieldMPa }, 'yield typed here', YIELD) }),
      })
      const slips = { low: 'the hub slips on its shaft' }
      const warm = made.states.find(one => one.name === 'warm, at rest')
      const turning = made.states.find(one => one.name === 'cold, at speed')
      return {
        figures: [
          {
            key: 'runningTorqueNm',
            what: `Carries at its least, ${loosest.name}`,
            value: loosest.torqueNm,
            unit: 'N·m',
            decimals: 0,
            held:
              loosest.gripUm > 0
                ? hold(
                    loosest.torqueNm,
                    { min: torqueNm, best: torqueNm === undefined ? undefined : torqueNm * 2 },
                    slips,
                  )
                : holdAgainst(loosest.gripUm, { min: torqueNm ?? Number.MIN_VALUE }, 'some grip in every state', slips),
          },
          stress('hubEquivalentMPa', 'Stress at the hub’s bore', hubYieldMPa),
          stress('innerHoopMPa', fit.shaftBoreMm ? 'Stress at the shaft’s bore' : 'Stress in the shaft', shaftYieldMPa),
          {
            key: 'heatHubToC',
            what: 'Heat the hub to',
            value: made.heatHubToC,
            unit: '°C',
            decimals: 0,
            held: holdAgainst(
              made.heatHubToC,
              { max: mostHeatC, best: Math.min(20, mostHeatC - 1) },
              'maximum heat typed here',
              { high: 'too hot for its steel or its seals: cool the shaft as well, or use oil pressure' },
            ),
          },
          { key: 'coolShaftToC', what: 'Or cool the shaft to', value: made.coolShaftToC, unit: '°C', decimals: 0 },
          {
            key: 'heatWithDryIceToC',
            what: 'Or, the shaft in dry ice, the hub to',
            value: made.heatWithDryIceToC,
            unit: '°C',
            decimals: 0,
          },
          {
            key: 'runningGripUm',
            what: `Grip left, ${loosest.name}`,
            value: loosest.gripUm,
            unit: 'µm',
            decimals: 1,
          },
          { key: 'gripUm', what: 'Interference that grips, cold', value: made.gripUm, unit: 'µm', decimals: 1 },
          { key: 'strainUm', what: 'Interference that strains, cold', value: made.strainUm, unit: 'µm', decimals: 1 },
          {
            key: 'pressureMPa',
            what: 'Pressure, minimum grip',
            value: made.grip.pressureMPa,
            unit: 'MPa',
            decimals: 1,
          },
          { key: 'forceN', what: 'Force to pull off, most', value: made.strain.forceN, unit: 'N', decimals: 0 },
        ],
        working: [
          line(
            'Grip',
            'minimum shaft − maximum hub − 0.8·(Rz + Rz)',
            `(${say(fit.shaftLeastMm)} − ${say(fit.hubGreatestMm)})·1000 − 0.8·(${say(fit.rzShaftUm)} + ${say(fit.rzHubUm)})`,
            `${say(made.gripUm, 1)} µm`,
          ),
          line(
            'Strain',
            'maximum shaft − minimum hub',
            `(${say(fit.shaftGreatestMm)} − ${say(fit.hubLeastMm)})·1000`,
            `${say(made.strainUm, 1)} µm`,
          ),
          ...(warm
            ? [
                line(
                  'Warm',
                  'δ + d·(αs·(Ts − 20) − αh·(Th − 20))',
                  `${say(made.gripUm, 1)} + ${say(made.interfaceMm)}·(${grows(fit.shaftOf)}·${say(fit.shaftRunningC - 20)} − ${grows(fit.hubOf)}·${say(fit.hubRunningC - 20)})/1000`,
                  `${say(warm.gripUm, 1)} µm`,
                ),
              ]
            : []),
          ...(turning
            ? [
                line(
                  'At speed',
                  'δ − (growth of the hub’s bore − growth of the shaft), turning rings',
                  `${say(made.gripUm, 1)} − ${say(made.gripUm - turning.gripUm, 1)}`,
                  `${say(turning.gripUm, 1)} µm`,
                ),
              ]
            : []),
          ...made.states.map(one =>
            line(
              one.name[0]!.toUpperCase() + one.name.slice(1),
              'grip; torque; stress of hub; stress of shaft',
              `${say(one.gripUm, 1)} µm; ${say(one.torqueNm, 0)} N·m; ${say(one.hubEquivalentMPa, 0)} MPa; ${say(one.innerHoopMPa, 0)} MPa`,
              one.gripUm > 0 ? 'grips' : 'lets go',
            ),
          ),
          line(
            'Heat',
            'ambient + (δ + room)/(α·d)',
            `${say(fit.ambientC)} + (${say(made.strainUm, 1)} + ${say(fit.assemblyClearanceUm)})·1000/(${grows(fit.hubOf)}·${say(made.interfaceMm)})`,
            `${say(made.heatHubToC, 0)} °C`,
          ),
        ],
        notes: [
          'Hot and deep-cold parts burn: gloves and face shield; nobody before a part that may let go. Dry ice and nitrogen take the air away: only where it is aired.',
          ...(made.coolShaftToC === null
            ? ['No cold of a shop reaches: heat the hub, or heat it with the shaft in dry ice.']
            : []),
        ],
        more: { states: made.states },
      }
    }),
})
