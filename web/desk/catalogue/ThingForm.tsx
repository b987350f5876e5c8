import { type ReactNode, useState } from 'react'
import type { Named } from '#core/catalogue/catalogue'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ProblemNote } from '../../ui/ProblemNote'
import { Tick } from '../../ui/Tick'
import { TextInLanguages } from './TextInLanguages'

type FormProps = {
  title: string
  /** What is edited, by its names. */
  of: Named
  set: (change: Partial<Named>) => void
  error: (field: string) => string | undefined
  /** Whether it is offered to choose; absent where it is only being added. */
  offered?: boolean
  onOffer: (offered: boolean) => void
  problem: Problem | undefined
  busy: boolean
  onSave: () => void
  onClose: () => void
}

type Around = {
  /** What comes before the names, and what needs the whole width behind the rest. */
  above?: ReactNode
  below?: ReactNode
  children?: ReactNode
}

/** Around what is said of one thing of the catalogue: what all of them have, its names and whether it is offered. */
export function ThingForm({
  title,
  of,
  set,
  error,
  offered,
  onOffer,
  problem,
  busy,
  onSave,
  onClose,
  above,
  below,
  children,
}: FormProps & Around) {
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
        <div className="grid gap-3 sm:grid-cols-2">
          {above}
          <TextInLanguages
            field="name"
            of={of}
            label={(language) => say('catalogue.nameIn', { language })}
            onChange={set}
            error={error}
          />
          {children}
        </div>
        {below}
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
