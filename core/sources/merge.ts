import type { ContactGiven, SourceFacts, SourceName } from './source'

type Facts<C extends ContactGiven> = Omit<SourceFacts, 'contacts'> & { contacts: C[] }

/** What there can be only one of; where two differ, one of them is lost. */
export const singleFields = [
  'kind',
  'town',
  'region',
  'country',
  'existedFrom',
  'existedTo',
  'register',
  'cost',
  'answerWorkingDays',
  'faster',
  'together',
  'language',
  'issuer',
] as const
export type SingleField = (typeof singleFields)[number]

/** The parts of a source that are told apart where it was changed. */
export const sourceFields = [
  ...(['name', 'names', 'contacts', 'successors', 'channels', 'closures', 'conditions'] as const),
  ...(['numberFormats', 'programmes', 'notes'] as const),
  ...singleFields,
] as const
export type SourceField = (typeof sourceFields)[number]

const listFields = ['successors', 'channels', 'closures', 'conditions', 'numberFormats', 'programmes'] as const

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other)
const isKnown = (value: unknown) => (value ?? '') !== ''
const union = <T>(one: readonly T[], other: readonly T[]): T[] => [
  ...one,
  ...other.filter((value) => !one.some((known) => same(known, value))),
]

/** What of the source that goes would be lost, unless it is taken over: single values that the other has differently. */
export const lostInMerge = (kept: SourceFacts, gone: SourceFacts): SingleField[] =>
  singleFields.filter((field) => isKnown(gone[field]) && isKnown(kept[field]) && !same(kept[field], gone[field]))

/**
 * Two sources as one. Lists are joined, every name stays findable, and what only one of them knows is kept.
 *
 * @param take the single values that are to be those of the source that goes
 */
export function mergeSources<C extends ContactGiven>(
  kept: Facts<C>,
  gone: Facts<C>,
  take: readonly SingleField[] = [],
): Facts<C> {
  const names: SourceName[] = [...kept.names]
  for (const one of [{ name: gone.name, use: 'other' as const }, ...gone.names])
    if (![kept.name, ...names.map(({ name }) => name)].some((name) => name === one.name)) names.push(one)
  const merged: Facts<C> = {
    ...kept,
    names,
    contacts: [
      ...kept.contacts,
      ...gone.contacts.filter((contact) => !kept.contacts.some((known) => samePlace(known, contact))),
    ],
    notes: [...new Set([kept.notes, gone.notes])].filter(Boolean).join('\n\n'),
  }
  const lists = Object.fromEntries(listFields.map((field) => [field, union<unknown>(kept[field], gone[field])]))
  const singles = Object.fromEntries(
    singleFields
      .filter((field) => take.includes(field) || (!isKnown(kept[field]) && isKnown(gone[field])))
      .map((field) => [field, gone[field]]),
  )
  return { ...merged, ...lists, ...singles }
}

const samePlace = (one: ContactGiven, other: ContactGiven) =>
  one.mail === other.mail &&
  one.phone === other.phone &&
  one.address === other.address &&
  same(one.purposes, other.purposes)

/**
 * What a merged source is when the other is taken out of it again. What has been changed since the merge stays changed.
 *
 * @param before as it was before the merge
 * @param merged as the merge made it
 * @param now as it is
 */
export function unmergeSource<C extends ContactGiven>(before: Facts<C>, merged: Facts<C>, now: Facts<C>): Facts<C> {
  const list = <T>(was: readonly T[], became: readonly T[], is: readonly T[]) => {
    const came = became.filter((value) => !was.some((known) => same(known, value)))
    return is.filter((value) => !came.some((one) => same(one, value)))
  }
  const lists = Object.fromEntries(
    ([...listFields, 'names'] as const).map((field) => [
      field,
      list<unknown>(before[field], merged[field], now[field]),
    ]),
  )
  const cameContacts = merged.contacts.filter(({ id }) => !before.contacts.some((contact) => contact.id === id))
  const singles = Object.fromEntries(
    ([...singleFields, 'notes'] as const)
      .filter((field) => same(now[field], merged[field]))
      .map((field) => [field, before[field]]),
  )
  return {
    ...now,
    ...lists,
    contacts: now.contacts.filter(({ id }) => !cameContacts.some((contact) => contact.id === id)),
    ...singles,
  }
}
