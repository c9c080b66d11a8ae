import type { DemoMachine } from '../thornmere.ts'
import { AGITATORS } from './agitators.ts'
import { BLOWERS } from './blowers.ts'
import { BOWL_PUMPS } from './bowl-pumps.ts'
import { COMPRESSORS } from './compressors.ts'
import { COUPLINGS } from './couplings.ts'
import { MOTORS } from './dc-motors.ts'
import { DECANTERS } from './decanters.ts'
import { DOSING_PUMPS } from './dosing-pumps.ts'
import { EXCHANGERS } from './exchangers.ts'
import { GEAR_UNITS } from './gear-units.ts'
import { HOISTS } from './hoists.ts'
import { REDUCERS } from './reducers.ts'
import { SEALS } from './seals.ts'
import { SLEEVE_MOTORS } from './sleeve-motors.ts'
import { SPLIT_PUMPS } from './split-pumps.ts'
import { SANITARY_PUMPS } from './sanitary-pumps.ts'
import { LIME_PUMPS } from './lime-pumps.ts'
import { CONVEYORS } from './conveyors.ts'
import { GAS_PUMPS } from './gas-pumps.ts'
import { VACUUM_PUMPS } from './vacuum-pumps.ts'

/** Every machine of the works that has a sheet. */
export const FLEET: DemoMachine[] = [
  ...GEAR_UNITS,
  ...EXCHANGERS,
  ...REDUCERS,
  ...SEALS,
  ...BLOWERS,
  ...MOTORS,
  ...COMPRESSORS,
  ...DECANTERS,
  ...COUPLINGS,
  ...HOISTS,
  ...SLEEVE_MOTORS,
  ...VACUUM_PUMPS,
  ...GAS_PUMPS,
  ...LIME_PUMPS,
  ...CONVEYORS,
  ...AGITATORS,
  ...DOSING_PUMPS,
  ...BOWL_PUMPS,
  ...SANITARY_PUMPS,
  ...SPLIT_PUMPS,
]
