import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { LETTERS, limitsOfClass, fitOfClasses, pressFit, shrinkFit, taperAdvanceMm, type ShrinkFit } from './index.ts'
import { FINE_STEPS_MM, SIZE_STEPS_MM } from './iso286-data.ts'

const hub: ShrinkFit = {
  shaftLeastMm: 80.058,
  shaftGreatestMm: 80.066,
  hubLeastMm: 80.004,
  hubGreatestMm: 80.012,
  shaftBoreMm: 0,
  hubOutsideMm: 150,
  lengthMm: 95,
  shaftOf: 'carbon steel',
  hubOf: 'carbon steel',
  friction: 0.14,
  rzShaftUm: 4,
  rzHubUm: 6,
  shaftRunningC: 20,
  hubRunningC: 20,
  assemblyClearanceUm: 60,
  ambientC: 20,
}

const warm = (changes: Partial<ShrinkFit>) =>
  must(shrinkFit({ ...hub, ...changes })).states.find(one => one.name === 'warm, at rest')!

describe('shrink fits', () => {
  it('grips by the least interference, smoothed, and strains by the greatest', () => {
    const made = must(shrinkFit(hub))
    expect(made.gripUm).toBeCloseTo(46 - 8, 6)
    expect(made.strainUm).toBeCloseTo(62, 6)
    expect(made.states.map(one => [one.name, one.gripUm])).toEqual([['cold, at rest', made.gripUm]])
    expect(made.heatHubToC).toBeCloseTo(20 + 122 / (0.0117 * 80.008), 3)
  })
  it('a hub hotter than its shaft grips less, until it lets go', () => {
    expect(warm({ hubRunningC: 40 }).gripUm).toBeCloseTo(38 - (80.008 * 11.7 * 20) / 1000, 6)
    expect(warm({ hubRunningC: 200 }).torqueNm).toBe(0)
  })
  it('an aluminium hub lets go earlier than a steel one, both alike warm', () =>
    expect(warm({ hubOf: 'aluminium', hubRunningC: 60, shaftRunningC: 60 }).gripUm).toBeLessThan(
      warm({ hubRunningC: 60, shaftRunningC: 60 }).gripUm,
    ))
  it('deep cold contracts steel by less a degree', () => {
    const cold = must(shrinkFit({ ...hub, assemblyClearanceUm: 40 }))
    expect(cold.coolShaftToC).toBeCloseTo(20 - 102 / (0.009 * 80.008), 3)
  })
  it('smoothing may leave nothing', () => refused(shrinkFit({ ...hub, rzHubUm: 60 }), /nothing is left/))
  it('zero interference is refused, since nothing grips', () =>
    refused(shrinkFit({ ...hub, shaftLeastMm: 80.012, shaftGreatestMm: 80.012 })))
  it('interference up, pressure up', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.02, noNaN: true }), more => {
        expect(
          must(
            shrinkFit({ ...hub, shaftLeastMm: hub.shaftLeastMm + more, shaftGreatestMm: hub.shaftGreatestMm + more }),
          ).grip.pressureMPa,
        ).toBeGreaterThanOrEqual(must(shrinkFit(hub)).grip.pressureMPa - 1e-9)
      }),
    )
  })
  it('a hollow shaft takes twice the pressure’s share at its bore', () => {
    const ring = must(
      pressFit({
        interferenceMm: 0.05,
        interfaceMm: 60,
        innerBoreMm: 30,
        outerMm: 120,
        lengthMm: 50,
        innerEMPa: 210000,
        innerPoisson: 0.3,
        outerEMPa: 210000,
        outerPoisson: 0.3,
        friction: 0.12,
      }),
    )
    expect(ring.innerHoopMPa).toBeCloseTo((2 * ring.pressureMPa * 3600) / (3600 - 900), 9)
    expect(ring.hubEquivalentMPa).toBeGreaterThan(ring.hubHoopMPa)
  })
})

describe('tapers', () => {
  it.each([
    [0.06, 16, 0.96],
    [0.1, 10, 1],
    [0.05, 12, 0.6],
  ])('%s on 1 in %s is %s mm', (um, oneIn, mm) => expect(must(taperAdvanceMm(um, oneIn))).toBeCloseTo(mm, 9))
  it.each([
    [0, 16],
    [2, 16],
    [0.05, 3],
    [0.05, 101],
  ])('refuses %s on 1 in %s', (um, oneIn) => refused(taperAdvanceMm(um, oneIn)))
})

describe('size steps of ISO 286', () => {
  const text = (nominal: number, name: string) => JSON.stringify(limitsOfClass(nominal, name))
  const steps = SIZE_STEPS_MM.map((upTo, i) => ({ upTo, before: SIZE_STEPS_MM[i - 1] ?? 1 }))
  it.each(steps)('up to $upTo mm inclusive is one step', ({ upTo, before }) => {
    for (const name of ['H7', 'h6', 'k6', 'g6', 'JS9', 'N9']) {
      expect(text(upTo, name), `${name} at ${upTo}`).toBe(
        text((upTo + Math.max(before, 3.01 > upTo ? 1.5 : before)) / 2, name),
      )
      if (upTo < 500 && name !== 'N9')
        expect(text(upTo + 0.001, name), `${name} over ${upTo}`).not.toBe(text(upTo, name))
    }
  })
  it.each(FINE_STEPS_MM.slice(0, -1).map((upTo, i) => ({ upTo, next: FINE_STEPS_MM[i + 1]! })))(
    's changes over $upTo mm at the latest by its finer step',
    ({ upTo, next }) => {
      expect(text(upTo + 0.001, 's6')).toBe(text(next, 's6'))
    },
  )
  it('a class that is not defined is named', () => {
    refused(limitsOfClass(60, 'K9'), /K9 is not defined for 60 mm/)
    refused(limitsOfClass(0.5, 'N10'), /N10/)
    refused(limitsOfClass(501, 'H7'), /500 mm/)
    refused(limitsOfClass(0, 'H7'))
    must(limitsOfClass(500, 'H7'))
  })
  it('clearance is antisymmetric: a hole and shaft of one letter change over', () => {
    const letters = LETTERS.filter(one => ['c', 'd', 'e', 'f', 'g', 'h', 'js'].includes(one))
    fc.assert(
      fc.property(
        fc.constantFrom(...letters),
        fc.integer({ min: 6, max: 9 }),
        fc.double({ min: 3.01, max: 500, noNaN: true }),
        (letter, grade, nominal) => {
          const onHole = must(fitOfClasses(nominal, `${letter.toUpperCase()}${grade}`, `h${grade}`))
          const onShaft = must(fitOfClasses(nominal, `H${grade}`, `${letter}${grade}`))
          expect(onHole.minClearanceUm).toBeCloseTo(onShaft.minClearanceUm, 9)
          expect(onHole.maxClearanceUm).toBeCloseTo(onShaft.maxClearanceUm, 9)
        },
      ),
    )
  })
})
