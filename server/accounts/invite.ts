import type { StaffRole } from '#core/rights/rights'
import type { Deps } from '../platform/deps'
import { queueMail } from '../platform/mail/queueMail'
import type { Account } from '../records/accounts/model'
import { newLink, voidLinks } from './links'

const invitationHours = 7 * 24

/** Roles as they are said later, in the language of whoever reads. */
export const rolesValue = (roles: readonly string[]) => ({
  list: roles.map((role) => ({ code: `role.${role as StaffRole}` as const })),
})

/** Mails somebody who is to decide for an employer the link by which they choose a password; the one before ends. */
export async function mailEmployerInvitation(deps: Deps, account: Account, employer: string) {
  const link = await invitationLink(deps, account)
  await queueMail(deps, {
    to: { name: account.name, mail: account.mail, language: account.language },
    words: 'employerInvitation',
    values: { organisation: deps.organisation.name, employer, link },
  })
}

async function invitationLink(deps: Deps, account: Account): Promise<string> {
  await voidLinks(account.id, ['invite', 'confirm'])
  return `${deps.config.publicUrl}/join/${await newLink(deps, account.id, 'invite', { hours: invitationHours })}`
}

/** Mails somebody who works here the link by which they choose a password; the one before ends. */
export async function mailInvitation(deps: Deps, account: Account) {
  const link = await invitationLink(deps, account)
  await queueMail(deps, {
    to: { name: account.name, mail: account.mail, language: account.language },
    words: 'invitation',
    values: {
      organisation: deps.organisation.name,
      roles: rolesValue(account.roles),
      link,
    },
  })
}
