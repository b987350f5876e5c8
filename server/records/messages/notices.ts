import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  QueryTypes,
  type Sequelize,
} from 'sequelize'
import { type ChannelsByKind, usualChannels } from '#core/messages/notices'
import {
  define,
  flag,
  json,
  moment,
  momentOrNull,
  text,
  textOrNull,
  uuid,
  whole,
} from '../../platform/database/columns'
import { rowOf } from '../../platform/database/rows'

/** By which channel the owner of an account is told of what. Without a row, as usual. */
export class NoticeChoice extends Model<InferAttributes<NoticeChoice>, InferCreationAttributes<NoticeChoice>> {
  declare accountId: string
  declare channels: ChannelsByKind
  /** E.164; there only once it was confirmed by a code. */
  declare phone: CreationOptional<string | null>
  declare phoneConfirmedAt: CreationOptional<Date | null>
  declare noPassingOn: CreationOptional<boolean>
  declare version: number
}

/** A code that was sent to a number and is to be typed. */
export class PhoneCode extends Model<InferAttributes<PhoneCode>, InferCreationAttributes<PhoneCode>> {
  declare accountId: string
  declare phone: string
  declare codeHash: string
  declare tries: number
  declare expiresAt: Date
}

export function defineNotices(sequelize: Sequelize) {
  const accountId = { ...uuid, primaryKey: true }
  define(NoticeChoice, sequelize, 'notice_choices', {
    accountId,
    channels: json,
    phone: textOrNull,
    phoneConfirmedAt: momentOrNull,
    noPassingOn: { ...flag, defaultValue: false },
    version: whole,
  })
  define(PhoneCode, sequelize, 'phone_codes', {
    accountId,
    phone: text,
    codeHash: text,
    tries: whole,
    expiresAt: moment,
  })
}

/** The applications whose candidates have refused that anything is passed on to others. */
export async function refusedPassingOn(applicationIds: readonly string[]): Promise<Set<string>> {
  if (applicationIds.length === 0) return new Set()
  const rows = await NoticeChoice.sequelize!.query<{ id: string }>(
    `SELECT a.id FROM applications a JOIN candidates c ON c.id = a.candidateId OR c.mergedInto = a.candidateId
     JOIN notice_choices n ON n.accountId = c.accountId WHERE n.noPassingOn AND a.id IN (:applicationIds)`,
    { replacements: { applicationIds }, type: QueryTypes.SELECT },
  )
  return new Set(rows.map(({ id }) => id))
}

export type Noticed = Pick<NoticeChoice, 'channels' | 'noPassingOn' | 'version'> & { phone: string | null }

/** How the owner of an account is told, chosen or as usual. */
export async function noticesOf(accountId: string): Promise<Noticed> {
  const row = await rowOf(NoticeChoice, { accountId })
  const { channels = usualChannels, phone = null, noPassingOn = false, version = 0 } = row ?? {}
  return { channels, phone, noPassingOn, version }
}
