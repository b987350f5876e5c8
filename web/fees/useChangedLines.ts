import { useEffect, useRef, useState } from 'react'
import type { FeeQuote } from '#core/fees/quote'

const shownMs = 6000

/** The lines of a quote that came to something else than a moment ago, for some seconds. */
export function useChangedLines(quote: FeeQuote | undefined): ReadonlySet<string> {
  const before = useRef<FeeQuote>(undefined)
  const [changed, setChanged] = useState<ReadonlySet<string>>(new Set())
  const written = quote && JSON.stringify(quote.lines.map(({ key, least, most }) => [key, least, most]))
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same amounts are the same quote
  useEffect(() => {
    const was = before.current
    before.current = quote
    if (!quote || !was) return
    const others = quote.lines.flatMap(({ key, least, most }) => {
      const one = was.lines.find((line) => line.key === key)
      return one && (one.least !== least || one.most !== most) ? [key] : []
    })
    if (others.length === 0) return
    setChanged(new Set(others))
    const timer = setTimeout(() => setChanged(new Set()), shownMs)
    return () => clearTimeout(timer)
  }, [written])
  return changed
}
