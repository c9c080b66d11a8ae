import { accept, refuse, type Result } from '../result.ts'
import { greatestCommonDivisor } from '../whole.ts'

export interface StockShim {
  thicknessMm: number
  count: number
}
export interface ShimWish {
  /** Gap with no shim in. */
  openMm: number
  leastMm: number
  greatestMm: number
  mostPieces?: number
}
export interface ShimPack {
  pieces: readonly StockShim[]
  count: number
  thicknessMm: number
  gapMm: number
  offMiddleMm: number
  inside: boolean
}

/** Landings nearer together than a feeler can tell are alike; then fewer pieces win. */
const ALIKE_MM = 0.005
/** Stock is held in tenths of a micrometre, so that a thou (25.4 µm) is exact. */
const PER_MM = 10_000
const KEPT = 3

/** Totals times sizes times pieces that are worth trying: a few seconds. */
const MOST_WORK = 4e8

/** Stock as whole steps of its common measure, and how far a total may reach: beyond twice the way to the middle nothing lands nearer than no shim. */
function latticeOf(stock: readonly StockShim[], toMiddleMm: number): { step: number; sizes: number[]; reach: number } {
  const units = stock.map(one => Math.round(one.thicknessMm * PER_MM))
  const step = units.reduce((a, b) => greatestCommonDivisor(a, b)) || 1
  return { step, sizes: units.map(one => one / step), reach: Math.floor((Math.max(0, toMiddleMm) * 2 * PER_MM) / step) }
}

/** Elementary steps of {@link chooseShims} for one wish. */
export function shimWork(
  stock: readonly StockShim[],
  { openMm, leastMm, greatestMm, mostPieces = 8 }: ShimWish,
): number {
  return stock.length ? latticeOf(stock, openMm - (leastMm + greatestMm) / 2).reach * stock.length * mostPieces : 1
}

/** The packs kept for one total thickness: fewest pieces first, each as counts by stock place. */
interface Kept {
  pieces: number
  size: number
  used: number
  before: Kept | null
}

/**
 * The shim packs out of stock that land a gap nearest the middle of its limits, fewest pieces where two land alike (5 µm):
 * the best three, of different totals or make-up. Exact search over reachable thicknesses, each stock size used up to its count.
 * @param progress told after every stock size
 * Refused: no stock or over 60 sizes, a size or count that cannot be, limits the wrong way round, a gap already below them,
 * no pack within reach.
 */
export function chooseShims(
  stock: readonly StockShim[],
  { openMm, leastMm, greatestMm, mostPieces = 8 }: ShimWish,
  progress?: (share: number) => void,
): Result<ShimPack[]> {
  if (!stock.length || stock.length > 60) return refuse('Give 1 to 60 stock sizes.')
  if (
    !stock.every(one => one.thicknessMm > 0 && one.thicknessMm <= 50 && Number.isInteger(one.count) && one.count >= 0)
  )
    return refuse('A shim has a thickness over 0 and up to 50 mm, and a whole count.')
  if (!(greatestMm >= leastMm)) return refuse('The least gap is above the greatest. Change them round.')
  if (!(openMm > leastMm - 1e-9))
    return refuse('The gap without a shim is already below its least: no shim can mend that.')
  if (openMm - leastMm > 100) return refuse('More than 100 mm of shims is a spacer: make one.')
  const middle = (leastMm + greatestMm) / 2
  const { step, sizes, reach } = latticeOf(stock, openMm - middle)
  if (sizes.length * mostPieces * reach > MOST_WORK)
    return refuse(
      'So wide a gap out of so fine a stock has too many packs to try. Leave out the odd thicknesses, or start from a spacer.',
    )
  const kept: (Kept[] | undefined)[] = new Array(reach + 1)
  kept[0] = [{ pieces: 0, size: -1, used: 0, before: null }]
  sizes.forEach((size, place) => {
    const most = Math.min(stock[place]!.count, mostPieces)
    for (let total = reach; total >= size; total--) {
      for (let used = 1; used <= most && used * size <= total; used++) {
        for (const before of kept[total - used * size] ?? []) {
          if (before.pieces + used <= mostPieces)
            keep((kept[total] ??= []), { pieces: before.pieces + used, size: place, used, before })
        }
      }
    }
    progress?.((place + 1) / sizes.length)
  })
  const packs = kept.flatMap((list, total) =>
    (list ?? []).map(pack => {
      const thicknessMm = (total * step) / PER_MM
      const gapMm = openMm - thicknessMm
      return { pack, thicknessMm, gapMm, offMiddleMm: gapMm - middle }
    }),
  )
  const landing = (off: number) => Math.round(Math.abs(off) / ALIKE_MM)
  packs.sort(
    (a, b) =>
      landing(a.offMiddleMm) - landing(b.offMiddleMm) ||
      a.pack.pieces - b.pack.pieces ||
      Math.abs(a.offMiddleMm) - Math.abs(b.offMiddleMm),
  )
  const best = packs.slice(0, KEPT)
  if (packs.length === 1 && openMm > greatestMm)
    return refuse('No shim in stock is thin enough for this gap, or none is left.')
  return accept(
    best.map(({ pack, thicknessMm, gapMm, offMiddleMm }) => ({
      pieces: piecesOf(pack, stock),
      count: pack.pieces,
      thicknessMm,
      gapMm,
      offMiddleMm,
      inside: gapMm >= leastMm - 1e-9 && gapMm <= greatestMm + 1e-9,
    })),
  )
}

function keep(list: Kept[], one: Kept): void {
  if (list.length === KEPT && list[KEPT - 1]!.pieces <= one.pieces) return
  const at = list.findIndex(other => other.pieces > one.pieces)
  list.splice(at < 0 ? list.length : at, 0, one)
  if (list.length > KEPT) list.pop()
}

function piecesOf(pack: Kept, stock: readonly StockShim[]): StockShim[] {
  const pieces: StockShim[] = []
  for (let one: Kept | null = pack; one && one.before; one = one.before)
    pieces.push({ thicknessMm: stock[one.size]!.thicknessMm, count: one.used })
  return pieces.sort((a, b) => b.thicknessMm - a.thicknessMm)
}
