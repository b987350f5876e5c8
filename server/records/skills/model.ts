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
  day,
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
} from '../../platform/database/columns'

export class Check extends Model<InferAttributes<Check>, InferCreationAttributes<Check>> {
  declare key: string
  declare title: string
  declare minutes: number
  declare passPercent: number
  declare blueprint: Blueprint
  /** How often it can be sat for one application, each time after the first by leave. */
  declare attempts: CreationOptional<number>
  /** Days between two attempts. */
  declare waitDays: CreationOptional<number>
}

/** Leave to sit a check again: the attempt it is for, and from which day on. */
export class Resit extends Model<InferAttributes<Resit>, InferCreationAttributes<Resit>> {
  declare applicationId: string
  declare check: string
  declare attempt: number
  declare notBefore: string
  declare reason: string
  declare givenBy: string
  declare givenAt: Date
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
  /** The first is 1. */
  declare attempt: CreationOptional<number>
  declare seed: string
  declare paper: Paper
  declare state: 'under way' | 'marked'
  declare begunAt: Date
  declare dueAt: Date
  /** When an answer was last saved; written with each, so that none is saved into a paper that was handed in. */
  declare savedAt: CreationOptional<Date | null>
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
    attempts: { ...whole, defaultValue: 3 },
    waitDays: { ...whole, defaultValue: 7 },
  })
  define(Resit, sequelize, 'resits', {
    applicationId: partOfKey,
    check: { type: DataTypes.STRING(40), primaryKey: true },
    attempt: { type: DataTypes.INTEGER, primaryKey: true },
    notBefore: day,
    reason: longText,
    givenBy: text,
    givenAt: moment,
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
    attempt: { ...whole, defaultValue: 1 },
    seed: text,
    paper: json,
    state: text,
    begunAt: moment,
    dueAt: moment,
    savedAt: momentOrNull,
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
