import DataLoader from 'dataloader'
import {
  type Attributes,
  DataTypes,
  type Model,
  type ModelAttributeColumnOptions,
  type ModelStatic,
  QueryTypes,
  type Transaction,
  type WhereOptions,
} from 'sequelize'
import { transactionNow } from './connection'

/**
 * Reading by small steps without paying for each: what is asked for at the same moment goes to the database as one
 * statement. A page rests on many small tables, and the way there and back costs more than the reading.
 */

type Rows = { model: ModelStatic<Model>; where: WhereOptions; order: readonly string[] }

/**
 * The rows of a model that fit, in ascending order of some of its columns, as `findAll` gives them. They travel as JSON:
 * moments lose what is below a millisecond, and a model with a column of bytes cannot be read like this.
 */
export const rowsOf = async <M extends Model>(
  model: ModelStatic<M>,
  where: WhereOptions<Attributes<M>>,
  order: readonly (keyof Attributes<M> & string)[] = [],
): Promise<M[]> => (await loader().load({ model, where, order })) as M[]

/** The first row that fits, or undefined. */
export const rowOf = async <M extends Model>(
  model: ModelStatic<M>,
  where: WhereOptions<Attributes<M>>,
): Promise<M | undefined> => (await rowsOf(model, where))[0]

/** One for each transaction, and one for what is read outside of any. */
const loaders = new WeakMap<Transaction | typeof outside, DataLoader<Rows, Model[]>>()
const outside = {}

function loader(): DataLoader<Rows, Model[]> {
  const key = transactionNow() ?? outside
  const known = loaders.get(key)
  if (known) return known
  const made = new DataLoader<Rows, Model[]>(readAll, { cache: false, maxBatchSize: 40 })
  loaders.set(key, made)
  return made
}

async function readAll(parts: readonly Rows[]): Promise<Model[][]> {
  const found = await parts[0]!.model.sequelize!.query<{ part: number; columns: string | object }>(
    parts.map(selectOf).join(' UNION ALL '),
    { type: QueryTypes.SELECT },
  )
  const made = parts.map((): Record<string, unknown>[] => [])
  for (const { part, columns } of found) made[part]!.push(valuesOf(parts[part]!.model, columns))
  return parts.map(({ model, order }, part) =>
    model.bulkBuild(made[part]!, { raw: true, isNewRecord: false }).sort((a, b) => compare(a, b, order)),
  )
}

const columnsOf = (model: ModelStatic<Model>): [attribute: string, ModelAttributeColumnOptions][] =>
  Object.entries(model.getAttributes() as Record<string, ModelAttributeColumnOptions>)

function selectOf({ model, where }: Rows, part: number): string {
  const generator = model.sequelize!.getQueryInterface().queryGenerator as {
    quoteIdentifier: (name: string) => string
    whereQuery: (where: unknown, options: { model: unknown }) => string
  }
  const columns = columnsOf(model).map(
    ([attribute, { field }]) => `'${attribute}', ${generator.quoteIdentifier(field ?? attribute)}`,
  )
  const table = generator.quoteIdentifier(model.getTableName() as string)
  return `SELECT ${part} AS part, JSON_OBJECT(${columns.join(', ')}) AS columns FROM ${table} ${generator.whereQuery(where, { model })}`
}

function valuesOf(model: ModelStatic<Model>, given: string | object): Record<string, unknown> {
  const values = (typeof given === 'string' ? JSON.parse(given) : given) as Record<string, unknown>
  for (const [attribute, { type }] of columnsOf(model)) {
    const value = values[attribute]
    if (value === null) continue
    if (type instanceof DataTypes.BOOLEAN) values[attribute] = value === 1
    else if (type instanceof DataTypes.DATE) values[attribute] = new Date(`${String(value).replace(' ', 'T')}Z`)
  }
  return values
}

function compare(a: Model, b: Model, order: readonly string[]): number {
  for (const column of order) {
    const [one, other] = [a.get(column) as number, b.get(column) as number]
    if (one < other) return -1
    if (one > other) return 1
  }
  return 0
}
