import {
  type Attributes,
  type FindOptions,
  type Model,
  type ModelStatic,
  QueryTypes,
  type WhereOptions,
} from 'sequelize'

/** What a model would ask the database, to be asked about in its turn. */
export function selectText<M extends Model>(model: ModelStatic<M>, options: FindOptions<Attributes<M>>): string {
  const generator = model.sequelize!.getQueryInterface().queryGenerator as {
    selectQuery: (table: unknown, options: object, model: ModelStatic<M>) => string
  }
  return generator.selectQuery(model.getTableName(), options, model).replace(/;$/, '')
}

/** Counts rows, and stops at a number where nobody counts on. */
export async function countUpTo<M extends Model>(
  model: ModelStatic<M>,
  most: number,
  where: WhereOptions<Attributes<M>>,
): Promise<number> {
  const key = model.primaryKeyAttributes[0] as keyof Attributes<M> & string
  const inner = selectText(model, { attributes: [key], where, limit: most })
  const [row] = await model.sequelize!.query<{ count: number | bigint }>(
    `SELECT COUNT(*) AS count FROM (${inner}) AS some`,
    { type: QueryTypes.SELECT },
  )
  return Number(row!.count)
}
