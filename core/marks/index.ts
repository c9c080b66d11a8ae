export { fromOtherEnd, clockText, parseClock, angleBetween } from './clock.ts'
export { gearMesh, type GearMesh } from './gears.ts'
