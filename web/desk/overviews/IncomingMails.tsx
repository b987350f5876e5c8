import { Link } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { listIncomingMails } from '#contract/incomingMails'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { ReferenceForm } from '../ReferenceForm'
import { useToast } from '../useToast'
import { Overview } from './Overview'

type Mail = Reply<typeof listIncomingMails>[number]

/** Mails that came in and wait for somebody: read here, put into the file they belong to, settled. */
export function IncomingMails() {
  const { data, error, refetch } = api.endpoints.listIncomingMails.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('overviews.mailIn')} about={say('overviews.mailInAbout')}>
      {data.length === 0 && <p className="py-4 text-ink-2">{say('overviews.nobodyWaits')}</p>}
      <ul className="max-w-[860px] divide-y divide-line border-line border-y">
        {data.map((mail) => (
          <OneMail key={mail.id} mail={mail} />
        ))}
      </ul>
    </Overview>
  )
}

function OneMail({ mail }: { mail: Mail }) {
  const { id, from, subject, text, encloses, receivedAt, application } = mail
  const settling = useAct('settleIncomingMail')
  const toast = useToast()
  const settle = async () => {
    if (await settling.act({ params: { id } })) toast(say('overviews.settledToast'))
  }
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-6 gap-y-1 py-3 max-sm:grid-cols-1">
      <div className="min-w-0">
        <h2 className="font-semibold text-[1rem]">{subject || say('overviews.hiddenWithTheName')}</h2>
        <p className="text-[0.8667rem] text-ink-2">
          <a
            href={`mailto:${encodeURIComponent(from)}?subject=${encodeURIComponent(`Re: ${subject}`)}`}
            className="underline"
          >
            {from}
          </a>
          , <span className="font-mono">{writeMoment(receivedAt)}</span>
        </p>
        <p className="mt-1.5 max-h-[240px] overflow-auto whitespace-pre-line break-words">{text}</p>
        {encloses.length > 0 && (
          <p className="mt-1 text-[0.8667rem] text-ink-2">
            <Link to="/desk/paper" className="text-confirmed underline">
              {say('overviews.encloses', { files: encloses.join(', ') })}
            </Link>
          </p>
        )}
      </div>
      <div className="grid w-[230px] content-start gap-2">
        {application ? (
          <p>
            {say('overviews.belongsTo')}{' '}
            <Link to={`/desk/today/${application.id}`} className="font-mono text-confirmed underline">
              {application.reference}
            </Link>
          </p>
        ) : (
          <BelongsTo id={id} />
        )}
        <ProblemNote problem={settling.problem} />
        <div>
          <Button busy={settling.busy} onClick={() => void settle()}>
            {say('overviews.settled')}
          </Button>
        </div>
      </div>
    </li>
  )
}

/** A mail that found no thread is put into a file, or to the question it answers, by its reference. */
function BelongsTo({ id }: { id: string }) {
  const { act, busy, problem } = useAct('fileIncomingMail')
  const toast = useToast()
  const put = async (reference: string) => {
    if (await act({ params: { id }, body: { reference } })) toast(say('overviews.filedToast', { reference }))
  }
  return (
    <ReferenceForm
      label={say('overviews.referenceOfFileOrQuestion')}
      example="VM-0000-00, EQ-0000-00"
      button={say('overviews.fileIt')}
      busy={busy}
      problem={problem}
      onPut={put}
    />
  )
}
