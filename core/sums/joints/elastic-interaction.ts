import {
  interact,
  FILLINGS,
  JOINT_STIFFNESS,
  PATTERN_REASONS,
  CIRCLE_PATTERNS,
  type InteractionResult,
} from '../../joints/index.ts'
import { accept, refuse } from '../../result.ts'
import { holdAgainst } from '../../verdict.ts'
import { defineSum, line, say } from '../define.ts'
import { choice, fallback, flag, list, many, number, optional, whole } from '../fields.ts'
import { LOAD, FACTOR } from './shared.ts'

const PASSES = fallback(list('Passes, share of the target', '%', [1, 100], [1, 10]), [30, 60, 100])

export const elasticInteractionSum = defineSum({
  name: 'elastic-interaction',
  craft: 'joints',
  title: 'Orders compared',
  about: 'Pulling one bolt lets its neighbours go slack: preload left after each pass, order against order.',
  source: 'linear interaction model, loss a·0.35^(k − 1); to compare orders, not a measurement',
  cost: ({ bolts, passesPercent, patterns }) => bolts ** 2 * (passesPercent.length + 13) * patterns.length,
  fields: {
    bolts: whole('Bolts on the circle', [2, 200]),
    targetN: number('Preload aimed at', 'N', LOAD),
    joint: choice('In the joint', FILLINGS),
    passesPercent: PASSES,
    patterns: fallback(many('Orders', CIRCLE_PATTERNS), ['star', 'two opposite, then round', 'round']),
    ceilingN: optional(number('Preload ceiling', 'N', LOAD)),
    diameterMm: optional(number('Thread, for torques', 'mm', [1, 150])),
    nutFactor: fallback(number('Nut factor K', '1', FACTOR), 0.17),
    noCheckPasses: flag('Curing thread-locker, or tightened to yield: no check passes'),
  },
  example: {
    bolts: 12,
    targetN: 60000,
    joint: 'spiral or jacketed',
    passesPercent: [30, 60, 100],
    patterns: ['star', 'two opposite, then round', 'round'],
    ceilingN: 94000,
    diameterMm: 20,
    nutFactor: 0.17,
    noCheckPasses: false,
  },
  work: (
    { bolts, targetN, joint, passesPercent, patterns, ceilingN, diameterMm, nutFactor, noCheckPasses },
    progress,
  ) => {
    const chosen = [...new Set(patterns)]
    if (!chosen.length) return refuse('Choose at least one order.')
    const done: InteractionResult[] = []
    const left: string[] = []
    for (const [i, pattern] of chosen.entries()) {
      const result = interact(
        {
          pattern,
          bolts,
          targetN,
          passes: passesPercent.map(one => one / 100),
          loss: JOINT_STIFFNESS[joint],
          checkPasses: !noCheckPasses,
        },
        share => progress?.((i + share) / chosen.length),
      )
      if (result.ok) done.push(result.value)
      else if (chosen.length === 1 || !result.why.includes('shared out')) return result
      else left.push(result.why)
    }
    if (!done.length) return refuse(left[0] ?? 'No order fits.')
    const pulled = (one: InteractionResult) => one.after[passesPercent.length - 1]!
    const best = done.reduce((a, b) => (pulled(b).scatter < pulled(a).scatter ? b : a))
    const peak = (one: InteractionResult) => Math.max(...one.levelPullsN)
    return accept({
      figures: [
        {
          key: 'scatterPercent',
          what: `Scatter after the passes, ${best.pattern}`,
          value: pulled(best).scatter * 100,
          unit: '%',
          decimals: 1,
        },
        { key: 'bestPattern', what: 'Evenest after the passes', value: best.pattern },
        {
          key: 'levelPullN',
          what: 'Maximum pull to end level in one pass',
          value: peak(best),
          unit: 'N',
          decimals: 0,
          ...(ceilingN === undefined
            ? {}
            : {
                held: holdAgainst(peak(best), { max: ceilingN }, 'preload ceiling typed here', {
                  high: 'the first bolts would be overloaded before the last are tightened: use more passes',
                }),
              }),
        },
        ...(diameterMm === undefined
          ? []
          : [
              {
                key: 'levelTorqueNm',
                what: 'That pull as torque',
                value: (nutFactor * diameterMm * peak(best)) / 1000,
                unit: 'N·m',
                decimals: 0,
              },
            ]),
        ...(noCheckPasses
          ? []
          : [
              {
                key: 'checkPasses',
                what: `Check passes wanted, ${best.pattern}`,
                value: best.checkPasses ?? 'more than twelve',
                decimals: 0,
              },
            ]),
      ],
      working: [
        line(
          'Loss of a neighbour',
          'a·0.35^(k − 1)·ΔF',
          `a = ${JOINT_STIFFNESS[joint]}, ${joint}`,
          `${say(JOINT_STIFFNESS[joint] * 100, 0)} % next door`,
        ),
        ...done.map(one =>
          line(
            one.pattern,
            '(maximum − minimum)/mean',
            one.after.map(pass => `${pass.name}: ${say(pass.scatter * 100, 1)} %`).join('; '),
            one.checkPasses === null
              ? noCheckPasses
                ? 'no check passes'
                : 'twelve check passes do not settle it'
              : `${one.checkPasses} check passes`,
          ),
        ),
        ...done.map(one =>
          line(
            `Single pass, ${one.pattern}`,
            'each bolt pulled over by what later ones take',
            one.levelPullsN
              .map(
                (N, i) =>
                  `${i + 1}: ${diameterMm === undefined ? say(N / 1000, 1) : say((nutFactor * diameterMm * N) / 1000, 0)}`,
              )
              .join(', '),
            diameterMm === undefined ? 'kN' : 'N·m',
          ),
        ),
      ],
      schools: done.map(one => ({
        name: one.pattern[0]!.toUpperCase() + one.pattern.slice(1),
        gives: `scatter ${say(pulled(one).scatter * 100, 1)} % after the passes${noCheckPasses ? '' : `, then ${one.checkPasses ?? 'more than twelve'} check passes`}`,
        why: PATTERN_REASONS[one.pattern],
        chosen: one === best,
      })),
      notes: [
        'A model, to compare orders: no measurement of this joint. Scatter does not say whether the joint closes square: that is what a star is for.',
        ...left,
        ...(noCheckPasses ? ['No check pass on a curing thread-locker or on bolts tightened to yield.'] : []),
      ],
      more: { patterns: done },
    })
  },
})
