import { createHash } from 'node:crypto'
import { becauseKey } from '#core/form/form'
import { isActive } from '#core/hiring/stages'
import type { Ask, Requirement } from '#core/requirements/requirement'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { type Readiness, readinessOf } from '../readiness/readiness'
import { accountsWithRight } from '../records/accounts/staff'
import { textAnswer } from '../records/applications/answers'
import { sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { problems } from './problems'

export type Declaration = Extract<Ask, { kind: 'declaration' }>
export type Declared = {
  requirement: Requirement
  ask: Declaration
  answer: string
  explanation: string
  digest: string
}

/** What an application declares otherwise than its rules ask, whatever was decided about it. */
export function declaredIn(application: Application, { requirements, outcomes, facts }: Readiness): Declared[] {
  return requirements.flatMap((requirement): Declared[] => {
    const ask = requirement.asks
    const state = outcomes.find((outcome) => outcome.requirement === requirement.key)?.reason.code
    if (ask.kind !== 'declaration' || !state || !judgedByPeople.has(state)) return []
    const answer = String(facts.answers[ask.question] ?? 'unknown')
    const explanation = textAnswer(application, becauseKey(ask.question)) ?? ''
    const digest = createHash('sha256')
      .update(JSON.stringify([answer, explanation]))
      .digest('hex')
    return [{ requirement, ask, answer, explanation, digest }]
  })
}

const judgedByPeople = new Set<string>(['answer-other', 'matter-settled', 'matter-conditions', 'matter-refused'])

/** One declared matter of an application that the desk still works on. */
export async function openMatter(deps: Deps, applicationId: string, key: string) {
  const application = await sentApplication(applicationId, { lock: true })
  if (!isActive(application)) throw problems.nothingToDecide()
  const readiness = await readinessOf(deps, application)
  if (!readiness.requirements.some((requirement) => requirement.key === key)) throw notFound()
  const declared = declaredIn(application, readiness).find(({ requirement }) => requirement.key === key)
  if (!declared) throw problems.nothingToDecide()
  return { application, declared }
}

/**
 * Who decides a matter: those the rules name, as far as they are here and may; where none of them is left, whoever may. Together
 * only where several are named.
 */
export async function decidersOf({ deciders = [], together = false }: Declaration) {
  const may = await accountsWithRight('matters.decide')
  const named = may.filter(({ mail }) => deciders.includes(mail))
  const who = (named.length > 0 ? named : may).map(({ id, name, mail, language }) => ({ id, name, mail, language }))
  return { who, named: named.length > 0, together: together && named.length > 1 }
}
