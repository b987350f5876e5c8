import { type ReactNode, useState } from 'react'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ProblemNote } from '../../ui/ProblemNote'
import { Tick } from './Tick'

export type FormProps = {
  title: string
  /** Whether it is offered to choose; absent where it is only being added. */
  offered?: boolean
  onOffer: (offered: boolean) => void
  problem: Problem | undefined
  busy: boolean
  onSave: () => void
  onClose: () => void
}

/** Around what is said of one thing of the catalogue. */
export function ThingForm({
  title,
  offered,
  onOffer,
  problem,
  busy,
  onSave,
  onClose,
  children,
}: FormProps & { children: ReactNode }) {
  // The title stays what it was while the name is typed.
  const [shown] = useState(title)
  return (
    <Dialog open wide onClose={onClose} title={shown}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          onSave()
        }}
      >
        {children}
        {offered !== undefined && (
          <Tick
            label={say('catalogue.offer')}
            help={say('catalogue.offerMeans')}
            checked={offered}
            onChange={onOffer}
          />
        )}
        <ProblemNote problem={problem} />
        <Button kind="main" type="submit" busy={busy} className="justify-self-start">
          {say('catalogue.save')}
        </Button>
      </form>
    </Dialog>
  )
}
