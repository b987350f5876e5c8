import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { writeWhen } from '#core/dates/write'
import type { Organisation } from '#core/organisation/organisation'
import { issuedClaims } from '#core/sources/source'
import { type Language, say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { Overview } from '../overviews/Overview'
import { useToast } from '../useToast'
import { EnquirySettings } from './EnquirySettings'
import { languageOptions } from './InviteDialog'
import { LogoField } from './LogoField'
import { Accent, ByLanguage, ClosedDays, Lines, Place } from './organisationFields'
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
      <Part title={say('administration.howLongConfirmed')}>
        <p className="mb-2 text-ink-2">{say('administration.howLongConfirmedMeans')}</p>
        <div className="grid gap-3 sm:grid-cols-6">
          {issuedClaims.map((kind) => (
            <TextField
              key={kind}
              type="number"
              min={1}
              max={600}
              label={say(`sources.claim.${kind}`).replace(/^./, (letter) => letter.toUpperCase())}
              value={given.freshMonths[kind] ?? ''}
              onChange={(event) => {
                const months = event.target.value === '' ? null : Math.round(Number(event.target.value))
                set({ freshMonths: { ...given.freshMonths, [kind]: months } })
              }}
              error={faultAt(problem, `freshMonths/${kind}`)}
            />
          ))}
        </div>
      </Part>
      <Part title={say('administration.bank')}>
        <p className="mb-2 text-ink-2">{say('administration.bankMeans')}</p>
        <div className="grid gap-3 sm:grid-cols-[1fr_1.2fr_0.7fr]">
          {(['holder', 'iban', 'bic'] as const).map((field) => (
            <TextField
              key={field}
              label={say(`administration.bank.${field}`)}
              value={given.bank[field]}
              maxLength={field === 'bic' ? 11 : 70}
              onChange={(event) => set({ bank: { ...given.bank, [field]: event.target.value } })}
              error={faultAt(problem, `bank/${field}`)}
            />
          ))}
        </div>
      </Part>
      <Part title={say('administration.howHeard')}>
        <TextField
          label={say('administration.hearingDays')}
          help={say('administration.hearingDaysMean')}
          type="number"
          min={1}
          max={60}
          value={given.hearingDays}
          onChange={(event) => set({ hearingDays: Math.round(Number(event.target.value)) })}
          error={faultAt(problem, 'hearingDays')}
        />
      </Part>
      <Part title={say('administration.howAsked')}>
        <EnquirySettings
          given={given.enquiries}
          onChange={(enquiries) => set({ enquiries })}
          problem={problem}
          currency={given.currency}
        />
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
