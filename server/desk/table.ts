import { Op, type WhereOptions } from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import { mostCounted, type TableFilter, type TableRow } from '#contract/lists'
import { namePartsOf } from '#core/comparison/keys'
import { beginOf } from '#core/dates/zoned'
import { readReference } from '#core/references/reference'
import { writeValue } from '#core/words/stored'
import { countUpTo } from '../platform/database/countUpTo'
import { plainRowsOf } from '../platform/database/rows'
import type { Account, Deps } from '../platform/deps'
import { whereInSight } from '../records/applications/sight'
import { ApplicationSummary } from '../records/hiring/model'
import { problems } from './problems'

const page = 50

type Ours = Pick<Deps, 'organisation'>

type Ordering = { column: 'slack' | 'sentAt' | 'score' | 'candidate'; direction: 'ASC' | 'DESC' }

const orderings: Record<NonNullable<TableFilter['order']>, Ordering> = {
  slack: { column: 'slack', direction: 'ASC' },
  sent: { column: 'sentAt', direction: 'DESC' },
  score: { column: 'score', direction: 'DESC' },
  name: { column: 'candidate', direction: 'ASC' },
}

/** A page of the table. `after` is the `next` of the page before: where its last row stands in the order. */
export async function readTable(deps: Ours, actor: Account, { after, ...filter }: TableFilter & { after?: string }) {
  const rows = await tableRows(deps, actor, filter, after, page + 1)
  const last = rows.length > page ? rows[page - 1] : undefined
  return {
    rows: rows.slice(0, page).map(tableRow),
    next: last ? placeOf(last, filter) : null,
    total: await countUpTo(ApplicationSummary, mostCounted + 1, whereOf(deps, actor, filter)),
  }
}

/** Rows in their order, from behind a place in it. */
export function tableRows(
  deps: Ours,
  actor: Account,
  filter: TableFilter,
  after: string | undefined,
  most: number,
): Promise<Row[]> {
  const { column, direction } = orderings[filter.order ?? 'slack']
  const beyond = after ? beyondPlace(after, column, direction) : {}
  return plainRowsOf(ApplicationSummary, shown, {
    where: { [Op.and]: [whereOf(deps, actor, filter), beyond] } as WhereOptions,
    order: [
      [column, direction],
      ['applicationId', direction],
    ],
    most,
  })
}

const shown = [
  'applicationId',
  'candidate',
  'reference',
  'vacancy',
  'stage',
  'sentAt',
  'metCount',
  'ofCount',
  'eligible',
  'blanks',
  'changes',
  'reviews',
  'score',
  'slack',
  'likely',
  'heldUpBy',
  'duplicates',
] as const
type Row = Pick<ApplicationSummary, (typeof shown)[number]>

export function placeOf(row: Row, { order }: TableFilter): string {
  const value = row[orderings[order ?? 'slack'].column]
  return JSON.stringify([value instanceof Date ? value.toISOString() : value, row.applicationId])
}

function beyondPlace(after: string, column: Ordering['column'], direction: Ordering['direction']) {
  const [text, id] = readPlace(after)
  const value = column === 'sentAt' && typeof text === 'string' ? new Date(text) : text
  const further = direction === 'ASC' ? Op.gt : Op.lt
  return {
    [Op.or]: [{ [column]: { [further]: value } }, { [column]: value, applicationId: { [further]: id } }],
  }
}

function readPlace(text: string): [string | number, string] {
  try {
    const place: unknown = JSON.parse(text)
    if (Array.isArray(place) && place.length === 2 && typeof place[1] === 'string') return place as [string, string]
  } catch {
    // Said below.
  }
  throw problems.invalid()
}

/** What a filter asks of a row that somebody may see, its days being those of the organisation. Hidden names are not searched. */
export function whereOf(
  { organisation: { timeZone, referencePrefix } }: Ours,
  actor: Pick<Account, 'vacancies'>,
  filter: TableFilter,
): WhereOptions {
  const { vacancy, stage, eligible, sentFrom, sentTo, late, blanks, changed, duplicates, unscored, text } = filter
  const parts: object[] = [whereInSight(actor)]
  if (vacancy) parts.push({ vacancyId: vacancy })
  if (stage) parts.push({ stage })
  if (eligible) parts.push({ eligible })
  const beginning = (day: string, later = 0) => beginOf(Temporal.PlainDate.from(day).add({ days: later }), timeZone)
  if (sentFrom) parts.push({ sentAt: { [Op.gte]: beginning(sentFrom) } })
  if (sentTo) parts.push({ sentAt: { [Op.lt]: beginning(sentTo, 1) } })
  if (late) parts.push({ slack: { [Op.lt]: 0 } })
  if (blanks) parts.push({ blanks: { [Op.gt]: 0 } })
  if (changed) parts.push({ changes: { [Op.gt]: 0 } })
  if (duplicates) parts.push({ duplicates: true })
  if (unscored) parts.push({ score: -1 })
  const words = text?.trim()
  if (words) parts.push(whereText(words, referencePrefix))
  return { [Op.and]: parts } as WhereOptions
}

function whereText(words: string, prefix: string) {
  const reading = readReference(prefix, words)
  if (reading.ok) return { reference: reading.reference }
  const begins = namePartsOf(words)[0] ?? words
  const safe = begins.replace(/[^a-z0-9]/g, '')
  // A part of the name begins with it; the keys are folded, so any spelling does.
  return {
    hidesName: false,
    candidateId: {
      [Op.in]: ApplicationSummary.sequelize!.literal(
        `(SELECT candidateId FROM candidate_keys WHERE kind = 'n' AND value LIKE ${ApplicationSummary.sequelize!.escape(`${safe}%`)})`,
      ),
    },
  }
}

/** A row as it is shown. */
export const tableRow = (row: Row): TableRow => ({
  id: row.applicationId,
  name: row.candidate,
  reference: row.reference,
  vacancy: row.vacancy,
  stage: row.stage,
  sentAt: row.sentAt?.toISOString() ?? null,
  met: { done: row.metCount, of: row.ofCount },
  eligible: row.eligible,
  blanks: row.blanks,
  changes: row.changes,
  reviews: row.reviews,
  score: row.score < 0 ? null : row.score,
  slack: row.slack,
  likely: row.likely,
  heldUpBy: row.heldUpBy === null ? null : writeValue(row.heldUpBy),
  duplicates: row.duplicates,
})
