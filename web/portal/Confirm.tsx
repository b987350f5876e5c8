import { useEffect, useRef } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { say } from '#core/words/say'
import { ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { AccountSheet, placeAfter } from './AccountSheet'

/** Where the link in the mail leads: the address is confirmed, and the person goes on where they were. */
export function Confirm() {
  const { token = '' } = useParams()
  const navigate = useNavigate()
  const { act, problem } = useAct('confirmMail')
  const begun = useRef(false)
  useEffect(() => {
    if (begun.current) return
    begun.current = true
    void act({ body: { token } }).then(
      (confirmed) => confirmed && navigate(placeAfter(confirmed.next, '/me'), { replace: true }),
    )
  }, [act, token, navigate])
  return (
    <AccountSheet title={problem ? say('This link does not work any more') : say('Confirming your address')}>
      {problem ? (
        <>
          <ProblemNote problem={problem} />
          <p className="mt-3">
            <Link to="/sign-in" className="font-semibold text-confirmed">
              {say('Sign in')}
            </Link>
          </p>
        </>
      ) : (
        <p role="status">{say('One moment…')}</p>
      )}
    </AccountSheet>
  )
}
