import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { documentStates, portraitFindings, ReadBy } from '#contract/documents'
import type { PaperPart } from '#core/documents/papers'
import type { LetterFindings, LetterPart } from '#core/reading/letter'
import {
  dayOrNull,
  define,
  id,
  json,
  jsonOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
  wholeOrNull,
} from '../../platform/database/columns'

export class Blob extends Model<InferAttributes<Blob>, InferCreationAttributes<Blob>> {
  declare sha256: string
  declare size: number
  declare mediaType: string
  declare createdAt: Date
  /** When the last of its chunks was there; before, nobody sees any. */
  declare wholeAt: Date | null
}

export class BlobChunk extends Model<InferAttributes<BlobChunk>, InferCreationAttributes<BlobChunk>> {
  declare sha256: string
  declare nth: number
  declare bytes: Buffer
}

export class Document extends Model<InferAttributes<Document>, InferCreationAttributes<Document>> {
  declare id: string
  declare candidateId: string
  declare claimId: string
  declare credentialVersion: number
  declare fileName: string
  declare mediaType: string
  declare size: number
  declare pages: number
  /** What it is, of the papers a claim can need. */
  declare part: CreationOptional<PaperPart>
  declare translationOf: CreationOptional<string | null>
  /** Of one that stands in for a time: the day the final one is owed, when its candidate was reminded, and when it was missed. */
  declare finalBy: CreationOptional<string | null>
  declare finalRemindedAt: CreationOptional<Date | null>
  declare finalMissedAt: CreationOptional<Date | null>
  /** Length of a video. */
  declare seconds: CreationOptional<number | null>
  /** A portrait that the capture device took, what it says of both faces (0 to 100), and what a person found. */
  declare live: CreationOptional<boolean>
  declare likeness: CreationOptional<number | null>
  declare holder: CreationOptional<(typeof portraitFindings)[number] | null>
  /** Nothing once it was discarded. */
  declare sha256: string | null
  /** What it was before it was turned into a PDF, where it came as a Word file. */
  declare originalSha256: CreationOptional<string | null>
  declare state: (typeof documentStates)[number]
  declare sentBackBecause: CreationOptional<string | null>
  declare reads: Record<string, string>
  /** How each of them came to be known. */
  declare readBy: CreationOptional<Record<string, ReadBy>>
  /** Of a letter of work: which of its parts are there. */
  declare letter: CreationOptional<LetterFindings | null>
  /** Of one that was sent back: the parts of a letter it lacks. */
  declare lacks: CreationOptional<LetterPart[] | null>
  declare uploadedAt: Date
  declare seenBy: CreationOptional<string | null>
  declare seenAt: CreationOptional<Date | null>
  declare version: number
}

export function defineDocuments(sequelize: Sequelize) {
  const sha256 = { type: DataTypes.STRING(64), primaryKey: true }
  define(Blob, sequelize, 'blobs', { sha256, size: whole, mediaType: text, createdAt: moment, wholeAt: momentOrNull })
  define(BlobChunk, sequelize, 'blob_chunks', {
    sha256,
    nth: { type: DataTypes.INTEGER, primaryKey: true },
    bytes: { type: DataTypes.BLOB('medium'), allowNull: false },
  })
  define(Document, sequelize, 'documents', {
    id,
    candidateId: uuid,
    claimId: uuid,
    credentialVersion: whole,
    fileName: text,
    mediaType: text,
    size: whole,
    pages: whole,
    part: { ...text, defaultValue: 'certificate' },
    translationOf: uuidOrNull,
    finalBy: dayOrNull,
    finalRemindedAt: momentOrNull,
    finalMissedAt: momentOrNull,
    seconds: wholeOrNull,
    live: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    likeness: wholeOrNull,
    holder: textOrNull,
    sha256: textOrNull,
    originalSha256: textOrNull,
    state: text,
    sentBackBecause: textOrNull,
    reads: json,
    readBy: { ...json, defaultValue: {} },
    letter: jsonOrNull,
    lacks: jsonOrNull,
    uploadedAt: moment,
    seenBy: textOrNull,
    seenAt: momentOrNull,
    version: whole,
  })
}
