import type { ReactNode } from 'react'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import type { useClaimEditor } from './useClaimEditor'

type Props = {
  editor: Pick<ReturnType<typeof useClaimEditor>, 'save' | 'giveUp' | 'busy' | 'problem'>
  /** What the button that saves says. */
  saving: string
  /** Whether enough is there to save it. */
  ready?: boolean
  /** What else can be done about a problem. */
  beside?: ReactNode
  className?: string
  children: ReactNode
}

/** The fields of one claim in two columns, what is wrong with it, and to save it or give it up. */
export function ClaimForm({ editor, saving, ready = true, beside, className = '', children }: Props) {
  const { save, giveUp, busy, problem } = editor
  return (
    <form
      className={`grid gap-4 sm:grid-cols-2 ${className}`}
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      {children}
      <div className="sm:col-span-2">
        <ProblemNote problem={problem} />
        {beside}
        <div className="mt-1 flex gap-3">
          <Button kind="main" type="submit" busy={busy} disabled={!ready}>
            {saving}
          </Button>
          <Button kind="quiet" onClick={giveUp}>
            {say('apply.cancel')}
          </Button>
        </div>
      </div>
    </form>
  )
}
