import { meanOf } from '../gauging/index.ts'
import { accept, refuse, type Result } from '../result.ts'

export interface Sample {
  minute: number
  value: number
}
export interface Steadiness {
  /** Least-squares slope of the last window, units an hour; null when the window is not full yet. */
  slopePerHour: number | null
  last: number
  greatest: number
  /** Samples in the window. */
  count: number
}

/**
 * Whether a run has settled: least-squares slope over the last window (minutes). Samples in any order; the newest ends
 * the window. Refused: fewer than two samples, one that is not a figure, two at one minute, a window not above nought.
 */
export function steadiness(samples: readonly Sample[], windowMin = 30): Result<Steadiness> {
  if (samples.length < 2 || !samples.every(one => Number.isFinite(one.minute) && Number.isFinite(one.value)))
    return refuse('A run wants at least two readings with their minutes.')
  if (!(windowMin > 0)) return refuse('The window must be longer than zero minutes.')
  const ordered = [...samples].sort((a, b) => a.minute - b.minute)
  if (ordered.some((one, i) => i && one.minute === ordered[i - 1]!.minute))
    return refuse('Two readings stand at the same minute. Correct one of them.')
  const end = ordered.at(-1)!.minute
  const full = end - ordered[0]!.minute >= windowMin - 1e-9
  const inside = ordered.filter(one => one.minute >= end - windowMin - 1e-9)
  return accept({
    slopePerHour: full && inside.length >= 3 ? slopeOf(inside) * 60 : null,
    last: ordered.at(-1)!.value,
    greatest: Math.max(...ordered.map(one => one.value)),
    count: inside.length,
  })
}

function slopeOf(samples: readonly Sample[]): number {
  const [t, y] = [meanOf(samples.map(one => one.minute)), meanOf(samples.map(one => one.value))]
  return (
    samples.reduce((sum, one) => sum + (one.minute - t) * (one.value - y), 0) /
    samples.reduce((sum, one) => sum + (one.minute - t) ** 2, 0)
  )
}
