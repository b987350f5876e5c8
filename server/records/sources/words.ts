import { QueryTypes } from 'sequelize'
import type { SourceState } from '#contract/sources'
import { groupBy } from '#core/groupBy'
import { domainKeys, domainOf, type KnownDomain } from '#core/sources/lookalikes'
import { initialsOf, slipsOf, spellingKey, wordsOf } from '#core/sources/spelling'
import { Source } from './model'

/** By which words sources are found: `source_words` says where each stands, `source_slips` how it may be misspelled. */

const stretch = 300

/** Every word a source is found by, as its key: of all its names, their initials, and its town. */
function wordsOfSource({ name, known, town }: Source): string[] {
  const names = [name, ...known.names.map((one) => one.name)]
  const words = [...names.flatMap(wordsOf), ...wordsOf(town), ...names.flatMap(initialsOf)]
  return [...new Set(words.map(spellingKey))].filter((word) => word !== '')
}

/** Whether candidates may choose a source: one that a candidate proposed only once somebody has checked it. */
export const isOffered = ({ retiredAt, mergedIntoId, origin, checkedAt }: Source) =>
  !retiredAt && !mergedIntoId && (origin !== 'candidate' || Boolean(checkedAt))

/** Where a source stands: it can be asked once it and every contact of it has been checked. */
export const stateOf = ({ mergedIntoId, retiredAt, checkedAt, known, origin }: Source): SourceState => {
  if (mergedIntoId) return 'merged'
  if (retiredAt) return 'retired'
  if (origin === 'candidate' && !checkedAt) return 'proposed'
  return checkedAt && known.contacts.every(({ checked }) => checked) ? 'checked' : 'to check'
}

/** Has sources found by the names they have now, and listed where they stand. In the transaction of the change, if there is one. */
export async function spellSources(sources: readonly Source[]) {
  const sequelize = Source.sequelize!
  const run = (sql: string, replacements: Record<string, unknown>) => sequelize.query(sql, { replacements })
  for (let at = 0; at < sources.length; at += stretch) {
    const some = sources.slice(at, at + stretch)
    const ids = some.map(({ id }) => id)
    const before = await sequelize.query<{ word: string }>(
      'SELECT DISTINCT word FROM source_words WHERE sourceId IN (:ids)',
      { replacements: { ids }, type: QueryTypes.SELECT },
    )
    await run('DELETE FROM source_words WHERE sourceId IN (:ids)', { ids })
    const rows = some.flatMap((source) =>
      wordsOfSource(source).map((word) => [word, source.id, source.kind, source.country, isOffered(source)]),
    )
    if (rows.length > 0)
      await run('INSERT IGNORE INTO source_words (word, sourceId, kind, country, offered) VALUES :rows', { rows })
    // Always in one order, so that two who write at once do not wait for each other.
    const words = [...new Set([...before.map(({ word }) => word), ...rows.map(([word]) => word as string)])].sort()
    await countWords(words)
    await keyDomains(some)
    for (const [state, group] of groupBy(some, stateOf)) {
      await run('UPDATE sources SET spelled = 1, state = :state WHERE id IN (:ids)', {
        state,
        ids: group.map(({ id }) => id),
      })
      for (const source of group) source.set({ state, spelled: true }, { raw: true })
    }
  }
}

/** Writes down at which domains sources are asked, so that what only looks like one of them is found. */
async function keyDomains(sources: readonly Source[]) {
  const sequelize = Source.sequelize!
  await sequelize.query('DELETE FROM source_domains WHERE sourceId IN (:ids)', {
    replacements: { ids: sources.map(({ id }) => id) },
  })
  const rows = sources
    .filter(({ checkedAt, mergedIntoId }) => checkedAt && !mergedIntoId)
    .flatMap(({ id, known }) => {
      const domains = known.contacts.flatMap(({ mail, checked }) => (mail && checked ? [domainOf(mail)] : []))
      return [...new Set(domains)].flatMap((domain) => domainKeys(domain).map((key) => [key.slice(0, 100), domain, id]))
    })
  for (let at = 0; at < rows.length; at += 2000)
    await sequelize.query('INSERT IGNORE INTO source_domains (domainKey, domain, sourceId) VALUES :rows', {
      replacements: { rows: rows.slice(at, at + 2000) },
    })
}

/** The domains of checked sources that these could be taken for, or are, with whose they are. */
export async function domainsLike(
  domains: readonly string[],
  besideId: string,
): Promise<(KnownDomain & { id: string })[]> {
  const keys = [...new Set(domains.flatMap(domainKeys))]
  if (keys.length === 0) return []
  return Source.sequelize!.query<KnownDomain & { id: string }>(
    `SELECT DISTINCT d.domain, s.name AS source, s.id FROM source_domains d JOIN sources s ON s.id = d.sourceId
     WHERE d.domainKey IN (:keys) AND d.sourceId <> :besideId LIMIT 200`,
    { replacements: { keys, besideId }, type: QueryTypes.SELECT },
  )
}

/** Writes down how many sources have each word, and how a new one may be misspelled. */
async function countWords(words: readonly string[]) {
  if (words.length === 0) return
  const sequelize = Source.sequelize!
  const known = await sequelize.query<{ word: string }>('SELECT word FROM source_vocabulary WHERE word IN (:words)', {
    replacements: { words },
    type: QueryTypes.SELECT,
  })
  const there = new Set(known.map(({ word }) => word))
  const slips = words.filter((word) => !there.has(word)).flatMap((word) => slipsOf(word).map((slip) => [slip, word]))
  for (let at = 0; at < slips.length; at += 2000)
    await sequelize.query('INSERT IGNORE INTO source_slips (slip, word) VALUES :slips', {
      replacements: { slips: slips.slice(at, at + 2000) },
    })
  await sequelize.query(
    `REPLACE INTO source_vocabulary (word, sources) SELECT word, COUNT(*) FROM source_words WHERE word IN (:words) GROUP BY word`,
    { replacements: { words } },
  )
  await sequelize.query(
    `DELETE FROM source_vocabulary WHERE word IN (:words) AND NOT EXISTS (SELECT 1 FROM source_words w WHERE w.word = source_vocabulary.word)`,
    { replacements: { words } },
  )
}

/** Spells those that are not yet: what came with a migration, or was written past this program. */
export async function spellUnspelled() {
  for (;;) {
    const some = await Source.findAll({ where: { spelled: false }, limit: stretch })
    if (some.length === 0) return
    await spellSources(some)
  }
}
