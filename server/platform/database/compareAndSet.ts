import { type Attributes, type Model, type ModelStatic, UniqueConstraintError, type WhereOptions } from 'sequelize'
import { changedMeanwhile } from '../errors/problems'

type Versioned = Model & { version: number }

/**
 * Changes a row only where it still is as it was seen, in the UPDATE itself, and gives it the next version. A check before
 * a write is no guard: of two that decide at the same moment both would pass it.
 *
 * @param seen the version that was seen by whoever decides
 * @throws Problem `changed-meanwhile` where somebody else was first
 */
export async function compareAndSet<M extends Versioned>(
  row: M,
  seen: number,
  changes: Partial<Attributes<M>>,
): Promise<M> {
  const next = { ...changes, version: seen + 1 } as Partial<Attributes<M>>
  const where = { ...row.where(), version: seen } as unknown as WhereOptions<Attributes<M>>
  const [changed] = await (row.constructor as ModelStatic<M>).update(next as never, { where })
  if (changed === 0) throw changedMeanwhile()
  row.set(next, { raw: true })
  return row
}

/**
 * Changes a row without a version only where it still is in a state it can be changed from.
 *
 * @returns whether it was; `false` means that somebody else was first
 */
export async function changeWhere<M extends Model>(
  row: M,
  still: WhereOptions<Attributes<M>>,
  changes: Partial<Attributes<M>>,
): Promise<boolean> {
  const where = { ...row.where(), ...still } as WhereOptions<Attributes<M>>
  const [changed] = await (row.constructor as ModelStatic<M>).update(changes as never, { where })
  if (changed > 0) row.set(changes, { raw: true })
  return changed > 0
}

/**
 * Writes a row that may not be there yet: version 0 makes it, any other changes the one that has it.
 *
 * @throws Problem `changed-meanwhile` where somebody else made or changed it first
 */
export async function putVersion<M extends Versioned>(
  model: ModelStatic<M>,
  key: Partial<Attributes<M>>,
  seen: number,
  values: Partial<Attributes<M>>,
): Promise<void> {
  const next = { ...values, version: seen + 1 }
  if (seen === 0) {
    await model.create({ ...key, ...next } as never).catch((error: unknown) => {
      throw error instanceof UniqueConstraintError ? changedMeanwhile() : error
    })
    return
  }
  const [changed] = await model.update(next as never, {
    where: { ...key, version: seen } as WhereOptions<Attributes<M>>,
  })
  if (changed === 0) throw changedMeanwhile()
}
