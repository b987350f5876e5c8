import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { SourceLine, sourceKinds } from '#contract/sources'
import {
  define,
  id,
  json,
  longText,
  momentOrNull,
  text,
  textOrNull,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

export class Source extends Model<InferAttributes<Source>, InferCreationAttributes<Source>> {
  declare id: string
  declare name: string
  declare aliases: string[]
  /** Name, aliases and town without accents and case, for searching. */
  declare searchText: string
  declare kind: (typeof sourceKinds)[number]
  declare town: string
  declare country: string
  declare mail: string
  declare register: string | null
  declare answerWorkingDays: number
  declare version: CreationOptional<number>
  /** Who entered it, or last changed where it is asked. */
  declare enteredBy: CreationOptional<string>
  declare enteredById: CreationOptional<string | null>
  /** Who has checked that it is what it says; nobody is asked there before. */
  declare checkedBy: CreationOptional<string | null>
  declare checkedAt: CreationOptional<Date | null>
  /** It is not offered any more; what it has confirmed stays. */
  declare retiredAt: CreationOptional<Date | null>
  /** What can be studied here, as far as it is known. */
  declare programmes: CreationOptional<SourceLine['programmes']>
  /** ISCED-F fields in which programmes of this institution are accredited. */
  declare accreditedFields: CreationOptional<string[]>
}

export const defineSources = (sequelize: Sequelize) =>
  define(Source, sequelize, 'sources', {
    id,
    name: text,
    aliases: json,
    searchText: longText,
    kind: text,
    town: text,
    country: text,
    mail: text,
    register: textOrNull,
    answerWorkingDays: whole,
    version: { ...whole, defaultValue: 1 },
    enteredBy: { ...text, defaultValue: '' },
    enteredById: uuidOrNull,
    checkedBy: textOrNull,
    checkedAt: momentOrNull,
    retiredAt: momentOrNull,
    programmes: { ...json, defaultValue: [] },
    accreditedFields: { ...json, defaultValue: [] },
  })
