import type { Conversation } from '#contract/conversations'
import { blotted } from '#core/privacy/blot'
import type { Account } from '../platform/deps'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication, sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { conversationsOf } from '../records/conversations/find'
import { hidesName } from '../records/scoring/find'
import { titleOf } from './subject'

/** What a candidate has asked about an application of theirs, the newest first. */
export const listMyConversations = async (actor: Account, applicationId: string) =>
  (await faces(await ownApplication(actor, applicationId))).reverse()

/**
 * The same at the desk, what waits first. While names are hidden the reference stands instead of a name, and what they wrote
 * is read without what tells who they are: it has to be answered all the same.
 */
export async function listConversations(applicationId: string): Promise<Conversation[]> {
  const application = await sentApplication(applicationId)
  const order = { waiting: 0, answered: 1, closed: 2 }
  const found = (await faces(application)).sort((a, b) => order[a.state] - order[b.state])
  if (!(await hidesName(application))) return found
  const { name, otherNames } = await candidateWithMail(application.candidateId)
  const telling = [name, ...otherNames, ...streetsIn(application.answers)]
  const without = (text: string) => blotted(text, telling)
  return found.map((conversation) => ({
    ...conversation,
    about: { ...conversation.about, label: null },
    entries: conversation.entries.map((entry) => ({
      ...entry,
      name: entry.by === 'desk' ? entry.name : (application.reference ?? ''),
      text: without(entry.text),
    })),
  }))
}

const faces = async (application: Application): Promise<Conversation[]> =>
  Promise.all(
    (await conversationsOf([application.id])).map(async ({ conversation, entries }) => ({
      id: conversation.id,
      about: {
        kind: conversation.aboutKind,
        label: await titleOf(application, conversation.aboutKind, conversation.aboutKey ?? ''),
      },
      state: conversation.state,
      answerBy: conversation.answerBy,
      askedAt: conversation.askedAt.toISOString(),
      version: conversation.version,
      entries: entries.map(({ id, by, name, via, text, at }) => ({ id, by, name, via, text, at: at.toISOString() })),
    })),
  )

/** The streets among somebody's answers, which tell who they are as well as a name does. */
const streetsIn = (answers: Application['answers']): string[] =>
  Object.values(answers).flatMap((answer) =>
    typeof answer === 'object' && 'street' in answer && answer.street ? [answer.street] : [],
  )
