import { isKnown, sayCoded } from './say'

/** What a role is called; one that is not known here by its own name. */
export function roleWords(role: string): string {
  const code = `role.${role}`
  return isKnown(code) ? sayCoded({ code }) : role
}

export const rolesWords = (roles: readonly string[]): string => roles.map(roleWords).join(', ')
