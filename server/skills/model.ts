import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Blueprint, Mark, Paper } from '#core/skills/paper'
import {
  define,
  id,
  json,
  jsonOrNull,
  longText,
  moment,
  momentOrNull,
  text,
  uuid,
  whole,
  wholeOrNull,
} from '../database/columns'

export class Check extends Model<InferAttributes<Check>, InferCreationAttributes<Check>> {
  declare key: string
  declare title: string
  declare minutes: number
  declare passPercent: number
  declare blueprint: Blueprint
}

export class BankQuestion extends Model<InferAttributes<BankQuestion>, InferCreationAttributes<BankQuestion>> {
  declare id: string
  declare check: string
  declare topic: string
  declare difficulty: 1 | 2 | 3
  declare text: string
  declare options: { id: string; text: string; right: boolean }[]
}

export class Sitting extends Model<InferAttributes<Sitting>, InferCreationAttributes<Sitting>> {
  declare id: string
  declare applicationId: string
  declare check: string
  declare seed: string
  declare paper: Paper
  declare state: 'under way' | 'marked'
  declare begunAt: Date
  declare dueAt: Date
  declare finishedAt: CreationOptional<Date | null>
  declare mark: CreationOptional<Mark | null>
  declare percent: CreationOptional<number | null>
  declare passed: CreationOptional<boolean | null>
}

export class SittingAnswer extends Model<InferAttributes<SittingAnswer>, InferCreationAttributes<SittingAnswer>> {
  declare sittingId: string
  declare questionId: string
  declare given: string[]
  declare savedAt: Date
}

export function defineSkills(sequelize: Sequelize) {
  const partOfKey = { type: DataTypes.UUID, primaryKey: true }
  define(Check, sequelize, 'checks', {
    key: { type: DataTypes.STRING(40), primaryKey: true },
    title: text,
    minutes: whole,
    passPercent: whole,
    blueprint: json,
  })
  define(BankQuestion, sequelize, 'bank_questions', {
    id,
    check: text,
    topic: text,
    difficulty: whole,
    text: longText,
    options: json,
  })
  define(Sitting, sequelize, 'sittings', {
    id,
    applicationId: uuid,
    check: text,
    seed: text,
    paper: json,
    state: text,
    begunAt: moment,
    dueAt: moment,
    finishedAt: momentOrNull,
    mark: jsonOrNull,
    percent: wholeOrNull,
    passed: { type: DataTypes.BOOLEAN, allowNull: true },
  })
  define(SittingAnswer, sequelize, 'sitting_answers', {
    sittingId: partOfKey,
    questionId: partOfKey,
    given: json,
    savedAt: moment,
  })
}
