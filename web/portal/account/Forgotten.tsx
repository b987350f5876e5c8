import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { AccountSheet } from '../AccountSheet'

/** Asks for a link to set a new password. */
export function Forgotten() {
  const { act, busy, problem } = useAct('askReset')
  const [mail, setMail] = useState('')
  const [sent, setSent] = useState(false)
  if (sent)
    return (
      <AccountSheet title={say('account.lookIntoYourMailbox')}>
        <p>{say('account.ifBelongsToAnAccount', { mail })}</p>
      </AccountSheet>
    )
  return (
    <AccountSheet title={say('account.passwordForgotten')}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void act({ body: { mail } }).then((done) => done && setSent(true))
        }}
      >
        <TextField
          label={say('account.mailAddress')}
          type="email"
          autoComplete="username"
          value={mail}
          onChange={(event) => setMail(event.target.value)}
          error={faultAt(problem, 'mail')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('account.sendMeALink')}
        </Button>
      </form>
    </AccountSheet>
  )
}

/** Sets a new password by the link of a mail. */
export function NewPassword() {
  const { token = '' } = useParams()
  const { act, busy, problem } = useAct('resetPassword')
  const [password, setPassword] = useState('')
  const navigate = useNavigate()
  return (
    <AccountSheet title={say('account.setANewPassword')}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void act({ body: { token, password } }).then((done) => done && navigate('/sign-in'))
        }}
      >
        <TextField
          label={say('account.newPassword')}
          type="password"
          autoComplete="new-password"
          help={say('account.atLeast12CharactersAFewUnrelated')}
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={faultAt(problem, 'password')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('account.setIt')}
        </Button>
      </form>
    </AccountSheet>
  )
}

/** One side of a change of mail address. */
export function MailChange() {
  const { token = '' } = useParams()
  const { act, busy, problem } = useAct('confirmMailChange')
  const [said, setSaid] = useState<string>()
  const agree = async () => {
    const done = await act({ body: { token } })
    if (done)
      setSaid(
        done.changed
          ? say('account.yourAddressIsChangedUse')
          : say('account.thankYouWeAreStill', { address: done.waitingFor ?? '' }),
      )
  }
  return (
    <AccountSheet title={say('account.changeOfYourMailAddress')}>
      {said ? (
        <p role="status">{said}</p>
      ) : (
        <>
          <p className="mb-4">{say('account.itIsChangedOnceBoth')}</p>
          <ProblemNote problem={problem} />
          <Button kind="main" busy={busy} onClick={() => void agree()}>
            {say('account.agree')}
          </Button>
        </>
      )}
    </AccountSheet>
  )
}
