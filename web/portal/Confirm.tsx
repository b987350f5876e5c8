import { useEffect, useRef } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
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
    <AccountSheet title={problem ? 'This link does not work any more' : 'Confirming your address'}>
      {problem ? (
        <>
          <ProblemNote problem={problem} />
          <p className="mt-3">
            <Link to="/sign-in" className="font-semibold text-confirmed">
              Sign in
            </Link>
          </p>
        </>
      ) : (
        <p role="status">One moment…</p>
      )}
    </AccountSheet>
  )
}
