import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import { define, id, json, longText, moment, momentOrNull, text, uuidOrNull } from '../database/columns'

export class Message extends Model<InferAttributes<Message>, InferCreationAttributes<Message>> {
  declare id: string
  declare toName: string
  declare toMail: string
  declare subject: string
  declare text: string
  declare attachments: { fileName: string; sha256: string }[]
  declare applicationId: string | null
  declare createdAt: Date
  declare sentAt: CreationOptional<Date | null>
}

export const defineMessages = (sequelize: Sequelize) =>
  define(Message, sequelize, 'messages', {
    id,
    toName: text,
    toMail: text,
    subject: text,
    text: longText,
    attachments: json,
    applicationId: uuidOrNull,
    createdAt: moment,
    sentAt: momentOrNull,
  })
