export { backlash, TOOTH_CONTACTS, TOOTH_CONTACT_NAMES, type Backlash, type ToothContact } from './teeth.ts'
export { brushPressures, type BrushPressures } from './brush.ts'
export { freeSpanMm, frequencyOfTensionHz, tensionByDeflectionN, tensionByFrequencyN } from './belt.ts'
export { keyLimits, KEY_FITS, KEY_FIT_NAMES, type KeyFit, type KeyLimits } from './key.ts'
