import type { AnySum, Craft } from './define.ts'

/** The sums of a craft, each fetched for itself: a sheet works out a few, and the tables behind the others stay where they are. */
const FETCH: Record<Craft, () => Promise<readonly AnySum[]>> = {
  gauging: async () => (await import('./gauging/index.ts')).gaugingSums,
  fits: async () => (await import('./fits/index.ts')).fitSums,
  rollers: async () => (await import('./rollers/index.ts')).rollerSums,
  sleeves: async () => (await import('./sleeves/index.ts')).sleeveSums,
  press: async () => (await import('./press/index.ts')).pressSums,
  alignment: async () => (await import('./alignment/index.ts')).alignmentSums,
  drives: async () => (await import('./drives/index.ts')).driveSums,
  clearances: async () => (await import('./clearances/index.ts')).clearanceSums,
  joints: async () => (await import('./joints/index.ts')).jointSums,
  seals: async () => (await import('./seals/index.ts')).sealSums,
  stacks: async () => (await import('./stacks/index.ts')).stackSums,
  marks: async () => (await import('./marks/index.ts')).markSums,
  rigging: async () => (await import('./rigging/index.ts')).riggingSums,
  baths: async () => (await import('./baths/index.ts')).bathSums,
  proving: async () => (await import('./proving/index.ts')).provingSums,
}

/** The sums of some crafts by name, for whoever works a sheet that names them. */
export const sumsOfCrafts = async (crafts: readonly Craft[]): Promise<ReadonlyMap<string, AnySum>> =>
  new Map((await Promise.all(crafts.map(craft => FETCH[craft]()))).flat().map(sum => [sum.name, sum]))
