import { stackSum } from './stack.ts'
import { stackTrialSum } from './stack-trial.ts'
import { shimChoiceSum } from './shim-choice.ts'
import { shimsInSum } from './shims-in.ts'

export const stackSums = [stackSum, stackTrialSum, shimChoiceSum, shimsInSum]
