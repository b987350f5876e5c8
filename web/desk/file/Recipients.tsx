import { useState } from 'react'
import type { File } from '#contract/desk'
import type { ChosenRecipient, DeliveryLine, Recipients as Listed, PermissionLine } from '#contract/recipients'
import { say } from '#core/words/say'
import { addressOf, api, type Problem } from '../../api'
import { Deliveries } from '../../recipients/Deliveries'
import { PermissionFacts } from '../../recipients/PermissionFacts'
import { recipientState } from '../../recipients/recipientState'
import { SendAgain } from '../../recipients/SendAgain'
import { freshWish, isWhole, WhomAndWhat } from '../../recipients/WhomAndWhat'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { TextField } from '../../ui/Field'
import { FileButton } from '../../ui/FileButton'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { More } from './More'
import { WithReason } from './WithReason'

/** Whom the person has allowed to be told outside, what each received, and how it is sent by a permission on file. */
export function Recipients({ file }: { file: File }) {
  const { may } = useSession()
  const { data } = api.endpoints.listRecipients.useQuery({ params: { id: file.id } }, { skip: !may('listRecipients') })
  const [noting, setNoting] = useState(false)
  if (!data || (data.permissions.length + data.chosen.length === 0 && !may('noteRecipientPermission'))) return null
  return (
    <More key={file.id} title={say('recipients.atDesk', { count: data.permissions.length })}>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
        <Chosen chosen={data.chosen} />
        {data.permissions.length === 0 && <p className="text-ink-2">{say('recipients.noneAtDesk')}</p>}
        {data.permissions.map((permission) => (
          <OneRecipient
            key={permission.id}
            {...{ file, permission }}
            today={data.today}
            ready={isReady(permission, data.chosen)}
          />
        ))}
        {noting ? (
          <Note file={file} recipients={data} onDone={() => setNoting(false)} />
        ) : (
          may('noteRecipientPermission') && (
            <Button className="justify-self-start" onClick={() => setNoting(true)}>
              {say('recipients.note')}
            </Button>
          )
        )}
      </div>
    </More>
  )
}

/** A body that was chosen in the application receives something once all that it needs is proven. */
const isReady = ({ id, inApplication }: PermissionLine, chosen: readonly ChosenRecipient[]) =>
  !inApplication || chosen.some((one) => one.permission === id && one.left.length === 0 && one.state !== 'closed')

/** The bodies chosen in this application, where each stands, and what it still needs. */
function Chosen({ chosen }: { chosen: readonly ChosenRecipient[] }) {
  const own = chosen.filter((one) => one.chosen)
  if (own.length === 0) return null
  return (
    <section aria-label={say('recipients.chosenIn')}>
      <h3 className="font-semibold">{say('recipients.chosenIn')}</h3>
      <ul className="divide-y divide-line">
        {own.map((recipient) => (
          <li key={recipient.key} className="py-1.5">
            <p className="flex flex-wrap justify-between gap-x-4">
              <span>{recipient.name}</span>
              <span className={recipient.state === 'ready' ? 'font-semibold text-confirmed' : 'text-ink-2'}>
                {recipientState(recipient)}
              </span>
            </p>
            {recipient.left.map(({ title, why }) => (
              <p key={title} className="text-ink-2">
                {why.startsWith(title) ? why : `${title}: ${why}`}
              </p>
            ))}
          </li>
        ))}
      </ul>
    </section>
  )
}

type OneProps = { file: File; permission: PermissionLine; today: string; ready: boolean }

function OneRecipient({ file, permission, today, ready }: OneProps) {
  const { may } = useSession()
  const [doing, setDoing] = useState<'send' | 'withdraw'>()
  const { id, recipient, state, fullName, deliveries } = permission
  const params = { id: file.id, permission: id }
  const done = () => setDoing(undefined)
  const named = fullName !== '' && may('sendRecord')
  return (
    <article className="rounded-sheet border border-line bg-sheet px-3 py-2">
      <PermissionFacts
        permission={permission}
        address={addressOf('readRecipientPermission', { params })}
        open={say('recipients.permissionAtDesk')}
      />
      <Deliveries
        deliveries={deliveries}
        {...(fullName !== '' && {
          addressOfReport: (report: string) => addressOf('readReport', { params: { id: report, form: 'pdf' } }),
        })}
        {...(may('takeBackRecord') && {
          takeBack: (delivery: DeliveryLine, onDone: () => void) => (
            <TakeBack {...{ file, delivery, onDone }} recipient={recipient.name} />
          ),
        })}
      />
      {state === 'paper to come' && may('addRecipientPaper') && <AddPaper {...{ params, recipient }} />}
      {!doing && named && state !== 'withdrawn' && (
        <p className="mt-1 flex flex-wrap gap-x-3 gap-y-1">
          {state === 'holds' && ready && (
            <Button onClick={() => setDoing('send')}>{say('recipients.sendAgain')}</Button>
          )}
          <Button kind="quiet" onClick={() => setDoing('withdraw')}>
            {say('recipients.withdraw')}
          </Button>
        </p>
      )}
      {doing === 'send' && <Send {...{ params, recipient, today }} onDone={done} />}
      {doing === 'withdraw' && <Withdraw {...{ params, recipient }} onDone={done} />}
    </article>
  )
}

type Doing = {
  params: { id: string; permission: string }
  recipient: PermissionLine['recipient']
  onDone: () => void
}

function Send({ params, recipient, today, onDone }: Doing & { today: string }) {
  const { act, busy, problem } = useAct('sendRecord')
  const toast = useToast()
  const send = async (how: Parameters<typeof act>[0]['body']) => {
    if (!(await act({ params, body: how }))) return
    toast(say('recipients.isSent', { recipient: recipient.name }))
    onDone()
  }
  return <SendAgain {...{ today, busy, problem, onDone }} id={params.permission} onSend={(how) => void send(how)} />
}

function Withdraw({ params, recipient, onDone }: Doing) {
  const { act, busy, problem } = useAct('endRecipientPermission')
  const toast = useToast()
  const withdraw = async (reason: string) => {
    if (!(await act({ params, body: { reason } }))) return
    toast(say('recipients.isWithdrawn', { recipient: recipient.name }))
    onDone()
  }
  return (
    <WithReason
      {...{ busy, problem, onDone }}
      means={say('recipients.withdrawMeans')}
      label={say('recipients.why')}
      act={say('recipients.withdraw')}
      onReason={(reason) => void withdraw(reason)}
    />
  )
}

type TakeBackProps = { file: File; delivery: DeliveryLine; recipient: string; onDone: () => void }

function TakeBack({ file, delivery: { id: delivery, reference }, recipient, onDone }: TakeBackProps) {
  const { act, busy, problem } = useAct('takeBackRecord')
  const toast = useToast()
  const takeBack = async (reason: string) => {
    if (!(await act({ params: { id: file.id, delivery }, body: { reason } }))) return
    toast(say('recipients.isTakenBack', { reference }))
    onDone()
  }
  return (
    <WithReason
      {...{ busy, problem, onDone }}
      means={say('recipients.takeBackMeans', { recipient })}
      label={say('recipients.why')}
      act={say('recipients.takeBack')}
      onReason={(reason) => void takeBack(reason)}
    />
  )
}

function AddPaper({ params, recipient }: Omit<Doing, 'onDone'>) {
  const { act, busy, problem } = useAct('addRecipientPaper')
  return (
    <div className="mt-1 grid justify-items-start gap-1">
      <FileButton
        name={say('recipients.signedPaper', { recipient: recipient.name })}
        accept=".pdf,.jpg,.jpeg,.png,application/pdf,image/jpeg,image/png"
        busy={busy}
        onFile={(file) => void act({ params, body: file })}
      >
        {say('recipients.addPaper')}
      </FileButton>
      <ProblemNote problem={problem} />
    </div>
  )
}

/** A permission that came on paper: the same as is asked of a person, and who signed it when. */
function Note({ file, recipients, onDone }: { file: File; recipients: Listed; onDone: () => void }) {
  const { act, busy, problem } = useAct('noteRecipientPermission')
  const toast = useToast()
  const [wish, setWish] = useState(() => freshWish(recipients, file.candidate.language))
  const [fullName, setFullName] = useState(file.candidate.name)
  const [signedOn, setSignedOn] = useState(recipients.today)
  const note = async () => {
    if (!(await act({ params: { id: file.id }, body: { ...wish, fullName, signedOn } }))) return
    toast(say('recipients.isNoted'))
    onDone()
  }
  return (
    <section
      className="grid grid-cols-[minmax(0,1fr)] gap-3 rounded-sheet border border-line-strong bg-sheet px-3 py-3"
      aria-label={say('recipients.note')}
    >
      <p className="text-ink-2">{say('recipients.noteMeans')}</p>
      <WhomAndWhat
        {...{ wish, recipients, problem }}
        onChange={setWish}
        throughLabel={say('recipients.throughAtDesk')}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={say('recipients.signedName')}
          value={fullName}
          onChange={(event) => setFullName(event.target.value)}
          error={faultAt(problem, 'fullName')}
        />
        <DateField
          label={say('recipients.signedOnDay')}
          value={signedOn}
          onChange={setSignedOn}
          error={faultAt(problem, 'signedOn')}
        />
      </div>
      <ProblemNote problem={restOf(problem)} />
      <div className="flex gap-2">
        <Button kind="main" busy={busy} disabled={!isWhole(wish) || signedOn === ''} onClick={() => void note()}>
          {say('recipients.noteIt')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('recipients.cancel')}
        </Button>
      </div>
    </section>
  )
}

/** What no field says. */
const restOf = (problem: Problem | undefined) => (problem?.faults ? undefined : problem)
