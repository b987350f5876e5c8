import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { MatterOutcome } from '#core/requirements/matter'
import {
  define,
  id,
  json,
  longText,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  whole,
} from '../../platform/database/columns'

export type MatterCondition = { title: string; text: string }

/** Something declared in an application, as it was declared; declared otherwise it is another. */
export class DeclaredMatter extends Model<InferAttributes<DeclaredMatter>, InferCreationAttributes<DeclaredMatter>> {
  declare id: string
  declare candidateId: string
  declare applicationId: string
  declare requirement: string
  declare question: string
  declare answer: string
  declare explanation: string
  /** Of the answer and its explanation: of one requirement each is there once. */
  declare digest: string
  /** Nothing until it is decided. */
  declare outcome: CreationOptional<MatterOutcome | null>
  declare reason: string
  declare conditions: MatterCondition[]
  declare decidedAt: CreationOptional<Date | null>
  declare createdAt: Date
  declare version: number
}

export class MatterVote extends Model<InferAttributes<MatterVote>, InferCreationAttributes<MatterVote>> {
  declare matterId: string
  declare accountId: string
  declare name: string
  declare outcome: MatterOutcome
  declare reason: string
  declare conditions: MatterCondition[]
  declare votedAt: Date
}

export function defineMatters(sequelize: Sequelize) {
  define(DeclaredMatter, sequelize, 'declared_matters', {
    id,
    candidateId: uuid,
    applicationId: uuid,
    requirement: text,
    question: text,
    answer: text,
    explanation: longText,
    digest: text,
    outcome: textOrNull,
    reason: longText,
    conditions: json,
    decidedAt: momentOrNull,
    createdAt: moment,
    version: whole,
  })
  define(MatterVote, sequelize, 'matter_votes', {
    matterId: id,
    accountId: { ...uuid, primaryKey: true },
    name: text,
    outcome: text,
    reason: longText,
    conditions: json,
    votedAt: moment,
  })
}
