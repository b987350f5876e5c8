import { useState } from 'react'
import type { File } from '#contract/desk'
import { type ReportLine, reportForms } from '#contract/reports'
import { writeWhen } from '#core/dates/write'
import { languages, say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Choice, SelectField } from '../../ui/Field'
import { languageNames } from '../../ui/languageNames'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { More } from './More'
import { WithReason } from './WithReason'

/** What has been stated of a person, signed: made here, read in its forms, and revoked. */
export function Reports({ file }: { file: File }) {
  const { may } = useSession()
  const { data } = api.endpoints.listReports.useQuery({ params: { id: file.id } }, { skip: !may('listReports') })
  const [making, setMaking] = useState(false)
  if (!data) return null
  return (
    <More key={file.id} title={say('file.reports', { count: data.length })}>
      <div className="grid gap-2">
        {data.map((report) => (
          <OneReport key={report.id} report={report} />
        ))}
        {making ? (
          <Make file={file} onDone={() => setMaking(false)} />
        ) : (
          <Button className="justify-self-start" onClick={() => setMaking(true)}>
            {say('file.makeReport')}
          </Button>
        )}
      </div>
    </More>
  )
}

function stateOf({ revoked, endsAt }: ReportLine): string {
  if (revoked) return say('file.reportRevoked', { day: writeDayOf(revoked.at), why: revoked.because })
  const ended = Date.parse(endsAt) < Date.now()
  return say(ended ? 'file.reportEnded' : 'file.reportHolds', { day: writeDayOf(endsAt) })
}

function OneReport({ report }: { report: ReportLine }) {
  const { may } = useSession()
  const [revoking, setRevoking] = useState(false)
  const { id, reference, audience, asAt, madeAt, madeBy, revoked, opens, sentTo } = report
  return (
    <article className="rounded-sheet border border-line bg-sheet px-3 py-2">
      <p className="flex flex-wrap justify-between gap-x-4">
        <span className="font-mono font-semibold">{reference}</span>
        <span className={revoked ? 'font-semibold text-contradicted' : 'text-ink-2'}>{stateOf(report)}</span>
      </p>
      <p className="text-ink-2">
        {say('file.reportLine', { day: writeWhen(asAt), made: writeDayOf(madeAt), by: madeBy })}
      </p>
      {sentTo.length > 0 && (
        <p className="text-ink-2">{say('file.reportSent', { names: sentTo.map(({ name }) => name).join(', ') })}</p>
      )}
      <p className="mt-1 flex flex-wrap items-baseline gap-x-4">
        {opens ? (
          reportForms.map((form) => (
            <a
              key={form}
              href={addressOf('readReport', { params: { id, form } })}
              download
              className="font-semibold text-confirmed underline"
            >
              {say(`file.reportForm.${form}`)}
            </a>
          ))
        ) : (
          <span className="text-ink-2">
            {say(audience === 'candidate' ? 'file.reportClosed.candidate' : 'file.reportClosed')}
          </span>
        )}
        {!revoked && !revoking && may('revokeReport') && (
          <button
            type="button"
            className="font-semibold text-contradicted hover:underline"
            onClick={() => setRevoking(true)}
          >
            {say('file.revokeReport')}
          </button>
        )}
      </p>
      {revoking && <Revoke report={report} onDone={() => setRevoking(false)} />}
    </article>
  )
}

function Revoke({ report: { id, version, reference }, onDone }: { report: ReportLine; onDone: () => void }) {
  const { act, busy, problem } = useAct('revokeReport')
  const toast = useToast()
  const revoke = async (reason: string) => {
    if (!(await act({ params: { id }, body: { version, reason } }))) return
    toast(say('file.reportIsRevoked', { reference }))
    onDone()
  }
  return (
    <WithReason
      {...{ busy, problem, onDone }}
      label={say('file.whyRevoked')}
      act={say('file.revokeReport')}
      onReason={(reason) => void revoke(reason)}
    />
  )
}

const readers = ['inside', 'candidate'] as const
const scopes = ['application', 'file'] as const

function Make({ file, onDone }: { file: File; onDone: () => void }) {
  const { act, busy, problem } = useAct('makeReport')
  const { may } = useSession()
  const toast = useToast()
  const [audience, setAudience] = useState<string>('inside')
  const [scope, setScope] = useState<string>('application')
  const [language, setLanguage] = useState<string>(file.candidate.language)
  const [asAt, setAsAt] = useState(file.today)
  const make = async () => {
    const made = await act({
      params: { id: file.id },
      body: {
        audience: audience as (typeof readers)[number],
        scope: scope as (typeof scopes)[number],
        language: language as (typeof languages)[number],
        asAt,
      },
    })
    if (!made) return
    toast(say('file.reportIsMade', { reference: made.reference }))
    onDone()
  }
  return (
    <section
      className="grid gap-3 rounded-sheet border border-line-strong bg-sheet px-3 py-3"
      aria-label={say('file.makeReport')}
    >
      <p className="text-ink-2">{say('file.reportMeans')}</p>
      <Choice
        label={say('file.reportFor')}
        name="audience"
        inline={false}
        options={readers
          .filter((value) => value === 'inside' || may('sendMessages'))
          .map((value) => ({ value, label: say(`file.reportFor.${value}`) }))}
        value={audience}
        onChange={setAudience}
      />
      <Choice
        label={say('file.reportOf')}
        name="scope"
        options={scopes.map((value) => ({ value, label: say(`file.reportOf.${value}`) }))}
        value={scope}
        onChange={setScope}
      />
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={say('file.reportLanguage')}
          options={languages.map((value) => ({ value, label: languageNames[value] }))}
          value={language}
          onChange={(event) => setLanguage(event.target.value)}
        />
        <DateField label={say('file.reportAsAt')} value={asAt} onChange={setAsAt} error={faultAt(problem, 'asAt')} />
      </div>
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex gap-2">
        <Button kind="main" busy={busy} disabled={asAt === ''} onClick={() => void make()}>
          {say('file.makeReport')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('file.cancel')}
        </Button>
      </div>
    </section>
  )
}
