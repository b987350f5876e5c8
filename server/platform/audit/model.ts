import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import {
  define,
  id,
  json,
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
  declare what: string
  declare forCandidate: string | null
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
  })
}
