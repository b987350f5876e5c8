import { literal, type Model, type ModelStatic, type WhereOptions } from 'sequelize'

/** Adds to columns of a row in the row itself, so that of two at the same moment neither is lost. */
export async function addTo<M extends Model>(
  model: ModelStatic<M>,
  id: string,
  by: Readonly<Record<string, number>>,
  still: WhereOptions = {},
): Promise<boolean> {
  const changes = Object.fromEntries(
    Object.entries(by).map(([column, amount]) => [column, literal(`${column} + ${Math.trunc(amount)}`)]),
  )
  const [changed] = await model.update(changes as never, { where: { id, ...still } as never })
  return changed > 0
}
