import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  QueryTypes,
  type Sequelize,
} from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import { dayNumber } from '#core/dates/dayNumber'
import type { Outlook } from '#core/forecast/calibration'
import type { Forecast } from '#core/forecast/forecast'
import { hasEnded, stages } from '#core/hiring/stages'
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

/** So many of the newest; what is older says less of today. */
const most = 5000

export type PastForecast = { madeOn: string; days: number[]; readyOn: string | null }

/**
 * What was first forecast since a day, the newest first. Who left before they were ready is not among them: nobody knows when they would
 * have been. Nor is what was
 * said before it was withdrawn and sent again.
 */
export async function pastForecasts(since: string, vacancyId?: string): Promise<PastForecast[]> {
  const rows = await KeptForecast.sequelize!.query<Omit<PastForecast, 'days'> & { days: string | number[] }>(
    `SELECT f.madeOn, f.days, f.readyOn FROM first_forecasts f JOIN applications a ON a.id = f.applicationId
     WHERE f.madeOn >= :since AND f.madeOn >= DATE(a.sentAt) - INTERVAL 1 DAY AND (f.readyOn IS NOT NULL OR a.stage NOT IN (:gone))
       ${vacancyId ? 'AND a.vacancyId = :vacancyId' : ''}
     ORDER BY f.madeOn DESC, f.applicationId LIMIT ${most}`,
    {
      replacements: { since, vacancyId, gone: stages.filter((stage) => hasEnded({ stage })) },
      type: QueryTypes.SELECT,
    },
  )
  return rows.map(({ days, ...row }) => ({ ...row, days: typeof days === 'string' ? JSON.parse(days) : days }))
}

/** As they are judged: days as numbers. */
export const outlookOf = ({ madeOn, days, readyOn }: PastForecast): Outlook => ({
  madeOn: dayNumber(Temporal.PlainDate.from(madeOn)),
  days,
  readyOn: readyOn === null ? null : dayNumber(Temporal.PlainDate.from(readyOn)),
})
