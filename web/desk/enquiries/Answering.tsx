import { useState } from 'react'
import type { EnquiryReply, FieldReply } from '#contract/reply'
import { readTyped, writeWhen } from '#core/dates/write'
import { againSaid, hoursSaid } from '#core/enquiries/asks'
import { callChecks } from '#core/enquiries/enquiry'
import { restrictionTerms, standingStates } from '#core/validity/validity'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { CheckList, Choice, LongField, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'
import type { AtDesk } from './atDesk'

type Answer = { says?: FieldReply['says']; value: string }
type Standing = NonNullable<EnquiryReply['standing']>

/** Types in what a source says: from the paper that lies beside it, or as it is heard on the telephone, line by line. */
export function Answering({ enquiry }: { enquiry: AtDesk }) {
  const { row, fields, claimed, asks, version, paper, phone, born } = enquiry
  const byTelephone = row.channel === 'telephone' && !paper
  const birth = born ? writeWhen(born) : '…'
  const [answers, setAnswers] = useState<Record<string, Answer>>({})
  const [known, setKnown] = useState(true)
  const [standing, setStanding] = useState<Partial<Standing>>({})
  const [hours, setHours] = useState<EnquiryReply['hours']>()
  const [again, setAgain] = useState<EnquiryReply['again']>()
  const [respondent, setRespondent] = useState('')
  const [capacity, setCapacity] = useState('')
  const [sure, setSure] = useState<(typeof callChecks)[number]>()
  const [note, setNote] = useState('')
  const entering = useAct('enterReply')
  const logging = useAct('logCall')
  const toast = useToast()
  const problem = entering.problem ?? logging.problem
  const set = (key: string, change: Partial<Answer>) =>
    setAnswers((before) => ({ ...before, [key]: { ...(before[key] ?? { value: '' }), ...change } }))
  const dates = new Set<string>(fields.filter(({ kind }) => kind === 'date').map(({ key }) => key))
  const complete =
    !known ||
    (fields.every(({ key }) => {
      const answer = answers[key]
      return answer?.says !== undefined && (answer.says !== 'differs' || answer.value.trim() !== '')
    }) &&
      (!asks.standing || standing.state !== undefined))
  const enter = async () => {
    const said = Object.fromEntries(
      Object.entries(answers).flatMap(([key, { says, value }]): [string, FieldReply][] => {
        if (!says) return []
        if (says !== 'differs') return [[key, { says }]]
        return [[key, { says, value: (dates.has(key) && readTyped(value)) || value.trim() }]]
      }),
    )
    const { state, from, through, terms, termsSaid } = standing
    const onTerms = state === 'restricted' && {
      ...(terms?.length ? { terms } : {}),
      ...(termsSaid ? { termsSaid } : {}),
    }
    const done = await entering.act({
      params: { id: row.id },
      body: {
        version,
        ...(sure ? { sure } : {}),
        reply: {
          ...{ known, fields: known ? said : {}, note, respondent, capacity },
          ...(known && asks.standing && state
            ? { standing: { state, ...(from ? { from } : {}), ...(through ? { through } : {}), ...onTerms } }
            : {}),
          ...(known && hours ? { hours } : {}),
          ...(known && again ? { again } : {}),
        },
      },
    })
    if (done) toast(say(done.state === 'answered' ? 'enquiries.entered' : 'enquiries.waitsForSecond'))
  }
  return (
    <div className="grid gap-3 rounded-sheet border border-line p-3">
      {byTelephone ? (
        <div className="bg-sheet-2 px-3 py-2">
          <p>
            {say('enquiries.ring')}{' '}
            <strong className="font-mono text-[1.1em]">{phone || say('enquiries.noNumber')}</strong>
          </p>
          <p className="text-ink-2">{say('enquiries.ringMeans')}</p>
          <p className="mt-2">
            {enquiry.kind === 'work'
              ? say('enquiries.script.work', { candidate: row.candidate, born: birth })
              : say('enquiries.script.issued', { candidate: row.candidate, born: birth, claim: row.claim })}
          </p>
        </div>
      ) : (
        <h2 className="text-[1.1em]">{say('enquiries.whatItSays')}</h2>
      )}
      {known &&
        fields.map(({ key, kind }) => {
          const value = kind === 'date' ? writeWhen(claimed[key] ?? '') : (claimed[key] ?? '')
          const answer = answers[key]
          return (
            <div key={key} className="grid items-baseline gap-x-4 sm:grid-cols-[minmax(0,1fr)_auto]">
              <Choice
                name={key}
                label={`${say(`field.${key}`)}: ${value}`}
                value={answer?.says ?? ''}
                onChange={(says) => set(key, { says: says as FieldReply['says'] })}
                options={(['agrees', 'differs', 'cannot say'] as const).map((one) => ({
                  value: one,
                  label: say(`enquiries.says.${one}`),
                }))}
              />
              {answer?.says === 'differs' && (
                <TextField
                  label={say('enquiries.theySay')}
                  value={answer.value}
                  onChange={(event) => set(key, { value: event.target.value })}
                />
              )}
            </div>
          )
        })}
      {known && asks.standing && (
        <div className="grid gap-3 sm:grid-cols-3">
          <SelectField
            label={say('enquiries.standing')}
            empty={say('enquiries.notSaid')}
            value={standing.state ?? ''}
            options={standingStates.map((value) => ({ value, label: say(`enquiries.standing.${value}`) }))}
            onChange={(event) =>
              setStanding({ ...standing, state: standingStates.find((one) => one === event.target.value) })
            }
          />
          {standing.state && standing.state !== 'good' && (
            <>
              <DateField
                label={say('enquiries.from')}
                optional
                value={standing.from ?? ''}
                onChange={(from) => setStanding({ ...standing, from })}
              />
              <DateField
                label={say('enquiries.through')}
                optional
                value={standing.through ?? ''}
                onChange={(through) => setStanding({ ...standing, through })}
              />
            </>
          )}
        </div>
      )}
      {known && asks.standing && standing.state === 'restricted' && (
        <div className="grid gap-3">
          <CheckList
            label={say('enquiries.terms')}
            options={restrictionTerms.map((value) => ({ value, label: say(`comparison.term.${value}`) }))}
            value={standing.terms ?? []}
            onChange={(value) =>
              setStanding({ ...standing, terms: restrictionTerms.filter((term) => value.includes(term)) })
            }
          />
          <TextField
            label={say('enquiries.otherTerms')}
            optional
            maxLength={300}
            value={standing.termsSaid ?? ''}
            onChange={(event) => setStanding({ ...standing, termsSaid: event.target.value })}
          />
        </div>
      )}
      {known && (asks.hours || asks.again) && (
        <div className="grid gap-3 sm:grid-cols-2">
          {asks.hours && (
            <SelectField
              label={say('enquiries.hours')}
              empty={say('enquiries.notSaid')}
              value={hours ?? ''}
              options={hoursSaid.map((value) => ({ value, label: say(`enquiries.hours.${value}`) }))}
              onChange={(event) => setHours(hoursSaid.find((one) => one === event.target.value))}
            />
          )}
          {asks.again && (
            <SelectField
              label={say('enquiries.again')}
              empty={say('enquiries.notSaid')}
              value={again ?? ''}
              options={againSaid.map((value) => ({ value, label: say(`enquiries.again.${value}`) }))}
              onChange={(event) => setAgain(againSaid.find((one) => one === event.target.value))}
            />
          )}
        </div>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-confirmed"
          checked={!known}
          onChange={(event) => setKnown(!event.target.checked)}
        />
        {say('enquiries.unknownToThem')}
      </label>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={say(byTelephone ? 'enquiries.whoSpoke' : 'enquiries.whoSigned')}
          value={respondent}
          onChange={(event) => setRespondent(event.target.value)}
          error={faultAt(problem, 'respondent')}
        />
        <TextField
          label={say('enquiries.office')}
          optional
          value={capacity}
          onChange={(event) => setCapacity(event.target.value)}
        />
        {byTelephone && (
          <SelectField
            label={say('enquiries.howSure')}
            empty={say('enquiries.choose')}
            value={sure ?? ''}
            options={callChecks.map((value) => ({ value, label: say(`enquiries.sure.${value}`) }))}
            onChange={(event) => setSure(callChecks.find((one) => one === event.target.value))}
            error={faultAt(problem, 'sure')}
          />
        )}
      </div>
      <LongField
        label={say('enquiries.noteOf')}
        optional
        limit={1000}
        value={note}
        onChange={(event) => setNote(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <div className="flex flex-wrap items-center gap-3">
        <Button
          kind="main"
          busy={entering.busy}
          disabled={!complete || respondent.trim().length < 2}
          onClick={() => void enter()}
        >
          {say('enquiries.enter')}
        </Button>
        {byTelephone && (
          <Button
            busy={logging.busy}
            onClick={() => void logging.act({ params: { id: row.id }, body: { version, note } })}
          >
            {say('enquiries.nobodyThere')}
          </Button>
        )}
        {!complete && <span className="text-ink-2">{say('enquiries.stillOpen')}</span>}
      </div>
    </div>
  )
}
