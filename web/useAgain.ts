import { useEffect, useRef } from 'react'
import type { Problem } from './api'

const retryMs = 5000

/** Tries again what failed for want of a connection: when the browser says it is back, and every few seconds. */
export function useAgain(problem: Problem | undefined, again: () => void) {
  const latest = useRef(again)
  latest.current = again
  const offline = problem?.code === 'no-connection'
  useEffect(() => {
    if (!offline) return
    const run = () => latest.current()
    const timer = setInterval(run, retryMs)
    window.addEventListener('online', run)
    return () => {
      clearInterval(timer)
      window.removeEventListener('online', run)
    }
  }, [offline])
}
