import anyAscii from 'any-ascii'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { jaroWinkler } from '#core/comparison/measures'
import { rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import { ofClaims } from '../claims/subquery'
import { Source } from './model'

const most = 8
const fold = (text: string) =>
  anyAscii(text)
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

export type NewSource = Pick<
  Source,
  'name' | 'aliases' | 'kind' | 'town' | 'country' | 'mail' | 'register' | 'answerWorkingDays'
> & { accreditedFields?: string[]; programmes?: Source['programmes'] }

/** What a source is found by. */
export const searchTextOf = ({ name, aliases, town }: Pick<Source, 'name' | 'aliases' | 'town'>) =>
  [name, ...aliases, town].map(fold).join(' · ')

/** Enters a source that is known to be what it says. */
export async function addSource(given: NewSource): Promise<Source> {
  return Source.create({ id: uuid(), ...given, searchText: searchTextOf(given), checkedBy: '', checkedAt: new Date() })
}

export async function sourceById(id: string): Promise<Source> {
  const source = await Source.findByPk(id)
  if (!source) throw notFound()
  return source
}

/** The sources that candidates name in their claims. */
export const sourcesOfCandidates = (candidateIds: readonly string[]): Promise<Source[]> =>
  rowsOf(Source, { id: { [Op.in]: ofClaims('sourceId', candidateIds) } }, ['name'])

/** Accredited programmes of sources, as "source field" (ISCED-F). */
export const accreditedIn = (sources: readonly Source[]): Set<string> =>
  new Set(sources.flatMap(({ id, accreditedFields }) => accreditedFields.map((field) => `${id} ${field}`)))

export const allSources = (): Promise<Source[]> => Source.findAll({ order: ['name'] })

/** Finds sources by any name they go by. Every word has to occur; if none fits, near spellings are tried. */
export async function findSources(input: { text?: string; kind?: string; country?: string }) {
  const kind = {
    ...(input.kind ? { kind: input.kind.split(',') as Source['kind'][] } : {}),
    ...(input.country ? { country: input.country } : {}),
    retiredAt: null,
  }
  const words = fold(input.text ?? '')
    .split(' ')
    .filter(Boolean)
  const found = await Source.findAll({
    where: { ...kind, [Op.and]: words.map((word) => ({ searchText: { [Op.like]: `%${word}%` } })) },
    order: ['name'],
    limit: most,
  })
  if (found.length > 0 || words.length === 0) return found.map(sourceLine)
  const near = (source: Source) =>
    Math.max(...[source.name, ...source.aliases].map((name) => jaroWinkler(fold(name), words.join(' '))))
  const all = await Source.findAll({ where: kind, limit: 2000 })
  return all
    .map((source) => ({ source, likeness: near(source) }))
    .filter(({ likeness }) => likeness > 0.8)
    .sort((a, b) => b.likeness - a.likeness)
    .slice(0, most)
    .map(({ source }) => sourceLine(source))
}

export const sourceLine = ({ id, name, aliases, kind, town, country, programmes }: Source) => ({
  id,
  name,
  aliases,
  kind,
  town,
  country,
  programmes,
})

/** The source that goes by exactly this name, folded, or by one of its others. */
export async function sourceNamed(name: string): Promise<Source | undefined> {
  const wanted = fold(name)
  const near = await Source.findAll({ where: { searchText: { [Op.like]: `%${wanted}%` } }, limit: most })
  return near.find((source) => [source.name, ...source.aliases].some((own) => fold(own) === wanted))
}
