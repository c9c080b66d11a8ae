import { accept, refuse, type Result } from '../result.ts'

export const LOAD_CASES = [
  'inner ring turns against the load',
  'outer ring turns against the load',
  'load turns or is not known',
] as const
export type LoadCase = (typeof LOAD_CASES)[number]
export const LOADS = ['light', 'normal', 'heavy'] as const
export type Load = (typeof LOADS)[number]
export type Elements = 'ball' | 'roller'

export interface SeatChoice {
  shaft: string
  housing: string
  why: string
}

/** Shaft classes by size where the inner ring turns against the load: up to this bore, this class. General guidance of workshop handbooks. */
const BY_SIZE: Record<Elements, Record<Load, readonly (readonly [upToMm: number, shaft: string])[]>> = {
  ball: {
    light: [
      [17, 'h5'],
      [100, 'js6'],
      [140, 'k6'],
      [500, 'm6'],
    ],
    normal: [
      [17, 'js5'],
      [100, 'k5'],
      [140, 'm5'],
      [200, 'm6'],
      [500, 'n6'],
    ],
    heavy: [
      [100, 'm5'],
      [200, 'm6'],
      [500, 'n6'],
    ],
  },
  roller: {
    light: [
      [40, 'js6'],
      [140, 'k6'],
      [500, 'm6'],
    ],
    normal: [
      [40, 'k5'],
      [100, 'm5'],
      [140, 'm6'],
      [200, 'n6'],
      [500, 'p6'],
    ],
    heavy: [
      [50, 'm6'],
      [140, 'n6'],
      [200, 'p6'],
      [500, 'r6'],
    ],
  },
}
/** The repair shop's way: one grade that its machines hold, tighter only with size and load. */
const BY_HABIT: Record<Load, readonly (readonly [upToMm: number, shaft: string])[]> = {
  light: [
    [100, 'js6'],
    [500, 'k6'],
  ],
  normal: [
    [100, 'k6'],
    [500, 'm6'],
  ],
  heavy: [
    [100, 'm6'],
    [500, 'n6'],
  ],
}
const HOUSING: Record<LoadCase, Record<Load, string>> = {
  'inner ring turns against the load': { light: 'H7', normal: 'H7', heavy: 'H7' },
  'outer ring turns against the load': { light: 'M7', normal: 'N7', heavy: 'P7' },
  'load turns or is not known': { light: 'J7', normal: 'K7', heavy: 'M7' },
}

const bySize = (steps: readonly (readonly [number, string])[], boreMm: number) =>
  steps.find(([upTo]) => boreMm <= upTo)![1]

/**
 * Seat classes for a bearing's rings from the load case, in the two usual schools. The ring that turns against the load
 * is the tight one. General guidance; the maker's manual goes before both. Refused: a bore not over 0 and up to 500 mm.
 */
export function seatClasses(
  boreMm: number,
  elements: Elements,
  loadCase: LoadCase,
  load: Load,
): Result<{ bySize: SeatChoice; byHabit: SeatChoice }> {
  if (!(boreMm > 0 && boreMm <= 500)) return refuse('Seat classes are given for bores over 0 up to 500 mm.')
  const housing = HOUSING[loadCase][load]
  const loose = loadCase === 'outer ring turns against the load'
  return accept({
    bySize: {
      shaft: loose ? 'g6' : bySize(BY_SIZE[elements][load], boreMm),
      housing,
      why: 'a class a step of size and load: the least interference that stops creep, so most clearance is left',
    },
    byHabit: {
      shaft: loose ? 'h6' : bySize(BY_HABIT[load], boreMm),
      housing: housing === 'J7' ? 'JS7' : housing,
      why: 'one grade that the shop’s lathe and grinder hold: fewer gauges, a little more grip',
    },
  })
}
