import { bathMixSum } from './bath-mix.ts'
import { waitSum } from './wait.ts'

export const bathSums = [bathMixSum, waitSum]
