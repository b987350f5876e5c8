import type { ClaimKind } from '#contract/claims'
import { type AnswerValue, faultOf } from '#core/form/answer'
import { becauseKey, claimsIn, type Form, questionsOf, type Section } from '#core/form/form'
import { isSent } from '#core/hiring/stages'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { rulesOfApplication } from '../readiness/readiness'
import { ownApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { claimsOf } from '../records/claims/view'
import { vacancyById } from '../records/vacancies/vacancies'
import { problems } from './problems'

/** What is said anew for each application: nobody agrees, or puts posts in order, once for all. */
const neverTakenOver = ['declaration', 'ranked choice', 'document', 'recipients']

/**
 * What a new application takes over from a person's earlier ones: the newest answer to each question of the same key that
 * can still be an answer to it, and when that was last confirmed.
 */
export function takenOverFrom(earlier: readonly Application[], form: Form) {
  const answers: Record<string, AnswerValue> = {}
  const answeredAt: Record<string, string> = {}
  const newest = new Map<string, { answer: AnswerValue; at: string }>()
  for (const application of earlier) {
    for (const [key, answer] of Object.entries(application.answers)) {
      const at = application.answeredAt[key] ?? application.savedAt.toISOString()
      if ((newest.get(key)?.at ?? '') <= at) newest.set(key, { answer, at })
    }
  }
  for (const question of questionsOf(form)) {
    const known = newest.get(question.key)
    if (!known || neverTakenOver.includes(question.kind) || faultOf(question, known.answer)) continue
    for (const key of [question.key, becauseKey(question.key)]) {
      const part = newest.get(key)
      if (!part) continue
      answers[key] = part.answer
      answeredAt[key] = part.at
    }
  }
  return { answers, answeredAt, takenOver: Object.keys(answers) }
}

/** The candidate confirms all that a section took over: its answers, or the claims it shows. */
export async function confirmSection(deps: Deps, actor: Account, id: string, key: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (isSent(application)) throw problems.alreadySent()
  const { form } = await rulesOfApplication(application, await vacancyById(application.vacancyId))
  const section = form.find((candidate) => candidate.key === key)
  if (!section) throw notFound()
  const now = deps.clock.now()
  const keys = new Set(section.questions.flatMap((question) => [question.key, becauseKey(question.key)]))
  const confirmed = application.takenOver.filter((candidate) => keys.has(candidate))
  await application.update({
    takenOver: application.takenOver.filter((candidate) => !keys.has(candidate)),
    answeredAt: {
      ...application.answeredAt,
      ...Object.fromEntries(confirmed.map((candidate) => [candidate, now.toISOString()])),
    },
  })
  for (const claim of await claimsOf(application.candidateId))
    if (showsClaim(section, claim.kind)) await claim.update({ saidAt: now })
  return { done: true as const }
}

const showsClaim = ({ holds }: Section, kind: ClaimKind) => holds === kind || claimsIn[holds]?.includes(kind)

/** The sections in which something taken over waits to be confirmed. */
export function unconfirmedSections(form: Form, { takenOver }: Pick<Application, 'takenOver'>): Section[] {
  const open = new Set(takenOver)
  return form.filter(({ questions }) => questions.some(({ key }) => open.has(key)))
}
