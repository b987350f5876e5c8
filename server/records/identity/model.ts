import { type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import type { capturedThings, captureStates, Mended, Offered } from '#contract/identity'
import { define, id, jsonOrNull, moment, text, uuid } from '../../platform/database/columns'

/** One use of the capture device for a paper of identity. */
export class Capture extends Model<InferAttributes<Capture>, InferCreationAttributes<Capture>> {
  declare id: string
  declare claimId: string
  /** The device's own name for it. */
  declare session: string
  declare state: (typeof captureStates)[number]
  declare reading: {
    address: string
    what?: (typeof capturedThings)[number]
    offered?: Offered
    mended?: Mended[]
    why?: string
  } | null
  declare createdAt: Date
}

export const defineIdentity = (sequelize: Sequelize) =>
  define(Capture, sequelize, 'captures', {
    id,
    claimId: uuid,
    session: text,
    state: text,
    reading: jsonOrNull,
    createdAt: moment,
  })
