import { QueryTypes } from 'sequelize'
import { activeStages, type Stage, stages } from '#core/hiring/stages'
import { competingEnds, type Stay } from '#core/turnaround/competingEnds'
import { dayOfShare, kaplanMeier } from '#core/turnaround/kaplanMeier'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { figure, percentOf } from './figure'
import { given, type Period } from './filter'

/** What a stay in a stage ends with: the next gate, or one of the ends. */
const ends = ['moved on', 'withdrawn', 'turned down', 'declined'] as const
type End = (typeof ends)[number]
type Active = 'sent' | 'shortlisted' | 'offered'
const active = activeStages as readonly Active[]

type Row = {
  stage: Stage
  sentAt: Date | string
  endedAt: Date | string | null
  shortlist: Date | string | null
  offer: Date | string | null
  start: Date | string | null
}

/** How long each stage takes and where people are lost; who is still there is counted for as long as they have been. */
export async function stageTimes(deps: Deps, period: Period) {
  const passed = (gate: string) =>
    `(SELECT g.passedAt FROM gate_passages g WHERE g.applicationId = a.id AND g.gate = '${gate}') AS ${gate}`
  const rows = await deps.sequelize.query<Row>(
    `SELECT a.stage, a.sentAt, a.endedAt, ${passed('shortlist')}, ${passed('offer')}, ${passed('start')}
     FROM applications a
     WHERE a.sentAt >= :since AND a.sentAt < :until AND a.stage <> 'being written' ${period.inVacancy('a.vacancyId')}`,
    { replacements: given(period), type: QueryTypes.SELECT },
  )
  const now = deps.clock.now()
  const stays = new Map<Active, Stay<End>[]>(
    active.map((stage) => [stage, rows.flatMap((row) => stayIn(stage, row, now))]),
  )
  return [
    figure(
      'stays',
      {
        ...{ stage: 'text', entered: 'count', movedOn: 'percent', lost: 'percent', still: 'percent' },
        ...{ median: 'days', eighty: 'days' },
      },
      active.map((stage) => ({ stage: say(`state.stage.${stage}`), ...summary(stays.get(stage)!) })),
      { kind: 'stacked', series: ['movedOn', 'lost', 'still'] },
      [say('statistics.note.stays')],
    ),
    figure(
      'lost',
      { stage: 'text', lostBy: 'text', lost: 'count', median: 'days' },
      active.flatMap((stage) =>
        ends.slice(1).flatMap((end) => {
          const gone = stays.get(stage)!.filter((stay) => stay.end === end)
          if (gone.length === 0) return []
          const median = dayOfShare(kaplanMeier(gone.map(({ days }) => ({ days, ended: true }))), 0.5) ?? null
          const lostBy = say(`state.stage.${end as Exclude<End, 'moved on'>}`)
          return [{ stage: say(`state.stage.${stage}`), lostBy, lost: gone.length, median }]
        }),
      ),
    ),
  ]
}

const beginsWith: Record<Active, 'sentAt' | 'shortlist' | 'offer'> = {
  ...{ sent: 'sentAt', shortlisted: 'shortlist', offered: 'offer' },
}
const endsWith: Record<Active, 'shortlist' | 'offer' | 'start'> = {
  ...{ sent: 'shortlist', shortlisted: 'offer', offered: 'start' },
}

function stayIn(stage: Active, row: Row, now: Date): Stay<End>[] {
  const began = row[beginsWith[stage]]
  if (began === null) return []
  const next = row[endsWith[stage]]
  const days = (until: Date | string) =>
    Math.max(0, Math.round((new Date(until).getTime() - new Date(began).getTime()) / 86_400_000))
  if (next !== null) return [{ days: days(next), end: 'moved on' }]
  const end = ends.find((one) => one === row.stage)
  // One that ended without a moment says nothing of how long it took.
  if (end) return row.endedAt === null ? [] : [{ days: days(row.endedAt), end }]
  return stages.indexOf(row.stage) > stages.indexOf(stage) ? [] : [{ days: days(now), end: null }]
}

function summary(stays: readonly Stay<End>[]) {
  const last = competingEnds(stays, ends).at(-1)
  const leaving = kaplanMeier(stays.map(({ days, end }) => ({ days, ended: end !== null })))
  const movedOn = last?.ended['moved on'] ?? 0
  const still = last?.stays ?? 1
  return {
    entered: stays.length,
    ...{ movedOn: percentOf(movedOn), lost: percentOf(1 - movedOn - still), still: percentOf(still) },
    ...{ median: dayOfShare(leaving, 0.5) ?? null, eighty: dayOfShare(leaving, 0.8) ?? null },
  }
}
