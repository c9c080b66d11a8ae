import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { figure, withChanges } from '../../tests/sums.ts'
import { verdictOf } from './index.ts'

describe('how figures stand', () => {
  it.each([
    // Readings
    ['tries', 'meanMm', { triesMm: [59.979] }, 'Out', /under what the maker allows/],
    ['series', 'shiftUm', { afterUm: 3 }, 'Thin', null],
    ['series', 'shiftUm', { afterUm: 3.1 }, 'Out', /series again/],
    ['at-20', 'clearanceUm', { soaked: false }, 'Open', null],
    ['at-20', 'clearanceUm', { shaftC: undefined }, 'Open', null],
    ['at-20', 'clearanceUm', { minUm: 28 }, 'Open', null],
    ['at-20', 'clearanceUm', { uncertaintyBoreUm: 0, uncertaintyShaftUm: 0, minUm: 28 }, 'Thin', null],
    ['round-part', 'leastMm', { minMm: 59.984 }, 'Out', /journal is worn/],
    ['end-float', 'floatMm', { maxMm: 0.2 }, 'Out', /wanders/],
    ['lift-check', 'liftMm', { maxMm: 0.12 }, 'Out', /slack/],
    ['runout', 'tirUm', { maxUm: 50 }, 'Out', /bent/],
    ['runout', 'tirUm', { readingsUm: [0, 40, 0, 0, 40, 0, 0, 0], maxUm: 30 }, 'Out', /worn or oval/],
    ['shaft-shape', 'worstUm', { maxUm: 70 }, 'Out', /straighten/],
    ['gaps', 'offsetMm', { maxOffsetMm: 0.07 }, 'Out', /off centre/],
    ['tilt', 'tiltMmPerM', { maxMmPerM: 0.1 }, 'Out', /cocked/],
    ['felt-fit', 'steps', { found: 'slides' }, 'Thin', /Looser/],
    // Fits
    ['measured-fit', 'minClearanceUm', { minUm: 0 }, 'Out', /tighter/],
    [
      'measured-fit',
      'shaftInClass',
      { shaftMm: [60.001, 60.009], minUm: undefined, maxUm: undefined },
      'Out',
      /under its class/,
    ],
    [
      'measured-fit',
      'maxClearanceUm',
      { holeMm: [60.006, 60.04], minUm: undefined, maxUm: undefined },
      'Out',
      /looser/,
    ],
    // Rolling bearings
    ['internal-clearance', 'measuredUm', { measuredUm: 44 }, 'Out', /worn/],
    ['internal-clearance', 'measuredUm', { measuredUm: 43 }, 'Holds', null],
    ['internal-clearance', 'measuredUm', { measuredUm: 22 }, 'Out', /less clearance/],
    ['clearance-after-mounting', 'runningLeastUm', { innerGreatestUm: 5, warmerK: 0 }, 'Holds', null],
    ['clearance-after-mounting', 'runningLeastUm', {}, 'Out', /preloaded/],
    ['mounting-temperature', 'temperatureC', { interferenceUm: 20 }, 'Holds', null],
    ['mounting-temperature', 'temperatureC', { greasedOrSealed: true }, 'Out', /grease/],
    ['mounting-temperature', 'temperatureC', { interferenceUm: 60 }, 'Out', /hardness/],
    ['drive-up', 'leftLeastUm', { minLeftUm: 43 }, 'Out', /preloaded/],
    ['drive-up', 'turnedDeg', { turnedDeg: 90 }, 'Out', /creep/],
    ['drive-up', 'turnedDeg', { turnedDeg: 150 }, 'Out', /spent/],
    ['locknut-slots', 'leavesMm', { tabs: 1, maxMm: 0.3 }, 'Out', /no room/],
    ['locknut-slots', 'offMm', { wantedMm: undefined, betweenMm: 0.17, tabs: 13, stopsGiven: 3 }, 'Holds', null],
    ['locknut-slots', 'offMm', { wantedMm: undefined, betweenMm: 0.17, tabs: 13, stopsGiven: 4 }, 'Out', /too many/],
    ['locknut-slots', 'offMm', { wantedMm: undefined, betweenMm: 0.17, tabs: 13, stopsGiven: 2 }, 'Out', /too few/],
    // Sleeve bearings
    ['plastic-strip', 'clearanceMm', { scale: undefined, widthMm: 0.3 }, 'Open', null],
    ['plastic-strip', 'clearanceMm', { widthMm: 0.85 }, 'Out', /film breaks/],
    ['strip-set', 'taperMm', { maxTaperMm: 0.01 }, 'Out', /one end carries/],
    ['strip-set', 'leastMm', { widthsMm: [0.3, 0.3, 0.3] }, 'Open', null],
    ['skew', 'skewMmPerM', { maxSkewMmPerM: 0.1 }, 'Out', /corners/],
    ['pinch', 'leastMm', { minMm: 0.03 }, 'Out', /can move/],
    ['pinch', 'greatestMm', { maxMm: 0.02 }, 'Out', /closes the bore/],
    ['running-clearance', 'greatestMm', { maxMm: 0.1 }, 'Out', /runs away/],
    ['bush-press', 'clearanceAfterMm', { bushBoreMm: 55.145 }, 'Holds', null],
    ['contact', 'sharePercent', { minShare: 60 }, 'Out', /too little/],
    ['magnetic-centre', 'hotOuterMm', { warmerK: 140 }, 'Out', /rub/],
    ['magnetic-centre', 'hotDriveMm', { warmerK: 140, heldBy: 'its own non-drive end' }, 'Out', /rub/],
    // Press and shrink
    ['press-fit', 'hubEquivalentMPa', { hubYieldMPa: 180 }, 'Out', /yields/],
    ['shrink-fit', 'runningTorqueNm', { torqueNm: 4000 }, 'Out', /slips/],
    ['shrink-fit', 'heatHubToC', { mostHeatC: 120 }, 'Out', /too hot/],
    ['taper-advance', 'advancedMm', { advancedMm: 0.8 }, 'Out', /too little grip/],
    ['taper-advance', 'contactPercent', { contactPercent: 60 }, 'Out', /lap it/],
    // Joints: the nominal up to 90 % of proof, the top of the scatter up to yield
    ['bolt-torque', 'proofPercent', { preloadN: 82000 }, 'Out', /yield/],
    ['bolt-torque', 'proofMostPercent', { preloadN: 69000 }, 'Thin', null],
    ['preload', 'proofMostPercent', { torqueNm: 190, lubrication: 'moly or copper paste' }, 'Out', /yield/],
    ['preload', 'proofPercent', { torqueNm: 190, lubrication: 'moly or copper paste' }, 'Out', /yield/],
    ['elastic-interaction', 'levelPullN', { ceilingN: 110000 }, 'Thin', null],
    // Seals
    ['o-ring', 'stretch', { duty: 'rotary' }, 'Out', /turning shaft/],
    ['o-ring', 'squeeze', { grooveDepthMm: 3.1 }, 'Out', /leaks/],
    ['o-ring', 'fill', { grooveWidthMm: 3.8 }, 'Out', /no room/],
    ['seal-setting', 'compressionMm', { workingLengthMm: 27 }, 'Out', /hot/],
    ['drive-pin', 'heightMm', { heightMm: 2.8 }, 'Out', /jams/],
    ['drive-pin', 'heightMm', { heightMm: 2.1 }, 'Out', /spin/],
    ['springs', 'lossMm', { maxLossMm: 1 }, 'Out', /force/],
    // Stacks
    ['stack', 'worstGreatestMm', { maxMm: 0.7 }, 'Out', /slack/],
    ['stack', 'worstLeastMm', { minMm: 0.4 }, 'Out', /binds/],
    ['shim-choice', 'gapMm', { stock: [{ thicknessMm: 1, count: 1 }] }, 'Out', /slack/],
    // Marks
    ['mark-meets', 'missDeg', { standsDeg: 184 }, 'Out', /no longer meet/],
    ['places', 'wrongCount', { placed: [{ part: 'a', cameFrom: '1', wentTo: '1' }] }, 'Holds', null],
    // Lifting
    ['lifting', 'fromVerticalDeg', { fromVerticalDeg: 45 }, 'Thin', null],
    ['lifting', 'fromVerticalDeg', { fromVerticalDeg: 60.5 }, 'Out', /together/],
    [
      'lift-plan',
      'item1Percent',
      { items: [{ name: 'sling', swlKN: 5, use: 'a choked leg', ratingAtAngle: 1 }] },
      'Out',
      /overloaded/,
    ],
    ['lift-plan', 'headroomLeftM', { neededM: 3.3 }, 'Out', /high enough/],
    ['lift-plan', 'floorKPa', { floorKPa: 5 }, 'Out', /planks/],
    // Baths
    ['bath-mix', 'temperatureC', { temperatureC: 45 }, 'Out', /too cold/],
    ['wait', 'doneMin', {}, 'Open', null],
    ['wait', 'doneMin', { doneMin: 400 }, 'Out', /soaked too long/],
    // Proving
    ['run-record', 'slopePerHour', { windowMin: 200 }, 'Open', null],
    ['run-record', 'rise', { maxRise: 30 }, 'Out', /hot/],
    ['vibration', 'mmPerS', { mmPerS: 2.9 }, 'Out', /zone C/],
    ['vibration', 'mmPerS', { mmPerS: 2.1 }, 'Thin', /zone B: it may run on/],
    ['vibration', 'mmPerS', { mmPerS: 5 }, 'Out', /zone D/],
    ['vibration', 'mmPerS', { mmPerS: 1.4 }, 'Holds', null],
    ['insulation', 'at40MOhm', { minMOhm: 200 }, 'Out', /damp/],
    ['balance', 'leftGmm', { leftGmm: 2000 }, 'Out', /shakes/],
    ['commutator', 'stepUm', { maxStepUm: 2 }, 'Out', /brushes chip/],
    ['leak-test', 'leakMPa', { maxDropMPa: 0.0005 }, 'Out', /leaks/],
    ['hand-turn', 'felt', { felt: 'even drag' }, 'Thin', /drag/],
  ] as const)('%s, %s, %j: %s', (name, key, changes, verdict, says) => {
    const { held } = figure(name, key, changes)
    expect(held!.verdict).toBe(verdict)
    if (says) expect(held!.consequence).toMatch(says)
    else expect(held!.consequence).toBeNull()
  })
  it('the whole is as its worst', () => {
    expect(
      verdictOf(
        must(
          withChanges('lift-plan', { items: [{ name: 'hook', swlKN: 5, use: 'the whole load', ratingAtAngle: 1 }] }),
        ),
      ),
    ).toBe('Out')
    expect(verdictOf(must(withChanges('clock', {})))).toBeNull()
  })
  it('the maker goes before the table, and the answer says which', () => {
    expect(figure('pinch', 'leastMm', {}).held!.source).toMatch(/maker’s manual/)
    expect(figure('o-ring', 'squeeze', {}).held!.source).toMatch(/general range, static/)
    expect(figure('pinch', 'leastMm', { minMm: undefined, maxMm: undefined }).held).toMatchObject({
      verdict: 'Open',
      source: expect.stringMatching(/no limit given/),
    })
  })
})

describe('a shaft along its length', () => {
  const sweep = (station: string, amplitude: number, deg: number) => ({
    station,
    readings: Array.from({ length: 8 }, (_, i) =>
      (amplitude * Math.cos((i * Math.PI) / 4 - (deg * Math.PI) / 180)).toFixed(3),
    ).join(' '),
  })
  it.each([
    ['bent', [sweep('a', 10, 90), sweep('b', 30, 90), sweep('c', 10, 95)]],
    ['cranked or cocked centres', [sweep('a', 20, 0), sweep('b', 20, 180)]],
    ['true', [sweep('a', 2, 0), sweep('b', 3, 200)]],
    ['worn or oval', [{ station: 'a', readings: '0 30 0 30 0 30 0 30' }, sweep('b', 20, 0)]],
  ])('%s', (shape, sweeps) => expect(figure('shaft-shape', 'shape', { sweeps }).value).toBe(shape))
  it.each([
    [[{ station: 'a', readings: '1 2 3' }, sweep('b', 1, 0)], /a: A sweep needs at least 4/],
    [[{ station: 'a', readings: '1 2 x 4' }, sweep('b', 1, 0)], /not a figure/],
  ])('refuses what is no sweep', (sweeps, why) => refused(withChanges('shaft-shape', { sweeps }), why))
})

describe('what is refused, and why', () => {
  it.each([
    ['limits-and-fits', { hole: 'h7' }, /shaft class. A hole has a capital letter/],
    ['limits-and-fits', { shaft: 'K6' }, /hole class/],
    ['limits-and-fits', { hole: 'Z9' }, /not a class known here/],
    ['measured-fit', { shaftMm: [60.004, 6.0009] }, /far from the nominal/],
    ['measured-fit', { minUm: 20 }, /Change them round/],
    ['bearing-seat', { seat: 'H7' }, /hole class; the inner ring/],
    ['bearing-seat', { ring: 'outer, in the housing' }, /shaft class; the outer ring/],
    ['class-of-measured', { leastMm: 59.9 }, /No grade of k/],
    ['bolt-torque', { thread: undefined, diameterMm: 16, pitchMm: 9 }, /does not go with that thread/],
    ['bolt-torque', { thread: undefined, diameterMm: 48, pitchMm: 5 }, /8.8 is not defined for 48 mm/],
    ['preload', { prevailingNm: 120 }, /uses up/],
    ['thread', { thread: 'M17' }, /M17/],
    ['bolt-order', { bolts: undefined }, /how many bolts/],
    ['bolt-order', { layout: 'round a rectangle' }, /a side has/],
    ['elastic-interaction', { passesPercent: [60, 30, 100] }, /rising shares/],
    ['elastic-interaction', { patterns: ['four tools at once'], bolts: 6 }, /shared out/],
    ['magnetic-centre', { magneticMm: 0 }, /against a stop/],
    [
      'seal-cause',
      { faces: undefined, rings: undefined, springs: undefined, sleeve: undefined, drive: undefined },
      /what was seen/,
    ],
    ['places', { placed: [{ part: 'a', cameFrom: '', wentTo: '1' }] }, /the place it came from/],
    ['leak-test', { endMPaAbs: 5 }, /read absolute/],
    ['vibration', { other: 'pump' }, /pump is not judged/],
    ['end-float', { minMm: 0.3, maxMm: 0.2 }, /Change them round/],
    ['shim-choice', { leastMm: 0.5, greatestMm: 0.3 }, /Change them round/],
  ] as const)('%s %j', (name, changes, why) => refused(withChanges(name, changes), why))
})

describe('workings', () => {
  const sums = (name: string, changes: Record<string, unknown> = {}) =>
    must(withChanges(name, changes)).working.map(one => one.sum)
  it('have their numbers put in, those below nought in brackets', () => {
    expect(sums('limits-and-fits', { hole: 'K7', shaft: 'h6' })).toEqual(['9 − (-19)', '-21 − 0'])
    expect(sums('runout')[0]).toBe('34 − (-24)')
    expect(sums('press-fit')[0]).toBe(
      '0.06/(60·(((110² + 60²)/(110² − 60²) + 0.3)/210000 + ((60² + 0²)/(60² − 0²) − 0.3)/210000))',
    )
    expect(sums('shrink-fit', { hubOf: 'bronze' })[2]).toBe('38 + 80.008·(11.7·25 − 18·40)/1000')
    expect(sums('plastic-strip')[1]).toBe('0.098 + (0.6 − 0.5)/(0.7 − 0.5)·(0.07 − 0.098)')
    expect(sums('plastic-strip', { widthMm: 0.5 })[1]).toBe('0.098, on a line of the scale')
  })
})

describe('schools, side by side', () => {
  it.each([
    ['mounting-temperature', ['Induction', 'Oil bath', 'Oven']],
    ['drive-up', ['By feeler gauge', 'By nut angle']],
    ['plastic-strip', ['Printed scale', 'Volume']],
    ['running-clearance', ['oil-ring motors and gear sets', 'high speed or water', 'a thou an inch, and one']],
    ['elastic-interaction', ['Star', 'Two opposite, then round', 'Round']],
    ['pinch', ['Slight grip', 'None']],
    ['stack', ['Worst case', 'Root-sum-square']],
    ['bolt-torque', ['Nut factor', '75 % of proof, without scatter', '90 % of proof, without scatter']],
  ] as const)('%s', (name, names) => {
    const { schools } = must(withChanges(name, {}))
    expect(schools!.map(one => one.name)).toEqual(names)
    expect(schools!.every(one => one.why.length > 10)).toBe(true)
  })
  it('paste for a dry thread adds half as much load again, and says so', () => {
    const { notes, schools } = must(withChanges('preload', {}))
    expect(notes!.join()).toMatch(/half as much load again/)
    const load = (name: string) => Number.parseFloat(schools!.find(one => one.name === name)!.gives)
    expect(load('Moly or copper paste') / load('Dry')).toBeCloseTo(1.54, 1)
  })
})
