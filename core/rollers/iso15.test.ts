import { describe, expect, it } from 'vitest'
import { must } from '../../tests/must.ts'
import { readDesignation } from './index.ts'
import { OUTSIDE_MM, WIDTH_MM, type DiameterSeries } from './iso15-data.ts'

/** Boundary dimensions as ISO 15 prints them: bore, outside diameter, width. */
const PRINTED: Record<string, readonly [boreMm: number, outsideMm: number, widthMm: number]> = {
  6005: [25, 47, 12],
  6008: [40, 68, 15],
  6016: [80, 125, 22],
  6024: [120, 180, 28],
  6032: [160, 240, 38],
  6200: [10, 30, 9],
  6205: [25, 52, 15],
  6209: [45, 85, 19],
  6215: [75, 130, 25],
  6220: [100, 180, 34],
  6230: [150, 270, 45],
  6300: [10, 35, 11],
  6305: [25, 62, 17],
  6309: [45, 100, 25],
  6316: [80, 170, 39],
  6322: [110, 240, 50],
  6405: [25, 80, 21],
  6410: [50, 130, 31],
  7205: [25, 52, 15],
  7316: [80, 170, 39],
  22208: [40, 80, 23],
  22216: [80, 140, 33],
  22230: [150, 270, 73],
  22308: [40, 90, 33],
  22316: [80, 170, 58],
  21310: [50, 110, 27],
  NU205: [25, 52, 15],
  NJ2208: [40, 80, 23],
  N310: [50, 110, 27],
  NU2316: [80, 170, 58],
  NUP220: [100, 180, 34],
}

describe('boundary dimensions', () => {
  it.each(Object.entries(PRINTED))('%s', (designation, [boreMm, outsideMm, widthMm]) => {
    expect(must(readDesignation(designation))).toMatchObject({ boreMm, outsideMm, widthMm })
  })
  it('grow with the bore in every diameter series', () => {
    for (const series of Object.keys(OUTSIDE_MM) as DiameterSeries[]) {
      const sizes = Object.entries(OUTSIDE_MM[series])
        .map(([bore, outside]) => [Number(bore), outside] as const)
        .sort((a, b) => a[0] - b[0])
      sizes.forEach(([bore, outside], i) => {
        expect(outside).toBeGreaterThan(bore)
        if (i) expect(outside).toBeGreaterThan(sizes[i - 1]![1])
      })
    }
  })
  it('grow with the series at every bore', () => {
    for (const [bore, outside] of Object.entries(OUTSIDE_MM[2])) {
      expect(outside).toBeGreaterThan(OUTSIDE_MM[0][Number(bore)]!)
      expect(outside).toBeLessThan(OUTSIDE_MM[3][Number(bore)]!)
      expect(WIDTH_MM['02'][Number(bore)]!).toBeLessThanOrEqual(WIDTH_MM['22'][Number(bore)]!)
      expect(WIDTH_MM['03'][Number(bore)]!).toBeLessThanOrEqual(WIDTH_MM['23'][Number(bore)]!)
    }
  })
})
