import { useState } from 'react'
import { type ContactCheck, contactChecks } from '#core/sources/source'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'
import type { SourceRead } from './sourceTypes'
import { flagWords, sellerWords } from './sourceWords'

/** Whether a source can be asked; somebody else than who entered it says so, contact by contact. */
export function CheckSource({ read }: { read: SourceRead }) {
  const { state, seller, checkedBy, enteredBy, mayCheck, contacts, retiredBecause } = read
  const open = contacts.filter(({ checked }) => !checked)
  const waits = state === 'proposed' || state === 'to check'
  const entered = state !== 'proposed' || enteredBy !== ''
  return (
    <section aria-label={say('sources.standing')} className="border-line border-b pb-4">
      <h2 className="mb-1 text-[1.1333rem]">{say(`sources.is.${state}`)}</h2>
      {seller && (
        <p className="mb-2 border-contradicted border-l-2 pl-3 font-semibold text-contradicted">
          {sellerWords(seller)}
        </p>
      )}
      {state === 'proposed' && <p className="mb-2">{say('sources.proposedMeans')}</p>}
      {state === 'checked' && checkedBy && <p className="text-ink-2">{say('sources.checkedBy', { by: checkedBy })}</p>}
      {retiredBecause && <p>{retiredBecause}</p>}
      {waits && enteredBy && <p className="mb-2 text-ink-2">{say('sources.enteredBy', { by: enteredBy })}</p>}
      {waits && contacts.length === 0 && !read.source.register && (
        <p className="mb-2 text-soon-ink">{say('sources.addAContactFirst')}</p>
      )}
      {waits &&
        entered &&
        !seller &&
        (contacts.length > 0 || read.source.register) &&
        (mayCheck ? <Check read={read} open={open} /> : <p className="text-soon-ink">{say('sources.twoPersons')}</p>)}
      {state !== 'merged' && <Retire read={read} />}
    </section>
  )
}

function Check({ read, open }: { read: SourceRead; open: SourceRead['contacts'] }) {
  const { act, busy, problem } = useAct('checkSource')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  const [how, setHow] = useState<Record<string, ContactCheck>>({})
  const [note, setNote] = useState('')
  const [alone, setAlone] = useState('')
  const flagged = open.some(({ flags }) => flags.length > 0)
  const check = async () => {
    const body = {
      version: read.version,
      how,
      ...(flagged ? { note } : {}),
      ...(read.alone ? { alone } : {}),
    }
    if (await act({ params: { id: read.id }, body })) toast(say('sources.isChecked', { name: read.source.name }))
  }
  return (
    <div className="grid gap-3">
      <p>{say('sources.checkMeans')}</p>
      {open.map((contact) => (
        <div key={contact.id}>
          <SelectField
            label={say('sources.howSureOf', {
              contact: contact.mail || contact.phone || contact.name || say('sources.address'),
            })}
            empty={say('sources.chooseHow')}
            options={contactChecks.map((value) => ({ value, label: say(`sources.check.${value}`) }))}
            value={how[contact.id] ?? ''}
            onChange={(event) => setHow({ ...how, [contact.id]: event.target.value as ContactCheck })}
            error={faultAt(problem, `how/${contact.id}`)}
          />
          {contact.flags.map((flag) => (
            <p key={flag.code} className="mt-1 text-contradicted">
              {flagWords(flag)}
            </p>
          ))}
        </div>
      ))}
      {flagged && (
        <LongField
          label={say('sources.whyAllTheSame')}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          error={faultAt(problem, 'note')}
        />
      )}
      {read.alone && (
        <LongField
          label={say('sources.howYouMadeSure')}
          help={say('sources.nobodyElseCan')}
          value={alone}
          onChange={(event) => setAlone(event.target.value)}
          error={faultAt(problem, 'alone')}
        />
      )}
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <Button
        kind="main"
        busy={busy}
        disabled={open.some(({ id }) => !how[id])}
        onClick={() => void check()}
        className="justify-self-start"
      >
        {say('sources.itIsWhatItSays')}
      </Button>
    </div>
  )
}

/** A source is retired or taken up again; one that was proposed is turned down with a reason. */
function Retire({ read }: { read: SourceRead }) {
  const { act, busy, problem } = useAct('retireSource')
  useFreshAfterClash(problem, 'desk')
  const [asking, setAsking] = useState(false)
  const [because, setBecause] = useState('')
  const { id, version, state } = read
  const turn = async (reason?: string) => {
    const body = { version, retired: state !== 'retired', ...(reason ? { because: reason } : {}) }
    if (await act({ params: { id }, body })) setAsking(false)
  }
  const words = state === 'retired' ? 'takeUpAgain' : state === 'proposed' ? 'turnDown' : 'retire'
  return (
    <div className="mt-3">
      <Button busy={busy} onClick={() => (state === 'proposed' ? setAsking(true) : void turn())}>
        {say(`sources.${words}`)}
      </Button>
      {!asking && <ProblemNote problem={problem} />}
      {asking && (
        <Dialog
          open
          onClose={() => setAsking(false)}
          title={say('sources.turnDownTitle', { name: read.source.name })}
          description={say('sources.turnDownMeans')}
        >
          <div className="grid gap-3">
            <LongField
              label={say('sources.whyTurnedDown')}
              data-first
              value={because}
              onChange={(event) => setBecause(event.target.value)}
              error={faultAt(problem, 'because')}
            />
            <ProblemNote problem={problem?.faults ? undefined : problem} />
            <Button
              kind="main"
              busy={busy}
              disabled={because.trim() === ''}
              onClick={() => void turn(because)}
              className="justify-self-start"
            >
              {say('sources.turnDown')}
            </Button>
          </div>
        </Dialog>
      )}
    </div>
  )
}
