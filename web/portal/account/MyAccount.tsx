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
import { LanguageChoice } from '../LanguageChoice'
import { MyData } from './MyData'
import { Notices } from './Notices'
import { OwnAbsence } from './OwnAbsence'
import { Part, PasswordAgain } from './Part'

/** One's own account: password, address, one-time codes, and where it is signed in. */
export function MyAccount() {
  const { ready, account: signedIn, roles, codesFirst, may } = useSession()
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
        <h1 className="text-[2em]">{say('account.yourAccount')}</h1>
        <p className="text-ink-2">
          {account.name}, {account.mail}
        </p>
      </div>
      {codesFirst && (
        <p role="status" className="rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink">
          {say('account.yourRoleSignsInWith')}
        </p>
      )}
      <Part title={say('account.language')}>
        <LanguageChoice />
      </Part>
      {may('setOwnAbsence') && <OwnAbsence />}
      {account.provider ? (
        <Part title={account.provider}>
          <p>{say('account.lookedAfterBy', { provider: account.provider })}</p>
        </Part>
      ) : (
        <>
          <Codes on={account.codesOn} left={account.recoveryCodesLeft} />
          <Password />
          <MailAddress now={account.mail} moving={account.newMail} />
        </>
      )}
      {candidate && <Notices />}
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
      <Part title={say('account.yourRecoveryCodes')}>
        <p className="mb-2">{say('account.eachOpensYourAccountOnce')}</p>
        <ul
          aria-label={say('account.yourRecoveryCodes')}
          className="grid grid-cols-2 gap-x-6 gap-y-1 font-mono sm:grid-cols-3"
        >
          {codes.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
        <Button className="mt-3" onClick={() => setCodes(undefined)}>
          {say('account.iHaveKeptThem')}
        </Button>
      </Part>
    )
  if (on)
    return (
      <Part title={say('account.oneTimeCodes')}>
        <p className="mb-2">
          {say('account.switchedOn')} {say('account.recoveryCodesAreLeft', { count: left })}
        </p>
        <div className="grid gap-3">
          <TextField
            label={say('account.codeOfYourAuthenticatorApp')}
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
            error={faultAt(drop.problem, 'code')}
          />
          <PasswordAgain
            act={say('account.switchThemOff')}
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
      <Part title={say('account.oneTimeCodes')}>
        <div className="grid gap-4 sm:grid-cols-[180px_1fr]">
          {picture && <img src={picture} alt={say('account.theQrCodeForYour')} width={176} height={176} />}
          <div>
            <p>{say('account.scanThisWithAnAuthenticator')}</p>
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
                label={say('account.theCodeItShowsNow')}
                inputMode="numeric"
                autoComplete="one-time-code"
                value={code}
                onChange={(event) => setCode(event.target.value)}
                error={faultAt(confirm.problem, 'code')}
              />
              <ProblemNote problem={confirm.problem?.faults ? undefined : confirm.problem} />
              <Button kind="main" type="submit" busy={confirm.busy} className="justify-self-start">
                {say('account.switchThemOn')}
              </Button>
            </form>
          </div>
        </div>
      </Part>
    )
  return (
    <Part title={say('account.oneTimeCodes')}>
      <p className="mb-2">{say('account.aCodeFromAnAuthenticator')}</p>
      <PasswordAgain
        act={say('account.setThemUp')}
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
    <Part title={say('account.password')}>
      {done && (
        <p role="status" className="mb-2 font-semibold text-confirmed">
          {say('account.itIsChangedAndYou')}
        </p>
      )}
      <div className="grid gap-3">
        <TextField
          label={say('account.newPassword')}
          type="password"
          autoComplete="new-password"
          help={say('account.atLeast12CharactersAFew')}
          value={next}
          onChange={(event) => setNext(event.target.value)}
          error={faultAt(problem, 'next')}
        />
        <PasswordAgain
          act={say('account.changeIt')}
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
    <Part title={say('account.mailAddress')}>
      {moving && (
        <p role="status" className="mb-2 rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink">
          {say('account.aLinkIsOnIts', {
            now,
            moving,
          })}
        </p>
      )}
      <div className="grid gap-3">
        <TextField
          label={say('account.newAddress')}
          type="email"
          autoComplete="email"
          value={mail}
          onChange={(event) => setMail(event.target.value)}
          error={faultAt(problem, 'mail')}
        />
        <PasswordAgain
          act={say('account.sendTheLinks')}
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
    <Part title={say('account.whereYouAreSignedIn')}>
      <p className="mb-2">
        {sessions <= 1 ? say('account.onlyHere') : say('account.inPlacesThisOneAmong', { sessions })}
      </p>
      {sessions > 1 && (
        <Button busy={busy} onClick={() => void act({})}>
          {say('account.signOutEverywhereElse')}
        </Button>
      )}
      <ProblemNote problem={problem} />
    </Part>
  )
}
