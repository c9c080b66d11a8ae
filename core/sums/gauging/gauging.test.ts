import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('what was written', () => {
  it.each([
    ['1 3/8"', 'length', { value: 34.925, in: 1.375, thou: 1375, µm: 34925 }],
    ['50 in-lb', 'torque', { 'value': 5.649241, 'lbf·ft': 4.166667, 'kgf·m': 0.576063 }],
    ['195 °F', 'temperature', { 'value': 90.555556, '°F': 195 }],
    ['36 °F', 'temperatureDifference', { 'value': 20, 'Δ°F': 36 }],
    ['2.5 t', 'mass', { value: 2500, lb: 5511.556555 }],
    ['90 psi', 'pressure', { value: 0.620528, bar: 6.205282, kPa: 620.528156 }],
  ] as const)('%s', (text, kind, wanted) => figures('quantities', { text, kind }, wanted))
  it('shows as many decimals as the figure has, and keeps every unit in inches too', () => {
    expect(figure('quantities', 'value')).toMatchObject({ decimals: 3, as: 'written' })
    expect(figure('quantities', 'µm')).toMatchObject({ decimals: 0, as: 'written' })
  })
  it.each([
    ['3 ton', 'mass', /1000 kg, 2000 lb or 2240 lb/],
    ['12 Nm', 'length', /unit of torque/],
    ['1,250', 'length', /decimal or thousands/],
    ['1.234,5', 'length', /one decimal mark/],
    ['', 'length', /Nothing typed/],
  ] as const)('“%s” as %s is refused', (text, kind, why) => refused(withChanges('quantities', { text, kind }), why))
})

describe('readings reduced', () => {
  it('tries keep all of them and name the one that stands furthest off', () =>
    figures(
      'tries',
      { triesMm: [59.984, 59.983, 59.991, 59.983], minMm: 59.98, maxMm: 60 },
      { meanMm: 59.98525, rangeMm: 0.008, measureAgain: true, furthest: 3 },
    ))
  it('two tries that differ blame neither', () =>
    figures('tries', { triesMm: [59.981, 59.999] }, { rangeMm: 0.018, measureAgain: true, furthest: null }))
  it('parts of two materials and temperatures at 20 °C', () => {
    figures('at-20', {}, { bore20Mm: 60.0121176, shaft20Mm: 59.983, clearanceUm: 29.1176007 })
    figures(
      'at-20',
      { boreMm: 40.05, boreC: 12, boreOf: 'aluminium', shaftMm: 40.01, shaftC: 35 },
      { bore20Mm: 40.0573706, shaft20Mm: 40.0029795, clearanceUm: 54.3910791, uncertaintyUm: Math.sqrt(5) },
    )
  })
  it('a journal: out of round by station, taper first less last, waist negative', () =>
    figures('round-part', {}, { leastMm: 59.983, greatestMm: 59.993, outOfRoundUm: 4, taperUm: -5, barrelUm: -5 }))
  it('one plane leaves out of round open, and says so', () => {
    const answer = must(withChanges('round-part', { readings: [{ station: 'middle', plane: 'A', mm: 59.99 }] }))
    expect(answer.figures.find(one => one.key === 'outOfRoundUm')!.value).toBeNull()
    expect(answer.notes).toContain('One plane only: out of round is open.')
  })
  it('float and lift, either way of writing them', () => {
    figures('end-float', {}, { floatMm: 0.2133333, rangeMm: 0.01 })
    figures('lift-check', {}, { liftMm: 0.14 * (820 / 900) })
    figures('lift-check', { style: 'travels', downMm: 0.06, toBearingMm: 900 }, { liftMm: 0.14 })
    refused(withChanges('lift-check', { style: 'travels' }), /no sign/)
  })
  it('a sweep of eight: first harmonic and what is left', () =>
    figures('runout', {}, { tirUm: 58, eccentricityUm: 29.354931, highSpotDeg: 98.9729359, formErrorUm: 2.8440386 }))
  it('three lobes at six readings are form and no bend', () =>
    figures('runout', { readingsUm: [10, 0, 10, 0, 10, 0] }, { tirUm: 10, eccentricityUm: 0, formErrorUm: 10 }))
  it('gaps at four places: which way the rotor sits', () => {
    figures('gaps', { gapsMm: [0.5, 0.6, 0.5, 0.4] }, { leastMm: 0.4, spreadMm: 0.2, offsetMm: 0.1, towardDeg: 270 })
    figures('gaps', { gapsMm: [0.4, 0.5, 0.6, 0.5] }, { offsetMm: 0.1, towardDeg: 0 })
    figures('gaps', { gapsMm: [0.4, 0.5, 0.6] }, { offsetMm: null, towardDeg: null })
  })
  it('heights round a joint say tilt', () => figures('tilt', {}, { tiltMmPerM: 0.109375 }))
  it('rounds are followed, the void one kept out', () => {
    figures('fit-up-rounds', {}, { lastMm: 0.07, voidCount: 1 })
    refused(withChanges('fit-up-rounds', { rounds: [{ value: 0.02, voidBecause: 'it slid' }] }), /not void/)
  })
  it.each([
    [0.61, 0.34, 'away from the limit'],
    [0.34, 0.58, 'toward the limit'],
    [0.34, 0.3405, 'not at all'],
  ])('as found %s, as left %s: %s', (foundMm, leftMm, moved) =>
    figures('found-left', { foundMm, leftMm }, { changeMm: leftMm - foundMm, moved }),
  )
  it.each([
    ['snug', 'snug', 0, 'Holds'],
    ['slides', 'snug', -1, 'Thin'],
    ['presses', 'snug', 2, 'Out'],
    ['wobbles', 'knocks', -1, 'Out'],
  ] as const)('it %s where %s is wanted', (found, wanted, steps, verdict) => {
    expect(figure('felt-fit', 'steps', { found, wanted })).toMatchObject({ value: steps, held: { verdict } })
  })
})
