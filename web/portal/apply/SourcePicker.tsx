import { Command } from 'cmdk'
import { useEffect, useId, useState } from 'react'
import type { SourceLine } from '#contract/sources'
import { say } from '#core/words/say'
import { api } from '../../api'

type Chosen = { sourceId: string | null; sourceName: string }
type Props = {
  label: string
  kinds: string
  /** Only sources of this country, ISO 3166-1. */
  country?: string
  value: Chosen
  onChange: (value: Chosen, source?: SourceLine) => void
  error?: string
}

/** Finds who issued it by any name they go by; somebody who is not in the list is a value too. */
export function SourcePicker({ label, kinds, country, value, onChange, error }: Props) {
  const id = useId()
  const [text, setText] = useState(value.sourceName)
  const [open, setOpen] = useState(false)
  useEffect(() => setText(value.sourceName), [value.sourceName])
  const { data: found = [] } = api.endpoints.findSources.useQuery(
    { query: { text, kind: kinds, country } },
    { skip: !open || text.trim().length < 2 },
  )
  const choose = (chosen: Chosen, source?: SourceLine) => {
    onChange(chosen, source)
    setText(chosen.sourceName)
    setOpen(false)
  }
  const shown = open && text.trim().length >= 2
  return (
    <div className="relative">
      <label htmlFor={id} className="mb-1 block font-semibold text-[0.93em]">
        {label}
      </label>
      <Command shouldFilter={false} label={label}>
        <Command.Input
          id={id}
          value={text}
          onValueChange={(next) => {
            setText(next)
            setOpen(true)
            // A changed name is another source until one is chosen.
            if (next !== value.sourceName) onChange({ sourceId: null, sourceName: next })
          }}
          onFocus={() => setOpen(true)}
          onBlur={() => setTimeout(() => setOpen(false), 150)}
          onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}
          aria-invalid={Boolean(error)}
          className={`w-full rounded-sheet border bg-sheet px-2.5 py-1.5 ${error ? 'border-contradicted' : 'border-line-strong'}`}
          placeholder={say('apply.anyNameItGoesBy')}
          autoComplete="off"
        />
        <Command.List
          className={
            shown
              ? 'absolute z-20 mt-1 max-h-[280px] w-full overflow-auto rounded-sheet border border-line-strong bg-sheet p-1 shadow-[0_8px_24px_rgb(0_0_0/0.15)]'
              : 'hidden'
          }
        >
          {found.map((source) => (
            <Command.Item
              key={source.id}
              value={source.id}
              onSelect={() => choose({ sourceId: source.id, sourceName: source.name }, source)}
              className="cursor-pointer rounded-[4px] px-2 py-1.5 data-[selected=true]:bg-confirmed-wash"
            >
              <span className="font-semibold">{source.name}</span>
              <span className="block text-[0.88em] text-ink-2">
                {source.town}, {source.country}
                {source.aliases.length > 0 && say('apply.alsoAliases', { aliases: source.aliases.join(', ') })}
              </span>
            </Command.Item>
          ))}
          <Command.Item
            value="not-in-list"
            onSelect={() => choose({ sourceId: null, sourceName: text.trim() })}
            className="cursor-pointer rounded-[4px] px-2 py-1.5 data-[selected=true]:bg-confirmed-wash"
          >
            {say('apply.isNotInTheList', { name: text.trim() })}
          </Command.Item>
        </Command.List>
      </Command>
      {!open && value.sourceName && !value.sourceId && (
        <p className="mt-1 text-[0.87em] text-ink-2">{say('apply.notInOurDirectoryYet')}</p>
      )}
      {error && (
        <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </div>
  )
}
