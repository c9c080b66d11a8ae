export { equalLegTensionKN, twoLegTensionsKN, slingAngleVerdict, type Lift, type TwoLegs } from './slings.ts'
export { hangingWeightKN, useItems, HITCHES, type Hitch, type ItemUse, type RiggingItem } from './lift.ts'
