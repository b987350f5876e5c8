import { Op, QueryTypes, type WhereOptions } from 'sequelize'
import { type EnquiryRow, queueStages } from '#contract/enquiries'
import { turns } from '#core/enquiries/enquiry'
import { isToApprove } from '#core/enquiries/settings'
import type { Channel } from '#core/sources/source'
import { writeValue } from '#core/words/stored'
import { countUpTo, selectText } from '../platform/database/countUpTo'
import type { Account, Deps } from '../platform/deps'
import { candidateNames } from '../records/accounts/candidate'
import { Claim } from '../records/claims/model'
import { Enquiry } from '../records/enquiries/model'
import { enquiryStage } from '../records/enquiries/standing'
import { ApplicationSummary } from '../records/hiring/model'
import { Source } from '../records/sources/model'
import { enquiriesInSight } from './inSight'
import { askedAs } from './wording'

const page = 50
/** Beyond that many nobody counts. */
const mostCounted = 1000
const mostSources = 5

export type Filter = {
  turn?: (typeof turns)[number]
  channel?: Channel
  country?: string
  sourceId?: string
  overdue?: 'yes'
  whose?: 'mine' | 'all'
}

/** A page of what is asked of whom: by the slack of the person, then by age. */
export async function listEnquiries(deps: Deps, actor: Account, { after, ...filter }: Filter & { after?: string }) {
  const where = await chosen(deps, actor, filter)
  const found = await pageOf(where, filter.turn, after)
  const last = found.length > page ? found[page - 1] : undefined
  const [rows, counts, most] = await Promise.all([
    rowsFor(deps, found.slice(0, page)),
    Promise.all(
      turns.map(async (turn) => [
        turn,
        await countUpTo(Enquiry, mostCounted, await chosen(deps, actor, { ...filter, turn })),
      ]),
    ),
    mostWaitedFor(where),
  ])
  return {
    rows,
    next: last ? `${last.slack}_${last.askedAt.getTime()}_${last.id}` : null,
    counts: Object.fromEntries(counts) as Record<(typeof turns)[number], number>,
    most,
  }
}

/**
 * The first behind a place, one more than a page. For each turn by itself, since an index is in order only within one: three short
 * reads in place of sorting everything that goes on.
 */
async function pageOf(where: WhereOptions, turn: Filter['turn'], after: string | undefined): Promise<Enquiry[]> {
  const parts = await Promise.all(
    (turn ? [turn] : turns).map((one) =>
      Enquiry.findAll({
        where: { [Op.and]: [where, { turn: one }, beyond(after)] } as WhereOptions,
        order: ['slack', 'askedAt', 'id'],
        limit: page + 1,
      }),
    ),
  )
  const key = (one: Enquiry) => [one.slack ?? 0, one.askedAt.getTime()] as const
  return parts
    .flat()
    .sort((a, b) => key(a)[0] - key(b)[0] || key(a)[1] - key(b)[1] || (a.id < b.id ? -1 : 1))
    .slice(0, page + 1)
}

/** What somebody sees of the queue: what goes on about those whose files they may see, and of theirs unless they ask for all. */
async function chosen(deps: Deps, actor: Account, filter: Filter): Promise<WhereOptions> {
  const { turn, channel, country, sourceId, overdue, whose = 'all' } = filter
  return {
    [Op.and]: [
      { turn: turn ?? [...turns] },
      ...(channel ? [{ channel }] : []),
      ...(country ? [{ country }] : []),
      ...(sourceId ? [{ sourceId }] : []),
      ...(overdue ? [{ state: 'open', answerBy: { [Op.lt]: deps.clock.today().toString() } }] : []),
      await enquiriesInSight(deps, actor, whose),
    ],
  } as WhereOptions
}

function beyond(after: string | undefined) {
  const [slack, at, id] = after?.split('_') ?? []
  if (!slack || !at || !id) return {}
  const askedAt = new Date(Number(at))
  return {
    [Op.or]: [
      { slack: { [Op.gt]: Number(slack) } },
      { slack: Number(slack), askedAt: { [Op.gt]: askedAt } },
      { slack: Number(slack), askedAt, id: { [Op.gt]: id } },
    ],
  }
}

/** The sources that most of the first of them wait for: one call settles several. */
async function mostWaitedFor(where: WhereOptions) {
  const first = selectText(Enquiry, {
    where: { [Op.and]: [where, { turn: 'source' }] } as WhereOptions,
    attributes: ['sourceId'],
    order: ['slack', 'askedAt', 'id'],
    limit: mostCounted,
  })
  const top = await Enquiry.sequelize!.query<{ sourceId: string; open: number | bigint }>(
    `SELECT sourceId, COUNT(*) AS open FROM (${first}) AS first GROUP BY sourceId HAVING open > 1 ORDER BY open DESC, sourceId LIMIT ${mostSources}`,
    { type: QueryTypes.SELECT },
  )
  const sources = await Source.findAll({
    where: { id: top.map(({ sourceId }) => sourceId) },
    attributes: ['id', 'name'],
  })
  return top.map(({ sourceId: id, open }) => ({
    ...{ id, open: Number(open) },
    name: sources.find((one) => one.id === id)?.name ?? '',
  }))
}

/** What the queue shows of enquiries, in their order. */
export async function rowsFor(deps: Deps, enquiries: readonly Enquiry[]): Promise<EnquiryRow[]> {
  const of = (key: 'claimId' | 'sourceId' | 'applicationId') => [...new Set(enquiries.map((enquiry) => enquiry[key]))]
  const [claims, sources, summaries] = await Promise.all([
    Claim.findAll({ where: { id: of('claimId') } }),
    Source.findAll({ where: { id: of('sourceId') }, attributes: ['id', 'name', 'country'] }),
    ApplicationSummary.findAll({
      where: { applicationId: of('applicationId') },
      attributes: ['applicationId', 'candidate', 'vacancy', 'hidesName'],
    }),
  ])
  const names = await candidateNames([...new Set(claims.map(({ candidateId }) => candidateId))])
  const today = deps.clock.today().toString()
  const { currency, enquiries: settings } = deps.organisation
  return enquiries.flatMap((enquiry) => {
    const claim = claims.find(({ id }) => id === enquiry.claimId)
    const source = sources.find(({ id }) => id === enquiry.sourceId)
    const summary = summaries.find(({ applicationId }) => applicationId === enquiry.applicationId)
    if (!claim || !source) return []
    return [
      {
        ...{
          id: enquiry.id,
          reference: enquiry.reference ?? null,
          applicationId: enquiry.applicationId,
          claimId: claim.id,
        },
        candidate: summary?.candidate ?? names.get(claim.candidateId) ?? '',
        vacancy: summary?.vacancy ?? '',
        slack: enquiry.slack ?? 0,
        claim: writeValue(askedAs(claim.details)),
        source: { id: source.id, name: source.name, country: source.country },
        channel: enquiry.channel,
        stage: stageOfRow(enquiry),
        turn: enquiry.turn ?? 'desk',
        askedAt: enquiry.askedAt.toISOString(),
        answerBy: enquiry.answerBy,
        overdue: enquiry.state === 'open' && enquiry.answerBy < today,
        dueOn: enquiry.dueOn ?? null,
        lacks: (enquiry.lacks ?? []).map(writeValue),
        cost: enquiry.cost ?? null,
        toApprove:
          enquiry.state === 'prepared' &&
          !enquiry.costApproved &&
          isToApprove(enquiry.cost ?? null, settings.costLimit, currency),
      },
    ]
  })
}

const ended = queueStages.filter((stage): stage is 'answered' | 'declined' | 'silent' =>
  ['answered', 'declined', 'silent'].includes(stage),
)
const stageOfRow = (enquiry: Enquiry) => ended.find((stage) => stage === enquiry.state) ?? enquiryStage(enquiry)
