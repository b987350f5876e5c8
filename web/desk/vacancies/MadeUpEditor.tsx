import type { MadeUp } from '#contract/rules'
import { catalogue, offered } from '#core/catalogue/catalogue'
import { comparisonsOf } from '#core/conditions/faults'
import type { Question } from '#core/form/form'
import { type Ask, type Rung, rungs } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { credentialName, languageName } from '#core/words/names'
import { say } from '#core/words/say'
import { AnswerField } from '../../ui/answers/AnswerField'
import { choicesOf, levelToBeginWith } from '../../ui/choices'
import { DateField } from '../../ui/DateField'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { markWords } from '../../ui/Mark'

type Props = {
  rules: Rules
  checks: Readonly<Record<string, string>>
  madeUp: MadeUp
  onChange: (next: MadeUp) => void
}

const rungOptions = rungs.map((value) => ({ value, label: markWords(value) }))

/** Describes a person by the few things these rules look at. */
export function MadeUpEditor({ rules, checks, madeUp, onChange }: Props) {
  const set = (change: Partial<MadeUp>) => onChange({ ...madeUp, ...change })
  const asks = rules.requirements.flatMap(({ asks: first, alternatives = [] }) => [first, ...alternatives])
  const has = (kind: Ask['kind']) => asks.some((ask) => ask.kind === kind)
  const credentials = [...new Set(asks.flatMap((ask) => (ask.kind === 'credential' ? [ask.credential] : [])))]
  const wantedChecks = [...new Set(asks.flatMap((ask) => (ask.kind === 'skills check' ? [ask.check] : [])))]
  const languages = asks.flatMap((ask) =>
    ask.kind === 'language' ? [{ language: ask.language, level: ask.level }] : [],
  )
  const looksAt = lookedAt(rules)
  const { study, work } = madeUp
  return (
    <div className="mt-2 grid gap-2.5 text-[0.8333rem]">
      {questionsIn(rules)
        .filter(({ key }) => looksAt.has(key))
        .map((question) => (
          <AnswerField
            key={question.key}
            question={question}
            value={madeUp.answers[question.key] ?? ''}
            onChange={(value) => set({ answers: { ...madeUp.answers, [question.key]: value } })}
          />
        ))}
      {has('study') && (
        <Line
          name={say('composer.study')}
          on={study !== undefined}
          onSwitch={(on) => set({ study: on ? { ...anyStudy(), accredited: false, rung: 'claimed' } : undefined })}
        >
          {study && (
            <>
              <SelectField
                label={say('composer.level')}
                hidden
                value={String(study.level)}
                options={choicesOf(catalogue().levels, String(study.level))}
                onChange={(event) => set({ study: { ...study, level: Number(event.target.value) } })}
              />
              <SelectField
                label={say('composer.field')}
                hidden
                value={study.field}
                options={choicesOf(catalogue().fields, study.field)}
                onChange={(event) => set({ study: { ...study, field: event.target.value } })}
              />
              <SelectField
                label={say('composer.howWellProven')}
                hidden
                value={study.rung}
                options={rungOptions}
                onChange={(event) => set({ study: { ...study, rung: event.target.value as Rung } })}
              />
              <label className="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  className="accent-confirmed"
                  checked={study.accredited}
                  onChange={(event) => set({ study: { ...study, accredited: event.target.checked } })}
                />
                {say('composer.accreditedProgramme')}
              </label>
            </>
          )}
        </Line>
      )}
      {credentials.map((key) => {
        const held = madeUp.credentials.find(({ credential }) => credential === key)
        const others = madeUp.credentials.filter((other) => other !== held)
        return (
          <Line
            key={key}
            name={credentialName(key)}
            on={held !== undefined}
            onSwitch={(on) =>
              set({ credentials: on ? [...others, { credential: key, rung: 'claimed', through: '' }] : others })
            }
          >
            {held && (
              <>
                <SelectField
                  label={say('composer.howWellProven')}
                  hidden
                  value={held.rung}
                  options={rungOptions}
                  onChange={(event) => set({ credentials: [...others, { ...held, rung: event.target.value as Rung }] })}
                />
                <DateField
                  label={say('composer.lastDayOf', { key: credentialName(key) })}
                  hidden
                  value={held.through}
                  onChange={(through) => set({ credentials: [...others, { ...held, through }] })}
                />
              </>
            )}
          </Line>
        )
      })}
      {(has('experience') || has('history') || has('every work entry') || has('reference')) && (
        <Line
          name={say('composer.work')}
          on={work !== undefined}
          onSwitch={(on) => set({ work: on ? { months: 36, tags: [], rung: 'claimed' } : undefined })}
        >
          {work && (
            <>
              <TextField
                label={say('composer.monthsOfWork')}
                hidden
                type="number"
                min={0}
                value={work.months}
                onChange={(event) =>
                  set({ work: { ...work, months: Math.max(0, Math.round(Number(event.target.value))) } })
                }
              />
              <TextField
                label={say('composer.kindsOfWork')}
                hidden
                placeholder={say('composer.kindsWithCommas')}
                defaultValue={work.tags.join(', ')}
                onBlur={(event) =>
                  set({
                    work: {
                      ...work,
                      tags: event.target.value
                        .split(',')
                        .map((tag) => tag.trim())
                        .filter(Boolean),
                    },
                  })
                }
              />
              <SelectField
                label={say('composer.howWellProven')}
                hidden
                value={work.rung}
                options={rungOptions}
                onChange={(event) => set({ work: { ...work, rung: event.target.value as Rung } })}
              />
            </>
          )}
        </Line>
      )}
      {languages.length > 0 && (
        <CheckList
          label={say('composer.languagesSpoken')}
          options={languages.map(({ language, level }) => ({
            value: `${language} ${level}`,
            label: `${languageName(language)}, ${level}`,
          }))}
          value={(madeUp.languages ?? []).map(({ language, level }) => `${language} ${level}`)}
          onChange={(chosen) =>
            set({ languages: languages.filter(({ language, level }) => chosen.includes(`${language} ${level}`)) })
          }
        />
      )}
      {wantedChecks.length > 0 && (
        <CheckList
          label={say('composer.skillsChecksPassed')}
          options={wantedChecks.map((value) => ({ value, label: checks[value] ?? value }))}
          value={madeUp.checksPassed}
          onChange={(checksPassed) => set({ checksPassed })}
        />
      )}
      {has('permission') && (
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-confirmed"
            checked={madeUp.permissionSigned}
            onChange={(event) => set({ permissionSigned: event.target.checked })}
          />
          {say('composer.permissionSigned')}
        </label>
      )}
    </div>
  )
}

type LineProps = { name: string; on: boolean; onSwitch: (on: boolean) => void; children: React.ReactNode }

const Line = ({ name, on, onSwitch, children }: LineProps) => (
  <div>
    <label className="flex items-center gap-1.5 font-semibold">
      <input
        type="checkbox"
        className="accent-confirmed"
        checked={on}
        onChange={(event) => onSwitch(event.target.checked)}
      />
      {name}
    </label>
    {on && <div className="mt-1 grid grid-cols-2 gap-1.5">{children}</div>}
  </div>
)

const questionsIn = ({ form }: Rules): Question[] => form.flatMap(({ questions }) => questions)

/** The questions that a condition looks at or a requirement rests on. */
function lookedAt({ form, requirements }: Rules): Set<string> {
  const conditions = [
    ...form.flatMap(({ when, questions }) => [when, ...questions.map((question) => question.when)]),
    ...requirements.flatMap(({ when, exempt }) => [when, exempt?.when]),
  ].filter((condition) => condition !== undefined)
  return new Set([
    ...conditions.flatMap(comparisonsOf).map(({ fact }) => fact.replace(/\.(country|region)$/, '')),
    ...requirements.flatMap(({ asks }) => ('question' in asks ? [asks.question] : [])),
  ])
}

/** A study to begin with, in the first field that is offered. */
const anyStudy = () => ({ level: levelToBeginWith(), field: offered(catalogue().fields)[0]?.key ?? '9999' })
