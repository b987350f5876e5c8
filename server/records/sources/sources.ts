import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { SourceLine } from '#contract/sources'
import { isMeetable } from '#core/sources/conditions'
import { accreditedAs, type Studied } from '#core/sources/programmes'
import type { Contact, ContactGiven, SourceFacts, SourceKind } from '#core/sources/source'
import { nameKey } from '#core/sources/spelling'
import { transactionNow } from '../../platform/database/connection'
import { rowsOf } from '../../platform/database/rows'
import { notFound } from '../../platform/errors/problems'
import { ofClaims } from '../claims/subquery'
import { Source, SourceVersion } from './model'
import { searchSources } from './search'
import { isOffered, spellSources } from './words'

const most = 8

/** What is known of a source, with who made sure of each contact. */
export type StoredFacts = Omit<SourceFacts, 'contacts'> & { contacts: Contact[] }

export const factsOfSource = (source: Source): StoredFacts => {
  const { name, kind, town, country, register, answerWorkingDays, programmes, known } = source
  return { name, kind, town, country, register, answerWorkingDays, programmes, ...known }
}

/** The columns that hold what is known. */
export function columnsOf({
  name,
  kind,
  town,
  country,
  register,
  answerWorkingDays,
  programmes,
  ...known
}: StoredFacts) {
  return { name, kind, town, country, register, answerWorkingDays, programmes, known, spelled: false }
}

/** What nobody has said anything else of. */
export const unknownFacts = {
  names: [],
  region: '',
  existedFrom: null,
  existedTo: null,
  successors: [],
  channels: ['link'],
  closures: [],
  conditions: [],
  cost: null,
  numberFormats: [],
  programmes: [],
  register: null,
  answerWorkingDays: 10,
  notes: '',
} satisfies Partial<SourceFacts>

/** Only as much as there is to say of a contact. */
export type NewContact = Partial<Omit<ContactGiven, 'id'>>
export type NewSource = Pick<SourceFacts, 'name' | 'kind' | 'town' | 'country'> &
  Partial<Omit<SourceFacts, 'contacts'>> & { contacts: NewContact[] }

export const newContact = (given: NewContact): ContactGiven => ({
  ...{ id: uuid(), purposes: [], name: '', mail: '', phone: '', address: '' },
  ...given,
})

/** Enters sources that are known to be what they say. */
export async function addSources(given: readonly NewSource[]): Promise<Source[]> {
  const at = new Date()
  const rows = given.map((one) => ({
    id: uuid(),
    ...columnsOf({
      ...unknownFacts,
      ...one,
      contacts: one.contacts.map((contact) => ({
        ...newContact(contact),
        ...{ enteredBy: '', enteredById: null, checked: { how: null, by: '', at: at.toISOString() } },
      })),
    }),
    checkedBy: '',
    checkedAt: at,
  }))
  const sources = await Source.bulkCreate(rows)
  await SourceVersion.bulkCreate(sources.map((source) => versionOf(source, '', at)))
  await spellSources(sources)
  return sources
}

export const addSource = async (given: NewSource): Promise<Source> => (await addSources([given]))[0]!

/** A source by its id; where it was merged into another, that one. */
export async function sourceById(id: string): Promise<Source> {
  const source = await Source.findByPk(id)
  if (!source) throw notFound()
  return source.mergedIntoId ? sourceById(source.mergedIntoId) : source
}

/** The same for whoever names it in a claim, locked until they have; one that a candidate proposed is nobody else's to name. */
export async function sourceToName(id: string): Promise<Source> {
  const transaction = transactionNow()
  const source = await Source.findByPk(id, transaction && { lock: transaction.LOCK.SHARE })
  if (source?.mergedIntoId) return sourceToName(source.mergedIntoId)
  if (!source || (source.origin === 'candidate' && !source.checkedAt)) throw notFound()
  return source
}

/** Just the entry of this id, also one that was merged into another. */
export async function sourceEntry(id: string): Promise<Source> {
  const source = await Source.findByPk(id)
  if (!source) throw notFound()
  return source
}

/** The sources that candidates name in their claims. */
export const sourcesOfCandidates = (
  candidateIds: readonly string[],
  column: 'sourceId' | 'proposedSourceId' = 'sourceId',
): Promise<Source[]> => rowsOf(Source, { id: { [Op.in]: ofClaims(column, candidateIds) } }, ['name'])

/** Whether a study was of a programme that was accredited in the year of its award. */
export const isAccredited = (sources: ReadonlyMap<string, Source>, sourceId: string | null, study: Studied): boolean =>
  Boolean(sourceId && accreditedAs(study, sources.get(sourceId)?.programmes ?? []))

/** Finds sources for whoever chooses one: by any name they go by, in any spelling. Without words, those that come first. */
export async function findSources(input: { text?: string; kind?: string; country?: string }) {
  const kinds = input.kind ? (input.kind.split(',') as SourceKind[]) : undefined
  if (nameKey(input.text ?? '') !== '') {
    const hits = await searchSources(input.text!, { kinds, country: input.country, offered: true }, most)
    return hits.map(({ source, why }) => ({ ...sourceLine(source), why }))
  }
  const first = await Source.findAll({
    where: {
      ...(kinds ? { kind: kinds } : {}),
      ...(input.country ? { country: input.country } : {}),
      ...{ retiredAt: null, mergedIntoId: null },
    },
    order: ['name'],
    limit: most,
  })
  return first.filter(isOffered).map((source) => ({ ...sourceLine(source), why: null }))
}

export const sourceLine = ({ id, name, known, kind, town, country, programmes }: Source): SourceLine => ({
  ...{ id, name, kind, town, country, programmes },
  aliases: known.names.map((one) => one.name),
  numberFormats: known.numberFormats,
  conditions: known.conditions
    .filter(isMeetable)
    .map(({ id: one, kind: of, claims, reason }) => ({ id: one, kind: of, claims, reason })),
})

/** The source that goes by exactly this name, but for its spelling, or by one of its others. */
export async function sourceNamed(name: string): Promise<Source | undefined> {
  const wanted = nameKey(name)
  const near = await searchSources(name, { offered: true }, most)
  return near
    .map(({ source }) => source)
    .find(({ name: own, known }) => [own, ...known.names.map((one) => one.name)].some((one) => nameKey(one) === wanted))
}

/** Keeps a version of a source as it is now. */
export const keepVersion = (source: Source, by: string, at: Date) => SourceVersion.create(versionOf(source, by, at))

const versionOf = (source: Source, by: string, at: Date) => ({
  ...{ sourceId: source.id, version: source.version ?? 1, source: factsOfSource(source) },
  ...{ changedBy: by, changedAt: at },
})
