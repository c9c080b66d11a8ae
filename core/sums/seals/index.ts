import { oRingSum } from './o-ring.ts'
import { sealSettingSum } from './seal-setting.ts'
import { drivePinSum } from './drive-pin.ts'
import { springsSum } from './springs.ts'
import { sealCauseSum } from './seal-cause.ts'
import { driveWearSum } from './drive-wear.ts'
import { faceFlatnessSum } from './face-flatness.ts'

export const sealSums = [oRingSum, sealSettingSum, drivePinSum, springsSum, sealCauseSum, driveWearSum, faceFlatnessSum]
