import { useEffect, useRef } from 'react'

/**
 * Keys of the desk: `{ j: next, 'ctrl+k': find }`. Single letters do nothing while somebody types or a dialog is open,
 * unless `inDialog` says that they are the dialog's own.
 */
export function useKeys(keys: Readonly<Record<string, (() => void) | undefined>>, inDialog = false) {
  const current = useRef(keys)
  current.current = keys
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      const typing = target.isContentEditable || /^(input|textarea|select)$/i.test(target.tagName)
      const name = `${event.ctrlKey || event.metaKey ? 'ctrl+' : ''}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`
      const act = current.current[name]
      if (!act || event.altKey || (typing && !name.startsWith('ctrl+'))) return
      const dialog = document.querySelector('[role="dialog"][data-state="open"]')
      if (dialog && !inDialog) return
      if ((event.key === 'Enter' || event.key === ' ') && /^(button|a)$/i.test(target.tagName)) return
      event.preventDefault()
      act()
    }
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  }, [inDialog])
}
