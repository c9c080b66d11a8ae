import { accept, refuse, type Result } from '../result.ts'
import { holdAgainst, type Held } from '../verdict.ts'

export interface Mix {
  stockL: number
  waterL: number
}

/**
 * A bath of a given strength from a concentrate: stock = V·c_target/c_stock, the rest water. Litres; both strengths in one
 * measure. Refused: a volume not above nought, a bath stronger than its concentrate.
 * @example mixBath(120, 5, 40) // 15 L of concentrate, 105 L of water
 */
export function mixBath(volumeL: number, targetPercent: number, stockPercent: number): Result<Mix> {
  if (!(volumeL > 0)) return refuse('Give the volume of the bath.')
  if (!(targetPercent > 0 && stockPercent > 0 && stockPercent <= 100))
    return refuse('Both strengths lie over 0 and up to 100 %.')
  if (targetPercent > stockPercent) return refuse('The bath cannot be stronger than its concentrate.')
  const stockL = (volumeL * targetPercent) / stockPercent
  return accept({ stockL, waterL: volumeL - stockL })
}

export interface Wait {
  /** Minutes in the bath so far. */
  doneMin: number
  shortestMin: number
  /** Over-soak spoils; left out where it may stay as long as it likes. */
  longestMin?: number
}

export interface WaitState {
  state: 'too soon' | 'may come out' | 'too long'
  nextMin: number | null
  held: Held
}

/**
 * How a wait stands (soak, dry, cool, cure): too soon before its shortest, too long after its longest, and how many
 * minutes until the next thing a hand must do. Refused: a longest below the shortest, times below nought.
 */
export function waitState({ doneMin, shortestMin, longestMin }: Wait): Result<WaitState> {
  if (!(doneMin >= 0 && shortestMin >= 0)) return refuse('Times are not below nought.')
  if (longestMin !== undefined && longestMin < shortestMin)
    return refuse('The longest time is below the shortest. Change them round.')
  const held = holdAgainst(
    doneMin,
    { min: shortestMin, max: longestMin, best: longestMin === undefined ? undefined : shortestMin, warningShare: 0.1 },
    'times typed here',
    { low: 'not done yet: it comes out dirty, damp, hot or soft', high: 'over-soaked: metal or rubber is attacked' },
  )
  if (doneMin < shortestMin)
    return accept({
      state: 'too soon',
      nextMin: shortestMin - doneMin,
      held: { ...held, verdict: 'Open', consequence: null },
    })
  if (longestMin !== undefined && doneMin > longestMin) return accept({ state: 'too long', nextMin: null, held })
  return accept({ state: 'may come out', nextMin: longestMin === undefined ? null : longestMin - doneMin, held })
}
