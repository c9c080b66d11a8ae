export { mountingTemperature, type Mounting, type MountingTemperature } from './mounting.ts'
export {
  readDesignation,
  CLEARANCE_GROUPS,
  type Bearing,
  type BearingType,
  type ClearanceGroup,
} from './designation.ts'
export {
  clearanceAfterMounting,
  groupClearance,
  type ClearanceAfterMounting,
  type Mounted,
  type Span,
} from './clearance.ts'
export { type ClearanceTable } from './iso5753-data.ts'
export { seatClasses, LOAD_CASES, LOADS, type Load, type LoadCase, type SeatChoice } from './seats.ts'
export { driveUp, slotSetting, TAPERS, type DriveUp, type SlotSetting, type Taper } from './drive-up.ts'
export {
  pairSetting,
  PAIR_ARRANGEMENTS,
  SHIM_SENSES,
  type PairArrangement,
  type PairSetting,
  type ShimSense,
} from './pair.ts'
export { greaseGrams, greaseHours, GREASED_NAMES, type Greased } from './grease.ts'
