import { coded } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { conflict, notFound } from '../platform/errors/problems'
import { queueJob } from '../platform/jobs/queue'
import { Message } from '../platform/mail/model'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { applicationById, sentApplication } from '../records/applications/find'
import { hidesName } from '../records/scoring/find'

/** Links that let whoever holds them in are for whom they were sent to, not for the desk. */
const withoutSecrets = (text: string) =>
  text.replace(/\/(reply|vouch|confirm|new-password|mail|take-over)\/[\w-]{20,}/g, '/$1/…')

/** Every mail about an application, newest first, and what became of it. */
export async function readMessages(applicationId: string) {
  const application = await sentApplication(applicationId)
  if (await hidesName(application)) return []
  const messages = await Message.findAll({ where: { applicationId }, order: [['createdAt', 'DESC']] })
  return messages.map((message) => ({
    id: message.id,
    at: message.createdAt.toISOString(),
    to: message.toMail,
    subject: message.subject,
    text: withoutSecrets(message.text),
    encloses: message.attachments.map(({ fileName }) => fileName),
    state: message.state,
    settledAt: message.sentAt?.toISOString() ?? null,
    refusedBecause: message.refusedBecause ?? null,
  }))
}

async function addressNow(
  { toName, toMail }: Message,
  application: Awaited<ReturnType<typeof applicationById>>,
): Promise<string> {
  const person = await candidateWithMail(application.candidateId)
  return toName === person.name ? (contactMail(application) ?? person.mail) : toMail
}

/** Queues a refused mail again. One to the candidate goes to the address they have given since. */
export async function resendMessage(deps: Deps, actor: Account, id: string) {
  const message = await Message.findByPk(id)
  if (!message) throw notFound()
  const application = message.applicationId ? await applicationById(message.applicationId) : undefined
  const toMail = application ? await addressNow(message, application) : message.toMail
  const queued = { state: 'queued' as const, toMail, sentAt: null, refusedBecause: null }
  if (!(await changeWhere(message, { state: 'refused' }, queued)))
    throw conflict('not-refused', coded('problem.thisMailWasNotRefused'))
  await queueJob('mail', { messageId: id })
  await recordEvent(deps, actor, {
    code: 'mail-again',
    values: { subject: message.subject },
    ...(application ? { candidateId: application.candidateId, applicationId: application.id } : {}),
  })
  return { done: true as const }
}
