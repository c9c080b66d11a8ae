import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'

describe('sling legs', () => {
  const angle = (more: Record<string, unknown> = {}) => ({ massKg: undefined, weightKN: 8, ...more })
  const place = { known: 'where the weight sits', cgFromLeftM: 0.6, cgFromRightM: 0.9, hookHeightM: 1.2 }
  it('equal legs by their angle', () => figures('lifting', angle(), { equalLegKN: 4.6188022 }))
  it('unequal ones by where the weight sits, and by nothing else', () => {
    figures('lifting', angle(place), { leftKN: 5.3665631, rightKN: 4, leftDeg: 26.5650512, rightDeg: 36.8698976 })
    expect(figure('lifting', 'equalLegKN', angle(place))).toBeUndefined()
    expect(
      figure('lifting', 'leftKN', angle({ cgFromLeftM: 0.6, cgFromRightM: 0.9, hookHeightM: 1.2 })),
    ).toBeUndefined()
  })
  it('a mass weighs what it weighs', () => {
    figures('lifting', { massKg: 1000, fromVerticalDeg: 0 }, { hangsKN: 9.80665, equalLegKN: 4.903325 })
    refused(withChanges('lifting', { weightKN: 8 }), /not both/)
    refused(withChanges('lifting', { massKg: undefined }), /the mass that hangs/)
  })
  it('asks for what the chosen way wants', () => {
    refused(withChanges('lifting', { fromVerticalDeg: undefined }), /leans from the vertical/)
    refused(withChanges('lifting', { known: 'where the weight sits' }), /centre of gravity/)
    refused(withChanges('lifting', { known: undefined, fromVerticalDeg: undefined }), /Say what is known/)
  })
  it('at 60° each leg carries the whole weight', () =>
    figures('lifting', angle({ weightKN: 12, fromVerticalDeg: 60 }), { equalLegKN: 12 }))
  it('three and four legs count as two, unless they are equalised', () => {
    figures('lifting', angle({ legs: 4 }), { equalLegKN: 4.6188022 })
    figures('lifting', angle({ weightKN: 12, legs: 4, equalised: true }), { equalLegKN: 3.4641016 })
    figures('lifting', angle({ legs: 1, fromVerticalDeg: 0 }), { equalLegKN: 8 })
  })
  it.each([
    [44.9, 'Holds'],
    [45, 'Thin'],
    [60, 'Thin'],
    [60.1, 'Out'],
  ])('%s° from the vertical: %s', (fromVerticalDeg, verdict) =>
    expect(figure('lifting', 'fromVerticalDeg', { fromVerticalDeg }).held!.verdict).toBe(verdict),
  )
  it('never replaces the plan', () => expect(must(withChanges('lifting')).notes!.join(' ')).toMatch(/competent person/))
})

describe('a whole lift', () => {
  it('the hook carries all, each leg its share', () =>
    figures(
      'lift-plan',
      {},
      {
        weightKN: 7.3255676,
        legKN: 4.4714334,
        item1Percent: 44.7143336,
        item2Percent: 93.1548616,
        item3Percent: 36.6278378,
        floorKPa: 6.1046396,
        headroomLeftM: 0.3,
      },
    ))
  it('a choked sling keeps four fifths; the eyebolt beside it keeps its own rating', () => {
    const items = [
      { name: 'sling', swlKN: 10, use: 'a choked leg', ratingAtAngle: 1 },
      { name: 'eyebolt', swlKN: 12, use: 'a leg', ratingAtAngle: 0.4 },
    ]
    figures('lift-plan', { items }, { item1Percent: 44.7143336 / 0.8, item2Percent: 93.1548616 })
  })
  it('what cannot be is refused', () =>
    refused(withChanges('lift-plan', { massesKg: [0, 0], riggingKg: 0 }), /hang together/))
  it('what it hangs by hangs on the hook as well', () => {
    const hangs = (massesKg: number[], riggingKg: number) =>
      must(withChanges('lift-plan', { massesKg, riggingKg })).figures.find(one => one.key === 'weightKN')?.value
    expect(hangs([640, 85], 22)).toBe(hangs([640, 85, 22], 0))
  })
})
