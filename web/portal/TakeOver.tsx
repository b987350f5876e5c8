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
      <AccountSheet title={say('This link does not work any more')}>
        <p className="mb-3">
          {say('It has been used, or is too old. If you have taken your application over, sign in to go on.')}
        </p>
        <Link to="/sign-in" className="font-semibold text-confirmed">
          {say('Sign in')}
        </Link>
      </AccountSheet>
    )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const take = async () => {
    const taken = await act({ params: { token }, body: { password } })
    if (taken) navigate(`/apply/${taken.id}`, { replace: true })
  }
  return (
    <AccountSheet title={say('Your application for {{title}}', { title: data.title })}>
      <p>
        {data.how === 'by phone'
          ? say('{{by}} wrote it down on {{when}} from what you told us by phone.', {
              by: data.by,
              when: writeDayOf(data.at),
            })
          : say('{{by}} wrote it down on {{when}} from your papers.', { by: data.by, when: writeDayOf(data.at) })}
      </p>
      <p className="mt-2">
        {say('{{count}} answers', { count: data.answers })},{' '}
        {say('{{count}} entries of your record', { count: data.claims })}.{' '}
        {say('It counts once you have read it through, signed it and sent it. Until then you can change everything.')}
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
          label={say('Choose a password')}
          type="password"
          autoComplete="new-password"
          help={say('At least 12 characters. A few unrelated words are hard to guess and easy to keep.')}
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={faultAt(problem, 'password')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('Take it over and read it through')}
        </Button>
      </form>
    </AccountSheet>
  )
}
