import { hash, verify } from '@node-rs/argon2'
import { worksHere } from '#core/rights/rights'
import type { Deps } from '../platform/deps'
import { languageOfAccount } from '../platform/http/language'
import { countAttempt, forgetAttempts, networkOf, uncountAttempt } from '../platform/http/limits'
import { Account, AccountLink } from '../records/accounts/model'
import { actingColleague } from '../records/accounts/staff'
import { knownDevice } from './devices'
import { takeCode } from './oneTimeCodes'
import { noPassword } from './password'
import { problems } from './problems'
import { openSession } from './session'
import { tellOfBreakGlass, tellOwner } from './tell'
import { comesThroughProvider } from './throughProvider'

/** Compared against where there is no account, so that both cases take the same time. */
const nobodysHash = hash('nobody has this password')

const quarterHour = 900
const limits = {
  account: { most: 10, seconds: quarterHour },
  address: { most: 50, seconds: quarterHour },
  everywhere: { most: 1000, seconds: quarterHour },
}

type Given = { mail: string; password: string; code?: string }
type From = { address: string; device: string | undefined }

/**
 * Checks mail and password. Wrong tries are counted by account, by address and over all, and leak away; signing in takes
 * back one's own and no others. A browser that has signed in to the account before is counted by itself, so that nobody
 * can lock its owner out.
 */
export async function signIn(deps: Deps, { mail: typed, password, code }: Given, from: From) {
  const mail = typed.trim().toLowerCase()
  const account = await Account.findOne({ where: { mail } })
  const device = account ? knownDevice(deps, from.device, account.id) : undefined
  const own = device ? `sign-in device ${device.id} ${mail}` : `sign-in ${mail}`
  const shared = device ? [] : [`sign-in from ${networkOf(from.address)}`, 'sign-in everywhere']
  await countAttempt(deps, own, limits.account)
  if (shared[0]) await countAttempt(deps, shared[0], limits.address)
  if (shared[1]) await countAttempt(deps, shared[1], limits.everywhere)
  const right = await verify(await hashToCheck(account), password)
  if (!account || !right) throw problems.wrongMailOrPassword()
  if (!account.confirmedAt) throw problems.notConfirmed()
  if (account.suspendedAt) throw problems.suspended()
  if (comesThroughProvider(deps, account)) throw problems.throughProvider(deps.config.identityProvider!.name)
  if (account.otpOnSince) {
    if (!code) throw problems.codeNeeded()
    if (!(await takeCode(deps, account, code))) throw problems.wrongCode()
  }
  await forgetAttempts(deps, own)
  for (const bucket of shared) await uncountAttempt(deps, bucket)
  if (!worksHere(account.roles) && account.language !== languageOfAccount())
    await account.update({ language: languageOfAccount() })
  if (!device) await tellOwner(deps, account, 'signedIn')
  if (account.breakGlass && deps.config.identityProvider) await tellOfBreakGlass(deps, account)
  await account.update({ signedInAt: new Date() })
  return { actor: await actingColleague(account), token: await openSession(account.id) }
}

/** Before the address is confirmed the password is with the link it was given with. */
async function hashToCheck(account: Account | null): Promise<string> {
  if (account?.confirmedAt) return account.passwordHash === noPassword ? nobodysHash : account.passwordHash
  const asked =
    account &&
    (await AccountLink.findOne({
      where: { accountId: account.id, purpose: 'confirm' },
      order: [['expiresAt', 'DESC']],
    }))
  return asked?.passwordHash ?? (await nobodysHash)
}
