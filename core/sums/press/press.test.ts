import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('two rings', () => {
  it('no interference presses nothing', () =>
    figures(
      'press-fit',
      { interferenceMm: 0 },
      { pressureMPa: 0, forceN: 0, torqueNm: 0, hubEquivalentMPa: 0, boreClosureMm: 0 },
    ))
  it('twice the interference is twice of everything', () => {
    const at = (interferenceMm: number, key: string) => Number(figure('press-fit', key, { interferenceMm }).value)
    for (const key of ['pressureMPa', 'forceN', 'torqueNm', 'hubEquivalentMPa', 'outerGrowthMm'])
      expect(at(0.08, key)).toBeCloseTo(2 * at(0.04, key), 6)
  })
  it('a hollow shaft is strained at its own bore', () => {
    figures('press-fit', { innerBoreMm: 0 }, { innerHoopMPa: Number(figure('press-fit', 'pressureMPa').value) })
    const p = Number(figure('press-fit', 'pressureMPa', { innerBoreMm: 40 }).value)
    figures('press-fit', { innerBoreMm: 40 }, { innerHoopMPa: (2 * p * 60 ** 2) / (60 ** 2 - 40 ** 2) })
  })
  it.each([
    [{ innerBoreMm: 60 }, /inside the fitted diameter/],
    [{ outerMm: 60 }, /inside the outside diameter/],
  ])('%j is refused', (changes, why) => refused(withChanges('press-fit', changes), why))
})

describe('a hub shrunk on', () => {
  it('grips by the least, strains by the greatest, and what is left hot', () =>
    figures(
      'shrink-fit',
      { speedPerMin: 0 },
      {
        gripUm: 38,
        strainUm: 62,
        pressureMPa: 35.6819277,
        hubEquivalentMPa: 142.8200771,
        heatHubToC: 150.3288475,
        coolShaftToC: -149.4275017,
        runningGripUm: 23.958596,
        runningTorqueNm: 3008.599803,
      },
    ))
  it('a hub much hotter than its shaft lets go', () => {
    figures('shrink-fit', { hubRunningC: 140 }, { runningTorqueNm: 0 })
    expect(figure('shrink-fit', 'runningTorqueNm', { hubRunningC: 140 }).held).toMatchObject({
      verdict: 'Out',
      consequence: 'the hub slips on its shaft',
    })
  })
  it('both parts alike keep their grip at any heat', () =>
    figures('shrink-fit', { speedPerMin: 0, shaftRunningC: 180, hubRunningC: 180 }, { runningGripUm: 38 }))
  it('a thin-walled shaft yields first', () =>
    expect(figure('shrink-fit', 'innerHoopMPa', { shaftBoreMm: 60, shaftYieldMPa: 120 }).held).toMatchObject({
      verdict: 'Out',
      limits: { max: 120 },
    }))
  it('rough seats leave nothing', () =>
    refused(withChanges('shrink-fit', { rzShaftUm: 40, rzHubUm: 40 }), /nothing is left once the surfaces/))
})

describe('on a taper', () => {
  it.each([
    [0.06, 16, 0.96],
    [0.05, 12, 0.6],
    [0.001, 100, 0.1],
  ])('%s mm at 1 in %s advances %s mm', (interferenceMm, oneIn, advanceMm) =>
    figures('taper-advance', { interferenceMm, oneIn }, { advanceMm }),
  )
  it.each([
    [0.864, 'Thin'],
    [0.96, 'Holds'],
    [1.06, 'Out'],
    [0.86, 'Out'],
  ])('advanced %s of 0.96 mm: %s', (advancedMm, verdict) =>
    expect(figure('taper-advance', 'advancedMm', { advancedMm }).held!.verdict).toBe(verdict),
  )
  it('says to keep the nut on', () =>
    expect(must(withChanges('taper-advance')).notes![0]).toMatch(/keep the nut on a few threads/))
})
