import type { Deps } from '../platform/deps'
import { queueMail } from '../platform/mail/queueMail'
import type { Account } from '../records/accounts/model'

/** Tells the owner of an account what was done with it. */
export const tellOwner = (deps: Deps, account: Account, subject: string, news: string) =>
  queueMail(deps, {
    to: { name: account.name, mail: account.mail, language: account.language },
    subject,
    text: `${news}\n\nIf it was not you, set a new password at once: ${deps.config.publicUrl}/forgotten`,
  })
