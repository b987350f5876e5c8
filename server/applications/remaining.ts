import { isForSource, papersOfClaim } from '#core/documents/papers'
import { sectionOf } from '#core/form/form'
import { openAt } from '#core/requirements/evaluate'
import type { Rules } from '#core/rules/rules'
import { outcomeWords } from '#core/words/outcomes'
import { paperNeedWords } from '#core/words/papers'
import { requirementTitle } from '#core/words/requirementTitle'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { openFeeFacts, situationOf } from '../readiness/feeSituation'
import type { Readiness } from '../readiness/readiness'
import type { Application } from '../records/applications/model'
import { labelOf } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { documentLine } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { namesFor } from '../records/rules/versions'
import { unconfirmedSections } from './carryOver'

type Filed = { claims: readonly Claim[]; documents: readonly Document[] }

/** Studies whose papers are not whole, or not in a language that is read here. Without any paper the rules say it. */
function papersLeft(form: Rules['form'], { claims, documents }: Filed, accepted: readonly string[]) {
  const section = form.find(({ holds }) => holds === 'study')?.key ?? null
  return claims.flatMap(({ id, details }) => {
    const own = documents.filter(({ claimId, part }) => claimId === id && !isForSource(part)).map(documentLine)
    const need = details.kind === 'study' && own.length > 0 ? papersOfClaim(details, own, accepted) : undefined
    const why = need && paperNeedWords(need, own.length)
    return why ? [{ section, title: labelOf(details), why }] : []
  })
}

/**
 * What still keeps an application from being sent, each with the section where it is settled.
 *
 * @param known the names of keys in its rules, where they have been read
 */
export async function leftOf(
  { rules, requirements, outcomes, claims, documents, vacancy, facts, feeAnswers }: Readiness,
  application: Pick<Application, 'takenOver'>,
  known?: Record<string, string>,
) {
  const names = known ?? (await namesFor(rules))
  const open = openAt(outcomes, 'send')
  const unanswered = new Set(open.flatMap(({ reason }) => (reason.code === 'answer-missing' ? [reason.question] : [])))
  // What only hangs on an answer that is itself on the list is not a second thing to do.
  const counted = open.filter(
    ({ reason }) =>
      reason.code !== 'condition-undecided' || !reason.deciding.every((question) => unanswered.has(question)),
  )
  const toConfirm = unconfirmedSections(rules.form, application).map((section) => ({
    section: section.key,
    title: say('status.whatWeHaveFromBefore', { title: translated(section).title }),
    why: say('status.lookThroughItAndConfirm'),
  }))
  const toDo = counted.map((outcome) => {
    const requirement = requirements.find(({ key }) => key === outcome.requirement)!
    return {
      section: sectionOf(rules.form, requirement)?.key ?? null,
      title: requirementTitle(outcome),
      why: outcomeWords(outcome, (key) => names[key] ?? key),
    }
  })
  const forFees = (rules.fees ?? []).flatMap((schedule) => {
    const given = feeAnswers.find((one) => one.schedule === schedule.key)
    return openFeeFacts(schedule, situationOf(schedule, facts, given)).map((fact) => ({
      section: null,
      title: translated(schedule).title,
      why: say('fees.answerFirst', { fact: translated(fact).label.replace(/[?:.]$/, '') }),
    }))
  })
  const place = new Map<string | null, number>(rules.form.map(({ key }, nth) => [key, nth]))
  return [
    ...toConfirm,
    ...toDo,
    ...papersLeft(rules.form, { claims, documents }, vacancy.paperLanguages),
    ...forFees,
  ].sort((a, b) => (place.get(a.section) ?? rules.form.length) - (place.get(b.section) ?? rules.form.length))
}
