export { stackGap, tryStack, DISTRIBUTIONS, type Distribution, type Link, type Stack, type Trial } from './stack.ts'
export { chooseShims, shimWork, type ShimPack, type ShimWish, type StockShim } from './shims.ts'
export { seeded } from './random.ts'
