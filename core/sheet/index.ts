export * from './types.ts'
export { planFor, placesOf, fullVariants, stepsBefore, type Plan, type PartPlace } from './plan.ts'
export { examineSheet, everyVariant } from './examine.ts'
