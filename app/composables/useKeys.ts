/** A dialog that is open has the keys to itself: what is pressed in it is not meant for the page behind. */
export const isDialogOpen = () =>
  [...document.querySelectorAll<HTMLElement>('[role=dialog][aria-modal=true]')].some(dialog => dialog.checkVisibility())

/**
 * Single keys and two-key runs (`g y`) for as long as the caller is mounted. Keys typed into a field are left to the field;
 * while a dialog is open they do nothing.
 */
export function useKeys(keys: Record<string, () => void>) {
  let before = ''
  useEventListener(window, 'keydown', event => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
    const target = event.target as HTMLElement
    if (isDialogOpen()) return
    const typing = target.matches('input, textarea, select, [contenteditable]')
    const run = `${before} ${event.key}`
    before = typing ? '' : event.key
    const name = !typing && keys[run] ? run : event.key
    if (!keys[name] || typing) return
    // A focused button keeps its own Enter.
    if (event.key === 'Enter' && target.matches('button, a, [role=button]')) return
    event.preventDefault()
    before = ''
    keys[name]!()
  })
}
