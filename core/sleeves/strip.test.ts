import { describe, expect, it } from 'vitest'
import { must, near, refused } from '../../tests/must.ts'
import strip from '../../tests/vectors/plastic-strip.json'
import { readStripScale, stripReading } from './index.ts'

describe('gauging strip', () => {
  it.each(strip.cases)('worked case %#', ({ input, expect: wanted }) =>
    near(must(stripReading(input.stripDiameterMm, input.widthMm)).clearanceMm, wanted.clearanceMm),
  )
  it('wants another strip outside what this one measures', () => {
    const width = (share: number) => (Math.PI * 0.1) / (4 * share)
    expect([0.5001, 0.4999, 0.2001, 0.1999].map(share => must(stripReading(0.1, width(share))).wants)).toEqual([
      'thicker',
      null,
      null,
      'thinner',
    ])
    refused(stripReading(0, 1))
    refused(stripReading(0.1, -1))
  })
  it('reads a printed scale between its lines', () => {
    const scale = [
      [1.2, 0.05],
      [0.8, 0.076],
      [1.6, 0.038],
    ] as const
    near(must(readStripScale(scale, 1)).clearanceMm, 0.063)
    near(must(readStripScale(scale, 0.8)).clearanceMm, 0.076)
    near(must(readStripScale(scale, 1.6)).clearanceMm, 0.038)
    refused(readStripScale(scale, 1.7))
    refused(readStripScale(scale.slice(0, 1), 1))
  })
})
