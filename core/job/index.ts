export * from './ledger/entry.ts'
export * from './ledger/roles.ts'
export { ACTS, actOf } from './acts/index.ts'
export type { ActKind, Claim } from './ledger/act.ts'
export type { Fields, Shape } from './ledger/shape.ts'
export { effectiveEntries, lastAct, readLedger, rootOf } from './ledger/corrections.ts'
export { fold, extend, emptyFold, type Folded } from './fold.ts'
export { refusalOf, takeIn, wantsPin } from './accept.ts'
export {
  checkResults,
  decidingFigure,
  doubtOf,
  leadingDigits,
  readCell,
  oddnessOf,
  readDraft,
  readFigure,
  readingIn,
  reduceCell,
  saidIn,
  showFigure,
  showLimits,
  showTyped,
  showValue,
  standing,
  unitOf,
  widthOf,
  withLeading,
  type Cell,
  type CellValue,
  type CheckResult,
  type Draft,
  type Reduced,
  type Tried,
} from './measuring/index.ts'
export { cellKey, type At } from '../sums/cells.ts'
export { keyOf, obligations, owedWords, type Obligation, type OwedId, type Settle } from './owed/index.ts'
export { answerText, choicesOf, markOf, markText, mateMet, missedBy, readLabel } from './parts/mates.ts'
export {
  asksOf,
  confirmationOf,
  countFault,
  lubricantFault,
  mediumsOf,
  lacks,
  type Asks,
  type Count,
  type Said,
} from './parts/confirm.ts'
export { partUnder, type InHand } from './parts/keeping.ts'
export { hindrances, isCautionRead, type Hindrance } from './owed/hindrances.ts'
export { nextStep, stepsLeft, unmetNeeds } from './parts/needs.ts'
export { isWanted } from './parts/wanted.ts'
export { allSaid, hadSeen } from './ledger/seen.ts'
export { foundOut, isLookedAt, resultOf } from './parts/found.ts'
export { holdStands, holdHindrances } from './parts/holds.ts'
export { basisOf } from './owed/basis.ts'
export {
  competenceFor,
  competenceShape,
  competenceWords,
  isSameCompetence,
  signerRefusal,
  signerWords,
  COMPETENCES,
  type Competence,
} from './ledger/competence.ts'
export { isOwnWork, neverConceded } from './acts/concession-given.ts'
export { gateOf, type Gate } from './owed/gate.ts'
export { trayOf, type Tray, type TrayItem } from './parts/tray.ts'
export {
  progressOf,
  boltCount,
  easedOf,
  isDrawnUp,
  isLocked,
  isLoose,
  ordersOf,
  pullText,
  tightens,
} from './parts/joints.ts'
export { shoppingOf, type Wanted, type WantedFrom } from './parts/shopping.ts'
export { standingOf, type Standing } from './record/standing.ts'
export { axisOf, consequencesOf, leftOut, planIn, proposalOf } from './switching.ts'
export { SETTLED } from './acts/part-settled.ts'
export { viewJob, type JobView, type StationView } from './view.ts'
export {
  isAway,
  offWith,
  partState,
  readingKey,
  cautionKey,
  countKey,
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
  type CellRead,
} from './ledger/state.ts'
export { momentsIn, roundOf, roundsOf, shortOf, type RoundGoal, type RoundView } from './parts/rounds.ts'
export { causesOf, signMet, signsOf, type Cause, type Worked } from './parts/troubles.ts'
export { isSameGround, projectJob, worstCheck, type Projection, type LatestReading } from './record/projection.ts'
export { recordOf, entryWords, type JobRecord, type RecordedReading, type Signed } from './record/record.ts'
export { recordParts, recordTables, type RecordTable } from './record/record-tables.ts'
export { MOMENT_WORDS, STATION_WORDS, checkName, kitWords, newFrom, partName } from './ledger/words.ts'
