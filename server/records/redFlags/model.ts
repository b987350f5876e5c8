import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Place } from '#core/reading/paperText'
import type { FlagKind, FlagState, settleOutcomes } from '#core/redFlags/redFlag'
import type { StoredValues } from '#core/words/stored'
import {
  define,
  id,
  json,
  jsonOrNull,
  longText,
  moment,
  text,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

/** A pattern found in a file, once for whatever it rests on. */
export class Flag extends Model<InferAttributes<Flag>, InferCreationAttributes<Flag>> {
  declare id: string
  declare candidateId: string
  declare kind: FlagKind
  /** What it rests on; unique with the file and the kind. */
  declare about: string
  declare claimId: string | null
  declare documentId: string | null
  declare enquiryId: string | null
  declare place: CreationOptional<Place | null>
  declare otherCandidateId: string | null
  declare otherClaimId: string | null
  declare otherDocumentId: string | null
  declare flagValues: StoredValues
  declare state: FlagState
  declare raisedAt: Date
  declare version: number
}

/** What somebody decided about one; every time stays. */
export class FlagSettlement extends Model<InferAttributes<FlagSettlement>, InferCreationAttributes<FlagSettlement>> {
  declare flagId: string
  declare nth: number
  declare outcome: (typeof settleOutcomes)[number]
  declare reason: string
  declare settledBy: string
  declare settledById: CreationOptional<string | null>
  declare settledAt: Date
}

export function defineFlags(sequelize: Sequelize) {
  define(Flag, sequelize, 'red_flags', {
    id,
    candidateId: uuid,
    kind: text,
    about: { type: DataTypes.STRING(400), allowNull: false },
    claimId: uuidOrNull,
    documentId: uuidOrNull,
    enquiryId: uuidOrNull,
    place: jsonOrNull,
    otherCandidateId: uuidOrNull,
    otherClaimId: uuidOrNull,
    otherDocumentId: uuidOrNull,
    flagValues: json,
    state: text,
    raisedAt: moment,
    version: whole,
  })
  define(FlagSettlement, sequelize, 'red_flag_settlements', {
    flagId: { ...uuid, primaryKey: true },
    nth: { ...whole, primaryKey: true },
    outcome: text,
    reason: longText,
    settledBy: text,
    settledById: uuidOrNull,
    settledAt: moment,
  })
}
