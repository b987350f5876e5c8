import { useState } from 'react'
import { useParams } from 'react-router'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { AccountSheet } from '../AccountSheet'

/** Where the link below a general mailing leads: one press, and nobody has to sign in. */
export function StopGeneral() {
  const { token = '' } = useParams()
  const { act, busy, problem } = useAct('stopGeneralMail')
  const [done, setDone] = useState(false)
  return (
    <AccountSheet title={say('account.generalMailings')}>
      {done ? (
        <p role="status">{say('account.generalStopped')}</p>
      ) : (
        <>
          <p className="mb-4">{say('account.generalStopMeans')}</p>
          <ProblemNote problem={problem} />
          <Button
            kind="main"
            busy={busy}
            onClick={() => void act({ params: { token }, body: {} }).then((stopped) => stopped && setDone(true))}
          >
            {say('account.stopGeneral')}
          </Button>
        </>
      )}
    </AccountSheet>
  )
}
