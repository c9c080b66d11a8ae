import { accept, refuse, type Result } from '../result.ts'
import {
  BEARING_BORE_LOWER_UM,
  BEARING_OUTSIDE_LOWER_UM,
  FINE_STEPS_MM,
  GRADES,
  HOLE_J_UPPER_UM,
  HOLE_M6_250_TO_315_UPPER_UM,
  IT_UM,
  SHAFT_J_LOWER_UM,
  SHAFT_LOWER_UM,
  SHAFT_UPPER_UM,
  SIZE_STEPS_MM,
  type Grade,
} from './iso286-data.ts'

export interface ToleranceLimits {
  upperUm: number
  lowerUm: number
}
export type Side = 'hole' | 'shaft'

export const LETTERS = ['c', 'd', 'e', 'f', 'g', 'h', 'js', 'j', 'k', 'm', 'n', 'p', 'r', 's'] as const
export type Letter = (typeof LETTERS)[number]

export interface ToleranceClass {
  side: Side
  letter: Letter
  grade: Grade
}

const column = (steps: readonly number[], nominalMm: number) => steps.findIndex(upTo => nominalMm <= upTo)

const gradeNumber = (grade: Grade) => (grade === '01' ? -1 : Number(grade))

/**
 * Standard tolerance IT of ISO 286-1 for a size over 0 and up to 500 mm, in µm.
 * Refused: a size outside that, and IT14 to IT18 up to 1 mm, for which the standard gives none.
 */
export function standardTolerance(nominalMm: number, grade: Grade): Result<number> {
  if (!(nominalMm > 0 && nominalMm <= 500))
    return refuse(`ISO 286 limits here run over 0 up to 500 mm; ${nominalMm} mm lies outside.`)
  if (nominalMm <= 1 && gradeNumber(grade) >= 14)
    return refuse(`IT${grade} is not defined for sizes up to 1 mm (ISO 286-1).`)
  return accept(IT_UM[grade][column(SIZE_STEPS_MM, nominalMm)]!)
}

/** Reads a class such as `H7`, `js6` or `k6`: capital letters are holes, small ones shafts. */
export function parseClass(text: string): Result<ToleranceClass> {
  const match = /^([A-Za-z]{1,2})\s*(01|\d{1,2})$/.exec(text.trim())
  const letters = match?.[1] ?? ''
  const letter = letters.toLowerCase() as Letter
  const grade = match?.[2] as Grade
  const known = match && LETTERS.includes(letter) && GRADES.includes(grade)
  if (!known || (letters !== letters.toLowerCase() && letters !== letters.toUpperCase()))
    return refuse(
      `“${text}” is not a class known here. Write a letter and a grade, such as H7 for a hole or k6 for a shaft (letters C to H, JS, J, K, M, N, P, R, S; grades 01 to 18).`,
    )
  return accept({ side: letters === letter ? 'shaft' : 'hole', letter, grade })
}

export function formatClass({ side, letter, grade }: ToleranceClass): string {
  return `${side === 'hole' ? letter.toUpperCase() : letter}${grade}`
}

function lookUp(row: readonly number[], nominalMm: number): number | undefined {
  return row[column(row.length === FINE_STEPS_MM.length ? FINE_STEPS_MM : SIZE_STEPS_MM, nominalMm)]
}

const notDefined = (wanted: ToleranceClass, nominalMm: number, why: string) =>
  refuse(`${formatClass(wanted)} is not defined for ${nominalMm} mm: ${why} (ISO 286-1). Choose another class.`)

function shaftLimits(wanted: ToleranceClass, nominalMm: number, it: number): Result<ToleranceLimits> {
  const { letter, grade } = wanted
  if (letter === 'js') return accept({ upperUm: it / 2, lowerUm: -it / 2 })
  if (letter === 'j') {
    const lower = SHAFT_J_LOWER_UM[grade] && lookUp(SHAFT_J_LOWER_UM[grade], nominalMm)
    if (lower === undefined) return notDefined(wanted, nominalMm, 'j is given for grades 5 to 7, and 8 up to 3 mm')
    return accept({ upperUm: lower + it, lowerUm: lower })
  }
  if (letter in SHAFT_UPPER_UM) {
    const upper = lookUp(SHAFT_UPPER_UM[letter as keyof typeof SHAFT_UPPER_UM], nominalMm)!
    return accept({ upperUm: upper, lowerUm: upper - it })
  }
  const tabled = lookUp(SHAFT_LOWER_UM[letter as keyof typeof SHAFT_LOWER_UM], nominalMm)!
  const lower = letter === 'k' && (gradeNumber(grade) < 4 || gradeNumber(grade) > 7) ? 0 : tabled
  return accept({ upperUm: lower + it, lowerUm: lower })
}

/** Holes K to S: the shaft's deviation mirrored, plus Δ = ITn − ITn−1 over 3 mm up to IT8 (K, M, N) or IT7 (P, R, S). */
function tightHoleUpper(wanted: ToleranceClass, nominalMm: number, it: number): Result<number> {
  const { letter, grade } = wanted
  const n = gradeNumber(grade)
  const mirrored = 0 - lookUp(SHAFT_LOWER_UM[letter as keyof typeof SHAFT_LOWER_UM], nominalMm)!
  if (letter === 'n' && n > 8) {
    if (nominalMm <= 1) return notDefined(wanted, nominalMm, 'N coarser than IT8 is not used up to 1 mm')
    return accept(nominalMm <= 3 ? mirrored : 0)
  }
  if (nominalMm <= 3) return accept(mirrored)
  if (letter === 'k' && n > 8) return notDefined(wanted, nominalMm, 'K coarser than IT8 has no deviation over 3 mm')
  if (letter === 'm' && grade === '6' && nominalMm > 250 && nominalMm <= 315) return accept(HOLE_M6_250_TO_315_UPPER_UM)
  const coarsestWithDelta = ['k', 'm', 'n'].includes(letter) ? 8 : 7
  if (n > coarsestWithDelta) return accept(mirrored)
  if (n < 3) return notDefined(wanted, nominalMm, `${letter.toUpperCase()} finer than IT3 has no deviation over 3 mm`)
  const finer = IT_UM[GRADES[GRADES.indexOf(grade) - 1]!][column(SIZE_STEPS_MM, nominalMm)]!
  return accept(mirrored + it - finer)
}

function holeLimits(wanted: ToleranceClass, nominalMm: number, it: number): Result<ToleranceLimits> {
  const { letter, grade } = wanted
  if (letter === 'js') return accept({ upperUm: it / 2, lowerUm: -it / 2 })
  if (letter === 'j') {
    const upper = HOLE_J_UPPER_UM[grade] && lookUp(HOLE_J_UPPER_UM[grade], nominalMm)
    if (upper === undefined) return notDefined(wanted, nominalMm, 'J is given for grades 6 to 8')
    return accept({ upperUm: upper, lowerUm: upper - it })
  }
  if (letter in SHAFT_UPPER_UM) {
    const lower = 0 - lookUp(SHAFT_UPPER_UM[letter as keyof typeof SHAFT_UPPER_UM], nominalMm)!
    return accept({ upperUm: lower + it, lowerUm: lower })
  }
  const upper = tightHoleUpper(wanted, nominalMm, it)
  return upper.ok ? accept({ upperUm: upper.value, lowerUm: upper.value - it }) : upper
}

/**
 * Limits of a tolerance class, µm from nominal, by ISO 286-1:2010 (tables 1, 4, 5 and the Δ rule of holes).
 * @param nominalMm over 0 up to 500 mm
 * Refused by name: a class the standard gives no deviation for, such as K9 over 3 mm. JS halves stay exact.
 *
 * @example limitsOfClass(60, 'k6') // { ok: true, value: { upperUm: 21, lowerUm: 2 } }
 */
export function limitsOfClass(nominalMm: number, text: string): Result<ToleranceLimits> {
  const wanted = parseClass(text)
  if (!wanted.ok) return wanted
  const it = standardTolerance(nominalMm, wanted.value.grade)
  if (!it.ok) return it
  return (wanted.value.side === 'hole' ? holeLimits : shaftLimits)(wanted.value, nominalMm, it.value)
}

/**
 * Limits of a rolling bearing's ring, µm from nominal, ISO 492 Normal class: they run from nought downwards.
 * Cylindrical bores of radial bearings only; tapered bores, tapered rollers, inch and P5/P6 sets have limits of their own.
 */
export function bearingRingLimits(nominalMm: number, ring: 'bore' | 'outside'): Result<ToleranceLimits> {
  const table = ring === 'bore' ? BEARING_BORE_LOWER_UM : BEARING_OUTSIDE_LOWER_UM
  const lower = table.um[column(table.upToMm, nominalMm)]
  if (!(nominalMm > 0) || lower === undefined)
    return refuse(`Bearing ring limits here run over 0 up to 500 mm; ${nominalMm} mm lies outside.`)
  return accept({ upperUm: 0, lowerUm: lower })
}
