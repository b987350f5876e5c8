import { useEffect } from 'react'

/** The title of the window, once a page knows what it is about. */
export function useTitle(about: string | undefined) {
  useEffect(() => {
    if (about) document.title = `${about}, Probatum`
  }, [about])
}
