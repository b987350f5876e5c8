import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import { define, id, json, longTextOrNull, moment, momentOrNull, text, whole } from '../database/columns'
import type { JobKind } from './jobs'

export class Job extends Model<InferAttributes<Job>, InferCreationAttributes<Job>> {
  declare id: string
  declare kind: JobKind
  declare uniqueKey: string | null
  declare payload: Record<string, unknown>
  declare runAt: Date
  declare attempts: number
  declare leasedUntil: CreationOptional<Date | null>
  declare doneAt: CreationOptional<Date | null>
  declare lastError: CreationOptional<string | null>
  declare queuedAt: CreationOptional<Date>
}

export const defineJobs = (sequelize: Sequelize) =>
  define(Job, sequelize, 'jobs', {
    id,
    kind: text,
    uniqueKey: { type: DataTypes.STRING(120), allowNull: true },
    payload: json,
    runAt: moment,
    attempts: whole,
    leasedUntil: momentOrNull,
    doneAt: momentOrNull,
    lastError: longTextOrNull,
    queuedAt: { ...moment, defaultValue: DataTypes.NOW },
  })
