import { QueryTypes } from 'sequelize'
import { groupBy } from '#core/groupBy'
import { isBeforeOffer, type Stage } from '#core/hiring/stages'
import type { Deps } from '../platform/deps'
import { questionsUntil } from './asked'
import { figure } from './figure'
import { given, type Period } from './filter'

type Row = { stage: Stage; promised: string; heardOn: string | null }

/** Whether people heard by the day they were promised, and whether sources answered by the day they were asked to. */
export async function promises(deps: Deps, period: Period) {
  return [await decisions(deps, period), await answers(deps, period)]
}

/** Who has withdrawn before the day was promised nothing any more. */
async function decisions(deps: Deps, period: Period) {
  const today = deps.clock.today().toString()
  const rows = await deps.sequelize.query<Row>(
    `SELECT a.stage, COALESCE(a.toldDecisionDay, v.decidesOn) AS promised,
            DATE(COALESCE((SELECT g.passedAt FROM gate_passages g WHERE g.applicationId = a.id AND g.gate = 'offer'), a.endedAt)) AS heardOn
     FROM applications a JOIN vacancies v ON v.id = a.vacancyId
     WHERE a.sentAt IS NOT NULL AND COALESCE(a.toldDecisionDay, v.decidesOn) BETWEEN :from AND :to
       AND NOT (a.stage = 'withdrawn' AND DATE(a.endedAt) <= COALESCE(a.toldDecisionDay, v.decidesOn))
       ${period.inVacancy('a.vacancyId')}`,
    { replacements: given(period), type: QueryTypes.SELECT },
  )
  const outcome = ({ stage, promised, heardOn }: Row) => {
    if (heardOn !== null) return heardOn <= promised ? 'kept' : 'late'
    return promised < today && isBeforeOffer({ stage }) ? 'late' : 'waiting'
  }
  return figure(
    'decisions',
    { month: 'month', kept: 'count', late: 'count', waiting: 'count' },
    byMonth(rows, ({ promised }) => promised, outcome, ['kept', 'late', 'waiting']),
    { kind: 'stacked', series: ['kept', 'late', 'waiting'] },
  )
}

async function answers(deps: Deps, period: Period) {
  const { from, to, vacancyId } = period
  const today = deps.clock.today().toString()
  const asked = (await questionsUntil(deps, period.until)).filter(
    ({ answerBy, vacancyId: of }) => answerBy >= from && answerBy <= to && (!vacancyId || of === vacancyId),
  )
  const outcome = ({ answered, endedAt, answerBy }: (typeof asked)[number]) => {
    const on = endedAt === null ? null : new Date(endedAt * 86_400_000).toISOString().slice(0, 10)
    if (answered && on) return on <= answerBy ? 'inTime' : 'late'
    return answerBy < today ? 'late' : 'waiting'
  }
  return figure(
    'answersInTime',
    { month: 'month', inTime: 'count', late: 'count', waiting: 'count' },
    byMonth(asked, ({ answerBy }) => answerBy, outcome, ['inTime', 'late', 'waiting']),
    { kind: 'stacked', series: ['inTime', 'late', 'waiting'] },
  )
}

/** How many of each month came out in each way. */
function byMonth<Of, Way extends string>(
  all: readonly Of[],
  dayOf: (one: Of) => string,
  outcome: (one: Of) => Way,
  ways: readonly Way[],
) {
  return [...groupBy(all, (one) => dayOf(one).slice(0, 7))]
    .sort(([one], [other]) => one.localeCompare(other))
    .map(([month, some]) => ({
      month,
      ...(Object.fromEntries(ways.map((way) => [way, some.filter((one) => outcome(one) === way).length])) as Record<
        Way,
        number
      >),
    }))
}
