import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { HiddenKind } from '#core/privacy/hidden'
import type { DeliveryWay } from '#core/recipients/delivery'
import type { Stated } from '#core/report/overtaken'
import type { Audience, Report as Content } from '#core/report/report'
import type { PublicKey } from '#core/sources/source'
import type { Language } from '#core/words/say'
import type { StoredText } from '#core/words/stored'
import {
  day,
  define,
  id,
  json,
  jsonOrNull,
  longText,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

/** A key that we sign with: its private half sealed with the installation's own. Of those that are kept one is in use. */
export class SigningKey extends Model<InferAttributes<SigningKey>, InferCreationAttributes<SigningKey>> {
  declare kid: string
  declare publicJwk: PublicKey
  declare sealed: string
  declare createdAt: Date
  declare retiredAt: CreationOptional<Date | null>
  /** Unique while it is in use. */
  declare activeKey: CreationOptional<'active' | null>
}

/** What we have stated of a person, as it was signed; never changed, only revoked. */
export class Report extends Model<InferAttributes<Report>, InferCreationAttributes<Report>> {
  declare id: string
  declare reference: string
  declare candidateId: string
  declare applicationId: CreationOptional<string | null>
  declare audience: Audience
  /** What of that which not everybody may see it was made with: only who may see as much opens it. */
  declare sight: HiddenKind[]
  declare language: Language
  declare asAt: string
  declare madeAt: Date
  declare madeBy: string
  declare madeById: CreationOptional<string | null>
  declare content: Content
  /** What could turn out otherwise. */
  declare stated: Stated[]
  declare jwt: string
  declare sdJwt: string
  declare pdfSha256: string
  /** Of the link that its code leads to. */
  declare tokenHash: string
  declare statusIndex: number
  declare endsAt: Date
  declare revokedAt: CreationOptional<Date | null>
  declare revokedBecause: CreationOptional<StoredText | null>
  declare version: number
}

/** Whom a report was sent to. */
export class ReportDelivery extends Model<InferAttributes<ReportDelivery>, InferCreationAttributes<ReportDelivery>> {
  declare id: string
  declare reportId: string
  declare toName: string
  declare toMail: string
  declare language: Language
  declare sentAt: Date
  declare sentBy: string
  /** The permission it was sent by, and how, where it went to a recipient. */
  declare permissionId: CreationOptional<string | null>
  declare way: CreationOptional<DeliveryWay | null>
  declare tokenHash: CreationOptional<string | null>
  declare linkEndsAt: CreationOptional<Date | null>
  /** The file that went with it, where that is not the report's PDF. */
  declare attachedSha256: CreationOptional<string | null>
  /** How often its link was opened, and when something was first saved from there. */
  declare openings: CreationOptional<number>
  declare firstOpenedAt: CreationOptional<Date | null>
  declare lastOpenedAt: CreationOptional<Date | null>
  declare savedAt: CreationOptional<Date | null>
  declare takenBackAt: CreationOptional<Date | null>
  declare takenBackBy: CreationOptional<string | null>
}

/** What was revoked, without whom it was about. */
export class RevokedStatus extends Model<InferAttributes<RevokedStatus>, InferCreationAttributes<RevokedStatus>> {
  declare statusIndex: number
  declare revokedAt: Date
}

export function defineReports(sequelize: Sequelize) {
  define(SigningKey, sequelize, 'signing_keys', {
    kid: { type: DataTypes.STRING(60), primaryKey: true },
    publicJwk: json,
    sealed: longText,
    createdAt: moment,
    retiredAt: momentOrNull,
    activeKey: textOrNull,
  })
  define(Report, sequelize, 'reports', {
    id,
    reference: text,
    candidateId: uuid,
    applicationId: uuidOrNull,
    audience: text,
    sight: json,
    language: text,
    asAt: day,
    madeAt: moment,
    madeBy: text,
    madeById: uuidOrNull,
    content: json,
    stated: json,
    jwt: longText,
    sdJwt: longText,
    pdfSha256: text,
    tokenHash: text,
    statusIndex: whole,
    endsAt: moment,
    revokedAt: momentOrNull,
    revokedBecause: jsonOrNull,
    version: whole,
  })
  define(ReportDelivery, sequelize, 'report_deliveries', {
    id,
    reportId: uuid,
    toName: text,
    toMail: text,
    language: text,
    sentAt: moment,
    sentBy: text,
    permissionId: uuidOrNull,
    way: textOrNull,
    tokenHash: textOrNull,
    linkEndsAt: momentOrNull,
    attachedSha256: textOrNull,
    openings: { ...whole, defaultValue: 0 },
    firstOpenedAt: momentOrNull,
    lastOpenedAt: momentOrNull,
    savedAt: momentOrNull,
    takenBackAt: momentOrNull,
    takenBackBy: textOrNull,
  })
  define(RevokedStatus, sequelize, 'revoked_statuses', {
    statusIndex: { type: DataTypes.INTEGER, primaryKey: true },
    revokedAt: moment,
  })
}
