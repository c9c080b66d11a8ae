export * from './types.ts'
export { readSheet } from './expand.ts'
export { planFor, placesOf, fullVariants, stepsBefore, type Plan, type PartPlace } from './plan.ts'
export { coupledVariants, examineSheet, everyVariant } from './examine.ts'
