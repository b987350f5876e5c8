import { DataTypes, type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import type { KeyKind } from '#core/comparison/keys'
import { define } from '../../platform/database/columns'

/** What a person with a sent application is found by, and compared with others. Computed; see core/comparison/keys. */
export class CandidateKey extends Model<InferAttributes<CandidateKey>, InferCreationAttributes<CandidateKey>> {
  declare candidateId: string
  declare kind: KeyKind
  declare value: string
}

export const defineCandidateKeys = (sequelize: Sequelize) =>
  define(CandidateKey, sequelize, 'candidate_keys', {
    candidateId: { type: DataTypes.UUID, primaryKey: true },
    kind: { type: DataTypes.STRING(1), primaryKey: true },
    value: { type: DataTypes.STRING(120), primaryKey: true },
  })
