export {
  closureMm,
  faceSlopeMmPerM,
  rimOffsetMm,
  CARRIERS,
  type Carrier,
  type FourReadings,
  type TwoPlanes,
} from './readings.ts'
export {
  afterMoves,
  alignmentTolerance,
  feetMoves,
  lineThrough,
  NO_GROWTH,
  type Feet,
  type Growth,
  type Misalignment,
  type Moves,
} from './moves.ts'
export { heightGrowthMm, softFeet, type FootShim, type LoosenedFoot } from './feet.ts'
export { spacerGap, type SpacerGap } from './spacer.ts'
