import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Agreement, Likeness } from '#core/comparison/samePerson'
import { define, id, json, moment, momentOrNull, text, textOrNull, uuid, whole } from '../../platform/database/columns'

/** Two files that may be of one person; `oneId` is the smaller identifier. */
export class DuplicatePair extends Model<InferAttributes<DuplicatePair>, InferCreationAttributes<DuplicatePair>> {
  declare oneId: string
  declare otherId: string
  declare weight: number
  declare likelihood: Likeness['likelihood']
  declare agreements: Agreement[]
  declare state: 'open' | 'apart' | 'merged'
  declare decidedBy: CreationOptional<string | null>
  declare decidedAt: CreationOptional<Date | null>
}

/** What a merge moved, by table, so that it can be moved back. */
export type Moved = {
  applications: { id: string; duplicateOrdinal: number }[]
  claims: string[]
  documents: string[]
  messages: string[]
  accessLog: string[]
  /** Absent in what was merged before there were any. */
  reports?: string[]
  recipients?: string[]
  charges?: string[]
}

export class Merge extends Model<InferAttributes<Merge>, InferCreationAttributes<Merge>> {
  declare id: string
  declare keptId: string
  declare mergedId: string
  declare moved: Moved
  declare mergedBy: string
  declare mergedAt: Date
  declare undoneBy: CreationOptional<string | null>
  declare undoneAt: CreationOptional<Date | null>
}

export function defineDoubles(sequelize: Sequelize) {
  const part = { type: DataTypes.UUID, primaryKey: true }
  define(DuplicatePair, sequelize, 'duplicate_pairs', {
    oneId: part,
    otherId: part,
    weight: whole,
    likelihood: text,
    agreements: json,
    state: text,
    decidedBy: textOrNull,
    decidedAt: momentOrNull,
  })
  define(Merge, sequelize, 'merges', {
    id,
    keptId: uuid,
    mergedId: uuid,
    moved: json,
    mergedBy: text,
    mergedAt: moment,
    undoneBy: textOrNull,
    undoneAt: momentOrNull,
  })
}
