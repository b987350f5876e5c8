import { Link } from 'react-router'
import { say } from '#core/words/say'
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
    <Overview list="outbox" title={say('overviews.mailsNotTaken')} about={say('overviews.aMailThatNoServer')}>
      <ProblemNote problem={again.problem ?? letBe.problem} />
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty={say('overviews.everyMailHasBeenTaken')}
        columns={[
          {
            name: say('overviews.written'),
            whole: true,
            of: ({ at }) => (
              <span className="font-mono text-[0.8333rem]">{writeMoment(at).replace(/^\w+,? /, '')}</span>
            ),
          },
          {
            name: say('overviews.to'),
            of: ({ to, channel }) => (channel === 'text' ? `${to} (${say('overviews.byText')})` : to),
          },
          { name: say('overviews.subject'), of: ({ subject }) => subject || say('overviews.hiddenWithTheName') },
          {
            name: say('overviews.file'),
            whole: true,
            of: ({ application }) =>
              application && (
                <Link to={`/desk/today/${application.id}`} className="font-mono text-[0.8333rem] text-confirmed">
                  {application.reference}
                </Link>
              ),
          },
          {
            name: say('overviews.whatBecameOfIt'),
            of: ({ state, because }) => (
              <>
                <strong className={state === 'refused' ? 'text-contradicted' : 'text-soon-ink'}>
                  {state === 'refused' ? say('overviews.refused') : say('overviews.waiting')}
                </strong>
                {because && `: ${because}`}
              </>
            ),
          },
          {
            name: say('overviews.do'),
            whole: true,
            of: ({ id, state }) =>
              state === 'refused' && (
                <span className="flex gap-2">
                  <Button
                    busy={again.busy}
                    onClick={() =>
                      void again
                        .act({ params: { id } })
                        .then((done) => done && toast(say('overviews.queuedAgainToTheAddress')))
                    }
                  >
                    {say('overviews.sendAgain')}
                  </Button>
                  <Button
                    kind="quiet"
                    busy={letBe.busy}
                    onClick={() =>
                      void letBe.act({ params: { id } }).then((done) => done && toast(say('overviews.letBe')))
                    }
                  >
                    {say('overviews.letItBe')}
                  </Button>
                </span>
              ),
          },
        ]}
      />
    </Overview>
  )
}
