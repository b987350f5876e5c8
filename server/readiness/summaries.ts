import { type Queue, queues } from '#contract/desk'
import { type Effect, effectsOf } from '#core/events/events'
import { partition } from '#core/groupBy'
import { isActive, isBeforeOffer, isCleared, isSent, isUndecided } from '#core/hiring/stages'
import { firstLook } from '#core/requirements/firstLook'
import type { Outcome } from '#core/requirements/requirement'
import { validityOn } from '#core/validity/validity'
import type { StoredValue } from '#core/words/stored'
import type { Change } from '../platform/changes'
import { lockOf } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { candidatesById } from '../records/accounts/candidate'
import { answersSentOf, applicationsById, applicationsOf, sentApplicationsOf } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { askedAmong } from '../records/conversations/find'
import { withOpenDuplicates } from '../records/duplicates/open'
import { ApplicationSummary } from '../records/hiring/model'
import { copySlack } from '../records/hiring/slack'
import { writtenToUsAmong } from '../records/mails/waiting'
import { refusedAmong } from '../records/messages/refused'
import { type scoreFor, scoresFor } from '../records/scoring/find'
import { vacancyById } from '../records/vacancies/vacancies'
import { forecastsAnew, type LikelyDate } from './forecast'
import { fadingOfCleared, leadDaysOf, promisedTo, queueReasons, reasonsOfAsked, titleOf } from './queues'
import { type Readiness, readinessOfAll } from './readiness'

const mostMarks = 6
const mostOfVacancy = 5000
/** How many are worth computing side by side. */
export const atOnce = 16

/** Brings up to date whatever changes concern, each summary once. */
export async function refreshChanged(deps: Deps, changes: readonly Change[]) {
  const about = (effect: Effect, key: 'applicationId' | 'candidateId' | 'vacancyId') =>
    changes.flatMap((change) => (effectsOf(change.code).includes(effect) ? (change[key] ?? []) : []))
  const ids = new Set(about('application', 'applicationId'))
  // One that is still being written has no summary.
  for (const candidateId of new Set(about('file', 'candidateId')))
    for (const application of await applicationsOf(candidateId)) if (isSent(application)) ids.add(application.id)
  for (const vacancyId of new Set(about('score sheet', 'vacancyId')))
    for (const application of await sentApplicationsOf(vacancyId, mostOfVacancy))
      if (isUndecided(application)) ids.add(application.id)
  for (const vacancyId of new Set(about('who waits', 'vacancyId')))
    for (const application of await sentApplicationsOf(vacancyId, mostOfVacancy))
      if (isBeforeOffer(application)) ids.add(application.id)
  // In one order, so that two who refresh the same wait for each other and do not block one another.
  const all = [...ids].sort()
  for (let from = 0; from < all.length; from += atOnce) await refreshSummaries(deps, all.slice(from, from + atOnce))
}

/** Puts a vacancy's title into the summaries that bear it. */
export async function copyTitles(_deps: Deps, changes: readonly Change[]) {
  for (const vacancyId of new Set(changes.flatMap((change) => change.vacancyId ?? []))) {
    const { title } = await vacancyById(vacancyId)
    await ApplicationSummary.update({ vacancy: title }, { where: { vacancyId } })
  }
}

/** Computes how applications stand and keeps it for the queues; many at once cost little more than one. */
export async function refreshSummaries(deps: Deps, applicationIds: readonly string[]) {
  await lockSummaries(applicationIds)
  const applications = await applicationsById(applicationIds)
  const people = await peopleOf(applications)
  const [standing, gone] = partition(applications, (one) => isSent(one) && people.has(one.candidateId))
  if (gone.length > 0) await ApplicationSummary.destroy({ where: { applicationId: gone.map(({ id }) => id) } })
  if (standing.length === 0) return
  const scored = await scoresFor(standing)
  const nameless = (application: Pick<Application, 'id' | 'stage'>) =>
    isUndecided(application) && scored.get(application.id)!.hideNames
  const [judged, refused, wroteToUs, asked, duplicates, sent] = await Promise.all([
    readinessOfAll(deps, standing, { nameless }),
    refusedAmong(standing.map(({ id }) => id)),
    writtenToUsAmong(standing.map(({ id }) => id)),
    askedAmong(standing.map(({ id }) => id)),
    withOpenDuplicates(standing.map(({ candidateId }) => candidateId)),
    answersSentOf(standing.map(({ id }) => id)),
  ])
  const likely = await forecastsAnew(
    deps,
    standing.map((application) => ({ application, readiness: judged.get(application.id)! })),
  )
  const rows = standing.map((application) =>
    summaryRow(deps, application, judged.get(application.id)!, {
      likely: likely.get(application.id)!,
      name: people.get(application.candidateId)!,
      refused: refused.has(application.id),
      wroteToUs: wroteToUs.has(application.id),
      asked: asked.has(application.id),
      scored: scored.get(application.id)!,
      hidesName: nameless(application),
      duplicates: duplicates.has(application.candidateId),
      sentAnswers: sent.get(application.id),
    }),
  )
  await ApplicationSummary.bulkCreate(rows, { updateOnDuplicate: columns() })
  await copySlack(rows)
}

/**
 * Of two transactions that change the same file each sums it up with what the other has changed: the second waits here
 * until the first is through, and reads what it rests on only then.
 */
async function lockSummaries(applicationIds: readonly string[]) {
  await ApplicationSummary.findAll({
    where: { applicationId: [...applicationIds] },
    attributes: ['applicationId'],
    order: ['applicationId'],
    ...lockOf(),
  })
}

const columns = () =>
  (Object.keys(ApplicationSummary.getAttributes()) as (keyof ApplicationSummary['_attributes'])[]).filter(
    (name) => name !== 'applicationId',
  )

type Beside = {
  likely: LikelyDate
  name: string
  refused: boolean
  wroteToUs: boolean
  asked: boolean
  scored: Awaited<ReturnType<typeof scoreFor>>
  hidesName: boolean
  duplicates: boolean
  sentAnswers: Application['answers'] | undefined
}

function summaryRow(
  deps: Deps,
  application: Application,
  readiness: Readiness,
  beside: Beside,
): ApplicationSummary['_creationAttributes'] {
  const { vacancy, outcomes, rules, facts } = readiness
  const { likely, name, refused, wroteToUs, asked, scored, hidesName, duplicates, sentAnswers } = beside
  const active = isActive(application)
  const look = firstLook(outcomes, rules.form, application.answers, facts.answers)
  const reasons = active
    ? queueReasons(application, readiness, {
        likely,
        changed: readiness.reopenings.some(({ state }) => state === 'changed'),
        refused,
        wroteToUs,
        asked,
        promised: promisedTo(application, readiness),
        scoresAwaited: scored.waiting,
        duplicates,
      })
    : { ...(isCleared(application) ? fadingOfCleared(readiness) : {}), ...reasonsOfAsked(asked) }
  return {
    applicationId: application.id,
    vacancyId: vacancy.id,
    candidate: hidesName ? (application.reference ?? '') : name,
    vacancy: vacancy.title,
    slack: likely.slack,
    early: likely.early,
    likely: likely.likely,
    late: likely.late,
    heldUpBy: likely.heldUpBy ? heldUpBy(likely.heldUpBy.outcome) : null,
    marks: marksOf(readiness),
    reasons,
    ...(Object.fromEntries(queues.map((queue) => [queue, reasons[queue] !== undefined])) as Record<Queue, boolean>),
    computedAt: deps.clock.now(),
    candidateId: application.candidateId,
    stage: application.stage,
    reference: application.reference ?? null,
    sentAt: application.sentAt ?? null,
    eligible: look.eligible,
    metCount: look.settled.done,
    ofCount: look.settled.of,
    blanks: look.blanks.length,
    changes: changesSince(sentAnswers, application.answers),
    score: scored.percent ?? -1,
    reviews: scored.reviews,
    hidesName,
    duplicates,
  }
}

/** The names of those whose applications these are, without files that are sealed or erased. */
async function peopleOf(applications: readonly Application[]): Promise<Map<string, string>> {
  const people = await candidatesById([...new Set(applications.map(({ candidateId }) => candidateId))])
  return new Map(people.flatMap(({ id, name, erasedAt, eraseOn }) => (erasedAt || eraseOn ? [] : [[id, name]])))
}

const changesSince = (sent: Application['answers'] | undefined, now: Application['answers']) => {
  const before = sent ?? {}
  const keys = new Set([...Object.keys(before), ...Object.keys(now)])
  return sent ? [...keys].filter((key) => JSON.stringify(before[key]) !== JSON.stringify(now[key])).length : 0
}

/** Who holds a person up, as briefly as a headline. */
export function heldUpBy(outcome: Outcome): StoredValue {
  const source = 'source' in outcome.reason ? outcome.reason.source : undefined
  return source ? { list: [titleOf(outcome), source] } : titleOf(outcome)
}

/** The marks beside a name: the claims that requirements rest on, those that need care first. */
function marksOf({ facts, outcomes }: Readiness): string[] {
  const wanted = new Set(outcomes.flatMap(({ claims }) => claims))
  const marks = facts.claims
    .filter(({ id, kind }) => wanted.has(id) || kind === 'study' || kind === 'licence')
    .map((claim) => {
      if (!claim.term || claim.rung === 'contradicted') return claim.rung
      const { state } = validityOn(facts.today, claim.term, leadDaysOf(claim.credential))
      if (state === 'lapsed') return 'lapsed'
      const early = outcomes.some(({ reason, claims }) => reason.code === 'lapses-early' && claims.includes(claim.id))
      return state === 'expiring' || early ? 'expiring' : claim.rung
    })
  return marks.slice(0, mostMarks)
}
