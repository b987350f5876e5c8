import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { writeWhen } from '#core/dates/write'
import { contrastOf, leastContrast, onMast } from '#core/organisation/contrast'
import type { Organisation } from '#core/organisation/organisation'
import { type Language, languages, say, spokenLocale } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { CheckList, LongField, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { Overview } from '../overviews/Overview'
import { useToast } from '../useToast'
import { languageOptions } from './InviteDialog'
import { LogoField } from './LogoField'
import { PermissionText } from './PermissionText'

type Described = Reply<Contract['readOrganisation']>

/** Whose application this is, and what holds in all of it. */
export function OrganisationPage() {
  const { data, error, refetch } = api.endpoints.readOrganisation.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('administration.organisation')} about={say('administration.aboutOrganisation')}>
      <div className="grid max-w-[1040px] gap-8">
        <Description key={data.version} described={data} />
        <PermissionText />
      </div>
    </Overview>
  )
}

const zones = ['UTC', ...Intl.supportedValuesOf('timeZone')].map((zone) => ({
  value: zone,
  label: zone.replace(/_/g, ' '),
}))

function Description({ described }: { described: Described }) {
  const { act, busy, problem } = useAct('saveOrganisation')
  const toast = useToast()
  useFreshAfterClash(problem, 'organisation')
  const [given, setGiven] = useState<Organisation>(described.organisation)
  const set = (change: Partial<Organisation>) => setGiven((before) => ({ ...before, ...change }))
  const changed = JSON.stringify(given) !== JSON.stringify(described.organisation)
  const text = (field: 'name' | 'street' | 'postcode' | 'town' | 'contact' | 'phone') => ({
    label: say(`administration.field.${field}`),
    value: given[field],
    onChange: (event: { target: { value: string } }) => set({ [field]: event.target.value }),
    error: faultAt(problem, field),
  })
  const save = async () => {
    if (await act({ body: { version: described.version, organisation: given } }))
      toast(say('administration.organisationSaved'))
  }
  return (
    <form
      className="grid gap-7"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <Part title={say('administration.whoWeAre')}>
        <div className="grid grid-cols-1 gap-3 sm:grid-cols-6">
          <div className="sm:col-span-3">
            <TextField {...text('name')} />
          </div>
          <div className="sm:col-span-3">
            <TextField {...text('street')} />
          </div>
          <TextField {...text('postcode')} />
          <div className="sm:col-span-2">
            <TextField {...text('town')} />
          </div>
          <div className="sm:col-span-3">
            <Place given={given} described={described} set={set} problem={problem} />
          </div>
          <div className="sm:col-span-3">
            <TextField {...text('contact')} type="email" help={say('administration.contactMeans')} />
          </div>
          <div className="sm:col-span-3">
            <TextField {...text('phone')} optional />
          </div>
        </div>
      </Part>
      <Part title={say('administration.howItLooks')}>
        <div className="grid gap-4 sm:grid-cols-2">
          <LogoField logo={described.logo} />
          <Accent value={given.accent} onChange={(accent) => set({ accent })} error={faultAt(problem, 'accent')} />
        </div>
        <ByLanguage
          label={(language) => say('administration.welcomeIn', { language })}
          value={given.welcome}
          onChange={(welcome) => set({ welcome })}
        />
      </Part>
      <Part title={say('administration.languageMoneyTime')}>
        <div className="grid gap-3 sm:grid-cols-4">
          <div className="sm:col-span-2">
            <CheckList
              label={say('administration.languages')}
              help={say('administration.languagesMean')}
              options={languageOptions()}
              value={given.languages}
              onChange={(chosen) => set({ languages: chosen as Language[] })}
              error={faultAt(problem, 'languages')}
            />
          </div>
          <TextField
            label={say('administration.currency')}
            value={given.currency}
            maxLength={3}
            onChange={(event) => set({ currency: event.target.value.toUpperCase() })}
            error={faultAt(problem, 'currency')}
          />
          <TextField
            label={say('administration.referencePrefix')}
            value={given.referencePrefix}
            maxLength={2}
            disabled={described.referencesGiven}
            help={
              described.referencesGiven
                ? say('administration.referencesAreGiven')
                : say('administration.referencePrefixMeans', { example: `${given.referencePrefix}-7K3Q-R9` })
            }
            onChange={(event) => set({ referencePrefix: event.target.value.toUpperCase() })}
            error={faultAt(problem, 'referencePrefix')}
          />
          <div className="sm:col-span-2">
            <SelectField
              label={say('administration.timeZone')}
              options={zones}
              value={given.timeZone}
              onChange={(event) => set({ timeZone: event.target.value })}
              error={faultAt(problem, 'timeZone')}
            />
          </div>
        </div>
      </Part>
      <Part title={say('administration.daysWeDoNotWork')}>
        <p className="text-ink-2">
          {described.holidays.length > 0
            ? say('administration.publicHolidays', {
                days: described.holidays.map(({ day, name }) => `${writeWhen(day)} (${name})`).join(', '),
              })
            : say('administration.noHolidaysKnown')}
        </p>
        <ClosedDays
          value={given.closedDays}
          onChange={(closedDays) => set({ closedDays })}
          faultOf={(nth, field) => faultAt(problem, `closedDays/${nth}/${field}`)}
        />
      </Part>
      <Part title={say('administration.whatVacanciesChooseFrom')}>
        <div className="grid gap-3 sm:grid-cols-2">
          <Lines
            label={say('administration.kindsOfWork')}
            value={given.families}
            onChange={(families) => set({ families })}
          />
          <Lines label={say('administration.places')} value={given.places} onChange={(places) => set({ places })} />
        </div>
      </Part>
      <Part title={say('administration.footOfMails')}>
        <ByLanguage
          long
          label={(language) => say('administration.footerIn', { language })}
          value={given.footer}
          onChange={(footer) => set({ footer })}
        />
      </Part>
      <Part title={say('administration.howLongWeKeep')}>
        <div className="grid gap-3 sm:grid-cols-4">
          {(['notSentDays', 'endedDays', 'clearedYears', 'trailYears'] as const).map((field) => (
            <TextField
              key={field}
              type="number"
              min={1}
              label={say(`administration.keeping.${field}`)}
              value={given.keeping[field] || ''}
              onChange={(event) =>
                set({ keeping: { ...given.keeping, [field]: Math.round(Number(event.target.value)) } })
              }
              error={faultAt(problem, field)}
            />
          ))}
        </div>
      </Part>
      <div className="sticky -bottom-3 flex items-center gap-3 border-line border-t bg-sheet py-3">
        <Button kind="main" type="submit" busy={busy} disabled={!changed}>
          {say('administration.saveOrganisation')}
        </Button>
        {changed && (
          <Button kind="quiet" onClick={() => setGiven(described.organisation)}>
            {say('administration.discardChanges')}
          </Button>
        )}
        {problem?.faults && (
          <span role="alert" className="font-semibold text-contradicted">
            {say('administration.someFieldsAreNotRight')}
          </span>
        )}
        <ProblemNote problem={problem?.faults ? undefined : problem} />
      </div>
    </form>
  )
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-2 font-title text-[1.2rem]">{title}</legend>
      {children}
    </fieldset>
  )
}

type PlaceProps = {
  given: Organisation
  described: Described
  set: (change: Partial<Organisation>) => void
  problem: Parameters<typeof faultAt>[0]
}

/** Country and region; both decide whose holidays are ours. */
function Place({ given, described, set, problem }: PlaceProps) {
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
function Accent({ value, onChange, error }: { value: string; onChange: (colour: string) => void; error?: string }) {
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

function ByLanguage({ label, value, onChange, long }: ByLanguageProps) {
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
function Lines({ label, value, onChange }: { label: string; value: string[]; onChange: (value: string[]) => void }) {
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

function ClosedDays({
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
