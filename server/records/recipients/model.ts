import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Language } from '#core/words/say'
import {
  day,
  define,
  id,
  jsonOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
} from '../../platform/database/columns'

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
  /** The claims it is for; none are named where it is for all that a body one has chosen needs. */
  declare claims: CreationOptional<string[] | null>
  /** The application in which the body was chosen, and which of its bodies it is; one permission holds for each. */
  declare applicationId: CreationOptional<string | null>
  declare recipientKey: CreationOptional<string | null>
  /** Both while it holds, for which there is no second; nothing where it was withdrawn, or is for no application. */
  declare holdsFor: CreationOptional<string | null>
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
    claims: jsonOrNull,
    applicationId: uuidOrNull,
    recipientKey: textOrNull,
    holdsFor: textOrNull,
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
