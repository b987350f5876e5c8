import { Type } from '@sinclair/typebox'
import { endpoint } from './endpoint'
import { Id, Moment, orNull, Version } from './shapes'

const Criterion = Type.Object({
  key: Type.String({ minLength: 1, maxLength: 40 }),
  title: Type.String({ minLength: 1, maxLength: 120 }),
  lookFor: Type.String({ maxLength: 500 }),
  most: Type.Integer({ minimum: 1, maximum: 10 }),
  weight: Type.Integer({ minimum: 1, maximum: 5 }),
})
const Criteria = Type.Array(Criterion, { maxItems: 9 })
const Points = Type.Record(Type.String({ maxLength: 40 }), Type.Integer({ minimum: 0, maximum: 10 }))

const ScoreSheet = Type.Object({
  version: Version,
  criteria: Criteria,
  reviewers: Type.Integer({ minimum: 1, maximum: 5, description: 'How many score each application' }),
  hideNames: Type.Boolean({ description: 'Names and papers are hidden until the shortlist' }),
  used: Type.Integer({ description: 'Scores handed in on it' }),
})

const byVacancy = Type.Object({ id: Id })

export const readScoreSheet = endpoint({
  method: 'GET',
  path: '/api/desk/vacancies/:id/score-sheet',
  summary: 'What reviewers score applications of a vacancy by',
  access: 'files.read',
  params: byVacancy,
  reply: ScoreSheet,
  invalidates: ['rules', 'desk'],
})

export const saveScoreSheet = endpoint({
  method: 'PUT',
  path: '/api/desk/vacancies/:id/score-sheet',
  summary: 'Agree on criteria. They stay as they are once somebody has handed in a score',
  access: 'vacancies.set-up',
  params: byVacancy,
  body: Type.Object({
    version: Version,
    criteria: Criteria,
    reviewers: Type.Integer({ minimum: 1, maximum: 5 }),
    hideNames: Type.Boolean(),
  }),
  reply: ScoreSheet,
  invalidates: ['rules', 'desk'],
})

const Score = Type.Object({
  reviewer: Type.String(),
  points: Points,
  note: Type.String(),
  handedInAt: orNull(Moment),
})

export const readScores = endpoint({
  method: 'GET',
  path: '/api/desk/applications/:id/scores',
  summary: 'One’s own score, and those of others once enough are in',
  access: 'files.read',
  params: Type.Object({ id: Id }),
  reply: Type.Object({
    criteria: Criteria,
    reviewers: Type.Integer(),
    handedIn: Type.Integer(),
    own: orNull(Score),
    others: Type.Array(Score),
    summary: orNull(
      Type.Object({
        percent: Type.Integer(),
        criteria: Type.Array(
          Type.Object({
            key: Type.String(),
            mean: Type.Number(),
            least: Type.Integer(),
            most: Type.Integer(),
            apart: Type.Boolean(),
          }),
        ),
      }),
    ),
    open: Type.Boolean({ description: 'Scores are still taken' }),
  }),
  invalidates: ['desk'],
})

export const saveScore = endpoint({
  method: 'PUT',
  path: '/api/desk/applications/:id/scores',
  summary: 'Keep one’s points; handed in they stay as they are',
  access: 'applications.score',
  params: Type.Object({ id: Id }),
  body: Type.Object({ points: Points, note: Type.String({ maxLength: 2000 }), handIn: Type.Boolean() }),
  reply: Type.Object({ handedIn: Type.Boolean() }),
  invalidates: ['desk'],
})
