/** Where a measurement is said: what, how much, and what is wanted. */
export type Say = (what: string, value: string, goal?: string) => void

export const say: Say = (what, value, goal = '') => console.log(`${what.padEnd(58)} ${value.padStart(12)}  ${goal}`)

export const percentile = (times: readonly number[], share: number): number =>
  times.toSorted((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? NaN

export const median = (times: readonly number[]) => percentile(times, 0.5)

/** How long some work takes, ms. */
export const timed = async (work: () => unknown): Promise<number> => {
  const from = performance.now()
  await work()
  return performance.now() - from
}
