import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Criterion, Points } from '#core/scoring/score'
import { define, flag, json, longText, moment, momentOrNull, text, whole } from '../../platform/database/columns'

/** What reviewers score applications of a vacancy by. */
export class ScoreSheet extends Model<InferAttributes<ScoreSheet>, InferCreationAttributes<ScoreSheet>> {
  declare vacancyId: string
  declare criteria: Criterion[]
  declare reviewers: number
  declare hideNames: boolean
  declare version: number
}

export class Score extends Model<InferAttributes<Score>, InferCreationAttributes<Score>> {
  declare applicationId: string
  declare reviewerId: string
  declare reviewer: string
  declare points: Points
  declare note: string
  declare savedAt: Date
  declare handedInAt: CreationOptional<Date | null>
}

export function defineScoring(sequelize: Sequelize) {
  const key = { type: DataTypes.UUID, primaryKey: true }
  define(ScoreSheet, sequelize, 'score_sheets', {
    vacancyId: key,
    criteria: json,
    reviewers: whole,
    hideNames: flag,
    version: whole,
  })
  define(Score, sequelize, 'scores', {
    applicationId: key,
    reviewerId: key,
    reviewer: text,
    points: json,
    note: longText,
    savedAt: moment,
    handedInAt: momentOrNull,
  })
}
