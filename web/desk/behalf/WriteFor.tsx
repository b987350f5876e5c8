import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { api } from '../../api'
import { Apply } from '../../portal/apply/Apply'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { CoverSheets } from '../paper/CoverSheets'
import { useToast } from '../useToast'

/** An application written at the desk for somebody who wrote on paper or rang. */
export function WriteFor() {
  const { id = '' } = useParams()
  const { data } = api.endpoints.listBehalf.useQuery({})
  const one = data?.find((line) => line.id === id)
  const { act, busy, problem } = useAct('askToTakeOver')
  const toast = useToast()
  const [printing, setPrinting] = useState(false)
  if (data && (!one || one.theirs))
    return (
      <main className="p-5">
        <p className="mb-2">
          {one
            ? `${one.name} has an account and writes this application themselves.`
            : 'This application is not written here.'}
        </p>
        <Link to="/desk/behalf" className="font-semibold text-confirmed">
          Back to the list
        </Link>
      </main>
    )
  const ask = async () => {
    if (await act({ params: { id } })) toast(`A link is on its way to ${one?.mail}.`)
  }
  return (
    <div className="h-full overflow-auto text-[1rem]">
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-4 gap-y-1 border-line border-b bg-sheet px-5 py-2">
        <Link to="/desk/behalf" className="font-semibold text-confirmed">
          On behalf
        </Link>
        {one && (
          <p className="mr-auto">
            You write for <strong>{one.name}</strong>, who told us {one.how}.{' '}
            <span className="text-ink-2">
              {one.askedAt
                ? `Asked to take it over on ${writeMoment(one.askedAt)}.`
                : 'They read it through, sign it and send it themselves.'}
            </span>
          </p>
        )}
        <ProblemNote problem={problem} />
        <Button onClick={() => setPrinting(true)}>Cover sheets</Button>
        <Button kind="main" busy={busy} onClick={() => void ask()}>
          {one?.askedAt ? 'Send the link again' : 'Ask to take it over'}
        </Button>
      </div>
      <Apply />
      {printing && <CoverSheets applicationId={id} onClose={() => setPrinting(false)} />}
    </div>
  )
}
