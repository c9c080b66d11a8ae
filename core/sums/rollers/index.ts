import { bearingDesignationSum } from './bearing-designation.ts'
import { bearingFitSum } from './bearing-fit.ts'
import { internalClearanceSum } from './internal-clearance.ts'
import { clearanceAfterMountingSum } from './clearance-after-mounting.ts'
import { mountingTemperatureSum } from './mounting-temperature.ts'
import { driveUpSum } from './drive-up.ts'
import { locknutSlotsSum } from './locknut-slots.ts'
import { greaseSum } from './grease.ts'
import { pairSettingSum } from './pair-setting.ts'

export const rollerSums = [
  bearingDesignationSum,
  bearingFitSum,
  internalClearanceSum,
  clearanceAfterMountingSum,
  mountingTemperatureSum,
  driveUpSum,
  locknutSlotsSum,
  pairSettingSum,
  greaseSum,
]
