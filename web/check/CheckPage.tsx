import { Check, TriangleAlert } from 'lucide-react'
import { useState } from 'react'
import { useParams } from 'react-router'
import type { CheckResult } from '#contract/reports'
import type { FieldKey } from '#core/comparison/compareClaim'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../api'
import { Button } from '../ui/Button'
import { LongField } from '../ui/Field'
import { FileButton } from '../ui/FileButton'
import { ProblemNote } from '../ui/ProblemNote'
import { Sheet } from '../ui/Sheet'
import { Waiting } from '../ui/Waiting'
import { writeDayOf } from '../ui/write'
import { useAct } from '../useAct'
import { FactList, ReportView } from './ReportView'

const accept = '.pdf,.png,.jpg,.jpeg,.jwt,.sd-jwt,.json,.txt,application/pdf,image/png,image/jpeg'

/** Anybody finds out here whether a report or credential is unchanged, who signed it, and whether it still holds. */
export function CheckPage() {
  const { token } = useParams()
  return (
    <main className="mx-auto grid max-w-[860px] grid-cols-[minmax(0,1fr)] gap-4 px-4 py-7 sm:px-7">
      <div>
        <h1 className="text-[2em]">{say('report.check')}</h1>
        <p className="max-w-[68ch] text-ink-2">{say('report.checkMeans')}</p>
      </div>
      {token ? <Scanned token={token} /> : <Bring />}
    </main>
  )
}

/** What the code on a paper leads to. */
function Scanned({ token }: { token: string }) {
  const { data, error, refetch } = api.endpoints.checkByLink.useQuery({ params: { token } })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <>
      <Result result={data} />
      <Signed result={data} />
    </>
  )
}

function Bring() {
  const { act, busy, problem } = useAct('checkCredential')
  const [text, setText] = useState('')
  const [result, setResult] = useState<CheckResult>()
  const check = async (body: Blob) => {
    const found = await act({ body })
    if (found) setResult(found)
  }
  if (result)
    return (
      <>
        <Result result={result} />
        <p>
          <Button
            onClick={() => {
              setResult(undefined)
              setText('')
            }}
          >
            {say('report.checkAnother')}
          </Button>
        </p>
        <Signed result={result} />
      </>
    )
  return (
    <Sheet className="grid justify-items-start gap-4">
      <FileButton name={say('report.file')} accept={accept} kind="main" busy={busy} onFile={(file) => void check(file)}>
        {say('report.chooseFile')}
      </FileButton>
      <div className="w-full">
        <LongField
          label={say('report.orPaste')}
          rows={6}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      <ProblemNote problem={problem} />
      <Button busy={busy} disabled={text.trim() === ''} onClick={() => void check(new Blob([text]))}>
        {say('report.checkIt')}
      </Button>
    </Sheet>
  )
}

/** The verdict first, in a sentence, with who signed it, when, and until when it holds. */
function Result({ result: { fault, issuer, hidden, kind, signedAt, endsAt, byCode } }: { result: CheckResult }) {
  const facts = [
    [say('report.signedBy'), issuer],
    [say('report.signedAt'), signedAt && writeDayOf(signedAt)],
    [say('report.holdsUntil'), endsAt && writeDayOf(endsAt)],
  ].filter((fact): fact is [string, string] => Boolean(fact[1]))
  return (
    <Sheet className="grid gap-3">
      <p
        role={fault ? 'alert' : 'status'}
        className={`flex items-start gap-2 font-semibold text-[1.1em] ${fault ? 'text-contradicted' : 'text-confirmed'}`}
      >
        {fault ? (
          <TriangleAlert aria-hidden size={20} className="mt-1 shrink-0" />
        ) : (
          <Check aria-hidden size={20} className="mt-1 shrink-0" />
        )}
        {fault
          ? say(`report.fault.${fault}`)
          : say(byCode ? 'report.validByCode' : 'report.valid', { issuer: issuer ?? '' })}
      </p>
      {byCode && fault === null && <p className="font-semibold">{say('report.compareWithPaper')}</p>}
      {kind && <FactList facts={facts} />}
      {hidden > 0 && <p className="text-ink-2">{say('report.hidden', { count: hidden })}</p>}
    </Sheet>
  )
}

/** What is signed: a report of ours as it was drawn, of a credential of somebody else what it says. */
function Signed({ result: { report, says } }: { result: CheckResult }) {
  if (report) return <ReportView report={report} />
  if (Object.keys(says).length === 0) return null
  return (
    <Sheet>
      <h2 className="mb-2 text-[1.25em]">{say('report.says')}</h2>
      <FactList
        facts={Object.entries(says).map(([field, value]) => [say(`field.${field as FieldKey}`), writeWhen(value)])}
      />
    </Sheet>
  )
}
