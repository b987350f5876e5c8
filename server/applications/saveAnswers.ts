import { faultOf, type Question, questionsOf } from '#core/form/form'
import { rememberPerson } from '../accounts/candidate'
import type { Account, Deps } from '../deps'
import { readinessOf } from '../hiring/readiness'
import { conflict, insistOnVersion, invalid } from '../http/problems'
import { vacancyById } from '../vacancies/vacancies'
import { ownApplication } from './find'
import { leftOf } from './left'

const faultWords = {
  'too-long': 'This is too long.',
  'not-a-mail-address': 'This is not a mail address.',
  'not-a-phone-number': 'Begin with + and the country, such as +43 512 555 0100.',
  'not-a-date': 'This is not a day, such as 1997-02-03.',
  'not-an-option': 'Choose one of those shown.',
}

type Changes = { version: number; changes: Record<string, string>; section?: string }

/** Saves changed answers of an application that is still being written, and tells what is left. */
export async function saveAnswers(deps: Deps, actor: Account, id: string, { version, changes, section }: Changes) {
  const application = await ownApplication(deps, actor, id, { lock: true })
  if (application.stage !== 'being written')
    throw conflict('already-sent', 'This application has been sent; it can no longer be changed here.')
  insistOnVersion(version, application.version, { answers: application.answers })
  const vacancy = await vacancyById(application.vacancyId)
  insistOnAnswers(questionsOf(vacancy.form), changes)
  const answers = Object.fromEntries(
    Object.entries({ ...application.answers, ...changes }).filter(([, answer]) => answer !== ''),
  )
  await application.update({
    answers,
    version: version + 1,
    savedAt: deps.clock.now(),
    lastSection: section ?? application.lastSection,
  })
  await rememberPerson(application.candidateId, personIn(answers))
  const { outcomes } = await readinessOf(deps, application)
  return {
    version: application.version,
    savedAt: application.savedAt.toISOString(),
    answers,
    left: await leftOf(vacancy, outcomes),
  }
}

function insistOnAnswers(questions: readonly Question[], changes: Record<string, string>) {
  const faults = Object.entries(changes).flatMap(([key, answer]) => {
    const pointer = `/body/changes/${key}`
    const because = key.endsWith('.because')
    const question = questions.find((candidate) => candidate.key === key.replace(/\.because$/, ''))
    if (!question) return [{ pointer, message: 'This form does not ask that.' }]
    const fault = faultOf(because ? { ...question, kind: 'long text', limit: 2000 } : question, answer)
    return fault
      ? [
          {
            pointer,
            message: fault.code === 'too-long' ? `At most ${fault.limit} characters fit here.` : faultWords[fault.code],
          },
        ]
      : []
  })
  if (faults.length > 0) throw invalid(faults)
}

function personIn(answers: Record<string, string>) {
  const name = [answers['about.givenNames'], answers['about.familyName']].filter(Boolean).join(' ')
  return {
    ...(name ? { name } : {}),
    born: answers['about.born'] ?? null,
    otherNames: answers['about.formerName'] ? [answers['about.formerName']] : [],
  }
}
