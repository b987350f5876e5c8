import { useCallback, useEffect, useRef, useState } from 'react'
import { type Asked, askWith } from '../askAgain'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { useSession } from '../useSession'

const words: Record<Asked, { title: string; description: string; act: string }> = {
  'sign-in-first': {
    title: 'You were away for a while',
    description: 'The desk closes after half an hour without anybody, and each day. What you typed is still here.',
    act: 'Go on',
  },
  'password-again': {
    title: 'Your password once more',
    description: 'What you are about to do takes many people’s data along, or cannot be taken back.',
    act: 'Confirm',
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
      <TextField label="Mail address" type="email" autoComplete="username" value={mail} readOnly />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        data-first
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        error={faultAt(problem, 'password')}
      />
      {codeWanted && (
        <TextField
          label="Code of your authenticator app, or a recovery code"
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
