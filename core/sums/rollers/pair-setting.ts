import { endFloat, meanOf, reduceTries } from '../../gauging/index.ts'
import { pairSetting, PAIR_ARRANGEMENTS, SHIM_SENSES } from '../../rollers/index.ts'
import { refuse } from '../../result.ts'
import { leftOpen } from '../../verdict.ts'
import { answering, defineSum, fig, line, say } from '../define.ts'
import { choice, fallback, number, rows } from '../fields.ts'
import { hold, makerMax, makerMin } from '../limits.ts'

const PLAY = [-1, 5] as const

export const pairSettingSum = defineSum({
  name: 'pair-setting',
  craft: 'rollers',
  title: 'Pair set by shims',
  about:
    'End play of a tapered roller or angular contact pair as it is, the shim for the play or preload wanted, and warm.',
  source: 'one-dimensional chain; steel grows 11.7 µm/m/K between the bearings',
  fields: {
    pairs: rows(
      'Pushes',
      { oneWayMm: number('One way', 'mm', [-20, 20]), otherWayMm: number('Other way', 'mm', [-20, 20]) },
      [1, 5],
      'turned to and fro while it is pushed, so that the rollers seat',
    ),
    wantedMm: number('Play wanted', 'mm', PLAY, 'preload is below zero'),
    shimMm: number('Shims in now', 'mm', [0, 50]),
    sense: choice('A thicker shim', SHIM_SENSES),
    arrangement: choice('The pair stands', PAIR_ARRANGEMENTS),
    apartMm: fallback(number('Between the bearings', 'mm', [0, 10000]), 0),
    warmerK: fallback(number('Shaft warmer than housing by', 'K', [-100, 200]), 0),
    minMm: makerMin('mm', PLAY),
    maxMm: makerMax('mm', PLAY),
  },
  example: {
    pairs: [
      { oneWayMm: 0, otherWayMm: 0.24 },
      { oneWayMm: 0.01, otherWayMm: 0.25 },
    ],
    wantedMm: 0.1,
    shimMm: 1.2,
    sense: 'gives more play',
    arrangement: 'face to face (X)',
    apartMm: 210,
    warmerK: 15,
    minMm: 0.03,
    maxMm: 0.15,
  },
  work: ({ pairs, wantedMm, shimMm, sense, arrangement, apartMm, warmerK, minMm, maxMm }) => {
    const floats = pairs.map(one => endFloat(one.oneWayMm, one.otherWayMm))
    const limits = { min: minMm, max: maxMm }
    const tolerance = minMm !== undefined && maxMm !== undefined ? maxMm - minMm : undefined
    const tries = reduceTries(floats, { tolerance })
    if (!tries.ok) return tries
    if (!(tries.value.mean > 0))
      return refuse('There is no play to measure: the pair is preloaded already. Add play first, until the dial moves.')
    const says = {
      low: 'the pair is squeezed as it warms: it heats, and heat squeezes it further',
      high: 'rollers lose their guide: the shaft wanders and the bearing hammers',
    }
    const held = (value: number) => {
      const judged = hold(value, limits, says)
      return tries.value.measureAgain ? leftOpen(judged, 'the pushes do not agree: measure again') : judged
    }
    return answering(pairSetting(tries.value.mean, wantedMm, shimMm, sense, arrangement, apartMm, warmerK), made => ({
      figures: [
        fig('warmMm', 'Play warm, once set', made.warmMm, 'mm', 3, held(made.warmMm)),
        fig(
          'shim',
          'Shims',
          Math.abs(made.shimChangeMm) < 0.0005
            ? 'leave them'
            : made.shimChangeMm > 0
              ? `add ${say(made.shimChangeMm)} mm`
              : `take out ${say(-made.shimChangeMm)} mm`,
        ),
        fig('shimMm', 'Shims then, all', made.shimMm, 'mm', 3),
        fig('measuredMm', 'Play as it is', tries.value.mean, 'mm', 3, held(tries.value.mean)),
      ],
      working: [
        line('Play', 'mean of |a − b|', floats.map(one => say(one)).join(', '), `${say(meanOf(floats))} mm`),
        line(
          'Shims',
          sense === 'gives more play' ? 'wanted − measured' : 'measured − wanted',
          sense === 'gives more play'
            ? `${say(wantedMm)} − ${say(tries.value.mean)}`
            : `${say(tries.value.mean)} − ${say(wantedMm)}`,
          `${say(made.shimChangeMm)} mm`,
        ),
        line(
          'Warm',
          arrangement === 'face to face (X)' ? 'play − 11.7·L·ΔT' : 'play + 11.7·L·ΔT',
          `${say(wantedMm)} ${arrangement === 'face to face (X)' ? '−' : '+'} 11.7·${say(apartMm / 1000)}·${say(warmerK)}/1000`,
          `${say(made.warmMm)} mm`,
        ),
      ],
      notes: ['Read it again after the shims are in: the sum only says where to start.'],
      reading: { row: 'pair', tries: pairs.map(one => [one.oneWayMm, one.otherWayMm]) },
    }))
  },
})
