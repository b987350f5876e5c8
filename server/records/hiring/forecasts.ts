import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { Forecast } from '#core/forecast/forecast'
import { day, dayOrNull, define, json, moment, text } from '../../platform/database/columns'

/** When an application is likely to be ready, and what that was computed from: the same gives the same. */
export class KeptForecast extends Model<InferAttributes<KeptForecast>, InferCreationAttributes<KeptForecast>> {
  declare applicationId: string
  declare basis: string
  declare forecast: Forecast
  declare computedAt: Date
}

/** What was first forecast, and the day on which it was ready: by that it is seen whether days hold. */
export class FirstForecast extends Model<InferAttributes<FirstForecast>, InferCreationAttributes<FirstForecast>> {
  declare applicationId: string
  declare madeOn: string
  /** Days from then by which every twentieth of the futures was ready. */
  declare days: Forecast['days']
  declare readyOn: CreationOptional<string | null>
}

export function defineForecasts(sequelize: Sequelize) {
  const applicationId = { type: DataTypes.UUID, primaryKey: true }
  define(KeptForecast, sequelize, 'forecasts', { applicationId, basis: text, forecast: json, computedAt: moment })
  define(FirstForecast, sequelize, 'first_forecasts', { applicationId, madeOn: day, days: json, readyOn: dayOrNull })
}

/** What is kept of applications. */
export async function keptForecasts(applicationIds: readonly string[]): Promise<Map<string, KeptForecast>> {
  const rows = await KeptForecast.findAll({ where: { applicationId: [...applicationIds] } })
  return new Map(rows.map((row) => [row.applicationId, row]))
}
