import { say } from '#core/words/say'
import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { Overview, Table } from './Overview'

export function Sources() {
  const { data, error, refetch } = api.endpoints.sourceDirectory.useQuery({})
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('overviews.sources')} list="sources" about={say('overviews.everybodyWhoIssuesWhatCandidates')}>
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty={say('overviews.noSourceHasBeenEntered')}
        columns={[
          {
            name: say('overviews.source'),
            of: ({ name, aliases }) => (
              <>
                <span className="font-semibold">{name}</span>
                {aliases.length > 0 && (
                  <span className="block text-[0.8333rem] text-ink-2">
                    {say('overviews.alsoValue', { value: aliases.join(', ') })}
                  </span>
                )}
              </>
            ),
          },
          { name: say('overviews.kind'), of: ({ kind }) => say(`names.sourceKind.${kind}`) },
          { name: say('overviews.place'), of: ({ town, country }) => `${town}, ${country}` },
          {
            name: say('overviews.askedAt'),
            of: ({ mail, register }) => (
              <>
                <span className="font-mono text-[0.8333rem]">{mail}</span>
                {register && <span className="block text-[0.8333rem] text-ink-2">{say('overviews.andARegister')}</span>}
              </>
            ),
          },
          { name: say('overviews.asked'), right: true, of: ({ asked }) => asked },
          { name: say('overviews.open'), right: true, of: ({ open }) => open },
          { name: say('overviews.medianDays'), right: true, of: ({ medianDays }) => medianDays ?? '—' },
        ]}
      />
    </Overview>
  )
}
