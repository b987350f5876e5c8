import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import { define, flag, id, moment, momentOrNull, text, uuid } from '../../platform/database/columns'

/** A candidate's permission to check what they said, as they signed it. */
export class Permission extends Model<InferAttributes<Permission>, InferCreationAttributes<Permission>> {
  declare id: string
  declare applicationId: string
  declare fullName: string
  declare textVersion: string
  /** The signed PDF. */
  declare sha256: string
  /** Drawn by hand, not typed. */
  declare drawn: CreationOptional<boolean>
  declare signedAt: Date
  declare withdrawnAt: CreationOptional<Date | null>
}

export const definePermissions = (sequelize: Sequelize) =>
  define(Permission, sequelize, 'permissions', {
    id,
    applicationId: uuid,
    fullName: text,
    textVersion: text,
    sha256: text,
    drawn: { ...flag, defaultValue: false },
    signedAt: moment,
    withdrawnAt: momentOrNull,
  })
