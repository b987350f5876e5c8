import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { messageStates } from '#contract/messages'
import type { NoticeKind } from '#core/messages/notices'
import type { StoredText } from '#core/words/stored'
import {
  define,
  id,
  json,
  jsonOrNull,
  longText,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuidOrNull,
} from '../database/columns'

export class Message extends Model<InferAttributes<Message>, InferCreationAttributes<Message>> {
  declare id: string
  declare toName: string
  declare toMail: string
  /** By mail, or as a text message to `toPhone`. */
  declare channel: CreationOptional<'mail' | 'text'>
  declare toPhone: CreationOptional<string | null>
  declare subject: string
  declare text: string
  declare attachments: { fileName: string; sha256: string }[]
  declare applicationId: string | null
  /** The file it belongs to. */
  declare candidateId: CreationOptional<string | null>
  declare state: CreationOptional<(typeof messageStates)[number]>
  declare refusedBecause: CreationOptional<StoredText | null>
  /** What kind of notice to a candidate it is; null where it goes to somebody else. */
  declare kind: CreationOptional<NoticeKind | null>
  /** Of a text message: the mail that is held back and goes where the text message does not arrive. */
  declare insteadOf: CreationOptional<string | null>
  /** The message to several people it is one of. */
  declare batchId: CreationOptional<string | null>
  /** The questions to a source it carries. */
  declare enquiryBatchId: CreationOptional<string | null>
  declare createdAt: Date
  declare sentAt: CreationOptional<Date | null>
}

export const defineMessages = (sequelize: Sequelize) =>
  define(Message, sequelize, 'messages', {
    id,
    toName: text,
    toMail: text,
    channel: { ...text, defaultValue: 'mail' },
    toPhone: textOrNull,
    subject: text,
    text: longText,
    attachments: json,
    applicationId: uuidOrNull,
    candidateId: uuidOrNull,
    state: { ...text, defaultValue: 'queued' },
    refusedBecause: jsonOrNull,
    kind: textOrNull,
    insteadOf: uuidOrNull,
    batchId: uuidOrNull,
    enquiryBatchId: uuidOrNull,
    createdAt: moment,
    sentAt: momentOrNull,
  })
