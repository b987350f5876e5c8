import { useEffect, useRef, useState } from 'react'
import { Link, Navigate, useNavigate, useParams, useSearchParams } from 'react-router'
import { mostCountedInQueue, type Queue, type QueueLine, queues, whoseFiles } from '#contract/desk'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Mark } from '../../ui/Mark'
import { useTitle } from '../../ui/useTitle'
import { Waiting } from '../../ui/Waiting'
import { writeSlack } from '../../ui/write'
import { useSession } from '../../useSession'
import { AsCsv } from '../AsCsv'
import { FilePane } from '../file/FilePane'
import { useKeys } from '../useKeys'
import { queueNames } from './names'

/** A queue on the left, the file of whoever is chosen, and the proof behind the chosen claim. */
export function QueueDesk() {
  const { queue = 'today', id, chosen } = useParams()
  const { may } = useSession()
  if (!may('readQueue')) return <main className="p-6 text-ink-2">{say('desk.nothingForYourRole')}</main>
  if (!queues.some((name) => name === queue)) return <Navigate to="/desk/today" replace />
  return <Columns queue={queue as Queue} id={id} chosen={chosen} />
}

function Columns({ queue, id, chosen }: { queue: Queue; id?: string; chosen?: string }) {
  const navigate = useNavigate()
  const [search, setSearch] = useSearchParams()
  const whose = search.get('whose') === 'all' ? 'all' : 'mine'
  const [after, setAfter] = useState<string>()
  const { data, error, refetch } = api.endpoints.readQueue.useQuery(
    { params: { queue }, query: { after, whose } },
    { pollingInterval: 30_000, refetchOnFocus: true },
  )
  const kept = whose === 'all' ? '?whose=all' : ''
  const people = useGathered(`${queue} ${whose}`, after, data?.people)
  const first = people[0]?.id
  const listed = people.findIndex((person) => person.id === id)
  const go = (step: number) => {
    const next = people[Math.min(people.length - 1, Math.max(0, listed + step))]
    if (next) navigate(`/desk/${queue}/${next.id}${kept}`)
  }
  useKeys({
    j: () => go(1),
    k: () => go(-1),
    Enter: () => document.querySelector<HTMLElement>('[data-claim]')?.focus(),
  })
  const person = people[listed]?.candidate
  useTitle(person ? `${person}, ${queueNames[queue].name}` : queueNames[queue].name)
  useEffect(() => {
    if (!id && first && window.matchMedia('(min-width: 1024px)').matches)
      navigate(`/desk/${queue}/${first}${kept}`, { replace: true })
  }, [id, first, navigate, queue, kept])
  return (
    <main aria-label={queueNames[queue].name} className="grid h-full min-h-0 lg:grid-cols-[17.2rem_minmax(0,1fr)]">
      <section
        aria-label={queueNames[queue].name}
        className={`min-h-0 overflow-auto border-line border-r bg-sheet-2 ${id ? 'max-lg:hidden' : ''}`}
      >
        <div className="border-line border-b px-3 py-2">
          <div className="flex items-baseline justify-between gap-2 text-[0.8333rem]">
            <h1 className="flex-1 text-[1.2rem]">{queueNames[queue].name}</h1>
            <AsCsv list="queue" filter={{ queue, whose }} />
            {queue === 'verification' && (
              <Link to="/desk/verification/table" className="font-semibold text-confirmed">
                {say('desk.asATable')}
              </Link>
            )}
            {queue === 'applications' && (
              <Link to="/desk/applications/table" className="font-semibold text-confirmed">
                {say('desk.asATable')}
              </Link>
            )}
          </div>
          <p className="text-[0.8333rem] text-ink-2">
            {queueNames[queue].about}{' '}
            {data && data.late > 0 && (
              <strong className="text-contradicted">
                {data.late > mostCountedInQueue
                  ? say('desk.moreLateStarts', { most: mostCountedInQueue })
                  : say('desk.lateStarts', { count: data.late })}
              </strong>
            )}
          </p>
          <fieldset className="mt-1.5 flex gap-1 text-[0.8333rem]">
            <legend className="sr-only">{say('desk.whoseFiles')}</legend>
            {whoseFiles.map((one) => (
              <button
                key={one}
                type="button"
                aria-pressed={whose === one}
                onClick={() => {
                  setAfter(undefined)
                  setSearch(one === 'all' ? { whose: 'all' } : {}, { replace: true })
                }}
                className={`rounded-sheet border px-2 py-0.5 ${whose === one ? 'border-line-strong bg-sheet font-semibold' : 'border-transparent text-ink-2 hover:bg-sheet'}`}
              >
                {say(`desk.whose.${one}`)}
              </button>
            ))}
          </fieldset>
        </div>
        {!data && people.length === 0 ? (
          <Waiting error={error} onRetry={refetch} />
        ) : (
          <ol>
            {people.map((person) => (
              <Line
                key={person.id}
                person={person}
                chosen={person.id === id}
                onChoose={() => navigate(`/desk/${queue}/${person.id}${kept}`)}
              />
            ))}
            {people.length === 0 && (
              <li className="p-3 text-ink-2">
                {queueNames[queue].empty} {whose === 'mine' && say('desk.perhapsOthersHaveSome')}
              </li>
            )}
            {data?.next && (
              <li className="p-2">
                <button
                  type="button"
                  className="w-full rounded-sheet border border-line-strong py-1.5 font-semibold"
                  onClick={() => setAfter(data.next ?? undefined)}
                >
                  {say('desk.showMore')}
                </button>
              </li>
            )}
          </ol>
        )}
      </section>
      {id ? (
        <FilePane key={id} id={id} queue={queue} chosen={chosen} />
      ) : (
        <p className="p-6 text-ink-2 max-lg:hidden">{say('desk.chooseSomebodyOnTheLeft')}</p>
      )}
    </main>
  )
}

/** Pages read so far, one after the other; the queue changing begins anew. */
function useGathered(queue: string, after: string | undefined, page: QueueLine[] | undefined): QueueLine[] {
  const [pages, setPages] = useState<{ queue: string; byCursor: Record<string, QueueLine[]> }>({ queue, byCursor: {} })
  useEffect(() => {
    if (page)
      setPages((before) => ({
        queue,
        byCursor: { ...(before.queue === queue ? before.byCursor : {}), [after ?? '']: page },
      }))
  }, [queue, after, page])
  const gathered = pages.queue === queue ? pages.byCursor : {}
  const unique = new Map(
    Object.entries(gathered).flatMap(([, people]) => people.map((person) => [person.id, person] as const)),
  )
  return [...unique.values()]
}

function Line({ person, chosen, onChoose }: { person: QueueLine; chosen: boolean; onChoose: () => void }) {
  const element = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (chosen) element.current?.scrollIntoView({ block: 'nearest' })
  }, [chosen])
  const tone =
    person.slack < 0
      ? 'bg-contradicted-wash text-contradicted'
      : person.slack <= 5
        ? 'bg-soon-wash text-soon-ink'
        : 'text-ink-2'
  return (
    <li
      className={`border-line border-b ${chosen ? 'bg-confirmed-wash shadow-[inset_3px_0_0_var(--confirmed)]' : 'hover:bg-sheet'}`}
    >
      <button
        ref={element}
        type="button"
        onClick={onChoose}
        aria-current={chosen ? 'true' : undefined}
        className="-outline-offset-2 w-full px-3 pt-2 text-left"
      >
        <span className="flex items-baseline justify-between gap-2">
          <span className="truncate font-semibold text-[0.9333rem]">{person.candidate}</span>
          <span className={`shrink-0 rounded-[3px] px-1.5 font-mono text-[0.8333rem] ${tone}`}>
            <span className="sr-only">{say('desk.slack')} </span>
            {writeSlack(person.slack)}
          </span>
        </span>
        <span className="flex items-baseline justify-between gap-2 text-[0.8333rem] text-ink-2">
          <span className="truncate">{person.vacancy}</span>
          {person.owner && <Owner owner={person.owner} />}
        </span>
        <span className="block pb-1 text-[0.8667rem]">{person.why}</span>
      </button>
      <span className="flex gap-1 px-3 pb-2">
        {person.marks.map((mark, index) => (
          <Mark key={index} name={mark} size={14} />
        ))}
      </span>
    </li>
  )
}

/** Whose it is, in the letters people sign with. */
function Owner({ owner }: { owner: NonNullable<QueueLine['owner']> }) {
  const { account } = useSession()
  const letters = owner.name
    .split(/\s+/)
    .map((part) => part[0])
    .join('')
    .slice(0, 3)
  const mine = owner.id === account?.id
  return (
    <span className="shrink-0" title={owner.name}>
      <span aria-hidden>{mine ? say('desk.yours') : letters}</span>
      <span className="sr-only">{say('file.ownedBy', { name: owner.name })}</span>
    </span>
  )
}
