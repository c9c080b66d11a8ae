import { accept, refuse, type Result } from '../result.ts'
import { judge, worseJudgement, type Judgement, type Limits } from '../verdict.ts'
import { GRADES } from './iso286-data.ts'
import { formatClass, limitsOfClass, type Letter, type Side, type ToleranceLimits } from './limits.ts'

export type FitKind = 'clearance' | 'transition' | 'interference'

export interface Fit {
  /** Negative clearance is interference. */
  maxClearanceUm: number
  minClearanceUm: number
  kind: FitKind
}

export interface ClassFit extends Fit {
  hole: ToleranceLimits
  shaft: ToleranceLimits
}

/** Least clearance 0 or more: clearance; greatest 0 or less: interference; else transition. µm. */
export function fitKind(minClearanceUm: number, maxClearanceUm: number): FitKind {
  return minClearanceUm >= 0 ? 'clearance' : maxClearanceUm <= 0 ? 'interference' : 'transition'
}

/** The fit two sets of limits make, µm from one nominal. */
export function fitOfLimits(hole: ToleranceLimits, shaft: ToleranceLimits): Fit {
  const maxClearanceUm = hole.upperUm - shaft.lowerUm
  const minClearanceUm = hole.lowerUm - shaft.upperUm
  return { maxClearanceUm, minClearanceUm, kind: fitKind(minClearanceUm, maxClearanceUm) }
}

/**
 * A fit from its classes, ISO 286: limits of both parts, greatest and least clearance, kind. See {@link limitsOfClass} for range and refusals.
 * @example fitOfClasses(60, 'H7', 'k6') // kind 'transition', 28 … −21 µm
 */
export function fitOfClasses(nominalMm: number, hole: string, shaft: string): Result<ClassFit> {
  const holeLimits = limitsOfClass(nominalMm, hole)
  if (!holeLimits.ok) return holeLimits
  const shaftLimits = limitsOfClass(nominalMm, shaft)
  if (!shaftLimits.ok) return shaftLimits
  return accept({
    hole: holeLimits.value,
    shaft: shaftLimits.value,
    ...fitOfLimits(holeLimits.value, shaftLimits.value),
  })
}

export interface Extremes {
  leastMm: number
  greatestMm: number
}

export interface MeasuredFit extends Fit {
  meanClearanceUm: number
  /** Each part against its wanted class. */
  holeInClass: Judgement | null
  shaftInClass: Judgement | null
  /** The worse end of the fit against the maker's span, which goes before any class. */
  againstMaker: Judgement | null
  /** Both ends against what the two classes allow. */
  againstClasses: Judgement | null
}

export interface WantedFit {
  nominalMm: number
  hole?: string
  shaft?: string
  makerUm?: Limits
}

/**
 * The fit that measured parts really make, by their extremes and means: clearance = hole − shaft, µm.
 * Held against the wanted classes and, where given, the maker's least and greatest clearance; both are kept.
 * Refused: a size that is not above nought, extremes the wrong way round, a class without limits.
 */
export function measuredFit(
  hole: Extremes & { meanMm: number },
  shaft: Extremes & { meanMm: number },
  wanted: WantedFit,
): Result<MeasuredFit> {
  for (const part of [hole, shaft]) {
    if (!(part.leastMm > 0) || part.greatestMm < part.leastMm)
      return refuse('Both parts need a least and a greatest size above zero. Measure again.')
  }
  const minClearanceUm = (hole.leastMm - shaft.greatestMm) * 1000
  const maxClearanceUm = (hole.greatestMm - shaft.leastMm) * 1000
  const inClass = (part: Extremes, text?: string): Result<Judgement | null> => {
    if (!text) return accept(null)
    const limits = limitsOfClass(wanted.nominalMm, text)
    if (!limits.ok) return limits
    return accept(
      worseEnd((part.leastMm - wanted.nominalMm) * 1000, (part.greatestMm - wanted.nominalMm) * 1000, {
        min: limits.value.lowerUm,
        max: limits.value.upperUm,
      }),
    )
  }
  const holeInClass = inClass(hole, wanted.hole)
  if (!holeInClass.ok) return holeInClass
  const shaftInClass = inClass(shaft, wanted.shaft)
  if (!shaftInClass.ok) return shaftInClass
  const classes = wanted.hole && wanted.shaft ? fitOfClasses(wanted.nominalMm, wanted.hole, wanted.shaft) : null
  return accept({
    minClearanceUm,
    maxClearanceUm,
    meanClearanceUm: (hole.meanMm - shaft.meanMm) * 1000,
    kind: fitKind(minClearanceUm, maxClearanceUm),
    holeInClass: holeInClass.value,
    shaftInClass: shaftInClass.value,
    againstMaker: wanted.makerUm ? worseEnd(minClearanceUm, maxClearanceUm, wanted.makerUm) : null,
    againstClasses: classes?.ok
      ? worseEnd(minClearanceUm, maxClearanceUm, {
          min: classes.value.minClearanceUm,
          max: classes.value.maxClearanceUm,
        })
      : null,
  })
}

/** Judges both ends of a span and returns the worse. */
export const worseEnd = (low: number, high: number, limits: Limits): Judgement =>
  worseJudgement(judge(low, limits), judge(high, limits))

/**
 * Which class of a given letter a measured part really is in: the finest grade whose limits hold both extremes.
 * Refused: no grade of that letter holds it; the sentence says so.
 */
export function classOfMeasured(nominalMm: number, side: Side, letter: Letter, part: Extremes): Result<string> {
  const low = (part.leastMm - nominalMm) * 1000 - 1e-6
  const high = (part.greatestMm - nominalMm) * 1000 + 1e-6
  for (const grade of GRADES) {
    const text = formatClass({ side, letter, grade })
    const limits = limitsOfClass(nominalMm, text)
    if (limits.ok && limits.value.lowerUm <= low + 2e-6 && limits.value.upperUm >= high - 2e-6) return accept(text)
  }
  return refuse(
    `No grade of ${side === 'hole' ? letter.toUpperCase() : letter} holds a ${side} from ${part.leastMm} to ${part.greatestMm} mm at nominal ${nominalMm} mm.`,
  )
}
