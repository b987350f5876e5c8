import { worksHere } from '#core/rights/rights'
import { notFound } from '../platform/errors/problems'
import { Account } from '../records/accounts/model'

/** Somebody who works here; nobody else is there. */
export async function colleagueById(id: string): Promise<Account> {
  const account = await Account.findByPk(id)
  if (!account || !worksHere(account.roles)) throw notFound()
  return account
}
