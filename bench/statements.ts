import type { Connection } from 'mariadb'
import type { Sequelize } from 'sequelize'

/** What a call reads from the database, statement by statement. */
export async function statementsOf({ sequelize }: { sequelize: Sequelize }, call: () => Promise<unknown>) {
  const said: string[] = []
  const { options } = sequelize as unknown as { options: { logging: false | ((line: string) => void) } }
  options.logging = (line) => void said.push(line)
  await call()
  options.logging = false
  return said
    .flatMap((line) => /: (SELECT .*?);?$/s.exec(line)?.[1] ?? [])
    .filter((sql) => !/jobs|FOR UPDATE/.test(sql))
}

/** Says the same to the database once more, one after the other. */
export async function replay(raw: Connection, statements: readonly string[]) {
  for (const sql of statements) await raw.query(sql)
}
