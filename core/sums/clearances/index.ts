import { impellerSettingSum } from './impeller-setting.ts'
import { ringGapSum } from './ring-gap.ts'
import { topClearanceSum } from './top-clearance.ts'
import { valveLiftSum } from './valve-lift.ts'
import { wearRingSum } from './wear-ring.ts'

export const clearanceSums = [wearRingSum, impellerSettingSum, topClearanceSum, ringGapSum, valveLiftSum]
