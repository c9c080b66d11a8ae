export { fromOtherEnd, clockText, parseClock, angleBetween } from './clock.ts'
