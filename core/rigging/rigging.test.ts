import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { hangingWeightKN, useItems } from './index.ts'

describe('a lift', () => {
  it('weighs everything that hangs', () =>
    expect(must(hangingWeightKN([1000, 20, 0]))).toBeCloseTo((1020 * 9.80665) / 1000, 9))
  it('each item by its own rating at the angle', () =>
    expect(
      must(
        useItems(
          [
            { name: 'sling', swlKN: 10 },
            { name: 'eyebolt', swlKN: 10, ratingAtAngle: 0.4 },
          ],
          5,
          'straight',
        ),
      ),
    ).toMatchObject({
      verdict: 'Out',
      items: [
        { verdict: 'Holds', usedShare: 0.5 },
        { verdict: 'Out', usedShare: 1.25 },
      ],
    }))
  it.each([
    [8, 'Holds'],
    [8.01, 'Thin'],
    [10, 'Thin'],
    [10.01, 'Out'],
  ])('%s kN on 10: %s', (kN, verdict) =>
    expect(must(useItems([{ name: '', swlKN: 10 }], kN, 'straight')).verdict).toBe(verdict),
  )
  it('a choker takes four fifths, a basket twice', () => {
    expect(must(useItems([{ name: '', swlKN: 10 }], 5, 'choker')).items[0]!.usableKN).toBe(8)
    expect(must(useItems([{ name: '', swlKN: 10 }], 5, 'basket')).items[0]!.usableKN).toBe(20)
  })
  it('refuses nothing to lift, and items that cannot be', () => {
    refused(hangingWeightKN([]))
    refused(hangingWeightKN([-1, 5]))
    refused(useItems([], 5, 'straight'))
    refused(useItems([{ name: '', swlKN: 10, ratingAtAngle: 1.2 }], 5, 'straight'))
  })
})
