import { type ReactNode, useState } from 'react'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'

/** One thing of an account. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Sheet>
      <h2 className="mb-2 text-[1.3em]">{title}</h2>
      {children}
    </Sheet>
  )
}

type AgainProps = { act: string; busy: boolean; onGiven: (password: string) => void; fault?: string; grave?: boolean }

/** The password once more, before something that matters. */
export function PasswordAgain({ act, busy, onGiven, fault, grave }: AgainProps) {
  const [password, setPassword] = useState('')
  return (
    <form
      className="grid gap-3 sm:grid-cols-[1fr_auto] sm:items-end"
      onSubmit={(event) => {
        event.preventDefault()
        onGiven(password)
      }}
    >
      <TextField
        label={say('account.yourPassword')}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        error={fault}
      />
      <Button kind={grave ? 'grave' : 'main'} type="submit" busy={busy} disabled={password === ''}>
        {act}
      </Button>
    </form>
  )
}
