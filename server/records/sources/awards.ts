import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { plainNumber } from '#core/comparison/keys'
import type { AwardRecord } from '#core/sources/knownAward'
import { AwardRecordRow } from './model'

const longestKey = 80
/** A number however it is written. */
export const numberKeyOf = (number: string): string => plainNumber(number).slice(0, longestKey)

/** What an institution has told us of an award by its number. */
export const awardNumbered = async (sourceId: string, number: string): Promise<AwardRecord | undefined> => {
  const numberKey = numberKeyOf(number)
  if (numberKey === '') return undefined
  return (await AwardRecordRow.findOne({ where: { sourceId, numberKey } }))?.said
}

const atOnce = 1000

/** Keeps what an institution has said; under a number that is there already what it says now. */
export async function keepAwards(sourceId: string, records: readonly AwardRecord[], by: { name: string }, at: Date) {
  const rows = records.map((said) => ({
    ...{ id: uuid(), sourceId, numberKey: numberKeyOf(said.number), said, enteredBy: by.name, enteredAt: at },
  }))
  for (let from = 0; from < rows.length; from += atOnce)
    await AwardRecordRow.bulkCreate(rows.slice(from, from + atOnce), {
      updateOnDuplicate: ['said', 'enteredBy', 'enteredAt'],
    })
}

const shown = 50

/** Awards of a source by number or name, the newest first, and how many there are. */
export async function awardsOf(sourceId: string, text: string) {
  const matching = text.trim()
    ? { [Op.or]: [{ numberKey: { [Op.like]: `${numberKeyOf(text) || '-'}%` } }, nameLike(text.trim())] }
    : {}
  const [count, rows] = await Promise.all([
    AwardRecordRow.count({ where: { sourceId } }),
    AwardRecordRow.findAll({
      where: { sourceId, ...matching },
      order: [
        ['enteredAt', 'DESC'],
        ['id', 'DESC'],
      ],
      limit: shown,
    }),
  ])
  return {
    count,
    rows: rows.map(({ id, said, enteredBy, enteredAt }) => ({
      id,
      ...said,
      enteredBy,
      enteredAt: enteredAt.toISOString(),
    })),
  }
}

const nameLike = (text: string) => {
  const { sequelize } = AwardRecordRow
  const pattern = sequelize!.escape(`%${text.replace(/[\\%_]/g, '\\$&')}%`)
  return sequelize!.literal(`JSON_VALUE(said, '$.name') LIKE ${pattern}`)
}

export const takeAwardOut = (sourceId: string, id: string): Promise<number> =>
  AwardRecordRow.destroy({ where: { sourceId, id } })
