import { lazy, Suspense, useEffect, useRef, useState } from 'react'
import { readTyped, writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { TextField } from './Field'

/** Fetched when it is first opened: most people type their dates. */
const Calendar = lazy(() => import('./Calendar').then((module) => ({ default: module.Calendar })))

type Props = {
  label: string
  value: string
  onChange: (iso: string) => void
  help?: string
  error?: string
  blanks?: readonly { value: string; label: string }[]
  optional?: boolean
  /** The label is there for those who hear it, the place says it to those who see. */
  hidden?: boolean
  /** What the browser may fill in (HTML autocomplete token). */
  autoComplete?: string
}

/** A date as far as it is known, typed as people write it or chosen from a calendar; honest blanks are values of their own. */
export function DateField({ label, value, onChange, help, error, blanks = [], optional, hidden, autoComplete }: Props) {
  const blank = blanks.find((candidate) => candidate.value === value)
  const [text, setText] = useState(blank ? '' : writeWhen(value))
  const [unread, setUnread] = useState(false)
  // What was told last: only what comes from outside replaces what is typed.
  const told = useRef(value)
  const tell = (iso: string) => {
    told.current = iso
    onChange(iso)
  }
  useEffect(() => {
    if (value === told.current) return
    told.current = value
    setText(writeWhen(value))
  }, [value])
  const leave = () => {
    if (text.trim() === '') return tell('')
    const iso = readTyped(text)
    setUnread(!iso)
    if (iso) {
      tell(iso)
      setText(writeWhen(iso))
    }
  }
  return (
    <div>
      <TextField
        label={label}
        value={blank ? '' : text}
        disabled={blank !== undefined}
        optional={optional}
        hidden={hidden}
        autoComplete={autoComplete}
        placeholder={blank ? blank.label : ''}
        onChange={(event) => {
          setText(event.target.value)
          setUnread(false)
          tell(readTyped(event.target.value) ?? '')
        }}
        onBlur={leave}
        inside={
          <OpenCalendar
            value={value}
            disabled={blank !== undefined}
            onChoose={(iso) => {
              setUnread(false)
              setText(writeWhen(iso))
              tell(iso)
            }}
          />
        }
        help={help}
        error={unread ? say('ui.noDate') : error}
      />
      {blanks.map((choice) => (
        <label key={choice.value} className="mt-1 flex items-center gap-2 text-[0.93em]">
          <input
            type="checkbox"
            className="accent-confirmed"
            checked={value === choice.value}
            onChange={(event) => {
              setText('')
              tell(event.target.checked ? choice.value : '')
            }}
          />
          {choice.label}
        </label>
      ))}
    </div>
  )
}

type OpenProps = { value: string; disabled: boolean; onChoose: (iso: string) => void }

function OpenCalendar({ value, disabled, onChoose }: OpenProps) {
  const [open, setOpen] = useState(false)
  const button = useRef<HTMLButtonElement>(null)
  return (
    <>
      <button
        ref={button}
        type="button"
        disabled={disabled}
        aria-label={say('ui.openTheCalendar')}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="absolute inset-y-px right-px rounded-sheet px-2 text-ink-3 hover:text-ink"
      >
        <CalendarLeaf />
      </button>
      {open && (
        <Suspense fallback={null}>
          <Calendar value={value} at={button} onChoose={onChoose} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  )
}

/** A leaf of a calendar; drawn here, so that a page with one date needs no library of pictures for it. */
const CalendarLeaf = () => (
  <svg
    aria-hidden="true"
    width={16}
    height={16}
    viewBox="0 0 16 16"
    fill="none"
    stroke="currentColor"
    strokeWidth={1.4}
  >
    <path d="M2.2 3.4h11.6v10.4H2.2zM2.2 6.6h11.6M5.2 1.6v3M10.8 1.6v3M5 9.2h1.6M9.4 9.2H11M5 11.6h1.6" />
  </svg>
)
