import { type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import type { HeardSource } from '#core/hiring/heard'
import { define, moment, text, uuid } from '../../platform/database/columns'

/** Where somebody heard of us. */
export class HeardOfUs extends Model<InferAttributes<HeardOfUs>, InferCreationAttributes<HeardOfUs>> {
  declare candidateId: string
  /** The vacancy it was asked for, or the group it belongs to. */
  declare asked: string
  declare source: HeardSource
  declare recommendedBy: string
  declare saidAt: Date
}

export const defineHeard = (sequelize: Sequelize) =>
  define(HeardOfUs, sequelize, 'heard_of_us', {
    candidateId: { ...uuid, primaryKey: true },
    asked: { ...uuid, primaryKey: true },
    source: text,
    recommendedBy: text,
    saidAt: moment,
  })
