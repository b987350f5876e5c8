import { Command } from 'cmdk'
import { useEffect, useId, useState } from 'react'
import type { DetailsOf } from '#contract/claims'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import type { SourceLine } from '#contract/sources'
import { conditionsFor } from '#core/sources/conditions'
import type { IssuedClaim } from '#core/sources/source'
import { say } from '#core/words/say'
import { api } from '../../api'
import { TextField } from '../../ui/Field'

type Said = NonNullable<DetailsOf<'work'>['sourceSaid']>
type Chosen = { sourceId: string | null; sourceName: string; sourceSaid?: Said }
type Found = Reply<Contract['findSources']>[number]

type Props = {
  label: string
  kinds: string
  /** What kind of claim it issued: what it asks for before it answers goes by that. */
  claim: IssuedClaim
  /** Only sources of this country, ISO 3166-1. */
  country?: string
  value: Chosen
  onChange: (value: Chosen, source?: SourceLine) => void
  error?: string
}

/** Finds who issued it by any name they go by; somebody who is not in the list is a value too. */
export function SourcePicker({ label, kinds, claim, country, value, onChange, error }: Props) {
  const id = useId()
  const [text, setText] = useState(value.sourceName)
  const [open, setOpen] = useState(false)
  useEffect(() => setText(value.sourceName), [value.sourceName])
  const { data: found = [] } = api.endpoints.findSources.useQuery(
    { query: { text, kind: kinds, country } },
    { skip: !open || text.trim().length < 2 },
  )
  const asks = useWhatItAsks(value, kinds, claim)
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
            if (next !== value.sourceName) onChange({ sourceId: null, sourceName: next, sourceSaid: undefined })
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
              onSelect={() => choose({ sourceId: source.id, sourceName: source.name, sourceSaid: undefined }, source)}
              className="cursor-pointer rounded-[4px] px-2 py-1.5 data-[selected=true]:bg-confirmed-wash"
            >
              <span className="font-semibold">{source.name}</span>
              <span className="block text-[0.88em] text-ink-2">
                {source.town}, {source.country}
                {aliasesOf(source)}
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
      {!open && asks && <p className="mt-1 text-[0.87em] text-ink-2">{asks}</p>}
      {!open && value.sourceName && !value.sourceId && <NotListed value={value} onChange={onChange} />}
      {error && (
        <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </div>
  )
}

/** What the chosen source asks for before it answers, at once: nobody learns it only when they want to send. */
function useWhatItAsks({ sourceId, sourceName }: Chosen, kinds: string, claim: IssuedClaim): string | undefined {
  const { data: found = [] } = api.endpoints.findSources.useQuery(
    { query: { text: sourceName, kind: kinds } },
    { skip: !sourceId },
  )
  const chosen = found.find(({ id }) => id === sourceId)
  const asked = conditionsFor(claim, chosen?.conditions ?? [])
  if (asked.length === 0) return undefined
  const list = asked.map(({ kind }) => say(`condition.source.${kind}`))
  return say('apply.beforeItAnswers', { what: [...new Set(list)].join(', ') })
}

/** The name it was found by first: it is the one that was typed. */
function aliasesOf({ name, aliases, why }: Found): string {
  const found = why && why.name !== name ? [why.name] : []
  const names = [...found, ...aliases.filter((alias) => !found.includes(alias))]
  return names.length > 0 ? say('apply.alsoAliases', { aliases: names.join(', ') }) : ''
}

const nothingSaid: Said = { town: '', country: '', mail: '', phone: '', site: '' }

/** What helps the desk to find somebody who is not in the directory; nobody is written to by it. */
function NotListed({ value, onChange }: Pick<Props, 'value' | 'onChange'>) {
  const said = { ...nothingSaid, ...value.sourceSaid }
  const set = (change: Partial<Said>) => onChange({ ...value, sourceSaid: { ...said, ...change } })
  return (
    <details className="mt-1">
      <summary className="cursor-pointer text-[0.87em] text-ink-2">{say('apply.notInOurDirectoryYet')}</summary>
      <div className="mt-2 grid gap-3 border-line border-l-2 pl-3 sm:grid-cols-2">
        <p className="text-[0.87em] text-ink-2 sm:col-span-2">{say('apply.sourceSaidMeans')}</p>
        {(['town', 'site', 'mail', 'phone'] as const).map((field) => (
          <TextField
            key={field}
            label={say(`apply.sourceSaid.${field}`)}
            optional
            maxLength={field === 'phone' ? 40 : 200}
            value={said[field]}
            onChange={(event) => set({ [field]: event.target.value })}
          />
        ))}
      </div>
    </details>
  )
}
