import { runRecordSum } from './run-record.ts'
import { vibrationSum } from './vibration.ts'
import { insulationSum } from './insulation.ts'
import { balanceSum } from './balance.ts'
import { commutatorSum } from './commutator.ts'
import { leakTestSum } from './leak-test.ts'
import { handTurnSum } from './hand-turn.ts'
import { hydrotestSum } from './hydrotest.ts'
import { trialWeightSum } from './trial-weight.ts'
import { pumpVibrationSum, shaftVibrationSum, vibrationOfSum } from './vibration-parts.ts'

export const provingSums = [
  runRecordSum,
  vibrationSum,
  pumpVibrationSum,
  shaftVibrationSum,
  vibrationOfSum,
  insulationSum,
  balanceSum,
  trialWeightSum,
  commutatorSum,
  leakTestSum,
  hydrotestSum,
  handTurnSum,
]
