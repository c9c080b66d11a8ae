import { clockSum } from './clock.ts'
import { turningSenseSum } from './turning-sense.ts'
import { markChainSum } from './mark-chain.ts'
import { markMeetsSum } from './mark-meets.ts'
import { gearMeshSum } from './gear-mesh.ts'
import { huntingSum } from './hunting.ts'
import { facingSum } from './facing.ts'
import { placesSum } from './places.ts'

export const markSums = [
  clockSum,
  turningSenseSum,
  markChainSum,
  markMeetsSum,
  gearMeshSum,
  huntingSum,
  placesSum,
  facingSum,
]
