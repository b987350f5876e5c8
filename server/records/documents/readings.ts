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
  /** The same in four numbers, whose bits the database can count. */
  declare part0: string
  declare part1: string
  declare part2: string
  declare part3: string
}

/** A picture as it is kept. */
export function pictureRow(sha256: string, page: number, bits: string) {
  const part = (nth: number) => BigInt(`0x${bits.slice(nth * 16, nth * 16 + 16)}`).toString()
  return { sha256, page, bits, part0: part(0), part1: part(1), part2: part(2), part3: part(3) }
}

export function defineReadings(sequelize: Sequelize) {
  const sha256 = { type: DataTypes.STRING(64), primaryKey: true }
  const part = { type: DataTypes.BIGINT.UNSIGNED, allowNull: false }
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
    ...{ part0: part, part1: part, part2: part, part3: part },
  })
}

/** The kinds of file that are read. */
export const isReadable = (mediaType: string): boolean =>
  ['application/pdf', 'image/jpeg', 'image/png'].includes(mediaType)

/** Leaves a paper to be read by machine; what was read is not read again, however often it is left. */
export const queueReading = (sha256: string, mediaType: string) => queueJob('read paper', { sha256, mediaType })

/** What papers look like, page by page. */
export async function picturesOf(shas: readonly string[]): Promise<Map<string, (string | null)[]>> {
  const pictures = new Map<string, (string | null)[]>()
  for (const { sha256, page, bits } of await PaperPicture.findAll({ where: { sha256: [...shas] }, raw: true })) {
    const pages = pictures.get(sha256) ?? []
    while (pages.length < page) pages.push(null)
    pages[page - 1] = bits
    pictures.set(sha256, pages)
  }
  return pictures
}
