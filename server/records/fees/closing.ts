import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { ClosingLine } from '#contract/closings'
import { day, define, json, longTextOrNull, moment, text, textOrNull, whole } from '../../platform/database/columns'

/** A day that was closed against the provider's report. */
export class FeeClosing extends Model<InferAttributes<FeeClosing>, InferCreationAttributes<FeeClosing>> {
  declare day: string
  declare state: ClosingLine['state']
  declare card: ClosingLine['card']
  declare agreed: number
  declare differences: ClosingLine['differences']
  declare closedAt: Date
  declare reason: CreationOptional<string | null>
  declare settledBy: CreationOptional<string | null>
}

export function defineClosings(sequelize: Sequelize) {
  define(FeeClosing, sequelize, 'fee_closings', {
    ...{ day: { ...day, primaryKey: true }, state: text, card: json, agreed: whole, differences: json },
    ...{ closedAt: moment, reason: longTextOrNull, settledBy: textOrNull },
  })
}
