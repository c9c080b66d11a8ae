import {
  boltCount,
  boltOrder,
  boltPoints,
  boltStrength,
  interact,
  metricStressAreaMm2,
  outwardsOn,
  preloadFromTorqueN,
  readThread,
  settingWithExtension,
  torqueByFrictionNm,
  torqueFromPreloadNm,
  BOLT_CLASS_NAMES,
  FILLINGS,
  JOINT_STIFFNESS,
  MOST_OF_PROOF,
  NUT_FACTORS,
  PATTERN_REASONS,
  PATTERNS,
  PRELOAD_SCATTER,
  type BoltLayout,
  type InteractionResult,
  type Lubrication,
} from '../joints/index.ts'
import { accept, refuse } from '../result.ts'
import { holdAgainst } from '../verdict.ts'
import { answering, defineSum, line, say, type Figure } from './define.ts'
import { choice, fallback, flag, list, many, number, only, optional, text, whole } from './fields.ts'

const LUBRICATIONS = Object.keys(NUT_FACTORS) as [Lubrication, ...Lubrication[]]
const METHODS = Object.keys(PRELOAD_SCATTER) as [keyof typeof PRELOAD_SCATTER, ...(keyof typeof PRELOAD_SCATTER)[]]
const TORQUE = [0.01, 100000] as const
const LOAD = [1, 20000000] as const
const FACTOR = [0.02, 0.6] as const
const PASSES = fallback(list('Passes, share of the target', '%', [1, 100], [1, 10]), [30, 60, 100])

const againstProof = (preloadN: number, scatter: number, proofN: number, standard: string): Figure['held'] =>
  holdAgainst(
    ((preloadN * (1 + scatter)) / proofN) * 100,
    { max: MOST_OF_PROOF * 100 },
    `75 % of what ${standard} gives, scatter counted in`,
    { high: 'the bolt may yield where friction is kind: it lets go later, without a sign' },
  )

export const jointSums = [
  defineSum({
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
    },
    work: bolt => {
      if (bolt.pitchMm >= bolt.diameterMm / 2) return refuse('That pitch does not go with that thread. Check both.')
      const byFactor = torqueFromPreloadNm(bolt.preloadN, bolt.diameterMm, bolt.nutFactor)
      if (!byFactor.ok) return byFactor
      const area = metricStressAreaMm2(bolt.diameterMm, bolt.pitchMm)
      const strength = bolt.boltClass ? boltStrength(bolt.boltClass, bolt.diameterMm) : null
      if (strength && !strength.ok) return strength
      return answering(torqueByFrictionNm(bolt.preloadN, bolt), byFriction => ({
        figures: [
          { key: 'torqueKNm', what: 'Torque by nut factor', value: byFactor.value, unit: 'N·m', decimals: 1 },
          { key: 'torqueFrictionNm', what: 'Torque by friction', value: byFriction, unit: 'N·m', decimals: 1 },
          { key: 'stressAreaMm2', what: 'Stress area, mm²', value: area, decimals: 1 },
          { key: 'stressMPa', what: 'Stress', value: bolt.preloadN / area, unit: 'MPa', decimals: 0 },
          ...(strength?.ok
            ? [
                {
                  key: 'proofPercent',
                  what: 'Of proof',
                  value: (bolt.preloadN / area / strength.value.mpa) * 100,
                  unit: '%',
                  decimals: 0,
                  held: againstProof(bolt.preloadN, 0, area * strength.value.mpa, strength.value.standard),
                },
              ]
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
        ],
      }))
    },
  }),
  defineSum({
    name: 'preload',
    craft: 'joints',
    title: 'Preload from a torque',
    about: 'What a torque really leaves in the bolt, with the scatter of the way it is pulled.',
    source: 'F = T/(K·d); ISO 898-1, ISO 3506-1, SAE J429, ASTM A193 for strength; scatter after general practice',
    fields: {
      thread: text('Thread', 20, 'M16, M16x1.5, 1/2 UNC'),
      boltClass: choice('Class', BOLT_CLASS_NAMES),
      torqueNm: number('Torque', 'N·m', TORQUE),
      lubrication: choice('Lubrication', LUBRICATIONS),
      nutFactor: optional(number('Or a nut factor K', '1', FACTOR)),
      method: choice('Pulled by', METHODS),
      prevailingNm: fallback(number('Prevailing torque', 'N·m', [0, 1000]), 0),
    },
    example: {
      thread: 'M16',
      boltClass: '8.8',
      torqueNm: 120,
      lubrication: 'dry',
      method: 'click wrench',
      prevailingNm: 0,
    },
    work: ({ thread, boltClass, torqueNm, lubrication, nutFactor, method, prevailingNm }) => {
      const read = readThread(thread)
      if (!read.ok) return read
      const strength = boltStrength(boltClass, read.value.diameterMm)
      if (!strength.ok) return strength
      if (prevailingNm >= torqueNm)
        return refuse('The prevailing torque uses up the whole torque: nothing is left for preload.')
      const { diameterMm, stressAreaMm2 } = read.value
      const factor = nutFactor ?? NUT_FACTORS[lubrication]
      const scatter = PRELOAD_SCATTER[method]
      const loadAt = (k: number) => preloadFromTorqueN(torqueNm - prevailingNm, diameterMm, k)
      return answering(loadAt(factor), preloadN => {
        const proofN = stressAreaMm2 * strength.value.mpa
        return {
          figures: [
            {
              key: 'proofPercent',
              what: 'Of proof, scatter counted in',
              value: ((preloadN * (1 + scatter)) / proofN) * 100,
              unit: '%',
              decimals: 0,
              held: againstProof(preloadN, scatter, proofN, strength.value.standard),
            },
            { key: 'preloadN', what: 'Preload', value: preloadN, unit: 'N', decimals: 0 },
            { key: 'preloadLeastN', what: 'Preload, least', value: preloadN * (1 - scatter), unit: 'N', decimals: 0 },
            { key: 'preloadMostN', what: 'Preload, most', value: preloadN * (1 + scatter), unit: 'N', decimals: 0 },
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
            line(
              'With scatter',
              'F·(1 + s)',
              `${say(preloadN, 0)}·(1 + ${say(scatter)})`,
              `${say(preloadN * (1 + scatter), 0)} N`,
            ),
            line(
              'Of proof',
              'F/(A·σ)',
              `${say(preloadN * (1 + scatter), 0)}/(${say(stressAreaMm2, 1)}·${say(strength.value.mpa, 0)})`,
              `${say(((preloadN * (1 + scatter)) / proofN) * 100, 0)} %`,
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
          ],
          notes: [
            'At one torque, paste instead of a dry thread adds half as much load again. Change the torque when the lubricant changes.',
          ],
          reading: { kind: 'single', tries: [[torqueNm]] },
        }
      })
    },
  }),
  defineSum({
    name: 'thread',
    craft: 'joints',
    title: 'Thread and strength',
    about: 'Pitch, stress area and what a bolt of a class may be loaded against.',
    source: 'ISO 261, ISO 898-1, ISO 3506-1, ASME B1.1, SAE J429, ASTM A193',
    fields: { thread: text('Thread', 20, 'M16, M16x1.5, 1/2 UNC'), boltClass: choice('Class', BOLT_CLASS_NAMES) },
    example: { thread: 'M20', boltClass: '8.8' },
    work: ({ thread, boltClass }) => {
      const read = readThread(thread)
      if (!read.ok) return read
      return answering(boltStrength(boltClass, read.value.diameterMm), ({ mpa, what, standard }) => ({
        figures: [
          {
            key: 'proofLoadN',
            what: 'Load at that stress',
            value: mpa * read.value.stressAreaMm2,
            unit: 'N',
            decimals: 0,
          },
          { key: 'pitchMm', what: 'Pitch', value: read.value.pitchMm, unit: 'mm', decimals: 3 },
          { key: 'stressAreaMm2', what: 'Stress area, mm²', value: read.value.stressAreaMm2, decimals: 1 },
          {
            key: 'strengthMPa',
            what: `${what[0]!.toUpperCase()}${what.slice(1)}`,
            value: mpa,
            unit: 'MPa',
            decimals: 0,
          },
          { key: 'name', what: 'Thread', value: read.value.name },
        ],
        working: [
          line(
            'Load',
            'A·σ',
            `${say(read.value.stressAreaMm2, 1)}·${say(mpa, 0)}`,
            `${say(mpa * read.value.stressAreaMm2, 0)} N`,
          ),
        ],
        notes: [`${what} by ${standard}.`],
      }))
    },
  }),
  defineSum({
    name: 'wrench-extension',
    craft: 'joints',
    title: 'Wrench with an extension',
    about: 'What to set when an extension lengthens the wrench.',
    source: 'levers: T·L/(L + E)',
    fields: {
      torqueNm: number('Torque wanted', 'N·m', TORQUE),
      wrenchMm: number('Wrench, square to grip', 'mm', [20, 5000]),
      extensionMm: number('Extension in line', 'mm', [0, 5000]),
    },
    example: { torqueNm: 170, wrenchMm: 450, extensionMm: 120 },
    work: ({ torqueNm, wrenchMm, extensionMm }) =>
      answering(settingWithExtension(torqueNm, wrenchMm, extensionMm), set => ({
        figures: [{ key: 'settingNm', what: 'Set the wrench to', value: set, unit: 'N·m', decimals: 1 }],
        working: [
          line(
            'Setting',
            'T·L/(L + E)',
            `${say(torqueNm, 1)}·${say(wrenchMm)}/(${say(wrenchMm)} + ${say(extensionMm)})`,
            `${say(set, 1)} N·m`,
          ),
        ],
        notes: ['In line only. An extension at right angles changes nothing.'],
        reading: { kind: 'single', tries: [[set]] },
      })),
  }),
  defineSum({
    name: 'bolt-order',
    craft: 'joints',
    title: 'Order of the bolts',
    about: 'The order of a pass on a circle, round a rectangle or along a split line, each with its reason.',
    source: 'flange and cover practice',
    fields: {
      layout: choice('Bolts stand', ['on a circle', 'round a rectangle', 'along a split line']),
      bolts: only(whole('Bolts on the circle', [2, 200]), 'layout', 'on a circle'),
      along: only(
        whole('Along one side', [2, 50], 'corners counted; a row of a split line'),
        'layout',
        'round a rectangle',
        'along a split line',
      ),
      across: only(whole('Across', [2, 50], 'corners counted'), 'layout', 'round a rectangle'),
      pattern: choice('Order', PATTERNS),
    },
    example: { layout: 'on a circle', bolts: 12, pattern: 'star' },
    work: ({ layout, bolts, along, across, pattern }) => {
      if (layout === 'on a circle' && bolts === undefined) return refuse('Say how many bolts stand on the circle.')
      if (layout !== 'on a circle' && (along === undefined || (layout === 'round a rectangle' && across === undefined)))
        return refuse('Say how many bolts a side has, corners counted.')
      const place: BoltLayout =
        layout === 'on a circle'
          ? { kind: 'circle', bolts: bolts! }
          : layout === 'round a rectangle'
            ? { kind: 'rectangle', along: along!, across: across! }
            : { kind: 'split line', aSide: along! }
      const ordered =
        place.kind !== 'circle' && pattern === 'middle outwards'
          ? outwardsOn(place)
          : boltOrder(pattern, boltCount(place))
      return answering(ordered, order => ({
        figures: [
          { key: 'bolts', what: 'Bolts', value: order.length, decimals: 0 },
          { key: 'first', what: 'Starts with', value: order.slice(0, 4).join(', ') },
        ],
        working: [line('Order', pattern, PATTERN_REASONS[pattern], order.join(' '))],
        more: { order, points: boltPoints(place) },
        schools: PATTERNS.flatMap(one => {
          const other =
            place.kind !== 'circle' && one === 'middle outwards' ? outwardsOn(place) : boltOrder(one, boltCount(place))
          return other.ok
            ? [
                {
                  name: one[0]!.toUpperCase() + one.slice(1),
                  gives: `${other.value.slice(0, 8).join(' ')}${other.value.length > 8 ? ' …' : ''}`,
                  why: PATTERN_REASONS[one],
                  chosen: one === pattern,
                },
              ]
            : []
        }),
      }))
    },
  }),
  defineSum({
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
      patterns: fallback(many('Orders', PATTERNS), ['star', 'two opposite, then round', 'round']),
      ceilingN: optional(number('Preload ceiling', 'N', LOAD)),
      diameterMm: optional(number('Thread, for torques', 'mm', [1, 150])),
      nutFactor: fallback(number('Nut factor K', '1', FACTOR), 0.17),
      noCheckPasses: flag('Curing thread-locker, or pulled to yield: no check passes'),
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
            what: 'Greatest pull to end level in one pass',
            value: peak(best),
            unit: 'N',
            decimals: 0,
            ...(ceilingN === undefined
              ? {}
              : {
                  held: holdAgainst(peak(best), { max: ceilingN }, 'preload ceiling typed here', {
                    high: 'the first bolts would be overloaded before the last are pulled: use more passes',
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
          { key: 'checkPasses', what: `Check passes wanted, ${best.pattern}`, value: best.checkPasses, decimals: 0 },
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
              '(greatest − least)/mean',
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
          gives: `scatter ${say(pulled(one).scatter * 100, 1)} % after the passes, then ${one.checkPasses ?? 'more than twelve'} check passes`,
          why: PATTERN_REASONS[one.pattern],
          chosen: one === best,
        })),
        notes: [
          'A model, to compare orders: no measurement of this joint. Scatter does not say whether the joint closes square: that is what a star is for.',
          ...left,
          ...(noCheckPasses ? ['No check pass on a curing thread-locker or on bolts pulled to yield.'] : []),
        ],
        more: { patterns: done },
      })
    },
  }),
]
