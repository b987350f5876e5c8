import { useState } from 'react'
import { domainsOf, type KnownFact } from '#core/conditions/vocabulary'
import { factsOfFee } from '#core/fees/facts'
import { quote } from '#core/fees/quote'
import { type FeeSchedule, meansFact } from '#core/fees/schedule'
import { type Answers, factsOfAnswers } from '#core/form/answer'
import type { Form } from '#core/form/form'
import { say } from '#core/words/say'
import { FeeFactField } from '../../fees/FeeFactField'
import { lookedAt } from '../../fees/lookedAt'
import { QuoteTable } from '../../fees/QuoteTable'
import { AnswerField } from '../../ui/answers/AnswerField'
import { SelectField } from '../../ui/Field'

type Props = { schedule: FeeSchedule; form: Form; known: readonly KnownFact[]; today: string }

/** What a schedule comes to for somebody made up, as it is edited. */
export function TryFees({ schedule, form, known, today }: Props) {
  const [answers, setAnswers] = useState<Answers>({})
  const [given, setGiven] = useState<Readonly<Record<string, string>>>({})
  const [means, setMeans] = useState('none')
  const looked = lookedAt(schedule)
  const shown = Object.fromEntries(
    Object.entries(given).map(([key, value]) => [key, { value, proof: 'accepted' as const }]),
  )
  const quoted = quote(schedule, {
    facts: { ...factsOfAnswers(form, answers), ...factsOfFee(schedule, shown), [meansFact]: means },
    ...{ domains: domainsOf(known), on: today },
  })
  return (
    <div className="grid gap-2.5 text-[0.8667rem]">
      {form
        .flatMap(({ questions }) => questions)
        .filter(({ key }) => looked.has(key))
        .map((question) => (
          <AnswerField
            key={question.key}
            question={question}
            value={answers[question.key] ?? ''}
            onChange={(value) => setAnswers((now) => ({ ...now, [question.key]: value }))}
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
      {schedule.lines.some(({ when }) => when && JSON.stringify(when).includes(meansFact)) && (
        <SelectField
          label={say('fees.means')}
          value={means}
          options={[
            { value: 'none', label: say('composer.notChosenYet') },
            { value: 'card', label: say('fees.means.card') },
            { value: 'transfer', label: say('fees.means.transfer') },
          ]}
          onChange={({ target }) => setMeans(target.value)}
        />
      )}
      <QuoteTable schedule={schedule} quote={quoted} known={known} />
    </div>
  )
}
