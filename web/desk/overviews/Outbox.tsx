import { Link } from 'react-router'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { useToast } from '../useToast'
import { Overview, Table } from './Overview'

/** Mails that did not go out: those that wait for a mail server, and those that one refused. */
export function Outbox() {
  const { data, error, refetch } = api.endpoints.readOutbox.useQuery({}, { refetchOnMountOrArgChange: true })
  const again = useAct('resendMessage')
  const letBe = useAct('letMessageBe')
  const toast = useToast()
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview
      list="outbox"
      title="Mails not taken"
      about="A mail that no server takes is tried for four days, with growing pauses. One that is refused for good needs another address, or another way."
    >
      <ProblemNote problem={again.problem ?? letBe.problem} />
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty="Every mail has been taken by a mail server."
        columns={[
          {
            name: 'Written',
            whole: true,
            of: ({ at }) => (
              <span className="font-mono text-[0.8333rem]">{writeMoment(at).replace(/^\w+,? /, '')}</span>
            ),
          },
          { name: 'To', of: ({ to }) => to },
          { name: 'Subject', of: ({ subject }) => subject || 'Hidden with the name' },
          {
            name: 'File',
            whole: true,
            of: ({ application }) =>
              application && (
                <Link to={`/desk/today/${application.id}`} className="font-mono text-[0.8333rem] text-confirmed">
                  {application.reference}
                </Link>
              ),
          },
          {
            name: 'What became of it',
            of: ({ state, because }) => (
              <>
                <strong className={state === 'refused' ? 'text-contradicted' : 'text-soon-ink'}>
                  {state === 'refused' ? 'Refused' : 'Waiting'}
                </strong>
                {because && `: ${because}`}
              </>
            ),
          },
          {
            name: 'Do',
            whole: true,
            of: ({ id, state }) =>
              state === 'refused' && (
                <span className="flex gap-2">
                  <Button
                    busy={again.busy}
                    onClick={() =>
                      void again
                        .act({ params: { id } })
                        .then((done) => done && toast('Queued again, to the address as it is now.'))
                    }
                  >
                    Send again
                  </Button>
                  <Button
                    kind="quiet"
                    busy={letBe.busy}
                    onClick={() => void letBe.act({ params: { id } }).then((done) => done && toast('Let be.'))}
                  >
                    Let it be
                  </Button>
                </span>
              ),
          },
        ]}
      />
    </Overview>
  )
}
