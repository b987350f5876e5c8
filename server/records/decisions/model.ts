import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { ClaimComparison } from '#core/comparison/compareClaim'
import type { Decision } from '#core/comparison/proposeDecision'
import type { ReviewState } from '#core/decisions/secondPerson'
import type { StoredValue } from '#core/words/stored'
import {
  dayOrNull,
  define,
  flag,
  id,
  json,
  jsonOrNull,
  longTextOrNull,
  moment,
  momentOrNull,
  text,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

/** A decision about a claim that takes a second person, or that its candidate is told of before it is final. */
export class ClaimReview extends Model<InferAttributes<ClaimReview>, InferCreationAttributes<ClaimReview>> {
  declare id: string
  declare claimId: string
  declare credentialVersion: number
  declare state: ReviewState
  /** The claim while it goes on: unique, so that there is one. */
  declare activeKey: CreationOptional<string | null>
  declare enquiryId: string | null
  /** What the first person had before them. */
  declare comparison: ClaimComparison
  /** There was nobody else who could have been the second. */
  declare alone: CreationOptional<boolean>
  /** What was agreed. */
  declare decision: CreationOptional<Decision | null>
  /** What the candidate was told, until when they can answer, and what they said. */
  declare told: CreationOptional<StoredValue[] | null>
  declare answerBy: CreationOptional<string | null>
  declare answer: CreationOptional<string | null>
  declare answeredAt: CreationOptional<Date | null>
  declare answerDocuments: CreationOptional<string[] | null>
  declare openedAt: Date
  declare endedAt: CreationOptional<Date | null>
  declare version: number
}

/** What one person said of it; each once. */
export class ReviewView extends Model<InferAttributes<ReviewView>, InferCreationAttributes<ReviewView>> {
  declare reviewId: string
  declare accountId: string
  declare name: string
  declare decision: Decision
  declare note: string
  declare at: Date
}

/** A decision that was undone at once. What was decided is never changed. */
export class FindingUndo extends Model<InferAttributes<FindingUndo>, InferCreationAttributes<FindingUndo>> {
  declare findingId: string
  declare undoneBy: string
  declare undoneAt: Date
}

export function defineDecisions(sequelize: Sequelize) {
  define(ClaimReview, sequelize, 'claim_reviews', {
    id,
    claimId: uuid,
    credentialVersion: whole,
    state: text,
    activeKey: uuidOrNull,
    enquiryId: uuidOrNull,
    comparison: json,
    alone: { ...flag, defaultValue: false },
    decision: { ...text, allowNull: true },
    told: jsonOrNull,
    answerBy: dayOrNull,
    answer: longTextOrNull,
    answeredAt: momentOrNull,
    answerDocuments: jsonOrNull,
    openedAt: moment,
    endedAt: momentOrNull,
    version: whole,
  })
  define(ReviewView, sequelize, 'review_views', {
    reviewId: id,
    accountId: { ...uuid, primaryKey: true },
    name: text,
    decision: text,
    note: longTextOrNull,
    at: moment,
  })
  define(FindingUndo, sequelize, 'finding_undos', { findingId: id, undoneBy: text, undoneAt: moment })
}
