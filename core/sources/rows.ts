import { type ContactGiven, nameUses, type SourceFacts, type SourceKind } from './source'

/** The columns of a table of sources: what fits a row, under names that a program can rely on. */
export const sourceColumns = [
  'name',
  'other names',
  'short names',
  'earlier names',
  'kind',
  'town',
  'region',
  'country',
  'existed from',
  'existed to',
  'office',
  'mail',
  'phone',
  'address',
  'register',
  'answer working days',
  'cost',
  'currency',
  'notes',
] as const
type Column = (typeof sourceColumns)[number]
export type SourceRow = Record<Column, string>

const columnOfUse = { other: 'other names', short: 'short names', earlier: 'earlier names' } as const
const general = (contacts: readonly ContactGiven[]) =>
  contacts.find(({ purposes }) => purposes.length === 0) ?? contacts[0]
const text = (value: number | null) => (value === null ? '' : String(value))

/** A source as a row; of its contacts the one that is for nothing in particular. */
export function rowOfFacts(facts: SourceFacts): SourceRow {
  const contact = general(facts.contacts)
  const named = (use: keyof typeof columnOfUse) =>
    facts.names
      .filter((one) => one.use === use)
      .map(({ name }) => name)
      .join('; ')
  return {
    ...{ name: facts.name, kind: facts.kind, town: facts.town, region: facts.region, country: facts.country },
    ...{ 'other names': named('other'), 'short names': named('short'), 'earlier names': named('earlier') },
    ...{ 'existed from': text(facts.existedFrom), 'existed to': text(facts.existedTo) },
    ...{ office: contact?.name ?? '', mail: contact?.mail ?? '', phone: contact?.phone ?? '' },
    ...{ address: contact?.address ?? '', register: facts.register ?? '' },
    'answer working days': String(facts.answerWorkingDays),
    ...{ cost: facts.cost ? (facts.cost.amount / 100).toFixed(2) : '', currency: facts.cost?.currency ?? '' },
    notes: facts.notes,
  }
}

const numberOf = (cell: string) => (cell === '' ? null : Number(cell.replace(',', '.')))

/**
 * A source as a row says it is, over what is known of it: a column that is not there changes nothing, and no contact is lost
 * by an empty cell.
 *
 * @param newId for a contact that is new
 * @returns as it was read; what cannot hold is for whoever checks the shape to say
 */
export function factsOfRow(
  row: Partial<Record<string, string>>,
  before: SourceFacts,
  newId: () => string,
): SourceFacts {
  const cell = (column: Column) => (row[column] === undefined ? undefined : row[column].trim())
  const names = nameUses.flatMap((use) => {
    const given = cell(columnOfUse[use])
    const known = before.names.filter((one) => one.use === use)
    if (given === undefined) return known
    return given
      .split(';')
      .map((name) => name.trim())
      .filter(Boolean)
      .map((name) => known.find((one) => one.name === name) ?? { name, use })
  })
  const contact = general(before.contacts)
  const said = { name: cell('office'), mail: cell('mail'), phone: cell('phone'), address: cell('address') }
  const changed = {
    ...(contact ?? { id: newId(), purposes: [], name: '', mail: '', phone: '', address: '' }),
    ...Object.fromEntries(Object.entries(said).filter(([, value]) => value)),
  } as ContactGiven
  const reachable = changed.mail || changed.phone || changed.address
  const amount = cell('cost')
  const days = cell('answer working days')
  return {
    ...before,
    names: sameNames(names, before.names) ? before.names : names,
    name: cell('name') ?? before.name,
    kind: (cell('kind') || before.kind) as SourceKind,
    town: cell('town') ?? before.town,
    region: cell('region') ?? before.region,
    country: (cell('country') ?? before.country).toUpperCase(),
    existedFrom: row['existed from'] === undefined ? before.existedFrom : numberOf(cell('existed from')!),
    existedTo: row['existed to'] === undefined ? before.existedTo : numberOf(cell('existed to')!),
    contacts: contact
      ? before.contacts.map((one) => (one === contact ? changed : one))
      : reachable
        ? [...before.contacts, changed]
        : before.contacts,
    register: row.register === undefined ? before.register : cell('register') || null,
    answerWorkingDays: days ? Number(days) : before.answerWorkingDays,
    cost:
      amount === undefined
        ? before.cost
        : amount === ''
          ? null
          : { amount: Math.round(numberOf(amount)! * 100), currency: cell('currency') || 'EUR' },
    notes: cell('notes') ?? before.notes,
  }
}

/** However they are ordered, a table has them by their use. */
function sameNames(one: SourceFacts['names'], other: SourceFacts['names']) {
  const sorted = (names: SourceFacts['names']) =>
    names
      .map((name) => JSON.stringify(name))
      .sort()
      .join()
  return sorted(one) === sorted(other)
}
