export { withinTurn, fromOtherEnd, clockText, parseClock, parseDial, angleBetween } from './clock.ts'
export { clockFace } from './face.ts'
export { arcPath, dialAsSvg, hourPath, SMALL_DIAL } from './dial.ts'
export {
  datumPath,
  dialHours,
  drawnRings,
  POSITIONS_DIAL,
  positionsAsSvg,
  type DrawnRing,
  type Position,
} from './positions.ts'
export { gearMesh, toothMeeting, type GearMesh, type ToothMeeting } from './gears.ts'
export { chainMarks, marksMeet, missOf, type ChainedMarks, type MarkRule } from './chain.ts'
export { turnFor, type Hand, type Sense } from './turning.ts'
export { checkPlaces, type PlacedPart, type Places } from './places.ts'
export {
  checkFacing,
  FACING_ANSWERS,
  FACING_RULE_NAMES,
  FACING_RULES,
  type FacedPart,
  type Facing,
  type FacingRule,
} from './facing.ts'
