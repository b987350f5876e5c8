import { useCallback, useEffect, useState } from 'react'

/** State that is also kept on this device while it is being typed, so that leaving the page loses nothing. */
export function useKept<T>(key: string, initial: T): [T, (next: T | ((before: T) => T)) => void, () => void] {
  const [value, setValue] = useState<T>(() => read(key) ?? initial)
  const [kept, setKept] = useState(false)
  useEffect(() => {
    if (kept) localStorage.setItem(key, JSON.stringify(value))
  }, [key, value, kept])
  const change = useCallback((next: T | ((before: T) => T)) => {
    setKept(true)
    setValue(next)
  }, [])
  const forget = useCallback(() => {
    setKept(false)
    localStorage.removeItem(key)
  }, [key])
  return [value, change, forget]
}

function read<T>(key: string): T | undefined {
  const text = localStorage.getItem(key)
  if (text === null) return undefined
  try {
    return JSON.parse(text) as T
  } catch {
    return undefined
  }
}
