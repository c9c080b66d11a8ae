import { runRecordSum } from './run-record.ts'
import { vibrationSum } from './vibration.ts'
import { insulationSum } from './insulation.ts'
import { balanceSum } from './balance.ts'
import { commutatorSum } from './commutator.ts'
import { leakTestSum } from './leak-test.ts'
import { handTurnSum } from './hand-turn.ts'

export const provingSums = [
  runRecordSum,
  vibrationSum,
  insulationSum,
  balanceSum,
  commutatorSum,
  leakTestSum,
  handTurnSum,
]
