import { useState } from 'react'
import type { listMyCoverSheets } from '#contract/coverSheets'
import type { Reply } from '#contract/endpoint'
import { documentLimits } from '#core/documents/limits'
import type { PaperPart } from '#core/documents/papers'
import { paperPartWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { CheckList, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'

type Mine = Reply<typeof listMyCoverSheets>
type Sheet = Mine['sheets'][number]

/** Cover sheets for papers that come by post or fax: made, printed, and whether what they wait for has come. */
export function CoverSheets({ id }: { id: string }) {
  const { data } = api.endpoints.listMyCoverSheets.useQuery({ params: { id } }, { refetchOnMountOrArgChange: true })
  const [making, setMaking] = useState(false)
  if (!data || (data.sheets.length === 0 && data.places.length === 0)) return null
  const waiting = data.sheets.filter(({ state }) => state !== 'came').map(({ number }) => number)
  return (
    <section className="mt-7">
      <h2 className="mb-2 text-[1.4em]">{say('status.byPost')}</h2>
      <div className="grid gap-3">
        {data.sheets.length > 0 && (
          <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet">
            {data.sheets.map((sheet) => (
              <OneSheet key={sheet.number} id={id} sheet={sheet} />
            ))}
          </ul>
        )}
        {waiting.length > 1 && (
          <p>
            <PrintLink id={id} numbers={waiting}>
              {say('status.printAllSheets')}
            </PrintLink>
            <span className="ml-2 text-ink-2">{say('status.sheetsInOrder')}</span>
          </p>
        )}
        {making ? (
          <MakeSheets id={id} mine={data} onDone={() => setMaking(false)} />
        ) : (
          data.places.length > 0 && (
            <div className="grid gap-2">
              <p className="max-w-[68ch] text-ink-2">{say('status.byPostWhy')}</p>
              <p>
                <Button onClick={() => setMaking(true)}>{say('status.makeCoverSheets')}</Button>
              </p>
            </div>
          )
        )}
      </div>
    </section>
  )
}

const PrintLink = ({ id, numbers, children }: { id: string; numbers: readonly number[]; children: string }) => (
  <a
    href={addressOf('readMyCoverSheets', { params: { id }, query: { numbers: numbers.join(',') } })}
    download
    className="font-semibold text-confirmed underline"
  >
    {children}
  </a>
)

function OneSheet({ id, sheet }: { id: string; sheet: Sheet }) {
  const { act, busy, problem } = useAct('callOffCoverSheet')
  const { number, reference, title, pages, state, cameAt, fault } = sheet
  const day = writeDayOf(cameAt ?? '')
  const words = {
    waiting: () => say('status.sheetWaits', { count: pages ?? 1 }),
    came: () => say('status.sheetCame', { day }),
    'not right': () => [say('status.sheetNotRight', { day }), fault && say(`status.sheetFault.${fault}`)].join(' '),
  }
  return (
    <li className="px-4 py-2.5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
        <span className="min-w-0">
          <span className="font-mono text-ink-2">{reference}</span> <span className="font-semibold">{title}</span>{' '}
          <span className={state === 'not right' ? 'text-soon-ink' : 'text-ink-2'}>{words[state]()}</span>
        </span>
        {state !== 'came' && (
          <span className="flex items-baseline gap-4">
            <PrintLink id={id} numbers={[number]}>
              {say('status.printSheet')}
            </PrintLink>
            <Button kind="quiet" busy={busy} onClick={() => void act({ params: { number: String(number) } })}>
              {say('status.itDoesNotCome')}
            </Button>
          </span>
        )}
      </div>
      <ProblemNote problem={problem} />
    </li>
  )
}

const keyOf = (claimId: string, part: PaperPart) => `${claimId}|${part}`

function MakeSheets({ id, mine, onDone }: { id: string; mine: Mine; onDone: () => void }) {
  const [pages, setPages] = useState<Record<string, string>>({})
  const { act, busy, problem } = useAct('makeMyCoverSheets')
  const papers = mine.places.flatMap(({ claimId, label, parts }) =>
    parts.map((part) => ({ key: keyOf(claimId, part), claimId, part, title: `${label}: ${paperPartWords(part)}` })),
  )
  const chosen = papers.filter(({ key }) => pages[key] !== undefined)
  const countOf = (key: string) => Number(pages[key])
  const ready = chosen.every(
    ({ key }) => Number.isInteger(countOf(key)) && countOf(key) > 0 && countOf(key) <= documentLimits.pages,
  )
  const make = async () => {
    const asked = chosen.map(({ key, claimId, part }) => ({ claimId, part, pages: countOf(key) }))
    if (await act({ params: { id }, body: { papers: asked } })) onDone()
  }
  return (
    <div className="grid gap-4 rounded-sheet border border-line bg-sheet px-4 py-3">
      <h3 className="font-semibold">{say('status.whichPapersCome')}</h3>
      {mine.places.map(({ claimId, label, parts }) => (
        <CheckList
          key={claimId}
          label={label}
          options={parts.map((part) => ({ value: keyOf(claimId, part), label: paperPartWords(part) }))}
          value={parts.map((part) => keyOf(claimId, part)).filter((key) => pages[key] !== undefined)}
          onChange={(keys) =>
            setPages((before) => {
              const others = Object.entries(before).filter(([key]) => !key.startsWith(`${claimId}|`))
              return Object.fromEntries([...others, ...keys.map((key) => [key, before[key] ?? '1'])])
            })
          }
        />
      ))}
      {chosen.map(({ key, title }) => (
        <TextField
          key={key}
          label={say('status.pagesOf', { paper: title })}
          type="number"
          min={1}
          max={documentLimits.pages}
          value={pages[key] ?? ''}
          onChange={(event) => setPages({ ...pages, [key]: event.target.value })}
        />
      ))}
      <ProblemNote problem={problem} />
      <div className="flex gap-2">
        <Button kind="main" busy={busy} disabled={chosen.length === 0 || !ready} onClick={() => void make()}>
          {say('status.makeThem', { count: Math.max(1, chosen.length) })}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('status.notNow')}
        </Button>
      </div>
    </div>
  )
}
