import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { AccountSheet, placeAfter } from './AccountSheet'

/**
 * Where the link in the mail leads. Programs that look through mail open links as well, so a person presses; and only the
 * browser the account was made in is signed in by it.
 */
export function Confirm() {
  const { token = '' } = useParams()
  const navigate = useNavigate()
  const { act, busy, problem } = useAct('confirmMail')
  const [next, setNext] = useState<string>()
  const confirm = async () => {
    const confirmed = await act({ body: { token } })
    if (!confirmed) return
    const place = placeAfter(confirmed.next, '/me')
    if (confirmed.signedIn) navigate(place, { replace: true })
    else setNext(place)
  }
  const onwards = (place: string) => (
    <p className="mt-3">
      <Link to={`/sign-in?next=${encodeURIComponent(place)}`} className="font-semibold text-confirmed">
        {say('Sign in')}
      </Link>
    </p>
  )
  if (next)
    return (
      <AccountSheet title={say('Your address is confirmed')}>
        <p role="status">
          {say('You began in another browser. Sign in here to go on; what you wrote there can be sent from there too.')}
        </p>
        {onwards(next)}
      </AccountSheet>
    )
  return (
    <AccountSheet title={problem ? say('This link does not work any more') : say('Confirm your address')}>
      {problem ? (
        <>
          <ProblemNote problem={problem} />
          {onwards('/me')}
        </>
      ) : (
        <>
          <p className="mb-4">{say('One press, and the address is yours.')}</p>
          <Button kind="main" busy={busy} onClick={() => void confirm()}>
            {say('Confirm my address')}
          </Button>
        </>
      )}
    </AccountSheet>
  )
}
