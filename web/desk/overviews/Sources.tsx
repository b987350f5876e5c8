import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { Overview, Table } from './Overview'

export function Sources() {
  const { data, error, refetch } = api.endpoints.sourceDirectory.useQuery({})
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview
      title="Sources"
      list="sources"
      about="Everybody who issues what candidates claim, by every name they go by, and how they answer."
    >
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty="No source has been entered yet."
        columns={[
          {
            name: 'Source',
            of: ({ name, aliases }) => (
              <>
                <span className="font-semibold">{name}</span>
                {aliases.length > 0 && (
                  <span className="block text-[0.8333rem] text-ink-2">also {aliases.join(', ')}</span>
                )}
              </>
            ),
          },
          { name: 'Kind', of: ({ kind }) => kind },
          { name: 'Place', of: ({ town, country }) => `${town}, ${country}` },
          {
            name: 'Asked at',
            of: ({ mail, register }) => (
              <>
                <span className="font-mono text-[0.8333rem]">{mail}</span>
                {register && <span className="block text-[0.8333rem] text-ink-2">and a register</span>}
              </>
            ),
          },
          { name: 'Asked', right: true, of: ({ asked }) => asked },
          { name: 'Open', right: true, of: ({ open }) => open },
          { name: 'Median days', right: true, of: ({ medianDays }) => medianDays ?? '—' },
        ]}
      />
    </Overview>
  )
}
