import { couplingGapSum } from './coupling-gap.ts'
import { thermalGrowthSum } from './thermal-growth.ts'
import { reverseDialsSum } from './reverse-dials.ts'
import { rimAndFaceSum } from './rim-and-face.ts'
import { softFootSum } from './soft-foot.ts'

export const alignmentSums = [softFootSum, rimAndFaceSum, reverseDialsSum, thermalGrowthSum, couplingGapSum]
