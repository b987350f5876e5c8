import { AsyncLocalStorage } from 'node:async_hooks'
import DataLoader from 'dataloader'
import {
  type Attributes,
  DataTypes,
  literal,
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

/** One for each transaction, one for each request outside of any, and one for what belongs to neither. */
const loaders = new WeakMap<Transaction | object, DataLoader<Rows, Model[]>>()
const elsewhere = {}
const request = new AsyncLocalStorage<object>()

/** What is read in `work` shares no statement with what others read, so nobody waits for, or fails by, another's rows. */
export const readingApart = <T>(work: () => T): T => request.run({}, work)

function loader(): DataLoader<Rows, Model[]> {
  const key = transactionNow() ?? request.getStore() ?? elsewhere
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
  const readers = parts.map(({ model }) => wholeOf(model).read)
  const made = parts.map((): Values[] => [])
  for (const { part, columns } of found) made[part]!.push(readers[part]!(columns))
  return parts.map(({ model, order }, part) =>
    model.bulkBuild(made[part]!, { raw: true, isNewRecord: false }).sort((a, b) => compare(a, b, order)),
  )
}

/**
 * A stretch of rows in an order, as plain values of some of their columns: for lists of any length, where making a model
 * of each row would cost more than reading it.
 */
export async function plainRowsOf<M extends Model, Name extends keyof Attributes<M> & string>(
  model: ModelStatic<M>,
  only: readonly Name[],
  { where, order, most }: { where: WhereOptions; order: [string, 'ASC' | 'DESC'][]; most?: number },
): Promise<Pick<Attributes<M>, Name>[]> {
  const sql = generatorOf(model).selectQuery(
    model.getTableName() as string,
    { attributes: [[literal(jsonOf(model, only)), 'columns']], where, order, limit: most },
    model,
  )
  const rows = await model.sequelize!.query<{ columns: string | object }>(sql, { type: QueryTypes.SELECT })
  const read = reader(model, only)
  return rows.map(({ columns }) => read(columns) as Pick<Attributes<M>, Name>)
}

type Generator = {
  quoteIdentifier: (name: string) => string
  getWhereConditions: (where: WhereOptions, table: string, model: unknown) => string
  selectQuery: (table: string, options: object, model: unknown) => string
}
const generatorOf = (model: ModelStatic<Model>) => model.sequelize!.getQueryInterface().queryGenerator as Generator

/** The same of a model each time it is read, so it is put together once. */
const whole = new WeakMap<ModelStatic<Model>, { columns: string; read: (given: string | object) => Values }>()
function wholeOf(model: ModelStatic<Model>) {
  const known = whole.get(model)
  if (known) return known
  const made = { columns: jsonOf(model), read: reader(model) }
  whole.set(model, made)
  return made
}

function selectOf({ model, where }: Rows, part: number): string {
  const generator = generatorOf(model)
  const table = model.getTableName() as string
  const conditions = generator.getWhereConditions(where, table, model)
  return `SELECT ${part} AS part, ${wholeOf(model).columns} AS columns FROM ${generator.quoteIdentifier(table)}${conditions ? ` WHERE ${conditions}` : ''}`
}

const namesOf = (model: ModelStatic<Model>) => Object.keys(model.getAttributes())
const columnOf = (model: ModelStatic<Model>, name: string): ModelAttributeColumnOptions =>
  (model.getAttributes() as Record<string, ModelAttributeColumnOptions>)[name]!

function jsonOf(model: ModelStatic<Model>, only: readonly string[] = namesOf(model)): string {
  const generator = generatorOf(model)
  const columns = only.map((name) => `'${name}', ${generator.quoteIdentifier(columnOf(model, name).field ?? name)}`)
  return `JSON_OBJECT(${columns.join(', ')})`
}

type Values = Record<string, unknown>

/** Makes values of a model from JSON; only moments and flags look different there. */
function reader(model: ModelStatic<Model>, only: readonly string[] = namesOf(model)) {
  const ofType = (wanted: typeof DataTypes.DATE | typeof DataTypes.BOOLEAN) =>
    only.filter((name) => (columnOf(model, name).type as unknown) instanceof wanted)
  const [moments, flags] = [ofType(DataTypes.DATE), ofType(DataTypes.BOOLEAN)]
  return (given: string | object): Values => {
    const values = (typeof given === 'string' ? JSON.parse(given) : given) as Values
    for (const name of moments)
      if (values[name] !== null) values[name] = new Date(`${String(values[name]).replace(' ', 'T')}Z`)
    for (const name of flags) if (values[name] !== null) values[name] = values[name] === 1
    return values
  }
}

function compare(a: Model, b: Model, order: readonly string[]): number {
  for (const column of order) {
    const [one, other] = [a.get(column) as number, b.get(column) as number]
    if (one < other) return -1
    if (one > other) return 1
  }
  return 0
}
