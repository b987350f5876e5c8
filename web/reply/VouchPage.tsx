import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readVouching, VouchingAnswer } from '#contract/vouching'
import { say } from '#core/words/say'
import { api } from '../api'
import { Button } from '../ui/Button'
import { DateField } from '../ui/DateField'
import { Choice, LongField, TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { Sheet } from '../ui/Sheet'
import { Waiting } from '../ui/Waiting'
import { writeMoment } from '../ui/write'
import { useAct } from '../useAct'
import { Plain } from './Plain'

/** Where somebody vouches for a candidate: by the link in a mail, or by the reference and the code they were given. */
export function VouchPage() {
  const { token } = useParams()
  const session = api.endpoints.readSession.useQuery({})
  if (!session.data) return <Waiting error={session.error} />
  return token ? <Behind key={token} token={token} /> : <EnterCode />
}

function EnterCode() {
  const [reference, setReference] = useState('')
  const [code, setCode] = useState('')
  const { act, busy, problem } = useAct('findVouching')
  const navigate = useNavigate()
  const open = async () => {
    const found = await act({ body: { reference, code } })
    if (found) navigate(`/vouch/${found.token}`)
  }
  return (
    <Plain title={say('Vouch for somebody')}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void open()
        }}
      >
        <p>{say('The candidate has given you a reference and a code. You need no account.')}</p>
        <TextField
          label={say('Reference')}
          value={reference}
          autoComplete="off"
          placeholder="VO-…"
          onChange={(event) => setReference(event.target.value)}
        />
        <TextField
          label={say('Code')}
          value={code}
          autoComplete="off"
          onChange={(event) => setCode(event.target.value)}
          error={faultAt(problem, 'code')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <p>
          <Button kind="main" type="submit" busy={busy} disabled={reference.trim() === '' || code.trim() === ''}>
            {say('Go on')}
          </Button>
        </p>
      </form>
    </Plain>
  )
}

function Behind({ token }: { token: string }) {
  const { data, error } = api.endpoints.readVouching.useQuery({ params: { token } })
  const [receipt, setReceipt] = useState<{ receivedAt: string; receipt: string }>()
  if (error && (error as { status?: number }).status === 404)
    return (
      <Plain title={say('This link leads nowhere')}>
        <p>{say('It may have been cut off when it was copied. Open it again from the mail, or ask for a code.')}</p>
      </Plain>
    )
  if (receipt)
    return (
      <Plain title={say('Thank you')}>
        <p>
          {say('Your answer arrived {{when}}. If you ever need to refer to it:', {
            when: writeMoment(receipt.receivedAt),
          })}{' '}
          <span className="font-mono font-semibold">{receipt.receipt}</span>.
        </p>
        <p className="mt-2 text-ink-2">{say('Nothing more is needed. You can close this page.')}</p>
      </Plain>
    )
  if (!data) return <Waiting error={error} />
  if (data.state !== 'asked')
    return (
      <Plain title={data.state === 'done' ? say('This has been answered already') : say('This is no longer asked')}>
        <p>
          {say('Thank you; nothing more is needed. To correct something, write to {{contact}}.', {
            contact: data.contact,
          })}
        </p>
      </Plain>
    )
  return <Vouching token={token} asked={data} onReceived={setReceipt} />
}

type VouchingProps = {
  token: string
  asked: Reply<typeof readVouching>
  onReceived: (receipt: { receivedAt: string; receipt: string }) => void
}

const shortest = 20

function Vouching({ token, asked, onReceived }: VouchingProps) {
  const { act, busy, problem } = useAct('vouch')
  const [given, setGiven] = useState<Partial<VouchingAnswer>>({ respondent: asked.name, knownTo: 'present' })
  const [tried, setTried] = useState(false)
  const set = (change: Partial<VouchingAnswer>) => setGiven((before) => ({ ...before, ...change }))
  const missing = (value: string | undefined, least = 1) =>
    tried && (value ?? '').trim().length < least ? say('This is needed.') : undefined
  const { candidate } = asked
  const send = async () => {
    setTried(true)
    const { knownFrom, knownTo, worked, trust, statement = '', respondent = '', capacity = '' } = given
    if (
      !knownFrom ||
      !knownTo ||
      !worked ||
      !trust ||
      statement.trim().length < shortest ||
      respondent.trim().length < 2
    )
      return
    const received = await act({
      params: { token },
      body: { knownFrom, knownTo, worked, trust, statement, respondent, capacity },
    })
    if (received) onReceived(received)
  }
  return (
    <main className="mx-auto max-w-[760px] px-4 py-7 text-[1.0333rem]">
      <p className="text-ink-2">{asked.operator}</p>
      <h1 className="mb-2 text-[2em]">{say('Can you vouch for {{candidate}}?', { candidate })}</h1>
      <p className="mb-4 max-w-[62ch]">
        {say(
          '{{candidate}} applies as {{vacancy}} and has named you. Say what you have seen yourself; a few minutes are enough. Those who decide read it, and {{candidate}} does not.',
          { candidate, vacancy: asked.vacancy },
        )}
      </p>
      <Sheet>
        <form
          className="grid gap-5 sm:grid-cols-2"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            void send()
          }}
        >
          <DateField
            label={say('Since when did you work together?')}
            help={say('“2021” or “Aug 2021” will do.')}
            value={given.knownFrom ?? ''}
            onChange={(knownFrom) => set({ knownFrom })}
            error={faultAt(problem, 'knownFrom') ?? missing(given.knownFrom)}
          />
          <DateField
            label={say('Until when?')}
            value={given.knownTo ?? ''}
            onChange={(knownTo) => set({ knownTo: knownTo as VouchingAnswer['knownTo'] })}
            error={faultAt(problem, 'knownTo')}
            blanks={[{ value: 'present', label: say('We still do') }]}
          />
          <Choice
            label={say('How often?')}
            name="worked"
            value={given.worked ?? ''}
            onChange={(worked) => set({ worked: worked as VouchingAnswer['worked'] })}
            error={missing(given.worked)}
            options={[
              { value: 'every week', label: say('Every week') },
              { value: 'now and then', label: say('Now and then') },
              { value: 'rarely', label: say('Rarely') },
            ]}
          />
          <Choice
            label={say('Would you trust them with this work?')}
            name="trust"
            value={given.trust ?? ''}
            onChange={(trust) => set({ trust: trust as VouchingAnswer['trust'] })}
            error={missing(given.trust)}
            options={[
              { value: 'yes', label: say('Yes') },
              { value: 'with support', label: say('Yes, with support at first') },
              { value: 'no', label: say('No') },
            ]}
          />
          <div className="sm:col-span-2">
            <LongField
              label={say('What have you seen?')}
              help={say('One or two occasions say more than praise.')}
              limit={4000}
              value={given.statement ?? ''}
              onChange={(event) => set({ statement: event.target.value })}
              error={faultAt(problem, 'statement') ?? missing(given.statement, shortest)}
            />
          </div>
          <TextField
            label={say('Your name')}
            value={given.respondent ?? ''}
            onChange={(event) => set({ respondent: event.target.value })}
            error={missing(given.respondent, 2)}
          />
          <TextField
            label={say('Your position')}
            optional
            value={given.capacity ?? ''}
            onChange={(event) => set({ capacity: event.target.value })}
          />
          <div className="sm:col-span-2">
            <ProblemNote problem={problem?.faults ? undefined : problem} />
            <Button kind="main" type="submit" busy={busy}>
              {say('Send my answer')}
            </Button>
          </div>
        </form>
      </Sheet>
    </main>
  )
}
