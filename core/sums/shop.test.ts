import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { figure, figures, withChanges } from '../../tests/sums.ts'

const held = (name: string, key: string, changes: Record<string, unknown> = {}) => figure(name, key, changes).held!

describe('pairs and grease', () => {
  it('the shim for the play wanted, and what is left warm', () => {
    // 0.24 as it is, 0.10 wanted; 210 mm, 15 K: 0.0369 goes.
    figures(
      'pair-setting',
      {},
      { measuredMm: 0.24, shim: 'take out 0.14 mm', shimMm: 1.06, warmMm: 0.1 - (11.7 * 0.21 * 15) / 1000 },
    )
    expect(held('pair-setting', 'warmMm', { warmerK: 40 }).consequence).toMatch(/squeezed/)
    expect(held('pair-setting', 'warmMm', { arrangement: 'back to back (O)', warmerK: 40 }).consequence).toMatch(
      /hammers/,
    )
  })
  it('pushes that do not agree decide nothing; no play cannot be measured', () => {
    const pairs = [0.1, 0.2].map(otherWayMm => ({ oneWayMm: 0, otherWayMm }))
    expect(held('pair-setting', 'warmMm', { pairs }).verdict).toBe('Open')
    refused(withChanges('pair-setting', { pairs: [{ oneWayMm: 0, otherWayMm: 0 }] }), /preloaded already/)
  })
  it('hours since against the interval, the maker’s before the rule’s', () => {
    expect(held('grease', 'sinceH', { sinceH: 6000 }).verdict).toBe('Thin')
    expect(held('grease', 'sinceH', { sinceH: 9000 }).consequence).toMatch(/worn out/)
    expect(held('grease', 'sinceH', { makerH: 4000 })).toMatchObject({
      verdict: 'Out',
      source: expect.stringMatching(/maker/),
    })
    expect(must(withChanges('grease', { makerH: 4000 })).notes!.join(' ')).toMatch(/go before the rule’s/)
    refused(withChanges('grease', { outsideMm: 60 }), /not above the bore/)
  })
})

describe('clearance of a large bearing', () => {
  const LARGE = { kind: 'spherical roller', boreMm: 260, measuredUm: 190 }
  it('beyond the tables the maker’s limits serve, and without them it asks for them', () => {
    refused(withChanges('internal-clearance', LARGE), /Take the limits from the maker/)
    expect(held('internal-clearance', 'measuredUm', { ...LARGE, minUm: 170, maxUm: 230 })).toMatchObject({
      verdict: 'Holds',
      source: expect.stringMatching(/maker/),
    })
    expect(held('internal-clearance', 'measuredUm', { ...LARGE, maxUm: 180 }).consequence).toMatch(/worn/)
  })
  it('within them the maker goes before, and both are said', () => {
    const given = { measuredUm: 34, minUm: 20, maxUm: 30 }
    expect(held('internal-clearance', 'measuredUm', given).verdict).toBe('Out')
    expect(must(withChanges('internal-clearance', given)).notes!.join(' ')).toMatch(/before the group’s 23 to 43/)
  })
})

describe('proving', () => {
  it('a pump by its own part, the maker’s limit before the zones', () => {
    figures('pump-vibration', {}, { zone: 'B' })
    expect(held('pump-vibration', 'mmPerS').verdict).toBe('Thin')
    expect(held('pump-vibration', 'mmPerS', { mmPerS: 5.2 }).consequence).toMatch(/zone C/)
    expect(held('pump-vibration', 'mmPerS', { maxMmPerS: 3.5 })).toMatchObject({
      verdict: 'Out',
      source: expect.stringMatching(/maker/),
    })
  })
  it('a shaft by its speed, and by the clearance it turns in', () => {
    figures('shaft-vibration', {}, { zone: 'B', ofClearancePercent: 55 })
    expect(held('shaft-vibration', 'ofClearancePercent', { clearanceUm: 120 }).verdict).toBe('Out')
  })
  it('displacement and velocity, either way', () => {
    figures('displacement-velocity', {}, { velocityMmPerS: (Math.PI * (1480 / 60) * 0.06) / Math.SQRT2 })
    figures(
      'displacement-velocity',
      { given: 'velocity', mmPerS: 2 },
      { displacementUm: ((2 * Math.SQRT2) / (Math.PI * (1480 / 60))) * 1000 },
    )
    refused(withChanges('displacement-velocity', { given: 'velocity' }), /Give the velocity/)
  })
  it('a trial weight is answered with a mass and a place', () => {
    figures(
      'trial-weight',
      { asIs: 4, asIsDeg: 0, withTrial: 2, withTrialDeg: 0, trialG: 10, trialDeg: 90 },
      { massG: 20, placeDeg: 90, fromTrialDeg: 0 },
    )
    expect(held('trial-weight', 'after', { after: 1.6 }).verdict).toBe('Out')
    expect(held('trial-weight', 'after', { after: undefined }).verdict).toBe('Out')
  })
  it('a test under its pressure, too short, or on the wrong gauge does not hold', () => {
    figures('hydrotest', {}, { testMPa: 2.4 })
    expect(held('hydrotest', 'heldMPa', { heldMPa: 2.4 }).verdict).toBe('Holds')
    expect(held('hydrotest', 'heldMPa', { heldMPa: 2.39 }).consequence).toMatch(/not tested/)
    expect(held('hydrotest', 'minutes', { minutes: 29 }).verdict).toBe('Out')
    expect(held('hydrotest', 'gaugeMPa', { gaugeMPa: 2.5 }).consequence).toMatch(/strained/)
    expect(held('hydrotest', 'gaugeMPa', { gaugeMPa: 16 }).consequence).toMatch(/coarse/)
  })
})

describe('studs and faces', () => {
  it('a stretch is a load, judged where the stud is thinnest', () => {
    // M36 B7: 816.7 mm² of thread, a shank of 30 mm 706.9 mm²; 70 and 180 mm, 205 GPa.
    const perN = 70 / (205000 * 816.7234) + 180 / (205000 * ((Math.PI / 4) * 900))
    expect(Number(figure('stud-stretch', 'loadN').value)).toBeCloseTo(0.5 / perN, -1)
    expect(Number(figure('stud-stretch', 'wantedMm').value)).toBeCloseTo(300000 * perN, 6)
    expect(held('stud-stretch', 'loadN', { stretchedMm: 0.3 }).consequence).toMatch(/short of load/)
    expect(held('stud-stretch', 'proofPercent', { stretchedMm: 0.9 }).verdict).toBe('Out')
  })
  it('a tensioner pulls more than it leaves', () => {
    figures('tensioner', {}, { factor: 1.21, pullN: 314600, pressureMPa: 96.8 })
    expect(held('tensioner', 'pressureMPa', { maxMPa: 90 }).consequence).toMatch(/larger/)
  })
  it('two helium bands are 0.59 µm', () => {
    figures('face-flatness', {}, { flatnessUm: 0.5876 })
    expect(held('face-flatness', 'flatnessUm', { bands: 3.1 }).consequence).toMatch(/leaks/)
    expect(held('face-flatness', 'flatnessUm', { bands: 3 }).verdict).toBe('Thin')
    expect(held('face-flatness', 'flatnessUm', { maxBands: undefined }).source).toMatch(/rule of thumb/)
  })
})

describe('a shaft out of true to one end', () => {
  const sweep = (station: string, amplitude: number) => ({
    station,
    readings: Array.from({ length: 8 }, (_, i) => (amplitude * Math.cos((i * Math.PI) / 4)).toFixed(3)).join(' '),
  })
  it.each([
    ['out of true to one end', [8, 20, 40]],
    ['out of true to one end', [40, 20, 8]],
    ['bent', [10, 30, 12]],
    ['bent', [20, 24, 30]],
  ])('%s at %j', (shape, sizes) =>
    expect(figure('shaft-shape', 'shape', { sweeps: sizes.map((one, i) => sweep(String(i), one)) }).value).toBe(shape),
  )
})
