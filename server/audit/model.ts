import { type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import { define, id, json, longText, longTextOrNull, moment, text, textOrNull, uuidOrNull } from '../database/columns'

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
}

export const defineEvents = (sequelize: Sequelize) =>
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
  })
