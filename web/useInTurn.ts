import { useCallback, useRef } from 'react'

type Run = () => Promise<unknown>

/**
 * Runs acts of one kind one after the other. Of those that come while one is under way only the newest is run, since it
 * carries all that the others did.
 */
export function useInTurn(): (run: Run) => Promise<void> {
  const running = useRef(false)
  const next = useRef<Run | undefined>(undefined)
  return useCallback(async (run: Run) => {
    next.current = run
    if (running.current) return
    running.current = true
    try {
      while (next.current) {
        const now = next.current
        next.current = undefined
        await now()
      }
    } finally {
      running.current = false
    }
  }, [])
}
