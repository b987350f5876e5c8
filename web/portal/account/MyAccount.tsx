import QRCode from 'qrcode'
import { useEffect, useState } from 'react'
import { Navigate } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { MyData } from './MyData'
import { Part, PasswordAgain } from './Part'

/** One's own account: password, address, one-time codes, and where it is signed in. */
export function MyAccount() {
  const { ready, account: signedIn, roles, codesFirst } = useSession()
  const candidate = roles.includes('candidate')
  const {
    data: account,
    error,
    refetch,
  } = api.endpoints.readAccount.useQuery({}, { skip: !signedIn, refetchOnMountOrArgChange: true })
  if (!ready) return <Waiting />
  if (!signedIn) return <Navigate to="/sign-in?next=/account" replace />
  if (!account) return <Waiting error={error} onRetry={refetch} />
  return (
    <main className="mx-auto grid max-w-[760px] gap-4 px-4 py-7 sm:px-7">
      <div>
        <h1 className="text-[2em]">{say('Your account')}</h1>
        <p className="text-ink-2">
          {account.name}, {account.mail}
        </p>
      </div>
      {codesFirst && (
        <p role="status" className="rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink">
          {say('Your role signs in with one-time codes as well. Set them up here, then the desk opens.')}
        </p>
      )}
      <Codes on={account.codesOn} left={account.recoveryCodesLeft} />
      <Password />
      <MailAddress now={account.mail} moving={account.newMail} />
      <Elsewhere sessions={account.sessions} />
      {candidate && <MyData />}
    </main>
  )
}

function Codes({ on, left }: { on: boolean; left: number }) {
  const begin = useAct('beginOneTimeCodes')
  const confirm = useAct('confirmOneTimeCodes')
  const drop = useAct('dropOneTimeCodes')
  const [setUp, setSetUp] = useState<{ secret: string; address: string }>()
  const [picture, setPicture] = useState<string>()
  const [code, setCode] = useState('')
  const [codes, setCodes] = useState<string[]>()
  useEffect(() => {
    if (setUp) void QRCode.toDataURL(setUp.address, { margin: 1, width: 176 }).then(setPicture)
  }, [setUp])
  if (codes)
    return (
      <Part title={say('Your recovery codes')}>
        <p className="mb-2">
          {say(
            'Each opens your account once, if your phone is lost. They are shown this once; write them down or print them.',
          )}
        </p>
        <ul
          aria-label={say('Your recovery codes')}
          className="grid grid-cols-2 gap-x-6 gap-y-1 font-mono sm:grid-cols-3"
        >
          {codes.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
        <Button className="mt-3" onClick={() => setCodes(undefined)}>
          {say('I have kept them')}
        </Button>
      </Part>
    )
  if (on)
    return (
      <Part title={say('One-time codes')}>
        <p className="mb-2">
          {say('Switched on.')} {say('{{count}} recovery codes are left.', { count: left })}
        </p>
        <div className="grid gap-3">
          <TextField
            label={say('Code of your authenticator app, or a recovery code')}
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
            error={faultAt(drop.problem, 'code')}
          />
          <PasswordAgain
            act={say('Switch them off')}
            grave
            busy={drop.busy}
            fault={faultAt(drop.problem, 'password')}
            onGiven={(password) => void drop.act({ body: { password, code } }).then((done) => done && setCode(''))}
          />
        </div>
        <ProblemNote problem={drop.problem?.faults ? undefined : drop.problem} />
      </Part>
    )
  if (setUp)
    return (
      <Part title={say('One-time codes')}>
        <div className="grid gap-4 sm:grid-cols-[180px_1fr]">
          {picture && (
            <img src={picture} alt={say('The QR code for your authenticator app')} width={176} height={176} />
          )}
          <div>
            <p>{say('Scan this with an authenticator app, or type this secret into it:')}</p>
            <p className="my-1 break-all font-mono">{setUp.secret.replace(/(.{4})/g, '$1 ')}</p>
            <form
              className="mt-2 grid gap-3"
              onSubmit={(event) => {
                event.preventDefault()
                void confirm.act({ body: { code } }).then((done) => {
                  if (!done) return
                  setCodes(done.recoveryCodes)
                  setSetUp(undefined)
                })
              }}
            >
              <TextField
                label={say('The code it shows now')}
                inputMode="numeric"
                autoComplete="one-time-code"
                value={code}
                onChange={(event) => setCode(event.target.value)}
                error={faultAt(confirm.problem, 'code')}
              />
              <ProblemNote problem={confirm.problem?.faults ? undefined : confirm.problem} />
              <Button kind="main" type="submit" busy={confirm.busy} className="justify-self-start">
                {say('Switch them on')}
              </Button>
            </form>
          </div>
        </div>
      </Part>
    )
  return (
    <Part title={say('One-time codes')}>
      <p className="mb-2">
        {say('A code from an authenticator app on your phone, asked for beside the password. Optional.')}
      </p>
      <PasswordAgain
        act={say('Set them up')}
        busy={begin.busy}
        fault={faultAt(begin.problem, 'password')}
        onGiven={(password) => void begin.act({ body: { password } }).then((begun) => begun && setSetUp(begun))}
      />
      <ProblemNote problem={begin.problem?.faults ? undefined : begin.problem} />
    </Part>
  )
}

function Password() {
  const { act, busy, problem } = useAct('changePassword')
  const [next, setNext] = useState('')
  const [done, setDone] = useState(false)
  return (
    <Part title={say('Password')}>
      {done && (
        <p role="status" className="mb-2 font-semibold text-confirmed">
          {say('It is changed, and you are signed out everywhere else.')}
        </p>
      )}
      <div className="grid gap-3">
        <TextField
          label={say('New password')}
          type="password"
          autoComplete="new-password"
          help={say('At least 12 characters. A few unrelated words are hard to guess and easy to keep.')}
          value={next}
          onChange={(event) => setNext(event.target.value)}
          error={faultAt(problem, 'next')}
        />
        <PasswordAgain
          act={say('Change it')}
          busy={busy}
          fault={faultAt(problem, 'password')}
          onGiven={(password) =>
            void act({ body: { password, next } }).then((changed) => {
              if (!changed) return
              setDone(true)
              setNext('')
            })
          }
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
      </div>
    </Part>
  )
}

function MailAddress({ now, moving }: { now: string; moving: string | null }) {
  const { act, busy, problem } = useAct('changeMail')
  const [mail, setMail] = useState('')
  return (
    <Part title={say('Mail address')}>
      {moving && (
        <p role="status" className="mb-2 rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink">
          {say('A link is on its way to {{now}} and to {{moving}}. The address changes once both have been opened.', {
            now,
            moving,
          })}
        </p>
      )}
      <div className="grid gap-3">
        <TextField
          label={say('New address')}
          type="email"
          autoComplete="email"
          value={mail}
          onChange={(event) => setMail(event.target.value)}
          error={faultAt(problem, 'mail')}
        />
        <PasswordAgain
          act={say('Send the links')}
          busy={busy}
          fault={faultAt(problem, 'password')}
          onGiven={(password) => void act({ body: { password, mail } }).then((done) => done && setMail(''))}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
      </div>
    </Part>
  )
}

function Elsewhere({ sessions }: { sessions: number }) {
  const { act, busy, problem } = useAct('signOutElsewhere')
  return (
    <Part title={say('Where you are signed in')}>
      <p className="mb-2">
        {sessions <= 1 ? say('Only here.') : say('In {{sessions}} places, this one among them.', { sessions })}
      </p>
      {sessions > 1 && (
        <Button busy={busy} onClick={() => void act({})}>
          {say('Sign out everywhere else')}
        </Button>
      )}
      <ProblemNote problem={problem} />
    </Part>
  )
}
