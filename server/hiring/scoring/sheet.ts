import { QueryTypes } from 'sequelize'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { putVersion } from '../../platform/database/compareAndSet'
import type { Account, Deps } from '../../platform/deps'
import { invalidField, requireVersion } from '../../platform/errors/problems'
import { type Sheet, sheetOf } from '../../records/scoring/find'
import { ScoreSheet } from '../../records/scoring/model'
import { vacancyById } from '../../records/vacancies/vacancies'
import { problems } from '../problems'

/** How many scores are handed in. With `latest` those that came in since the transaction began count too. */
const usedBy = async ({ sequelize }: Deps, vacancyId: string, { latest = false } = {}) => {
  const [row] = await sequelize.query<{ used: number | bigint }>(
    `SELECT COUNT(*) AS used FROM scores s JOIN applications a ON a.id = s.applicationId WHERE a.vacancyId = :vacancyId AND s.handedInAt IS NOT NULL${latest ? ' LOCK IN SHARE MODE' : ''}`,
    { replacements: { vacancyId }, type: QueryTypes.SELECT },
  )
  return Number(row!.used)
}

export async function readScoreSheet(deps: Deps, vacancyId: string) {
  await vacancyById(vacancyId)
  return { ...(await sheetOf(vacancyId)), used: await usedBy(deps, vacancyId) }
}

export async function saveScoreSheet(deps: Deps, actor: Account, vacancyId: string, { version, ...agreed }: Sheet) {
  const vacancy = await vacancyById(vacancyId)
  const before = await sheetOf(vacancyId, { lock: true })
  requireVersion(version, before.version, before)
  const keys = agreed.criteria.map(({ key }) => key)
  if (new Set(keys).size < keys.length) throw invalidField('/body/criteria', say('problem.twoCriteriaHaveTheSame'))
  if (agreed.criteria.some(({ title }) => title.trim() === ''))
    throw invalidField('/body/criteria', say('problem.everyCriterionNeedsAName'))
  const used = await usedBy(deps, vacancyId, { latest: true })
  if (used > 0 && JSON.stringify(agreed.criteria) !== JSON.stringify(before.criteria)) throw problems.sheetUsed()
  await putVersion(ScoreSheet, { vacancyId }, version, agreed)
  await recordEvent(deps, actor, {
    code: 'score-sheet-saved',
    vacancyId,
    words: agreed.hideNames ? 'score-sheet-saved.namesHidden' : 'score-sheet-saved',
    values: { criteria: agreed.criteria.length, vacancy: vacancy.title, reviewers: agreed.reviewers },
    about: vacancy.title,
    details: agreed,
  })
  return { ...agreed, version: version + 1, used }
}
