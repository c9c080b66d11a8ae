export { parseQuantity, fromBase, toBase, type Field, type Quantity } from './parse.ts'
export {
  formatQuantity,
  formatInchFraction,
  displayLength,
  fixed,
  shownDecimals,
  shownUnit,
  type LengthSystem,
  type InchStyle,
  type LengthDisplay,
} from './format.ts'
export { UNITS, BASE_UNIT, KINDS, isUnit, type Kind, type UnitName } from './units.ts'
