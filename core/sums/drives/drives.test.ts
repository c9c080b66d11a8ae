import { describe, expect, it } from 'vitest'
import { refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

const held = (name: string, key: string, changes: Record<string, unknown> = {}) => figure(name, key, changes).held!

describe('brushes', () => {
  it('the least and the greatest are judged, and how alike they are', () => {
    figures('brush-pressure', {}, { leastKPa: 18.90625, greatestKPa: 20.15625, meanKPa: 37400 / 3 / 640, oddBrush: 2 })
    expect(held('brush-pressure', 'leastKPa', { forcesN: [10, 12.5] })).toMatchObject({ verdict: 'Out' })
    expect(held('brush-pressure', 'leastKPa', { forcesN: [10, 12.5] }).consequence).toMatch(/floats/)
    expect(held('brush-pressure', 'greatestKPa', { forcesN: [12, 15] }).consequence).toMatch(/wear fast/)
    expect(held('brush-pressure', 'spreadPercent', { forcesN: [12, 13.5] }).verdict).toBe('Out')
    expect(held('brush-pressure', 'spreadPercent', { forcesN: [12, 13.5], maxSpreadPercent: 15 }).verdict).not.toBe(
      'Out',
    )
  })
  it('one alone has none to be alike', () =>
    expect(figure('brush-pressure', 'spreadPercent', { forcesN: [12] })).toBeUndefined())
})

describe('gears', () => {
  it('the least and the greatest place are judged, at the pitch line', () => {
    figures('backlash', {}, { leastMm: 0.297, greatestMm: 0.374, spreadMm: 0.077, rootMm: 1.4 })
    // 0.03 to 0.08 of a module of 6: 0.18 to 0.48.
    expect(held('backlash', 'leastMm', { readingsMm: [0.16, 0.3] }).consequence).toMatch(/wedge/)
    expect(held('backlash', 'greatestMm', { readingsMm: [0.3, 0.44] }).consequence).toMatch(/knock/)
    expect(held('backlash', 'greatestMm', { readingsMm: [0.3, 0.44], minMm: 0.2, maxMm: 0.6 }).verdict).toBe('Holds')
  })
  it('room at the root, down to a tenth of the module', () => {
    expect(held('backlash', 'rootMm', { rootsMm: [0.59] }).verdict).toBe('Out')
    expect(held('backlash', 'rootMm', { rootsMm: [0.6] }).verdict).toBe('Thin')
  })
  it('one radius without the other is refused by name', () =>
    refused(withChanges('backlash', { dialRadiusMm: undefined }), /both radii/))
  it.each([
    ['one end, alike on both flanks', /not parallel/],
    ['opposite ends on the two flanks', /crossed/],
    ['along the tips', /too far apart/],
    ['down at the roots', /too close/],
  ])('blue at %s', (where, says) => expect(held('tooth-contact', 'where', { where }).consequence).toMatch(says))
  it('blue in the middle holds, on its least is inside', () => {
    expect(held('tooth-contact', 'where').verdict).toBe('Holds')
    expect(held('tooth-contact', 'alongPercent', { alongPercent: 50 }).verdict).toBe('Thin')
    expect(held('tooth-contact', 'alongPercent', { alongPercent: 49 }).verdict).toBe('Out')
  })
})

describe('keys and belts', () => {
  it('a key’s play against its class, either side', () => {
    figures('key-fit', {}, { shaftUm: -10, hubUm: 30, topMm: 0.3 })
    // N9 on h9: −43 to +43; JS9 on h9: −21.5 to +64.5.
    expect(held('key-fit', 'shaftUm', { shaftSlotMm: 13.941 }).consequence).toMatch(/too tight in the shaft/)
    expect(held('key-fit', 'hubUm', { hubSlotMm: 14.05 }).consequence).toMatch(/slack in the hub/)
    expect(held('key-fit', 'hubUm', { hubSlotMm: 14.0495 }).verdict).not.toBe('Out')
    expect(held('key-fit', 'topMm', { minTopMm: undefined, depthsMm: 8.9 }).consequence).toMatch(/off centre/)
    refused(withChanges('key-fit', { keyMm: 1.4 }), /far from the nominal/)
  })
  it('a strand’s tension both ways', () => {
    // √(720² − 87.5²) = 714.66; 28·714.66/(4·11.5) = 435.
    figures('belt-tension', {}, { spanMm: 714.6633, tensionN: 435.0125, wantedMm: (28 * 714.6633) / (2 * 830) })
    const note = { way: 'its own note', hz: 40, massKgPerM: 0.19 }
    figures('belt-tension', note, { tensionN: 4 * 0.19 * 0.7146633 ** 2 * 1600 })
    expect(held('belt-tension', 'tensionN', { deflectionMm: 16 }).consequence).toMatch(/slips/)
    expect(held('belt-tension', 'tensionN', { deflectionMm: 9 }).consequence).toMatch(/bearings/)
    refused(withChanges('belt-tension', { deflectionMm: undefined }), /how far the belt gives way/)
  })
})
