import { type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { define, id, longText, moment, text, uuid as uuidColumn } from '../../platform/database/columns'
import type { Account, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'

/** Filters, order and columns of a table that somebody keeps under a name. */
export class SavedView extends Model<InferAttributes<SavedView>, InferCreationAttributes<SavedView>> {
  declare id: string
  declare accountId: string
  declare place: string
  declare name: string
  declare query: string
  declare createdAt: Date
}

export const defineViews = (sequelize: Sequelize) =>
  define(SavedView, sequelize, 'saved_views', {
    id,
    accountId: uuidColumn,
    place: text,
    name: text,
    query: longText,
    createdAt: moment,
  })

const place = 'applications'
const viewOf = ({ id: own, name, query }: SavedView) => ({ id: own, name, query })

export const listViews = async (actor: Account) =>
  (await SavedView.findAll({ where: { accountId: actor.id, place }, order: ['name'] })).map(viewOf)

export async function saveView(deps: Deps, actor: Account, { name, query }: { name: string; query: string }) {
  const known = await SavedView.findOne({ where: { accountId: actor.id, place, name: name.trim() } })
  if (known) return viewOf(await known.update({ query }))
  return viewOf(
    await SavedView.create({
      id: uuid(),
      accountId: actor.id,
      place,
      name: name.trim(),
      query,
      createdAt: deps.clock.now(),
    }),
  )
}

export async function removeView(actor: Account, viewId: string) {
  if ((await SavedView.destroy({ where: { id: viewId, accountId: actor.id } })) === 0) throw notFound()
  return { done: true as const }
}
