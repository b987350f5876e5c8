import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { importStates } from '#contract/imports'
import type { Mapping } from '#core/imports/fields'
import type { StoredText } from '#core/words/stored'
import {
  define,
  flag,
  id,
  json,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  whole,
} from '../../platform/database/columns'

export type RowFault = { row: number; column: string; message: string }

/** A file of people that is to be taken in. */
export class Import extends Model<InferAttributes<Import>, InferCreationAttributes<Import>> {
  declare id: string
  declare fileName: string
  declare format: 'csv' | 'json resume'
  declare sha256: string
  declare mapping: Mapping
  declare state: (typeof importStates)[number]
  declare total: number
  declare done: number
  /** What went wrong while it ran; faults of rows are computed from the file. */
  declare faults: (StoredText | string)[]
  declare importedBy: string
  declare accountId: string
  declare createdAt: Date
  declare finishedAt: CreationOptional<Date | null>
  declare undoneBy: CreationOptional<string | null>
  declare undoneAt: CreationOptional<Date | null>
}

/** What an import made, so that it can be taken back. */
export class ImportedPerson extends Model<InferAttributes<ImportedPerson>, InferCreationAttributes<ImportedPerson>> {
  declare importId: string
  declare candidateId: string
  /** The person was not known before. */
  declare made: boolean
  declare claims: string[]
}

export function defineImports(sequelize: Sequelize) {
  define(Import, sequelize, 'imports', {
    id,
    fileName: text,
    format: text,
    sha256: text,
    mapping: json,
    state: text,
    total: whole,
    done: whole,
    faults: json,
    importedBy: text,
    accountId: uuid,
    createdAt: moment,
    finishedAt: momentOrNull,
    undoneBy: textOrNull,
    undoneAt: momentOrNull,
  })
  const part = { type: DataTypes.UUID, primaryKey: true }
  define(ImportedPerson, sequelize, 'imported_people', { importId: part, candidateId: part, made: flag, claims: json })
}
