import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { ReopeningState } from '#contract/applications'
import type { waysToTell } from '#contract/behalf'
import type { Answers } from '#core/form/answer'
import type { Stage } from '#core/hiring/stages'
import {
  day,
  dayOrNull,
  define,
  flag,
  id,
  json,
  jsonOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  whole,
  wholeOrNull,
} from '../../platform/database/columns'
import type { ClaimsThen } from '../claims/differences'

/** How an application came to the desk that its candidate has not written; `confirmedAt` once they have taken it over. */
export type OnBehalf = {
  how: (typeof waysToTell)[number]
  by: string
  at: string
  askedAt: string | null
  confirmedAt: string | null
}

export class Application extends Model<InferAttributes<Application>, InferCreationAttributes<Application>> {
  declare id: string
  declare candidateId: string
  declare vacancyId: string
  declare number: CreationOptional<number | null>
  declare reference: CreationOptional<string | null>
  declare stage: Stage
  declare answers: Answers
  /** When each answer was last given or confirmed. */
  declare answeredAt: CreationOptional<Record<string, string>>
  /** Answers taken over from an earlier application that nobody has confirmed yet. */
  declare takenOver: CreationOptional<string[]>
  /** Whether the voluntary questions were answered; what was answered is not here. */
  declare equalityGiven: CreationOptional<boolean>
  declare version: number
  declare lastSection: CreationOptional<string | null>
  declare targetStart: string
  declare createdAt: Date
  declare savedAt: Date
  declare sentAt: CreationOptional<Date | null>
  declare remindedAt: CreationOptional<Date | null>
  /** The version of the vacancy's rules it was sent under. */
  declare rulesVersion: CreationOptional<number>
  /** Whoever has applied twice for the same post, under two files since merged, has the second beside the first. */
  declare duplicateOrdinal: CreationOptional<number>
  /** Begun at the desk for somebody who wrote on paper or rang. */
  declare onBehalf: CreationOptional<OnBehalf | null>
  /** When it was withdrawn, declined, turned down or cleared. */
  declare endedAt: CreationOptional<Date | null>
  /** The promised day of decision they were last told of, and the one that passed of which they were told. */
  declare toldDecisionDay: CreationOptional<string | null>
  declare toldLateFor: CreationOptional<string | null>
  /** The day the time to finish began anew, where it did; that one more stretch was given; of how many days left they were told. */
  declare completeFrom: CreationOptional<string | null>
  declare extendedAt: CreationOptional<Date | null>
  declare completeReminded: CreationOptional<number | null>
  /** Not finished in its time. What was not sent stays being written, and is changed again once it is taken up. */
  declare setAsideAt: CreationOptional<Date | null>
}

/** What was sent, unchanged since. */
export class Snapshot extends Model<InferAttributes<Snapshot>, InferCreationAttributes<Snapshot>> {
  declare applicationId: string
  declare content: Record<string, unknown>
  declare sha256: string
  /** The same to read, as PDF. */
  declare pdfSha256: CreationOptional<string | null>
  declare createdAt: Date
}

/** A section or a question of a sent application that its candidate may change again. */
export class Reopening extends Model<InferAttributes<Reopening>, InferCreationAttributes<Reopening>> {
  declare id: string
  declare applicationId: string
  declare section: string
  /** The only question of the section, or null for all of it. */
  declare question: string | null
  declare reason: string
  declare dueOn: string
  declare askedBy: string
  declare askedAt: Date
  declare state: ReopeningState
  /** The answers as they were. */
  declare before: Answers
  /** The claims as they were, where the section holds claims. */
  declare claims: CreationOptional<ClaimsThen | null>
  declare doneAt: CreationOptional<Date | null>
}

export function defineApplications(sequelize: Sequelize) {
  define(Application, sequelize, 'applications', {
    id,
    candidateId: uuid,
    vacancyId: uuid,
    number: wholeOrNull,
    reference: textOrNull,
    stage: text,
    answers: json,
    answeredAt: { ...json, defaultValue: {} },
    takenOver: { ...json, defaultValue: [] },
    equalityGiven: { ...flag, defaultValue: false },
    version: whole,
    lastSection: textOrNull,
    targetStart: day,
    createdAt: moment,
    savedAt: moment,
    sentAt: momentOrNull,
    remindedAt: momentOrNull,
    rulesVersion: { ...whole, defaultValue: 1 },
    duplicateOrdinal: { ...whole, defaultValue: 0 },
    onBehalf: jsonOrNull,
    endedAt: momentOrNull,
    toldDecisionDay: dayOrNull,
    toldLateFor: dayOrNull,
    completeFrom: dayOrNull,
    extendedAt: momentOrNull,
    completeReminded: wholeOrNull,
    setAsideAt: momentOrNull,
  })
  define(Reopening, sequelize, 'reopenings', {
    id,
    applicationId: uuid,
    section: text,
    question: textOrNull,
    reason: text,
    dueOn: day,
    askedBy: text,
    askedAt: moment,
    state: text,
    before: { ...json, field: 'before_' },
    claims: jsonOrNull,
    doneAt: momentOrNull,
  })
  define(Snapshot, sequelize, 'snapshots', {
    applicationId: { type: DataTypes.UUID, primaryKey: true },
    content: json,
    sha256: text,
    pdfSha256: textOrNull,
    createdAt: moment,
  })
}
