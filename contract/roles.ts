import type { OutsideRole, Right, Role } from '#core/rights/rights'

export { type Role, roles } from '#core/rights/rights'

/** Who may call an endpoint: whoever holds the right it names. Records are checked again by the use case. */
export type Access = 'anyone' | 'signed-in' | 'bearer-of-link' | OutsideRole | Right

export type Caller = { roles: readonly Role[]; rights: readonly Right[] }

/** What is no right. Said here, so that a page need not know every right there is to know what it may call. */
const others: readonly Access[] = ['anyone', 'signed-in', 'bearer-of-link', 'candidate', 'employer']

/** Whether the access of an endpoint is a right, held by roles through the table of rights. */
export const isRight = (access: Access): access is Right => !others.includes(access)

/** Whether somebody signed in may call an endpoint. */
export function mayCall({ access }: { access: Access }, { roles, rights }: Caller): boolean {
  if (access === 'candidate' || access === 'employer') return roles.includes(access)
  return isRight(access) ? rights.includes(access) : true
}
