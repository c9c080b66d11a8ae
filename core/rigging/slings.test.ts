import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { allNear, must, near, refused } from '../../tests/must.ts'
import lifting from '../../tests/vectors/lifting.json'
import { equalLegTensionKN, slingAngleVerdict, twoLegTensionsKN } from './index.ts'

describe('slings', () => {
  it.each(lifting.cases)('worked case %#', ({ input, expect: wanted }) => {
    near(must(equalLegTensionKN(input)), wanted.equalLegKN)
    allNear(must(twoLegTensionsKN(input.weightKN, input.cgFromLeftM, input.cgFromRightM, input.hookHeightM)), {
      leftKN: wanted.leftKN,
      rightKN: wanted.rightKN,
    })
  })
  it('counts three or four legs as two, unless equalised', () => {
    near(must(equalLegTensionKN({ weightKN: 12, legs: 4, fromVerticalDeg: 0 })), 6)
    near(must(equalLegTensionKN({ weightKN: 12, legs: 4, fromVerticalDeg: 0 }, true)), 3)
  })
  it.each([
    [44.9, 'Holds'],
    [45, 'Thin'],
    [60, 'Thin'],
    [60.1, 'Out'],
  ] as const)('%s° is %s', (deg, verdict) => expect(slingAngleVerdict(deg)).toBe(verdict))
  it('carries the whole weight between both legs', () => {
    const size = fc.double({ min: 0.1, max: 5, noNaN: true })
    fc.assert(
      fc.property(size, size, size, (left, right, height) => {
        const legs = must(twoLegTensionsKN(10, left, right, height))
        const up =
          legs.leftKN * Math.cos((legs.leftFromVerticalDeg * Math.PI) / 180) +
          legs.rightKN * Math.cos((legs.rightFromVerticalDeg * Math.PI) / 180)
        near(up, 10)
      }),
    )
  })
  it('refuses a flat sling and no hook height', () => {
    refused(equalLegTensionKN({ weightKN: 10, legs: 2, fromVerticalDeg: 90 }))
    refused(equalLegTensionKN({ weightKN: 0, legs: 2, fromVerticalDeg: 0 }))
    refused(equalLegTensionKN({ weightKN: 1, legs: 2.5, fromVerticalDeg: 0 }))
    refused(twoLegTensionsKN(10, 1, 1, 0))
  })
})
