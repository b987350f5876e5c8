import { useState } from 'react'
import { useNavigate } from 'react-router'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { Part, PasswordAgain } from './Part'

type Kept = { what: string; rule: string; until: string | null }

/** What is kept of oneself, all of it to take along, and the way to have it erased. */
export function MyData() {
  const { data } = api.endpoints.readKeeping.useQuery({})
  const [erasing, setErasing] = useState(false)
  const { act, busy, problem } = useAct('eraseMe')
  const navigate = useNavigate()
  const erase = async (password: string) => {
    if (await act({ body: { password, agreed: true } })) navigate('/')
  }
  return (
    <Part title={say('account.yourData')}>
      <p className="mb-2">{say('account.allWeKnowOfYou')}</p>
      <p className="mb-3">
        <a href={addressOf('exportPersonalData')} download className="font-semibold text-confirmed underline">
          {say('account.takeAllOfItAlong')}
        </a>
      </p>
      {data && (
        <>
          <h3 className="font-semibold">{say('account.whatIsKeptAndWhy')}</h3>
          <KeptList kept={data.kept} />
          {erasing ? (
            <div className="mt-3 grid gap-3">
              <p>{say('account.erasedYourAccountIsClosed')}</p>
              <KeptList kept={data.left} />
              <PasswordAgain
                act={say('account.eraseMyData')}
                grave
                busy={busy}
                fault={faultAt(problem, 'password')}
                onGiven={(password) => void erase(password)}
              />
              <ProblemNote problem={problem?.faults ? undefined : problem} />
              <div>
                <Button kind="quiet" onClick={() => setErasing(false)}>
                  {say('account.keepEverythingAsItIs')}
                </Button>
              </div>
            </div>
          ) : (
            <Button className="mt-3" onClick={() => setErasing(true)}>
              {say('account.haveItErased')}
            </Button>
          )}
        </>
      )}
    </Part>
  )
}

const KeptList = ({ kept }: { kept: readonly Kept[] }) => (
  <ul className="divide-y divide-line border-line border-y">
    {kept.map(({ what, rule, until }) => (
      <li key={what} className="py-1.5">
        {what}
        {until && <span className="text-ink-2">, {say('account.untilDay', { day: writeWhen(until) })}</span>}
        <span className="block text-[0.93em] text-ink-2">{rule}</span>
      </li>
    ))}
  </ul>
)
