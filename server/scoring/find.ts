import type { Stage } from '#contract/applications'
import { type Criterion, summarise } from '#core/scoring/score'
import { rowOf, rowsOf } from '../database/rows'
import { Score, ScoreSheet } from './model'

export type Sheet = { version: number; criteria: Criterion[]; reviewers: number; hideNames: boolean }

/** The score sheet of a vacancy; one that asks nothing where none was agreed. */
export async function sheetOf(vacancyId: string): Promise<Sheet> {
  const sheet = await rowOf(ScoreSheet, { vacancyId })
  if (!sheet) return { version: 0, criteria: [], reviewers: 2, hideNames: false }
  const { version, criteria, reviewers, hideNames } = sheet
  return { version, criteria, reviewers, hideNames }
}

/** Whether names and papers of an application are hidden as it stands. */
export const hidesName = async ({ stage, vacancyId }: { stage: Stage; vacancyId: string }): Promise<boolean> =>
  stage === 'sent' && (await sheetOf(vacancyId)).hideNames

/** The scores of an application, those handed in first among them. */
export async function scoresOf(applicationId: string) {
  const scores = await rowsOf(Score, { applicationId }, ['handedInAt', 'reviewer'])
  return scores.map((score) => ({
    score,
    reviewerId: score.reviewerId,
    reviewer: score.reviewer,
    points: score.points,
    handedIn: Boolean(score.handedInAt),
  }))
}

/** What the scores of an application come to for the queues: once enough are in, their per cent. */
export async function scoreFor({ id, vacancyId }: { id: string; vacancyId: string }) {
  const { criteria, reviewers, hideNames } = await sheetOf(vacancyId)
  const scores = criteria.length === 0 ? [] : await scoresOf(id)
  const reviews = scores.filter(({ handedIn }) => handedIn).length
  return {
    hideNames,
    criteria: criteria.length,
    reviews,
    waiting: criteria.length === 0 ? 0 : Math.max(0, reviewers - reviews),
    percent: reviews >= reviewers ? (summarise(criteria, scores)?.percent ?? null) : null,
  }
}

/** How far an application is scored; nothing where its vacancy has no criteria. */
export const scoringIn = ({ reviews, waiting, percent, criteria }: Awaited<ReturnType<typeof scoreFor>>) =>
  criteria === 0 ? null : { handedIn: reviews, of: reviews + waiting, percent }
