import { QueryTypes } from 'sequelize'
import type { Deps } from '../deps'

/** How far an import is. Told beside its transaction, which nobody sees into while it runs. */
const nameOf = (importId: string) => `import ${importId}`

export const tellProgress = ({ sequelize }: Pick<Deps, 'sequelize'>, importId: string, done: number) =>
  sequelize.query('REPLACE INTO settings (name, value) VALUES (:name, :done)', {
    replacements: { name: nameOf(importId), done: JSON.stringify(done) },
    transaction: null,
  })

export const forgetProgress = ({ sequelize }: Pick<Deps, 'sequelize'>, importId: string) =>
  sequelize.query('DELETE FROM settings WHERE name = :name', { replacements: { name: nameOf(importId) } })

export async function progressOf({ sequelize }: Pick<Deps, 'sequelize'>, importId: string): Promise<number> {
  const [row] = await sequelize.query<{ value: number | string }>('SELECT value FROM settings WHERE name = :name', {
    replacements: { name: nameOf(importId) },
    type: QueryTypes.SELECT,
  })
  return Number(row?.value ?? 0)
}
