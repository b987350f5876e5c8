import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'
import type { VouchingAnswer, vouchingRelations, vouchingStates } from '#contract/vouching'
import { define, id, jsonOrNull, moment, momentOrNull, text, uuid } from '../../platform/database/columns'

/** Somebody the candidate has named to vouch for them, and what they said. */
export class Vouching extends Model<InferAttributes<Vouching>, InferCreationAttributes<Vouching>> {
  declare id: string
  declare applicationId: string
  declare reference: string
  /** Six symbols the candidate hands over together with the reference. */
  declare code: string
  declare name: string
  declare mail: string
  declare relation: (typeof vouchingRelations)[number]
  declare state: (typeof vouchingStates)[number]
  declare askedAt: Date
  declare answer: CreationOptional<VouchingAnswer | null>
  declare doneAt: CreationOptional<Date | null>
}

export class VouchingLink extends Model<InferAttributes<VouchingLink>, InferCreationAttributes<VouchingLink>> {
  declare tokenHash: string
  declare vouchingId: string
  declare createdAt: Date
}

export function defineVouching(sequelize: Sequelize) {
  define(Vouching, sequelize, 'vouchings', {
    id,
    applicationId: uuid,
    reference: text,
    code: text,
    name: text,
    mail: text,
    relation: text,
    state: text,
    askedAt: moment,
    answer: jsonOrNull,
    doneAt: momentOrNull,
  })
  define(VouchingLink, sequelize, 'vouching_links', {
    tokenHash: { ...text, primaryKey: true },
    vouchingId: uuid,
    createdAt: moment,
  })
}
