import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { checkFacing, FACING_ANSWERS, FACING_RULE_NAMES, FACING_RULES } from './index.ts'

describe('which way round', () => {
  it.each(FACING_RULE_NAMES)('%s the wrong way is named with what it does', rule => {
    const { wrong, open } = must(checkFacing([{ part: 'ring', rule, stands: 'no' }]))
    expect(wrong).toEqual([{ part: 'ring', rule, consequence: FACING_RULES[rule].wrong }])
    expect(open).toEqual([])
  })
  it('silence is not a yes', () =>
    expect(must(checkFacing([{ part: 'spacer', rule: 'chamfer in', stands: 'not looked at' }]))).toEqual({
      wrong: [],
      open: [{ part: 'spacer', rule: 'chamfer in' }],
    }))
  it('one part may have several rules, but none of them twice', () => {
    const bush = { part: 'Bush', stands: 'yes' } as const
    expect(
      must(
        checkFacing([
          { ...bush, rule: 'face up' },
          { ...bush, rule: 'hole to oilway' },
        ]),
      ).wrong,
    ).toEqual([])
    refused(
      checkFacing([
        { ...bush, rule: 'face up' },
        { ...bush, part: ' bush', rule: 'face up' },
      ]),
      /twice/,
    )
    refused(checkFacing([]), /at least one/)
  })
  it('every answer is counted once', () => {
    const parts = fc.array(
      fc.record({ rule: fc.constantFrom(...FACING_RULE_NAMES), stands: fc.constantFrom(...FACING_ANSWERS) }),
      { minLength: 1, maxLength: 20 },
    )
    fc.assert(
      fc.property(parts, list => {
        const { wrong, open } = must(checkFacing(list.map((one, i) => ({ ...one, part: `part ${i}` }))))
        expect(wrong.length + open.length + list.filter(one => one.stands === 'yes').length).toBe(list.length)
      }),
    )
  })
})
