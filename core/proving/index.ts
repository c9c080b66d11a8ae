export { permissibleUnbalance, sharedUnbalance } from './balance.ts'
export { steadiness, type Sample, type Steadiness } from './run.ts'
export {
  vibrationZone,
  OTHER_MACHINES,
  SUPPORTS,
  VIBRATION_GROUPS,
  type VibrationGroup,
  type VibrationZone,
  type Zone,
} from './vibration.ts'
export { commutator, insulation, type Commutator, type Insulation } from './electrical.ts'
export { pressureDrop } from './leak.ts'
export { HAND_TURNS, HAND_TURN_WORDS, type HandTurn } from './hand-turn.ts'
