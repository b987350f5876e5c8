import { useEffect, useState } from 'react'
import { readTyped, writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { TextField } from './Field'

type Props = {
  label: string
  value: string
  onChange: (iso: string) => void
  help?: string
  error?: string
  blanks?: readonly { value: string; label: string }[]
  optional?: boolean
}

/** A date as far as it is known, typed as people write it; honest blanks are values of their own. */
export function DateField({ label, value, onChange, help, error, blanks = [], optional }: Props) {
  const blank = blanks.find((candidate) => candidate.value === value)
  const [text, setText] = useState(blank ? '' : writeWhen(value))
  const [unread, setUnread] = useState(false)
  useEffect(() => {
    // Only what comes from outside replaces what is typed: what is being typed already says the same.
    if (value === '' || readTyped(text) === value) return
    if (text !== (blank ? '' : writeWhen(value))) setText(blank ? '' : writeWhen(value))
  }, [value, text, blank])
  const leave = () => {
    if (text.trim() === '') return onChange('')
    const iso = readTyped(text)
    setUnread(!iso)
    if (iso) {
      onChange(iso)
      setText(writeWhen(iso))
    }
  }
  return (
    <div>
      <TextField
        label={label}
        value={text}
        disabled={blank !== undefined}
        optional={optional}
        placeholder={blank ? blank.label : ''}
        onChange={(event) => {
          setText(event.target.value)
          setUnread(false)
          const iso = readTyped(event.target.value)
          onChange(iso ?? '')
        }}
        onBlur={leave}
        help={help}
        error={unread ? say('ui.noDate') : error}
      />
      {blanks.map((choice) => (
        <label key={choice.value} className="mt-1 flex items-center gap-2 text-[0.93em]">
          <input
            type="checkbox"
            className="accent-confirmed"
            checked={value === choice.value}
            onChange={(event) => onChange(event.target.checked ? choice.value : '')}
          />
          {choice.label}
        </label>
      ))}
    </div>
  )
}
