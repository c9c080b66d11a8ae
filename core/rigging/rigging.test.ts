import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { hangingWeightKN, useItems } from './index.ts'

describe('a lift', () => {
  it('weighs everything that hangs', () =>
    expect(must(hangingWeightKN([1000, 20, 0]))).toBeCloseTo((1020 * 9.80665) / 1000, 9))
  const sling = { name: 'sling', swlKN: 10, use: 'a leg' } as const
  it('each item by its own rating at the angle', () =>
    expect(must(useItems([sling, { ...sling, name: 'eyebolt', ratingAtAngle: 0.4 }], 5, 8))).toMatchObject({
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
  ])('%s kN on 10: %s', (kN, verdict) => expect(must(useItems([sling], kN, kN)).verdict).toBe(verdict))
  it('a choked leg keeps four fifths of the sling, and of nothing else', () => {
    const [choked, eyebolt] = must(useItems([{ ...sling, use: 'a choked leg' }, sling], 5, 8)).items
    expect([choked!.usableKN, eyebolt!.usableKN]).toEqual([8, 10])
  })
  it('the hook carries all that the legs share', () =>
    expect(must(useItems([{ ...sling, use: 'the whole load' }], 5, 9)).items[0]).toMatchObject({
      carriedKN: 9,
      usedShare: 0.9,
      verdict: 'Thin',
    }))
  it('refuses nothing to lift, and items that cannot be', () => {
    refused(hangingWeightKN([]))
    refused(hangingWeightKN([-1, 5]))
    refused(useItems([], 5, 8))
    refused(useItems([{ ...sling, swlKN: 0 }], 5, 8))
    refused(useItems([{ ...sling, ratingAtAngle: 1.2 }], 5, 8))
  })
})
