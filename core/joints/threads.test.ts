import { describe, expect, it } from 'vitest'
import { must } from '../../tests/must.ts'
import { readThread } from './index.ts'
import { METRIC_PITCHES, UNIFIED_TPI } from './thread-data.ts'

/** Nominal stress areas as the standards print them: mm² to three figures, in² to four decimals. */
const METRIC_MM2: Record<string, number> = {
  'M5': 14.2,
  'M6': 20.1,
  'M8': 36.6,
  'M10': 58,
  'M12': 84.3,
  'M14': 115,
  'M16': 157,
  'M18': 192,
  'M20': 245,
  'M22': 303,
  'M24': 353,
  'M27': 459,
  'M30': 561,
  'M33': 694,
  'M36': 817,
  'M39': 976,
  'M8x1': 39.2,
  'M10x1': 64.5,
  'M10x1.25': 61.2,
  'M12x1.5': 88.1,
  'M12x1.25': 92.1,
  'M14x1.5': 125,
  'M16x1.5': 167,
  'M18x1.5': 216,
  'M20x1.5': 272,
  'M22x1.5': 333,
  'M24x2': 384,
  'M27x2': 496,
  'M30x2': 621,
  'M33x2': 761,
  'M36x3': 865,
  'M39x3': 1030,
}
const UNIFIED_IN2: Record<string, number> = {
  '1/4 UNC': 0.0318,
  '5/16 UNC': 0.0524,
  '3/8 UNC': 0.0775,
  '7/16 UNC': 0.1063,
  '1/2 UNC': 0.1419,
  '9/16 UNC': 0.182,
  '5/8 UNC': 0.226,
  '3/4 UNC': 0.334,
  '7/8 UNC': 0.462,
  '1 UNC': 0.606,
  '1 1/8 UNC': 0.763,
  '1 1/4 UNC': 0.969,
  '1 3/8 UNC': 1.155,
  '1 1/2 UNC': 1.405,
  '1 3/4 UNC': 1.9,
  '2 UNC': 2.5,
  '1/4 UNF': 0.0364,
  '5/16 UNF': 0.058,
  '3/8 UNF': 0.0878,
  '7/16 UNF': 0.1187,
  '1/2 UNF': 0.1599,
  '9/16 UNF': 0.203,
  '5/8 UNF': 0.256,
  '3/4 UNF': 0.373,
  '7/8 UNF': 0.509,
  '1 UNF': 0.663,
  '1 1/8 UNF': 0.856,
  '1 1/4 UNF': 1.073,
  '1 3/8 UNF': 1.315,
  '1 1/2 UNF': 1.581,
}

describe('stress areas as they are printed', () => {
  it.each(Object.entries(METRIC_MM2))('%s: %s mm²', (text, mm2) => {
    expect(Math.abs(must(readThread(text)).stressAreaMm2 / mm2 - 1)).toBeLessThan(0.005)
  })
  it.each(Object.entries(UNIFIED_IN2))('%s: %s in²', (text, in2) => {
    expect(Math.abs(must(readThread(text)).stressAreaMm2 / 25.4 ** 2 / in2 - 1)).toBeLessThan(0.005)
  })
  it('every size there is can be read, coarse without its pitch', () => {
    for (const [size, pitches] of Object.entries(METRIC_PITCHES)) {
      expect(must(readThread(`M${size}`)).pitchMm).toBe(pitches[0])
      for (const pitch of pitches)
        expect(must(readThread(`M${size}x${pitch}`))).toMatchObject({ diameterMm: Number(size), pitchMm: pitch })
      expect([...pitches].sort((a, b) => b - a)).toEqual(pitches)
    }
    for (const kind of ['UNC', 'UNF'] as const) {
      for (const size of Object.keys(UNIFIED_TPI[kind]))
        expect(must(readThread(`${size} ${kind}`)).diameterMm).toBeGreaterThan(6)
    }
  })
  it('a fine thread carries more than a coarse one of its size', () => {
    for (const [size, pitches] of Object.entries(METRIC_PITCHES)) {
      const areas = pitches.map(pitch => must(readThread(`M${size}x${pitch}`)).stressAreaMm2)
      areas.forEach((area, i) => i && expect(area).toBeGreaterThan(areas[i - 1]!))
    }
  })
})
