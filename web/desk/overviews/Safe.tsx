import { Link } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { writeDayOf } from '../../ui/write'
import { Overview, Table } from './Overview'

/** What lies in the safe: whose it is, where, since when, and whether anybody has compared it. */
export function Safe() {
  const { data, error, refetch } = api.endpoints.readSafe.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview list="safe" title={say('overviews.safe')} about={say('overviews.safeMeans')}>
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty={say('overviews.safeEmpty')}
        columns={[
          { name: say('overviews.paper'), of: ({ title }) => title || say('overviews.hiddenWithTheName') },
          { name: say('overviews.whose'), of: ({ name }) => name },
          {
            name: say('overviews.file'),
            whole: true,
            of: ({ application: { id, reference, ended } }) => (
              <>
                <Link to={`/desk/today/${id}`} className="font-mono text-[0.8333rem] text-confirmed">
                  {reference}
                </Link>
                {ended && <strong className="ml-2 text-soon-ink">{say('overviews.ended')}</strong>}
              </>
            ),
          },
          { name: say('overviews.keptIn'), of: ({ place }) => place },
          {
            name: say('overviews.sinceWhen'),
            whole: true,
            of: ({ since, days }) => `${writeDayOf(since)}, ${say('overviews.daysHere', { count: days })}`,
          },
          {
            name: say('overviews.comparedWith'),
            of: ({ compared }) =>
              compared ? (
                <span className={compared === 'differs' ? 'font-semibold text-contradicted' : ''}>
                  {say(`overviews.compared.${compared}`)}
                </span>
              ) : (
                <span className="text-soon-ink">{say('overviews.notComparedYet')}</span>
              ),
          },
        ]}
      />
    </Overview>
  )
}
