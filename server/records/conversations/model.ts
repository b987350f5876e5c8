import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { ConversationState, ConversationSubject } from '#core/messages/conversation'
import {
  day,
  define,
  id,
  longText,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

/** Something a candidate has asked the desk, with all that was written since. */
export class Conversation extends Model<InferAttributes<Conversation>, InferCreationAttributes<Conversation>> {
  declare id: string
  declare applicationId: string
  declare aboutKind: ConversationSubject
  declare aboutKey: string | null
  declare state: ConversationState
  declare answerBy: string
  declare askedAt: Date
  /** When it was answered for the first time. */
  declare answeredAt: CreationOptional<Date | null>
  declare closedAt: CreationOptional<Date | null>
  declare version: number
}

export class ConversationEntry extends Model<
  InferAttributes<ConversationEntry>,
  InferCreationAttributes<ConversationEntry>
> {
  declare id: string
  declare conversationId: string
  declare by: 'candidate' | 'desk'
  declare name: string
  declare via: 'portal' | 'mail'
  declare text: string
  /** The mail it went out by; an answer to that mail belongs here. */
  declare messageId: CreationOptional<string | null>
  /** The mail it came in by. */
  declare incomingMailId: CreationOptional<string | null>
  declare at: Date
}

export function defineConversations(sequelize: Sequelize) {
  define(Conversation, sequelize, 'conversations', {
    id,
    applicationId: uuid,
    aboutKind: text,
    aboutKey: textOrNull,
    state: text,
    answerBy: day,
    askedAt: moment,
    answeredAt: momentOrNull,
    closedAt: momentOrNull,
    version: whole,
  })
  define(ConversationEntry, sequelize, 'conversation_entries', {
    id,
    conversationId: uuid,
    by: text,
    name: text,
    via: text,
    text: longText,
    messageId: uuidOrNull,
    incomingMailId: uuidOrNull,
    at: moment,
  })
}
