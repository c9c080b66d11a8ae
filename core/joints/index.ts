export { boltOrder, PATTERNS, PATTERN_REASONS, type Pattern } from './patterns.ts'
export { jointProgress, type JointPlan, type JointProgress, type Pull, type PulledBolt } from './progress.ts'
