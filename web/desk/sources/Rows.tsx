import type { ReactNode } from 'react'
import { Button } from '../../ui/Button'

type Props<T> = {
  label: string
  /** It begins a part of the page. */
  heading?: boolean
  /** What the list is for. */
  about?: string
  rows: readonly T[]
  keyOf?: (row: T) => string
  onChange: (rows: T[]) => void
  blank: () => T
  add: string
  remove: string
  children: (row: T, set: (change: Partial<T>) => void, nth: number) => ReactNode
}

/** A list of small records: each can be changed, taken out, and another added. */
export function Rows<T>({ label, heading, about, rows, keyOf, onChange, blank, add, remove, children }: Props<T>) {
  return (
    <fieldset className="grid gap-2">
      <legend className={heading ? 'mb-1 text-[1.1em]' : 'mb-1 font-semibold text-[0.93em]'}>{label}</legend>
      {about && <p className="text-[0.87em] text-ink-2">{about}</p>}
      {rows.map((row, nth) => (
        <div key={keyOf?.(row) ?? nth} className="flex flex-wrap items-end gap-2 border-line border-b pb-2">
          <div className="grid min-w-0 flex-1 gap-2">
            {children(
              row,
              (change) => onChange(rows.map((one, at) => (at === nth ? { ...one, ...change } : one))),
              nth,
            )}
          </div>
          <Button onClick={() => onChange(rows.filter((_, at) => at !== nth))}>{remove}</Button>
        </div>
      ))}
      <Button className="justify-self-start" onClick={() => onChange([...rows, blank()])}>
        {add}
      </Button>
    </fieldset>
  )
}
