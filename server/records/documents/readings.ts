import { DataTypes, type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import type { PaperText } from '#core/reading/paperText'
import { define, jsonOrNull, moment, text } from '../../platform/database/columns'
import { queueJob } from '../../platform/jobs/queue'

/** What came of reading a paper by machine. */
export const readingStates = ['read', 'no recognition', 'failed'] as const

/** What a machine read on a paper; by its bytes, so that the same paper is read once. */
export class PaperReading extends Model<InferAttributes<PaperReading>, InferCreationAttributes<PaperReading>> {
  declare sha256: string
  declare state: (typeof readingStates)[number]
  declare text: PaperText | null
  declare readAt: Date
}

export const defineReadings = (sequelize: Sequelize) =>
  define(PaperReading, sequelize, 'paper_readings', {
    sha256: { type: DataTypes.STRING(64), primaryKey: true },
    state: text,
    text: jsonOrNull,
    readAt: moment,
  })

/** The kinds of file that are read. */
export const isReadable = (mediaType: string): boolean =>
  ['application/pdf', 'image/jpeg', 'image/png'].includes(mediaType)

/** Leaves a paper to be read by machine; what was read is not read again, however often it is left. */
export const queueReading = (sha256: string, mediaType: string) => queueJob('read paper', { sha256, mediaType })
