import { randomInt } from 'node:crypto'
import { generateSecret, generateURI, verifySync } from 'otplib'
import { recordEvent } from '../audit/record'
import type { Account as Actor, Deps } from '../deps'
import { conflict, invalidField } from '../http/problems'
import { hashOf } from '../http/tokens'
import { type Account, RecoveryCode } from './model'

const recoveryCodes = 10
const letters = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'

/** Begins to set up one-time codes: a secret for an authenticator app. It counts once a code has proven that it arrived. */
export async function beginOneTimeCodes({ config }: Deps, account: Account) {
  if (account.otpOnSince) throw conflict('codes-on', 'One-time codes are switched on already.')
  const secret = generateSecret()
  await account.update({ otpSecret: secret })
  return { secret, address: generateURI({ secret, issuer: config.operator, label: account.mail }) }
}

/** Switches one-time codes on with the first right code, and gives the recovery codes, this once. */
export async function confirmOneTimeCodes(deps: Deps, actor: Actor, account: Account, code: string) {
  if (account.otpOnSince) throw conflict('codes-on', 'One-time codes are switched on already.')
  const step = stepOf(account, code)
  if (step === undefined)
    throw invalidField('/body/code', 'This is not the code of this moment. Wait for the next one and type it.')
  await account.update({ otpOnSince: new Date(), otpStep: step })
  const codes = Array.from({ length: recoveryCodes }, newRecoveryCode)
  await RecoveryCode.destroy({ where: { accountId: account.id } })
  await RecoveryCode.bulkCreate(codes.map((text) => ({ accountId: account.id, codeHash: hashOf(plain(text)) })))
  await recordEvent(deps, actor, { code: 'codes-on', what: 'Switched one-time codes on', about: account.mail })
  return { recoveryCodes: codes }
}

export async function dropOneTimeCodes(deps: Deps, actor: Actor, account: Account) {
  await account.update({ otpSecret: null, otpOnSince: null, otpStep: null })
  await RecoveryCode.destroy({ where: { accountId: account.id } })
  await recordEvent(deps, actor, { code: 'codes-off', what: 'Switched one-time codes off', about: account.mail })
  return { done: true as const }
}

export const recoveryCodesLeft = (accountId: string): Promise<number> =>
  RecoveryCode.count({ where: { accountId, usedAt: null } })

/** Whether a code opens an account: the one of this moment, not used before, or a recovery code, which is used up. */
export async function takeCode(account: Account, code: string): Promise<boolean> {
  const step = stepOf(account, code)
  if (step !== undefined) {
    if (account.otpStep !== null && step <= Number(account.otpStep)) return false
    await account.update({ otpStep: step })
    return true
  }
  const [used] = await RecoveryCode.update(
    { usedAt: new Date() },
    { where: { accountId: account.id, codeHash: hashOf(plain(code)), usedAt: null } },
  )
  return used === 1
}

/** The time step a six-figure code belongs to, half a minute to either side (RFC 6238). Codes go by the machine's clock. */
function stepOf({ otpSecret }: Account, code: string): number | undefined {
  const token = code.replace(/\s/g, '')
  if (!otpSecret || !/^\d{6}$/.test(token)) return undefined
  const result = verifySync({ secret: otpSecret, token, epochTolerance: 30 })
  return result.valid && 'timeStep' in result ? result.timeStep : undefined
}

const newRecoveryCode = () => {
  const text = Array.from({ length: 10 }, () => letters[randomInt(letters.length)]).join('')
  return `${text.slice(0, 5)}-${text.slice(5)}`
}
const plain = (code: string) => code.toUpperCase().replace(/[^0-9A-Z]/g, '')
