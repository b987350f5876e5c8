import type { ReactNode } from 'react'

/** A white sheet with a hairline; the portal's only box. */
export function Sheet({ children, className = '' }: { children: ReactNode; className?: string }) {
  return <section className={`rounded-sheet border border-line bg-sheet p-4 sm:p-5 ${className}`}>{children}</section>
}
