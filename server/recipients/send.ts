import { Op } from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import { v7 as uuid } from 'uuid'
import { beginOf } from '#core/dates/zoned'
import { isActive } from '#core/hiring/stages'
import { type DeliveryWay, linkDays, permissionState } from '#core/recipients/delivery'
import { say } from '#core/words/say'
import { changeWhere } from '../platform/database/compareAndSet'
import { forEachRow } from '../platform/database/forEachRow'
import type { Account, Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { countAttempt, countMailTo } from '../platform/http/limits'
import { newToken } from '../platform/http/tokens'
import { queueMail } from '../platform/mail/queueMail'
import { logAccess } from '../privacy/accessLog'
import { isNameless } from '../privacy/nameless'
import { candidateOf } from '../records/accounts/candidate'
import { applicationById, sentApplication } from '../records/applications/find'
import { keepBytes } from '../records/documents/bytes'
import { permissionFor } from '../records/recipients/find'
import { RecipientPermission } from '../records/recipients/model'
import { type Report, ReportDelivery } from '../records/reports/model'
import { writeReport } from '../reports/make'
import { chosenRecipients, claimsNeeded } from './chosen'
import { problems } from './problems'
import { reportable } from './reportable'

/** Somebody, or the system by night. */
type Sender = Account | { kind: 'system' }
export type How = { way: DeliveryWay; linkEndsOn?: string }

/** Nobody sends more than so much a day. */
const limit = { most: 20, seconds: 86_400 }

/** Sends by one’s own permission. */
export async function sendOwnRecord(deps: Deps, actor: Account, id: string, how: How) {
  const candidate = await candidateOf(deps, actor)
  const permission = await permissionFor(candidate.id, id)
  await requireReady(deps, permission)
  await sendUnder(deps, actor, candidate.id, permission, how)
  return { done: true as const }
}

/** Sends by a permission that is on file. */
export async function sendRecord(
  deps: Deps,
  actor: Account,
  { id, permission }: { id: string; permission: string },
  how: How,
) {
  const { candidateId } = await sentApplication(id)
  if (await isNameless(deps, actor, candidateId)) throw problems.namesHidden()
  const permitted = await permissionFor(candidateId, permission)
  await logAccess(deps, actor, { candidateId, applicationId: id, subject: 'file', what: 'file' })
  await requireReady(deps, permitted)
  await sendUnder(deps, actor, candidateId, permitted, how)
  return { done: true as const }
}

/** A body that was chosen in an application receives something once all that it needs is proven. */
async function requireReady(deps: Deps, permission: RecipientPermission) {
  if (permission.applicationId && !(await isReady(deps, permission))) throw problems.notReady()
}

async function isReady(deps: Deps, { applicationId, recipientKey }: RecipientPermission): Promise<boolean> {
  const bodies = await chosenRecipients(deps, await sentApplication(applicationId!))
  const own = bodies.find(({ key }) => key === recipientKey)
  return Boolean(own?.chosen) && own?.left.length === 0 && own.state !== 'closed'
}

/**
 * Sends, by night, what has become ready for bodies that were chosen in applications and have received nothing yet; what is sent
 * again after that is for a person to send.
 *
 * @returns how many failed
 */
export const sendReady = (deps: Deps): Promise<number> =>
  forEachRow(
    deps,
    RecipientPermission,
    {
      ...{ withdrawnAt: null, holdsFor: { [Op.ne]: null }, lastSentAt: null },
      through: { [Op.gte]: deps.clock.today().toString() },
    },
    async (permission) => {
      const application = await applicationById(permission.applicationId!)
      if (!isActive(application) || !(await isReady(deps, permission))) return
      // Whoever sends it at the same moment is the one who has.
      if (!(await changeWhere(permission, { lastSentAt: null }, { lastSentAt: deps.clock.now() }))) return
      await sendUnder(deps, { kind: 'system' }, application.candidateId, permission, { way: 'link' })
    },
  )

/**
 * Makes a report of what is proven today of the claims a permission is for, and sends it; of a body that was chosen in an
 * application those that what it needs rests on. The permission is written to first:
 * whoever withdraws it at the same moment either comes before, and nothing is sent, or after, and takes it back.
 *
 * @throws Problem `not-permitted`, `nothing-to-send`, `too-many-attempts`, `invalid`
 */
export async function sendUnder(
  deps: Deps,
  actor: Sender,
  candidateId: string,
  permission: RecipientPermission,
  { way, linkEndsOn }: How,
): Promise<void> {
  const { name, mail, language, applicationId, recipientKey } = permission
  const linkEndsAt = way === 'link' ? endOfLink(deps, linkEndsOn) : null
  const today = deps.clock.today().toString()
  const { through, sha256 } = permission
  const state = permissionState({ through, withdrawnAt: null, signed: Boolean(sha256) }, today)
  const now = deps.clock.now()
  if (state !== 'holds' || !(await changeWhere(permission, { withdrawnAt: null }, { lastSentAt: now })))
    throw problems.notPermitted()
  const allowed = applicationId
    ? await claimsNeeded(deps, await applicationById(applicationId), recipientKey!)
    : new Set(permission.claims)
  const chosen = (await reportable(candidateId)).filter(({ id }) => allowed.has(id))
  if (chosen.length === 0) throw problems.nothingToSend()
  // Whom a vacancy offers is no address that somebody has typed.
  if (!applicationId) {
    await countAttempt(deps, `records of ${candidateId}`, limit)
    await countMailTo(deps, mail)
  }
  const report = await writeReport(
    deps,
    actor,
    { candidateId },
    {
      ...{ language, scope: 'file', audience: 'recipient', recipient: name },
      chosen: new Set(chosen.map(({ id }) => id)),
    },
  )
  const attachment = await attachmentOf(deps, report, way)
  const { token, tokenHash } = newToken()
  await ReportDelivery.create({
    ...{
      id: uuid(),
      reportId: report.id,
      toName: name,
      toMail: mail,
      language,
      sentAt: now,
      sentBy: nameOf(deps, actor),
    },
    ...{ permissionId: permission.id, way, linkEndsAt, tokenHash: way === 'link' ? tokenHash : null },
    attachedSha256: way === 'credential' ? attachment!.sha256 : null,
  })
  const { reference, content } = report
  const said = { name: content.person.name, reference, purpose: permission.purpose }
  const { publicUrl } = deps.config
  if (linkEndsAt)
    await queueMail(deps, {
      to: { name, mail, language },
      words: 'recordLink',
      values: { ...said, link: `${publicUrl}/shared/${token}`, day: { day: linkEndsOn ?? usualEnd(deps) } },
    })
  else
    await queueMail(deps, {
      to: { name, mail, language },
      attachments: [attachment!],
      words: 'recordFile',
      values: { ...said, address: `${publicUrl}/check` },
    })
}

const nameOf = ({ organisation }: Deps, actor: Sender) => (actor.kind === 'account' ? actor.name : organisation.name)

const usualEnd = ({ clock }: Deps) => clock.today().add({ days: linkDays.usual }).toString()

/** The end of the last day of a link, where we are. */
function endOfLink(deps: Deps, linkEndsOn = usualEnd(deps)): Date {
  const day = Temporal.PlainDate.from(linkEndsOn)
  const days = deps.clock.today().until(day).days
  if (days < linkDays.least || days > linkDays.most)
    throw invalidField('/body/linkEndsOn', say('problem.linkLives', { least: linkDays.least, most: linkDays.most }))
  return beginOf(day.add({ days: 1 }), deps.organisation.timeZone)
}

async function attachmentOf({ clock }: Deps, { reference, jwt, pdfSha256 }: Report, way: DeliveryWay) {
  if (way === 'link') return undefined
  if (way === 'pdf') return { fileName: `${reference}.pdf`, sha256: pdfSha256 }
  return {
    fileName: `${reference}.jwt`,
    sha256: await keepBytes(Buffer.from(jwt), 'application/vc+jwt', clock.now()),
  }
}
