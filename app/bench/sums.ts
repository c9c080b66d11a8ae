import type { AnySum } from '~~/core/sums'

/** Every sum in a file of its own name, fetched for itself: a sheet works out a few, and the others stay where they are. */
const FILES = import.meta.glob<Record<string, unknown>>([
  '../../core/sums/*/*.ts',
  '!../../core/sums/bench/*',
  '!**/index.ts',
  '!**/shared.ts',
  '!**/*.test.ts',
])
const BY_FILE = new Map(Object.entries(FILES).map(([path, fetch]) => [/([^/]+)\.ts$/.exec(path)![1]!, fetch]))
/** Sums that share a file, by their names. */
const SHARED: Readonly<Record<string, string>> = {
  'pump-vibration': 'vibration-parts',
  'shaft-vibration': 'vibration-parts',
  'displacement-velocity': 'vibration-parts',
}

const isSum = (value: unknown): value is AnySum => typeof value === 'object' && value !== null && 'work' in value

/** The sums among some names, by name. What is no sum is passed over. */
export async function sumsNamed(names: readonly string[]): Promise<ReadonlyMap<string, AnySum>> {
  const files = new Set(names.flatMap(name => BY_FILE.get(SHARED[name] ?? name) ?? []))
  const found = await Promise.all([...files].map(fetch => fetch()))
  return new Map(found.flatMap(Object.values).flatMap(one => (isSum(one) ? [[one.name, one] as const] : [])))
}
