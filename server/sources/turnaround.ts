import { QueryTypes } from 'sequelize'
import type { Turnaround } from '#contract/turnaround'
import { dayOfShare, kaplanMeier, rangeOfShare, type Wait } from '#core/turnaround/kaplanMeier'
import { enoughOfItsOwn, fewestBeside, type Pooled, pooled, type Scope } from '#core/turnaround/pooled'
import type { Deps } from '../platform/deps'
import type { Source } from '../records/sources/model'
import { sourceById } from '../records/sources/sources'

/** So many of the newest of each scope: what is older says less of today. */
const most = 2000
const recentMonths = 6

/** Whose waits each scope has, beyond those of nearer ones. */
const whose: Readonly<Record<Scope, string>> = {
  source: 'e.sourceId = :id',
  'kind and country': 'e.sourceId <> :id AND s.kind = :kind AND s.country = :country',
  kind: 's.kind = :kind AND s.country <> :country',
  all: 's.kind <> :kind',
}

type Asked = Wait & { askedAt: Date }

/** How long a source takes to answer, drawn towards its like where it has answered little; the last months beside the time before. */
export async function readTurnaround(deps: Deps, id: string) {
  const source = await sourceById(id)
  const own = await waitsOf(deps, source, 'source')
  const waits: Record<Scope, Wait[]> = { source: own, 'kind and country': [], kind: [], all: [] }
  const answered = (some: readonly Wait[]) => some.filter(({ ended }) => ended).length
  if (answered(own) < enoughOfItsOwn)
    for (const scope of ['kind and country', 'kind', 'all'] as const) {
      waits[scope] = await waitsOf(deps, source, scope)
      if (answered([...waits['kind and country'], ...waits.kind, ...waits.all]) >= fewestBeside) break
    }
  const since = deps.clock.today().subtract({ months: recentMonths })
  const split = new Date(since.toZonedDateTime(deps.organisation.timeZone).epochMilliseconds)
  return {
    whole: shown(pooled(waits)),
    recent: shown(alone(own.filter(({ askedAt }) => askedAt >= split))),
    before: shown(alone(own.filter(({ askedAt }) => askedAt < split))),
    since: since.toString(),
  }
}

const alone = (own: readonly Wait[]): Pooled => {
  const curve = kaplanMeier(own)
  return { curve, own: { ended: curve.ended, open: curve.open }, beside: null }
}

/**
 * What was asked of people at sources: how many days it took or has taken until now. What ended without an answer was open until
 * then; registers and what candidates bring answer by themselves and do not count.
 */
async function waitsOf({ sequelize, clock }: Deps, { id, kind, country }: Source, scope: Scope): Promise<Asked[]> {
  const rows = await sequelize.query<{ hours: number | string; ended: number | bigint; askedAt: Date | string }>(
    `SELECT TIMESTAMPDIFF(HOUR, e.askedAt, COALESCE(e.answeredAt,
              (SELECT MAX(t.at) FROM enquiry_steps t WHERE t.enquiryId = e.id AND t.step IN ('declined', 'silent', 'withdrawn')), :now)) AS hours,
            e.state = 'answered' AS ended, e.askedAt
     FROM enquiries e JOIN sources s ON s.id = e.sourceId
     WHERE ${whose[scope]} AND e.state <> 'prepared' AND e.channel IN ('link', 'letter', 'telephone')
     ORDER BY e.askedAt DESC LIMIT :most`,
    { replacements: { id, kind, country, now: clock.now(), most }, type: QueryTypes.SELECT },
  )
  return rows.map(({ hours, ended, askedAt }) => ({
    // What comes back within a day took one.
    ...{ days: Math.max(1, Math.ceil(Number(hours) / 24)), ended: Number(ended) === 1, askedAt: new Date(askedAt) },
  }))
}

function shown({ curve, own, beside }: Pooled): Turnaround {
  const day = dayOfShare(curve, 0.5)
  const { from, to } = rangeOfShare(curve, 0.5)
  return {
    ...{ own, beside, steps: curve.steps, eighty: dayOfShare(curve, 0.8) ?? null },
    median: day === undefined ? null : { day, from: from ?? null, to: to ?? null },
  }
}
