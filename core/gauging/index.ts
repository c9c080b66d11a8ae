export { reduceTries, meanOf, rangeOf, SHARE_OF_TOLERANCE, type Tries } from './tries.ts'
export {
  lengthAt20,
  seriesStands,
  uncertaintyOfDifference,
  judgeWithUncertainty,
  EXPANSION_PER_K,
  MATERIALS,
  type ExpansionMaterial,
} from './temperature.ts'
export { reduceRoundPart, type RoundPart, type RoundReading, type StationReading } from './round-part.ts'
export { endFloat, lift, LIFT_STYLES, type LiftStyle } from './float.ts'
export { ONE_FIGURE, ROWS, type Row, type RowKind, type Writer } from './row.ts'
export { reduceRunout, shaftShape, type Runout, type ShaftShape } from './runout.ts'
export { reduceGaps, tiltMmPerM, type Gaps } from './gaps.ts'
export { compareFoundLeft, type Comparison } from './compare.ts'
export { judgeFelt, FELT_FITS, FELT_WORDS, type FeltFit, type FeltJudgement } from './felt.ts'
export { followRounds, type Round, type Rounds } from './rounds.ts'
