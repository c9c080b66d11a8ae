export { seatORing, type Gland, type SeatedRing } from './o-ring.ts'
