import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { IncomingKind } from '#core/messages/incoming'
import {
  define,
  id,
  json,
  longText,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuidOrNull,
} from '../../platform/database/columns'

/** A mail that came in; with the mail of ours it answers, where it says so. */
export class IncomingMail extends Model<InferAttributes<IncomingMail>, InferCreationAttributes<IncomingMail>> {
  declare id: string
  /** Its own identifier (RFC 5322, 3.6.4): a mail that is handed over twice is one mail. */
  declare messageId: string
  declare fromName: string
  declare fromMail: string
  declare subject: string
  declare text: string
  /** The names of what was enclosed; the files themselves lie in the paper tray. */
  declare encloses: string[]
  declare repliesTo: string | null
  declare applicationId: string | null
  declare candidateId: string | null
  declare kind: IncomingKind
  declare state: 'waiting' | 'settled'
  declare settledBy: CreationOptional<string | null>
  declare settledAt: CreationOptional<Date | null>
  declare receivedAt: Date
}

export const defineIncomingMails = (sequelize: Sequelize) =>
  define(IncomingMail, sequelize, 'incoming_mails', {
    id,
    messageId: text,
    fromName: text,
    fromMail: text,
    subject: text,
    text: longText,
    encloses: json,
    repliesTo: uuidOrNull,
    applicationId: uuidOrNull,
    candidateId: uuidOrNull,
    kind: text,
    state: text,
    settledBy: textOrNull,
    settledAt: momentOrNull,
    receivedAt: moment,
  })
