import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import type { EnquiryRow } from '#contract/enquiries'
import { writeWhen } from '#core/dates/write'
import { turns } from '#core/enquiries/enquiry'
import { channels } from '#core/sources/source'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button, Key } from '../../ui/Button'
import { SelectField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useTitle } from '../../ui/useTitle'
import { Waiting } from '../../ui/Waiting'
import { writeShortDay, writeSlack } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { AsCsv } from '../AsCsv'
import { countries } from '../sources/countries'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'
import { AskMany } from './AskMany'

const headings = ['slack', 'person', 'source', 'howFar', 'asked', 'due', 'turn'] as const
const names = ['turn', 'channel', 'country', 'sourceId', 'overdue', 'whose'] as const

/** Everything that is asked of anybody: the person with the least slack first, then the oldest question; all of it by keyboard. */
export function EnquiryTable() {
  const navigate = useNavigate()
  const { may } = useSession()
  const toast = useToast()
  const [params, setParams] = useSearchParams()
  const [after, setAfter] = useState<string[]>([])
  const [ticked, setTicked] = useState<readonly string[]>([])
  const [at, setAt] = useState(0)
  const [asking, setAsking] = useState(false)
  const sourceId = params.get('sourceId')
  const remind = useAct('remindEnquiries')
  const filter = Object.fromEntries(names.flatMap((name) => (params.get(name) ? [[name, params.get(name)]] : [])))
  const { data, error, refetch, isFetching } = api.endpoints.listEnquiries.useQuery(
    { query: { ...filter, after: after.at(-1) } },
    { refetchOnMountOrArgChange: true, refetchOnFocus: true },
  )
  useTitle(say('enquiries.asATable'))
  const rows = data?.rows ?? []
  const current = rows[at]
  const set = (name: (typeof names)[number], value: string) => {
    const next = new URLSearchParams(params)
    if (value) next.set(name, value)
    else next.delete(name)
    setAfter([])
    setTicked([])
    setAt(0)
    setParams(next, { replace: true })
  }
  const step = (by: number) => {
    const next = Math.min(rows.length - 1, Math.max(0, at + by))
    setAt(next)
    document.querySelector(`[data-row="${next}"]`)?.scrollIntoView({ block: 'nearest' })
  }
  const tick = ({ id }: EnquiryRow) =>
    setTicked(ticked.includes(id) ? ticked.filter((one) => one !== id) : [...ticked, id])
  const remindAll = async () => {
    const done = await remind.act({ body: { ids: [...ticked] } })
    if (!done) return
    toast(say('enquiries.reminded', { count: done.reminded, not: done.not }))
    setTicked([])
  }
  useKeys({
    j: () => step(1),
    k: () => step(-1),
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    ' ': current && (() => tick(current)),
    Enter: current && (() => navigate(`/desk/enquiries/${current.id}`)),
    f: current && (() => navigate(`/desk/verification/${current.applicationId}/${current.claimId}`)),
    q: sourceId && may('raiseEnquiries') ? () => setAsking(true) : undefined,
    r: may('remindEnquiries') && ticked.length > 0 ? () => void remindAll() : undefined,
  })
  return (
    <main aria-label={say('enquiries.asATable')} className="flex h-full min-h-0 flex-col bg-sheet">
      <div className="border-line border-b px-5 pt-3 pb-2">
        <div className="flex flex-wrap items-baseline gap-x-5">
          <h1 className="text-[1.4667rem]">{say('enquiries.title')}</h1>
          <p role="status" className="text-ink-2">
            {data && turns.map((turn) => say(`enquiries.withTurn.${turn}`, { count: data.counts[turn] })).join(' · ')}
          </p>
          <div className="ml-auto flex items-baseline gap-4 font-semibold text-confirmed">
            <Link to="/desk/letters">{say('enquiries.letters')}</Link>
            <AsCsv list="enquiries" filter={filter} />
            <Link to="/desk/verification">{say('table.oneByOne')}</Link>
          </div>
        </div>
        <div className="mt-2 grid gap-3 sm:grid-cols-5">
          <SelectField
            label={say('enquiries.turn')}
            empty={say('enquiries.anybody')}
            options={turns.map((value) => ({ value, label: say(`enquiries.turn.${value}`) }))}
            value={params.get('turn') ?? ''}
            onChange={(event) => set('turn', event.target.value)}
          />
          <SelectField
            label={say('enquiries.way')}
            empty={say('enquiries.anyWay')}
            options={channels.map((value) => ({ value, label: say(`sources.channel.${value}`) }))}
            value={params.get('channel') ?? ''}
            onChange={(event) => set('channel', event.target.value)}
          />
          <SelectField
            label={say('sources.country')}
            empty={say('sources.anyCountry')}
            options={countries()}
            value={params.get('country') ?? ''}
            onChange={(event) => set('country', event.target.value)}
          />
          <SelectField
            label={say('enquiries.time')}
            empty={say('enquiries.anyTime')}
            options={[{ value: 'yes', label: say('enquiries.overdue') }]}
            value={params.get('overdue') ?? ''}
            onChange={(event) => set('overdue', event.target.value)}
          />
          <SelectField
            label={say('enquiries.whose')}
            empty={say('enquiries.everybody')}
            options={[{ value: 'mine', label: say('enquiries.mine') }]}
            value={params.get('whose') ?? ''}
            onChange={(event) => set('whose', event.target.value)}
          />
        </div>
        {data && (data.most.length > 0 || sourceId) && (
          <p className="mt-2 flex flex-wrap gap-x-4 text-[0.8667rem]">
            <span className="text-ink-2">{say('enquiries.oneCall')}</span>
            {data.most.map(({ id, name, open }) => (
              <button
                key={id}
                type="button"
                aria-pressed={sourceId === id}
                onClick={() => set('sourceId', sourceId === id ? '' : id)}
                className={`font-semibold text-confirmed ${sourceId === id ? 'underline' : ''}`}
              >
                {name} <span className="font-mono font-normal text-ink-2">{open}</span>
              </button>
            ))}
            {sourceId && (
              <>
                <button type="button" onClick={() => set('sourceId', '')} className="font-semibold text-confirmed">
                  {say('enquiries.everySource')}
                </button>
                {may('raiseEnquiries') && (
                  <button type="button" onClick={() => setAsking(true)} className="font-semibold text-confirmed">
                    {say('enquiries.askAll')} <Key letter="Q" />
                  </button>
                )}
              </>
            )}
          </p>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-auto px-5">
        {!data ? (
          <Waiting error={error} onRetry={refetch} />
        ) : rows.length === 0 ? (
          <p className="py-4 text-ink-2">{say('enquiries.none')}</p>
        ) : (
          <table className={`w-full text-left ${isFetching ? 'opacity-70' : ''}`}>
            <thead className="sticky top-0 bg-sheet">
              <tr className="border-line-strong border-b text-[0.8333rem] text-ink-2">
                <th scope="col" className="w-8 py-1">
                  <input
                    type="checkbox"
                    aria-label={say('table.tickAllOnThisPage')}
                    className="accent-confirmed"
                    checked={rows.every(({ id }) => ticked.includes(id))}
                    onChange={(event) => setTicked(event.target.checked ? rows.map(({ id }) => id) : [])}
                  />
                </th>
                {headings.map((name) => (
                  <th
                    key={name}
                    scope="col"
                    className={`py-1 pr-4 font-semibold ${name === 'slack' ? 'text-right' : ''}`}
                  >
                    {say(`enquiries.${name}`)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, nth) => (
                <Row
                  key={row.id}
                  row={row}
                  nth={nth}
                  at={at}
                  ticked={ticked.includes(row.id)}
                  onTick={() => tick(row)}
                  onChoose={() => setAt(nth)}
                />
              ))}
            </tbody>
          </table>
        )}
      </div>
      <div className="flex min-h-[46px] flex-wrap items-center gap-3 border-line border-t px-5 py-2">
        <ProblemNote problem={remind.problem} />
        {ticked.length > 0 ? (
          <>
            <span>{say('table.countTicked', { count: ticked.length })}</span>
            {may('remindEnquiries') && (
              <Button letter="R" busy={remind.busy} onClick={() => void remindAll()}>
                {say('enquiries.remindThem')}
              </Button>
            )}
            <Button kind="quiet" onClick={() => setTicked([])}>
              {say('table.untickAll')}
            </Button>
          </>
        ) : (
          <span className="text-ink-2">
            <Key letter="J" /> <Key letter="K" /> {say('table.upAndDown')} <Key letter="Space" /> {say('table.ticks')}{' '}
            <Key letter="Enter" /> {say('enquiries.opens')} <Key letter="F" /> {say('enquiries.opensItsFile')}
          </span>
        )}
        <span className="ml-auto flex gap-3">
          {after.length > 0 && (
            <Button kind="quiet" onClick={() => setAfter(after.slice(0, -1))}>
              {say('enquiries.before')}
            </Button>
          )}
          {data?.next && (
            <Button kind="quiet" onClick={() => setAfter([...after, data.next!])}>
              {say('enquiries.more')}
            </Button>
          )}
        </span>
      </div>
      {asking && sourceId && (
        <AskMany
          of={{ sourceId }}
          title={say('enquiries.askAllOf', {
            name: rows.find(({ source }) => source.id === sourceId)?.source.name ?? '',
          })}
          onClose={() => setAsking(false)}
        />
      )}
    </main>
  )
}

type RowProps = { row: EnquiryRow; nth: number; at: number; ticked: boolean; onTick: () => void; onChoose: () => void }

function Row({ row, nth, at, ticked, onTick, onChoose }: RowProps) {
  return (
    <tr
      data-row={nth}
      aria-selected={ticked}
      onClick={onChoose}
      className={`border-line border-b align-baseline ${nth === at ? 'bg-confirmed-wash' : 'hover:bg-sheet-2'}`}
    >
      <td className={`py-1.5 ${nth === at ? 'shadow-[inset_3px_0_0_var(--confirmed)]' : ''}`}>
        <input
          type="checkbox"
          aria-label={say('table.tickName', { name: `${row.candidate}, ${row.claim}` })}
          className="ml-1.5 accent-confirmed"
          checked={ticked}
          onChange={onTick}
        />
      </td>
      <td className={`py-1.5 pr-4 text-right font-mono ${row.slack < 0 ? 'font-semibold text-contradicted' : ''}`}>
        {row.slack < 9000 ? writeSlack(row.slack) : ''}
      </td>
      <td className="py-1.5 pr-4">
        <Link to={`/desk/enquiries/${row.id}`} className="font-semibold">
          {row.candidate}
        </Link>
        <span className="block text-[0.8667rem] text-ink-2">{row.claim}</span>
      </td>
      <td className="py-1.5 pr-4">
        {row.source.name} <span className="font-mono text-[0.8rem] text-ink-2">{row.source.country}</span>
        <span className="block text-[0.8667rem] text-ink-2">{say(`sources.channel.${row.channel}`)}</span>
      </td>
      <td className="py-1.5 pr-4">
        {say(`enquiries.stage.${row.stage}`)}
        {row.lacks.length > 0 && <span className="block text-[0.8667rem] text-ink-2">{row.lacks[0]}</span>}
      </td>
      <td className="whitespace-nowrap py-1.5 pr-4 font-mono">{writeShortDay(row.askedAt)}</td>
      <td className={`whitespace-nowrap py-1.5 pr-4 ${row.overdue ? 'font-semibold text-soon-ink' : ''}`}>
        {row.turn === 'source' ? writeWhen(row.answerBy) : ''}
      </td>
      <td className="whitespace-nowrap py-1.5">{say(`enquiries.turn.${row.turn}`)}</td>
    </tr>
  )
}
