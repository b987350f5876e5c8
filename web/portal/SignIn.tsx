import { useForm } from 'react-hook-form'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { worksHere } from '#core/rights/rights'
import { rolesWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { api } from '../api'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { useSession } from '../useSession'
import { AccountSheet, homeOf, placeAfter } from './AccountSheet'

export function SignIn() {
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const { demo, provider } = useSession()
  const leave = useAct('leaveForProvider')
  const { act, busy, problem } = useAct('signIn')
  const { register, handleSubmit } = useForm({ defaultValues: { mail: '', password: '', code: '' } })
  const codeWanted =
    problem?.code === 'code-needed' || problem?.code === 'wrong-code' || faultAt(problem, 'code') !== undefined
  const enter = handleSubmit(async ({ code, ...body }) => {
    const session = await act({ body: code ? { ...body, code } : body })
    if (!session) return
    const roles = session.account?.roles ?? []
    navigate(
      worksHere(roles)
        ? placeAfter(search.get('next')?.startsWith('/desk') ? search.get('next') : null, '/desk/today')
        : placeAfter(search.get('next'), homeOf(roles)),
    )
  })
  return (
    <AccountSheet title={say('account.signIn')}>
      <form onSubmit={enter} className="grid gap-4" noValidate>
        <TextField
          label={say('account.mailAddress')}
          type="email"
          autoComplete="username"
          error={faultAt(problem, 'mail')}
          {...register('mail')}
        />
        <TextField
          label={say('account.password')}
          type="password"
          autoComplete="current-password"
          {...register('password')}
        />
        {codeWanted && (
          <TextField
            label={say('account.codeOfYourAuthenticatorApp')}
            autoComplete="one-time-code"
            inputMode="text"
            error={faultAt(problem, 'code')}
            {...register('code')}
          />
        )}
        <ProblemNote problem={problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('account.signIn')}
        </Button>
      </form>
      <p className="mt-4">
        <Link to="/forgotten" className="font-semibold text-confirmed">
          {say('account.passwordForgotten')}
        </Link>
      </p>
      <p className="mt-2 text-ink-2">
        {say('account.noAccountYet')}{' '}
        <Link to={`/sign-up?${search}`} className="font-semibold text-confirmed">
          {say('account.makeOne')}
        </Link>
      </p>
      {provider && (
        <div className="mt-4 grid gap-2 border-line border-t pt-4">
          <p className="text-ink-2">{say('account.worksHere')}</p>
          <Button
            busy={leave.busy}
            onClick={async () => {
              const next = search.get('next')
              const away = await leave.act({ body: next?.startsWith('/desk') ? { next } : {} })
              if (away) window.location.assign(away.address)
            }}
          >
            {say('account.signInThrough', { provider })}
          </Button>
          <ProblemNote problem={leave.problem} />
        </div>
      )}
      {demo && <DemoAccounts />}
    </AccountSheet>
  )
}

/** Who can be signed in as, in a demo. */
function DemoAccounts() {
  const { data } = api.endpoints.readDemoAccounts.useQuery({})
  if (!data || data.accounts.length === 0) return null
  return (
    <div className="mt-4 border-line border-t pt-3 text-[0.9em] text-ink-2">
      <p>{say('account.thisIsTheDemoSign', { password: data.password })}</p>
      <ul className="mt-1 grid gap-x-3 sm:grid-cols-[auto_1fr]">
        {data.accounts.map(({ mail, roles }) => (
          <li key={mail} className="contents">
            <span className="font-mono">{mail}</span>
            <span>{rolesWords(roles)}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}
