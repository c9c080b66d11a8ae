import { askedSum } from './asked.ts'
import { clearanceSum } from './clearance.ts'
import type { BenchSum } from './define.ts'
import { endFloatSum, liftSum, runoutSum, singleSum } from './places.ts'
import { roundSum } from './round.ts'
import { runTableSum } from './run.ts'

export { READINGS, type BenchInput, type BenchSum, type ReadRow } from './define.ts'
export { minutesOf, rowName, rowNamed, steadyKey, waysOf, type RunRow } from './run.ts'

/** Kinds of checks that are ways of measuring, as a sheet names them. */
export const BENCH_KINDS = ['single', 'endFloat', 'lift', 'round', 'clearance', 'runout', 'asked', 'run'] as const
export type BenchKind = (typeof BENCH_KINDS)[number]

/** Every way of measuring, always at hand at the bench; a new one is a file of its own, and its name and line here. */
const BENCH: Record<BenchKind, BenchSum> = {
  single: singleSum,
  endFloat: endFloatSum,
  lift: liftSum,
  round: roundSum,
  clearance: clearanceSum,
  runout: runoutSum,
  asked: askedSum,
  run: runTableSum,
}

export const BENCH_SUMS: ReadonlyMap<string, BenchSum> = new Map(Object.entries(BENCH))
