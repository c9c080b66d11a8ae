export { boltOrder, PATTERNS, PATTERN_REASONS, type Pattern } from './patterns.ts'
export { jointProgress, type JointPlan, type JointProgress, type Pull, type PulledBolt } from './progress.ts'
export { metricStressAreaMm2, torqueFromPreloadNm, preloadFromTorqueN, torqueByFrictionNm, settingWithExtension, NUT_FACTORS, PRELOAD_SCATTER, type Lubrication, type ThreadFriction } from './torque.ts'
