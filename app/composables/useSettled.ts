/** How long a page is left alone before what it does not need to begin is fetched, ms. */
const REST_MS = 4000

const isSettled = ref(false)

/** Whether this page has had time to put itself together: what is not needed to begin is fetched after that. Once it had, it has. */
export function useSettled() {
  if (!isSettled.value)
    useTimeoutFn(() => {
      isSettled.value = true
    }, REST_MS)
  return { isSettled: readonly(isSettled) }
}
