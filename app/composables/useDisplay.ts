import { showFigure } from '~~/core/job/measuring/show'
import { shownUnit, type UnitName } from '~~/core/quantity'
import type { Check } from '~~/core/sheet'

/**
 * How this screen shows figures: millimetres or inches, light or dark. Kept on the device.
 * One for all who ask: each new follower of the theme has the whole page's style worked out anew, 15 ms a time.
 */
export const useDisplay = createSharedComposable(() => {
  const system = useLocalStorage<'mm' | 'inch'>('needler-lengths', 'mm')
  const dark = useDark({ storageKey: 'needler-theme', valueLight: 'light' })

  /** A base-unit value of a check as figure and unit. */
  const show = (value: number, check: Pick<Check, 'unit' | 'decimals' | 'choices'>) =>
    showFigure(value, check, system.value)

  const text = (value: number, check: Pick<Check, 'unit' | 'decimals' | 'choices'>) => {
    const shown = show(value, check)
    return `${shown.figure} ${shown.unit}`.trim()
  }

  /** The unit a bare number is read in. */
  const fieldUnit = (unit: UnitName): UnitName => shownUnit(unit, system.value)

  const toggleSystem = () => {
    system.value = system.value === 'mm' ? 'inch' : 'mm'
  }
  return { system, dark, show, text, fieldUnit, toggleSystem }
})
