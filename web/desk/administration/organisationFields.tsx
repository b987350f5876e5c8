import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { contrastOf, leastContrast, onMast } from '#core/organisation/contrast'
import type { Organisation } from '#core/organisation/organisation'
import { type Language, languages, say, spokenLocale } from '#core/words/say'
import { Button } from '../../ui/Button'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { faultAt } from '../../ui/ProblemNote'

type PlaceProps = {
  given: Organisation
  described: Reply<Contract['readOrganisation']>
  set: (change: Partial<Organisation>) => void
  problem: Parameters<typeof faultAt>[0]
}

/** Country and region; both decide whose holidays are ours. */
export function Place({ given, described, set, problem }: PlaceProps) {
  const names = new Intl.DisplayNames([spokenLocale()], { type: 'region' })
  const countries = described.countries
    .map(({ code }) => ({ value: code, label: names.of(code) ?? code }))
    .sort((a, b) => a.label.localeCompare(b.label))
  const regions = described.countries.find(({ code }) => code === given.country)?.regions ?? []
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <SelectField
        label={say('administration.field.country')}
        empty={given.country === 'ZZ' ? say('administration.notChosen') : undefined}
        options={countries}
        value={given.country === 'ZZ' ? '' : given.country}
        onChange={(event) => set({ country: event.target.value || 'ZZ', region: '' })}
        error={faultAt(problem, 'country')}
      />
      <SelectField
        label={say('administration.field.region')}
        empty={say('administration.wholeCountry')}
        options={regions.map(({ code, name }) => ({ value: code, label: name }))}
        value={given.region}
        onChange={(event) => set({ region: event.target.value })}
        error={faultAt(problem, 'region')}
      />
    </div>
  )
}

/** The colour of the masthead, with how well its text can be read on it. */
export function Accent({
  value,
  onChange,
  error,
}: {
  value: string
  onChange: (colour: string) => void
  error?: string
}) {
  const contrast = contrastOf(value, onMast)
  return (
    <div className="grid gap-2">
      <TextField
        label={say('administration.accent')}
        type="color"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        error={error}
        className="h-9 w-20 rounded-sheet border border-line-strong bg-sheet p-1"
      />
      <p className="rounded-sheet px-3 py-2" style={{ background: value, color: onMast }}>
        {say('administration.thisIsTheMasthead')}
      </p>
      <p className={contrast < leastContrast ? 'text-contradicted' : 'text-ink-2'}>
        {say('administration.contrast', { contrast: contrast.toFixed(1), least: leastContrast })}
      </p>
    </div>
  )
}

type ByLanguageProps = {
  label: (language: string) => string
  value: Partial<Record<Language, string>>
  onChange: (value: Partial<Record<Language, string>>) => void
  long?: boolean
}

export function ByLanguage({ label, value, onChange, long }: ByLanguageProps) {
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      {languages.map((language) => {
        const around = {
          label: label(say(`administration.language.${language}`)),
          value: value[language] ?? '',
          onChange: (event: { target: { value: string } }) => onChange({ ...value, [language]: event.target.value }),
        }
        return long ? <LongField key={language} limit={600} {...around} /> : <TextField key={language} {...around} />
      })}
    </div>
  )
}

/** A list of short texts, one on each line. */
export function Lines({
  label,
  value,
  onChange,
}: {
  label: string
  value: string[]
  onChange: (value: string[]) => void
}) {
  const [typed, setTyped] = useState(value.join('\n'))
  return (
    <LongField
      label={label}
      rows={6}
      help={say('administration.oneOnEachLine')}
      value={typed}
      onChange={(event) => {
        setTyped(event.target.value)
        onChange([
          ...new Set(
            event.target.value
              .split('\n')
              .map((line) => line.trim())
              .filter(Boolean),
          ),
        ])
      }}
    />
  )
}

type ClosedDay = Organisation['closedDays'][number]

export function ClosedDays({
  value,
  onChange,
  faultOf,
}: {
  value: ClosedDay[]
  onChange: (value: ClosedDay[]) => void
  faultOf: (nth: number, field: 'day' | 'name') => string | undefined
}) {
  const change = (nth: number, part: Partial<ClosedDay>) =>
    onChange(value.map((day, at) => (at === nth ? { ...day, ...part } : day)))
  return (
    <div className="grid gap-2">
      {value.map(({ day, name }, nth) => (
        <div key={nth} className="grid items-end gap-3 sm:grid-cols-[10rem_1fr_auto]">
          <TextField
            label={say('administration.closedDay')}
            hidden={nth > 0}
            placeholder="12-24"
            value={day}
            onChange={(event) => change(nth, { day: event.target.value })}
            error={faultOf(nth, 'day')}
          />
          <TextField
            label={say('administration.whyClosed')}
            hidden={nth > 0}
            value={name}
            onChange={(event) => change(nth, { name: event.target.value })}
            error={faultOf(nth, 'name')}
          />
          <Button kind="quiet" onClick={() => onChange(value.filter((_, at) => at !== nth))}>
            {say('administration.removeDay')}
          </Button>
        </div>
      ))}
      <p className="text-[0.87em] text-ink-2">{say('administration.closedDaysMean')}</p>
      <Button className="justify-self-start" onClick={() => onChange([...value, { day: '', name: '' }])}>
        {say('administration.addADay')}
      </Button>
    </div>
  )
}
