export * from './ledger/entry.ts'
export * from './ledger/roles.ts'
export { ACTS, actOf } from './kinds.ts'
export { sentenceOf, type Refusal } from '../refusal.ts'
export type { ActKind } from './ledger/act.ts'
export type { Pictured, Signed } from './ledger/section.ts'
export type { Fields, Shape } from './ledger/shape.ts'
export { effectiveEntries, lastAct, readLedger, rootOf } from './ledger/corrections.ts'
export { fold, extend, emptyFold, type Folded } from './fold.ts'
export { refusalOf, takeIn, wantsPin } from './accept.ts'
export {
  cellNamed,
  checkAt,
  checkResults,
  decidingFigure,
  doubtOf,
  figureIn,
  foundBefore,
  foundIn,
  freeAlike,
  leadingDigits,
  minutesRead,
  readCell,
  oddnessOf,
  readDraft,
  readFigure,
  readingIn,
  goneBy,
  readingsOfRow,
  readMinute,
  readTable,
  reduceCell,
  saidIn,
  showFigure,
  showLimits,
  showTyped,
  showValue,
  standing,
  unitDoubtOf,
  wearDoubtOf,
  unitOf,
  widthOf,
  withLeading,
  type Cell,
  type CellValue,
  type CheckResult,
  type Draft,
  type LastFigures,
  type Reduced,
  type Tried,
  type TypedRow,
} from './measuring/index.ts'
export { atOf, cellKey, type At } from '../sums/cells.ts'
export { basisOf, neverConceded, obligations, owedWords } from './debts.ts'
export { keyOf, type OwedId } from './owed/id.ts'
export { failureTables, groupDials, type GroupDial } from './record/failure.ts'
export { causeName, NONE_OF_THEM } from './features/causes.ts'
export { causeStep, likelierThan, weighCauses, type CauseEvidence } from './parts/causes.ts'
export { ANSWERS, curedBy, isForSign, reportedSigns, shownAt, signsAt } from './parts/signs.ts'
export { findingOf, isNotedOn, notedAt, notedName, settleOf, type Noted } from './parts/noted.ts'
export { drawnFor, hasArrived, lineOf, photosMissing, photosOn, type Photo, type TakenPhoto } from './parts/photos.ts'
export { laidOver, type LaidOver } from './parts/laid-over.ts'
export { factsOf, isSameFact, type FactAsked } from './parts/facts.ts'
export type { Obligation, Settle } from './owed/owing.ts'
export {
  answersOf,
  answerText,
  choicesOf,
  dotsTaken,
  marksDiffer,
  markOf,
  markText,
  mateMet,
  missedBy,
  readLabel,
  standsMet,
  standsWrong,
} from './parts/mates.ts'
export {
  asksOf,
  confirmationOf,
  countFault,
  lubricantFault,
  mediumsOf,
  lacks,
  lostWords,
  type Asks,
  type Count,
  type Said,
} from './parts/confirm.ts'
export { questionsAt } from './parts/starting.ts'
export { labelOf, partUnder, type InHand } from './parts/keeping.ts'
export { hindrances, isCautionRead, type Hindrance } from './owed/hindrances.ts'
export { wantedAt } from './next.ts'
export { nextStep, stepsLeft, unmetNeeds } from './parts/needs.ts'
export { isWanted } from './parts/wanted.ts'
export { allSaid, hadSeen } from './ledger/seen.ts'
export {
  decidedWith,
  proposalsOf,
  resultOf,
  signedFor,
  undecided,
  type Proposal,
  type SignedLine,
} from './parts/proposals.ts'
export { holdStands } from './parts/holds.ts'
export {
  competenceFor,
  competenceShape,
  competenceWords,
  isSameCompetence,
  qualified,
  signerRefusal,
  signerWords,
  COMPETENCES,
  type Competence,
} from './ledger/competence.ts'
export { childStands, leftBy, type ChildState } from './parts/children.ts'
export { benchRefusal } from './features/children.ts'
export {
  endsOf,
  lengthText,
  lengthOf,
  spanText,
  stillText,
  waitedMs,
  waitsOn,
  waitStands,
  type Waiting,
} from './parts/waits.ts'
export { CARRIERS, wipedWords } from './parts/carriers.ts'
export { isOwnWork } from './concessions.ts'
export { type Gate } from './owed/gate.ts'
export { trayOf, type Tray, type TrayItem } from './parts/tray.ts'
export {
  progressOf,
  boltCount,
  easedOf,
  isBegun,
  isDrawnUp,
  isLocked,
  jointAhead,
  ordersOf,
  pullText,
} from './parts/joints.ts'
export { shoppingOf, type Wanted } from './parts/shopping.ts'
export { standingOf, type Standing } from './record/standing.ts'
export { axisOf, consequencesOf, planIn, proposalOf } from './switching.ts'
export {
  codesFor,
  codeOf,
  findingsOn,
  findingText,
  judgedFinding,
  leftToLead,
  lookedText,
  lookKey,
  looksAt,
  standingLook,
  verdictOf,
  verdictOfLooked,
  whereText,
  type Finding,
  type Looked,
} from './parts/looks.ts'
export { leftOut } from './features/choices.ts'
export { doorOf } from './features/remedies.ts'
export { prospectOf } from './features/reopenings.ts'
export { canBeReopened, coveredAt, isOnTrial } from './parts/over.ts'
export { viewJob, type JobView, type StationView } from './view.ts'
export { changedAt, isAway, offWith, partState, SETTLED, type PartState } from './ledger/part.ts'
export {
  accountedFor,
  countKey,
  countText,
  isClosed,
  readingKey,
  type JobState,
  type PieceCount,
  type Stamp,
} from './ledger/state.ts'
export type { Mark } from './features/marks.ts'
export type { MateAnswer } from './features/mates.ts'
export type { CellRead } from './measuring/cells.ts'
export { roundOf, roundsOf, shortOf, type RoundGoal } from './parts/rounds.ts'
export { causesOf, lookInto, signMet, signsOf, type Cause, type Worked } from './parts/troubles.ts'
export { isSameGround, projectJob, type Projection } from './record/projection.ts'
export { isOnlyFound, standingReadings, type KnownReading } from './record/stands.ts'
export { recordOf, entryWords, type JobRecord } from './record/record.ts'
export { recordParts, recordTables, type RecordTable } from './record/record-tables.ts'
export { MOMENT_WORDS, STATION_WORDS, checkName, kitWords, newFrom, partName } from './ledger/words.ts'
