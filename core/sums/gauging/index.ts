import { quantitiesSum } from './quantities.ts'
import { triesSum } from './tries.ts'
import { at20Sum } from './at-20.ts'
import { seriesSum } from './series.ts'
import { roundPartSum } from './round-part.ts'
import { endFloatSum } from './end-float.ts'
import { liftCheckSum } from './lift-check.ts'
import { runoutSum } from './runout.ts'
import { shaftShapeSum } from './shaft-shape.ts'
import { gapsSum } from './gaps.ts'
import { tiltSum } from './tilt.ts'
import { fitUpRoundsSum } from './fit-up-rounds.ts'
import { foundLeftSum } from './found-left.ts'
import { feltFitSum } from './felt-fit.ts'
import { agreeSum } from './agree.ts'

export const gaugingSums = [
  quantitiesSum,
  triesSum,
  at20Sum,
  seriesSum,
  roundPartSum,
  endFloatSum,
  liftCheckSum,
  runoutSum,
  shaftShapeSum,
  gapsSum,
  tiltSum,
  fitUpRoundsSum,
  foundLeftSum,
  agreeSum,
  feltFitSum,
]
