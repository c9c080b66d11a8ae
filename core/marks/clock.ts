import { accept, refuse, type Result } from '../result.ts'

/** Angles are held in degrees clockwise from top, as seen from one stated end. */

/** An angle within one turn, 0 up to but not 360 degrees; a hair under a whole turn is nought. */
export function withinTurn(deg: number): number {
  const turn = ((deg % 360) + 360) % 360
  return turn > 360 - 1e-9 ? 0 : turn
}

/**
 * The same place seen from the other end: 3 and 9 change over, 12 and 6 stay. Degrees in and out, 0 to 360.
 * Seen twice from the other end is itself.
 */
export function fromOtherEnd(deg: number): number {
  return withinTurn(-deg)
}

/** An angle as a clock place, to the nearest five minutes or as fine as asked: 75 → `2:30`, 0 → `12:00`. */
export function clockText(deg: number, toMinutes = 5): string {
  const minutes = (Math.round((withinTurn(deg) * 2) / toMinutes) * toMinutes) % 720
  return `${Math.floor(minutes / 60) || 12}:${String(minutes % 60).padStart(2, '0')}`
}

/** Reads a clock place, `2`, `2:30` or `12.30`, into degrees clockwise from top. Refused: anything not on a clock. */
export function parseClock(text: string): Result<number> {
  const match = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*(?:o'?clock)?\s*$/i.exec(text)
  const hour = Number(match?.[1])
  const minute = Number(match?.[2] ?? 0)
  if (!match || hour < 1 || hour > 12 || minute > 59)
    return refuse(`“${text}” is not a clock place. Write it from 1 to 12, such as 2:30; 12 is top.`)
  return accept((hour % 12) * 30 + minute / 2)
}

/**
 * Reads a place on a dial as it is written: a clock place (`2`, `2:20`) or an angle (`70°`, `70 deg`, or a bare figure above
 * twelve). Degrees clockwise from top. Refused: anything else.
 */
export function parseDial(text: string): Result<number> {
  const angle = /^\s*(\d{1,3}(?:[.,]\d+)?)\s*(°|deg|degrees)?\s*$/i.exec(text)
  const figure = Number(angle?.[1]?.replace(',', '.'))
  if (angle && (angle[2] || figure > 12)) {
    return figure <= 360
      ? accept(withinTurn(figure))
      : refuse(`“${text.trim()}” is more than one turn. Write it from 0° to 360°, or as a clock place such as 2:20.`)
  }
  const clock = parseClock(text)
  return clock.ok
    ? clock
    : refuse(`“${text.trim()}” is not on the dial. Write a clock place such as 2:20, or an angle such as 70°.`)
}

/** Smallest angle between two directions, 0 to 180 degrees. */
export function angleBetween(a: number, b: number): number {
  return Math.abs(((((a - b + 540) % 360) + 360) % 360) - 180)
}
