import type { Technician } from '../../demo/technician.ts'
import { BENCH_SUMS } from '../../core/sums/bench/index.ts'
import { readSheet, type Check, type Sheet } from '../../core/sheet/index.ts'
import { sourceOf, worker } from '../sheets.ts'
import { wedgeSum } from './wedge.ts'

/** Puts the new way of measuring at hand, as a line in the list of them would. */
export const withWedge = (): void => void (BENCH_SUMS as Map<string, typeof wedgeSum>).set('wedge', wedgeSum)

export const wedgeSheet = (): Sheet => readSheet(sourceOf('tests/measuring/wedge.yaml')) as Sheet

/** Somebody at the hub that gapes, about to measure it, by a check that may be changed for a test. */
export function atTheGap(check: Partial<Check> = {}): Technician {
  withWedge()
  const sheet = wedgeSheet()
  const checks = sheet.checks.map(one => (one.id === 'gape' ? { ...one, ...check } : one))
  const one = worker({ ...sheet, checks }, { gape: 0.05 })
  one.workUntil('hub-on')
  return one
}
