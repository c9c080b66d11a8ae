import { describe, expect, it } from 'vitest'
import { torqueDoubt, torqueText } from './doubt.ts'

/** A pass to 35 N·m, six per cent either side. */
const pass = { least: 32.9, most: 37.1 }

describe('a torque that is odd', () => {
  it('asks whether 26 at a target of 35 N·m was in ft-lb', () => {
    const doubt = torqueDoubt(26, 'N·m', pass)!
    expect(doubt.other).toBe('lbf·ft')
    expect(doubt.ask).toBe(
      'Was that 26 ft-lb? In N·m it is outside the span of this pass, in ft-lb it is 35.3 N·m and right.',
    )
  })
  it('and the other way about, and for inch-pounds', () => {
    expect(torqueDoubt(35, 'lbf·ft', pass)!.other).toBe('N·m')
    expect(torqueDoubt(310, 'lbf·ft', pass)!.other).toBe('lbf·in')
  })
  it('asks about the figure of another pass', () =>
    expect(torqueDoubt(310, 'N·m', { least: 87.4, most: 98.6 })).toEqual({
      ask: '310 N·m in a pass of 87.4 N·m to 98.6 N·m: is that what the wrench shows?',
      other: null,
    }))
  it('says nothing of what is in its span, or a little over it', () => {
    expect(torqueDoubt(35, 'N·m', pass)).toBeNull()
    expect(torqueDoubt(25.8, 'lbf·ft', pass)).toBeNull()
    expect(torqueDoubt(40, 'N·m', pass)).toBeNull()
  })
  it('a torque is written as the wrench is read', () => {
    expect(torqueText(310, 'N·m')).toBe('310 N·m')
    expect(torqueText(93, 'lbf·ft')).toBe('68.6 ft-lb')
    expect(torqueText(42, 'N·m')).toBe('42 N·m')
  })
})
