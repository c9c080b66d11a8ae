import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import gears from '../../tests/vectors/gear-mesh.json'
import { gearMesh } from './index.ts'

describe('gears', () => {
  it.each(gears.cases)('worked case %#', ({ input, expect: wanted }) =>
    expect(must(gearMesh(input.pinionTeeth, input.wheelTeeth))).toEqual(wanted),
  )
  it('the same teeth meet after as many teeth on both wheels', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 400 }), fc.integer({ min: 5, max: 400 }), (a, b) => {
        const mesh = must(gearMesh(a, b))
        expect(mesh.pinionTurnsToRepeat * a).toBe(mesh.wheelTurnsToRepeat * b)
      }),
    )
  })
  it.each([
    [4, 20],
    [20.5, 20],
    [20, 2001],
    [Number.NaN, 20],
  ])('refuses %s and %s', (a, b) => refused(gearMesh(a, b)))
})
