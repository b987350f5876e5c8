import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link, useSearchParams } from 'react-router'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { useSession } from '../useSession'
import { AccountSheet } from './AccountSheet'

export function SignUp() {
  const [search] = useSearchParams()
  const { demo } = useSession()
  const { act, busy, problem } = useAct('signUp')
  const [sentTo, setSentTo] = useState<string>()
  const { register, handleSubmit } = useForm({ defaultValues: { name: '', mail: '', password: '' } })
  const make = handleSubmit(async (body) => {
    const done = await act({ body: { ...body, next: search.get('next') ?? undefined } })
    if (done) setSentTo(body.mail)
  })
  if (sentTo) {
    return (
      <AccountSheet title={say('Look into your mailbox')}>
        <p>
          {say('We have sent a link to {{mail}}. Open it to confirm the address; you will go on where you were.', {
            mail: sentTo,
          })}
        </p>
        <p className="mt-3 text-ink-2">
          {say('Nothing there after a few minutes? Look among the unwanted mail, or make the account again.')}
        </p>
        {demo && (
          <p className="mt-3 text-[0.9em] text-ink-2">
            {say(
              'In the demo, every mail arrives in the stand-in mailbox, whose address was printed when it was started.',
            )}
          </p>
        )}
      </AccountSheet>
    )
  }
  return (
    <AccountSheet title={say('Make an account')}>
      <form onSubmit={make} className="grid gap-4" noValidate>
        <TextField
          label={say('Your name')}
          autoComplete="name"
          error={faultAt(problem, 'name')}
          {...register('name')}
        />
        <TextField
          label={say('Mail address')}
          type="email"
          autoComplete="email"
          error={faultAt(problem, 'mail')}
          {...register('mail')}
        />
        <TextField
          label={say('Password')}
          type="password"
          autoComplete="new-password"
          help={say('At least 12 characters. A few words are better than one with signs in it.')}
          error={faultAt(problem, 'password')}
          {...register('password')}
        />
        <ProblemNote problem={problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('Make the account')}
        </Button>
      </form>
      <p className="mt-4 text-ink-2">
        {say('You have one?')}{' '}
        <Link to={`/sign-in?${search}`} className="font-semibold text-confirmed">
          {say('Sign in')}
        </Link>
      </p>
    </AccountSheet>
  )
}
