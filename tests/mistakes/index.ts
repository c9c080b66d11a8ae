import type { Mistakes } from './bench.ts'
import { M1_MISTAKES } from './m1.ts'
import { M2_MISTAKES } from './m2.ts'
import { M3_MISTAKES } from './m3.ts'
import { M4_MISTAKES } from './m4.ts'
import { M5_MISTAKES } from './m5.ts'
import { M6_MISTAKES } from './m6.ts'
import { M7_MISTAKES } from './m7.ts'
import { M9_MISTAKES } from './m9.ts'
import { M10_MISTAKES } from './m10.ts'
import { M11_MISTAKES } from './m11.ts'
import { M12_MISTAKES } from './m12.ts'
import { M13_MISTAKES } from './m13.ts'
import { M14_MISTAKES } from './m14.ts'
import { M15_MISTAKES } from './m15.ts'
import { M16_MISTAKES } from './m16.ts'
import { M17_MISTAKES } from './m17.ts'
import { M18_MISTAKES } from './m18.ts'
import { M19_MISTAKES } from './m19.ts'
import { M20_MISTAKES } from './m20.ts'
import { M8_MISTAKES } from './m8.ts'

/** Every family's mistakes, in the order of the library. */
export const ALL_MISTAKES: Mistakes[] = [
  M1_MISTAKES,
  M2_MISTAKES,
  M3_MISTAKES,
  M4_MISTAKES,
  M5_MISTAKES,
  M6_MISTAKES,
  M7_MISTAKES,
  M8_MISTAKES,
  M9_MISTAKES,
  M10_MISTAKES,
  M11_MISTAKES,
  M12_MISTAKES,
  M13_MISTAKES,
  M14_MISTAKES,
  M15_MISTAKES,
  M16_MISTAKES,
  M17_MISTAKES,
  M18_MISTAKES,
  M19_MISTAKES,
  M20_MISTAKES,
]
