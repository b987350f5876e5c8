import { v7 as uuid } from 'uuid'
import { queueNotice } from '../messages/queueNotice'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { requireVersion } from '../platform/errors/problems'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { conversationById } from '../records/conversations/find'
import { ConversationEntry } from '../records/conversations/model'
import { vacancyById } from '../records/vacancies/vacancies'
import { answerDay } from './answerDay'
import { problems } from './problems'

/**
 * The desk answers: it stands in the portal, and goes by mail to where the candidate wants mail about this application. An
 * answer to that mail comes back here.
 *
 * @throws Problem `changed-meanwhile` where somebody has written, answered or closed it since it was read
 */
export async function answerConversation(
  deps: Deps,
  actor: Account,
  id: string,
  { version, text }: { version: number; text: string },
) {
  const { conversation, application } = await seen(id, version)
  const now = deps.clock.now()
  await compareAndSet(conversation, version, {
    state: 'answered',
    answeredAt: conversation.answeredAt ?? now,
    closedAt: null,
  })
  const [person, { title }] = await Promise.all([
    candidateWithMail(application.candidateId),
    vacancyById(application.vacancyId),
  ])
  const messageId = await queueNotice(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    about: application,
    words: 'deskAnswered',
    values: { vacancy: title, answer: text, link: `${deps.config.publicUrl}/applications/${application.id}` },
  })
  await ConversationEntry.create({
    ...{ id: uuid(), conversationId: id, by: 'desk', name: actor.name, via: 'portal', text, messageId, at: now },
  })
  await told(deps, actor, 'desk-answered', application)
  return { done: true as const }
}

/** Closes what needs no answer, or no more. */
export async function closeConversation(deps: Deps, actor: Account, id: string, version: number) {
  const { conversation, application } = await seen(id, version)
  if (conversation.state === 'closed') throw problems.closedAlready()
  await compareAndSet(conversation, version, { state: 'closed', closedAt: deps.clock.now() })
  await told(deps, actor, 'conversation-closed', application)
  return { done: true as const }
}

/** Opens a closed one again; it waits for an answer from then on. */
export async function reopenConversation(deps: Deps, actor: Account, id: string, version: number) {
  const { conversation, application } = await seen(id, version)
  if (conversation.state !== 'closed') throw problems.notClosed()
  await compareAndSet(conversation, version, { state: 'waiting', closedAt: null, answerBy: answerDay(deps) })
  await told(deps, actor, 'conversation-reopened', application)
  return { done: true as const }
}

type Code = 'desk-answered' | 'conversation-closed' | 'conversation-reopened'

const told = (deps: Deps, actor: Account, code: Code, { id, candidateId }: Application) =>
  recordEvent(deps, actor, { code, applicationId: id, candidateId })

async function seen(id: string, version: number) {
  const conversation = await conversationById(id)
  const application = await sentApplication(conversation.applicationId)
  requireVersion(version, conversation.version, {})
  return { conversation, application }
}
