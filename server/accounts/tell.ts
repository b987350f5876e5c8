import type { CodeWith, EventCode } from '#core/events/events'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { type MailWords, queueMail } from '../platform/mail/queueMail'
import { Account } from '../records/accounts/model'
import { accountsWithRight, actingColleague } from '../records/accounts/staff'

type Told = Extract<MailWords, `account.${string}`> extends `account.${infer What}` ? What : never

/** Which mail tells of it; an event with the effect `owner told` and no mail does not compile. */
const mails: Record<CodeWith<'owner told'>, Told> = {
  'password-changed': 'passwordChanged',
  'password-reset': 'passwordReset',
  'mail-changed': 'mailChanged',
  'codes-on': 'codesOn',
  'codes-off': 'codesOff',
}

/** Tells the owners of accounts what was done with them; the events are about their addresses. */
export async function tellOwners(deps: Deps, changes: readonly Change[]) {
  for (const { code, about, values } of changes) {
    if (!isTold(code) || about === undefined) continue
    const account = await Account.findOne({ where: { mail: about }, rejectOnEmpty: true })
    await tellOwner(deps, account, mails[code], String(values?.before ?? about))
  }
}

const isTold = (code: EventCode): code is keyof typeof mails => code in mails

/** Tells the owner of an account what was done with it. */
export const tellOwner = (deps: Deps, { name, mail, language }: Account, what: Told, before = mail) =>
  queueMail(deps, {
    to: { name, mail, language },
    words: `account.${what}`,
    values: { before, link: `${deps.config.publicUrl}/forgotten` },
  })

/** Whoever looks after people is told that an account kept for the day the provider is away was used. */
export async function tellOfBreakGlass(deps: Deps, account: Account) {
  for (const { name, mail, language } of await accountsWithRight('colleagues.keep'))
    await queueMail(deps, {
      to: { name, mail, language },
      words: 'breakGlassUsed',
      values: { colleague: account.name },
    })
  await recordEvent(deps, await actingColleague(account), { code: 'break-glass-used', about: account.mail })
}
