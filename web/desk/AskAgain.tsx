import { useCallback, useEffect, useRef, useState } from 'react'
import { say } from '#core/words/say'
import { type Asked, askWith } from '../askAgain'
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
  const { account } = useSession()
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
      <PasswordForm key={asked} asked={asked} mail={owner.current?.mail ?? ''} onGiven={() => settle(true)} />
    </Dialog>
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
