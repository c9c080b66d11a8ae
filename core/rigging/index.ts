export { equalLegTensionKN, twoLegTensionsKN, slingAngleVerdict, type Lift, type TwoLegs } from './slings.ts'
export {
  hangingWeightKN,
  useItems,
  RIGGING_USE_NAMES,
  type ItemUse,
  type RiggingItem,
  type RiggingUse,
} from './lift.ts'
