import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figure, figures, withChanges } from '../../../tests/sums.ts'
import type { RankedCause } from '../../seals/index.ts'

describe('rings', () => {
  it('at its best, off centre, and warm', () =>
    figures(
      'o-ring',
      {},
      {
        stretch: 0.018024,
        sectionStretchedMm: 3.4986114,
        squeeze: 0.1853911,
        fill: 0.7027408,
        leastSqueeze: 0.1710997,
        greatestSqueeze: 0.2189701,
        greatestFill: 0.7378778,
      },
    ))
  it.each([
    [61, 'static', 'Holds'],
    [63, 'static', 'Out'],
    [60, 'rotary', 'Out'],
    [59, 'rotary', 'Holds'],
  ])('on %s mm, %s duty: stretch %s', (grooveInsideMm, duty, verdict) =>
    expect(figure('o-ring', 'stretch', { grooveInsideMm, duty }).held!.verdict).toBe(verdict),
  )
  it('offers what rings are fitted with, and says how this one is', () => {
    const answer = must(withChanges('o-ring', { fitted: 'never lubricated: it must grip' }))
    expect(answer.schools!.map(one => one.name)).toEqual(['Grease', 'Water', 'Maker’s compound', 'Dry'])
    expect(answer.notes).toEqual(['Fitted never lubricated: it must grip.'])
  })
})

describe('faces, pins and springs', () => {
  it('the mark follows gasket and gland', () => {
    figures('seal-setting', {}, { markMm: 42.5, compressionMm: 3.4, feelerMm: 3.2 })
    figures('seal-setting', { gasketMm: 0, glandMm: -1 }, { markMm: 43 })
    refused(withChanges('seal-setting', { workingLengthMm: 31.5 }), /below the free length/)
  })
  it.each([
    [2.1, 'Out', /too low: the ring can slip/],
    [2.45, 'Holds', null],
    [2.8, 'Out', /too high: it jams/],
  ])('a pin of %s mm: %s', (heightMm, verdict, says) => {
    const { held } = figure('drive-pin', 'heightMm', { heightMm })
    expect(held!.verdict).toBe(verdict)
    if (says) expect(held!.consequence).toMatch(says)
  })
  it('the odd spring out, by its place', () => {
    figures('springs', {}, { odd: 4, rangeMm: 0.9, lossMm: 1.2 })
    figures('springs', { freeMm: [25, 25, 25] }, { odd: null, rangeMm: 0 })
    figures('springs', { freeMm: [25, 24] }, { odd: null, rangeMm: 1 })
  })
})

describe('what the evidence says', () => {
  const ranked = (seen: Record<string, unknown>) =>
    must(
      withChanges('seal-cause', {
        faces: undefined,
        rings: undefined,
        springs: undefined,
        sleeve: undefined,
        drive: undefined,
        ...seen,
      }),
    ).more!.ranked as RankedCause[]
  it.each([
    [{ faces: 'heat checks' }, 'Dry running'],
    [{ faces: 'track wider than the face' }, 'Shaft moving'],
    [{ faces: 'good, even track', rings: 'hard or set' }, 'O-ring worn or set'],
    [{ rings: 'swollen' }, 'Wrong ring material for the liquid'],
    [{ faces: 'deposit on the track', springs: 'clogged' }, 'Solids or crystals between the faces'],
    [{ drive: 'pin too high' }, 'Drive pin set wrong'],
    [{ sleeve: 'grooved', faces: 'worn deep' }, 'Solids or crystals between the faces'],
  ])('%j: %s first', (seen, cause) => expect(ranked(seen)[0]!.cause).toBe(cause))
  it('names what speaks against, too', () => {
    const dry = ranked({ faces: 'good, even track', rings: 'hard or set' }).find(one => one.cause === 'Dry running')
    expect(dry).toMatchObject({ speaksFor: ['rings: hard or set'], speaksAgainst: ['faces: good, even track'] })
  })
  it.each([
    ['clockwise side', 'ring that is driven', 'clockwise'],
    ['anticlockwise side', 'part that drives', 'clockwise'],
    ['both sides', 'ring that is driven', 'both ways, or it hunted'],
  ])('worn on its %s in the %s: %s', (wear, slotIsIn, turned) => figures('drive-wear', { wear, slotIsIn }, { turned }))
})
