import { dialled } from '#core/messages/phone'
import { writeValue } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { queueJob } from '../platform/jobs/queue'
import { Message } from '../platform/mail/model'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail, textAnswer } from '../records/applications/answers'
import { applicationById, sentApplication } from '../records/applications/find'
import { hidesName } from '../records/scoring/find'
import { problems } from './problems'

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
    channel: message.channel,
    to: message.toPhone ?? message.toMail,
    subject: message.subject,
    text: withoutSecrets(message.text),
    encloses: message.attachments.map(({ fileName }) => fileName),
    state: message.state,
    settledAt: message.sentAt?.toISOString() ?? null,
    refusedBecause: message.refusedBecause ? writeValue(message.refusedBecause) : null,
  }))
}

/** Where a message to the candidate goes by now; to anybody else where it went before. */
async function addressNow(
  { organisation }: Deps,
  { channel, toName, toMail, toPhone }: Message,
  application: Awaited<ReturnType<typeof applicationById>> | undefined,
): Promise<Pick<Message, 'toMail' | 'toPhone'>> {
  const person = application && (await candidateWithMail(application.candidateId))
  if (!application || toName !== person?.name) return { toMail, toPhone }
  if (channel === 'mail') return { toMail: contactMail(application) ?? person.mail, toPhone }
  return { toMail, toPhone: dialled(textAnswer(application, 'contact.phone') ?? '', organisation.country) ?? toPhone }
}

/** Queues a refused mail again. One to the candidate goes to the address they have given since. */
export async function resendMessage(deps: Deps, actor: Account, id: string) {
  const message = await Message.findByPk(id)
  if (!message) throw notFound()
  const application = message.applicationId ? await applicationById(message.applicationId) : undefined
  const to = await addressNow(deps, message, application)
  const queued = { state: 'queued' as const, ...to, sentAt: null, refusedBecause: null }
  if (!(await changeWhere(message, { state: 'refused' }, queued))) throw problems.notRefused()
  await queueJob(message.channel, { messageId: id })
  await recordEvent(deps, actor, {
    code: 'mail-again',
    values: { subject: message.subject },
    ...(application ? { candidateId: application.candidateId, applicationId: application.id } : {}),
  })
  return { done: true as const }
}
