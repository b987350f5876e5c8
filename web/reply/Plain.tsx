import type { ReactNode } from 'react'
import { Sheet } from '../ui/Sheet'

/** A page that says one thing. */
export function Plain({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto max-w-[560px] px-4 py-10 text-[1.0333rem]">
      <h1 className="mb-3 text-[1.9em]">{title}</h1>
      <Sheet>{children}</Sheet>
    </main>
  )
}
