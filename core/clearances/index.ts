export { leastRunningClearanceMm, ringClearance, type RingClearance } from './rings.ts'
export { impellerSetting, type ImpellerSetting } from './impeller.ts'
export {
  leadClearance,
  valveLift,
  RING_GAPS,
  RING_MATERIALS,
  type LeadClearance,
  type RingMaterial,
} from './compressor.ts'
