import {
  boltStrength,
  metricStressAreaMm2,
  readThread,
  torqueByFrictionNm,
  torqueFromPreloadNm,
  BOLT_CLASS_NAMES,
  NUT_FACTORS,
  PRELOAD_SCATTER,
  type Thread,
} from '../../joints/index.ts'
import { accept, refuse, type Result } from '../../result.ts'
import { defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, limitOf, number, oneWay, text, type Input } from '../fields.ts'
import { FACTOR, LOAD, LUBRICATIONS, METHODS, PROOF_SCHOOLS, proofFigures } from './shared.ts'

const fields = {
  thread: oneWay(text('Thread', 20, 'M16, M16x1.5, 1/2 UNC')),
  boltClass: oneWay(choice('Class', BOLT_CLASS_NAMES)),
  lubrication: oneWay(choice('Lubrication', LUBRICATIONS)),
  proofPercent: fallback(number('Share of proof', '%', [1, 100]), 75),
  preloadN: oneWay(number('Or a preload', 'N', LOAD)),
  nutFactor: oneWay(number('Or a nut factor K', '1', FACTOR)),
  method: limitOf(choice('Torqued by', METHODS), 'boltClass'),
  diameterMm: limitOf(number('Or a diameter', 'mm', [1, 150]), 'pitchMm'),
  pitchMm: limitOf(number('… with a pitch', 'mm', [0.2, 10]), 'diameterMm'),
  threadFriction: limitOf(number('Friction, thread', '1', FACTOR), 'headFriction', 'headMeanDiameterMm'),
  headFriction: limitOf(number('Friction, head', '1', FACTOR), 'threadFriction', 'headMeanDiameterMm'),
  headMeanDiameterMm: limitOf(number('Head, mean diameter', 'mm', [1, 300]), 'threadFriction', 'headFriction'),
}
type Bolt = Input<typeof fields>

/** The thread by its name, or by a diameter and pitch that no list has. */
function threadOf({ thread, diameterMm, pitchMm }: Bolt): Result<Omit<Thread, 'name'>> {
  if (thread !== undefined) {
    if (diameterMm !== undefined || pitchMm !== undefined)
      return refuse('Give the thread by its name, or by diameter and pitch, not both.')
    return readThread(thread)
  }
  if (diameterMm === undefined || pitchMm === undefined)
    return refuse('Still wanted: the thread, such as M16, M16x1.5 or 1/2 UNC.')
  if (pitchMm >= diameterMm / 2) return refuse('That pitch does not go with that thread. Check both.')
  return accept({
    system: 'metric',
    diameterMm,
    pitchMm,
    stressAreaMm2: metricStressAreaMm2(diameterMm, pitchMm),
  })
}

export const boltTorqueSum = defineSum({
  name: 'bolt-torque',
  craft: 'joints',
  title: 'Torque for a bolt',
  about: 'What to set the wrench to: by size, class and lubricant, or for a preload that is asked for.',
  source: 'T = K·d·F; VDI 2230 form for friction; ISO 898-1 stress area; nut factors are general figures',
  fields,
  example: { thread: 'M16', boltClass: '8.8', lubrication: 'oiled', proofPercent: 75, method: 'click wrench' },
  work: bolt => {
    const { boltClass, lubrication, proofPercent, threadFriction, headFriction, headMeanDiameterMm } = bolt
    const thread = threadOf(bolt)
    if (!thread.ok) return thread
    const { diameterMm, pitchMm, stressAreaMm2: area } = thread.value
    const strength = boltClass ? boltStrength(boltClass, thread.value) : null
    if (strength && !strength.ok) return strength
    const preloadN = bolt.preloadN ?? (strength ? (strength.value.mpa * area * proofPercent) / 100 : undefined)
    if (preloadN === undefined) return refuse('Still wanted: the class on the bolt’s head, or a preload.')
    const nutFactor = bolt.nutFactor ?? (lubrication ? NUT_FACTORS[lubrication] : undefined)
    if (nutFactor === undefined) return refuse('Still wanted: how the thread is lubricated, or a nut factor.')
    const byFactor = torqueFromPreloadNm(preloadN, diameterMm, nutFactor)
    if (!byFactor.ok) return byFactor
    const hasFriction = threadFriction !== undefined && headFriction !== undefined && headMeanDiameterMm !== undefined
    const byFriction = hasFriction
      ? torqueByFrictionNm(preloadN, { diameterMm, pitchMm, threadFriction, headFriction, headMeanDiameterMm })
      : null
    if (byFriction && !byFriction.ok) return byFriction
    return accept({
      main: 'torqueKNm',
      figures: [
        ...(strength ? proofFigures(preloadN, area, strength.value, bolt.method && PRELOAD_SCATTER[bolt.method]) : []),
        fig('torqueKNm', 'Torque by nut factor', byFactor.value, 'N·m', 1),
        ...(byFriction ? [fig('torqueFrictionNm', 'Torque by friction', byFriction.value, 'N·m', 1)] : []),
        fig('preloadN', 'Preload', preloadN, 'N', 0),
        fig('nutFactor', 'Nut factor', nutFactor, undefined, 2),
        fig('stressAreaMm2', 'Stress area, mm²', area, undefined, 1),
        fig('stressMPa', 'Stress', preloadN / area, 'MPa', 0),
      ],
      working: [
        line(
          'Stress area',
          'π/4·(d − 0.9382·P)²',
          `π/4·(${say(diameterMm)} − 0.9382·${say(pitchMm)})²`,
          `${say(area, 1)} mm²`,
        ),
        ...(bolt.preloadN === undefined && strength
          ? [
              line(
                'Preload',
                'share·σ·A',
                `${say(proofPercent, 0)} %·${say(strength.value.mpa, 0)}·${say(area, 1)}`,
                `${say(preloadN, 0)} N`,
              ),
            ]
          : []),
        line(
          'By nut factor',
          'K·d·F',
          `${say(nutFactor)}·${say(diameterMm)}·${say(preloadN, 0)}/1000`,
          `${say(byFactor.value, 1)} N·m`,
        ),
        ...(hasFriction && byFriction
          ? [
              line(
                'By friction',
                'F·(P/2π + µt·d2/(2·cos 30°) + µh·Dkm/2)',
                `${say(preloadN, 0)}·(${say(pitchMm)}/2π + ${say(threadFriction)}·${say(diameterMm - 0.64952 * pitchMm)}/1.732 + ${say(headFriction)}·${say(headMeanDiameterMm)}/2)/1000`,
                `${say(byFriction.value, 1)} N·m`,
              ),
            ]
          : []),
      ],
      schools: [
        {
          name: 'Nut factor',
          gives: `${say(byFactor.value, 1)} N·m`,
          why: 'one figure for the whole joint, from trials; knows nothing of the head or pitch',
        },
        ...(byFriction
          ? [
              {
                name: 'Friction',
                gives: `${say(byFriction.value, 1)} N·m`,
                why: 'thread and head apart: right when both are known',
              },
            ]
          : []),
        ...(strength ? PROOF_SCHOOLS : []),
      ],
      notes: [
        'The maker’s figure goes before this one. The lubricant is half the answer: another paste, another torque.',
      ],
    })
  },
})
