import { useCallback, useEffect, useRef, useState } from 'react'
import { say } from '#core/words/say'
import { api } from '../api'
import { type Asked, askWith } from '../askAgain'
import { whenToldByOtherWindow, windowDone } from '../otherWindow'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { useSession } from '../useSession'

const words: Record<Asked, { title: string; description: string; act: string }> = {
  'sign-in-first': {
    title: say('desk.youWereAwayForA'),
    description: say('desk.theDeskClosesAfterHalf'),
    act: say('desk.goOn'),
  },
  'password-again': {
    title: say('desk.yourPasswordOnceMore'),
    description: say('desk.whatYouAreAboutTo'),
    act: say('desk.confirm'),
  },
}

/** Asks for the password where the server wants it, and lets what was refused go through afterwards. */
export function AskAgain() {
  const { account, provider } = useSession()
  const [read] = api.endpoints.readSession.useLazyQuery()
  const [asked, setAsked] = useState<Asked>()
  const answer = useRef<(given: boolean) => void>(undefined)
  // The session is gone while somebody is asked for it: whose it was is known from before.
  const owner = useRef(account)
  if (account) owner.current = account
  useEffect(() => {
    askWith((next) => {
      setAsked(next)
      return new Promise((resolve) => {
        answer.current = resolve
      })
    })
    return () => askWith(undefined)
  }, [])
  const settle = useCallback((given: boolean) => {
    setAsked(undefined)
    answer.current?.(given)
  }, [])
  if (!asked) return null
  const { title, description } = words[asked]
  return (
    <Dialog
      open
      onClose={() => settle(false)}
      title={title}
      description={description}
      covers={asked === 'sign-in-first'}
    >
      {owner.current?.throughProvider && provider ? (
        <ThroughProvider
          asked={asked}
          provider={provider}
          onGiven={async () => {
            const { data } = await read({})
            // Somebody else signed in there: what is on this page is not theirs.
            if (data?.account?.id === owner.current?.id) settle(true)
            else window.location.assign('/desk/today')
          }}
        />
      ) : (
        <PasswordForm key={asked} asked={asked} mail={owner.current?.mail ?? ''} onGiven={() => settle(true)} />
      )}
    </Dialog>
  )
}

type ProviderProps = { asked: Asked; provider: string; onGiven: () => void }

/** The provider is gone to in a window of its own: leaving this page would lose what was typed. */
function ThroughProvider({ asked, provider, onGiven }: ProviderProps) {
  const signIn = useAct('leaveForProvider')
  const confirm = useAct('confirmThroughProvider')
  const [away, setAway] = useState(false)
  const given = useRef(onGiven)
  given.current = onGiven
  useEffect(() => whenToldByOtherWindow(() => given.current()), [])
  const { busy, problem } = asked === 'sign-in-first' ? signIn : confirm
  const go = async () => {
    // Opened by the click itself, or the browser takes it for a window nobody asked for.
    const opened = window.open('', '_blank', 'width=560,height=720')
    const place = asked === 'sign-in-first' ? await signIn.act({ body: { next: windowDone } }) : await confirm.act({})
    if (place && opened) opened.location.href = place.address
    else if (place) window.open(place.address, '_blank')
    else opened?.close()
    setAway(place !== undefined)
  }
  return (
    <div className="grid gap-3">
      <p>{say('desk.showThatItIsYou', { provider })}</p>
      <ProblemNote problem={problem} />
      <Button kind="main" busy={busy} onClick={() => void go()} className="justify-self-start">
        {say('desk.goTo', { name: provider })}
      </Button>
      {away && <p role="status">{say('desk.waitingForYou', { provider })}</p>}
    </div>
  )
}

type FormProps = { asked: Asked; mail: string; onGiven: () => void }

function PasswordForm({ asked, mail, onGiven }: FormProps) {
  const signIn = useAct('signIn')
  const confirm = useAct('confirmSession')
  const [password, setPassword] = useState('')
  const [code, setCode] = useState('')
  const { problem, busy } = asked === 'sign-in-first' ? signIn : confirm
  const codeWanted =
    problem?.code === 'code-needed' || problem?.code === 'wrong-code' || Boolean(faultAt(problem, 'code'))
  const give = async () => {
    const given = { password, ...(code ? { code } : {}) }
    const done =
      asked === 'sign-in-first' ? await signIn.act({ body: { mail, ...given } }) : await confirm.act({ body: given })
    if (done) onGiven()
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void give()
      }}
    >
      <TextField label={say('desk.mailAddress')} type="email" autoComplete="username" value={mail} readOnly />
      <TextField
        label={say('desk.password')}
        type="password"
        autoComplete="current-password"
        data-first
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        error={faultAt(problem, 'password')}
      />
      {codeWanted && (
        <TextField
          label={say('desk.codeOfYourAuthenticatorApp')}
          autoComplete="one-time-code"
          value={code}
          onChange={(event) => setCode(event.target.value)}
          error={faultAt(problem, 'code')}
        />
      )}
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <Button kind="main" type="submit" busy={busy} disabled={password === ''} className="justify-self-start">
        {words[asked].act}
      </Button>
    </form>
  )
}
