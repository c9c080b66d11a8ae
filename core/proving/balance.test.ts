import { describe, expect, it } from 'vitest'
import { allNear, must, near, refused } from '../../tests/must.ts'
import balance from '../../tests/vectors/balance.json'
import { permissibleUnbalance, sharedUnbalance } from './index.ts'

describe('balance', () => {
  it.each(balance.cases)('worked case %#', ({ input, expect: wanted }) =>
    allNear(must(permissibleUnbalance(input.grade, input.speedPerMin, input.massKg)), wanted),
  )
  it('shares between the planes, never less than three tenths', () => {
    expect(must(sharedUnbalance(100, 0.2, 0.2))).toEqual({ aGmm: 50, bGmm: 50 })
    near(must(sharedUnbalance(100, 0.9, 0.1)).aGmm, 30)
    near(must(sharedUnbalance(100, 0.1, 0.9)).aGmm, 70)
    refused(sharedUnbalance(100, -0.1, 1))
    refused(permissibleUnbalance(2.5, 0, 10))
  })
})
