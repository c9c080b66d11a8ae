import { limitsAndFitsSum } from './limits-and-fits.ts'
import { measuredFitSum } from './measured-fit.ts'
import { classOfMeasuredSum } from './class-of-measured.ts'
import { bearingSeatSum } from './bearing-seat.ts'

export const fitSums = [limitsAndFitsSum, measuredFitSum, classOfMeasuredSum, bearingSeatSum]
