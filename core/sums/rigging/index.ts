import { liftingSum } from './lifting.ts'
import { liftPlanSum } from './lift-plan.ts'

export const riggingSums = [liftingSum, liftPlanSum]
