import { v7 as uuid } from 'uuid'
import type { ReopenedPart } from '#contract/applications'
import type { ClaimDetails } from '#contract/claims'
import { type Answers, isEmpty } from '#core/form/answer'
import { becauseKey, claimsIn, type Form, questionsOf, type Section, titlesFrom } from '#core/form/form'
import { isActive } from '#core/hiring/stages'
import { answerWords } from '#core/words/form'
import { say } from '#core/words/say'
import { type StoredValue, writeValue } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { inEnglish } from '../platform/http/language'
import { readinessOf, rulesOfApplication } from '../readiness/readiness'
import { applicationsOf, ownApplication, sentApplication } from '../records/applications/find'
import { type Application, Reopening } from '../records/applications/model'
import { type ClaimsThen, differencesOfClaims } from '../records/claims/differences'
import { claimsOf } from '../records/claims/view'
import { documentsOf } from '../records/documents/documents'
import { vacancyById } from '../records/vacancies/vacancies'
import { problems } from './problems'

type Asked = { section: string; question: string | null; reason: string; dueOn: string }

/** Lets a candidate change one section, or one question, of what they have sent. The snapshot stays as it is. */
export async function reopenPart(deps: Deps, actor: Account, id: string, asked: Asked) {
  const application = await sentApplication(id, { lock: true })
  if (!isActive(application)) throw problems.ended()
  const { rules } = await readinessOf(deps, application)
  const section = rules.form.find(({ key, holds }) => key === asked.section && isReopenable(holds))
  if (!section) throw invalidField('/body/section', say('problem.thereIsNoSuchSection'))
  if (asked.question && !section.questions.some(({ key }) => key === asked.question))
    throw invalidField('/body/question', say('problem.thisSectionDoesNotAsk'))
  if (asked.dueOn < deps.clock.today().toString()) throw invalidField('/body/dueOn', say('problem.thisDayHasPassed'))
  const keys = keysOf(rules.form, asked)
  const overlaps = (other: Reopening) =>
    section.holds === 'questions'
      ? keysOf(rules.form, other).some((key) => keys.includes(key))
      : other.section === section.key
  if ((await openOf(id)).some(overlaps)) throw problems.alreadyOpen()
  const reopening = await Reopening.create({
    id: uuid(),
    applicationId: id,
    ...asked,
    askedBy: actor.name,
    askedAt: deps.clock.now(),
    state: 'open',
    before: Object.fromEntries(
      keys.flatMap((key) => (key in application.answers ? [[key, application.answers[key]!]] : [])),
    ),
    claims: section.holds === 'questions' ? null : await claimsOfSection(section, application.candidateId),
  })
  const part = partValue(rules.form, reopening)
  await recordEvent(deps, actor, {
    code: 'part-reopened',
    values: { part, reason: asked.reason },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
    details: { dueOn: asked.dueOn },
  })
  return { done: true as const }
}

/** The candidate says that it is done; the desk then sees what is different. */
export async function finishReopened(deps: Deps, actor: Account, id: string, reopeningId: string) {
  const application = await ownApplication(actor, id, { lock: true })
  const reopening = await byId(id, reopeningId)
  if (reopening.state !== 'open') throw problems.notOpen()
  const { form } = await rulesOfApplication(application, await vacancyById(application.vacancyId))
  await reopening.update({ state: 'changed', doneAt: deps.clock.now() })
  const part = partValue(form, reopening)
  await recordEvent(deps, actor, {
    code: 'part-changed',
    values: { part },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
    details: {
      differences: await inEnglish(() => differencesSince(form, reopening, application)),
    },
  })
  return { done: true as const }
}

/** The desk takes note of a change, or calls off what nobody has changed yet. */
export async function settleReopened(deps: Deps, actor: Account, id: string, reopeningId: string) {
  const application = await sentApplication(id, { lock: true })
  const reopening = await byId(id, reopeningId)
  if (reopening.state !== 'open' && reopening.state !== 'changed') throw problems.notOpen()
  const { form } = await rulesOfApplication(application, await vacancyById(application.vacancyId))
  const calledOff = reopening.state === 'open'
  await reopening.update({ state: calledOff ? 'called off' : 'seen' })
  const part = partValue(form, reopening)
  await recordEvent(deps, actor, {
    code: calledOff ? 'part-called-off' : 'change-seen',
    values: { part },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}

async function byId(applicationId: string, id: string): Promise<Reopening> {
  const reopening = await Reopening.findOne({ where: { id, applicationId } })
  if (!reopening) throw notFound()
  return reopening
}

const openOf = (applicationId: string) => Reopening.findAll({ where: { applicationId, state: 'open' } })

/** The keys that a candidate may change in an application that was sent. */
export async function changeableKeys(form: Form, application: Application): Promise<Set<string>> {
  const reopened = await openOf(application.id)
  const contact = questionsOf(form).flatMap(({ key }) => (isContact(key) ? [key, becauseKey(key)] : []))
  return new Set([...contact, ...reopened.flatMap((part) => keysOf(form, part))])
}

export const isContact = (key: string) => key.startsWith('contact.')

function keysOf(form: Form, { section, question }: Pick<Reopening, 'section' | 'question'>): string[] {
  const questions = form.find(({ key }) => key === section)?.questions ?? []
  return questions.flatMap(({ key }) => (question === null || key === question ? [key, becauseKey(key)] : []))
}

/** What it is called as it is kept, in each language it was written in. */
function partValue(form: Form, { section, question }: Pick<Reopening, 'section' | 'question'>): StoredValue {
  const found = form.find(({ key }) => key === section)
  const asked = found?.questions.find(({ key }) => key === question)
  if (asked) return { title: asked.label, translations: titlesFrom(asked.translations) }
  return found ? { title: found.title, translations: found.translations } : section
}

/** What was reopened in an application, newest first, each with what is different since. */
export function reopenedParts(
  form: Form,
  application: Application,
  reopenings: readonly Reopening[],
): Promise<ReopenedPart[]> {
  return Promise.all(
    reopenings.toReversed().map(async (row) => ({
      id: row.id,
      section: row.section,
      question: row.question,
      title: writeValue(partValue(form, row)),
      reason: row.reason,
      dueOn: row.dueOn,
      askedBy: row.askedBy,
      askedAt: row.askedAt.toISOString(),
      state: row.state,
      doneAt: row.doneAt?.toISOString() ?? null,
      differences: await differencesSince(form, row, application),
    })),
  )
}

async function differencesSince(form: Form, reopening: Reopening, application: Application) {
  const section = form.find(({ key }) => key === reopening.section)
  if (reopening.claims && section)
    return differencesOfClaims(reopening.claims, await claimsOfSection(section, application.candidateId))
  return differencesIn(form, keysOf(form, reopening), reopening.before, application.answers)
}

/** Homes and papers of identity are asked for anew in other ways. */
const { study, work, credentials } = claimsIn
const claimKinds: typeof claimsIn = { study, work: work?.filter((kind) => kind !== 'residence'), credentials }

/** Sections that can be opened again: questions, and what one claims of study, work, licences and certificates. */
export const isReopenable = (holds: Section['holds']) => holds === 'questions' || holds in claimKinds

async function claimsOfSection({ holds }: Section, candidateId: string): Promise<ClaimsThen> {
  const claims = (await claimsOf(candidateId)).filter(({ kind }) => claimKinds[holds]?.includes(kind))
  const papers = await documentsOf(claims.map(({ id }) => id))
  return Object.fromEntries(
    claims.map(({ id, details }) => [
      id,
      { details, papers: papers.flatMap(({ claimId, fileName }) => (claimId === id ? [fileName] : [])) },
    ]),
  )
}

/** Whether the desk has opened the section again in which a claim stands, in any application of its file. */
export async function isClaimReopened(candidateId: string, kind: ClaimDetails['kind']): Promise<boolean> {
  for (const application of await applicationsOf(candidateId)) {
    const open = await openOf(application.id)
    if (open.length === 0) continue
    const { form } = await rulesOfApplication(application, await vacancyById(application.vacancyId))
    const holds = open.flatMap(({ section }) => form.find(({ key }) => key === section)?.holds ?? [])
    if (holds.some((held) => claimKinds[held]?.includes(kind))) return true
  }
  return false
}

/** Answers that are not what they were, question by question, in words. */
export function differencesIn(form: Form, keys: readonly string[], before: Answers, after: Answers) {
  return questionsOf(form).flatMap((question) => {
    const { key } = question
    const own = [key, becauseKey(key)].filter((candidate) => keys.includes(candidate))
    if (own.every((candidate) => JSON.stringify(before[candidate] ?? '') === JSON.stringify(after[candidate] ?? '')))
      return []
    const words = (answers: Answers) => {
      const answer = answers[key]
      const because = answers[becauseKey(key)]
      const said = answer === undefined || isEmpty(answer) ? say('status.nothing') : answerWords(question, answer)
      return typeof because === 'string' && because ? `${said}: ${because}` : said
    }
    return [{ label: question.label, before: words(before), after: words(after) }]
  })
}
