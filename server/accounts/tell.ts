import type { Deps } from '../platform/deps'
import { type MailWords, queueMail } from '../platform/mail/queueMail'
import type { Account } from '../records/accounts/model'

type Told = Extract<MailWords, `account.${string}`> extends `account.${infer What}` ? What : never

/** Tells the owner of an account what was done with it. */
export const tellOwner = (deps: Deps, { name, mail, language }: Account, what: Told, before = mail) =>
  queueMail(deps, {
    to: { name, mail, language },
    words: `account.${what}`,
    values: { before, link: `${deps.config.publicUrl}/forgotten` },
  })
