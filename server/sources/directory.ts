import { literal, Op, type WhereOptions } from 'sequelize'
import type { SourceFilter, SourceState } from '#contract/sources'
import type { HitReason } from '#core/sources/rank'
import { contactFor, type SourceKind } from '#core/sources/source'
import { dayOfShare } from '#core/turnaround/kaplanMeier'
import type { Account, Deps } from '../platform/deps'
import { type Turnaround, turnaroundsOf } from '../readiness/turnaround'
import { othersBeside } from '../records/accounts/policies'
import { enquiryCounts } from '../records/enquiries/enquiries'
import { Source } from '../records/sources/model'
import { ProgrammeResearch } from '../records/sources/research'
import { searchSources } from '../records/sources/search'
import { sourceLine } from '../records/sources/sources'
import { currentWatchlist, sellerMatch } from '../records/sources/watchlist'
import { checkableBy } from './keep'

const page = 60
const mostFound = 40

export type Filter = { text?: string; kind?: SourceKind; country?: string; state?: SourceFilter; after?: string }

const inUse: SourceState[] = ['proposed', 'to check', 'checked']
const pairs =
  "SELECT oneId FROM source_pairs WHERE state = 'open' UNION SELECT otherId FROM source_pairs WHERE state = 'open'"
const inState = (state: SourceFilter | undefined): WhereOptions<Source> =>
  state === 'double' ? { id: { [Op.in]: literal(`(${pairs})`) } } : { state: state ?? inUse }

/** The directory, a page at a time in the order of names; where something is searched for, the best of what is found. */
export async function sourceDirectory(deps: Deps, actor: Account, filter: Filter) {
  const { rows, next } = filter.text?.trim() ? await found(filter) : await paged(filter)
  const [lines, waiting] = await Promise.all([directoryLines(deps, actor, rows), whatWaits()])
  return { rows: lines, next, waiting }
}

type Row = { source: Source; why: HitReason | null }

async function found({ text = '', kind, country, state }: Filter) {
  const hits = await searchSources(text, { kinds: kind && [kind], country: country || undefined }, mostFound)
  const ids = hits.map(({ source }) => source.id)
  const whole = new Map(
    (await Source.findAll({ where: { [Op.and]: [{ id: ids }, inState(state)] } })).map((source) => [source.id, source]),
  )
  const rows = hits.flatMap(({ source: { id }, why }): Row[] => {
    const source = whole.get(id)
    return source ? [{ source, why }] : []
  })
  return { rows, next: null }
}

/** Where a page begins, by the last of the one before; what is no such place is the beginning. */
function placeIn(after: string | undefined): [string, string] | [] {
  try {
    const place: unknown = after ? JSON.parse(Buffer.from(after, 'base64url').toString()) : []
    return Array.isArray(place) && place.length === 2 && place.every((part) => typeof part === 'string')
      ? (place as [string, string])
      : []
  } catch {
    return []
  }
}

async function paged({ kind, country, state, after }: Filter) {
  const [name, id] = placeIn(after)
  const where = {
    [Op.and]: [
      inState(state),
      ...(kind ? [{ kind }] : []),
      ...(country ? [{ country }] : []),
      ...(name === undefined ? [] : [{ [Op.or]: [{ name: { [Op.gt]: name } }, { name, id: { [Op.gt]: id } }] }]),
    ],
  } as WhereOptions<Source>
  const rows = await Source.findAll({ where, order: ['name', 'id'], limit: page + 1 })
  const shown = rows.slice(0, page)
  const last = rows.length > page ? shown.at(-1) : undefined
  return {
    rows: shown.map((source): Row => ({ source, why: null })),
    next: last ? Buffer.from(JSON.stringify([last.name, last.id])).toString('base64url') : null,
  }
}

async function directoryLines(deps: Deps, actor: Account, rows: readonly Row[]) {
  const [counts, turnarounds, beside, { watchlist }] = await Promise.all([
    enquiryCounts(rows.map(({ source }) => source.id)),
    turnaroundsOf(
      deps,
      rows.map(({ source }) => source),
    ),
    othersBeside(actor, 'source-check', 'sources.keep'),
    currentWatchlist(),
  ])
  return rows.map(({ source, why }) => ({
    ...sourceLine(source),
    ...standingOf(source),
    ...checkableBy(source, actor, beside),
    seller: sellerMatch(source, watchlist) ?? null,
    mail: contactFor(source.known, usualClaim[source.kind])?.mail ?? '',
    register: source.register,
    ...(counts.get(source.id) ?? { asked: 0, open: 0 }),
    medianDays: medianDaysOf(turnarounds.get(source.id)!),
    why,
  }))
}

/** Nothing of one that nobody has asked: all there would be to say is of others. */
const medianDaysOf = ({ own, pooled }: Turnaround): number | null =>
  own.length === 0 ? null : (dayOfShare(pooled.curve, 0.5) ?? null)

const usualClaim = {
  university: 'study',
  school: 'study',
  'licensing body': 'licence',
  certifier: 'certificate',
  insurer: 'certificate',
  employer: 'work',
  referee: 'work',
} as const satisfies Record<SourceKind, string>

export const standingOf = (source: Source) => ({
  state: source.state,
  version: source.version,
  enteredBy: source.enteredBy,
  checkedBy: source.checkedAt ? (source.checkedBy ?? '') : null,
})

/** How much of the directory somebody has to look at. */
async function whatWaits() {
  const [proposed, toCheck, doubles, research] = await Promise.all([
    Source.count({ where: inState('proposed') }),
    Source.count({ where: inState('to check') }),
    Source.count({ where: inState('double') }),
    ProgrammeResearch.count({ where: { state: ['open', 'second reader'] } }),
  ])
  return { proposed, toCheck, doubles, research }
}

/** Every line of the directory, page after page. */
export async function* wholeDirectory(deps: Deps, actor: Account) {
  for (let after: string | undefined; ; ) {
    const { rows, next } = await paged({ after })
    yield* await directoryLines(deps, actor, rows)
    if (!next) return
    after = next
  }
}
