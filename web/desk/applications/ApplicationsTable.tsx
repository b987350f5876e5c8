import { flexRender, getCoreRowModel, type RowSelectionState, useReactTable } from '@tanstack/react-table'
import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { mostAtOnce } from '#contract/enquiries'
import { mostCounted, type TableFilter } from '#contract/lists'
import { say, spokenLocale } from '#core/words/say'
import { api } from '../../api'
import { Button, Key } from '../../ui/Button'
import { Waiting } from '../../ui/Waiting'
import { useSession } from '../../useSession'
import { AsCsv } from '../AsCsv'
import { AskMany } from '../enquiries/AskMany'
import { useKeys } from '../useKeys'
import { ComposeMessage } from './ComposeMessage'
import { columnKeys, columns, shownAtFirst } from './columns'
import { Columns, Filters } from './Filters'
import { SavedViews } from './SavedViews'

const filters = [
  'vacancy',
  'stage',
  'eligible',
  'sentFrom',
  'sentTo',
  'late',
  'blanks',
  'changed',
  'duplicates',
  'unscored',
  'text',
  'order',
] as const

/** What came in as a table: narrowed, ordered and with the columns that the address says; all of it by keyboard. */
export function ApplicationsTable() {
  const navigate = useNavigate()
  const { may } = useSession()
  const [params, setParams] = useSearchParams()
  const filter = Object.fromEntries(
    filters.flatMap((name) => (params.get(name) ? [[name, params.get(name)]] : [])),
  ) as TableFilter
  const [after, setAfter] = useState<string[]>([])
  const { data, error, refetch, isFetching } = api.endpoints.readTable.useQuery(
    { query: { ...filter, after: after.at(-1) } },
    { refetchOnMountOrArgChange: true },
  )
  const shown = (params.get('columns')?.split(',') ?? shownAtFirst).filter((key) => columnKeys.includes(key))
  const [ticked, setTicked] = useState<RowSelectionState>({})
  const [at, setAt] = useState(0)
  const [writing, setWriting] = useState<'message' | 'turn down'>()
  const [asking, setAsking] = useState(false)
  const table = useReactTable({
    data: data?.rows ?? [],
    columns,
    getCoreRowModel: getCoreRowModel(),
    getRowId: ({ id }) => id,
    state: {
      rowSelection: ticked,
      columnVisibility: Object.fromEntries(columnKeys.map((key) => [key, key === 'name' || shown.includes(key)])),
    },
    onRowSelectionChange: setTicked,
  })
  const rows = table.getRowModel().rows
  const chosen = Object.keys(ticked).filter((id) => ticked[id])
  const mayAsk = may('raiseEnquiries') && chosen.length > 0 && chosen.length <= mostAtOnce
  const set = (over: Record<string, string>) => {
    setAfter([])
    setAt(0)
    setParams(
      (before) => {
        const next = new URLSearchParams(before)
        for (const [name, value] of Object.entries(over)) value ? next.set(name, value) : next.delete(name)
        return next
      },
      { replace: true },
    )
  }
  const step = (by: number) => {
    const next = Math.min(rows.length - 1, Math.max(0, at + by))
    setAt(next)
    document.querySelector(`[data-row="${next}"]`)?.scrollIntoView({ block: 'nearest' })
  }
  const current = rows[at]
  useKeys({
    j: () => step(1),
    k: () => step(-1),
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    ' ': current && (() => current.toggleSelected()),
    Enter: current && (() => navigate(`/desk/applications/${current.id}`)),
    b: may('sendMessages') && chosen.length > 0 ? () => setWriting('message') : undefined,
    t: may('turnDown') && chosen.length > 0 ? () => setWriting('turn down') : undefined,
    q: mayAsk ? () => setAsking(true) : undefined,
    '/': () => document.querySelector<HTMLElement>('input[type=search]')?.focus(),
  })
  return (
    <main aria-label={say('table.applicationsAsATable')} className="flex h-full min-h-0 flex-col bg-sheet">
      <div className="border-line border-b px-5 pt-3 pb-2">
        <div className="flex flex-wrap items-baseline gap-x-5">
          <h1 className="text-[1.4667rem]">{say('table.applications')}</h1>
          <p role="status" className="text-ink-2">
            {data ? countWords(data.total) : ''}
          </p>
          <SavedViews
            query={params.toString()}
            onChoose={(query) => {
              setAfter([])
              setParams(new URLSearchParams(query))
            }}
          />
          <div className="ml-auto flex items-baseline gap-4 font-semibold text-confirmed">
            <Columns shown={shown} onChange={(keys) => set({ columns: keys.join(',') })} />
            <AsCsv list="applications" filter={filter} />
            <Link to="/desk/applications">{say('table.oneByOne')}</Link>
          </div>
        </div>
        <Filters filter={filter} onChange={set} />
      </div>
      <div className="min-h-0 flex-1 overflow-auto px-5">
        {!data ? (
          <Waiting error={error} onRetry={refetch} />
        ) : rows.length === 0 ? (
          <p className="py-4 text-ink-2">{say('table.nobodyFitsTakeAFilter')}</p>
        ) : (
          <table className={`w-full text-left ${isFetching ? 'opacity-70' : ''}`}>
            <thead className="sticky top-0 bg-sheet">
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id} className="border-line-strong border-b text-[0.8333rem] text-ink-2">
                  <th scope="col" className="w-8 py-1">
                    <input
                      type="checkbox"
                      aria-label={say('table.tickAllOnThisPage')}
                      className="accent-confirmed"
                      checked={table.getIsAllRowsSelected()}
                      onChange={table.getToggleAllRowsSelectedHandler()}
                    />
                  </th>
                  {group.headers.map((header) => (
                    <th
                      key={header.id}
                      scope="col"
                      className={`whitespace-nowrap py-1 pr-4 font-semibold ${isRight(header.column.columnDef.meta) ? 'text-right' : ''}`}
                    >
                      {flexRender(header.column.columnDef.header, header.getContext())}
                    </th>
                  ))}
                </tr>
              ))}
            </thead>
            <tbody>
              {rows.map((row, nth) => (
                <tr
                  key={row.id}
                  data-row={nth}
                  aria-selected={row.getIsSelected()}
                  onClick={() => setAt(nth)}
                  className={`border-line border-b align-baseline ${nth === at ? 'bg-confirmed-wash' : 'hover:bg-sheet-2'}`}
                >
                  <td className={`py-1.5 ${nth === at ? 'shadow-[inset_3px_0_0_var(--confirmed)]' : ''}`}>
                    <input
                      type="checkbox"
                      aria-label={say('table.tickName', { name: row.original.name })}
                      className="ml-1.5 accent-confirmed"
                      checked={row.getIsSelected()}
                      onChange={row.getToggleSelectedHandler()}
                    />
                  </td>
                  {row.getVisibleCells().map((cell) => (
                    <td
                      key={cell.id}
                      className={`py-1.5 pr-4 ${isRight(cell.column.columnDef.meta) ? 'text-right font-mono' : ''}`}
                    >
                      {flexRender(cell.column.columnDef.cell, cell.getContext())}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <div className="flex min-h-[46px] items-center gap-3 border-line border-t px-5 py-2">
        {chosen.length > 0 ? (
          <>
            <span>{say('table.countTicked', { count: chosen.length })}</span>
            {may('sendMessages') && (
              <Button letter="B" onClick={() => setWriting('message')}>
                {say('table.writeToThem')}
              </Button>
            )}
            {may('raiseEnquiries') && (
              <Button letter="Q" disabled={chosen.length > mostAtOnce} onClick={() => setAsking(true)}>
                {say('enquiries.askAll')}
              </Button>
            )}
            {chosen.length > mostAtOnce && <span>{say('enquiries.atMostFiles', { most: mostAtOnce })}</span>}
            {may('turnDown') && (
              <Button letter="T" kind="grave" onClick={() => setWriting('turn down')}>
                {say('table.turnDown')}
              </Button>
            )}
            <Button kind="quiet" onClick={() => setTicked({})}>
              {say('table.untickAll')}
            </Button>
          </>
        ) : (
          <span className="text-ink-2">
            <Key letter="J" /> <Key letter="K" /> {say('table.upAndDown')} <Key letter="Space" /> {say('table.ticks')}{' '}
            <Key letter="Enter" /> {say('table.opensTheFile')} <Key letter="/" /> {say('table.findsByName')}
          </span>
        )}
        <span className="ml-auto flex gap-2">
          {after.length > 0 && <Button onClick={() => setAfter(after.slice(0, -1))}>{say('table.pageBefore')}</Button>}
          {data?.next && <Button onClick={() => setAfter([...after, data.next!])}>{say('table.nextPage')}</Button>}
        </span>
      </div>
      {asking && (
        <AskMany
          of={{ applicationIds: chosen.join(',') }}
          title={say('enquiries.askAllTicked', { count: chosen.length })}
          onClose={() => setAsking(false)}
        />
      )}
      {writing && (
        <ComposeMessage
          applications={chosen}
          turningDown={writing === 'turn down'}
          onClose={() => setWriting(undefined)}
          onDone={() => {
            setWriting(undefined)
            setTicked({})
          }}
        />
      )}
    </main>
  )
}

const isRight = (meta: unknown) => Boolean((meta as { right?: boolean } | undefined)?.right)

const countWords = (total: number) =>
  total > mostCounted
    ? say('table.moreThanPeople', { value: mostCounted.toLocaleString(spokenLocale()) })
    : total === 1
      ? say('table.onePerson')
      : say('table.valuePeople', { value: total.toLocaleString(spokenLocale()) })
