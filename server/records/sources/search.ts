import { Op, QueryTypes } from 'sequelize'
import { editDistance } from '#core/comparison/measures'
import { type Hit, rankSources } from '#core/sources/rank'
import type { SourceKind, SourceName } from '#core/sources/source'
import { allowedSlips, slipsOf, spellingKey, tellingWordsOf, wordsOf } from '#core/sources/spelling'
import { Source } from './model'
import { isOffered } from './words'

const mostWords = 6
/** So many sources are looked at closely, whatever was typed. */
const mostRanked = 120
const mostBeginnings = 60

export type SourceFilter = { kinds?: readonly SourceKind[]; country?: string; offered?: boolean }

type Known = { asked: number; word: string; sources: number }

/**
 * Searches sources by any name they go by, in any spelling. Words that fit what was typed are found first, and the sources
 * by the rarest of them; only those are ranked, so that it takes no longer with fifty thousand than with fifty.
 */
export async function searchSources(text: string, filter: SourceFilter, most: number): Promise<Hit<Source>[]> {
  const words = tellingWordsOf(text).slice(0, mostWords)
  if (words.length === 0) return []
  const short = spellingKey(wordsOf(text).join(''))
  const keys = [...new Set([...words.map(spellingKey), ...(words.length > 1 && short.length < 9 ? [short] : [])])]
  const known = await knownWords(keys)
  const ids = await candidates(known, keys.length, filter)
  const first = spellingKey(words[0]!)
  if (ids.length < mostRanked && words.length === 1 && first.length < 4)
    ids.push(...(await beginningWith(text.trim(), filter)))
  if (ids.length === 0) return []
  const hits = rankSources(text, await namesOf([...new Set(ids)])).slice(0, most)
  const found = await Source.findAll({ where: { id: hits.map(({ source }) => source.id) } })
  const byId = new Map(found.map((source) => [source.id, source]))
  return hits.flatMap((hit) => {
    const source = byId.get(hit.source.id)
    return source && (!filter.offered || isOffered(source)) ? [{ ...hit, source }] : []
  })
}

/** Just the names: most of what is looked at is not shown. */
async function namesOf(ids: readonly string[]) {
  const rows = await Source.sequelize!.query<{ id: string; name: string; town: string; names: string | SourceName[] }>(
    "SELECT id, name, town, JSON_EXTRACT(known, '$.names') AS names FROM sources WHERE id IN (:ids)",
    { replacements: { ids }, type: QueryTypes.SELECT },
  )
  return rows.map(({ names, ...row }) => ({
    ...row,
    names: typeof names === 'string' ? (JSON.parse(names) as SourceName[]) : names,
  }))
}

/** The words of the directory that may be what was meant, with how many sources have each. */
async function knownWords(keys: readonly string[]): Promise<Known[]> {
  const one = keys
    .map(
      (
        _,
        nth,
      ) => `(SELECT ${nth} AS asked, v.word, v.sources FROM source_vocabulary v WHERE v.word LIKE :begin${nth} LIMIT ${mostBeginnings})
       UNION (SELECT ${nth}, v.word, v.sources FROM source_slips s JOIN source_vocabulary v ON v.word = s.word WHERE s.slip IN (:slips${nth}))`,
    )
    .join(' UNION ALL ')
  const replacements = Object.fromEntries(
    keys.flatMap((key, nth): [string, unknown][] => [
      [`begin${nth}`, `${key}%`],
      [`slips${nth}`, slipsOf(key)],
    ]),
  )
  const rows = await Source.sequelize!.query<Known>(one, { replacements, type: QueryTypes.SELECT })
  return rows.filter(({ asked, word }) => {
    const key = keys[asked]!
    if (word.startsWith(key)) return true
    return editDistance(key, word) <= Math.min(allowedSlips(key.length), allowedSlips(word.length))
  })
}

/** The sources to look at: those that have most of what was asked, by its rarest words. */
async function candidates(known: readonly Known[], count: number, filter: SourceFilter): Promise<string[]> {
  const asked = Array.from({ length: count }, (_, nth) => known.filter((word) => Number(word.asked) === nth))
    .filter((words) => words.length > 0)
    .map((words) => ({
      words: words.map(({ word }) => word),
      sources: words.reduce((sum, { sources }) => sum + Number(sources), 0),
    }))
    .sort((a, b) => a.sources - b.sources)
  const ids = new Set<string>()
  const take = (rows: readonly { sourceId: string }[]) => {
    for (const { sourceId } of rows) ids.add(sourceId)
  }
  const [rarest, second, third] = asked
  if (rarest && second) {
    take(await having([rarest.words, second.words], filter, mostRanked))
    if (third && ids.size === mostRanked) take(await having([rarest.words, third.words], filter, mostRanked))
  }
  for (const words of asked.slice(0, 2)) {
    if (ids.size >= mostRanked) break
    take(await having([words.words], filter, mostRanked - ids.size))
  }
  return [...ids]
}

/** Sources that have a word of each list. */
function having(lists: readonly (readonly string[])[], { kinds, country, offered }: SourceFilter, most: number) {
  const conditions = [
    ...(offered === undefined ? [] : ['w.offered = :offered']),
    ...(kinds && kinds.length > 0 ? ['w.kind IN (:kinds)'] : []),
    ...(country ? ['w.country = :country'] : []),
  ]
  const joins = lists
    .slice(1)
    .map(
      (_, nth) =>
        `JOIN source_words w${nth + 1} ON w${nth + 1}.sourceId = w.sourceId AND w${nth + 1}.word IN (:words${nth + 1})`,
    )
  return Source.sequelize!.query<{ sourceId: string }>(
    `SELECT DISTINCT w.sourceId FROM source_words w ${joins.join(' ')} WHERE ${['w.word IN (:words0)', ...conditions].join(' AND ')} LIMIT ${most}`,
    {
      replacements: {
        ...Object.fromEntries(lists.map((words, nth) => [`words${nth}`, [...words]])),
        ...{ kinds, country, offered },
      },
      type: QueryTypes.SELECT,
    },
  )
}

/** What begins with the very letters, for the first keys that are typed. */
async function beginningWith(text: string, { kinds, country, offered }: SourceFilter) {
  const found = await Source.findAll({
    where: {
      name: { [Op.like]: `${text.replace(/[\\%_]/g, '\\$&')}%` },
      ...(kinds && kinds.length > 0 ? { kind: [...kinds] } : {}),
      ...(country ? { country } : {}),
      ...(offered ? { retiredAt: null } : {}),
    },
    attributes: ['id'],
    order: ['name'],
    limit: 20,
  })
  return found.map(({ id }) => id)
}
