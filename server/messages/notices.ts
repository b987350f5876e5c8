import { createHash, randomInt } from 'node:crypto'
import { literal, Op } from 'sequelize'
import type { NoticeChoice as Shown } from '#contract/notices'
import { type ChannelsByKind, channelsFor, faultsOfChannels, noticeKinds } from '#core/messages/notices'
import { dialled } from '#core/messages/phone'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { putVersion } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import type { Account, Deps } from '../platform/deps'
import { invalid, invalidField } from '../platform/errors/problems'
import { inLanguage } from '../platform/http/language'
import { countAttempt } from '../platform/http/limits'
import { queueText } from '../platform/mail/queueMail'
import { candidateOf, candidateWithMail } from '../records/accounts/candidate'
import { Account as AccountRow } from '../records/accounts/model'
import { sentApplication } from '../records/applications/find'
import { NoticeChoice, noticesOf, PhoneCode } from '../records/messages/notices'
import { hidesName } from '../records/scoring/find'

const codeMinutes = 10
const codeTries = 5
const codesAnHour = { most: 5, seconds: 3600 }

/** How one is told, and what one has refused. */
export async function readNoticeChoice(actor: Account): Promise<Shown> {
  const [{ channels, phone, noPassingOn, version }, code] = await Promise.all([
    noticesOf(actor.id),
    PhoneCode.findOne({ where: { accountId: actor.id, expiresAt: { [Op.gt]: new Date() } } }),
  ])
  return { channels: copied(channels), phone, waitingFor: code?.phone ?? null, noPassingOn, version }
}

/** The same of a candidate, at the desk; while names are hidden the number is too. */
export async function readNoticesOf(applicationId: string) {
  const application = await sentApplication(applicationId)
  const { channels, phone, noPassingOn } = await noticesOf((await candidateWithMail(application.candidateId)).accountId)
  return { channels: copied(channels), phone: (await hidesName(application)) ? null : phone, noPassingOn }
}

/** @throws Problem `invalid` where something about an application would go by nothing, or to a number that is not confirmed */
export async function saveNoticeChoice(
  deps: Deps,
  actor: Account,
  { channels, noPassingOn, version }: { channels: ChannelsByKind; noPassingOn: boolean; version: number },
) {
  const { phone } = await noticesOf(actor.id)
  const faults = faultsOfChannels(channels, phone !== null)
  if (faults.length > 0)
    throw invalid(
      faults.map(({ kind, code }) => ({ pointer: `/body/channels/${kind}`, message: say(`problem.notice.${code}`) })),
    )
  await putVersion(NoticeChoice, { accountId: actor.id }, version, { channels, noPassingOn })
  await recordEvent(deps, actor, { code: 'notices-chosen', about: actor.mail })
  return { version: version + 1 }
}

/**
 * Sends a code of six figures to a number. A new one takes the place of the one before.
 *
 * @throws Problem `invalid` where it can be no number, `too-many-attempts` after five in an hour, to the number or by the account
 */
export async function sendPhoneCode(deps: Deps, actor: Account, typed: string) {
  const phone = dialled(typed, deps.organisation.country)
  if (!phone) throw invalidField('/body/phone', say('problem.noTelephoneNumber'))
  await countAttempt(deps, `code by ${actor.id}`, codesAnHour)
  await countAttempt(deps, `code to ${phone}`, codesAnHour)
  const code = String(randomInt(1_000_000)).padStart(6, '0')
  const { language } = await AccountRow.findByPk(actor.id, { rejectOnEmpty: true })
  const words = inLanguage(language, () => ({
    subject: say('messages.phoneCode.subject'),
    text: say('messages.phoneCode.text', { operator: deps.organisation.name, code, minutes: codeMinutes }),
  }))
  const expiresAt = new Date(Date.now() + codeMinutes * 60_000)
  const { id: candidateId } = await candidateOf(deps, actor)
  return inTransaction(deps.sequelize, async () => {
    await PhoneCode.upsert({ accountId: actor.id, phone, codeHash: hashFor(actor.id, code), tries: 0, expiresAt })
    await queueText(deps, { to: { name: actor.name, phone }, candidateId, ...words })
    return { phone }
  })
}

/**
 * Takes the code. Each try is counted in the database before it is compared, so that many at once guess no more often than one
 * after the other.
 *
 * @throws Problem `invalid` where it is another code, too old, or was guessed at too often
 */
export async function confirmPhone(deps: Deps, actor: Account, typed: string) {
  const accountId = actor.id
  const open = { accountId, expiresAt: { [Op.gt]: new Date() } }
  const [counted] = await PhoneCode.update(
    { tries: literal('tries + 1') as never },
    { where: { ...open, tries: { [Op.lt]: codeTries } } },
  )
  if (counted === 0) throw invalidField('/body/code', say('problem.phoneCodeOver'))
  const waiting = await PhoneCode.findOne({ where: open })
  return inTransaction(deps.sequelize, async () => {
    const codeHash = hashFor(accountId, typed.replace(/\D/g, ''))
    if (!waiting || (await PhoneCode.destroy({ where: { ...open, codeHash } })) === 0)
      throw invalidField('/body/code', say('problem.notTheCodeThatWasSent'))
    const { channels, version } = await noticesOf(accountId)
    const confirmed = { phone: waiting.phone, phoneConfirmedAt: deps.clock.now() }
    await putVersion(NoticeChoice, { accountId }, version, { channels, ...confirmed })
    await recordEvent(deps, actor, { code: 'phone-confirmed', about: actor.mail })
    return { done: true as const }
  })
}

/** Removes the number; what went there alone goes by mail again. */
export async function removePhone(deps: Deps, actor: Account) {
  const accountId = actor.id
  await PhoneCode.destroy({ where: { accountId } })
  const { channels, phone, version } = await noticesOf(accountId)
  if (phone === null) return { done: true as const }
  const byMail = Object.fromEntries(
    noticeKinds.map((kind) => [kind, channelsFor(kind, channels, false)]),
  ) as unknown as ChannelsByKind
  await putVersion(NoticeChoice, { accountId }, version, { channels: byMail, phone: null, phoneConfirmedAt: null })
  await recordEvent(deps, actor, { code: 'phone-removed', about: actor.mail })
  return { done: true as const }
}

const hashFor = (accountId: string, code: string) => createHash('sha256').update(`${accountId} ${code}`).digest('hex')
const copied = (channels: ChannelsByKind): Shown['channels'] =>
  Object.fromEntries(noticeKinds.map((kind) => [kind, [...channels[kind]]])) as Shown['channels']
