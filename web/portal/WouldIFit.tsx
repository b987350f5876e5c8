import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { knownFacts } from '#core/conditions/vocabulary'
import type { Requirement } from '#core/requirements/requirement'
import { type FitLine, factsThatDecide, fitOf, type SelfCheck } from '#core/rules/fit'
import { requirementSentence } from '#core/words/requirements'
import { requirementTitle } from '#core/words/requirementTitle'
import { say, spokenLanguage } from '#core/words/say'
import { api } from '../api'
import { AnswerField } from '../ui/answers/AnswerField'
import { Choice } from '../ui/Field'
import { Sheet } from '../ui/Sheet'
import { Waiting } from '../ui/Waiting'
import { keepBefore, readBefore } from './beforeAccount'

const verdicts = {
  fits: { words: say('vacancies.yesThisFitsAsFar'), look: 'bg-confirmed-wash text-confirmed' },
  'does not fit': { words: say('vacancies.asThingsStandNo'), look: 'bg-contradicted-wash text-contradicted' },
  open: { words: say('vacancies.thatDependsOnWhatIs'), look: 'bg-soon-wash text-soon-ink' },
} as const

/** A self-check of the few facts that decide, by the vacancy's own conditions. It is computed here and nothing is sent; answers the form asks as well are kept for it. */
export function WouldIFit() {
  const { slug = '' } = useParams()
  const { data: vacancy, error, refetch } = api.endpoints.readVacancy.useQuery({ params: { slug } })
  const [said, setSaid] = useState<SelfCheck>({ answers: {}, holds: {} })
  useEffect(() => {
    void readBefore(slug).then(
      (kept) => kept && setSaid((now) => ({ ...now, answers: { ...kept.answers, ...now.answers } })),
    )
  }, [slug])
  if (!vacancy) return <Waiting error={error} onRetry={refetch} />
  const { questions, held } = factsThatDecide(vacancy)
  const { verdict, lines } = fitOf(vacancy, said, vacancy.targetStart)
  const known = knownFacts(vacancy.form, vacancy.names)
  const nameOf = (key: string) =>
    vacancy.names[key] ?? lines.find(({ requirement }) => requirement.key === key)?.requirement.title ?? key
  const against = lines.filter(({ state }) => state === 'does not fit')
  const open = lines.filter(({ state }) => state === 'open')
  const needless = new Set(
    lines.filter(({ state }) => state === 'not needed').map(({ requirement }) => requirement.key),
  )
  return (
    <main className="mx-auto grid max-w-[1000px] gap-x-8 gap-y-5 px-4 py-7 sm:px-7 lg:grid-cols-[minmax(0,1fr)_320px]">
      <div className="min-w-0">
        <p className="mb-2">
          <Link to={`/vacancies/${slug}`} className="text-confirmed">
            {vacancy.title}
          </Link>
        </p>
        <h1 className="text-[2em]">{say('vacancies.wouldIFit')}</h1>
        <p className="mb-4 max-w-[62ch] text-ink-2">{say('vacancies.theseFewFactsDecideBy')}</p>
        {questions.length + held.length === 0 && <p>{say('vacancies.nothingHasToBeKnown')}</p>}
        <Sheet className="grid gap-5">
          {questions.map((question) => (
            <AnswerField
              key={question.key}
              question={{ ...question, required: true, blanks: [], help: undefined }}
              value={said.answers[question.key] ?? ''}
              onChange={(value) => {
                setSaid({ ...said, answers: { ...said.answers, [question.key]: value } })
                void keepBefore(slug, { [question.key]: value })
              }}
            />
          ))}
          {held
            .filter(({ key }) => !needless.has(key))
            .map((requirement) => (
              <Choice
                key={requirement.key}
                name={requirement.key}
                label={say('vacancies.doYouHave', { what: heldWords(requirement, nameOf) })}
                value={said.holds[requirement.key] ?? ''}
                onChange={(value) =>
                  setSaid({ ...said, holds: { ...said.holds, [requirement.key]: value as 'yes' | 'no' } })
                }
                options={[
                  { value: 'yes', label: say('vacancies.yes') },
                  { value: 'no', label: say('vacancies.no') },
                ]}
              />
            ))}
        </Sheet>
      </div>
      <aside aria-live="polite" className="lg:sticky lg:top-6 lg:self-start">
        <p className={`rounded-sheet px-3 py-2 font-semibold text-[1.1em] ${verdicts[verdict].look}`}>
          {verdicts[verdict].words}
        </p>
        <Lines
          title={say('vacancies.whatSpeaksAgainstIt')}
          lines={against}
          words={({ requirement }) => requirementSentence(requirement, nameOf, known)}
        />
        <Lines
          title={say('vacancies.stillOpen')}
          lines={open}
          words={({ missing, requirement }) =>
            missing[0] === requirement.key
              ? say('vacancies.notSaidYet')
              : say('vacancies.dependsOn', { names: missing.map(nameOf).join(', ') })
          }
        />
        {verdict !== 'does not fit' && (
          <p className="mt-3 text-[0.93em] text-ink-2">{say('vacancies.whatYouSayHasTo')}</p>
        )}
        <p className="mt-3">
          <Link to={`/vacancies/${slug}`} className="font-semibold text-confirmed">
            {say('vacancies.backToTheVacancy')}
          </Link>
        </p>
      </aside>
    </main>
  )
}

/** What a requirement asks for, without its gate and proof. */
function heldWords(requirement: Requirement, nameOf: (key: string) => string) {
  const { validStartPlusDays } = requirement
  const plain = {
    ...requirement,
    rung: 'claimed' as const,
    paper: undefined,
    when: undefined,
    exempt: undefined,
    validStartPlusDays: undefined,
  }
  const words = requirementSentence(plain, nameOf)
    .replace(/, [^,]*\.$/, '')
    .replace(/^./, (letter) => (spokenLanguage() === 'en' ? letter.toLowerCase() : letter))
  return validStartPlusDays === undefined ? words : say('vacancies.validBeyondTheFirstDay', { words })
}

function Lines({
  title,
  lines,
  words,
}: {
  title: string
  lines: readonly FitLine[]
  words: (line: FitLine) => string
}) {
  if (lines.length === 0) return null
  return (
    <section className="mt-3">
      <h2 className="text-[1.15em]">{title}</h2>
      <ul className="divide-y divide-line">
        {lines.map((line) => (
          <li key={line.requirement.key} className="py-1.5">
            <span className="font-semibold">{requirementTitle(line.requirement)}</span>
            <span className="block text-[0.93em] text-ink-2">{words(line)}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
