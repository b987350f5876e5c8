import { useCallback, useEffect, useRef, useState } from 'react'
import type { DeskVacancy, VacancyFields } from '#contract/vacancySetUp'
import { say } from '#core/words/say'
import { DateField } from '../../ui/DateField'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { MomentField } from '../../ui/MomentField'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { RichTextField } from '../../ui/RichTextField'
import { useAct } from '../../useAct'
import { useAgain } from '../../useAgain'
import { useCurrency } from '../../useCurrency'
import { DecisionDay } from './DecisionDay'
import { HeardCounts } from './HeardCounts'

const pauseMs = 700
const zones = Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, label: zone.replace(/_/g, ' ') }))

const codesIn = (text: string) => [
  ...new Set(
    text
      .split(/[\s,]+/)
      .map((code) => code.toLowerCase())
      .filter((code) => code !== ''),
  ),
]

/** What is said of the post. Each change is saved after a pause. */
export function PostPart({ vacancy, mayEdit }: { vacancy: DeskVacancy; mayEdit: boolean }) {
  const currency = useCurrency()
  const [typed, setTyped] = useState<Partial<VacancyFields>>({})
  const { act, problem, busy } = useAct('saveVacancy')
  const latest = useRef({ typed, version: vacancy.version })
  latest.current = { typed, version: vacancy.version }
  const { id } = vacancy
  const save = useCallback(async () => {
    const sent = latest.current.typed
    const saved = await act({ params: { id }, body: { version: latest.current.version, changes: sent } })
    if (saved)
      setTyped((now) =>
        Object.fromEntries(Object.entries(now).filter(([key, value]) => sent[key as keyof VacancyFields] !== value)),
      )
  }, [act, id])
  useEffect(() => {
    if (Object.keys(typed).length === 0) return
    const timer = setTimeout(() => void save(), pauseMs)
    return () => clearTimeout(timer)
  }, [typed, save])
  // Without a connection it goes by itself when the connection is back.
  useAgain(problem, () => void save())
  const fields = { ...vacancy, ...typed }
  const set = (change: Partial<VacancyFields>) => setTyped((before) => ({ ...before, ...change }))
  const text = (field: 'title' | 'family' | 'place' | 'contract' | 'hours') => ({
    value: fields[field],
    onChange: (event: { target: { value: string } }) => set({ [field]: event.target.value }),
    error: faultAt(problem, field),
  })
  const money = (field: 'payFrom' | 'payTo') => ({
    type: 'number',
    min: 0,
    value: fields[field] / 100 || '',
    onChange: (event: { target: { value: string } }) => set({ [field]: Math.round(Number(event.target.value) * 100) }),
    error: faultAt(problem, field),
  })
  const moment = (field: 'opensAt' | 'closesAt') => ({
    value: fields[field],
    timeZone: fields.timeZone,
    onChange: (iso: string) => set({ [field]: iso }),
    error: faultAt(problem, field),
  })
  return (
    <fieldset disabled={!mayEdit} className="min-h-0 flex-1 overflow-auto px-5 py-4">
      <legend className="sr-only">{say('composer.thePost')}</legend>
      <div className="grid max-w-[1040px] grid-cols-4 gap-x-4 gap-y-3">
        <div className="col-span-2">
          <TextField label={say('composer.title')} {...text('title')} />
        </div>
        <TextField label={say('composer.familyOfWork')} suggestions={vacancy.families} {...text('family')} />
        <TextField label={say('composer.place')} suggestions={vacancy.places} {...text('place')} />
        <div className="col-span-4">
          <LongField
            label={say('composer.inOneOrTwoSentences')}
            rows={2}
            limit={2000}
            value={fields.summary}
            onChange={(event) => set({ summary: event.target.value })}
          />
        </div>
        <div className="col-span-4">
          <RichTextField
            label={say('composer.whatOneWouldDo')}
            value={fields.duties}
            onChange={(duties) => set({ duties: duties as VacancyFields['duties'] })}
            error={faultAt(problem, 'duties')}
          />
        </div>
        <TextField label={say('composer.payFromAYear', { currency })} {...money('payFrom')} />
        <TextField label={say('composer.payToAYear', { currency })} {...money('payTo')} />
        <TextField label={say('composer.contract')} {...text('contract')} />
        <TextField label={say('composer.hours')} {...text('hours')} />
        <MomentField key={`opens ${fields.timeZone}`} label={say('composer.opens')} {...moment('opensAt')} />
        <MomentField key={`closes ${fields.timeZone}`} label={say('composer.closes')} {...moment('closesAt')} />
        <SelectField
          label={say('composer.timeZoneOfBoth')}
          value={fields.timeZone}
          options={zones}
          onChange={(event) => set({ timeZone: event.target.value })}
          error={faultAt(problem, 'timeZone')}
        />
        <DateField
          label={say('composer.targetStart')}
          value={fields.targetStart}
          onChange={(day) => /^\d{4}-\d{2}-\d{2}$/.test(day) && set({ targetStart: day })}
        />
        <TextField
          label={say('composer.howManyAreWanted')}
          type="number"
          min={1}
          value={fields.headcount}
          onChange={(event) => set({ headcount: Math.max(1, Math.round(Number(event.target.value))) })}
        />
        <SelectField
          label={say('composer.whoDecides')}
          value={fields.decidedBy}
          empty={say('composer.choose')}
          options={vacancy.deciders.map(({ mail, name }) => ({ value: mail, label: name }))}
          onChange={(event) => set({ decidedBy: event.target.value })}
        />
        <div className="col-span-2">
          <DecisionDay key={vacancy.decidesOn} vacancy={vacancy} />
        </div>
        <div className="col-span-2">
          <TextField
            label={say('composer.languagesPapersAreReadIn')}
            help={say('composer.twoLettersEachSuchAs')}
            defaultValue={fields.paperLanguages.join(', ')}
            onBlur={(event) => set({ paperLanguages: codesIn(event.target.value) })}
            error={faultAt(problem, 'paperLanguages')}
          />
        </div>
      </div>
      <HeardCounts id={vacancy.id} />
      <div className="mt-3 max-w-[640px]">
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <p role="status" className="text-ink-2">
          {busy || Object.keys(typed).length > 0
            ? problem
              ? say('composer.notSavedYet')
              : say('composer.saving')
            : say('composer.everythingIsSaved')}
        </p>
      </div>
    </fieldset>
  )
}
