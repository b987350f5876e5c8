import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { PaperText } from '#core/reading/paperText'
import type { Making } from '#core/redFlags/facts'
import { define, jsonOrNull, moment, text } from '../../platform/database/columns'
import { queueJob } from '../../platform/jobs/queue'

/** What came of reading a paper by machine. */
export const readingStates = ['read', 'no recognition', 'failed'] as const

/** What a machine read on a paper; by its bytes, so that the same paper is read once. */
export class PaperReading extends Model<InferAttributes<PaperReading>, InferCreationAttributes<PaperReading>> {
  declare sha256: string
  declare state: (typeof readingStates)[number]
  declare text: PaperText | null
  /** How the file was made; nothing where it could not be opened. */
  declare making: CreationOptional<Making | null>
  declare readAt: Date
}

/** What a page of a paper looks like, as 256 bits in hexadecimal digits. */
export class PaperPicture extends Model<InferAttributes<PaperPicture>, InferCreationAttributes<PaperPicture>> {
  declare sha256: string
  /** From 1; a page with next to nothing on it has none. */
  declare page: number
  declare bits: string
}

export function defineReadings(sequelize: Sequelize) {
  const sha256 = { type: DataTypes.STRING(64), primaryKey: true }
  define(PaperReading, sequelize, 'paper_readings', {
    sha256,
    state: text,
    text: jsonOrNull,
    making: jsonOrNull,
    readAt: moment,
  })
  define(PaperPicture, sequelize, 'paper_pictures', {
    sha256,
    page: { type: DataTypes.INTEGER, primaryKey: true },
    bits: text,
  })
}

/** The kinds of file that are read. */
export const isReadable = (mediaType: string): boolean =>
  ['application/pdf', 'image/jpeg', 'image/png'].includes(mediaType)

/** Leaves a paper to be read by machine; what was read is not read again, however often it is left. */
export const queueReading = (sha256: string, mediaType: string) => queueJob('read paper', { sha256, mediaType })
