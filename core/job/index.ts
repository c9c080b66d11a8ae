export * from './entries.ts'
export { effectiveEntries, lastAct } from './corrections.ts'
export { fold, extend, emptyFold, isKind, type Folded } from './fold.ts'
export { refusalOf } from './accept.ts'
export { checkResults, cellsOf, standing, type Cell, type CheckResult } from './results.ts'
export { obligations, mateMet, type Obligation, type Settle } from './obligations.ts'
export { hindrances, stepsLeft, nextStep, type Hindrance } from './steps.ts'
export { gateOf, type Gate } from './gate.ts'
export { trayOf, type Tray, type TrayItem } from './tray.ts'
export { progressOf, boltCount } from './joints.ts'
export { viewJob, type JobView, type StationView } from './view.ts'
export {
  partState,
  readingKey,
  cellKey,
  cautionKey,
  lostKey,
  type JobState,
  type PartState,
  type Act,
  type Mark,
  type Observation,
  type CellReading,
} from './state.ts'
export { projectJob, worstCheck, type Projection, type LatestReading } from './projection.ts'
export { recordOf, entryWords, MOMENT_WORDS, STATION_WORDS, type JobRecord, type RecordedReading } from './record.ts'
export { showValue, showLimits, showFigure } from './show.ts'
