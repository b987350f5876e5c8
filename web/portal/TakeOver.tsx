import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../api'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { Waiting } from '../ui/Waiting'
import { writeDayOf } from '../ui/write'
import { useAct } from '../useAct'
import { AccountSheet } from './AccountSheet'

/** Where the link leads by which somebody takes over the application that was written down for them. */
export function TakeOver() {
  const { token = '' } = useParams()
  const navigate = useNavigate()
  const { data, error, refetch } = api.endpoints.readTakenDown.useQuery({ params: { token } })
  const { act, busy, problem } = useAct('takeOverBehalf')
  const [password, setPassword] = useState('')
  if (error && 'code' in error && error.code !== 'no-connection')
    return (
      <AccountSheet title={say('account.thisLinkDoesNotWork')}>
        <p className="mb-3">{say('account.itHasBeenUsedOr')}</p>
        <Link to="/sign-in" className="font-semibold text-confirmed">
          {say('account.signIn')}
        </Link>
      </AccountSheet>
    )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const take = async () => {
    const taken = await act({ params: { token }, body: { password } })
    if (taken) navigate(`/apply/${taken.id}`, { replace: true })
  }
  return (
    <AccountSheet title={say('account.yourApplicationFor', { title: data.title })}>
      <p>
        {data.how === 'by phone'
          ? say('account.wroteItDownOnFrom', {
              by: data.by,
              when: writeDayOf(data.at),
            })
          : say('account.wroteItDownOnFromYour', { by: data.by, when: writeDayOf(data.at) })}
      </p>
      <p className="mt-2">
        {say('account.countAnswers', { count: data.answers })},{' '}
        {say('account.entriesOfYourRecord', { count: data.claims })}. {say('account.itCountsOnceYouHave')}
      </p>
      <form
        className="mt-4 grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void take()
        }}
      >
        <input type="hidden" autoComplete="username" value={data.mail} readOnly />
        <TextField
          label={say('account.chooseAPassword')}
          type="password"
          autoComplete="new-password"
          help={say('account.atLeast12CharactersAFew')}
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={faultAt(problem, 'password')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('account.takeItOverAndRead')}
        </Button>
      </form>
    </AccountSheet>
  )
}
