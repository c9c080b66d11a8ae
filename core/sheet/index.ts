export * from './types.ts'
export { readSheet } from './expand.ts'
export {
  boltCount,
  partsDecidedAt,
  gateAfter,
  isAskedBack,
  planFor,
  wholeSheet,
  placesOf,
  liftedWith,
  fullVariants,
  sumNamesOf,
  readingKey,
  type Plan,
  type PlanGate,
  type PartPlace,
  type Sums,
} from './plan.ts'
export { coupledVariants, everyVariant, proposedByOut } from './variants.ts'
export { isDecided } from './connections.ts'
export { durationMs } from './duration.ts'
export { stepsBefore, type StepsBefore } from './before.ts'
export { ALL, fromOf, LAST, lastWanted, type From } from './from.ts'
export { handledAt, heldBy, restingOn } from './handled.ts'
export { stopsOf, type Thing } from './stops.ts'
export { datumSeen, oppositeView, viewsOf, viewWords } from './views.ts'
