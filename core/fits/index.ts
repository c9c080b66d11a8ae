export {
  limitsOfClass,
  standardTolerance,
  bearingRingLimits,
  parseClass,
  formatClass,
  LETTERS,
  type ToleranceLimits,
  type Letter,
  type Side,
} from './limits.ts'
export {
  fitOfClasses,
  fitOfLimits,
  fitKind,
  measuredFit,
  worseEnd,
  classOfMeasured,
  type Fit,
  type ClassFit,
  type MeasuredFit,
  type FitKind,
  type Extremes,
  type WantedFit,
} from './fit.ts'
export { GRADES, type Grade } from './iso286-data.ts'
export { pressFit, type PressFit, type Pressed } from './press-fit.ts'
export {
  shrinkFit,
  taperAdvanceMm,
  FIT_MATERIALS,
  FIT_MATERIAL_NAMES,
  type FitMaterial,
  type FitState,
  type ShrinkFit,
  type Shrunk,
} from './shrink.ts'
