import type { Logger } from 'pino'
import { type Attributes, type Model, type ModelStatic, Op, type Sequelize, type WhereOptions } from 'sequelize'
import { describeError } from '../errors/describeError'
import { inTransaction, lockOf } from './connection'

const page = 200

/**
 * Does something for every row that fits, however many, each in a transaction of its own in which it still fits: another
 * copy may be at the same work. Gives how many failed; those are logged and passed over.
 */
export async function forEachRow<M extends Model>(
  deps: { sequelize: Sequelize; log: Logger },
  model: ModelStatic<M>,
  fitting: WhereOptions<Attributes<M>>,
  work: (row: M) => Promise<unknown>,
): Promise<number> {
  const key = model.primaryKeyAttribute
  const where = (id: object | string) => ({ [Op.and]: [fitting, { [key]: id }] }) as WhereOptions<Attributes<M>>
  let failed = 0
  for (let after = ''; ; ) {
    const rows = await model.findAll({ where: where({ [Op.gt]: after }), order: [key], limit: page })
    for (const id of rows.map((row) => row.get(key) as string))
      await inTransaction(deps.sequelize, async () => {
        const row = await model.findOne({ where: where(id), ...lockOf() })
        if (row) await work(row)
      }).catch((error: unknown) => {
        failed += 1
        deps.log.error({ model: model.name, id, error: describeError(error) }, 'a row was passed over')
      })
    after = (rows.at(-1)?.get(key) as string | undefined) ?? ''
    if (rows.length < page) return failed
  }
}
