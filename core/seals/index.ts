export { seatORing, type Gland, type SeatedRing } from './o-ring.ts'
export { worstRing, DUTIES, DUTY_NAMES, type Duty, type WorstRing } from './duty.ts'
export { sealSetting, gasketFeelerMm, SEAL_SIDES, type SealSetting, type SealSide, type SetSeal } from './setting.ts'
export { compareSprings, type Springs } from './springs.ts'
export {
  rankCauses,
  turningSenseFrom,
  SLOT_PLACES,
  WORN_SIDES,
  type RankedCause,
  type SlotPlace,
  type WornSide,
} from './causes.ts'
export { CAUSES, OBSERVATIONS, type Observations } from './cause-data.ts'
export { flatnessUm, LAMP_NAMES, LAMPS, type Lamp } from './flatness.ts'
