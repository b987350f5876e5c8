import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { ComparedPage, OriginalState, OriginalWay } from '#core/documents/originals'
import {
  define,
  id,
  json,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  uuidOrNull,
  whole,
} from '../../platform/database/columns'

/** The original of a paper, from when it is announced or comes until it is given back. */
export class Original extends Model<InferAttributes<Original>, InferCreationAttributes<Original>> {
  declare id: string
  declare applicationId: string
  declare candidateId: string
  declare documentId: string
  /** The document, while its original is announced or here: there is one at a time. */
  declare underWay: string | null
  declare title: string
  declare fileName: string
  declare pages: number
  declare state: OriginalState
  declare way: OriginalWay
  declare tracking: string
  declare announcedAt: Date
  declare receivedAt: CreationOptional<Date | null>
  declare receivedFrom: CreationOptional<string>
  declare receivedBy: CreationOptional<string>
  declare place: CreationOptional<string>
  declare compared: CreationOptional<'same' | 'differs' | null>
  declare pagesCompared: CreationOptional<ComparedPage[]>
  declare comparedBy: CreationOptional<string>
  declare comparedAt: CreationOptional<Date | null>
  declare returnedAt: CreationOptional<Date | null>
  declare returnedTo: CreationOptional<string>
  declare returnedBy: CreationOptional<string>
  declare returnTracking: CreationOptional<string>
  /** Of whoever took it, as a picture. */
  declare signature: CreationOptional<string | null>
  declare version: number
}

export function defineOriginals(sequelize: Sequelize) {
  const empty = { ...text, defaultValue: '' }
  define(Original, sequelize, 'originals', {
    id,
    applicationId: uuid,
    candidateId: uuid,
    documentId: uuid,
    underWay: uuidOrNull,
    title: text,
    fileName: text,
    pages: whole,
    state: text,
    way: text,
    tracking: text,
    announcedAt: moment,
    receivedAt: momentOrNull,
    receivedFrom: empty,
    receivedBy: empty,
    place: empty,
    compared: textOrNull,
    pagesCompared: { ...json, defaultValue: [] },
    comparedBy: empty,
    comparedAt: momentOrNull,
    returnedAt: momentOrNull,
    returnedTo: empty,
    returnedBy: empty,
    returnTracking: empty,
    signature: { type: DataTypes.TEXT('medium'), allowNull: true },
    version: whole,
  })
}
