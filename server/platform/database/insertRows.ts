import { type CreationAttributes, DataTypes, type Model, type ModelStatic, QueryTypes } from 'sequelize'

/**
 * Writes many rows in one statement. They go as one JSON text, which costs a fraction of building a model of each and writing out its
 * values one by one; what a column cannot hold the database refuses as ever. A model with a column of bytes cannot be written like this.
 *
 * @param options with `ignoreDuplicates` a row whose key is there already leaves things as they are
 */
export async function insertRows<M extends Model>(
  model: ModelStatic<M>,
  rows: readonly CreationAttributes<M>[],
  { ignoreDuplicates = false } = {},
): Promise<void> {
  if (rows.length === 0) return
  const attributes = model.getAttributes() as Record<string, { type: object; defaultValue?: unknown }>
  const given = new Set(rows.flatMap((row) => Object.keys(row)))
  const columns = Object.entries(attributes).flatMap(([name, { type, defaultValue }]) =>
    given.has(name) || defaultValue !== undefined ? [{ name, kind: kindOf(type), defaultValue }] : [],
  )
  const text = JSON.stringify(
    rows.map((row) => columns.map(({ name, kind, defaultValue }) => plain((row as never)[name] ?? defaultValue, kind))),
  )
  const names = columns.map(({ name }) => `\`${name}\``).join(', ')
  const shape = columns.map(
    ({ name, kind }, nth) => `\`${name}\` ${kind === 'number' ? 'DOUBLE' : 'LONGTEXT'} PATH '$[${nth}]'`,
  )
  await model.sequelize!.query(
    `INSERT ${ignoreDuplicates ? 'IGNORE ' : ''}INTO \`${model.getTableName()}\` (${names})
     SELECT ${names} FROM JSON_TABLE(:given, '$[*]' COLUMNS (${shape.join(', ')})) AS given`,
    { replacements: { given: text }, type: QueryTypes.INSERT },
  )
}

type Kind = 'json' | 'moment' | 'number' | 'text'

function kindOf(type: object): Kind {
  if (type instanceof DataTypes.JSON) return 'json'
  if (type instanceof DataTypes.DATE) return 'moment'
  if (type instanceof DataTypes.INTEGER || type instanceof DataTypes.BIGINT || type instanceof DataTypes.BOOLEAN)
    return 'number'
  if (type instanceof DataTypes.BLOB) throw new TypeError('bytes are not written as JSON')
  return 'text'
}

function plain(value: unknown, kind: Kind): unknown {
  if (value === null || value === undefined) return null
  if (kind === 'json') return JSON.stringify(value)
  if (kind === 'moment') return momentText(value as Date)
  return kind === 'number' ? Number(value) : value
}

/** A moment as the database reads it from a text: UTC, to the millisecond. */
export function momentText(moment: Date): string {
  const iso = moment.toISOString()
  return `${iso.slice(0, 10)} ${iso.slice(11, 23)}`
}
