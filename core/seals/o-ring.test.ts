import { describe, expect, it } from 'vitest'
import { allNear, must, refused } from '../../tests/must.ts'
import oRing from '../../tests/vectors/o-ring.json'
import { seatORing } from './index.ts'

describe('O-rings', () => {
  it.each(oRing.cases)('worked case %#', ({ input, expect: wanted }) => allNear(must(seatORing(input)), wanted))
  it('a ring that is not stretched keeps its section', () =>
    expect(
      must(seatORing({ sectionMm: 3, ringInsideMm: 50, grooveInsideMm: 50, grooveDepthMm: 2.4, grooveWidthMm: 4 })),
    ).toMatchObject({ stretch: 0, sectionStretchedMm: 3 }))
  it('refuses nought and a ring for another machine', () => {
    refused(seatORing({ sectionMm: 0, ringInsideMm: 50, grooveInsideMm: 50, grooveDepthMm: 2.4, grooveWidthMm: 4 }))
    refused(seatORing({ sectionMm: 3, ringInsideMm: 100, grooveInsideMm: 50, grooveDepthMm: 2.4, grooveWidthMm: 4 }))
  })
})
