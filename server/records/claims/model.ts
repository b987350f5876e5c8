import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { ClaimDetails } from '#contract/claims'
import type { Rung } from '#core/requirements/requirement'
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
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

export class Claim extends Model<InferAttributes<Claim>, InferCreationAttributes<Claim>> {
  declare id: string
  declare candidateId: string
  declare kind: ClaimDetails['kind']
  declare details: ClaimDetails
  /** The number on the paper, for finding. */
  declare number: string | null
  declare rung: Rung
  declare sourceId: string | null
  /** The source it proposes, while nobody has checked that. */
  declare proposedSourceId: CreationOptional<string | null>
  declare credentialVersion: number
  declare version: number
  declare createdAt: Date
  /** When its candidate last gave or confirmed it. */
  declare saidAt: CreationOptional<Date | null>
  /** When its candidate said that the paper of an award says the same, and that they finished. */
  declare awardStatedAt: CreationOptional<Date | null>
  declare removedAt: CreationOptional<Date | null>
  /** Its candidate would have its source handle it faster. */
  declare wantsFaster: CreationOptional<boolean>
  /** Where its candidate has put it among those of its kind. */
  declare place: CreationOptional<number>
}

export class EarlierCredential extends Model<
  InferAttributes<EarlierCredential>,
  InferCreationAttributes<EarlierCredential>
> {
  declare claimId: string
  declare credentialVersion: number
  declare details: ClaimDetails
  declare rung: Rung
  declare replacedAt: Date
}

export function defineClaims(sequelize: Sequelize) {
  define(Claim, sequelize, 'claims', {
    id,
    candidateId: uuid,
    kind: text,
    details: json,
    number: textOrNull,
    rung: text,
    sourceId: uuidOrNull,
    proposedSourceId: uuidOrNull,
    credentialVersion: whole,
    version: whole,
    createdAt: moment,
    saidAt: momentOrNull,
    awardStatedAt: momentOrNull,
    removedAt: momentOrNull,
    place: { ...whole, defaultValue: 10_000 },
    wantsFaster: { ...flag, defaultValue: false },
  })
  define(EarlierCredential, sequelize, 'earlier_credentials', {
    claimId: { type: DataTypes.UUID, primaryKey: true },
    credentialVersion: { type: DataTypes.INTEGER, primaryKey: true },
    details: json,
    rung: text,
    replacedAt: moment,
  })
}
