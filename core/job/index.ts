export * from './entry.ts'
export * from './roles.ts'
export { ACTS, actOf } from './acts/index.ts'
export type { ActKind } from './act.ts'
export type { Fields, Shape } from './shape.ts'
export { effectiveEntries, lastAct, readLedger, rootOf } from './corrections.ts'
export { fold, extend, emptyFold, type Folded } from './fold.ts'
export { refusalOf } from './accept.ts'
export {
  checkResults,
  cellsOf,
  figureOf,
  figuresPerTry,
  isHistory,
  readDraft,
  standing,
  type Cell,
  type CheckResult,
  type Draft,
} from './results.ts'
export { keyOf, obligations, owedWords, type Obligation, type OwedId, type Settle } from './owed/index.ts'
export { mateMet, matesAsked, mateAnswer } from './mates.ts'
export { confirmationOf, keptBy, refitsOf, type Said } from './confirm.ts'
export { hindrances, unmetNeeds, stepsLeft, nextStep, type Hindrance } from './steps.ts'
export { holdStands, holdHindrances } from './holds.ts'
export { gateOf, type Gate } from './gate.ts'
export { trayOf, type Tray, type TrayItem } from './tray.ts'
export { progressOf, boltCount } from './joints.ts'
export { viewJob, type JobView, type StationView } from './view.ts'
export {
  partState,
  readingKey,
  cellKey,
  cautionKey,
  isClosed,
  CHOICES,
  SEVERITIES,
  type JobState,
  type PartState,
  type Choice,
  type Severity,
  type MateAnswer,
  type Stamp,
  type Mark,
  type Observation,
  type CellReading,
} from './state.ts'
export { projectJob, worstCheck, type Projection, type LatestReading } from './projection.ts'
export { recordOf, entryWords, type JobRecord, type RecordedReading, type Signed } from './record.ts'
export { recordTables, type RecordTable } from './record-tables.ts'
export { MOMENT_WORDS, STATION_WORDS, partName } from './words.ts'
export { showValue, showLimits, showFigure } from './show.ts'
