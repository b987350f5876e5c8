import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Language } from '#core/words/say'
import { day, define, id, json, moment, momentOrNull, text, textOrNull, uuid } from '../../platform/database/columns'

/** A permission to tell one recipient what has been proven of some claims: signed here, or on paper. */
export class RecipientPermission extends Model<
  InferAttributes<RecipientPermission>,
  InferCreationAttributes<RecipientPermission>
> {
  declare id: string
  declare candidateId: string
  /** The recipient. */
  declare name: string
  declare mail: string
  declare language: Language
  declare purpose: string
  /** The claims it is for. */
  declare claims: string[]
  /** As it was signed. */
  declare fullName: string
  declare given: 'portal' | 'paper'
  declare notedBy: CreationOptional<string | null>
  /** What was signed, as a file; one on paper may be still to come. */
  declare sha256: CreationOptional<string | null>
  declare signedOn: string
  /** The last day on which something may be sent by it. */
  declare through: string
  declare createdAt: Date
  declare lastSentAt: CreationOptional<Date | null>
  declare withdrawnAt: CreationOptional<Date | null>
}

export const defineRecipients = (sequelize: Sequelize) =>
  define(RecipientPermission, sequelize, 'recipient_permissions', {
    id,
    candidateId: uuid,
    name: text,
    mail: text,
    language: text,
    purpose: text,
    claims: json,
    fullName: text,
    given: text,
    notedBy: textOrNull,
    sha256: textOrNull,
    signedOn: day,
    through: day,
    createdAt: moment,
    lastSentAt: momentOrNull,
    withdrawnAt: momentOrNull,
  })
