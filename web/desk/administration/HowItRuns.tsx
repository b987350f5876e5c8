import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { isKnown, say, sayCoded } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment, writeSize } from '../../ui/write'
import { useAct } from '../../useAct'
import { Overview, Table } from '../overviews/Overview'

type Operation = Reply<Contract['readOperation']>

const jobWords = (kind: string) => {
  const code = `administration.job.${kind}`
  return isKnown(code) ? sayCoded({ code }) : kind
}

/** How it runs: what waits, what failed, what is left of room, when the last backup was. Nothing of it is about a person. */
export function HowItRuns() {
  const { data, error, refetch } = api.endpoints.readOperation.useQuery(
    {},
    { pollingInterval: 15_000, refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('administration.howItRuns')} about={say('administration.aboutHowItRuns')}>
      <div className="grid max-w-[1040px] gap-7">
        <Facts {...data} />
        <Jobs jobs={data.jobs} />
        <section>
          <h2 className="mb-1 text-[1.2rem]">{say('administration.messages')}</h2>
          <Table
            rows={data.messages}
            keyOf={({ channel, state }) => `${channel} ${state}`}
            empty={say('administration.noMessageWaits')}
            columns={[
              {
                name: say('administration.channel'),
                of: ({ channel }) =>
                  say(channel === 'text' ? 'administration.channel.text' : 'administration.channel.mail'),
              },
              {
                name: say('administration.stands'),
                of: ({ state }) =>
                  say(state === 'refused' ? 'administration.message.refused' : 'administration.message.queued'),
              },
              { name: say('administration.howMany'), right: true, of: ({ count }) => count },
              { name: say('administration.oldest'), whole: true, of: ({ oldestAt }) => writeMoment(oldestAt) },
            ]}
          />
        </section>
        <section>
          <h2 className="mb-1 text-[1.2rem]">{say('administration.registers')}</h2>
          <Table
            rows={data.registers}
            keyOf={({ register, source }) => `${register} ${source}`}
            empty={say('administration.noRegister')}
            columns={[
              { name: say('administration.registerOf'), of: ({ source }) => source },
              {
                name: say('administration.stands'),
                of: ({ answers }) =>
                  answers ? (
                    say('administration.registerAnswers')
                  ) : (
                    <span className="font-semibold text-contradicted">{say('administration.registerIsSilent')}</span>
                  ),
              },
              { name: say('administration.timesAnswered'), right: true, of: ({ asked }) => asked },
              {
                name: say('administration.lastAnswered'),
                whole: true,
                of: ({ lastAt }) => (lastAt ? writeMoment(lastAt) : say('administration.never')),
              },
            ]}
          />
        </section>
      </div>
    </Overview>
  )
}

function Facts({ lastBackup, room, version, node, database, upSince }: Operation) {
  const facts = [
    {
      name: say('administration.lastBackup'),
      of: lastBackup
        ? say('administration.backupOf', { at: writeMoment(lastBackup.at), size: writeSize(lastBackup.bytes) })
        : say('administration.noBackupYet'),
      grave: !lastBackup,
    },
    {
      name: say('administration.room'),
      of: say('administration.roomTaken', {
        tables: writeSize(room.tables),
        count: room.documents.count,
        documents: writeSize(room.documents.bytes),
        free: room.free === null ? '?' : writeSize(room.free),
      }),
      grave: room.free !== null && room.free < 1e9,
    },
    {
      name: say('administration.version'),
      of: say('administration.versions', { version, node, database }),
      grave: false,
    },
    { name: say('administration.upSince'), of: writeMoment(upSince), grave: false },
  ]
  return (
    <dl className="grid gap-x-6 gap-y-1 sm:grid-cols-[auto_1fr]">
      {facts.map(({ name, of, grave }) => (
        <div key={name} className="contents">
          <dt className="text-ink-2">{name}</dt>
          <dd className={grave ? 'font-semibold text-contradicted' : ''}>{of}</dd>
        </div>
      ))}
    </dl>
  )
}

function Jobs({ jobs }: Pick<Operation, 'jobs'>) {
  const { act, busy, problem } = useAct('retryJob')
  return (
    <section>
      <h2 className="mb-1 text-[1.2rem]">{say('administration.jobs')}</h2>
      <Table
        rows={jobs.waiting}
        keyOf={({ kind }) => kind}
        empty={say('administration.noJobWaits')}
        columns={[
          { name: say('administration.job'), of: ({ kind }) => jobWords(kind) },
          { name: say('administration.howMany'), right: true, of: ({ count }) => count },
          { name: say('administration.underWay'), right: true, of: ({ underWay }) => underWay },
          { name: say('administration.triedBefore'), right: true, of: ({ tried }) => tried },
          { name: say('administration.oldest'), whole: true, of: ({ oldestAt }) => writeMoment(oldestAt) },
        ]}
      />
      {jobs.failed.length > 0 && (
        <>
          <h3 className="mt-4 mb-1 font-semibold text-contradicted">{say('administration.givenUp')}</h3>
          <Table
            rows={jobs.failed}
            keyOf={({ id }) => id}
            empty=""
            columns={[
              { name: say('administration.job'), of: ({ kind }) => jobWords(kind) },
              { name: say('administration.tries'), right: true, of: ({ attempts }) => attempts },
              { name: say('administration.givenUpAt'), whole: true, of: ({ at }) => writeMoment(at) },
              {
                name: say('administration.again'),
                of: ({ id }) => (
                  <Button kind="quiet" busy={busy} onClick={() => void act({ params: { id } })}>
                    {say('administration.tryAgain')}
                  </Button>
                ),
              },
            ]}
          />
        </>
      )}
      <ProblemNote problem={problem} />
    </section>
  )
}
