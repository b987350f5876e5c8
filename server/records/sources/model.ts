import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { SourceLine, sourceKinds } from '#contract/sources'
import { define, id, json, longText, text, textOrNull, whole } from '../../platform/database/columns'

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
    programmes: { ...json, defaultValue: [] },
    accreditedFields: { ...json, defaultValue: [] },
  })
