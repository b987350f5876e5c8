import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Apply } from '../../portal/apply/Apply'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { CoverSheets } from '../tray/CoverSheets'
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
          {one ? say('behalf.hasAnAccountAndWrites', { name: one.name }) : say('behalf.thisApplicationIsNotWritten')}
        </p>
        <Link to="/desk/behalf" className="font-semibold text-confirmed">
          {say('behalf.backToTheList')}
        </Link>
      </main>
    )
  const ask = async () => {
    if (await act({ params: { id } })) toast(say('behalf.aLinkIsOnIts', { mail: one?.mail ?? '' }))
  }
  return (
    <div className="h-full overflow-auto text-[1rem]">
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-4 gap-y-1 border-line border-b bg-sheet px-5 py-2">
        <Link to="/desk/behalf" className="font-semibold text-confirmed">
          {say('behalf.onBehalf')}
        </Link>
        {one && (
          <p className="mr-auto">
            {say('behalf.youWriteFor')} <strong>{one.name}</strong>
            {say('behalf.whoToldUs', { how: say(`behalf.how.${one.how}`) })}{' '}
            <span className="text-ink-2">
              {one.askedAt
                ? say('behalf.askedToTakeItOver', { askedAt: writeMoment(one.askedAt) })
                : say('behalf.theyReadItThroughSign')}
            </span>
          </p>
        )}
        <ProblemNote problem={problem} />
        <Button onClick={() => setPrinting(true)}>{say('behalf.coverSheets')}</Button>
        <Button kind="main" busy={busy} onClick={() => void ask()}>
          {one?.askedAt ? say('behalf.sendTheLinkAgain') : say('behalf.askToTakeItOver')}
        </Button>
      </div>
      <Apply />
      {printing && <CoverSheets applicationId={id} onClose={() => setPrinting(false)} />}
    </div>
  )
}
