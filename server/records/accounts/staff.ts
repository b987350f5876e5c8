import type { Role } from '#contract/roles'
import { Account } from './model'

/** Everybody who has a role, by name. */
export async function accountsWithRole(role: Role): Promise<Account[]> {
  const accounts = await Account.findAll({ order: ['name'] })
  return accounts.filter(({ roles }) => roles.includes(role))
}
