import { X } from 'lucide-react'
import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { say } from '#core/words/say'
import { useFocusBack } from './useFocusBack'

type Props = {
  open: boolean
  onClose: () => void
  title: string
  description?: string
  children: ReactNode
  wide?: boolean
  /** Hides the page behind it. */
  covers?: boolean
}

/** A question in front of the page; Escape and the cross leave things as they are. */
export function Dialog({ open, onClose, title, description, children, wide = false, covers = false }: Props) {
  useFocusBack(open)
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className={`fixed inset-0 z-40 ${covers ? 'bg-mast' : 'bg-ink/35'}`} />
        <Radix.Content
          onOpenAutoFocus={(event) => {
            // What answers the question comes first under the hands, not the cross.
            const first = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('[data-first]:not(:disabled)')
            if (!first) return
            event.preventDefault()
            first.focus()
          }}
          onKeyDown={(event) => {
            // A notice that came up meanwhile would take the key for itself.
            if (event.key !== 'Escape' || event.defaultPrevented) return
            event.stopPropagation()
            onClose()
          }}
          {...(description ? {} : { 'aria-describedby': undefined })}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[calc(100vw-2rem)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-sheet border border-line-strong bg-sheet p-5 shadow-[0_12px_40px_rgb(0_0_0/0.25)] ${wide ? 'max-w-[860px]' : 'max-w-[520px]'}`}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Radix.Title className="text-[1.4em]">{title}</Radix.Title>
            <Radix.Close aria-label={say('ui.close')} className="rounded-sheet p-1 text-ink-2 hover:bg-ground">
              <X size={18} />
            </Radix.Close>
          </div>
          {description && <Radix.Description className="mb-3 text-ink-2">{description}</Radix.Description>}
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
