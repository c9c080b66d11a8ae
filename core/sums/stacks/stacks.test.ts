import { describe, expect, it } from 'vitest'
import { must, refused } from '../../../tests/must.ts'
import { figures, withChanges } from '../../../tests/sums.ts'
import type { ShimPack, StockShim } from '../../stacks/index.ts'

describe('a chain of lengths', () => {
  it('worst case and root-sum-square about the middle of the tolerances', () =>
    figures(
      'stack',
      {},
      {
        nominalMm: 0.5,
        middleMm: 0.585,
        worstLeastMm: 0.38,
        worstGreatestMm: 0.79,
        rssLeastMm: 0.4889531,
        rssGreatestMm: 0.6810469,
      },
    ))
  it('one length alone is its own tolerance either way', () =>
    figures(
      'stack',
      { links: [{ sign: 'opens', nominalMm: 5, plusMm: 0.1, minusMm: 0.3, distribution: 'normal' }] },
      { nominalMm: 5, middleMm: 4.9, worstLeastMm: 4.7, worstGreatestMm: 5.1, rssLeastMm: 4.7, rssGreatestMm: 5.1 },
    ))
  it('a trial lands in the worst case, near the root-sum-square, and again with its seed', () => {
    const trial = (seed: number) => {
      const { figures: got, more } = must(withChanges('stack-trial', { samples: 40_000, seed }))
      const value = (key: string) => Number(got.find(one => one.key === key)!.value)
      return { least: value('spanLeastMm'), greatest: value('spanGreatestMm'), mean: value('meanMm'), more: more! }
    }
    const one = trial(7)
    expect(one).toEqual(trial(7))
    expect(one.least).toBeGreaterThan(0.38)
    expect(one.greatest).toBeLessThan(0.79)
    expect(Math.abs(one.mean - 0.585)).toBeLessThan(0.002)
    expect(Math.abs(one.mean - trial(8).mean)).toBeLessThan(0.002)
    const counts = (one.more.histogram as { counts: number[] }).counts
    expect(counts.reduce((sum, count) => sum + count, 0)).toBe(40_000)
  })
})

describe('shims out of stock', () => {
  /** Every pack there is, counted out; the slow and obvious way. */
  function allPacks(stock: readonly StockShim[], mostPieces: number): { thicknessMm: number; pieces: number }[] {
    return stock.reduce(
      (packs, { thicknessMm, count }) =>
        packs.flatMap(pack =>
          Array.from({ length: Math.min(count, mostPieces - pack.pieces) + 1 }, (_, n) => ({
            thicknessMm: pack.thicknessMm + n * thicknessMm,
            pieces: pack.pieces + n,
          })),
        ),
      [{ thicknessMm: 0, pieces: 0 }],
    )
  }
  const STOCK = [
    { thicknessMm: 0.05, count: 2 },
    { thicknessMm: 0.127, count: 3 },
    { thicknessMm: 0.2, count: 2 },
    { thicknessMm: 0.5, count: 1 },
  ]
  it.each([0.31, 0.5, 0.83, 1.02, 1.4, 1.77])(
    'gap of %s mm: none lands nearer, none alike with fewer pieces',
    openMm => {
      const [best] = must(
        withChanges('shim-choice', { openMm, leastMm: 0.1, greatestMm: 0.2, stock: STOCK, mostPieces: 6 }),
      ).more!.packs as ShimPack[]
      const packs = allPacks(STOCK, 6).map(pack => ({ ...pack, off: Math.abs(openMm - pack.thicknessMm - 0.15) }))
      const nearest = Math.min(...packs.map(pack => pack.off))
      expect(Math.abs(best!.offMiddleMm)).toBeLessThan(nearest + 0.0051)
      const alike = packs.filter(pack => Math.round(pack.off / 0.005) === Math.round(nearest / 0.005))
      expect(best!.count).toBe(Math.min(...alike.map(pack => pack.pieces)))
      expect(best!.pieces.reduce((sum, one) => sum + one.count * one.thicknessMm, 0)).toBeCloseTo(best!.thicknessMm, 9)
    },
  )
  it('says three packs, and when none lands inside', () => {
    const answer = must(withChanges('shim-choice'))
    expect(answer.working).toHaveLength(3)
    figures('shim-choice', {}, { gapMm: 0.24, pieces: 2, pack: '1 × 1 + 1 × 0.1' })
    expect(must(withChanges('shim-choice', { stock: [{ thicknessMm: 1, count: 1 }] })).notes![0]).toMatch(
      /order another/,
    )
  })
  it.each([
    [{ openMm: 0.199 }, /no shim can mend/],
    [{ openMm: 199 }, /a spacer: make one/],
    [{ stock: [{ thicknessMm: 5, count: 2 }], openMm: 1.4 }, /thin enough/],
  ])('%j is refused', (changes, why) => refused(withChanges('shim-choice', changes), why))
})
