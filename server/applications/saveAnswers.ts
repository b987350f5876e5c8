import { type Answers, faultOf, isEmpty } from '#core/form/answer'
import { type Question, questionKeyOf, questionsOf } from '#core/form/form'
import { answerFaultWords } from '#core/words/form'
import { rememberPerson } from '../accounts/candidate'
import type { Account, Deps } from '../deps'
import { readinessOf, rulesOfApplication } from '../hiring/readiness'
import { conflict, insistOnVersion, invalid } from '../http/problems'
import { vacancyById } from '../vacancies/vacancies'
import { textAnswer } from './answers'
import { ownApplication } from './find'
import { leftOf } from './left'
import type { Application } from './model'

type Changes = { version: number; changes: Answers; section?: string }

/** Saves changed answers of an application that is still being written, and tells what is left. */
export async function saveAnswers(deps: Deps, actor: Account, id: string, { version, changes, section }: Changes) {
  const application = await ownApplication(deps, actor, id, { lock: true })
  if (application.stage !== 'being written')
    throw conflict('already-sent', 'This application has been sent; it can no longer be changed here.')
  insistOnVersion(version, application.version, { answers: application.answers })
  const rules = await rulesOfApplication(application, await vacancyById(application.vacancyId))
  insistOnAnswers(questionsOf(rules.form), changes)
  const answers = Object.fromEntries(
    Object.entries({ ...application.answers, ...changes }).filter(([, answer]) => !isEmpty(answer)),
  )
  await application.update({
    answers,
    version: version + 1,
    savedAt: deps.clock.now(),
    lastSection: section ?? application.lastSection,
  })
  await rememberPerson(application.candidateId, personIn({ answers }))
  const { outcomes } = await readinessOf(deps, application)
  return {
    version: application.version,
    savedAt: application.savedAt.toISOString(),
    answers,
    left: await leftOf(rules, outcomes),
  }
}

function insistOnAnswers(questions: readonly Question[], changes: Answers) {
  const faults = Object.entries(changes).flatMap(([key, answer]) => {
    const pointer = `/body/changes/${key}`
    const question = questions.find((candidate) => candidate.key === questionKeyOf(key))
    if (!question) return [{ pointer, message: 'This form does not ask that.' }]
    const because = key !== question.key
    const fault = faultOf(because ? { ...question, kind: 'long text', limit: 2000, blanks: [] } : question, answer)
    return fault ? [{ pointer, message: answerFaultWords(fault) }] : []
  })
  if (faults.length > 0) throw invalid(faults)
}

function personIn(application: Pick<Application, 'answers'>) {
  const text = (key: string) => textAnswer(application, key)
  const name = [text('about.givenNames'), text('about.familyName')].filter(Boolean).join(' ')
  const former = text('about.formerName')
  return { ...(name ? { name } : {}), born: text('about.born') ?? null, otherNames: former ? [former] : [] }
}
