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
import { markBefore, vacancyIn } from './beforeAccount'

export function SignUp() {
  const [search] = useSearchParams()
  const { demo } = useSession()
  const { act, busy, problem } = useAct('signUp')
  const [sentTo, setSentTo] = useState<string>()
  const { register, handleSubmit } = useForm({ defaultValues: { name: '', mail: '', password: '' } })
  const make = handleSubmit(async (body) => {
    const done = await act({ body: { ...body, next: search.get('next') ?? undefined } })
    const slug = vacancyIn(search.get('next'))
    if (done && slug) await markBefore(slug, body.mail)
    if (done) setSentTo(body.mail)
  })
  if (sentTo) {
    return (
      <AccountSheet title={say('account.lookIntoYourMailbox')}>
        <p>
          {say('account.weHaveSentALink', {
            mail: sentTo,
          })}
        </p>
        <p className="mt-3 text-ink-2">{say('account.nothingThereAfterAFew')}</p>
        {demo && <p className="mt-3 text-[0.9em] text-ink-2">{say('account.inTheDemoEveryMail')}</p>}
      </AccountSheet>
    )
  }
  return (
    <AccountSheet title={say('account.makeAnAccount')}>
      <form onSubmit={make} className="grid gap-4" noValidate>
        <TextField
          label={say('account.yourName')}
          autoComplete="name"
          error={faultAt(problem, 'name')}
          {...register('name')}
        />
        <TextField
          label={say('account.mailAddress')}
          type="email"
          autoComplete="email"
          error={faultAt(problem, 'mail')}
          {...register('mail')}
        />
        <TextField
          label={say('account.password')}
          type="password"
          autoComplete="new-password"
          help={say('account.atLeast12CharactersA')}
          error={faultAt(problem, 'password')}
          {...register('password')}
        />
        <ProblemNote problem={problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('account.makeTheAccount')}
        </Button>
      </form>
      <p className="mt-4 text-ink-2">
        {say('account.youHaveOne')}{' '}
        <Link to={`/sign-in?${search}`} className="font-semibold text-confirmed">
          {say('account.signIn')}
        </Link>
      </p>
    </AccountSheet>
  )
}
