import { hash, verify } from '@node-rs/argon2'
import { spokenLanguage } from '#core/words/say'
import type { Deps } from '../deps'
import { countAttempt, forgetAttempts } from '../http/limits'
import { Problem } from '../http/problems'
import { Account } from './model'
import { takeCode } from './oneTimeCodes'
import { actorOf, openSession } from './session'

/** Compared against where there is no account, so that both cases take the same time. */
const nobodysHash = hash('nobody has this password')

/** Checks mail and password. Ten wrong tries for an address or fifty from one place in a quarter of an hour close the door. */
export async function signIn(deps: Deps, input: { mail: string; password: string; code?: string }, from: string) {
  const mail = input.mail.trim().toLowerCase()
  await countAttempt(deps, `sign-in ${mail}`, 10, 900)
  await countAttempt(deps, `sign-in from ${from}`, 50, 900)
  const account = await Account.findOne({ where: { mail } })
  const right = await verify(account?.passwordHash ?? (await nobodysHash), input.password)
  if (!account || !right)
    throw new Problem(401, 'wrong-mail-or-password', 'Mail address and password do not belong together.')
  if (!account.confirmedAt)
    throw new Problem(
      403,
      'not-confirmed',
      'Open the link in the mail we sent you first. To get a new one, make the account again.',
    )
  if (account.otpOnSince) {
    if (!input.code)
      throw new Problem(401, 'code-needed', 'Now the code that your authenticator app shows, or a recovery code.')
    if (!(await takeCode(account, input.code)))
      throw new Problem(
        401,
        'wrong-code',
        'This code does not fit or was used before. Wait for the next one, or use a recovery code.',
      )
  }
  await forgetAttempts(deps, `sign-in ${mail}`)
  if (account.roles.includes('candidate') && account.language !== spokenLanguage())
    await account.update({ language: spokenLanguage() })
  await forgetAttempts(deps, `sign-in from ${from}`)
  return { actor: actorOf(account), token: await openSession(account.id) }
}
