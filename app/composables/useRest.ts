/** Long enough that a press meant for what was there before does nothing. */
const REST_MS = 400

/** Confirming rests for a moment after what it confirms has changed: true meanwhile. */
export function useRest(what: () => unknown): Readonly<Ref<boolean>> {
  const isResting = ref(true)
  const { start } = useTimeoutFn(() => {
    isResting.value = false
  }, REST_MS)
  // Looked at once a change is whole: while what was sent lands, it is for a moment in neither list.
  watch(what, () => {
    isResting.value = true
    start()
  })
  return readonly(isResting)
}
