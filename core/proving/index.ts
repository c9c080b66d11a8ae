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
export {
  displacementOfVelocity,
  pumpVibrationZone,
  shaftVibrationZone,
  velocityOfDisplacement,
  PUMP_CATEGORIES,
  type PumpCategory,
} from './vibration-parts.ts'
export { trialWeight, vibrationWith, type Correction, type Phased } from './trial-weight.ts'
export { hydrotestPressure, TEST_CODES, TEST_FACTORS, type TestCode, type TestPressure } from './hydrotest.ts'
