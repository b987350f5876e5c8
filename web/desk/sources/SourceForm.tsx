import { useState } from 'react'
import type { SourceGiven } from '#contract/sources'
import { channels, nameUses, sourceKinds } from '#core/sources/source'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { CheckList, LongField, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'
import { ContactRows } from './ContactRows'
import { countries } from './countries'
import { HowItAnswers } from './HowItAnswers'
import { ProgrammeRows } from './ProgrammeRows'
import { Rows } from './Rows'
import { ClosureRows, ConditionRows, NumberRows } from './ruleRows'
import type { Editing } from './sourceTypes'
import { YearField } from './YearField'

export const nothingKnown: SourceGiven = {
  ...{ name: '', names: [], kind: 'university', town: '', region: '', country: '' },
  ...{ existedFrom: null, existedTo: null, successors: [], contacts: [], channels: ['link'], register: null },
  ...{ closures: [], conditions: [], cost: null, answerWorkingDays: 10, numberFormats: [], programmes: [], notes: '' },
}

type Props = {
  id: string
  version: number
  source: SourceGiven
  onSaved: () => void
  onCancel: () => void
}

/** A source is entered, or what is known of it is changed; all of it is saved at once. */
export function SourceForm({ id, version, source, onSaved, onCancel }: Props) {
  const { act, busy, problem } = useAct('saveSource')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  const [given, setGiven] = useState(source)
  const set = (change: Partial<SourceGiven>) => setGiven((before) => ({ ...before, ...change }))
  const save = async () => {
    if (!(await act({ params: { id }, body: { version, source: given } }))) return
    toast(say('sources.saved', { name: given.name }))
    onSaved()
  }
  const editing = { given, set, problem }
  return (
    <form
      className="grid max-w-[56rem] gap-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <p className="text-ink-2">{say('sources.changedContactMeans')}</p>
      <Identity {...editing} />
      <ContactRows {...editing} />
      <Asking {...editing} />
      <HowItAnswers {...editing} />
      <ConditionRows {...editing} />
      <NumberRows {...editing} />
      <ProgrammeRows {...editing} />
      <ClosureRows {...editing} />
      <LongField
        label={say('sources.notes')}
        rows={3}
        limit={4000}
        value={given.notes}
        onChange={(event) => set({ notes: event.target.value })}
      />
      <ProblemNote problem={problem} />
      {problem?.faults && problem.faults.length > 0 && (
        <p role="status" className="font-semibold text-contradicted">
          {problem.faults[0]!.message}
        </p>
      )}
      <div className="sticky bottom-0 flex gap-3 border-line border-t bg-sheet py-3">
        <Button kind="main" type="submit" busy={busy}>
          {say('sources.save')}
        </Button>
        <Button onClick={onCancel}>{say('sources.cancel')}</Button>
      </div>
    </form>
  )
}

/** What it is, where, and what else it is or was called. */
function Identity({ given, set, problem }: Editing) {
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-2 text-[1.1em]">{say('sources.part.identity')}</legend>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={say('sources.name')}
          value={given.name}
          onChange={(event) => set({ name: event.target.value })}
          error={faultAt(problem, 'source/name')}
        />
        <SelectField
          label={say('sources.kind')}
          options={sourceKinds.map((value) => ({ value, label: say(`names.sourceKind.${value}`) }))}
          value={given.kind}
          onChange={(event) => set({ kind: event.target.value as SourceGiven['kind'] })}
        />
        <TextField
          label={say('sources.town')}
          value={given.town}
          onChange={(event) => set({ town: event.target.value })}
          error={faultAt(problem, 'source/town')}
        />
        <div className="grid grid-cols-[minmax(0,1fr)_6rem] gap-3">
          <SelectField
            label={say('sources.country')}
            empty={say('sources.chooseACountry')}
            options={countries()}
            value={given.country}
            onChange={(event) => set({ country: event.target.value })}
            error={faultAt(problem, 'source/country')}
          />
          <TextField
            label={say('sources.region')}
            value={given.region}
            maxLength={3}
            onChange={(event) => set({ region: event.target.value.toUpperCase() })}
            error={faultAt(problem, 'source/region')}
          />
        </div>
        <YearField
          label={say('sources.existedFrom')}
          value={given.existedFrom}
          onChange={(existedFrom) => set({ existedFrom })}
          error={faultAt(problem, 'source/existedFrom')}
        />
        <YearField
          label={say('sources.existedTo')}
          value={given.existedTo}
          onChange={(existedTo) => set({ existedTo })}
          error={faultAt(problem, 'source/existedTo')}
        />
      </div>
      <Rows
        label={say('sources.otherNames')}
        about={say('sources.otherNamesMean')}
        rows={given.names}
        onChange={(names) => set({ names })}
        blank={() => ({ name: '', use: 'other' as const })}
        add={say('sources.addName')}
        remove={say('sources.takeOut')}
      >
        {(row, put, nth) => (
          <div className="grid gap-2 sm:grid-cols-[minmax(0,2fr)_1fr_7rem]">
            <TextField
              label={say('sources.nameNth', { nth: nth + 1 })}
              hidden
              value={row.name}
              onChange={(event) => put({ name: event.target.value })}
              error={faultAt(problem, `names/${nth}/name`)}
            />
            <SelectField
              label={say('sources.nameUse')}
              hidden
              options={nameUses.map((value) => ({ value, label: say(`sources.use.${value}`) }))}
              value={row.use}
              onChange={(event) => put({ use: event.target.value as (typeof nameUses)[number], until: undefined })}
            />
            {row.use === 'earlier' && (
              <YearField
                label={say('sources.until')}
                hidden
                value={row.until ?? null}
                onChange={(until) => put({ until: until ?? undefined })}
              />
            )}
          </div>
        )}
      </Rows>
      <Rows
        label={say('sources.successors')}
        rows={given.successors}
        onChange={(successors) => set({ successors })}
        blank={() => ({ name: '', year: null })}
        add={say('sources.addSuccessor')}
        remove={say('sources.takeOut')}
      >
        {(row, put, nth) => (
          <div className="grid gap-2 sm:grid-cols-[minmax(0,2fr)_7rem]">
            <TextField
              label={say('sources.successorNth', { nth: nth + 1 })}
              hidden
              value={row.name}
              onChange={(event) => put({ name: event.target.value })}
              error={faultAt(problem, `successors/${nth}/name`)}
            />
            <YearField label={say('sources.year')} hidden value={row.year} onChange={(year) => put({ year })} />
          </div>
        )}
      </Rows>
    </fieldset>
  )
}

/** By which ways it is asked, how long it takes, and what it costs. */
function Asking({ given, set, problem }: Editing) {
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-2 text-[1.1em]">{say('sources.part.asking')}</legend>
      <CheckList
        label={say('sources.channels')}
        help={say('sources.channelsMean', {
          channels: given.channels.map((one) => say(`sources.channel.${one}`)).join(', '),
        })}
        options={channels.map((value) => ({ value, label: say(`sources.channel.${value}`) }))}
        value={given.channels}
        onChange={(chosen) =>
          set({
            // In the order in which they are chosen: the first is preferred.
            channels: [
              ...given.channels.filter((one) => chosen.includes(one)),
              ...channels.filter((one) => chosen.includes(one) && !given.channels.includes(one)),
            ],
          })
        }
      />
      <div className="grid gap-3 sm:grid-cols-4">
        <TextField
          label={say('sources.registerItKeeps')}
          optional
          value={given.register ?? ''}
          onChange={(event) => set({ register: event.target.value.trim() || null })}
          error={faultAt(problem, 'source/register')}
        />
        <TextField
          label={say('sources.answersWithin')}
          type="number"
          min={1}
          max={120}
          value={given.answerWorkingDays || ''}
          onChange={(event) => set({ answerWorkingDays: Math.round(Number(event.target.value)) })}
          error={faultAt(problem, 'source/answerWorkingDays')}
        />
        <TextField
          label={say('sources.cost')}
          type="number"
          min={0}
          step="0.01"
          optional
          value={given.cost ? given.cost.amount / 100 : ''}
          onChange={(event) =>
            set({
              cost:
                event.target.value === ''
                  ? null
                  : {
                      amount: Math.round(Number(event.target.value) * 100),
                      currency: given.cost?.currency ?? 'EUR',
                    },
            })
          }
          error={faultAt(problem, 'cost/amount')}
        />
        {given.cost && (
          <TextField
            label={say('sources.currency')}
            value={given.cost.currency}
            maxLength={3}
            onChange={(event) => set({ cost: { ...given.cost!, currency: event.target.value.toUpperCase() } })}
            error={faultAt(problem, 'cost/currency')}
          />
        )}
      </div>
    </fieldset>
  )
}
