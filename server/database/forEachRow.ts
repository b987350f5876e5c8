import { type Attributes, type Model, type ModelStatic, Op, type WhereOptions } from 'sequelize'
import type { Deps } from '../deps'
import { inTransaction, lockOf } from './connection'

const page = 200

/**
 * Does something for every row that fits, however many, each in a transaction of its own in which it still fits: another
 * copy may be at the same work. Gives how many failed; those are logged and passed over.
 */
export async function forEachRow<M extends Model & { id: string }>(
  deps: Pick<Deps, 'sequelize' | 'log'>,
  model: ModelStatic<M>,
  fitting: WhereOptions<Attributes<M>>,
  work: (row: M) => Promise<unknown>,
): Promise<number> {
  const where = (id: object | string) => ({ [Op.and]: [fitting, { id }] }) as WhereOptions<Attributes<M>>
  let failed = 0
  for (let after = ''; ; ) {
    const rows = await model.findAll({ where: where({ [Op.gt]: after }), order: ['id'], limit: page })
    for (const { id } of rows)
      await inTransaction(deps.sequelize, async () => {
        const row = await model.findOne({ where: where(id), ...lockOf() })
        if (row) await work(row)
      }).catch((error: unknown) => {
        failed += 1
        deps.log.error({ model: model.name, id, error: String(error) }, 'a row was passed over')
      })
    after = rows.at(-1)?.id ?? ''
    if (rows.length < page) return failed
  }
}
