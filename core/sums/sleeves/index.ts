import { plasticStripSum } from './plastic-strip.ts'
import { stripSetSum } from './strip-set.ts'
import { hornStripsSum } from './horn-strips.ts'
import { skewSum } from './skew.ts'
import { pinchSum } from './pinch.ts'
import { runningClearanceSum } from './running-clearance.ts'
import { bushPressSum } from './bush-press.ts'
import { contactSum } from './contact.ts'
import { magneticCentreSum } from './magnetic-centre.ts'

export const sleeveSums = [
  plasticStripSum,
  stripSetSum,
  skewSum,
  hornStripsSum,
  pinchSum,
  runningClearanceSum,
  bushPressSum,
  contactSum,
  magneticCentreSum,
]
