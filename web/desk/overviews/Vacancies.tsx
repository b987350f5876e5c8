import { Link } from 'react-router'
import { writeWhen } from '#core/dates/write'
import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { Overview, Table } from './Overview'

export function Vacancies() {
  const { data, error, refetch } = api.endpoints.deskVacancies.useQuery({})
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title="Vacancies" about="What is open, until when, and how many people stand where.">
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty="No vacancy has been set up yet."
        columns={[
          {
            name: 'Post',
            of: ({ slug, title, place }) => (
              <>
                <Link to={`/vacancies/${slug}`} className="font-semibold text-confirmed">
                  {title}
                </Link>{' '}
                <span className="text-ink-2">{place}</span>
              </>
            ),
          },
          { name: 'Closes', of: ({ closesAt, timeZone, open }) => (open ? writeMoment(closesAt, timeZone) : 'closed') },
          { name: 'Target start', of: ({ targetStart }) => writeWhen(targetStart) },
          { name: 'Posts', right: true, of: ({ headcount }) => headcount },
          ...(['being written', 'sent', 'shortlisted', 'offered', 'cleared'] as const).map((stage) => ({
            name: stage.replace(/^./, (letter) => letter.toUpperCase()),
            right: true,
            of: ({ byStage }: (typeof data)[number]) => byStage[stage] ?? 0,
          })),
        ]}
      />
    </Overview>
  )
}
