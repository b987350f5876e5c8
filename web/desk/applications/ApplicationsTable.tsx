import { flexRender, getCoreRowModel, type RowSelectionState, useReactTable } from '@tanstack/react-table'
import { Popover } from 'radix-ui'
import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { mostCounted, sentStages, type TableFilter } from '#contract/lists'
import { say, spokenLocale } from '#core/words/say'
import { api } from '../../api'
import { Button, Key } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { Waiting } from '../../ui/Waiting'
import { useSession } from '../../useSession'
import { AsCsv } from '../AsCsv'
import { useKeys } from '../useKeys'
import { ComposeMessage } from './ComposeMessage'
import { columnKeys, columns, shownAtFirst } from './columns'
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
  const { isKeeper: mayAct } = useSession()
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
    b: mayAct && chosen.length > 0 ? () => setWriting('message') : undefined,
    t: mayAct && chosen.length > 0 ? () => setWriting('turn down') : undefined,
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
            {mayAct && (
              <>
                <Button letter="B" onClick={() => setWriting('message')}>
                  {say('table.writeToThem')}
                </Button>
                <Button letter="T" kind="grave" onClick={() => setWriting('turn down')}>
                  {say('table.turnDown')}
                </Button>
              </>
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

const flags = [
  { name: 'late', label: say('table.likelyLate') },
  { name: 'blanks', label: say('table.leftSomethingBlank') },
  { name: 'changed', label: say('table.changedSince') },
  { name: 'duplicates', label: say('table.possibleDuplicates') },
  { name: 'unscored', label: say('table.notScoredYet') },
] as const

function Filters({ filter, onChange }: { filter: TableFilter; onChange: (over: Record<string, string>) => void }) {
  const { data: vacancies = [] } = api.endpoints.deskVacancies.useQuery({})
  const any = { value: '', label: say('ui.any') }
  return (
    <div className="mt-2 grid grid-cols-2 items-end gap-3 lg:grid-cols-[repeat(4,minmax(0,1fr))_auto_auto]">
      <TextField
        label={say('table.nameOrReference')}
        type="search"
        value={filter.text ?? ''}
        onChange={(event) => onChange({ text: event.target.value })}
      />
      <SelectField
        label={say('table.vacancy')}
        value={filter.vacancy ?? ''}
        options={[
          any,
          ...vacancies.map(({ id, title, place }) => ({ value: id, label: place ? `${title}, ${place}` : title })),
        ]}
        onChange={(event) => onChange({ vacancy: event.target.value })}
      />
      <SelectField
        label={say('table.stage')}
        value={filter.stage ?? ''}
        options={[any, ...sentStages.map((stage) => ({ value: stage, label: say(`state.stage.${stage}`) }))]}
        onChange={(event) => onChange({ stage: event.target.value })}
      />
      <SelectField
        label={say('table.eligible')}
        value={filter.eligible ?? ''}
        options={[
          any,
          { value: 'yes', label: say('names.answer.yes') },
          { value: 'no', label: say('names.answer.no') },
          { value: 'undecided', label: say('table.notToBeSaidYet') },
        ]}
        onChange={(event) => onChange({ eligible: event.target.value })}
      />
      <div className="w-[130px]">
        <DateField
          label={say('table.sentFrom')}
          value={filter.sentFrom ?? ''}
          onChange={(day) => onChange({ sentFrom: /^\d{4}-\d{2}-\d{2}$/.test(day) ? day : '' })}
        />
      </div>
      <div className="w-[140px]">
        <SelectField
          label={say('table.inOrderOf')}
          value={filter.order ?? 'slack'}
          options={[
            { value: 'slack', label: say('table.slackLeastFirst') },
            { value: 'sent', label: say('table.sentNewestFirst') },
            { value: 'score', label: say('table.scoreBestFirst') },
            { value: 'name', label: say('table.nameInOrder') },
          ]}
          onChange={(event) => onChange({ order: event.target.value })}
        />
      </div>
      <div className="col-span-full">
        <CheckList
          label={say('table.onlyThoseWho')}
          hidden
          options={flags.map(({ name, label }) => ({ value: name, label }))}
          value={flags.flatMap(({ name }) => (filter[name] ? [name] : []))}
          onChange={(on) =>
            onChange(Object.fromEntries(flags.map(({ name }) => [name, on.includes(name) ? 'yes' : ''])))
          }
        />
      </div>
    </div>
  )
}

function Columns({ shown, onChange }: { shown: readonly string[]; onChange: (keys: string[]) => void }) {
  return (
    <Popover.Root>
      <Popover.Trigger>{say('table.columns')}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          align="end"
          className="z-50 w-[300px] rounded-sheet border border-line-strong bg-sheet p-3 text-[0.9rem] shadow-[0_8px_24px_rgb(0_0_0/0.2)]"
        >
          <CheckList
            label={say('table.columns')}
            value={[...shown]}
            onChange={(keys) => onChange(['name', ...keys.filter((key) => key !== 'name')])}
            options={columns.slice(1).map((one, nth) => ({ value: columnKeys[nth + 1]!, label: String(one.header) }))}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
