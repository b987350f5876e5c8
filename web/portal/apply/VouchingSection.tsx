import { useState } from 'react'
import type { Draft } from '#contract/applications'
import { vouchingRelations } from '#contract/vouching'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'

type Relation = (typeof vouchingRelations)[number]
const relationWords = (): Record<Relation, string> => ({
  supervisor: say('apply.mySupervisor'),
  instructor: say('apply.myInstructor'),
  colleague: say('apply.aColleague'),
})

/** Those who vouch for the candidate: by a link they are sent, or by a reference and a code handed over. */
export function VouchingSection({ draft }: { draft: Draft }) {
  return (
    <div className="grid max-w-[760px] gap-3">
      {draft.vouchings.map((vouching) => (
        <Named key={vouching.id} draft={draft} vouching={vouching} />
      ))}
      <NameSomebody draft={draft} first={draft.vouchings.length === 0} />
    </div>
  )
}

function Named({ draft, vouching }: { draft: Draft; vouching: Draft['vouchings'][number] }) {
  const { act, busy, problem } = useAct('callOffVoucher')
  const { name, relation, mail, state, reference, code, doneAt } = vouching
  return (
    <Sheet>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <div>
          <h2 className="font-sans font-semibold">{name}</h2>
          <p className="text-ink-2">
            {relationWords()[relation]}
            {mail && `, ${mail}`}
          </p>
        </div>
        <p className={state === 'done' ? 'font-semibold text-confirmed' : 'text-soon-ink'}>
          {state === 'done' && doneAt
            ? say('apply.answeredDay', { day: writeDayOf(doneAt) })
            : say('apply.hasNotAnsweredYet')}
        </p>
      </div>
      {state === 'asked' && (
        <>
          <p className="mt-2">
            {mail
              ? say('apply.weHaveSentThemA')
              : say('apply.giveThemThisTheyEnter', { address: `${location.host}/vouch` })}
          </p>
          <p className="mt-1 flex flex-wrap gap-x-6 font-mono text-[1.1em]">
            <span>
              <span className="font-sans text-[0.85em] text-ink-2">{say('apply.reference')}</span> {reference}
            </span>
            <span>
              <span className="font-sans text-[0.85em] text-ink-2">{say('apply.code')}</span> {code}
            </span>
          </p>
          <ProblemNote problem={problem} />
          <Button
            kind="quiet"
            className="!px-0"
            busy={busy}
            onClick={() => void act({ params: { id: draft.id, vouching: vouching.id } })}
            aria-label={say('apply.noLongerAsk', { name })}
          >
            {say('apply.noLongerAskThem')}
          </Button>
        </>
      )}
    </Sheet>
  )
}

function NameSomebody({ draft, first }: { draft: Draft; first: boolean }) {
  const [open, setOpen] = useState(first)
  const [name, setName] = useState('')
  const [mail, setMail] = useState('')
  const [relation, setRelation] = useState<Relation>('supervisor')
  const { act, busy, problem } = useAct('nameVoucher')
  const add = async () => {
    if (!(await act({ params: { id: draft.id }, body: { name, mail: mail.trim(), relation } }))) return
    setName('')
    setMail('')
    setOpen(false)
  }
  if (!open)
    return (
      <p>
        <Button onClick={() => setOpen(true)}>{say('apply.nameSomebodyElse')}</Button>
      </p>
    )
  return (
    <Sheet>
      <form
        className="grid gap-4 sm:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void add()
        }}
      >
        <TextField
          label={say('apply.theirName')}
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={faultAt(problem, 'name')}
        />
        <SelectField
          label={say('apply.whatTheyAreToYou')}
          value={relation}
          options={vouchingRelations.map((value) => ({ value, label: relationWords()[value] }))}
          onChange={(event) => setRelation(event.target.value as Relation)}
        />
        <div className="sm:col-span-2">
          <TextField
            label={say('apply.theirMailAddress')}
            optional
            type="email"
            help={say('apply.withoutOneYouAreGiven')}
            value={mail}
            onChange={(event) => setMail(event.target.value)}
            error={faultAt(problem, 'mail')}
          />
        </div>
        <div className="sm:col-span-2">
          <ProblemNote problem={problem?.faults ? undefined : problem} />
          <Button kind="main" type="submit" busy={busy} disabled={name.trim().length < 2}>
            {say('apply.askThem')}
          </Button>
        </div>
      </form>
    </Sheet>
  )
}
