import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { type SourceFilter, sourceFilters } from '#contract/sources'
import { type SourceKind, sourceKinds } from '#core/sources/source'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { Waiting } from '../../ui/Waiting'
import { useSession } from '../../useSession'
import { FileLink } from '../FileLink'
import { Overview, Table } from '../overviews/Overview'
import { countries } from './countries'
import { ImportSources } from './ImportSources'
import { hitWords } from './sourceWords'

type Row = Reply<Contract['sourceDirectory']>['rows'][number]

/** Everybody who can be asked: found by any name, entered, proposed, checked by a second person, merged, retired. */
export function Sources() {
  const [search, setSearch] = useSearchParams()
  const [importing, setImporting] = useState(false)
  const { may } = useSession()
  const text = search.get('text') ?? ''
  const after = search.get('after') ?? undefined
  const state = sourceFilters.find((one) => one === search.get('state'))
  const kind = sourceKinds.find((one) => one === search.get('kind'))
  const country = search.get('country') ?? ''
  const { currentData, data, error, refetch } = api.endpoints.sourceDirectory.useQuery(
    { query: { text: text || undefined, kind, country: country || undefined, state, after } },
    { refetchOnMountOrArgChange: true },
  )
  const set = (name: string, value: string) => {
    const next = new URLSearchParams(search)
    if (value) next.set(name, value)
    else next.delete(name)
    if (name !== 'after') next.delete('after')
    setSearch(next, { replace: name === 'text' })
  }
  const shown = currentData ?? data
  return (
    <Overview title={say('desk.sources')} list="sources" about={say('sources.about')}>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <Link
          to="/desk/sources/new"
          className="rounded-sheet border border-confirmed bg-confirmed px-3 py-1.5 font-semibold text-sheet"
        >
          {say('sources.enter')}
        </Link>
        {may('importSources') && <Button onClick={() => setImporting(true)}>{say('sources.import')}</Button>}
        <FileLink address={addressOf('readSourceFile', { query: { format: 'json' } })}>
          {say('sources.asJson')}
        </FileLink>
        <FileLink address={addressOf('readSourceFile', { query: { format: 'csv' } })}>
          {say('sources.asTable')}
        </FileLink>
        <Link to="/desk/sources/watchlist" className="font-semibold text-confirmed">
          {say('sources.watchlist')}
        </Link>
        <Link to="/desk/sources/programmes" className="font-semibold text-confirmed">
          {say('sources.programmes')}
          {shown && shown.waiting.research > 0 && (
            <span className="ml-1.5 font-mono text-[0.8333rem] text-ink">{shown.waiting.research}</span>
          )}
        </Link>
      </div>
      <div className="mb-2 grid gap-3 sm:grid-cols-[minmax(0,2fr)_1fr_1fr]">
        <TextField
          label={say('sources.find')}
          type="search"
          placeholder={say('sources.findAny')}
          value={text}
          onChange={(event) => set('text', event.target.value)}
        />
        <SelectField
          label={say('sources.kind')}
          empty={say('sources.anyKind')}
          options={sourceKinds.map((value) => ({ value, label: say(`names.sourceKind.${value}`) }))}
          value={kind ?? ''}
          onChange={(event) => set('kind', event.target.value)}
        />
        <SelectField
          label={say('sources.country')}
          empty={say('sources.anyCountry')}
          options={countries()}
          value={country}
          onChange={(event) => set('country', event.target.value)}
        />
      </div>
      <nav aria-label={say('sources.states')} className="mb-3 flex flex-wrap gap-x-5 gap-y-1 border-line border-b">
        {([undefined, ...sourceFilters] as const).map((one) => (
          <StateTab
            key={one ?? 'all'}
            state={one}
            here={state === one}
            waiting={shown?.waiting}
            onChoose={() => set('state', one ?? '')}
          />
        ))}
      </nav>
      {shown ? (
        <>
          <List rows={shown.rows} searched={text !== ''} />
          <p className="mt-3 flex gap-4">
            {after && <Button onClick={() => set('after', '')}>{say('sources.first')}</Button>}
            {shown.next && <Button onClick={() => set('after', shown.next!)}>{say('sources.next')}</Button>}
          </p>
        </>
      ) : (
        <Waiting error={error} onRetry={refetch} />
      )}
      {importing && <ImportSources onClose={() => setImporting(false)} />}
    </Overview>
  )
}

type Waits = Reply<Contract['sourceDirectory']>['waiting']

function StateTab({
  state,
  here,
  waiting,
  onChoose,
}: {
  state: SourceFilter | undefined
  here: boolean
  waiting: Waits | undefined
  onChoose: () => void
}) {
  const counts = { proposed: waiting?.proposed, 'to check': waiting?.toCheck, double: waiting?.doubles }
  const count = state && state in counts ? counts[state as keyof typeof counts] : undefined
  return (
    <button
      type="button"
      aria-current={here ? 'page' : undefined}
      onClick={onChoose}
      className={`-mb-px border-b-2 pb-1.5 ${here ? 'border-confirmed font-semibold' : 'border-transparent text-ink-2 hover:text-ink'}`}
    >
      {state ? say(`sources.state.${state}`) : say('sources.stateAll')}
      {count ? <span className="ml-1.5 font-mono text-[0.8333rem]">{count}</span> : null}
    </button>
  )
}

const List = ({ rows, searched }: { rows: readonly Row[]; searched: boolean }) => (
  <Table
    rows={rows}
    keyOf={({ id }) => id}
    empty={searched ? say('sources.nothingFound') : say('sources.noneHere')}
    columns={[
      {
        name: say('sources.source'),
        of: ({ id, name, aliases, why }) => (
          <>
            <Link to={`/desk/sources/${id}`} className="font-semibold text-confirmed">
              {name}
            </Link>
            {why ? (
              <span className="block text-[0.8333rem] text-ink-2">{hitWords(why)}</span>
            ) : (
              aliases.length > 0 && (
                <span className="block text-[0.8333rem] text-ink-2">
                  {say('sources.also', { names: aliases.join(', ') })}
                </span>
              )
            )}
          </>
        ),
      },
      { name: say('sources.kind'), of: ({ kind }: { kind: SourceKind }) => say(`names.sourceKind.${kind}`) },
      { name: say('sources.place'), of: ({ town, country }) => [town, country].filter(Boolean).join(', ') },
      {
        name: say('sources.askedAt'),
        of: ({ mail, register }) => (
          <>
            <span className="font-mono text-[0.8333rem]">{mail}</span>
            {register && <span className="block text-[0.8333rem] text-ink-2">{say('sources.andARegister')}</span>}
          </>
        ),
      },
      { name: say('sources.standing'), of: (row) => <Standing row={row} /> },
      { name: say('sources.asked'), right: true, of: ({ asked }) => asked },
      { name: say('sources.open'), right: true, of: ({ open }) => open },
      { name: say('sources.medianDays'), right: true, of: ({ medianDays }) => medianDays ?? '—' },
    ]}
  />
)

/** Whether it can be asked. */
function Standing({ row: { state, seller, mayCheck } }: { row: Row }) {
  const waits = state === 'to check' || state === 'proposed'
  return (
    <>
      <span className={waits ? 'text-soon-ink' : state === 'checked' ? '' : 'text-ink-2'}>
        {say(`sources.is.${state}`)}
      </span>
      {seller && <span className="block font-semibold text-contradicted">{say('sources.knownSeller')}</span>}
      {state === 'to check' && !mayCheck && (
        <span className="block text-[0.8333rem] text-ink-2">{say('sources.somebodyElseChecks')}</span>
      )}
    </>
  )
}
