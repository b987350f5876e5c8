import { v7 as uuid } from 'uuid'
import { isSent } from '#core/hiring/stages'
import type { ConversationSubject } from '#core/messages/conversation'
import { queueNotice } from '../messages/queueNotice'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { lockOf } from '../platform/database/connection'
import type { Account, Actor, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { applicationById, ownApplication, sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { conversationById } from '../records/conversations/find'
import { Conversation, ConversationEntry } from '../records/conversations/model'
import { vacancyById } from '../records/vacancies/vacancies'
import { answerDay } from './answerDay'
import { problems } from './problems'
import { titleOf } from './subject'

type About = { kind: ConversationSubject; key?: string }

/**
 * A candidate asks the desk something about an application they have sent.
 *
 * @returns the last day the desk has for an answer
 * @throws Problem `not-sent` while the application is being written, `not-found` where what it is about is not theirs
 */
export async function startConversation(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { about, text }: { about: About; text: string },
) {
  const application = await ownApplication(actor, applicationId)
  if (!isSent(application)) throw problems.notSentYet()
  const key = about.kind === 'nothing' ? null : (about.key ?? '')
  if (key !== null && (await titleOf(application, about.kind, key)) === null) throw notFound()
  return begin(deps, actor, application, { kind: about.kind, key }, { name: actor.name, via: 'portal', text })
}

/** An answer to a mail about an application that belongs to no conversation begins one, about nothing in particular. */
export const beginByMail = (deps: Deps, actor: Actor, application: Application, written: Written) =>
  begin(deps, actor, application, { kind: 'nothing', key: null }, written)

async function begin(
  deps: Deps,
  actor: Actor,
  application: Application,
  about: { kind: ConversationSubject; key: string | null },
  written: Written,
) {
  const now = deps.clock.now()
  const { id, answerBy } = await Conversation.create({
    id: uuid(),
    applicationId: application.id,
    aboutKind: about.kind,
    aboutKey: about.key,
    state: 'waiting',
    answerBy: answerDay(deps),
    askedAt: now,
    version: 1,
  })
  await ConversationEntry.create({ id: uuid(), conversationId: id, by: 'candidate', at: now, ...written })
  await told(deps, actor, application)
  return { id, answerBy }
}

/** The desk asks the candidate something: it stands in the portal and goes by mail, and their answer waits at the desk. */
export async function beginByDesk(
  deps: Deps,
  actor: Account,
  application: Application,
  { kind, key }: { kind: ConversationSubject; key: string | null },
  text: string,
) {
  const now = deps.clock.now()
  const [person, { title }] = await Promise.all([
    candidateWithMail(application.candidateId),
    vacancyById(application.vacancyId),
  ])
  const messageId = await queueNotice(deps, {
    to: { ...person, mail: contactMail(application) ?? person.mail },
    about: application,
    words: 'deskAsks',
    values: { vacancy: title, question: text, link: `${deps.config.publicUrl}/applications/${application.id}` },
  })
  const { id } = await Conversation.create({
    id: uuid(),
    applicationId: application.id,
    ...{ aboutKind: kind, aboutKey: key, state: 'answered', answerBy: answerDay(deps), askedAt: now, answeredAt: now },
    version: 1,
  })
  const entry = { by: 'desk', name: actor.name, via: 'portal', text, messageId, at: now } as const
  await ConversationEntry.create({ id: uuid(), conversationId: id, ...entry })
  return { id }
}

/** The desk asks about one claim of whoever has applied. */
export async function askAboutClaim(deps: Deps, actor: Account, applicationId: string, claimId: string, text: string) {
  const application = await sentApplication(applicationId)
  const claim = await Claim.findByPk(claimId)
  if (claim?.candidateId !== application.candidateId || claim.removedAt) throw notFound()
  await beginByDesk(deps, actor, application, { kind: 'claim', key: claimId }, text)
  await recordEvent(deps, actor, {
    code: 'candidate-asked',
    values: { claim: labelValue(claim.details) },
    candidateId: application.candidateId,
    applicationId,
    claimId,
  })
  return { done: true as const }
}

/** A candidate writes more; whatever state it was in, it waits for an answer again. */
export async function writeInConversation(deps: Deps, actor: Account, id: string, text: string) {
  const { applicationId } = await conversationById(id)
  await ownApplication(actor, applicationId)
  const answerBy = await writtenByCandidate(deps, actor, id, { name: actor.name, via: 'portal', text })
  return { answerBy }
}

type Written = Pick<ConversationEntry, 'name' | 'via' | 'text'> & { incomingMailId?: string }

/** Keeps what a candidate wrote, from the portal or by mail. It stands behind whatever was written at the same moment. */
export async function writtenByCandidate(deps: Deps, actor: Actor, id: string, written: Written): Promise<string> {
  const conversation = await conversationById(id, lockOf() ?? {})
  // A question that waits already keeps its day: writing more does not put the answer off.
  const answerBy = conversation.state === 'waiting' ? conversation.answerBy : answerDay(deps)
  await ConversationEntry.create({ id: uuid(), conversationId: id, by: 'candidate', at: deps.clock.now(), ...written })
  await compareAndSet(conversation, conversation.version, { state: 'waiting', answerBy, closedAt: null })
  await told(deps, actor, await applicationById(conversation.applicationId))
  return answerBy
}

const told = (deps: Deps, actor: Actor, { id, candidateId }: Application) =>
  recordEvent(deps, actor, { code: 'desk-asked', applicationId: id, candidateId })
