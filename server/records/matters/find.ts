import type { MatterFact } from '#core/requirements/matter'
import type { Requirement } from '#core/requirements/requirement'
import { rowsOf } from '../../platform/database/rows'
import { DeclaredMatter } from './model'

/** All that was ever decided about what candidates declared, the oldest first. */
export const mattersOfCandidates = (candidateIds: readonly string[]): Promise<DeclaredMatter[]> =>
  rowsOf(DeclaredMatter, { candidateId: [...candidateIds] }, ['createdAt', 'id'])

/** Decided matters as requirements of one application look at them, the newest first. */
export const matterFacts = (matters: readonly DeclaredMatter[], applicationId: string): MatterFact[] =>
  matters
    .flatMap((matter): MatterFact[] => {
      const { question, answer, explanation, outcome, decidedAt } = matter
      if (!outcome || !decidedAt) return []
      const decidedOn = decidedAt.toISOString().slice(0, 10)
      return [{ question, answer, explanation, outcome, decidedOn, own: matter.applicationId === applicationId }]
    })
    .reverse()

/** The key of a condition, as a task and as a requirement. */
export const conditionKey = (matterId: string, nth: number) => `condition:${matterId}:${nth}`

/** The conditions under which an application goes on: each is accepted before the first day, like a task. */
export const conditionRequirements = (matters: readonly DeclaredMatter[], applicationId: string): Requirement[] =>
  matters
    .filter((matter) => matter.applicationId === applicationId && matter.outcome === 'conditions')
    .flatMap(({ id, conditions, reason }) =>
      conditions.map(
        ({ title }, nth): Requirement => ({
          key: conditionKey(id, nth),
          title,
          why: reason,
          gate: 'start',
          asks: { kind: 'onboarding task', task: conditionKey(id, nth) },
          rung: 'claimed',
          waivableBy: ['hiring manager', 'administrator'],
        }),
      ),
    )
