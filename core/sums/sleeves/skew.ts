import type { Result } from '../../result.ts'
import { journalSkew, type HornGaps } from '../../sleeves/index.ts'
import { answering, defineSum, line, say, type Answer } from '../define.ts'
import { maker, number } from '../fields.ts'
import { hold } from '../limits.ts'
import { GAP, SIZE, VOID } from './shared.ts'

export const WHERE = {
  spacingMm: number('Between the two rows', 'mm', SIZE),
  fromCrownDeg: number('Read from the crown at', '°', [1, 90]),
  maxSkewMmPerM: maker('max', number('Maximum skew, mm/m', '1', [0, 100])),
}

/** How a journal lies, from the gaps at its horns. */
export const skewOf = (
  gaps: HornGaps,
  spacingMm: number,
  fromCrownDeg: number,
  maxSkewMmPerM?: number,
): Result<Answer> =>
  answering(journalSkew(gaps, spacingMm, fromCrownDeg), ({ deltaAMm, deltaBMm, skewMmPerM, offsetMm, says }) => ({
    figures: [
      {
        key: 'skewMmPerM',
        what: 'Skew, mm/m',
        value: skewMmPerM,
        decimals: 3,
        held: hold(
          skewMmPerM,
          maxSkewMmPerM === undefined ? {} : { min: -maxSkewMmPerM, max: maxSkewMmPerM, best: 0 },
          {
            low: 'the journal bears on two corners and wipes them',
            high: 'the journal bears on two corners and wipes them',
          },
        ),
      },
      { key: 'offsetMm', what: 'Offset to the right', value: offsetMm, unit: 'mm', decimals: 4 },
      { key: 'says', what: 'The journal lies', value: says },
      { key: 'deltaAMm', what: 'Left − right, end A', value: deltaAMm, unit: 'mm', decimals: 4 },
      { key: 'deltaBMm', what: 'Left − right, end B', value: deltaBMm, unit: 'mm', decimals: 4 },
    ],
    working: [
      line(
        'Difference, A',
        'left − right',
        `${say(gaps.leftAMm, 4)} − ${say(gaps.rightAMm, 4)}`,
        `${say(deltaAMm, 4)} mm`,
      ),
      line(
        'Difference, B',
        'left − right',
        `${say(gaps.leftBMm, 4)} − ${say(gaps.rightBMm, 4)}`,
        `${say(deltaBMm, 4)} mm`,
      ),
      line(
        'Skew',
        '(Δ_A − Δ_B)/(2·L·sin φ)',
        `(${say(deltaAMm, 4)} − ${say(deltaBMm, 4)})/(2·${say(spacingMm)}·sin ${say(fromCrownDeg)}°)`,
        `${say(skewMmPerM)} mm/m`,
      ),
      line(
        'Offset',
        '(Δ_A + Δ_B)/(4·sin φ)',
        `(${say(deltaAMm, 4)} + ${say(deltaBMm, 4)})/(4·sin ${say(fromCrownDeg)}°)`,
        `${say(offsetMm, 4)} mm`,
      ),
    ],
    notes: [VOID],
  }))

export const skewSum = defineSum({
  name: 'skew',
  craft: 'sleeves',
  title: 'Offset and skew',
  about: 'How a journal lies in its bearing, from gaps at the two horns of either end.',
  source: 'geometry of a cylinder in a bore: Δ = 2·s·sin φ',
  fields: {
    leftAMm: number('End A, left', 'mm', GAP, 'left and right as seen from end A'),
    rightAMm: number('End A, right', 'mm', GAP),
    leftBMm: number('End B, left', 'mm', GAP),
    rightBMm: number('End B, right', 'mm', GAP),
    ...WHERE,
  },
  example: {
    leftAMm: 0.09,
    rightAMm: 0.07,
    leftBMm: 0.072,
    rightBMm: 0.086,
    spacingMm: 90,
    fromCrownDeg: 75,
    maxSkewMmPerM: 0.3,
  },
  work: ({ spacingMm, fromCrownDeg, maxSkewMmPerM, ...gaps }) => skewOf(gaps, spacingMm, fromCrownDeg, maxSkewMmPerM),
})
