export * from './types.ts'
export { readSheet } from './expand.ts'
export {
  gateAfter,
  planFor,
  placesOf,
  liftedWith,
  fullVariants,
  sumNamesOf,
  readingKey,
  stepsBefore,
  type Plan,
  type PlanGate,
  type PartPlace,
  type Sums,
} from './plan.ts'
export { coupledVariants, examineSheet, everyVariant } from './examine.ts'
export { fromOf, type From } from './from.ts'
export { oppositeView, viewsOf, viewWords } from './views.ts'
export { boltCount } from './joint-rules.ts'
