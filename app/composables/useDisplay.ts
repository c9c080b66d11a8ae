import { showFigure } from '~~/core/job/show'
import { UNITS, type UnitName } from '~~/core/quantity'
import type { Check } from '~~/core/sheet'

/** How this screen shows figures: millimetres or inches, light or dark. Kept on the device. */
export function useDisplay() {
  const system = useLocalStorage<'mm' | 'inch'>('needler-lengths', 'mm')
  const dark = useDark({ storageKey: 'needler-theme', valueLight: 'light' })

  const isLength = (unit: UnitName) => UNITS[unit].kind === 'length'

  /** A base-unit value of a check as figure and unit. */
  const show = (value: number, check: Pick<Check, 'unit' | 'decimals'>) => showFigure(value, check, system.value)

  const text = (value: number, check: Pick<Check, 'unit' | 'decimals'>) => {
    const shown = show(value, check)
    return `${shown.figure} ${shown.unit}`
  }

  /** The unit a bare number is read in. */
  const fieldUnit = (unit: UnitName): UnitName => (isLength(unit) && system.value === 'inch' ? 'in' : unit)

  const toggleSystem = () => {
    system.value = system.value === 'mm' ? 'inch' : 'mm'
  }
  return { system, dark, show, text, fieldUnit, toggleSystem }
}
