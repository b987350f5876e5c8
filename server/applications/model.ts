import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Stage } from '#contract/applications'
import type { Answers } from '#core/form/answer'
import {
  day,
  define,
  id,
  json,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  whole,
  wholeOrNull,
} from '../database/columns'

export class Application extends Model<InferAttributes<Application>, InferCreationAttributes<Application>> {
  declare id: string
  declare candidateId: string
  declare vacancyId: string
  declare number: CreationOptional<number | null>
  declare reference: CreationOptional<string | null>
  declare stage: Stage
  declare answers: Answers
  declare version: number
  declare lastSection: CreationOptional<string | null>
  declare targetStart: string
  declare createdAt: Date
  declare savedAt: Date
  declare sentAt: CreationOptional<Date | null>
  declare remindedAt: CreationOptional<Date | null>
  /** The version of the vacancy's rules it was sent under. */
  declare rulesVersion: CreationOptional<number>
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

export function defineApplications(sequelize: Sequelize) {
  define(Application, sequelize, 'applications', {
    id,
    candidateId: uuid,
    vacancyId: uuid,
    number: wholeOrNull,
    reference: textOrNull,
    stage: text,
    answers: json,
    version: whole,
    lastSection: textOrNull,
    targetStart: day,
    createdAt: moment,
    savedAt: moment,
    sentAt: momentOrNull,
    remindedAt: momentOrNull,
    rulesVersion: { ...whole, defaultValue: 1 },
  })
  define(Snapshot, sequelize, 'snapshots', {
    applicationId: { type: DataTypes.UUID, primaryKey: true },
    content: json,
    sha256: text,
    pdfSha256: textOrNull,
    createdAt: moment,
  })
}
