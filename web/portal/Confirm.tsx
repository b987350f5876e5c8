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
        {say('account.signIn')}
      </Link>
    </p>
  )
  if (next)
    return (
      <AccountSheet title={say('account.yourAddressIsConfirmed')}>
        <p role="status">{say('account.youBeganInAnotherBrowser')}</p>
        {onwards(next)}
      </AccountSheet>
    )
  return (
    <AccountSheet title={problem ? say('account.thisLinkDoesNotWork') : say('account.confirmYourAddress')}>
      {problem ? (
        <>
          <ProblemNote problem={problem} />
          {onwards('/me')}
        </>
      ) : (
        <>
          <p className="mb-4">{say('account.onePressAndTheAddress')}</p>
          <Button kind="main" busy={busy} onClick={() => void confirm()}>
            {say('account.confirmMyAddress')}
          </Button>
        </>
      )}
    </AccountSheet>
  )
}
