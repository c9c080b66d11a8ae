import { pressFitSum } from './press-fit.ts'
import { shrinkFitSum } from './shrink-fit.ts'
import { taperAdvanceSum } from './taper-advance.ts'

export const pressSums = [pressFitSum, shrinkFitSum, taperAdvanceSum]
