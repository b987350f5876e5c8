import { Op } from 'sequelize'
import { domainOf } from '#core/sources/lookalikes'
import { type TwinFacts, twinOf } from '#core/sources/twins'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { changedMeanwhile, notFound } from '../platform/errors/problems'
import { Source, SourcePair } from '../records/sources/model'
import { searchSources } from '../records/sources/search'
import { sourceEntry } from '../records/sources/sources'
import { currentWatchlist } from '../records/sources/watchlist'
import { domainsLike } from '../records/sources/words'

const mostCompared = 12

const compared = ({ id, name, known, town, kind, country }: Source): TwinFacts => ({
  ...{ id, name, town, kind, country },
  ...{ names: known.names, contacts: known.contacts },
})

/** Looks for entries that may be of the same source, and keeps the pairs; one that was set apart stays so. */
export async function findTwins(source: Source) {
  if (source.mergedIntoId || source.retiredAt) return dropPairs(source.id)
  const names = [source.name, ...source.known.names.map(({ name }) => name)].slice(0, 4)
  const hits = await Promise.all(names.map((name) => searchSources(name, {}, mostCompared)))
  const domains = source.known.contacts.flatMap(({ mail }) => (mail ? [domainOf(mail)] : []))
  const { watchlist } = await currentWatchlist()
  const free = new Set(watchlist.freeMail)
  const shared = (
    await domainsLike(
      domains.filter((domain) => !free.has(domain)),
      source.id,
    )
  ).filter(({ domain }) => domains.includes(domain))
  const byDomain = await Source.findAll({ where: { id: shared.map(({ id }) => id).slice(0, mostCompared) } })
  const others = new Map(
    [...hits.flat().map((hit) => hit.source), ...byDomain]
      .filter(({ id, mergedIntoId, retiredAt }) => id !== source.id && !mergedIntoId && !retiredAt)
      .map((other) => [other.id, other]),
  )
  const pairs = [...others.values()].flatMap((other) => {
    const ids = inOrder(source.id, other.id)
    const [one, two] = ids.oneId === source.id ? [source, other] : [other, source]
    const twin = twinOf(compared(one), compared(two), free)
    return twin ? [{ ...ids, ...twin }] : []
  })
  await dropPairs(source.id, pairs)
  for (const pair of pairs)
    await Source.sequelize!.query(
      `INSERT INTO source_pairs (oneId, otherId, score, reasons, state) VALUES (:oneId, :otherId, :score, :reasons, 'open')
       ON DUPLICATE KEY UPDATE score = VALUES(score), reasons = VALUES(reasons), state = IF(state = 'merged', 'open', state)`,
      { replacements: { ...pair, reasons: JSON.stringify(pair.reasons) } },
    )
}

/** Open pairs that are none any more. */
const dropPairs = (id: string, still: readonly { oneId: string; otherId: string }[] = []) =>
  SourcePair.destroy({
    where: {
      state: 'open',
      [Op.or]: [{ oneId: id }, { otherId: id }],
      ...(still.length > 0 ? { [Op.not]: { [Op.or]: still.map(({ oneId, otherId }) => ({ oneId, otherId })) } } : {}),
    },
  })

export const inOrder = (one: string, other: string) =>
  one < other ? { oneId: one, otherId: other } : { oneId: other, otherId: one }

/** The open pairs a source is in, the likeliest first. */
export const twinsOf = (id: string): Promise<SourcePair[]> =>
  SourcePair.findAll({
    where: { state: 'open', [Op.or]: [{ oneId: id }, { otherId: id }] },
    order: [['score', 'DESC']],
    limit: mostCompared,
  })

/** Records that two sources are two. */
export async function setSourcesApart(deps: Deps, actor: Actor, id: string, otherId: string) {
  const pair = await SourcePair.findOne({ where: inOrder(id, otherId) })
  if (!pair) throw notFound()
  const decided = { state: 'apart' as const, decidedBy: actor.name, decidedAt: deps.clock.now() }
  if (!(await changeWhere(pair, { state: 'open' }, decided))) throw changedMeanwhile()
  const [one, other] = await Promise.all([sourceEntry(id), sourceEntry(otherId)])
  await recordEvent(deps, actor, {
    code: 'sources-apart',
    values: { source: one.name, other: other.name },
    about: one.name,
  })
  return { done: true as const }
}
