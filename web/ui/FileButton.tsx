import { type ReactNode, useRef } from 'react'
import { Button } from './Button'

type Props = {
  /** What the file is, for who does not see the button. */
  name: string
  accept: string
  kind?: 'main' | 'plain'
  busy: boolean
  onFile: (file: File) => void
  children: ReactNode
}

/** A button by which one file is chosen. */
export function FileButton({ name, accept, kind = 'plain', busy, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        aria-label={name}
        onChange={(event) => {
          const [file] = event.target.files ?? []
          if (file) onFile(file)
          // The same file may be chosen again.
          event.target.value = ''
        }}
      />
      <Button kind={kind} busy={busy} onClick={() => input.current?.click()}>
        {children}
      </Button>
    </>
  )
}
