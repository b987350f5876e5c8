import { isUndecided, type Stage } from '#core/hiring/stages'
import { type Criterion, summarise } from '#core/scoring/score'
import { rowOf, rowsOf } from '../../platform/database/rows'
import { Score, ScoreSheet } from './model'

export type Sheet = { version: number; criteria: Criterion[]; reviewers: number; hideNames: boolean }

const unscored: Sheet = { version: 0, criteria: [], reviewers: 2, hideNames: false }

/**
 * The score sheet of a vacancy; one that asks nothing where none was agreed.
 *
 * @param lock keeps it as it is until the transaction ends: no score comes in on criteria that are being changed
 */
export async function sheetOf(vacancyId: string, { lock = false } = {}): Promise<Sheet> {
  const sheet = lock ? await ScoreSheet.findByPk(vacancyId, { lock }) : await rowOf(ScoreSheet, { vacancyId })
  if (!sheet) return unscored
  const { version, criteria, reviewers, hideNames } = sheet
  return { version, criteria, reviewers, hideNames }
}

/** Whether names and papers of an application are hidden as it stands. */
export const hidesName = async (application: { stage: Stage; vacancyId: string }): Promise<boolean> =>
  isUndecided(application) && (await sheetOf(application.vacancyId)).hideNames

/** The scores of an application, those handed in first among them. */
export async function scoresOf(applicationId: string) {
  const scores = await rowsOf(Score, { applicationId }, ['handedInAt', 'reviewer'])
  return scores.map(asScored)
}

const asScored = (score: Score) => ({
  score,
  reviewerId: score.reviewerId,
  reviewer: score.reviewer,
  points: score.points,
  handedIn: Boolean(score.handedInAt),
})

type Scored = { id: string; vacancyId: string }

/** What the scores of an application come to for the queues: once enough are in, their per cent. */
export const scoreFor = async (application: Scored) => (await scoresFor([application])).get(application.id)!

/** The same for many applications. */
export async function scoresFor(applications: readonly Scored[]) {
  const [sheets, scores] = await Promise.all([
    rowsOf(ScoreSheet, { vacancyId: [...new Set(applications.map(({ vacancyId }) => vacancyId))] }),
    rowsOf(Score, { applicationId: applications.map(({ id }) => id) }, ['handedInAt', 'reviewer']),
  ])
  return new Map(
    applications.map(({ id, vacancyId }) => {
      const { criteria, reviewers, hideNames } = sheets.find((sheet) => sheet.vacancyId === vacancyId) ?? unscored
      const own = scores.filter(({ applicationId }) => applicationId === id).map(asScored)
      const reviews = criteria.length === 0 ? 0 : own.filter(({ handedIn }) => handedIn).length
      return [
        id,
        {
          hideNames,
          criteria: criteria.length,
          reviews,
          waiting: criteria.length === 0 ? 0 : Math.max(0, reviewers - reviews),
          percent: reviews >= reviewers ? (summarise(criteria, own)?.percent ?? null) : null,
        },
      ]
    }),
  )
}

/** How far an application is scored; nothing where its vacancy has no criteria. */
export const scoringIn = ({ reviews, waiting, percent, criteria }: Awaited<ReturnType<typeof scoreFor>>) =>
  criteria === 0 ? null : { handedIn: reviews, of: reviews + waiting, percent }
