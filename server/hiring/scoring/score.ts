import { isUndecided } from '#core/hiring/stages'
import type { Points } from '#core/scoring/score'
import { isComplete, summarise, visibleTo } from '#core/scoring/score'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import type { Account, Deps } from '../../platform/deps'
import { invalidField } from '../../platform/errors/problems'
import { sentApplication } from '../../records/applications/find'
import { scoresOf, sheetOf } from '../../records/scoring/find'
import { Score } from '../../records/scoring/model'
import { problems } from '../problems'

/** One's own score of an application; those of others, and what they come to, once enough are in. */
export async function readScores(actor: Account, applicationId: string) {
  const application = await sentApplication(applicationId)
  const { criteria, reviewers } = await sheetOf(application.vacancyId)
  const scores = await scoresOf(applicationId)
  const seen = visibleTo(actor.id, scores, reviewers)
  const line = ({ score }: (typeof scores)[number]) => ({
    reviewer: score.reviewer,
    points: score.points as Record<string, number>,
    note: score.note,
    handedInAt: score.handedInAt?.toISOString() ?? null,
  })
  const own = scores.find(({ reviewerId }) => reviewerId === actor.id)
  const others = seen.filter(({ reviewerId }) => reviewerId !== actor.id)
  const handedIn = scores.filter((score) => score.handedIn).length
  return {
    criteria,
    reviewers,
    handedIn,
    own: own ? line(own) : null,
    others: others.map(line),
    summary: (handedIn >= reviewers && (!own || own.handedIn) && summarise(criteria, scores)) || null,
    open: isUndecided(application),
  }
}

/** Keeps somebody's points. Handed in, they stay as they are. */
export async function saveScore(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { points, note, handIn }: { points: Points; note: string; handIn: boolean },
) {
  const application = await sentApplication(applicationId, { lock: true })
  if (!isUndecided(application)) throw problems.scored()
  const { criteria, reviewers } = await sheetOf(application.vacancyId, { lock: true })
  if (criteria.length === 0) throw problems.noSheet()
  const unknown = Object.keys(points).find((key) => !criteria.some((criterion) => criterion.key === key))
  if (unknown) throw invalidField(`/body/points/${unknown}`, say('problem.theScoreSheetDoesNot'))
  for (const { key, most } of criteria)
    if ((points[key] ?? 0) > most) throw invalidField(`/body/points/${key}`, say('problem.atMostPointsCanBe', { most }))
  if (handIn && !isComplete(criteria, points))
    throw invalidField('/body/points', say('problem.everyCriterionNeedsItsPoints'))
  const before = await Score.findOne({ where: { applicationId, reviewerId: actor.id } })
  if (before?.handedInAt) throw problems.handedIn()
  await Score.upsert({
    applicationId,
    reviewerId: actor.id,
    reviewer: actor.name,
    points,
    note: note.trim(),
    savedAt: deps.clock.now(),
    handedInAt: handIn ? deps.clock.now() : null,
  })
  if (!handIn) return { handedIn: false }
  const scored = await scoresOf(applicationId)
  const count = scored.filter(({ handedIn }) => handedIn).length
  await recordEvent(deps, actor, {
    code: 'score-handed-in',
    values: { nth: count, of: reviewers },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId,
    details: { points },
  })
  return { handedIn: true }
}
