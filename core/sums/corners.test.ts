import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must } from '../../tests/must.ts'
import { figure, figures, withChanges } from '../../tests/sums.ts'
import { SUMS, sumNamed, runSum, verdictOf } from './index.ts'

const value = (name: string, key: string, changes: Record<string, unknown> = {}) =>
  Number(figure(name, key, changes).value)
const held = (name: string, key: string, changes: Record<string, unknown> = {}) => figure(name, key, changes).held!
const verdict = (name: string, changes: Record<string, unknown>) => verdictOf(must(withChanges(name, changes)))

describe('hot and turning parts', () => {
  const AT_REST = { speedPerMin: 0, shaftRunningC: 20, hubRunningC: 20 }
  it('a shaft hotter than its hub strains it beyond yield, which cold it does not', () => {
    const cold = held('shrink-fit', 'hubEquivalentMPa', AT_REST)
    expect(cold.verdict).toBe('Holds')
    // 200 K over 80 mm of steel adds d·α·ΔT to the interference; strain is proportional to it.
    const hot = { ...AT_REST, shaftRunningC: 220 }
    const gainUm = 80.008 * 11.7 * 0.2
    expect(value('shrink-fit', 'hubEquivalentMPa', hot)).toBeCloseTo(
      (value('shrink-fit', 'hubEquivalentMPa', AT_REST) * (62 + gainUm)) / 62,
      6,
    )
    expect(held('shrink-fit', 'hubEquivalentMPa', hot).verdict).toBe('Out')
    expect(figure('shrink-fit', 'hubEquivalentMPa', hot).what).toMatch(/warm, at rest/)
  })
  it('a hub that has lost its grip is Out, with or without a torque to carry', () => {
    for (const torqueNm of [undefined, 1200])
      expect(held('shrink-fit', 'runningTorqueNm', { ...AT_REST, hubRunningC: 120, torqueNm })).toMatchObject({
        verdict: 'Out',
        consequence: 'the hub slips on its shaft',
      })
    // It stays open only where it grips and nobody said how much is wanted.
    expect(held('shrink-fit', 'runningTorqueNm', { torqueNm: undefined }).verdict).toBe('Open')
  })
  it('speed opens the hub by what two turning discs grow (worked by hand)', () => {
    // ρω²/4 at 6000/min: 7850·(628.3185)²/4 = 774 755 600 N/m⁴; bore of the hub: σ = that·((3.3)·0.075² + 0.7·0.040004²).
    const q = (7850 * (2 * Math.PI * 100) ** 2) / 4
    const [a, b] = [0.040004, 0.075]
    const hub = (2 * a * q * (3.3 * b ** 2 + 0.7 * a ** 2)) / 210e9
    const shaft = (2 * a * q * 0.7 * a ** 2) / 210e9
    const lost = (hub - shaft) * 1e6
    expect(value('shrink-fit', 'runningGripUm', { ...AT_REST, speedPerMin: 6000 })).toBeCloseTo(38 - lost, 6)
    expect(lost).toBeGreaterThan(5)
  })
  it('fast enough, any hub lets go, and says at which state', () => {
    const fast = { ...AT_REST, speedPerMin: 30000 }
    expect(held('shrink-fit', 'runningTorqueNm', fast).verdict).toBe('Out')
    expect(figure('shrink-fit', 'runningTorqueNm', fast).what).toMatch(/cold, at speed/)
  })
  it('both parts alike and slow, nothing changes', () =>
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 300 }), c => {
        expect(value('shrink-fit', 'runningGripUm', { speedPerMin: 0, shaftRunningC: c, hubRunningC: c })).toBeCloseTo(
          38,
          6,
        )
      }),
    ))
  it('hotter never grips better where the hub is the hotter', () =>
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 390 }), fc.integer({ min: 1, max: 10 }), (hubC, more) => {
        const grip = (c: number) => value('shrink-fit', 'runningGripUm', { ...AT_REST, hubRunningC: c })
        expect(grip(hubC + more)).toBeLessThanOrEqual(grip(hubC) + 1e-9)
      }),
    ))
  it('no temperature is shown that no shop can make', () => {
    const tight = { shaftLeastMm: 80.2, shaftGreatestMm: 80.21 }
    expect(figure('shrink-fit', 'coolShaftToC', tight).value).toBeNull()
    expect(must(withChanges('shrink-fit', tight)).notes!.join(' ')).toMatch(/No cold of a shop reaches/)
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), um => {
        const cool = figure('shrink-fit', 'coolShaftToC', {
          shaftLeastMm: 80.058 + um / 1000,
          shaftGreatestMm: 80.066 + um / 1000,
        }).value
        if (cool !== null) expect(cool).toBeGreaterThanOrEqual(-196)
      }),
    )
  })
  it('with the shaft in dry ice the hub need be heated by so much less', () => {
    // 98 K of cold on 80 mm of steel shrink it by 91.7 µm; 62 + 60 µm are wanted.
    figures('shrink-fit', {}, { heatWithDryIceToC: 20 + (122 - 0.0117 * 80.008 * 98) / (0.0117 * 80.008) })
  })
  it('what bursts a pressed bush is judged', () => {
    expect(held('bush-press', 'hubHoopMPa').verdict).toBe('Holds')
    expect(held('bush-press', 'hubHoopMPa', { housingYieldMPa: 20 }).consequence).toMatch(/yields or cracks/)
    expect(held('bush-press', 'innerHoopMPa', { bushYieldMPa: 60 }).verdict).toBe('Out')
  })
})

describe('half given is open, and says what is missing', () => {
  it.each([
    ['lift-plan', { layDownM2: undefined }, /Lay-down area/],
    ['lift-plan', { neededM: undefined }, /Headroom needed/],
    ['lift-plan', { headroomM: undefined }, /“Headroom”/],
    ['insulation', { tenMinutesMOhm: undefined }, /After ten minutes/],
    ['bath-mix', { temperatureC: undefined }, /It is at/],
    ['taper-advance', { contactPercent: undefined }, /“Contact by blue”/],
    ['drive-up', { measuredUm: undefined }, /Clearance before/],
    ['run-record', { ambient: undefined }, /Air around/],
    ['commutator', { undercutsMm: undefined }, /Undercut of the mica/],
    ['commutator', { springN: undefined }, /Brush spring/],
    ['seal-setting', { gasketEachMm: undefined }, /Each gasket/],
    ['balance', { toPlaneBM: undefined }, /plane B/],
    ['preload', { headFriction: undefined }, /Friction, head/],
  ] as const)('%s without %j', (name, changes, words) => {
    expect(figure(name, 'notGiven', changes)).toMatchObject({
      value: expect.stringMatching(words),
      held: { verdict: 'Open' },
    })
    expect(['Open', 'Out']).toContain(verdict(name, changes))
  })
  it('what is given whole asks for nothing', () => {
    for (const sum of SUMS)
      expect(
        must(runSum(sum, sum.example)).figures.map(one => one.key),
        sum.name,
      ).not.toContain('notGiven')
  })

  /** Fields that may be left out and limit nothing. */
  const NO_LIMIT = new Set(
    [
      'at-20 boreC shaftC',
      'found-left bestMm',
      'lift-check toBearingMm toDialMm',
      'bearing-fit outsideMm',
      'lift-plan layDownM2',
      'lifting massKg weightKN',
      'preload nutFactor',
      'bolt-order bolts along across',
      'elastic-interaction diameterMm',
      'run-record ambient',
      'hand-turn atDeg',
      'bath-mix temperatureC',
      'balance toPlaneAM toPlaneBM leftGmm',
      'taper-advance advancedMm contactPercent',
      'insulation tenMinutesMOhm',
      'drive-up measuredUm turnedDeg',
      'internal-clearance measuredUm',
      'displacement-velocity peakToPeakUm mmPerS',
    ].flatMap(words => {
      const [name, ...keys] = words.split(' ')
      return keys.map(key => `${name} ${key}`)
    }),
  )
  const limits = SUMS.flatMap(sum =>
    Object.entries(sum.fields).flatMap(([key, field]) =>
      field.type === 'number' && field.optional && !NO_LIMIT.has(`${sum.name} ${key}`) ? [{ sum, key, field }] : [],
    ),
  )
  it.each(limits.map(one => [one.sum.name, one.key, one] as const))(
    '%s: a %s alone is never passed over',
    (_, key, { sum, field }) => {
      const bare = Object.fromEntries(
        Object.entries(sum.example).filter(([name]) => !sum.fields[name]!.optional || sum.fields[name]!.only),
      )
      // At one end of what can be typed a limit is broken, or the sum stays open; it never holds at both.
      const verdicts = field.span.flatMap(end => {
        const answer = runSum(sum, { ...bare, [key]: end })
        // What is refused by name is not passed over either.
        return answer.ok ? [verdictOf(answer.value)] : ['Open']
      })
      expect(verdicts.some(one => one === 'Out' || one === 'Open')).toBe(true)
    },
  )
  it('there are such limits', () => expect(limits.length).toBeGreaterThan(40))
})

describe('the worst, not the mean', () => {
  it('strips and bores hand a sheet their worst place', () => {
    const tries = (name: string, changes: object) => must(withChanges(name, { ...changes })).reading!.tries[0]![0]!
    const wide = { boresMm: [80.102, 80.2], journalsMm: [80.004, 80.008] }
    expect(tries('running-clearance', wide)).toBeCloseTo(0.196, 9)
    expect(tries('running-clearance', { minMm: undefined, maxMm: undefined })).toBeCloseTo(0.094, 9)
    const least = figure('strip-set', 'leastMm').value
    expect(tries('strip-set', {})).toBe(least)
  })
  const end = (wireMm: number) => ({ wireMm, shimLeftMm: 0.4, shimRightMm: 0.4 })
  it('one loose end is a loose cap, however well the other grips', () => {
    const ends = [end(0.34), end(0.42)]
    figures('pinch', { ends }, { meanMm: 0.02, leastMm: -0.02, greatestMm: 0.06, says: 'leaves the shell loose' })
    expect(held('pinch', 'leastMm', { ends }).verdict).toBe('Out')
    expect(held('pinch', 'greatestMm', { ends }).verdict).toBe('Out')
    expect(must(withChanges('pinch', { ends: [end(0.34), end(0.38)] })).reading!.tries).toEqual([
      [expect.closeTo(0.06, 9)],
    ])
  })
  it('tries that ask to be measured again hold nothing', () => {
    const triesMm = [59.984, 59.99, 59.996]
    figures('tries', { triesMm }, { measureAgain: true })
    expect(held('tries', 'meanMm', { triesMm })).toMatchObject({
      verdict: 'Open',
      source: expect.stringMatching(/measure again/),
    })
    const pairs = [0.12, 0.2].map(otherWayMm => ({ oneWayMm: 0, otherWayMm }))
    expect(held('end-float', 'floatMm', { pairs }).verdict).toBe('Open')
  })
  const corners = (...ticked: [row: number, column: number][]) =>
    Array.from({ length: 24 }, (_, i) => (ticked.some(([r, c]) => r * 6 + c === i) ? 1 : 0))
  it.each([
    ['opposite corners', corners([0, 0], [0, 1], [1, 0], [2, 5], [3, 4], [3, 5])],
    ['opposite corners', corners([0, 4], [1, 5], [2, 1], [3, 0])],
    ['both ends only', [...Array(6).fill(1), ...Array(12).fill(0), ...Array(6).fill(1)]],
    ['the middle of its length only', [...Array(6).fill(0), ...Array(12).fill(1), ...Array(6).fill(0)]],
    ['one end only', [...Array(12).fill(1), ...Array(12).fill(0)]],
    ['one edge only', Array.from({ length: 24 }, (_, i) => (i % 6 < 3 ? 1 : 0))],
    ['well spread', Array(24).fill(1)],
  ])('contact on %s', (says, squares) => {
    figures('contact', { squares }, { says })
    expect(held('contact', 'says', { squares }).verdict).toBe(says === 'well spread' ? 'Holds' : 'Out')
  })
})

describe('toward or away', () => {
  const moved = (foundMm: number, leftMm: number, limits: Record<string, unknown>) =>
    figure('found-left', 'moved', { minMm: undefined, maxMm: undefined, bestMm: undefined, foundMm, leftMm, ...limits })
      .value
  it.each([
    [8, 6, { minMm: 5 }, 'toward the limit'],
    [6, 8, { minMm: 5 }, 'away from the limit'],
    [4, 4.5, { minMm: 5 }, 'away from the limit'],
    // The best end stands on the limit: under it is out, and coming back in is away.
    [0.25, 0.31, { minMm: 0.3, maxMm: 0.6, bestMm: 0.3 }, 'away from the limit'],
    [0.31, 0.25, { minMm: 0.3, maxMm: 0.6, bestMm: 0.3 }, 'toward the limit'],
    [0.31, 0.5, { minMm: 0.3, maxMm: 0.6, bestMm: 0.3 }, 'toward the limit'],
    [0.7, 0.65, { maxMm: 0.6 }, 'away from the limit'],
    [0.2, 0.8, { minMm: 0, maxMm: 1 }, 'as near as before'],
    [0.2, 0.8, {}, 'no limit to go by'],
    [-0.1, -0.2, { maxMm: 0.6 }, 'away from the limit'],
  ])('%s, then %s, within %j: %s', (found, left, limits, says) => expect(moved(found, left, limits)).toBe(says))
  it('turned about, it always says the opposite', () => {
    const mm = fc.integer({ min: -50, max: 50 }).map(one => one / 10)
    const opposite: Record<string, string> = {
      'toward the limit': 'away from the limit',
      'away from the limit': 'toward the limit',
    }
    fc.assert(
      fc.property(mm, mm, fc.constantFrom({ minMm: 0 }, { maxMm: 2 }, { minMm: -1, maxMm: 3 }), (a, b, limits) => {
        const there = String(moved(a, b, limits))
        expect(moved(b, a, limits)).toBe(opposite[there] ?? there)
      }),
    )
  })
})

describe('directions are asked', () => {
  it('growth goes where the shaft is not held; not known, the worse counts on both sides', () => {
    const grow = (heldBy: string) => ({
      outer: value('magnetic-centre', 'hotOuterMm', { heldBy }),
      drive: value('magnetic-centre', 'hotDriveMm', { heldBy }),
    })
    const [driven, own, unknown] = ['the driven machine', 'its own non-drive end', 'not known'].map(grow)
    expect(unknown!.outer).toBeCloseTo(Math.min(driven!.outer, own!.outer), 9)
    expect(unknown!.drive).toBeCloseTo(Math.min(driven!.drive, own!.drive), 9)
    // Left out is not known.
    expect(sumNamed('magnetic-centre')!.fields.heldBy!.fallback).toBe('not known')
  })
  it('a rotor that runs further off than the coupling floats is held off its field', () => {
    expect(held('magnetic-centre', 'runsOffSetMm', { magneticMm: 8.41 })).toMatchObject({
      verdict: 'Out',
      consequence: expect.stringMatching(/off its field/),
    })
    expect(held('magnetic-centre', 'runsOffSetMm', { magneticMm: 8.4 }).verdict).not.toBe('Out')
  })
  it('a gasket moves the mark of a seal outside away from the chamber, and of one inside toward it', () => {
    const mark = (sits: string, gasketMm: number) => value('seal-setting', 'markMm', { sits, gasketMm, glandMm: 0 })
    expect(mark('outside the gland plate', 1) - mark('outside the gland plate', 0)).toBeCloseTo(1, 9)
    expect(mark('inside, in the chamber', 1) - mark('inside, in the chamber', 0)).toBeCloseTo(-1, 9)
  })
  it('nobody sets a seal without saying where it sits', () => {
    const { sits } = sumNamed('seal-setting')!.fields
    expect([sits!.optional, sits!.fallback]).toEqual([undefined, undefined])
  })
})

describe('void and superseded', () => {
  const rounds = (...all: [number, string?][]) => ({
    rounds: all.map(([reads, voidBecause]) => ({ value: reads, ...(voidBecause ? { voidBecause } : {}) })),
  })
  it('a void last round lets no older build hold', () => {
    const given = rounds([0.07], [0.2, 'bolt 4 was loose'])
    expect(held('fit-up-rounds', 'lastMm', given)).toMatchObject({
      verdict: 'Open',
      source: expect.stringMatching(/taken apart/),
    })
    expect(must(withChanges('fit-up-rounds', given)).reading).toBeUndefined()
    expect(held('fit-up-rounds', 'lastMm', rounds([0.2, 'bolt 4 was loose'], [0.07])).verdict).toBe('Holds')
  })
  it('a vacuum leaks inward: the rise is what counts', () => {
    const vacuum = { startMPaAbs: 0.005, startC: 20, endC: 20, maxDropMPa: 0.001 }
    expect(value('leak-test', 'leakMPa', { ...vacuum, endMPaAbs: 0.012 })).toBeCloseTo(0.007, 9)
    expect(held('leak-test', 'leakMPa', { ...vacuum, endMPaAbs: 0.012 })).toMatchObject({
      verdict: 'Out',
      consequence: expect.stringMatching(/air comes in/),
    })
    expect(held('leak-test', 'leakMPa', { ...vacuum, endMPaAbs: 0.0052 }).verdict).toBe('Holds')
    // Out of the gas law alone: 30 K warmer at one volume is p·303.15/293.15, and no leak.
    expect(value('leak-test', 'leakMPa', { ...vacuum, endC: 30, endMPaAbs: (0.005 * 303.15) / 293.15 })).toBeCloseTo(
      0,
      12,
    )
  })
  it('a pressure that rises in a pressure test has not passed it', () =>
    expect(held('leak-test', 'leakMPa', { startC: 20, endC: 20, endMPaAbs: 0.72 }).verdict).toBe('Open'))
  it('not steady yet is open, and so is what is read meanwhile; past its limit is out at once', () => {
    const samples = Array.from({ length: 7 }, (_, i) => ({ minute: i * 10, value: 22 + i * 4 }))
    expect(held('run-record', 'slopePerHour', { samples })).toMatchObject({
      verdict: 'Open',
      source: expect.stringMatching(/run on/),
    })
    expect(held('run-record', 'rise', { samples }).verdict).toBe('Open')
    expect(held('run-record', 'rise', { samples, maxRise: 20 }).verdict).toBe('Out')
  })
  it('nothing left after drive-up is out without anybody typing a least', () => {
    const given = { measuredUm: 40, minLeftUm: undefined }
    // 0.6 ‰ of 80 mm is 48 µm: of 40 nothing is left.
    expect(value('drive-up', 'leftLeastUm', given)).toBeCloseTo(-8, 9)
    expect(held('drive-up', 'leftLeastUm', given).verdict).toBe('Out')
  })
  it('a seal that is sound all over gives no cause', () => {
    const sound = {
      faces: 'good, even track',
      rings: 'sound',
      springs: 'free and alike',
      sleeve: 'clean',
      drive: 'clean',
    }
    figures('seal-cause', sound, { likely: 'nothing stands out' })
    figures('seal-cause', { ...sound, rings: 'hard or set' }, { likely: 'O-ring worn or set' })
  })
  it('a tie has no odd one out', () => {
    figures('tries', { triesMm: [59.98, 59.985, 59.99] }, { furthest: null })
    figures('springs', { freeMm: [25, 25.2, 25.4] }, { odd: null })
    figures('springs', { freeMm: [25, 25, 24, 24] }, { odd: null })
    figures('springs', { freeMm: [25, 25, 25, 24] }, { odd: 4 })
  })
})

describe('bolts and their proof', () => {
  it('a usual table torque holds at nominal, and its scatter is warned of', () => {
    // 75 % of proof: 0.75·600·244.8 N on M20 8.8 (ISO 898-1), oiled: T = 0.17·20·F.
    const torqueNm = (0.17 * 20 * 0.75 * 600 * 244.79) / 1000
    const given = { thread: 'M20', boltClass: '8.8', torqueNm, lubrication: 'oiled', method: 'click wrench' }
    expect(value('preload', 'proofPercent', given)).toBeCloseTo(75, 2)
    expect(held('preload', 'proofPercent', given).verdict).toBe('Holds')
    expect(value('preload', 'proofMostPercent', given)).toBeCloseTo(93.75, 2)
    expect(held('preload', 'proofMostPercent', given).verdict).toBe('Thin')
    expect(held('preload', 'proofMostPercent', { ...given, method: 'tensioner' }).verdict).toBe('Holds')
  })
  it('out where the top of the scatter yields, or the nominal passes 90 % of proof', () => {
    // 8.8 over M16: yield 660 on proof 600 is 110 %.
    const at = (share: number) => ({
      thread: 'M20',
      boltClass: '8.8',
      torqueNm: (0.17 * 20 * share * 600 * 244.79) / 1000,
      lubrication: 'oiled',
      method: 'click wrench',
    })
    expect(held('preload', 'proofMostPercent', at(0.879)).verdict).toBe('Thin')
    expect(held('preload', 'proofMostPercent', at(0.881)).verdict).toBe('Out')
    expect(held('preload', 'proofPercent', at(0.899)).verdict).toBe('Holds')
    expect(held('preload', 'proofPercent', at(0.901)).verdict).toBe('Out')
  })
  it('says which school its limit is of', () =>
    expect(must(withChanges('preload')).schools!.map(one => one.name)).toContain('75 % of proof, without scatter'))
})

describe('where class and maker disagree', () => {
  it('the maker goes before, and both are said', () => {
    // 60 H7/k6 makes −21 to +28 µm; the maker wants 5 to 40.
    const given = { holeMm: [60.02], shaftMm: [59.985], minUm: 5, maxUm: 40 }
    expect(verdict('measured-fit', given)).toBe('Holds')
    expect(must(withChanges('measured-fit', given)).notes!.join(' ')).toMatch(/By H7\/k6 alone.*Failed/)
    figures('measured-fit', given, { shaftInClass: 'not in k6' })
    expect(verdict('measured-fit', { ...given, minUm: undefined, maxUm: undefined })).toBe('Out')
  })
  it('the loosest end is judged, not the mean of a fit', () => {
    const given = { holeMm: [60.006, 60.034], shaftMm: [60.004], minUm: undefined, maxUm: undefined }
    expect(value('measured-fit', 'meanClearanceUm', given)).toBeCloseTo(16, 6)
    expect(held('measured-fit', 'maxClearanceUm', given).verdict).toBe('Out')
  })
})
