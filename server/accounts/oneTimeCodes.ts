import { randomInt } from 'node:crypto'
import { generateSecret, generateURI, verifySync } from 'otplib'
import { Op } from 'sequelize'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { hashOf } from '../platform/http/tokens'
import { type Account, RecoveryCode } from '../records/accounts/model'
import { problems } from './problems'
import { comesThroughProvider, type Entrance } from './throughProvider'

const recoveryCodes = 10
const purpose = 'one-time secret'
const letters = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'

/** Begins to set up one-time codes: a secret for an authenticator app. It counts once a code has proven that it arrived. */
export async function beginOneTimeCodes({ organisation, vault }: Deps, account: Account) {
  if (account.otpOnSince) throw problems.codesOn()
  const secret = generateSecret()
  await account.update({ otpSecret: vault.seal(purpose, secret) })
  return { secret, address: generateURI({ secret, issuer: organisation.name, label: account.mail }) }
}

/** Whether somebody's role has to sign in with a second factor. Who comes through the provider has given one there. */
export const needsCodes = (deps: Pick<Deps, 'config'>, account: Entrance) =>
  deps.config.secondFactorRoles.some((role) => account.roles.includes(role)) && !comesThroughProvider(deps, account)

/** Switches one-time codes on with the first right code, and gives the recovery codes, this once. */
export async function confirmOneTimeCodes(deps: Deps, actor: Actor, account: Account, code: string) {
  if (account.otpOnSince) throw problems.codesOn()
  const step = stepOf(deps, account, code)
  if (step === undefined) throw invalidField('/body/code', say('problem.thisIsNotTheCode'))
  await account.update({ otpOnSince: new Date(), otpStep: step })
  const codes = Array.from({ length: recoveryCodes }, newRecoveryCode)
  await RecoveryCode.destroy({ where: { accountId: account.id } })
  await RecoveryCode.bulkCreate(codes.map((text) => ({ accountId: account.id, codeHash: hashOf(plain(text)) })))
  await recordEvent(deps, actor, { code: 'codes-on', about: account.mail })
  return { recoveryCodes: codes }
}

/** Switches one-time codes off, with a code: a password that was found out is not enough. */
export async function dropOneTimeCodes(deps: Deps, actor: Actor, account: Account, code: string) {
  if (needsCodes(deps, account)) throw problems.codesNeeded()
  if (!account.otpOnSince) return { done: true as const }
  if (!(await takeCode(deps, account, code))) throw invalidField('/body/code', say('problem.thisCodeDoesNotFit'))
  await account.update({ otpSecret: null, otpOnSince: null, otpStep: null })
  await RecoveryCode.destroy({ where: { accountId: account.id } })
  await recordEvent(deps, actor, { code: 'codes-off', about: account.mail })
  return { done: true as const }
}

export const recoveryCodesLeft = (accountId: string): Promise<number> =>
  RecoveryCode.count({ where: { accountId, usedAt: null } })

/** Whether a code opens an account: the one of this moment, not used before, or a recovery code, which is used up. */
export async function takeCode(deps: Pick<Deps, 'vault'>, account: Account, code: string): Promise<boolean> {
  const step = stepOf(deps, account, code)
  // Each step is taken once, in the UPDATE itself: the same code at the same moment opens nothing a second time.
  if (step !== undefined)
    return changeWhere(account, { otpStep: { [Op.or]: [null, { [Op.lt]: step }] } } as never, { otpStep: step })
  const [used] = await RecoveryCode.update(
    { usedAt: new Date() },
    { where: { accountId: account.id, codeHash: hashOf(plain(code)), usedAt: null } },
  )
  return used === 1
}

/** The time step a six-figure code belongs to, half a minute to either side (RFC 6238). Codes go by the machine's clock. */
function stepOf({ vault }: Pick<Deps, 'vault'>, { otpSecret }: Account, code: string): number | undefined {
  const token = code.replace(/\s/g, '')
  if (!otpSecret || !/^\d{6}$/.test(token)) return undefined
  // Secrets of before were not sealed.
  const secret = vault.unseal(purpose, otpSecret) ?? otpSecret
  const result = verifySync({ secret, token, epochTolerance: 30 })
  return result.valid && 'timeStep' in result ? result.timeStep : undefined
}

const newRecoveryCode = () => {
  const text = Array.from({ length: 10 }, () => letters[randomInt(letters.length)]).join('')
  return `${text.slice(0, 5)}-${text.slice(5)}`
}
const plain = (code: string) => code.toUpperCase().replace(/[^0-9A-Z]/g, '')
