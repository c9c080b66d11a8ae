export { equalLegTensionKN, twoLegTensionsKN, slingAngleVerdict, type Lift, type TwoLegs } from './slings.ts'
