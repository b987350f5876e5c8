import { type Answers, faultOf, isEmpty } from '#core/form/answer'
import { type Form, type Question, questionKeyOf, questionsOf, titlesFrom } from '#core/form/form'
import { isSent, isWithdrawn } from '#core/hiring/stages'
import { opennessOf } from '#core/recipients/choice'
import { factsOfFile } from '#core/requirements/fileFacts'
import type { FileFacts } from '#core/requirements/requirement'
import { type Rules, requirementsIn } from '#core/rules/rules'
import { answerFaultWords } from '#core/words/form'
import { say } from '#core/words/say'
import type { StoredValue } from '#core/words/stored'
import { translated } from '#core/words/translations'
import { recordEvent } from '../platform/audit/record'
import { changed as tellChange } from '../platform/changes'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalid, requireVersion } from '../platform/errors/problems'
import { inEnglish } from '../platform/http/language'
import { readinessOf, rulesOfApplication } from '../readiness/readiness'
import { rememberPerson } from '../records/accounts/candidate'
import { textAnswer } from '../records/applications/answers'
import { ownApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { namesFor } from '../records/rules/versions'
import { vacancyById } from '../records/vacancies/vacancies'
import { problems } from './problems'
import { leftOf } from './remaining'
import { changeableKeys, differencesIn, isContact } from './reopen'
import { stillAsked } from './stillAsked'

type Changes = { version: number; changes: Answers; section?: string }

/** Saves changed answers of an application, and tells what is left. */
export async function saveAnswers(deps: Deps, actor: Account, id: string, { version, changes, section }: Changes) {
  const application = await ownApplication(actor, id, { lock: true })
  requireVersion(version, application.version, { answers: application.answers })
  const vacancy = await vacancyById(application.vacancyId)
  const rules = await rulesOfApplication(application, vacancy)
  const before = application.answers
  const sent = isSent(application)
  if (sent) await requireChangeable(application, rules, Object.keys(changes))
  requireAnswers(questionsOf(rules.form), changes)
  const answers = Object.fromEntries(
    Object.entries({ ...application.answers, ...changes }).filter(([, answer]) => !isEmpty(answer)),
  )
  const now = deps.clock.now()
  const changed = {
    answers,
    answeredAt: {
      ...application.answeredAt,
      ...Object.fromEntries(Object.keys(changes).map((key) => [key, now.toISOString()])),
    },
    takenOver: application.takenOver.filter((key) => !(key in changes)),
    savedAt: now,
    lastSection: section ?? application.lastSection,
  }
  application.set(changed)
  const [readiness, names] = await Promise.all([
    readinessOf(deps, application, { vacancy, rules }),
    namesFor(rules),
    compareAndSet(application, version, changed),
    Object.keys(changes).some(isOfPerson) && rememberPerson(application.candidateId, personIn({ answers })),
  ])
  requireOpen(rules, changes, readiness.facts)
  if (sent)
    await tellChange(deps, {
      code: 'answers-changed',
      actor,
      candidateId: application.candidateId,
      applicationId: id,
    })
  if (sent) await inEnglish(() => tellOfContact(deps, actor, application, rules.form, before))
  return {
    version: application.version,
    savedAt: application.savedAt.toISOString(),
    answers,
    left: await leftOf(readiness, application, names),
  }
}

/** After sending only contact details can be changed, what the desk has opened again, and what a later gate still asks. */
async function requireChangeable(application: Application, rules: Rules, keys: readonly string[]) {
  const open = await changeableKeys(rules.form, application)
  if (!isWithdrawn(application) && keys.every((key) => open.has(key))) return
  const asked = await stillAsked(application, { rules, requirements: requirementsIn(rules) })
  if (!keys.every((key) => open.has(key) || asked.has(questionKeyOf(key)))) throw problems.alreadySent()
}

/** Nobody chooses a body that is not open to them; what was chosen before is left for them to see why. */
function requireOpen({ form }: Rules, changes: Answers, facts: FileFacts) {
  const faults = questionsOf(form).flatMap(({ key, recipients = [] }) => {
    const chosen = changes[key]
    return recipients.flatMap((recipient) => {
      if (!Array.isArray(chosen) || !chosen.includes(recipient.key as never)) return []
      const openness = opennessOf(recipient, { ...factsOfFile(facts), ...facts.answers }, facts.domains)
      const { name } = translated(recipient)
      return openness.state === 'closed'
        ? [
            {
              pointer: `/body/changes/${key}`,
              message: say('problem.recipientClosed', { recipient: name, because: openness.because }),
            },
          ]
        : []
    })
  })
  if (faults.length > 0) throw invalid(faults)
}

/** Corrected contact details are told at once; what was opened again is told when it is done. */
async function tellOfContact(deps: Deps, actor: Account, application: Application, form: Form, before: Answers) {
  const contact = questionsOf(form).flatMap(({ key }) => (isContact(key) ? [key] : []))
  const differences = differencesIn(form, contact, before, application.answers)
  if (differences.length > 0)
    await recordEvent(deps, actor, {
      code: 'contact-corrected',
      values: { fields: { list: changedQuestions(form, contact, before, application.answers).map(titleOf) } },
      about: application.reference ?? undefined,
      candidateId: application.candidateId,
      applicationId: application.id,
      details: { differences },
    })
}

function requireAnswers(questions: readonly Question[], changes: Answers) {
  const faults = Object.entries(changes).flatMap(([key, answer]) => {
    const pointer = `/body/changes/${key}`
    const question = questions.find((candidate) => candidate.key === questionKeyOf(key))
    if (!question) return [{ pointer, message: say('problem.thisFormDoesNotAsk') }]
    const because = key !== question.key
    const fault = faultOf(because ? { ...question, kind: 'long text', limit: 2000, blanks: [] } : question, answer)
    return fault ? [{ pointer, message: answerFaultWords(fault) }] : []
  })
  if (faults.length > 0) throw invalid(faults)
}

const ofPerson = ['about.givenNames', 'about.familyName', 'about.formerName', 'about.born', 'contact.phone']
const isOfPerson = (key: string) => ofPerson.includes(key)

function personIn(application: Pick<Application, 'answers'>) {
  const text = (key: string) => textAnswer(application, key)
  const name = [text('about.givenNames'), text('about.familyName')].filter(Boolean).join(' ')
  const former = text('about.formerName')
  return {
    ...(name ? { name } : {}),
    born: text('about.born') ?? null,
    otherNames: former ? [former] : [],
    phone: text('contact.phone') ?? null,
  }
}

const changedQuestions = (form: Form, keys: readonly string[], before: Answers, after: Answers) =>
  questionsOf(form).filter(
    ({ key }) => keys.includes(key) && JSON.stringify(before[key] ?? '') !== JSON.stringify(after[key] ?? ''),
  )

/** What a question is called, in whatever language it is read later. */
const titleOf = ({ label, translations }: Question): StoredValue => ({
  title: label,
  translations: titlesFrom(translations),
})
