import type { WrenchUnit } from '~~/core/joints'

/** The unit the wrench in hand is marked in: as chosen on this device, else as lengths are shown. */
export function useWrenchUnit() {
  const { fieldUnit } = useDisplay()
  const chosen = useLocalStorage<WrenchUnit | ''>('needler-wrench-unit', '')
  return computed({
    get: (): WrenchUnit => chosen.value || (fieldUnit('N·m') as WrenchUnit),
    set: one => {
      chosen.value = one
    },
  })
}
