import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { decisions, EnquiryReply } from '#contract/verification'
import type { ClaimComparison, Statement } from '#core/comparison/compareClaim'
import type { Rung } from '#core/requirements/requirement'
import type { AwardBasis } from '#core/sources/knownAward'
import type { Standing } from '#core/validity/validity'
import {
  day,
  define,
  id,
  json,
  jsonOrNull,
  longTextOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

export class Enquiry extends Model<InferAttributes<Enquiry>, InferCreationAttributes<Enquiry>> {
  declare id: string
  declare claimId: string
  declare credentialVersion: number
  declare applicationId: string
  declare sourceId: string
  declare round: number
  declare channel: 'link' | 'register'
  declare state: 'open' | 'answered' | 'expired' | 'withdrawn'
  /** What was claimed when the source was asked. */
  declare claimed: Record<string, string>
  declare askedAt: Date
  declare askedBy: string
  declare answerBy: string
  declare expiresAt: Date
  declare remindedAt: CreationOptional<Date | null>
  declare answeredAt: CreationOptional<Date | null>
  /** The reply as it was given. */
  declare reply: CreationOptional<EnquiryReply | null>
  /** The reply as values to compare; null where the source does not know the person or the thing. */
  declare statement: CreationOptional<Statement | null>
  /** What it says of a licence beyond its dates; null where it said nothing of that. */
  declare standing: CreationOptional<Standing | null>
  declare respondent: CreationOptional<string | null>
  declare note: CreationOptional<string | null>
}

export class EnquiryLink extends Model<InferAttributes<EnquiryLink>, InferCreationAttributes<EnquiryLink>> {
  declare tokenHash: string
  declare enquiryId: string
  declare createdAt: Date
}

export class Finding extends Model<InferAttributes<Finding>, InferCreationAttributes<Finding>> {
  declare id: string
  declare claimId: string
  declare credentialVersion: number
  declare enquiryId: string | null
  declare decision: (typeof decisions)[number]
  declare note: string
  declare comparison: ClaimComparison
  declare rungBefore: Rung
  /** What it was confirmed at once on, by rule and not by a person. */
  declare basis: CreationOptional<AwardBasis | null>
  declare decidedBy: string
  declare decidedAt: Date
  declare undoneAt: CreationOptional<Date | null>
}

export function defineVerification(sequelize: Sequelize) {
  define(Enquiry, sequelize, 'enquiries', {
    id,
    claimId: uuid,
    credentialVersion: whole,
    applicationId: uuid,
    sourceId: uuid,
    round: whole,
    channel: text,
    state: text,
    claimed: json,
    askedAt: moment,
    askedBy: text,
    answerBy: day,
    expiresAt: moment,
    remindedAt: momentOrNull,
    answeredAt: momentOrNull,
    reply: jsonOrNull,
    statement: jsonOrNull,
    standing: jsonOrNull,
    respondent: textOrNull,
    note: longTextOrNull,
  })
  define(EnquiryLink, sequelize, 'enquiry_links', {
    tokenHash: { type: DataTypes.STRING(64), primaryKey: true },
    enquiryId: uuid,
    createdAt: moment,
  })
  define(Finding, sequelize, 'findings', {
    id,
    claimId: uuid,
    credentialVersion: whole,
    enquiryId: uuidOrNull,
    decision: text,
    note: longTextOrNull,
    comparison: json,
    rungBefore: text,
    basis: jsonOrNull,
    decidedBy: text,
    decidedAt: moment,
    undoneAt: momentOrNull,
  })
}
