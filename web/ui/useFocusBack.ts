import { useLayoutEffect } from 'react'

/** Once something that was in front of the page is gone, the focus is where it was before it came. */
export function useFocusBack(open: boolean) {
  useLayoutEffect(() => {
    if (!open) return
    const before = document.activeElement
    return () => {
      setTimeout(() => {
        // Where it led elsewhere, the focus is there already.
        const lost = document.activeElement === document.body || document.activeElement === null
        if (lost && before instanceof HTMLElement && before.isConnected) before.focus()
      })
    }
  }, [open])
}
