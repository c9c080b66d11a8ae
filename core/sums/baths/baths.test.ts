import { describe, expect, it } from 'vitest'
import { refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('baths', () => {
  it.each([
    [120, 5, 40, 15, 105],
    [100, 40, 40, 100, 0],
    [0.5, 2, 100, 0.01, 0.49],
  ])('%s L at %s % from %s %', (volumeL, targetPercent, stockPercent, stockL, waterL) =>
    figures('bath-mix', { volumeL, targetPercent, stockPercent }, { stockL, waterL }),
  )
  it('cannot be stronger than its concentrate', () =>
    refused(withChanges('bath-mix', { targetPercent: 41 }), /stronger than its concentrate/))
  it.each([
    [49.9, 'Out'],
    [50, 'Thin'],
    [57, 'Holds'],
    [65.1, 'Out'],
  ])('at %s °C: %s', (temperatureC, verdict) =>
    expect(figure('bath-mix', 'temperatureC', { temperatureC }).held!.verdict).toBe(verdict),
  )
})

describe('waits', () => {
  it.each([
    [119, 'is too soon to end the soak', 1, 'Open'],
    [120, 'may come out', 240, 'Holds'],
    [350, 'may come out', 10, 'Thin'],
    [360, 'may come out', 0, 'Thin'],
    [361, 'was in too long', null, 'Out'],
  ])('after %s minutes it %s', (doneMin, state, nextMin, verdict) => {
    figures('wait', { doneMin }, { state, nextMin })
    expect(figure('wait', 'doneMin', { doneMin }).held!.verdict).toBe(verdict)
  })
  it('with no longest it may stay', () =>
    figures('wait', { doneMin: 5000, longestMin: undefined }, { state: 'may come out', nextMin: null }))
})
