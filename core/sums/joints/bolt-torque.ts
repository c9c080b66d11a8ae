import {
  boltStrength,
  metricStressAreaMm2,
  torqueByFrictionNm,
  torqueFromPreloadNm,
  BOLT_CLASS_NAMES,
  PRELOAD_SCATTER,
} from '../../joints/index.ts'
import { refuse } from '../../result.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, limitOf, number, optional } from '../fields.ts'
import { LOAD, FACTOR, METHODS, PROOF_SCHOOLS, proofFigures } from './shared.ts'

export const boltTorqueSum = defineSum({
  name: 'bolt-torque',
  craft: 'joints',
  title: 'Torque for a preload',
  about: 'Torque by nut factor and by friction, for a metric thread given by its size and pitch.',
  source: 'T = K·d·F; VDI 2230 form for friction; ISO 898-1 stress area',
  fields: {
    diameterMm: number('Thread', 'mm', [1, 150]),
    pitchMm: number('Pitch', 'mm', [0.2, 10]),
    preloadN: number('Preload', 'N', LOAD),
    nutFactor: number('Nut factor K', '1', FACTOR),
    threadFriction: number('Friction, thread', '1', FACTOR),
    headFriction: number('Friction, head', '1', FACTOR),
    headMeanDiameterMm: number('Head, mean diameter', 'mm', [1, 300]),
    boltClass: optional(choice('Class', BOLT_CLASS_NAMES)),
    method: limitOf(choice('Pulled by', METHODS), 'boltClass'),
  },
  example: {
    diameterMm: 16,
    pitchMm: 2,
    preloadN: 55000,
    nutFactor: 0.17,
    threadFriction: 0.14,
    headFriction: 0.14,
    headMeanDiameterMm: 20.8,
    boltClass: '8.8',
    method: 'click wrench',
  },
  work: bolt => {
    if (bolt.pitchMm >= bolt.diameterMm / 2) return refuse('That pitch does not go with that thread. Check both.')
    const byFactor = torqueFromPreloadNm(bolt.preloadN, bolt.diameterMm, bolt.nutFactor)
    if (!byFactor.ok) return byFactor
    const area = metricStressAreaMm2(bolt.diameterMm, bolt.pitchMm)
    const strength = bolt.boltClass
      ? boltStrength(bolt.boltClass, { system: 'metric', diameterMm: bolt.diameterMm })
      : null
    if (strength && !strength.ok) return strength
    return answering(torqueByFrictionNm(bolt.preloadN, bolt), byFriction => ({
      figures: [
        { key: 'torqueKNm', what: 'Torque by nut factor', value: byFactor.value, unit: 'N·m', decimals: 1 },
        { key: 'torqueFrictionNm', what: 'Torque by friction', value: byFriction, unit: 'N·m', decimals: 1 },
        { key: 'stressAreaMm2', what: 'Stress area, mm²', value: area, decimals: 1 },
        { key: 'stressMPa', what: 'Stress', value: bolt.preloadN / area, unit: 'MPa', decimals: 0 },
        ...(strength?.ok
          ? proofFigures(bolt.preloadN, area, strength.value, bolt.method && PRELOAD_SCATTER[bolt.method])
          : []),
      ],
      working: [
        line(
          'By nut factor',
          'K·d·F',
          `${say(bolt.nutFactor)}·${say(bolt.diameterMm)}·${say(bolt.preloadN, 0)}/1000`,
          `${say(byFactor.value, 1)} N·m`,
        ),
        line(
          'By friction',
          'F·(P/2π + µt·d2/(2·cos 30°) + µh·Dkm/2)',
          `${say(bolt.preloadN, 0)}·(${say(bolt.pitchMm)}/2π + ${say(bolt.threadFriction)}·${say(bolt.diameterMm - 0.64952 * bolt.pitchMm)}/1.732 + ${say(bolt.headFriction)}·${say(bolt.headMeanDiameterMm)}/2)/1000`,
          `${say(byFriction, 1)} N·m`,
        ),
        line(
          'Stress area',
          'π/4·(d − 0.9382·P)²',
          `π/4·(${say(bolt.diameterMm)} − 0.9382·${say(bolt.pitchMm)})²`,
          `${say(area, 1)} mm²`,
        ),
      ],
      schools: [
        {
          name: 'Nut factor',
          gives: `${say(byFactor.value, 1)} N·m`,
          why: 'one figure for the whole joint, from trials; knows nothing of the head or pitch',
        },
        {
          name: 'Friction',
          gives: `${say(byFriction, 1)} N·m`,
          why: 'thread and head apart: right when both are known',
        },
        ...(strength ? PROOF_SCHOOLS : []),
      ],
    }))
  },
})
