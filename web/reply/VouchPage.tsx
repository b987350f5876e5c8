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
    <Plain title={say('reply.vouchForSomebody')}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void open()
        }}
      >
        <p>{say('reply.theCandidateHasGivenYou')}</p>
        <TextField
          label={say('reply.reference')}
          value={reference}
          autoComplete="off"
          placeholder="VO-…"
          onChange={(event) => setReference(event.target.value)}
        />
        <TextField
          label={say('reply.code')}
          value={code}
          autoComplete="off"
          onChange={(event) => setCode(event.target.value)}
          error={faultAt(problem, 'code')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <p>
          <Button kind="main" type="submit" busy={busy} disabled={reference.trim() === '' || code.trim() === ''}>
            {say('reply.goOn')}
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
      <Plain title={say('reply.thisLinkLeadsNowhere')}>
        <p>{say('reply.itMayHaveBeenCut')}</p>
      </Plain>
    )
  if (receipt)
    return (
      <Plain title={say('reply.thankYou')}>
        <p>
          {say('reply.yourAnswerArrivedIfYou', {
            when: writeMoment(receipt.receivedAt),
          })}{' '}
          <span className="font-mono font-semibold">{receipt.receipt}</span>.
        </p>
        <p className="mt-2 text-ink-2">{say('reply.nothingMoreIsNeededYou')}</p>
      </Plain>
    )
  if (!data) return <Waiting error={error} />
  if (data.state !== 'asked')
    return (
      <Plain title={data.state === 'done' ? say('reply.thisHasBeenAnsweredAlready') : say('reply.thisIsNoLongerAsked')}>
        <p>
          {say('reply.thankYouNothingMoreIs', {
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
    tried && (value ?? '').trim().length < least ? say('reply.thisIsNeeded') : undefined
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
      <h1 className="mb-2 text-[2em]">{say('reply.canYouVouchFor', { candidate })}</h1>
      <p className="mb-4 max-w-[62ch]">{say('reply.appliesAsAndHasNamed', { candidate, vacancy: asked.vacancy })}</p>
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
            label={say('reply.sinceWhenDidYouWork')}
            help={say('reply.n2021OrAug2021Will')}
            value={given.knownFrom ?? ''}
            onChange={(knownFrom) => set({ knownFrom })}
            error={faultAt(problem, 'knownFrom') ?? missing(given.knownFrom)}
          />
          <DateField
            label={say('reply.untilWhen')}
            value={given.knownTo ?? ''}
            onChange={(knownTo) => set({ knownTo: knownTo as VouchingAnswer['knownTo'] })}
            error={faultAt(problem, 'knownTo')}
            blanks={[{ value: 'present', label: say('reply.weStillDo') }]}
          />
          <Choice
            label={say('reply.howOften')}
            name="worked"
            value={given.worked ?? ''}
            onChange={(worked) => set({ worked: worked as VouchingAnswer['worked'] })}
            error={missing(given.worked)}
            options={[
              { value: 'every week', label: say('reply.everyWeek') },
              { value: 'now and then', label: say('reply.nowAndThen') },
              { value: 'rarely', label: say('reply.rarely') },
            ]}
          />
          <Choice
            label={say('reply.wouldYouTrustThemWith')}
            name="trust"
            value={given.trust ?? ''}
            onChange={(trust) => set({ trust: trust as VouchingAnswer['trust'] })}
            error={missing(given.trust)}
            options={[
              { value: 'yes', label: say('reply.yes') },
              { value: 'with support', label: say('reply.yesWithSupportAtFirst') },
              { value: 'no', label: say('reply.no') },
            ]}
          />
          <div className="sm:col-span-2">
            <LongField
              label={say('reply.whatHaveYouSeen')}
              help={say('reply.oneOrTwoOccasionsSay')}
              limit={4000}
              value={given.statement ?? ''}
              onChange={(event) => set({ statement: event.target.value })}
              error={faultAt(problem, 'statement') ?? missing(given.statement, shortest)}
            />
          </div>
          <TextField
            label={say('reply.yourName')}
            value={given.respondent ?? ''}
            onChange={(event) => set({ respondent: event.target.value })}
            error={missing(given.respondent, 2)}
          />
          <TextField
            label={say('reply.yourPosition')}
            optional
            value={given.capacity ?? ''}
            onChange={(event) => set({ capacity: event.target.value })}
          />
          <div className="sm:col-span-2">
            <ProblemNote problem={problem?.faults ? undefined : problem} />
            <Button kind="main" type="submit" busy={busy}>
              {say('reply.sendMyAnswer')}
            </Button>
          </div>
        </form>
      </Sheet>
    </main>
  )
}
