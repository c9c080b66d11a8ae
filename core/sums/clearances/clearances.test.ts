import { describe, expect, it } from 'vitest'
import { figure, figures } from '../../../tests/sums.ts'

const held = (name: string, key: string, changes: Record<string, unknown> = {}) => figure(name, key, changes).held!

describe('running clearances', () => {
  it('a wear ring by its extremes, least by the standard, greatest twice the new', () => {
    figures('wear-ring', {}, { leastMm: 0.6, greatestMm: 0.73, standardLeastMm: 0.48, leaksTimes: 0.67 / 0.48 })
    expect(held('wear-ring', 'greatestMm').verdict).toBe('Holds')
    expect(held('wear-ring', 'greatestMm', { ringsMm: [180.94], hubsMm: [179.98] }).verdict).toBe('Thin')
    expect(held('wear-ring', 'greatestMm', { ringsMm: [180.95], hubsMm: [179.98] }).consequence).toMatch(/runs back/)
    expect(held('wear-ring', 'leastMm', { ringsMm: [180.47], hubsMm: [180] }).consequence).toMatch(/seize/)
    expect(held('wear-ring', 'greatestMm', { maxMm: 0.7 }).source).toMatch(/maker/)
  })
  it('an impeller’s place against what it should be, growth counted in', () => {
    figures('impeller-setting', {}, { backOffMm: 0.55, turns: 0.55 / 1.5, behindMm: 2.05 })
    expect(held('impeller-setting', 'frontMm').verdict).toBe('Holds')
    expect(held('impeller-setting', 'frontMm', { frontMm: 0.44 }).consequence).toMatch(/warm, it touches/)
    expect(held('impeller-setting', 'behindMm', { travelMm: 0.5, minBehindMm: undefined }).consequence).toMatch(
      /other end/,
    )
  })
  it('a piston warm at its head, and square', () => {
    figures('top-clearance', {}, { headMm: 1.82, headWarmMm: 1.52, crankMm: 1.4, tiltMm: 0.08 })
    expect(held('top-clearance', 'headWarmMm', { growsHeadMm: 0.7 }).consequence).toMatch(/strikes/)
    expect(held('top-clearance', 'tiltMm', { headMm: [1.6, 1.9] }).consequence).toMatch(/cocked/)
  })
  it('rings by their material, each named by its place', () => {
    figures('ring-gap', {}, { leastMm: 0.95, greatestMm: 1.15 })
    // 0.003·240 = 0.72, on the limit inside; filled PTFE wants five times that.
    expect(held('ring-gap', 'leastMm', { gapsMm: [0.72] }).verdict).toBe('Thin')
    expect(held('ring-gap', 'leastMm', { gapsMm: [1, 0.71] }).consequence).toMatch(/ends meet/)
    expect(figure('ring-gap', 'leastMm', { gapsMm: [1, 0.71] }).what).toMatch(/ring 2/)
    expect(held('ring-gap', 'leastMm', { of: 'filled PTFE' }).verdict).toBe('Out')
  })
  it('a valve plate that lifts too far breaks', () => {
    figures('valve-lift', {}, { leastMm: 1.82, greatestMm: 1.86 })
    expect(held('valve-lift', 'greatestMm', { plateMm: 1.8 }).consequence).toMatch(/breaks/)
    expect(held('valve-lift', 'leastMm', { plateMm: 2.2 }).consequence).toMatch(/throttled/)
  })
})
