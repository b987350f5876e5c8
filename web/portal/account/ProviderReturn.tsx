import { useEffect, useRef } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { say } from '#core/words/say'
import { tellOtherWindows, windowDone } from '../../otherWindow'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { AccountSheet, placeAfter } from '../AccountSheet'

/** Where the identity provider sends people back to. */
export function ProviderReturn() {
  const { search } = useLocation()
  const navigate = useNavigate()
  const { act, problem } = useAct('returnFromProvider')
  const begun = useRef(false)
  useEffect(() => {
    if (begun.current) return
    begun.current = true
    void act({ body: { search } }).then((returned) => {
      if (!returned) return
      navigate(returned.confirmed ? windowDone : placeAfter(returned.next, '/desk/today'), { replace: true })
    })
  }, [act, search, navigate])
  if (!problem) return <AccountSheet title={say('account.comingBack')}>{null}</AccountSheet>
  return (
    <AccountSheet title={say('account.signIn')}>
      <ProblemNote problem={problem} />
      <p className="mt-3">
        <Link to="/sign-in" className="font-semibold text-confirmed">
          {say('account.signInAgain')}
        </Link>
      </p>
    </AccountSheet>
  )
}

/** The end of a window of its own: the page it was opened from goes on. */
export function ProviderDone() {
  useEffect(tellOtherWindows, [])
  return (
    <AccountSheet title={say('account.thatWasIt')}>
      <p>{say('account.closeThisWindow')}</p>
    </AccountSheet>
  )
}
