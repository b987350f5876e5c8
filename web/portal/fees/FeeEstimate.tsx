import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { domainsOf } from '#core/conditions/vocabulary'
import { factsOfFee, knownFeeFacts } from '#core/fees/facts'
import { quote } from '#core/fees/quote'
import { type FeeSchedule, meansFact } from '#core/fees/schedule'
import { type Answers, factsOfAnswers } from '#core/form/answer'
import type { Form } from '#core/form/form'
import { scheduleTerms } from '#core/words/fees'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { api } from '../../api'
import { FeeFactField } from '../../fees/FeeFactField'
import { LeaveOut } from '../../fees/LeaveOut'
import { lookedAt } from '../../fees/lookedAt'
import { QuoteTable } from '../../fees/QuoteTable'
import { useChangedLines } from '../../fees/useChangedLines'
import { AnswerField } from '../../ui/answers/AnswerField'
import { Sheet } from '../../ui/Sheet'
import { useTitle } from '../../ui/useTitle'
import { Waiting } from '../../ui/Waiting'
import { keepBefore, readBefore } from '../beforeAccount'

/** What applying would cost whoever asks, before anything is filled in: reckoned here, and nothing is sent. */
export function FeeEstimate() {
  const { slug = '' } = useParams()
  const vacancy = api.endpoints.readVacancy.useQuery({ params: { slug } })
  const { data, error, refetch } = api.endpoints.readVacancyFees.useQuery({ params: { slug } })
  const [answers, setAnswers] = useState<Answers>({})
  useTitle(say('fees.whatItCosts'))
  useEffect(() => {
    void readBefore(slug).then((kept) => kept && setAnswers((now) => ({ ...kept.answers, ...now })))
  }, [slug])
  if (!data || !vacancy.data) return <Waiting error={error ?? vacancy.error} onRetry={refetch} />
  const { form } = vacancy.data
  const answer = (key: string, value: Answers[string]) => {
    setAnswers((now) => ({ ...now, [key]: value }))
    void keepBefore(slug, { [key]: value })
  }
  return (
    <main className="mx-auto max-w-[860px] px-4 py-7 sm:px-7">
      <p className="mb-2">
        <Link to={`/vacancies/${slug}`} className="text-confirmed">
          {data.title}
        </Link>
      </p>
      <h1 className="text-[2em]">{say('fees.whatItCosts')}</h1>
      <p className="mb-4 max-w-[62ch] text-ink-2">{say('fees.estimateMeans')}</p>
      {data.fees.length === 0 && <p>{say('fees.costsNothing')}</p>}
      <div className="grid gap-5">
        {data.fees.map((schedule) => (
          <Estimate
            key={schedule.key}
            schedule={schedule}
            form={form}
            today={data.today}
            answers={answers}
            onAnswer={answer}
          />
        ))}
      </div>
    </main>
  )
}

type Props = {
  schedule: FeeSchedule
  form: Form
  today: string
  answers: Answers
  onAnswer: (key: string, value: Answers[string]) => void
}

function Estimate({ schedule, form, today, answers, onAnswer }: Props) {
  const [given, setGiven] = useState<Readonly<Record<string, string>>>({})
  const [leftOut, setLeftOut] = useState<readonly string[]>([])
  const known = knownFeeFacts(schedule, form)
  // Somebody who asks what it would cost has no papers here yet: what they say counts as if it were shown.
  const facts = factsOfFee(
    schedule,
    Object.fromEntries(Object.entries(given).map(([key, value]) => [key, { value, proof: 'accepted' as const }])),
  )
  const quoted = quote(schedule, {
    facts: { ...factsOfAnswers(form, answers), ...facts, [meansFact]: 'none' },
    ...{ domains: domainsOf(known), on: today, leftOut },
  })
  const changed = useChangedLines(quoted)
  const looked = lookedAt(schedule)
  const questions = form.flatMap((section) => section.questions).filter(({ key }) => looked.has(key))
  return (
    <Sheet>
      <h2 className="mb-2 text-[1.3em]">{translated(schedule).title}</h2>
      {questions.length + schedule.facts.length > 0 && (
        <div className="mb-4 grid gap-4 border-line border-b pb-4">
          {questions.map((question) => (
            <AnswerField
              key={question.key}
              question={{ ...question, required: true, blanks: [], help: undefined }}
              value={answers[question.key] ?? ''}
              onChange={(value) => onAnswer(question.key, value)}
            />
          ))}
          {schedule.facts.map((fact) => (
            <FeeFactField
              key={fact.key}
              fact={fact}
              value={given[fact.key] ?? ''}
              onChange={(value) => setGiven((now) => ({ ...now, [fact.key]: value }))}
            />
          ))}
        </div>
      )}
      <div aria-live="polite">
        <QuoteTable
          schedule={schedule}
          quote={quoted}
          known={known}
          changed={changed}
          act={(key) => <LeaveOut schedule={schedule} line={key} leftOut={leftOut} onChange={setLeftOut} />}
        />
      </div>
      <p className="mt-2 text-[0.93em] text-ink-2">{scheduleTerms(schedule)}</p>
    </Sheet>
  )
}
