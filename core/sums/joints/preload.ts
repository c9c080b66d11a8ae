import {
  boltStrength,
  preloadByFrictionN,
  preloadFromTorqueN,
  readThread,
  BOLT_CLASS_NAMES,
  NUT_FACTORS,
  PRELOAD_SCATTER,
  type Thread,
} from '../../joints/index.ts'
import { refuse, type Result } from '../../result.ts'
import { answering, defineSum, line, say } from '../define.ts'
import { choice, fallback, limitOf, number, optional, text } from '../fields.ts'
import { TORQUE, FACTOR, LUBRICATIONS, METHODS, PROOF_SCHOOLS, proofFigures } from './shared.ts'

interface Friction {
  threadFriction?: number
  headFriction?: number
  headMeanDiameterMm?: number
}
/** The load by friction in thread and under the head, where all three figures are given; null where not. */
function frictionLoad(
  { threadFriction, headFriction, headMeanDiameterMm }: Friction,
  torqueNm: number,
  { diameterMm, pitchMm }: Thread,
): Result<number> | null {
  if (threadFriction === undefined || headFriction === undefined || headMeanDiameterMm === undefined) return null
  return preloadByFrictionN(torqueNm, { diameterMm, pitchMm, threadFriction, headFriction, headMeanDiameterMm })
}

function frictionWithNumbers(
  { threadFriction = 0, headFriction = 0, headMeanDiameterMm = 0 }: Friction,
  torqueNm: number,
  { diameterMm, pitchMm }: Thread,
): string {
  const thread = `${say(threadFriction)}·${say(diameterMm - 0.64952 * pitchMm)}/1.732`
  return `${say(torqueNm, 1)}·1000/(${say(pitchMm)}/2π + ${thread} + ${say(headFriction)}·${say(headMeanDiameterMm)}/2)`
}

export const preloadSum = defineSum({
  name: 'preload',
  craft: 'joints',
  title: 'Preload from a torque',
  about: 'What a torque really leaves in the bolt, with the scatter of the way it is tightened.',
  source: 'F = T/(K·d); ISO 898-1, ISO 3506-1, SAE J429, ASTM A193 for strength; scatter after general practice',
  fields: {
    thread: text('Thread', 20, 'M16, M16x1.5, 1/2 UNC'),
    boltClass: choice('Class', BOLT_CLASS_NAMES),
    torqueNm: number('Torque', 'N·m', TORQUE),
    lubrication: choice('Lubrication', LUBRICATIONS),
    nutFactor: optional(number('Or a nut factor K', '1', FACTOR)),
    method: choice('Torqued by', METHODS),
    prevailingNm: fallback(number('Prevailing torque', 'N·m', [0, 1000]), 0),
    threadFriction: limitOf(number('Friction, thread', '1', FACTOR), 'headFriction', 'headMeanDiameterMm'),
    headFriction: limitOf(number('Friction, head', '1', FACTOR), 'threadFriction', 'headMeanDiameterMm'),
    headMeanDiameterMm: limitOf(number('Head, mean diameter', 'mm', [1, 300]), 'threadFriction', 'headFriction'),
  },
  example: {
    thread: 'M16',
    boltClass: '8.8',
    torqueNm: 120,
    lubrication: 'dry',
    method: 'click wrench',
    prevailingNm: 0,
    threadFriction: 0.2,
    headFriction: 0.18,
    headMeanDiameterMm: 20.8,
  },
  work: ({ thread, boltClass, torqueNm, lubrication, nutFactor, method, prevailingNm, ...friction }) => {
    const read = readThread(thread)
    if (!read.ok) return read
    const strength = boltStrength(boltClass, read.value)
    if (!strength.ok) return strength
    if (prevailingNm >= torqueNm)
      return refuse('The prevailing torque uses up the whole torque: nothing is left for preload.')
    const { diameterMm, stressAreaMm2 } = read.value
    const factor = nutFactor ?? NUT_FACTORS[lubrication]
    const scatter = PRELOAD_SCATTER[method]
    const byFriction = frictionLoad(friction, torqueNm - prevailingNm, read.value)
    if (byFriction && !byFriction.ok) return byFriction
    const loadAt = (k: number) => preloadFromTorqueN(torqueNm - prevailingNm, diameterMm, k)
    const ofProof = (N: number) => (N / stressAreaMm2 / strength.value.mpa) * 100
    return answering(loadAt(factor), preloadN => {
      return {
        figures: [
          ...proofFigures(preloadN, stressAreaMm2, strength.value, scatter),
          { key: 'preloadN', what: 'Preload', value: preloadN, unit: 'N', decimals: 0 },
          { key: 'preloadLeastN', what: 'Preload, minimum', value: preloadN * (1 - scatter), unit: 'N', decimals: 0 },
          { key: 'preloadMostN', what: 'Preload, most', value: preloadN * (1 + scatter), unit: 'N', decimals: 0 },
          ...(byFriction
            ? [
                {
                  key: 'preloadFrictionN',
                  what: 'Preload by friction',
                  value: byFriction.value,
                  unit: 'N',
                  decimals: 0,
                },
              ]
            : []),
          { key: 'stressAreaMm2', what: 'Stress area, mm²', value: stressAreaMm2, decimals: 1 },
          {
            key: 'proofMPa',
            what: `${strength.value.what[0]!.toUpperCase()}${strength.value.what.slice(1)}`,
            value: strength.value.mpa,
            unit: 'MPa',
            decimals: 0,
          },
        ],
        working: [
          line(
            'Preload',
            '(T − prevailing)/(K·d)',
            `(${say(torqueNm, 1)} − ${say(prevailingNm, 1)})·1000/(${say(factor)}·${say(diameterMm)})`,
            `${say(preloadN, 0)} N`,
          ),
          ...(byFriction
            ? [
                line(
                  'By friction',
                  'T/(P/2π + µt·d2/(2·cos 30°) + µh·Dkm/2)',
                  frictionWithNumbers(friction, torqueNm - prevailingNm, read.value),
                  `${say(byFriction.value, 0)} N`,
                ),
              ]
            : []),
          line(
            'With scatter',
            'F·(1 + s)',
            `${say(preloadN, 0)}·(1 + ${say(scatter)})`,
            `${say(preloadN * (1 + scatter), 0)} N`,
          ),
          line(
            'Of proof',
            'F/(A·σ), nominal and at the top of the scatter',
            `${say(preloadN, 0)} and ${say(preloadN * (1 + scatter), 0)}/(${say(stressAreaMm2, 1)}·${say(strength.value.mpa, 0)})`,
            `${say(ofProof(preloadN), 0)} and ${say(ofProof(preloadN * (1 + scatter)), 0)} %`,
          ),
        ],
        schools: [
          ...LUBRICATIONS.map(one => {
            const load = loadAt(NUT_FACTORS[one])
            return {
              name: one[0]!.toUpperCase() + one.slice(1),
              gives: load.ok ? `${say(load.value / 1000, 1)} kN at this torque` : '',
              why: `K = ${NUT_FACTORS[one]}`,
              chosen: one === lubrication && nutFactor === undefined,
            }
          }),
          ...PROOF_SCHOOLS,
        ],
        notes: [
          'At one torque, paste instead of a dry thread adds half as much load again. Change the torque when the lubricant changes.',
        ],
        reading: { row: 'figure', tries: [[torqueNm]] },
      }
    })
  },
})
