import { backlashSum } from './backlash.ts'
import { beltTensionSum } from './belt-tension.ts'
import { brushPressureSum } from './brush-pressure.ts'
import { keyFitSum } from './key-fit.ts'
import { toothContactSum } from './tooth-contact.ts'

export const driveSums = [backlashSum, toothContactSum, keyFitSum, beltTensionSum, brushPressureSum]
