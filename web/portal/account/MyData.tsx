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
    <Part title={say('Your data')}>
      <p className="mb-2">{say('All we know of you, with every paper you sent, is yours to keep.')}</p>
      <p className="mb-3">
        <a href={addressOf('exportPersonalData')} download className="font-semibold text-confirmed underline">
          {say('Take all of it along, as a ZIP')}
        </a>
      </p>
      {data && (
        <>
          <h3 className="font-semibold">{say('What is kept, and why')}</h3>
          <KeptList kept={data.kept} />
          {erasing ? (
            <div className="mt-3 grid gap-3">
              <p>
                {say(
                  'Erased, your account is closed, what is under way is withdrawn, and nobody here finds you any more. It cannot be undone. Only this stays, until its day, and then goes by itself:',
                )}
              </p>
              <KeptList kept={data.left} />
              <PasswordAgain
                act={say('Erase my data')}
                grave
                busy={busy}
                fault={faultAt(problem, 'password')}
                onGiven={(password) => void erase(password)}
              />
              <ProblemNote problem={problem?.faults ? undefined : problem} />
              <div>
                <Button kind="quiet" onClick={() => setErasing(false)}>
                  {say('Keep everything as it is')}
                </Button>
              </div>
            </div>
          ) : (
            <Button className="mt-3" onClick={() => setErasing(true)}>
              {say('Have it erased')}
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
        {until && <span className="text-ink-2">, {say('until {{day}}', { day: writeWhen(until) })}</span>}
        <span className="block text-[0.93em] text-ink-2">{rule}</span>
      </li>
    ))}
  </ul>
)
