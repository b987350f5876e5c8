import {
  type InputHTMLAttributes,
  type ReactNode,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
  useId,
} from 'react'
import { say } from '#core/words/say'

type Around = { label: string; help?: ReactNode; error?: string; optional?: boolean; hidden?: boolean }
type Slot = { id: string; describedBy: string | undefined; invalid: boolean }

function Frame({ label, help, error, optional, hidden, children }: Around & { children: (slot: Slot) => ReactNode }) {
  const id = useId()
  const described = [help ? `${id}-help` : '', error ? `${id}-error` : ''].filter(Boolean).join(' ')
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hidden ? 'sr-only' : 'mb-1 block font-semibold text-[0.93em]'}>
        {label}
        {optional && <span className="font-normal text-ink-3"> {say('ui.ifAny')}</span>}
      </label>
      {children({ id, describedBy: described || undefined, invalid: Boolean(error) })}
      {help && (
        <p id={`${id}-help`} className="mt-1 text-[0.87em] text-ink-2">
          {help}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </div>
  )
}

const box = (invalid: boolean) =>
  `w-full rounded-sheet border bg-sheet px-2.5 py-1.5 text-ink placeholder:text-ink-3 ${invalid ? 'border-contradicted' : 'border-line-strong focus:border-asked'}`

export function TextField({
  label,
  help,
  error,
  optional,
  hidden,
  limit,
  inside,
  suggestions,
  ...rest
}: Around &
  InputHTMLAttributes<HTMLInputElement> & { limit?: number; inside?: ReactNode; suggestions?: readonly string[] }) {
  const length = typeof rest.value === 'string' ? [...rest.value].length : 0
  return (
    <Frame
      {...{ label, error, optional, hidden }}
      help={limit && length > limit * 0.8 ? say('ui.charactersLeft', { count: limit - length }) : help}
    >
      {({ id, describedBy, invalid }) => (
        <div className="relative">
          <input
            id={id}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            className={`${box(invalid)} ${inside ? 'pr-9' : ''}`}
            {...(suggestions ? { list: `${id}-suggestions` } : {})}
            {...rest}
          />
          {suggestions && (
            <datalist id={`${id}-suggestions`}>
              {suggestions.map((text) => (
                <option key={text} value={text} />
              ))}
            </datalist>
          )}
          {inside}
        </div>
      )}
    </Frame>
  )
}

export function LongField({
  label,
  help,
  error,
  optional,
  hidden,
  limit,
  ...rest
}: Around & TextareaHTMLAttributes<HTMLTextAreaElement> & { limit?: number }) {
  const length = typeof rest.value === 'string' ? [...rest.value].length : 0
  return (
    <Frame
      {...{ label, error, optional, hidden }}
      help={limit && length > limit * 0.6 ? say('ui.charactersLeft', { count: limit - length }) : help}
    >
      {({ id, describedBy, invalid }) => (
        <textarea
          id={id}
          rows={3}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          className={box(invalid)}
          {...rest}
        />
      )}
    </Frame>
  )
}

type Option = { value: string; label: string }

export function SelectField({
  label,
  help,
  error,
  optional,
  hidden,
  options,
  empty,
  ...rest
}: Around & SelectHTMLAttributes<HTMLSelectElement> & { options: readonly Option[]; empty?: string }) {
  return (
    <Frame {...{ label, help, error, optional, hidden }}>
      {({ id, describedBy, invalid }) => (
        <select id={id} aria-describedby={describedBy} aria-invalid={invalid} className={box(invalid)} {...rest}>
          {empty !== undefined && <option value="">{empty}</option>}
          {options.map(({ value, label: name }) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      )}
    </Frame>
  )
}

type ChoiceProps = {
  label: string
  options: readonly Option[]
  value: string
  onChange: (value: string) => void
  error?: string
  name: string
  inline?: boolean
  hidden?: boolean
}

/** One of a few, all in view. */
export function Choice({ label, options, value, onChange, error, name, inline = true, hidden }: ChoiceProps) {
  return (
    <fieldset>
      <legend className={hidden ? 'sr-only' : 'mb-1.5 font-semibold text-[0.93em]'}>{label}</legend>
      <div className={inline ? 'flex flex-wrap gap-2' : 'grid gap-1.5'}>
        {options.map((option) => (
          <label
            key={option.value}
            className={`flex cursor-pointer items-center gap-2 rounded-sheet border px-3 py-1.5 ${value === option.value ? 'border-confirmed bg-confirmed-wash' : 'border-line-strong bg-sheet hover:border-ink-3'}`}
          >
            <input
              type="radio"
              name={name}
              value={option.value}
              checked={value === option.value}
              onChange={() => onChange(option.value)}
              className="accent-confirmed"
            />
            {option.label}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </fieldset>
  )
}

type CheckListProps = {
  label: string
  help?: string
  error?: string
  options: readonly Option[]
  value: readonly string[]
  onChange: (value: string[]) => void
  hidden?: boolean
}

/** Any of several, all in view; kept in the order they are offered. */
export function CheckList({ label, help, error, options, value, onChange, hidden }: CheckListProps) {
  return (
    <fieldset>
      <legend className={hidden ? 'sr-only' : 'mb-1.5 font-semibold text-[0.93em]'}>{label}</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1.5">
        {options.map((option) => (
          <label key={option.value} className="flex min-h-6 items-center gap-2">
            <input
              type="checkbox"
              className="accent-confirmed"
              checked={value.includes(option.value)}
              onChange={(event) =>
                onChange(
                  options
                    .map((candidate) => candidate.value)
                    .filter((candidate) =>
                      candidate === option.value ? event.target.checked : value.includes(candidate),
                    ),
                )
              }
            />
            {option.label}
          </label>
        ))}
      </div>
      {help && <p className="mt-1 text-[0.87em] text-ink-2">{help}</p>}
      {error && (
        <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </fieldset>
  )
}
