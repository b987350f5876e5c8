import { UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { writeWhen } from '#core/dates/write'
import { permissionDays } from '#core/recipients/delivery'
import { type Language, say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { changedMeanwhile, invalidField } from '../platform/errors/problems'
import { candidateOf } from '../records/accounts/candidate'
import { sentApplication } from '../records/applications/find'
import { labelOf } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { takeFile } from '../records/documents/inspect'
import { type Signature, sign } from '../records/permissions/signature'
import { permissionFor } from '../records/recipients/find'
import { RecipientPermission } from '../records/recipients/model'
import { problems } from './problems'
import { reportable } from './reportable'
import { type How, sendUnder } from './send'

type Wish = {
  recipient: { name: string; mail: string; language: Language }
  purpose: string
  claims: string[]
  through: string
}

/** Signs a permission for one recipient, and has it sent at once where that is wished. */
export async function permitRecipient(
  deps: Deps,
  actor: Account,
  { send, fullName, drawing, ...wish }: Wish & Signature & { send: How | null },
): Promise<{ id: string }> {
  const candidate = await candidateOf(deps, actor)
  const claims = await chosenOf(deps, candidate.id, wish)
  const signed = await sign(deps, candidate.name, drawing ? { fullName, drawing } : { fullName }, {
    title: say('permission.toRecipient'),
    paragraphs: [
      say('permission.toRecipientAllows', { operator: deps.organisation.name, recipient: wish.recipient.name }),
      say('permission.toRecipientMayEnd', { day: writeWhen(wish.through) }),
    ],
    before: [
      [say('permission.givenTo'), deps.organisation.name],
      [say('permission.recipient'), `${wish.recipient.name}, ${wish.recipient.mail}`],
      [say('permission.purpose'), wish.purpose],
      [say('permission.ofWhat'), claims.map(({ details }) => labelOf(details)).join('\n')],
    ],
    after: [],
  })
  const { sha256, fullName: name } = signed
  const permission = await keepPermission(deps, actor, candidate.id, wish, {
    ...{ given: 'portal', fullName: name, sha256, signedOn: deps.clock.today().toString() },
  })
  if (send) await sendUnder(deps, actor, candidate.id, permission, send)
  return { id: permission.id }
}

/** Notes at the desk a permission that came on paper. It holds once the paper is added. */
export async function notePermission(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { fullName, signedOn, ...wish }: Wish & { fullName: string; signedOn: string },
): Promise<{ id: string }> {
  const { candidateId } = await sentApplication(applicationId)
  if (signedOn > deps.clock.today().toString()) throw invalidField('/body/signedOn', say('problem.dayInFuture'))
  await chosenOf(deps, candidateId, wish)
  const { id } = await keepPermission(deps, actor, candidateId, wish, {
    ...{ given: 'paper', fullName: fullName.trim(), signedOn, notedBy: actor.name },
  })
  return { id }
}

/** Adds what was signed on paper; of two at the same moment one does. */
export async function addPaper(
  deps: Deps,
  { id, permission: permissionId }: { id: string; permission: string },
  bytes: Buffer,
) {
  const { candidateId } = await sentApplication(id)
  const permission = await permissionFor(candidateId, permissionId)
  if (permission.withdrawnAt || permission.given !== 'paper') throw problems.hasPaper()
  const { sha256 } = await takeFile(deps, bytes)
  if (!(await changeWhere(permission, { sha256: null, withdrawnAt: null }, { sha256 }))) throw problems.hasPaper()
  return { done: true as const }
}

async function chosenOf({ clock }: Deps, candidateId: string, { claims, through }: Wish): Promise<Claim[]> {
  const today = clock.today()
  if (through < today.toString()) throw invalidField('/body/through', say('problem.thisDayHasPassed'))
  if (through > today.add({ days: permissionDays.most }).toString())
    throw invalidField('/body/through', say('problem.permissionTooLong'))
  const chosen = (await reportable(candidateId)).filter(({ id }) => claims.includes(id))
  if (chosen.length < claims.length) throw invalidField('/body/claims', say('problem.claimNotReportable'))
  return chosen
}

type Signed = Pick<RecipientPermission, 'given' | 'fullName' | 'signedOn'> &
  Partial<Pick<RecipientPermission, 'sha256' | 'notedBy' | 'applicationId' | 'recipientKey' | 'holdsFor'>>

/** Keeps a permission that was signed, and says so. */
export async function keepPermission(
  deps: Deps,
  actor: Account,
  candidateId: string,
  { recipient, purpose, claims, through }: Omit<Wish, 'claims'> & Partial<Pick<Wish, 'claims'>>,
  signed: Signed,
): Promise<RecipientPermission> {
  const { name, mail, language } = recipient
  const permission = await RecipientPermission.create({
    ...{ id: uuid(), candidateId, name: name.trim(), mail: mail.trim(), language, purpose: purpose.trim() },
    ...{ claims: claims ?? null, through, createdAt: deps.clock.now() },
    ...signed,
  }).catch((error: unknown) => {
    throw error instanceof UniqueConstraintError ? changedMeanwhile() : error
  })
  await recordEvent(deps, actor, {
    code: 'recipient-permitted',
    words: signed.given === 'paper' ? 'recipient-permitted.paper' : 'recipient-permitted',
    values: { recipient: permission.name, day: { day: through } },
    candidateId,
    ...(signed.applicationId ? { applicationId: signed.applicationId } : {}),
    details: { claims: claims?.length ?? 'all', through },
  })
  return permission
}
