import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { type SourceGiven, sourceKinds } from '#contract/sources'
import { say, spokenLocale } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'

export type SourceRow = Reply<Contract['sourceDirectory']>[number]

const nothing: SourceGiven = {
  name: '',
  aliases: [],
  kind: 'university',
  town: '',
  country: '',
  mail: '',
  register: null,
  answerWorkingDays: 10,
}

/** A source is entered, or what is known of it is changed. */
export function SourceDialog({ source, onClose }: { source: SourceRow | undefined; onClose: () => void }) {
  const { act, busy, problem } = useAct('saveSource')
  const toast = useToast()
  useFreshAfterClash(problem, 'desk')
  const [id] = useState(() => source?.id ?? crypto.randomUUID())
  const [given, setGiven] = useState<SourceGiven>(() => {
    if (!source) return nothing
    const { name, aliases, kind, town, country, mail, register, answerWorkingDays } = source
    return { name, aliases, kind, town, country, mail, register, answerWorkingDays }
  })
  const set = (change: Partial<SourceGiven>) => setGiven((before) => ({ ...before, ...change }))
  const save = async () => {
    if (!(await act({ params: { id }, body: { version: source?.version ?? 0, source: given } }))) return
    toast(say('overviews.sourceSaved', { name: given.name }))
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={source ? source.name : say('overviews.enterASource')}
      description={say('overviews.whereItIsAskedIsChecked')}
    >
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label={say('overviews.nameOfTheSource')}
            data-first
            value={given.name}
            onChange={(event) => set({ name: event.target.value })}
            error={faultAt(problem, 'name')}
          />
          <SelectField
            label={say('overviews.kind')}
            options={sourceKinds.map((value) => ({ value, label: say(`names.sourceKind.${value}`) }))}
            value={given.kind}
            onChange={(event) => set({ kind: event.target.value as SourceGiven['kind'] })}
          />
          <TextField
            label={say('overviews.town')}
            value={given.town}
            onChange={(event) => set({ town: event.target.value })}
            error={faultAt(problem, 'town')}
          />
          <SelectField
            label={say('overviews.country')}
            empty={say('overviews.chooseACountry')}
            options={countries()}
            value={given.country}
            onChange={(event) => set({ country: event.target.value })}
            error={faultAt(problem, 'country')}
          />
          <TextField
            label={say('overviews.mailOfTheSource')}
            type="email"
            help={say('overviews.mailOfTheSourceMeans')}
            value={given.mail}
            onChange={(event) => set({ mail: event.target.value })}
            error={faultAt(problem, 'mail')}
          />
          <TextField
            label={say('overviews.registerItKeeps')}
            optional
            value={given.register ?? ''}
            onChange={(event) => set({ register: event.target.value.trim() || null })}
            error={faultAt(problem, 'register')}
          />
          <TextField
            label={say('overviews.answersWithin')}
            type="number"
            min={1}
            max={120}
            value={given.answerWorkingDays || ''}
            onChange={(event) => set({ answerWorkingDays: Math.round(Number(event.target.value)) })}
            error={faultAt(problem, 'answerWorkingDays')}
          />
          <LongField
            label={say('overviews.otherNames')}
            rows={2}
            help={say('overviews.oneNameOnEachLine')}
            value={given.aliases.join('\n')}
            onChange={(event) => set({ aliases: event.target.value.split('\n') })}
            onBlur={() => set({ aliases: given.aliases.map((name) => name.trim()).filter(Boolean) })}
            error={faultAt(problem, 'aliases')}
          />
        </div>
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy} className="justify-self-start">
          {say('overviews.saveSource')}
        </Button>
      </form>
    </Dialog>
  )
}

/** Every country CLDR has a name for. */
function countries() {
  const names = new Intl.DisplayNames([spokenLocale()], { type: 'region', fallback: 'none' })
  const letters = Array.from({ length: 26 }, (_, nth) => String.fromCharCode(65 + nth))
  return letters
    .flatMap((one) => letters.map((two) => one + two))
    .flatMap((value) => {
      const label = names.of(value)
      return label && !/^(EU|EZ|UN|XA|XB|QO|ZZ)$/.test(value) ? [{ value, label }] : []
    })
    .sort((a, b) => a.label.localeCompare(b.label))
}

/** Somebody says that a source is what it says: another than who entered it, or with a reason where there is nobody else. */
export function CheckDialog({ source, onClose }: { source: SourceRow; onClose: () => void }) {
  const { act, busy, problem } = useAct('checkSource')
  const toast = useToast()
  useFreshAfterClash(problem, 'desk')
  const [reason, setReason] = useState('')
  const check = async () => {
    const body = { version: source.version, ...(source.alone ? { alone: reason } : {}) }
    if (!(await act({ params: { id: source.id }, body }))) return
    toast(say('overviews.sourceChecked', { name: source.name }))
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={say('overviews.checkTitle', { name: source.name })}>
      <div className="grid gap-3">
        <p>{say('overviews.checkMeans', { by: source.enteredBy, mail: source.mail })}</p>
        {source.alone && (
          <LongField
            label={say('overviews.howYouMadeSure')}
            help={say('overviews.nobodyElseCan')}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            error={faultAt(problem, 'alone')}
          />
        )}
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button
          kind="main"
          busy={busy}
          disabled={source.alone && reason.trim() === ''}
          onClick={() => void check()}
          className="justify-self-start"
        >
          {say('overviews.itIsWhatItSays')}
        </Button>
      </div>
    </Dialog>
  )
}
