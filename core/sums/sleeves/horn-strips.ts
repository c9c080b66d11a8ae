import { accept } from '../../result.ts'
import { stripReading, type HornGaps } from '../../sleeves/index.ts'
import { leftOpen } from '../../verdict.ts'
import { defineSum, line, say } from '../define.ts'
import { number } from '../fields.ts'
import { STRIP, UNFIT_STRIP, VOID, WIDTH, wants } from './shared.ts'
import { skewOf, WHERE } from './skew.ts'

export const hornStripsSum = defineSum({
  name: 'horn-strips',
  craft: 'sleeves',
  title: 'Skew by strips',
  about: 'How a journal lies in its bearing, from the widths of four plastic strips at the horns of either end.',
  source: 'volume kept: c = π·d₀²/(4·w); geometry of a cylinder in a bore',
  fields: {
    stripDiameterMm: STRIP,
    leftAMm: number('End A, left', 'mm', WIDTH, 'width pressed; left and right as seen from end A'),
    rightAMm: number('End A, right', 'mm', WIDTH),
    leftBMm: number('End B, left', 'mm', WIDTH),
    rightBMm: number('End B, right', 'mm', WIDTH),
    ...WHERE,
  },
  example: {
    stripDiameterMm: 0.2,
    leftAMm: 0.35,
    rightAMm: 0.45,
    leftBMm: 0.44,
    rightBMm: 0.37,
    spacingMm: 90,
    fromCrownDeg: 75,
    maxSkewMmPerM: 0.3,
  },
  work: ({ stripDiameterMm, spacingMm, fromCrownDeg, maxSkewMmPerM, ...widths }) => {
    const read = Object.entries(widths).map(([key, width]) => [key, stripReading(stripDiameterMm, width)] as const)
    const bad = read.find(([, one]) => !one.ok)?.[1]
    if (bad && !bad.ok) return bad
    const gaps = Object.fromEntries(read.map(([key, one]) => [key, one.ok ? one.value.clearanceMm : 0]))
    const unfit = read.flatMap(([, one]) => (one.ok && one.value.wants ? [one.value.wants] : []))[0] ?? null
    const made = skewOf(gaps as unknown as HornGaps, spacingMm, fromCrownDeg, maxSkewMmPerM)
    if (!made.ok) return made
    return accept({
      ...made.value,
      figures: made.value.figures.map(one =>
        one.held && unfit ? { ...one, held: leftOpen(one.held, UNFIT_STRIP) } : one,
      ),
      working: [
        ...Object.entries(widths).map(([key, width], i) =>
          line(
            ['A, left', 'A, right', 'B, left', 'B, right'][i]!,
            'π·d₀²/(4·w)',
            `π·${say(stripDiameterMm)}²/(4·${say(width)})`,
            `${say(gaps[key]!, 4)} mm`,
          ),
        ),
        ...made.value.working,
      ],
      notes: [...wants(unfit), VOID],
      more: { gaps },
    })
  },
})
