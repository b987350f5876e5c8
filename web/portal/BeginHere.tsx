import { useEffect, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { alsoGoBy } from '#core/catalogue/catalogue'
import { type Answers, type AnswerValue, factsOfAnswers, isAsked } from '#core/form/answer'
import { becauseKey, type Form, type Question, type Section } from '#core/form/form'
import { hiddenKindOfQuestion } from '#core/privacy/hidden'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { api } from '../api'
import { AnswerField } from '../ui/answers/AnswerField'
import { Button } from '../ui/Button'
import { LongField } from '../ui/Field'
import { ProblemNote } from '../ui/ProblemNote'
import { Sheet } from '../ui/Sheet'
import { Waiting } from '../ui/Waiting'
import { useAct } from '../useAct'
import { useSession } from '../useSession'
import { forgetBefore, keepBefore, readBefore } from './beforeAccount'

const firstSections = 3

/** What is not for everybody at the desk is not for a browser that others may use either. */
const isDelicate = (section: Section, question: Question) =>
  ['declarations', 'identity number', 'health', 'money'].includes(hiddenKindOfQuestion(section, question) ?? '')

/** What can be filled in before there is an account: the first sections of questions; papers come with the account. */
const beginningOf = (form: Form): Form =>
  form
    .filter(({ holds }) => holds === 'questions')
    .map((section) => ({
      ...section,
      questions: section.questions.filter(
        (question) => question.kind !== 'document' && !question.paper && !isDelicate(section, question),
      ),
    }))
    .filter(({ questions }) => questions.length > 0)
    .slice(0, firstSections)

/** An application begun before there is an account. Whoever has one goes on in it. */
export function BeginHere() {
  const { slug = '' } = useParams()
  const navigate = useNavigate()
  const { account, staff, ready } = useSession()
  const { data: vacancy, error, refetch } = api.endpoints.readVacancy.useQuery({ params: { slug } })
  const { act, busy, problem } = useAct('beginApplication')
  const [answers, setAnswers] = useState<Answers>()
  useEffect(() => {
    void readBefore(slug).then((kept) => setAnswers((now) => ({ ...kept?.answers, ...now })))
  }, [slug])
  if (!vacancy || !ready || !answers) return <Waiting error={error} onRetry={refetch} />
  alsoGoBy(vacancy.named)
  const change = (key: string, value: AnswerValue) => {
    setAnswers((before) => ({ ...before, [key]: value }))
    void keepBefore(slug, { [key]: value })
  }
  const forget = async () => {
    await forgetBefore(slug)
    setAnswers({})
  }
  const facts = factsOfAnswers(vacancy.form, answers)
  const back = (
    <Link to={`/vacancies/${slug}`} className="text-confirmed">
      {vacancy.title}
    </Link>
  )
  if (!vacancy.open)
    return (
      <main className="mx-auto max-w-[760px] px-4 py-7 sm:px-7">
        <p className="mb-3">{back}</p>
        <p className="font-semibold text-soon-ink">{say('vacancies.thisVacancyIsClosed')}</p>
      </main>
    )
  const next = encodeURIComponent(`/vacancies/${slug}/begin`)
  const begin = async () => {
    const begun = await act({ params: { slug } })
    if (begun) navigate(`/apply/${begun.id}`)
  }
  return (
    <main className="mx-auto grid max-w-[760px] gap-4 px-4 py-7 sm:px-7">
      <div>
        <p className="mb-2">{back}</p>
        <h1 className="text-[2em]">{say('apply.beginHere')}</h1>
        <p className="max-w-[62ch] text-ink-2">{say('apply.keptInThisBrowser')}</p>
      </div>
      {beginningOf(vacancy.form)
        .filter((section) => isAsked(section, facts))
        .map((section) => (
          <Sheet key={section.key} className="grid gap-5">
            <h2 className="text-[1.4em]">{translated(section).heading}</h2>
            {section.questions
              .filter((question) => isAsked(question, facts))
              .map((question) => (
                <div key={question.key}>
                  <AnswerField
                    question={question}
                    value={answers[question.key] ?? ''}
                    onChange={(value) => change(question.key, value)}
                  />
                  {question.explain && answers[question.key] === question.explain && (
                    <div className="mt-3 border-line border-l-2 pl-4">
                      <LongField
                        label={say('apply.whatHappened')}
                        limit={2000}
                        value={String(answers[becauseKey(question.key)] ?? '')}
                        onChange={(event) => change(becauseKey(question.key), event.target.value)}
                      />
                    </div>
                  )}
                </div>
              ))}
          </Sheet>
        ))}
      <ProblemNote problem={problem} />
      <div className="flex flex-wrap items-center gap-4">
        {account && !staff ? (
          <Button kind="main" busy={busy} onClick={() => void begin()}>
            {say('apply.goOnInTheApplication')}
          </Button>
        ) : staff ? (
          <p className="text-ink-2">{say('vacancies.youAreSignedInAt')}</p>
        ) : (
          <>
            <Link
              to={`/sign-up?next=${next}`}
              className="rounded-sheet bg-confirmed px-3 py-2 font-semibold text-on-confirmed"
            >
              {say('apply.makeAnAccountToGoOn')}
            </Link>
            <Link to={`/sign-in?next=${next}`} className="font-semibold text-confirmed">
              {say('apply.iHaveAnAccount')}
            </Link>
          </>
        )}
        {Object.keys(answers).length > 0 && (
          <Button kind="quiet" onClick={() => void forget()}>
            {say('apply.forgetWhatIsHere')}
          </Button>
        )}
      </div>
    </main>
  )
}
