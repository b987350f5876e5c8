import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { EnquiryReply } from '#contract/reply'
import type { ClaimComparison, Statement } from '#core/comparison/compareClaim'
import type { Decision } from '#core/comparison/proposeDecision'
import type { CredentialBasis } from '#core/credentials/judge'
import type { DeclineReason, EnquiryState, EnquiryStep, StepDetails, Turn } from '#core/enquiries/enquiry'
import type { AskedBy } from '#core/enquiries/ways'
import type { Rung } from '#core/requirements/requirement'
import type { AwardBasis } from '#core/sources/knownAward'
import type { Money } from '#core/sources/source'
import type { Standing } from '#core/validity/validity'
import type { StoredText } from '#core/words/stored'
import {
  day,
  dayOrNull,
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
  declare channel: AskedBy | 'credential'
  declare state: EnquiryState
  /** What was claimed when the source was asked. */
  declare claimed: Record<string, string>
  declare askedAt: Date
  declare askedBy: string
  declare answerBy: string
  /** When its link ends. */
  declare expiresAt: Date
  /** What people read to each other of it. */
  declare reference: CreationOptional<string | null>
  /** The questions that went in one letter or mail. */
  declare batchId: string
  /** Of the directory: whom it went to last. */
  declare contactId: CreationOptional<string | null>
  declare speed: CreationOptional<'usual' | 'faster'>
  declare cost: CreationOptional<Money | null>
  declare costApproved: CreationOptional<{ by: string; at: string } | null>
  /** The claim it is about while it goes on: unique, so that nobody asks twice at once. */
  declare activeKey: CreationOptional<string | null>
  /** Whose turn it is; null once nothing is left to do. */
  declare turn: CreationOptional<Turn | null>
  /** Days between the likely and the target start of whom it is about, and where its source is: what the queue is sorted and filtered by. */
  declare slack: CreationOptional<number>
  declare country: CreationOptional<string>
  /** When something happens by itself if nobody answers. */
  declare dueOn: CreationOptional<string | null>
  /** Sent since it was last asked by a new way. */
  declare reminders: CreationOptional<number>
  declare escalations: CreationOptional<number>
  declare openedAt: CreationOptional<Date | null>
  declare forwardedAt: CreationOptional<Date | null>
  declare toPrint: CreationOptional<'letter' | 'reminder' | null>
  /** What has been filled in of the answer and is not sent. */
  declare draft: CreationOptional<(Partial<EnquiryReply> & { heardBy?: { id: string; name: string } }) | null>
  declare draftVersion: CreationOptional<number>
  /** The paper that came as an answer, or with one. */
  declare paper: CreationOptional<{ sha256: string; fileName: string; cameAt: string } | null>
  declare declined: CreationOptional<{ reason: DeclineReason; note: string } | null>
  /** What keeps it from going out while it is prepared. */
  declare lacks: CreationOptional<StoredText[] | null>
  /** The number of what its source was given for its own files. */
  declare receipt: CreationOptional<string | null>
  declare version: CreationOptional<number>
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

/** What happened to an enquiry: what was tried of whom, by which way. */
export class EnquiryStepRow extends Model<InferAttributes<EnquiryStepRow>, InferCreationAttributes<EnquiryStepRow>> {
  declare id: string
  declare enquiryId: string
  declare step: EnquiryStep
  declare channel: Enquiry['channel']
  declare contactId: CreationOptional<string | null>
  declare at: Date
  declare by: string
  declare details: CreationOptional<StepDetails>
}

export class EnquiryLink extends Model<InferAttributes<EnquiryLink>, InferCreationAttributes<EnquiryLink>> {
  declare tokenHash: string
  /** All questions of a letter, */
  declare batchId: string
  /** or one of them that was passed on. */
  declare onlyEnquiryId: CreationOptional<string | null>
  declare toMail: CreationOptional<string>
  declare toName: CreationOptional<string>
  /** One that leaves the source's own domain is looked at before it goes. */
  declare state: CreationOptional<'open' | 'to check' | 'refused'>
  declare forwarded: CreationOptional<{ by: string } | null>
  declare createdAt: Date
}

export class Finding extends Model<InferAttributes<Finding>, InferCreationAttributes<Finding>> {
  declare id: string
  declare claimId: string
  declare credentialVersion: number
  declare enquiryId: string | null
  declare decision: Decision
  declare note: string
  declare comparison: ClaimComparison
  declare rungBefore: Rung
  /** What it was confirmed at once on, by rule and not by a person. */
  declare basis: CreationOptional<AwardBasis | CredentialBasis | null>
  declare decidedBy: string
  declare decidedAt: Date
  /** Filled in from where it was undone; the row of a decision is never changed. */
  undoneAt?: Date | null
  /** The review it came out of, where it took more than one person. */
  declare reviewId: CreationOptional<string | null>
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
    reference: textOrNull,
    batchId: uuid,
    contactId: textOrNull,
    speed: { ...text, defaultValue: 'usual' },
    cost: jsonOrNull,
    costApproved: jsonOrNull,
    activeKey: uuidOrNull,
    turn: textOrNull,
    slack: { ...whole, defaultValue: 9999 },
    country: { ...text, defaultValue: 'ZZ' },
    dueOn: dayOrNull,
    reminders: { ...whole, defaultValue: 0 },
    escalations: { ...whole, defaultValue: 0 },
    openedAt: momentOrNull,
    forwardedAt: momentOrNull,
    toPrint: textOrNull,
    draft: jsonOrNull,
    draftVersion: { ...whole, defaultValue: 0 },
    paper: jsonOrNull,
    declined: jsonOrNull,
    lacks: jsonOrNull,
    receipt: textOrNull,
    version: { ...whole, defaultValue: 1 },
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
    batchId: uuid,
    onlyEnquiryId: uuidOrNull,
    toMail: { ...text, defaultValue: '' },
    toName: { ...text, defaultValue: '' },
    state: { ...text, defaultValue: 'open' },
    forwarded: jsonOrNull,
    createdAt: moment,
  })
  define(EnquiryStepRow, sequelize, 'enquiry_steps', {
    id,
    enquiryId: uuid,
    step: text,
    channel: text,
    contactId: textOrNull,
    at: moment,
    by: text,
    details: { ...json, defaultValue: {} },
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
    reviewId: uuidOrNull,
  })
}
