import { alignmentSums } from './alignment/index.ts'
import { CRAFTS, type AnySum, type Craft } from './define.ts'
import { clearanceSums } from './clearances/index.ts'
import { driveSums } from './drives/index.ts'
import { bathSums } from './baths/index.ts'
import { fitSums } from './fits/index.ts'
import { gaugingSums } from './gauging/index.ts'
import { jointSums } from './joints/index.ts'
import { markSums } from './marks/index.ts'
import { pressSums } from './press/index.ts'
import { provingSums } from './proving/index.ts'
import { riggingSums } from './rigging/index.ts'
import { rollerSums } from './rollers/index.ts'
import { sealSums } from './seals/index.ts'
import { sleeveSums } from './sleeves/index.ts'
import { stackSums } from './stacks/index.ts'

export {
  CRAFTS,
  costOf,
  runSum,
  toWire,
  verdictOf,
  type Answer,
  type AnySum,
  type Craft,
  type Figure,
  type Progress,
  type School,
} from './define.ts'
export type { Field, Fields, NumberField, ListField, RowsField } from './fields.ts'

/** Every sum there is, in the order of the crafts. */
export const SUMS: readonly AnySum[] = [
  gaugingSums,
  fitSums,
  rollerSums,
  sleeveSums,
  pressSums,
  alignmentSums,
  driveSums,
  clearanceSums,
  jointSums,
  sealSums,
  stackSums,
  markSums,
  riggingSums,
  bathSums,
  provingSums,
].flat()

/** Every sum by its name, for whoever works a sheet that has some. */
export const SUMS_BY_NAME: ReadonlyMap<string, AnySum> = new Map(SUMS.map(sum => [sum.name, sum]))

/** A sum by its name; undefined where there is none. */
export const sumNamed = (name: string): AnySum | undefined => SUMS_BY_NAME.get(name)

export const sumsOf = (craft: Craft): readonly AnySum[] => SUMS.filter(sum => sum.craft === craft)

export const CRAFT_TITLES: Record<Craft, string> = {
  gauging: 'Readings',
  fits: 'Limits and fits',
  rollers: 'Rolling bearings',
  sleeves: 'Sleeve bearings',
  press: 'Press and shrink',
  alignment: 'Alignment',
  drives: 'Gears, keys, belts',
  clearances: 'Running parts',
  joints: 'Joints',
  seals: 'Seals and O-rings',
  stacks: 'Stacks and shims',
  marks: 'Marks and gears',
  rigging: 'Lifting',
  baths: 'Baths and waits',
  proving: 'Proving',
}
export const isCraft = (text: string): text is Craft => (CRAFTS as readonly string[]).includes(text)
