import { useState } from 'react'
import { declineReasons } from '#core/enquiries/enquiry'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { SelectField, TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { Sheet } from '../ui/Sheet'
import { useAct } from '../useAct'
import type { Done, Question } from './question'

type Props = { token: string; question: Question; onDone: (done: Done) => void }

/** For whoever is not the one to answer: pass it on, or say that no answer will come. */
export function Otherwise({ token, question, onDone }: Props) {
  const [what, setWhat] = useState<'forward' | 'decline'>()
  return (
    <section className="mt-5">
      <h2 className="mb-2 text-[1.1em]">{say('reply.otherwise')}</h2>
      <div className="flex flex-wrap gap-2">
        {(['forward', 'decline'] as const).map((one) => (
          <Button key={one} aria-expanded={what === one} onClick={() => setWhat(what === one ? undefined : one)}>
            {say(`reply.${one}`)}
          </Button>
        ))}
      </div>
      {what === 'forward' && <Forward token={token} question={question} onDone={onDone} />}
      {what === 'decline' && <Decline token={token} question={question} onDone={onDone} />}
    </section>
  )
}

function Forward({ token, question, onDone }: Props) {
  const { act, busy, problem } = useAct('forwardEnquiry')
  const [to, setTo] = useState({ toName: '', toMail: '', by: '' })
  const send = async () => {
    const done = await act({ params: { token }, body: { part: question.id, ...to } })
    if (done) onDone({ passedOn: done.state })
  }
  const field = (name: keyof typeof to, label: string) => (
    <TextField
      label={label}
      type={name === 'toMail' ? 'email' : 'text'}
      value={to[name]}
      onChange={(event) => setTo({ ...to, [name]: event.target.value })}
      error={faultAt(problem, name)}
    />
  )
  return (
    <Sheet className="mt-2 grid gap-3 sm:grid-cols-2">
      <p className="text-ink-2 sm:col-span-2">{say('reply.forwardMeans')}</p>
      {field('toName', say('reply.colleagueName'))}
      {field('toMail', say('reply.colleagueMail'))}
      {field('by', say('reply.yourName'))}
      <div className="sm:col-span-2">
        <ProblemNote problem={problem} />
        <Button kind="main" busy={busy} onClick={() => void send()}>
          {say('reply.passOn')}
        </Button>
      </div>
    </Sheet>
  )
}

function Decline({ token, question, onDone }: Props) {
  const { act, busy, problem } = useAct('declineEnquiry')
  const [reason, setReason] = useState<(typeof declineReasons)[number]>('not ours')
  const [said, setSaid] = useState({ note: '', respondent: '', capacity: '' })
  const send = async () => {
    const done = await act({ params: { token }, body: { part: question.id, reason, ...said } })
    if (done) onDone({ ...done, declined: true })
  }
  const field = (name: keyof typeof said, label: string, optional = false) => (
    <TextField
      label={label}
      optional={optional}
      value={said[name]}
      onChange={(event) => setSaid({ ...said, [name]: event.target.value })}
      error={faultAt(problem, name)}
    />
  )
  return (
    <Sheet className="mt-2 grid gap-3 sm:grid-cols-2">
      <SelectField
        label={say('reply.why')}
        value={reason}
        options={declineReasons.map((value) => ({ value, label: say(`reply.declined.${value}`) }))}
        onChange={(event) => setReason(declineReasons.find((one) => one === event.target.value) ?? 'other')}
      />
      {field('note', say('reply.anythingToAdd'), true)}
      {field('respondent', say('reply.yourName'))}
      {field('capacity', say('reply.yourOffice'), true)}
      <div className="sm:col-span-2">
        <ProblemNote problem={problem} />
        <Button kind="main" busy={busy} onClick={() => void send()}>
          {say('reply.sendDecline')}
        </Button>
      </div>
    </Sheet>
  )
}
