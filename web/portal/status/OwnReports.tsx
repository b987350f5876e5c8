import { useState } from 'react'
import { Link } from 'react-router'
import type { ReportLine } from '#contract/reports'
import { writeWhen } from '#core/dates/write'
import { languages, say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { languageHere } from '../../language'
import { Button } from '../../ui/Button'
import { CheckList } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'

const forms = ['pdf', 'jwt', 'json'] as const

/** What has been proven of oneself, signed, to keep and to show: all of it, or only some. */
export function OwnReports({ id }: { id: string }) {
  const { data } = api.endpoints.listOwnReports.useQuery({ params: { id } })
  const { act, busy, problem } = useAct('makeOwnReport')
  if (!data) return null
  const here = languages.find((language) => language === languageHere()) ?? 'en'
  return (
    <section className="mt-7" aria-label={say('status.record')}>
      <h2 className="mb-2 text-[1.4em]">{say('status.record')}</h2>
      <p className="mb-2 max-w-[62ch] text-ink-2">{say('status.recordMeans')}</p>
      {data.length > 0 && (
        <ul className="mb-3 divide-y divide-line rounded-sheet border border-line bg-sheet">
          {data.map((report) => (
            <OneReport key={report.id} report={report} />
          ))}
        </ul>
      )}
      <ProblemNote problem={problem} />
      <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Button busy={busy} onClick={() => void act({ params: { id }, body: { language: here } })}>
          {say('status.makeRecord')}
        </Button>
        <Link to="/record" className="font-semibold text-confirmed">
          {say('status.sendRecord')}
        </Link>
      </p>
    </section>
  )
}

function stateOf({ revoked, endsAt }: ReportLine): string {
  if (revoked) return say('status.recordRevoked', { why: revoked.because })
  const ended = Date.parse(endsAt) < Date.now()
  return say(ended ? 'status.recordEnded' : 'status.recordHolds', { day: writeDayOf(endsAt) })
}

function OneReport({ report }: { report: ReportLine }) {
  const [choosing, setChoosing] = useState(false)
  const { id, reference, asAt, revoked, claims } = report
  return (
    <li className="px-4 py-2.5">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span className="font-semibold">{say('status.recordLine', { reference, day: writeWhen(asAt) })}</span>
        <span className={revoked ? 'font-semibold text-contradicted' : 'text-ink-2'}>{stateOf(report)}</span>
      </p>
      <p className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {forms.map((form) => (
          <a
            key={form}
            href={addressOf('readOwnReport', { params: { id, form } })}
            download
            className="font-semibold text-confirmed underline"
          >
            {say(`status.recordForm.${form}`)}
          </a>
        ))}
        {!revoked && claims.length > 0 && !choosing && (
          <button type="button" className="font-semibold text-confirmed" onClick={() => setChoosing(true)}>
            {say('status.showSome')}
          </button>
        )}
      </p>
      {choosing && <ShowSome id={id} claims={claims} />}
    </li>
  )
}

function ShowSome({ id, claims }: { id: string; claims: readonly string[] }) {
  const [chosen, setChosen] = useState<string[]>([])
  return (
    <div className="mt-2 grid gap-2">
      <CheckList
        label={say('status.showSome')}
        help={say('status.showSomeMeans')}
        options={claims.map((label, nth) => ({ value: String(nth), label }))}
        value={chosen}
        onChange={setChosen}
      />
      {chosen.length > 0 && (
        <a
          href={addressOf('readOwnReport', { params: { id, form: 'sd-jwt' }, query: { claims: chosen.join(',') } })}
          download
          className="justify-self-start font-semibold text-confirmed underline"
        >
          {say('status.showThese')}
        </a>
      )}
    </div>
  )
}
