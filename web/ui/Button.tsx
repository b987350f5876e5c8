import type { ButtonHTMLAttributes, ReactNode } from 'react'
import { say } from '#core/words/say'

type Kind = 'main' | 'plain' | 'quiet' | 'grave'

const looks: Record<Kind, string> = {
  main: 'bg-confirmed text-on-confirmed border border-confirmed hover:bg-confirmed-deep hover:border-confirmed-deep',
  plain: 'bg-sheet text-ink border border-line-strong hover:border-ink-3',
  quiet: 'bg-transparent text-confirmed border border-transparent hover:underline',
  grave: 'bg-sheet text-contradicted border border-contradicted hover:bg-contradicted-wash',
}

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
  kind?: Kind
  letter?: string
  busy?: boolean
  children: ReactNode
}

/** A button; `letter` is the key that presses it on the desk, shown on it. */
export function Button({
  kind = 'plain',
  letter,
  busy = false,
  children,
  className = '',
  disabled,
  type = 'button',
  ...rest
}: Props) {
  return (
    <button
      type={type}
      disabled={disabled || busy}
      aria-keyshortcuts={letter}
      className={`inline-flex items-center justify-center gap-2 rounded-sheet px-3 py-1.5 font-semibold text-[0.95em] whitespace-nowrap disabled:opacity-55 ${looks[kind]} ${className}`}
      {...rest}
    >
      {busy ? say('ui.oneMoment') : children}
      {letter && !busy && <Key letter={letter} />}
    </button>
  )
}

/** A key as it is shown beside what it does. */
export function Key({ letter }: { letter: string }) {
  return (
    <kbd
      aria-hidden
      className="rounded-[3px] border border-current px-1 font-mono font-normal text-[0.78em] leading-[1.35]"
    >
      {letter}
    </kbd>
  )
}
