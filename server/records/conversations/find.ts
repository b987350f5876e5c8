import { notFound } from '../../platform/errors/problems'
import { Conversation, ConversationEntry } from './model'

/** Those of some applications in which somebody has asked and nobody has answered or closed it. */
export async function askedAmong(applicationIds: readonly string[]): Promise<Set<string>> {
  const where = { applicationId: [...applicationIds], state: 'waiting' as const }
  const waiting = await Conversation.findAll({ where, attributes: ['applicationId'] })
  return new Set(waiting.map(({ applicationId }) => applicationId))
}

export async function conversationById(id: string, options: object = {}): Promise<Conversation> {
  const conversation = await Conversation.findByPk(id, options)
  if (!conversation) throw notFound()
  return conversation
}

/** The conversation a mail of ours is part of. */
export async function conversationOfMessage(messageId: string): Promise<Conversation | null> {
  const entry = await ConversationEntry.findOne({ where: { messageId } })
  return entry && Conversation.findByPk(entry.conversationId)
}

/** Conversations of applications with their entries, the oldest entry first. */
export async function conversationsOf(applicationIds: readonly string[]) {
  const found = await Conversation.findAll({ where: { applicationId: [...applicationIds] }, order: ['askedAt', 'id'] })
  const entries = await ConversationEntry.findAll({
    where: { conversationId: found.map(({ id }) => id) },
    order: ['at', 'id'],
  })
  return found.map((conversation) => ({
    conversation,
    entries: entries.filter(({ conversationId }) => conversationId === conversation.id),
  }))
}
