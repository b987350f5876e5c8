import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Queue } from '#contract/desk'
import type { Stage } from '#core/hiring/stages'
import type { FirstLook } from '#core/requirements/firstLook'
import type { Gate } from '#core/requirements/requirement'
import type { StoredText, StoredValue } from '#core/words/stored'
import {
  day,
  define,
  flag,
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

export class Waiver extends Model<InferAttributes<Waiver>, InferCreationAttributes<Waiver>> {
  declare id: string
  declare applicationId: string
  declare requirement: string
  declare reason: string
  declare givenBy: string
  declare givenAt: Date
}

export class GatePassage extends Model<InferAttributes<GatePassage>, InferCreationAttributes<GatePassage>> {
  declare applicationId: string
  declare gate: Gate
  declare passedBy: string
  declare passedAt: Date
  /** The outcomes as they stood. */
  declare readiness: unknown
}

export class Offer extends Model<InferAttributes<Offer>, InferCreationAttributes<Offer>> {
  declare applicationId: string
  declare salary: number
  declare startsOn: string
  declare answerBy: string
  declare madeBy: string
  declare madeAt: Date
  declare answer: CreationOptional<'accepted' | 'declined' | null>
  declare answeredAt: CreationOptional<Date | null>
  /** When the candidate was reminded of the day, and told that it has passed. */
  declare remindedAt: CreationOptional<Date | null>
  declare expiryToldAt: CreationOptional<Date | null>
}

export class OnboardingTask extends Model<InferAttributes<OnboardingTask>, InferCreationAttributes<OnboardingTask>> {
  declare applicationId: string
  declare key: string
  declare title: string
  declare text: string
  declare doneAt: CreationOptional<Date | null>
}

/**
 * How an application stands, computed and kept so that queues can be sorted and paged in SQL. Everything here can be
 * computed again at any time; nobody writes it but `refreshSummaries`.
 */
export class ApplicationSummary extends Model<
  InferAttributes<ApplicationSummary>,
  InferCreationAttributes<ApplicationSummary>
> {
  declare applicationId: string
  declare vacancyId: string
  declare candidate: string
  declare vacancy: string
  declare slack: number
  declare early: string
  declare likely: string
  declare late: string
  declare heldUpBy: StoredValue | null
  declare marks: string[]
  /** Why a person is in each queue. A sentence is of before there were codes. */
  declare reasons: Partial<Record<Queue, StoredText | string>>
  declare today: boolean
  declare applications: boolean
  declare verification: boolean
  declare skills: boolean
  declare validity: boolean
  declare hiring: boolean
  declare computedAt: Date
  /** What the table of applications shows, sorts and is filtered by. */
  declare candidateId: string | null
  declare stage: Stage
  declare reference: string | null
  declare sentAt: Date | null
  declare eligible: FirstLook['eligible']
  declare metCount: number
  declare ofCount: number
  declare blanks: number
  declare changes: number
  /** Per cent of the score sheet once enough have handed in; −1 before. */
  declare score: number
  declare reviews: number
  declare hidesName: boolean
  declare duplicates: boolean
}

export function defineHiring(sequelize: Sequelize) {
  const applicationId = { type: DataTypes.UUID, primaryKey: true }
  const partOfKey = { type: DataTypes.STRING(40), primaryKey: true }
  define(Waiver, sequelize, 'waivers', {
    id,
    applicationId: uuid,
    requirement: text,
    reason: longText,
    givenBy: text,
    givenAt: moment,
  })
  define(GatePassage, sequelize, 'gate_passages', {
    applicationId,
    gate: partOfKey,
    passedBy: text,
    passedAt: moment,
    readiness: json,
  })
  define(Offer, sequelize, 'offers', {
    applicationId,
    salary: whole,
    startsOn: day,
    answerBy: day,
    madeBy: text,
    madeAt: moment,
    answer: textOrNull,
    answeredAt: momentOrNull,
    remindedAt: momentOrNull,
    expiryToldAt: momentOrNull,
  })
  define(OnboardingTask, sequelize, 'onboarding_tasks', {
    applicationId,
    key: partOfKey,
    title: text,
    text: longText,
    doneAt: momentOrNull,
  })
  define(ApplicationSummary, sequelize, 'application_summaries', {
    applicationId,
    vacancyId: uuid,
    candidate: text,
    vacancy: text,
    slack: whole,
    early: day,
    likely: day,
    late: day,
    heldUpBy: jsonOrNull,
    marks: json,
    reasons: json,
    today: flag,
    applications: flag,
    verification: flag,
    skills: flag,
    validity: flag,
    hiring: flag,
    computedAt: moment,
    candidateId: uuidOrNull,
    stage: text,
    reference: textOrNull,
    sentAt: momentOrNull,
    eligible: text,
    metCount: whole,
    ofCount: whole,
    blanks: whole,
    changes: whole,
    score: whole,
    reviews: whole,
    hidesName: flag,
    duplicates: flag,
  })
}
