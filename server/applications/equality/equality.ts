import { v4 as uuid } from 'uuid'
import { suppressSmall } from '#core/counts/suppress'
import { faultOf } from '#core/form/answer'
import type { Form, Question } from '#core/form/form'
import { answerFaultWords } from '#core/words/form'
import { say } from '#core/words/say'
import { changeWhere } from '../../platform/database/compareAndSet'
import type { Account } from '../../platform/deps'
import { invalid } from '../../platform/errors/problems'
import { rulesOfApplication } from '../../readiness/readiness'
import { ownApplication } from '../../records/applications/find'
import { EqualityAnswer } from '../../records/equality/model'
import { rulesOfVacancy, vacancyById } from '../../records/vacancies/vacancies'
import { problems } from '../problems'

const questionsIn = (form: Form): Question[] =>
  form.flatMap(({ holds, questions }) => (holds === 'equality' ? questions : []))

/**
 * Keeps voluntary answers apart from everything else: no name, no application, no moment, and an identifier without an
 * order in time. The application only remembers that they were given, so that nobody is counted twice.
 */
export async function giveEqualityAnswers(actor: Account, id: string, answers: Record<string, string>) {
  const application = await ownApplication(actor, id, { lock: true })
  if (application.equalityGiven) throw problems.alreadyGiven()
  const { vacancyId } = application
  const questions = questionsIn((await rulesOfApplication(application, await vacancyById(vacancyId))).form)
  const faults = Object.entries(answers).flatMap(([key, answer]) => {
    const question = questions.find((candidate) => candidate.key === key)
    const fault = question && faultOf(question, answer)
    if (question && !fault) return []
    return [
      { pointer: `/body/answers/${key}`, message: fault ? answerFaultWords(fault) : say('problem.thisFormDoesNotAsk') },
    ]
  })
  if (faults.length > 0) throw invalid(faults)
  await EqualityAnswer.bulkCreate(
    Object.entries(answers).map(([question, answer]) => ({ id: uuid(), vacancyId, question, answer })),
  )
  // Before the answers: nobody is counted twice, also not from two windows at once.
  if (!(await changeWhere(application, { equalityGiven: false }, { equalityGiven: true })))
    throw problems.alreadyGiven()
  return { done: true as const }
}

/** The voluntary answers of a vacancy as counts, small groups left out. */
export async function equalityCounts(vacancyId: string) {
  const { form } = await rulesOfVacancy(await vacancyById(vacancyId))
  const rows = await EqualityAnswer.findAll({ where: { vacancyId }, attributes: ['question', 'answer'], raw: true })
  return {
    questions: questionsIn(form).map(({ key, label, options, kind }) => {
      const given = rows.filter(({ question }) => question === key).map(({ answer }) => answer)
      const answers = [...new Set([...(options ?? (kind === 'yes or no' ? ['yes', 'no'] : [])), ...given])]
      const shown = suppressSmall(
        Object.fromEntries(answers.map((answer) => [answer, given.filter((one) => one === answer).length])),
      )
      return {
        question: label,
        total: shown.total,
        counts: answers.map((answer) => ({ answer, count: shown.counts[answer] ?? null })),
      }
    }),
  }
}
