import { QueryTypes } from 'sequelize'
import { dayAt } from '#core/dates/zoned'
import { isBeforeOffer, type Stage } from '#core/hiring/stages'
import type { Deps } from '../platform/deps'
import { isoDayOf, questionsUntil } from './asked'
import { byMonth, figure } from './figure'
import { given, type Period } from './filter'

type Row = { stage: Stage; promised: string; offeredAt: Date | string | null; endedAt: Date | string | null }

/** Whether people heard by the day they were promised, and whether sources answered by the day they were asked to. */
export async function promises(deps: Deps, period: Period) {
  return [await decisions(deps, period), await answers(deps, period)]
}

/** Who has withdrawn before the day was promised nothing any more. */
async function decisions(deps: Deps, period: Period) {
  const today = deps.clock.today().toString()
  const { timeZone } = deps.organisation
  const rows = await deps.sequelize.query<Row>(
    `SELECT a.stage, COALESCE(a.toldDecisionDay, v.decidesOn) AS promised, a.endedAt,
            (SELECT g.passedAt FROM gate_passages g WHERE g.applicationId = a.id AND g.gate = 'offer') AS offeredAt
     FROM applications a JOIN vacancies v ON v.id = a.vacancyId
     WHERE a.sentAt IS NOT NULL AND COALESCE(a.toldDecisionDay, v.decidesOn) BETWEEN :from AND :to
       ${period.inVacancy('a.vacancyId')}`,
    { replacements: given(period), type: QueryTypes.SELECT },
  )
  const promised = rows
    .map(({ offeredAt, endedAt, ...row }) => {
      const heard = offeredAt ?? endedAt
      return { ...row, heardOn: heard === null ? null : dayAt(new Date(heard), timeZone).toString() }
    })
    .filter(({ stage, promised: by, heardOn }) => stage !== 'withdrawn' || heardOn === null || heardOn > by)
  const outcome = ({ stage, promised: by, heardOn }: (typeof promised)[number]) => {
    if (heardOn !== null) return heardOn <= by ? 'kept' : 'late'
    return by < today && isBeforeOffer({ stage }) ? 'late' : 'waiting'
  }
  return figure(
    'decisions',
    { month: 'month', kept: 'count', late: 'count', waiting: 'count' },
    counted(promised, ({ promised: by }) => by, outcome, ['kept', 'late', 'waiting']),
    { kind: 'stacked', series: ['kept', 'late', 'waiting'] },
  )
}

/** What we called off by its day was not owed any more. */
async function answers(deps: Deps, period: Period) {
  const { from, to, vacancyId } = period
  const today = deps.clock.today().toString()
  const asked = (await questionsUntil(deps, period.until))
    .map(({ endedAt, ...question }) => ({ ...question, endedOn: endedAt === null ? null : isoDayOf(endedAt, deps) }))
    .filter(({ answerBy, vacancyId: of }) => answerBy >= from && answerBy <= to && (!vacancyId || of === vacancyId))
    .filter(({ answered, endedOn, answerBy }) => answered || endedOn === null || endedOn > answerBy)
  const outcome = ({ answered, endedOn, answerBy }: (typeof asked)[number]) => {
    if (answered && endedOn) return endedOn <= answerBy ? 'inTime' : 'late'
    return answerBy < today ? 'late' : 'waiting'
  }
  return figure(
    'answersInTime',
    { month: 'month', inTime: 'count', late: 'count', waiting: 'count' },
    counted(asked, ({ answerBy }) => answerBy, outcome, ['inTime', 'late', 'waiting']),
    { kind: 'stacked', series: ['inTime', 'late', 'waiting'] },
  )
}

/** How many of each month came out in each way. */
function counted<Of, Way extends string>(
  all: readonly Of[],
  dayOf: (one: Of) => string,
  outcome: (one: Of) => Way,
  ways: readonly Way[],
) {
  return byMonth(all, dayOf).map(([month, some]) => {
    const ofWay = (way: Way) => some.filter((one) => outcome(one) === way).length
    return { month, ...(Object.fromEntries(ways.map((way) => [way, ofWay(way)])) as Record<Way, number>) }
  })
}
