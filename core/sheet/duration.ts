import type { Duration } from './types.ts'

const MS = { min: 60_000, h: 3_600_000, d: 86_400_000 } as const

/** A time to wait as a sheet writes it, ms: `10 min`, `1.5 h`, `2 d`. What is not written so takes no time. */
export function durationMs(text: Duration): number {
  const [n, unit] = text.split(' ')
  return Math.round(Number(n) * (MS[unit as keyof typeof MS] ?? 0)) || 0
}
