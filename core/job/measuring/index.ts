export { freeAlike, type Alike } from './alike.ts'
export {
  cellNamed,
  checkAt,
  readCell,
  readFigure,
  readingIn,
  reduceCell,
  saidIn,
  unitOf,
  type Cell,
  type CellValue,
  type Reduced,
  type Tried,
} from './cells.ts'
export { doubtOf, leadingDigits, unitDoubtOf, wearDoubtOf, widthOf, withLeading } from './doubt.ts'
export { foundBefore, foundIn, type FoundBefore, type LastFigures } from './found-before.ts'
export { oddnessOf, readDraft, type Draft } from './draft.ts'
export { cellFigures, figureIn, type CellFigure } from './figures.ts'
export {
  atMoment,
  checkResults,
  isHistory,
  isOwed,
  isRead,
  newestOf,
  readAt,
  standing,
  type CheckResult,
  type PlaceResult,
  type Read,
} from './results.ts'
export type { Rival } from './rivals.ts'
export { showFigure, showLimits, showTyped, showValue, writerOf } from './show.ts'
export { goneBy } from './gone-by.ts'
export { wayOf, type Way } from './way.ts'
export { decidingFigure, figureInBase, judgedOf, workOut, type Worked } from './work.ts'
export { minutesRead, readingsOfRow, readMinute, readTable, type TypedRow } from './table.ts'
