import type { ReactNode } from 'react'
import { type Role, worksHere } from '#core/rights/rights'
import { Sheet } from '../ui/Sheet'

/** The narrow page of everything about the account. */
export function AccountSheet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto max-w-[440px] px-4 py-10">
      <h1 className="mb-4 text-[1.9em]">{title}</h1>
      <Sheet>{children}</Sheet>
    </main>
  )
}

/** Where to go on after signing in: an address of ours, never another site’s. */
export const placeAfter = (next: string | null | undefined, otherwise: string) =>
  next?.startsWith('/') && !next.startsWith('//') ? next : otherwise

/** Where somebody who has signed in begins. */
export function homeOf(roles: readonly Role[]) {
  if (worksHere(roles)) return '/desk/today'
  return roles.includes('employer') ? '/employer' : '/me'
}
