import { QueryTypes } from 'sequelize'
import type { Deps } from '../deps'

/** The next number of a series, from 1. Waits for whoever is drawing one in another transaction. */
export async function nextNumber({ sequelize }: Deps, name: string): Promise<number> {
  await sequelize.query(
    'INSERT INTO counters (name, value) VALUES (:name, 1) ON DUPLICATE KEY UPDATE value = value + 1',
    { replacements: { name } },
  )
  const [row] = await sequelize.query<{ value: number | bigint }>('SELECT value FROM counters WHERE name = :name', {
    replacements: { name },
    type: QueryTypes.SELECT,
  })
  return Number(row!.value)
}
