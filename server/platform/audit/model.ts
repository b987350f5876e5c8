import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { StoredValues } from '#core/words/stored'
import {
  define,
  flag,
  id,
  json,
  jsonOrNull,
  longText,
  longTextOrNull,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../database/columns'

export class Event extends Model<InferAttributes<Event>, InferCreationAttributes<Event>> {
  declare id: string
  declare at: Date
  declare actorId: string | null
  declare who: string
  declare code: string
  /** Sentences of before there were codes; empty since. */
  declare what: string
  declare forCandidate: CreationOptional<string | null>
  /** The name of the words that tell of it, and their values (see wording.ts). */
  declare words: CreationOptional<string | null>
  declare wordValues: CreationOptional<StoredValues | null>
  declare shownToCandidate: CreationOptional<boolean>
  declare about: string | null
  declare candidateId: string | null
  declare applicationId: string | null
  declare claimId: string | null
  declare details: Record<string, unknown>
  /** The file whose chain it is a link of, and its place in it (see chain.ts). */
  declare chain: string
  declare seq: number
  declare salt: string
  declare contentHash: string
  declare hash: string
  declare erasedAt: CreationOptional<Date | null>
}

/** The end of each chain; locked while a link is added. */
export class ChainHead extends Model<InferAttributes<ChainHead>, InferCreationAttributes<ChainHead>> {
  declare chain: string
  declare seq: number
  declare hash: string
}

/** Somebody has seen a file, or something in it that is hidden from their role. */
export class AccessLogEntry extends Model<InferAttributes<AccessLogEntry>, InferCreationAttributes<AccessLogEntry>> {
  declare id: string
  declare candidateId: string
  declare applicationId: string | null
  declare actorId: string
  declare who: string
  /** `file`, or what was hidden: its kind and the record it is in. */
  declare subject: string
  declare what: string
  declare reason: string | null
  declare at: Date
  /** What is written down once: file, subject and day of a look. Unique for a reader; nothing where a reason was given. */
  declare once: CreationOptional<string | null>
}

export function defineEvents(sequelize: Sequelize) {
  define(Event, sequelize, 'events', {
    id,
    at: moment,
    actorId: uuidOrNull,
    who: text,
    code: text,
    what: longText,
    forCandidate: longTextOrNull,
    words: textOrNull,
    wordValues: jsonOrNull,
    shownToCandidate: { ...flag, defaultValue: false },
    about: textOrNull,
    candidateId: uuidOrNull,
    applicationId: uuidOrNull,
    claimId: uuidOrNull,
    details: json,
    chain: text,
    seq: whole,
    salt: text,
    contentHash: text,
    hash: text,
    erasedAt: momentOrNull,
  })
  define(ChainHead, sequelize, 'chain_heads', {
    chain: { type: DataTypes.STRING(40), primaryKey: true },
    seq: whole,
    hash: text,
  })
  define(AccessLogEntry, sequelize, 'access_log', {
    id,
    candidateId: uuid,
    applicationId: uuidOrNull,
    actorId: uuid,
    who: text,
    subject: text,
    what: text,
    reason: longTextOrNull,
    at: moment,
    once: textOrNull,
  })
}
