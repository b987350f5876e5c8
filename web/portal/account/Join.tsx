import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { rolesWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { AccountSheet, homeOf } from '../AccountSheet'

/** Somebody who was invited to work here chooses a password and comes in. */
export function Join() {
  const { token = '' } = useParams()
  const { data, error } = api.endpoints.readInvitation.useQuery({ params: { token } })
  const { act, busy, problem } = useAct('acceptInvitation')
  const leave = useAct('leaveForProvider')
  const [password, setPassword] = useState('')
  const navigate = useNavigate()
  if (error)
    return (
      <AccountSheet title={say('account.invitation')}>
        <ProblemNote problem={error as never} />
        <p className="mt-3">{say('account.invitationOver')}</p>
      </AccountSheet>
    )
  if (!data) return <Waiting />
  const welcome = <p className="mb-4">{say('account.youComeAs', { name: data.name, roles: rolesWords(data.roles) })}</p>
  if (data.throughProvider)
    return (
      <AccountSheet title={say('account.welcomeTo', { organisation: data.organisation })}>
        {welcome}
        <p className="mb-4">{say('account.invitedThrough')}</p>
        <Button
          kind="main"
          busy={leave.busy}
          onClick={async () => {
            const away = await leave.act({ body: {} })
            if (away) window.location.assign(away.address)
          }}
        >
          {say('account.signInThrough', { provider: data.throughProvider })}
        </Button>
        <ProblemNote problem={leave.problem} />
      </AccountSheet>
    )
  return (
    <AccountSheet title={say('account.welcomeTo', { organisation: data.organisation })}>
      {welcome}
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void act({ params: { token }, body: { password } }).then((done) => done && navigate(homeOf(data.roles)))
        }}
      >
        <TextField label={say('account.mailAddress')} type="email" autoComplete="username" value={data.mail} readOnly />
        <TextField
          label={say('account.newPassword')}
          type="password"
          autoComplete="new-password"
          help={say('account.atLeast12CharactersAFewUnrelated')}
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          error={faultAt(problem, 'password')}
        />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('account.comeIn')}
        </Button>
      </form>
    </AccountSheet>
  )
}
