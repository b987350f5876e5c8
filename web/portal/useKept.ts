import { useCallback, useEffect, useRef, useState } from 'react'
import { forgetEntry, keepEntry, keptEntry } from './keep'

/** State that is also kept on this device while it is being typed, so that leaving the page loses nothing. */
export function useKept<T>(key: string, initial: T): [T, (next: T | ((before: T) => T)) => void, () => void] {
  const [value, setValue] = useState(initial)
  const [kept, setKept] = useState(false)
  const touched = useRef(false)
  useEffect(() => {
    touched.current = false
    void keptEntry(key).then((found) => {
      if (found !== undefined && !touched.current) setValue(found as T)
    })
  }, [key])
  useEffect(() => {
    if (kept) void keepEntry(key, value)
  }, [key, value, kept])
  const change = useCallback((next: T | ((before: T) => T)) => {
    touched.current = true
    setKept(true)
    setValue(next)
  }, [])
  const forget = useCallback(() => {
    setKept(false)
    void forgetEntry(key)
  }, [key])
  return [value, change, forget]
}
