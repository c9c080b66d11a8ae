export {
  boltOrder,
  jointOrder,
  slackeningOrder,
  boltSteps,
  boltPoints,
  boltCount,
  outwardsOn,
  CIRCLE_PATTERNS,
  PATTERNS,
  PATTERN_REASONS,
  type BoltLayout,
  type Pattern,
} from './patterns.ts'
export {
  jointProgress,
  passesOf,
  sideOf,
  type JointPlan,
  type Drawing,
  type JointProgress,
  type PassWanted,
  type Pull,
  type PulledBolt,
} from './progress.ts'
export {
  metricStressAreaMm2,
  torqueFromPreloadNm,
  preloadFromTorqueN,
  torqueByFrictionNm,
  preloadByFrictionN,
  settingWithExtension,
  NUT_FACTORS,
  PRELOAD_SCATTER,
  type Lubrication,
  type ThreadFriction,
} from './torque.ts'
export { readThread, boltStrength, unifiedStressAreaMm2, type Strength, type Thread } from './threads.ts'
export { BOLT_CLASS_NAMES, type BoltClassName, type ThreadSystem } from './thread-data.ts'
export {
  interact,
  FILLINGS,
  JOINT_STIFFNESS,
  type AfterPass,
  type Interaction,
  type InteractionResult,
  type JointFilling,
} from './elastic.ts'
export { stretchPerNewton, tensionerPullN, type StudLength } from './stretch.ts'
export { torqueDoubt, torqueText, WRENCH_UNITS, WRENCH_UNIT_WORDS, type WrenchUnit } from './doubt.ts'
