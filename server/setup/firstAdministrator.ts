import { v7 as uuid } from 'uuid'
import { worksHere } from '#core/rights/rights'
import { newLink, voidLinks } from '../accounts/links'
import { recordEvent } from '../platform/audit/record'
import type { Deps } from '../platform/deps'
import { Account } from '../records/accounts/model'
import { colleagues } from '../records/accounts/staff'

const hours = 48

/** Those who were asked to administer and have not come. */
export const awaitedAdministrators = async (): Promise<Account[]> =>
  (await colleagues()).filter(({ roles, confirmedAt }) => roles.includes('administrator') && confirmedAt === null)

/**
 * Makes an administrator and gives the address by which they choose a password: once, within two days. Somebody who works here
 * already becomes one, comes back where they were suspended, and gets such an address anew. They come in by password even where
 * everybody else comes through an identity provider.
 *
 * @throws Error where the address belongs to a candidate
 */
export async function makeAdministrator(deps: Deps, given: { mail: string; name: string }): Promise<string> {
  const mail = given.mail.trim().toLowerCase()
  const known = await Account.findOne({ where: { mail } })
  if (known && !worksHere(known.roles))
    throw new Error(`${mail} belongs to a candidate; take an address of somebody who works here.`)
  const now = deps.clock.now()
  const account =
    known ??
    (await Account.create({
      id: uuid(),
      mail,
      name: given.name.trim() || mail,
      passwordHash: 'none',
      roles: ['administrator'],
      breakGlass: true,
      invitedAt: now,
      confirmedAt: null,
      createdAt: now,
    }))
  if (known)
    await known.update({
      roles: [...new Set([...known.roles, 'administrator' as const])],
      suspendedAt: null,
      breakGlass: true,
      // The link of an invitation opens what nobody has opened yet.
      confirmedAt: null,
      passwordHash: 'none',
      otpSecret: null,
      otpOnSince: null,
      version: known.version + 1,
    })
  await voidLinks(account.id)
  const token = await newLink(deps, account.id, 'invite', { hours })
  await recordEvent(
    deps,
    { kind: 'system' },
    { code: 'administrator-made', about: mail, values: { colleague: account.name } },
  )
  return `${deps.config.publicUrl}/join/${token}`
}
