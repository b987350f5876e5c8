import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { PaperPart } from '#core/documents/papers'
import type { Guess } from '#core/tray/guess'
import type { SheetFault } from '#core/tray/order'
import type { StoredText } from '#core/words/stored'
import {
  define,
  id,
  json,
  jsonOrNull,
  longText,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
  wholeOrNull,
} from '../../platform/database/columns'

/** A sheet that was printed for one paper of one file; it works once. */
export class CoverSheet extends Model<InferAttributes<CoverSheet>, InferCreationAttributes<CoverSheet>> {
  declare number: number
  declare reference: string
  declare applicationId: string
  declare claimId: string
  declare part: PaperPart
  declare title: string
  declare printedBy: string
  declare printedAt: Date
  declare usedAt: CreationOptional<Date | null>
  /** Who made it for a paper of their own; null for sheets of the desk. */
  declare candidateId: CreationOptional<string | null>
  /** How many pages they said the paper has. */
  declare pages: CreationOptional<number | null>
  /** The place it waits for a paper for, as long as it does: unique, so that no two wait for one. */
  declare awaits: CreationOptional<string | null>
  /** When they said they had posted it. */
  declare postedAt: CreationOptional<Date | null>
  /** When they were told that it has not come. */
  declare missedAt: CreationOptional<Date | null>
  declare cameAt: CreationOptional<Date | null>
  declare fault: CreationOptional<SheetFault | null>
}

/** A file as it came from the scanner or was dropped in, before it is split. */
export class Scan extends Model<InferAttributes<Scan>, InferCreationAttributes<Scan>> {
  declare id: string
  declare fileName: string
  declare sha256: string
  declare broughtBy: string
  declare came: 'scanner' | 'dropped in' | 'mail'
  declare cameAt: Date
  /** Whose file it most likely belongs to, where that is known by how it came. */
  declare candidateId: CreationOptional<string | null>
  declare state: 'waiting' | 'split' | 'refused'
  declare pages: CreationOptional<number | null>
  declare fault: CreationOptional<StoredText | null>
}

/** Pages that belong together: filed, or waiting for a person to say where they belong. */
export class TrayPaper extends Model<InferAttributes<TrayPaper>, InferCreationAttributes<TrayPaper>> {
  declare id: string
  declare fileName: string
  declare came: 'scanner' | 'dropped in' | 'mail'
  declare broughtBy: string
  declare cameAt: Date
  declare sha256: string
  declare pages: number
  declare coverSheet: number | null
  declare state: 'waiting' | 'filed' | 'thrown away'
  /** Why it waits. */
  declare why: StoredText | null
  declare guesses: Guess[]
  declare words: string
  declare documentId: CreationOptional<string | null>
  declare settledBy: CreationOptional<string | null>
  declare settledAt: CreationOptional<Date | null>
}

export function definePaper(sequelize: Sequelize) {
  define(CoverSheet, sequelize, 'cover_sheets', {
    number: { type: DataTypes.INTEGER, primaryKey: true },
    reference: text,
    applicationId: uuid,
    claimId: uuid,
    part: text,
    title: text,
    printedBy: text,
    printedAt: moment,
    usedAt: momentOrNull,
    candidateId: uuidOrNull,
    pages: wholeOrNull,
    postedAt: momentOrNull,
    missedAt: momentOrNull,
    awaits: textOrNull,
    cameAt: momentOrNull,
    fault: textOrNull,
  })
  define(Scan, sequelize, 'scans', {
    id,
    fileName: text,
    sha256: text,
    broughtBy: text,
    came: text,
    cameAt: moment,
    candidateId: uuidOrNull,
    state: text,
    pages: wholeOrNull,
    fault: jsonOrNull,
  })
  define(TrayPaper, sequelize, 'tray_papers', {
    id,
    fileName: text,
    came: text,
    broughtBy: text,
    cameAt: moment,
    sha256: text,
    pages: whole,
    coverSheet: wholeOrNull,
    state: text,
    why: jsonOrNull,
    guesses: json,
    words: longText,
    documentId: uuidOrNull,
    settledBy: textOrNull,
    settledAt: momentOrNull,
  })
}
