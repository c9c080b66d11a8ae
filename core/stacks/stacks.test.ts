import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { must, refused } from '../../tests/must.ts'
import { chooseShims, seeded, stackGap, tryStack, type Link, type StockShim } from './index.ts'

const link = (
  sign: 1 | -1,
  nominalMm: number,
  plusMm = 0,
  minusMm = plusMm,
  distribution: Link['distribution'] = 'normal',
): Link => ({ name: '', sign, nominalMm, plusMm, minusMm, distribution })

describe('a stack', () => {
  it('adds with its signs', () =>
    expect(must(stackGap([link(1, 62, 0.05, 0), link(-1, 31, 0, 0.12), link(-1, 30.5, 0.03)]))).toMatchObject({
      nominalMm: expect.closeTo(0.5, 9),
      middleMm: expect.closeTo(0.585, 9),
      worst: { leastMm: expect.closeTo(0.47, 9), greatestMm: expect.closeTo(0.7, 9) },
    }))
  it('a single link has worst case and root-sum-square alike', () => {
    const one = must(stackGap([link(1, 10, 0.1)]))
    expect(one.rss).toEqual(one.worst)
  })
  it('root-sum-square never lies outside the worst case', () => {
    const links = fc.array(
      fc.record({
        sign: fc.constantFrom(1 as const, -1 as const),
        nominalMm: fc.integer({ min: 0, max: 100 }),
        plusMm: fc.integer({ min: 0, max: 9 }),
        minusMm: fc.integer({ min: 0, max: 9 }),
      }),
      { minLength: 1, maxLength: 8 },
    )
    fc.assert(
      fc.property(links, rows => {
        const { worst, rss } = must(stackGap(rows.map(row => ({ name: '', ...row }))))
        expect(rss.leastMm).toBeGreaterThanOrEqual(worst.leastMm - 1e-9)
        expect(rss.greatestMm).toBeLessThanOrEqual(worst.greatestMm + 1e-9)
      }),
    )
  })
  it.each([[[]], [[link(1, -1)]], [[link(1, 1, -0.1)]], [[link(1, Number.NaN)]]])('refuses %j', links =>
    refused(stackGap(links)),
  )
})

describe('by trial', () => {
  const chain = [link(1, 20, 0.06), link(-1, 12, 0.06), link(-1, 7.5, 0.06)]
  it('has the mean and deviation that theory gives, each spread by its own rule', () => {
    for (const [distribution, deviation] of [
      ['normal', 0.06 / 3],
      ['even', 0.06 / Math.sqrt(3)],
      ['triangle', 0.06 / Math.sqrt(6)],
    ] as const) {
      const trial = must(
        tryStack(
          chain.map(one => ({ ...one, distribution })),
          100_000,
          seeded(7),
        ),
      )
      expect(trial.meanMm).toBeCloseTo(0.5, 3)
      expect(trial.deviationMm / (deviation * Math.sqrt(3))).toBeCloseTo(1, 1)
    }
  })
  it('is the same again from the same seed, and another from another', () => {
    const at = (seed: number) => must(tryStack(chain, 2000, seeded(seed))).meanMm
    expect(at(3)).toBe(at(3))
    expect(at(3)).not.toBe(at(4))
  })
  it('counts what falls out, and keeps every sample in the histogram', () => {
    const trial = must(tryStack(chain, 20_000, seeded(1), { min: 0.5 }))
    expect(trial.outShare).toBeCloseTo(0.5, 1)
    expect(trial.histogram.counts.reduce((sum, one) => sum + one, 0)).toBe(20_000)
    expect(must(tryStack(chain, 1000, seeded(1))).outShare).toBeNull()
  })
  it('even and triangle stay within the worst case', () => {
    const trial = must(
      tryStack(
        chain.map((one, i) => ({ ...one, distribution: i % 2 ? ('even' as const) : ('triangle' as const) })),
        20_000,
        seeded(5),
      ),
    )
    const { worst } = must(stackGap(chain))
    expect(trial.leastMm).toBeGreaterThanOrEqual(worst.leastMm)
    expect(trial.greatestMm).toBeLessThanOrEqual(worst.greatestMm)
  })
  it('without tolerance it is one figure', () =>
    expect(must(tryStack([link(1, 3)], 100, seeded(1)))).toMatchObject({ leastMm: 3, greatestMm: 3, deviationMm: 0 }))
  it.each([99, 2_000_001, 100.5])('refuses %s samples', samples => refused(tryStack(chain, samples, seeded(1))))
  it('draws evenly from 0 up to but not 1', () => {
    const random = seeded(42)
    const bins = new Array<number>(10).fill(0)
    for (let i = 0; i < 100_000; i++) bins[Math.floor(random() * 10)]!++
    expect(Math.min(...bins)).toBeGreaterThan(9500)
    expect(bins).toHaveLength(10)
  })
})

/** Every pack there is, tried one by one. */
function everyPack(stock: readonly StockShim[], most: number): { pieces: number; thicknessMm: number }[] {
  return stock.reduce<{ pieces: number; thicknessMm: number }[]>(
    (packs, { thicknessMm, count }) =>
      packs.flatMap(pack =>
        Array.from({ length: Math.min(count, most - pack.pieces) + 1 }, (_, n) => ({
          pieces: pack.pieces + n,
          thicknessMm: pack.thicknessMm + n * thicknessMm,
        })),
      ),
    [{ pieces: 0, thicknessMm: 0 }],
  )
}

describe('shims', () => {
  const stock = [
    { thicknessMm: 0.05, count: 6 },
    { thicknessMm: 0.1, count: 4 },
    { thicknessMm: 0.25, count: 4 },
    { thicknessMm: 0.5, count: 3 },
    { thicknessMm: 1, count: 2 },
  ]
  it('lands nearest the middle with the fewest pieces, and gives the next two', () => {
    const packs = must(chooseShims(stock, { openMm: 1.35, leastMm: 0.2, greatestMm: 0.3 }))
    expect(packs).toHaveLength(3)
    expect(packs[0]).toMatchObject({ thicknessMm: 1.1, count: 2, inside: true, gapMm: expect.closeTo(0.25, 9) })
  })
  it('a pack is as thick as its pieces, and takes no more than there are', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 300 }), hundredths => {
        for (const pack of must(chooseShims(stock, { openMm: hundredths / 100, leastMm: 0.2, greatestMm: 0.3 }))) {
          expect(pack.pieces.reduce((sum, one) => sum + one.thicknessMm * one.count, 0)).toBeCloseTo(
            pack.thicknessMm,
            9,
          )
          expect(pack.pieces.reduce((sum, one) => sum + one.count, 0)).toBe(pack.count)
          expect(pack.gapMm + pack.thicknessMm).toBeCloseTo(hundredths / 100, 9)
          for (const piece of pack.pieces)
            expect(piece.count).toBeLessThanOrEqual(stock.find(one => one.thicknessMm === piece.thicknessMm)!.count)
        }
      }),
    )
  })
  it('is as good as trying every pack there is', () => {
    const anyStock = fc
      .uniqueArray(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 5 })
      .chain(sizes =>
        fc.tuple(
          ...sizes.map(size => fc.integer({ min: 1, max: 4 }).map(count => ({ thicknessMm: size * 0.05, count }))),
        ),
      )
    fc.assert(
      fc.property(anyStock, fc.integer({ min: 10, max: 80 }), (shelf, twentieths) => {
        const openMm = twentieths * 0.05
        const best = must(chooseShims(shelf, { openMm, leastMm: 0.1, greatestMm: openMm, mostPieces: 5 }))[0]!
        const middle = (0.1 + openMm) / 2
        const off = (thicknessMm: number) => Math.round(Math.abs(openMm - thicknessMm - middle) / 0.005)
        const all = everyPack(shelf, 5)
          .map(pack => ({ ...pack, off: off(pack.thicknessMm) }))
          .sort((a, b) => a.off - b.off || a.pieces - b.pieces)
        expect([off(best.thicknessMm), best.count]).toEqual([all[0]!.off, all[0]!.pieces])
      }),
      { numRuns: 60 },
    )
  })
  it('holds a thou exactly', () =>
    expect(
      must(
        chooseShims(
          [
            { thicknessMm: 0.0254, count: 9 },
            { thicknessMm: 0.127, count: 4 },
          ],
          { openMm: 0.4, leastMm: 0.18, greatestMm: 0.2 },
        ),
      )[0],
    ).toMatchObject({ thicknessMm: expect.closeTo(0.2032, 9), inside: true }))
  it('says so where none is wanted', () =>
    expect(must(chooseShims(stock, { openMm: 0.25, leastMm: 0.2, greatestMm: 0.3 }))[0]).toMatchObject({
      count: 0,
      inside: true,
    }))
  it('says so where none lands inside', () =>
    expect(
      must(chooseShims([{ thicknessMm: 1, count: 1 }], { openMm: 1.9, leastMm: 0.2, greatestMm: 0.3 })).every(
        one => !one.inside,
      ),
    ).toBe(true))
  it.each([
    [[], {}],
    [stock, { openMm: 0.199 }],
    [stock, { leastMm: 0.4 }],
    [[{ thicknessMm: 0, count: 1 }], {}],
    [[{ thicknessMm: 0.1, count: 1.5 }], {}],
    [[{ thicknessMm: 5, count: 4 }], {}],
    [stock, { openMm: 150 }],
  ])('refuses %j %j', (shelf, wish) =>
    refused(chooseShims(shelf, { openMm: 1.35, leastMm: 0.2, greatestMm: 0.3, ...wish })),
  )
})
