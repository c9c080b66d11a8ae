import { accept, refuse, type Result } from '../result.ts'

/** Rows along the bearing, from the stated end; columns round it, from left horn to right. */
export const CONTACT_ROWS = 4
export const CONTACT_COLUMNS = 6

export interface Contact {
  /** Share of the projected area that carries, 0 to 1. */
  share: number
  /** Share of what carries that lies in the middle 120° (the four middle columns). */
  centralShare: number
  /** Share of the middle 120° that carries, 0 to 1. */
  bottomShare: number
  /** Share of the two columns at the horns that carries, 0 to 1. */
  hornShare: number
  says:
    | 'well spread'
    | 'one end only'
    | 'both ends only'
    | 'the middle of its length only'
    | 'opposite corners'
    | 'one edge only'
    | 'off the middle'
    | 'none'
}

/**
 * Contact by blue on a grid of 4 along by 6 round, squares of nought, a half or one, row by row from the stated end.
 * Refused: not 24 squares, or a square that is none of these.
 */
export function blueContact(squares: readonly number[]): Result<Contact> {
  if (squares.length !== CONTACT_ROWS * CONTACT_COLUMNS)
    return refuse(`The grid has ${CONTACT_ROWS * CONTACT_COLUMNS} squares; ${squares.length} were given.`)
  if (!squares.every(one => one === 0 || one === 0.5 || one === 1))
    return refuse('A square is empty, half or full: 0, 0.5 or 1.')
  const sum = (keep: (row: number, column: number) => boolean) =>
    squares.reduce<number>(
      (total, one, i) => (keep(Math.floor(i / CONTACT_COLUMNS), i % CONTACT_COLUMNS) ? total + one : total),
      0,
    )
  const all = sum(() => true)
  if (all === 0) return accept({ share: 0, centralShare: 0, bottomShare: 0, hornShare: 0, says: 'none' })
  const bottom = sum((_, column) => column >= 1 && column <= 4)
  const centralShare = bottom / all
  const says = PLACES.find(({ of }) => of.some(where => sum(where) / all > NEARLY_ALL))?.says
  return accept({
    share: all / squares.length,
    centralShare,
    bottomShare: bottom / (CONTACT_ROWS * 4),
    hornShare: (all - bottom) / (CONTACT_ROWS * 2),
    says: says ?? (centralShare < 0.6 ? 'off the middle' : 'well spread'),
  })
}

type Where = (row: number, column: number) => boolean
const NEARLY_ALL = 0.85
const near: Where = row => row < 2
const left: Where = (_, column) => column < 3
/** Where nearly all of it may lie, and what that is called; what is looked at first is said. */
const PLACES: readonly { says: Contact['says']; of: readonly Where[] }[] = [
  { says: 'one end only', of: [near, row => row >= 2] },
  { says: 'one edge only', of: [left, (_, column) => column >= 3] },
  {
    says: 'opposite corners',
    of: [(...at) => near(...at) === left(...at), (...at) => near(...at) !== left(...at)],
  },
  { says: 'both ends only', of: [row => row === 0 || row === CONTACT_ROWS - 1] },
  { says: 'the middle of its length only', of: [row => row > 0 && row < CONTACT_ROWS - 1] },
]
