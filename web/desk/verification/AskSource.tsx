import type { File, FileClaim } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'

/** The mail as it will go out, and what keeps it from going. */
export function AskSource({ file, claim, onClose }: { file: File; claim: FileClaim; onClose: () => void }) {
  const { data, error, refetch } = api.endpoints.previewEnquiry.useQuery(
    { params: { id: claim.id }, query: { applicationId: file.id } },
    { refetchOnMountOrArgChange: true },
  )
  const { act, busy, problem } = useAct('raiseEnquiry')
  const toast = useToast()
  const ask = async () => {
    const done = await act({ params: { id: claim.id }, body: { applicationId: file.id } })
    if (!done) return
    toast(
      say('proof.askedAnAnswerIsDue', {
        source: data?.source ?? say('proof.theSource'),
        answerBy: writeWhen(done.answerBy),
      }),
    )
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={say('proof.askAbout', { label: claim.label })}>
      {!data ? (
        <Waiting error={error} onRetry={refetch} />
      ) : (
        <div className="text-[0.9rem]">
          {data.obstacles.map((obstacle) => (
            <p
              key={obstacle}
              role="alert"
              className="mb-2 rounded-sheet bg-soon-wash px-3 py-2 font-semibold text-soon-ink"
            >
              {obstacle}
            </p>
          ))}
          <dl className="mb-3 grid grid-cols-[80px_1fr] gap-y-0.5">
            <dt className="text-ink-2">{say('proof.to')}</dt>
            <dd>
              {data.source}
              {data.to && <span className="font-mono text-[0.8333rem]">, {data.to}</span>}
            </dd>
            <dt className="text-ink-2">{say('proof.subject')}</dt>
            <dd>{data.subject}</dd>
            <dt className="text-ink-2">{say('proof.enclosed')}</dt>
            <dd>{data.encloses.join(', ')}</dd>
            <dt className="text-ink-2">{say('proof.due')}</dt>
            <dd>{writeWhen(data.answerBy)}</dd>
          </dl>
          <div className="mb-3 max-h-[34vh] overflow-auto whitespace-pre-line rounded-sheet border border-line bg-sheet-2 p-3">
            {data.text}
          </div>
          <ProblemNote problem={problem} />
          <div className="flex items-center gap-3">
            <Button kind="main" busy={busy} disabled={data.obstacles.length > 0} onClick={() => void ask()}>
              {say('proof.sendTheEnquiry')}
            </Button>
            <span className="text-ink-2">{say('proof.aMailThatHasGone')}</span>
          </div>
        </div>
      )}
    </Dialog>
  )
}
