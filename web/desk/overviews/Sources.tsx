import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { Overview, Table } from './Overview'
import { CheckDialog, SourceDialog, type SourceRow } from './SourceDialog'

/** Everybody who can be asked: entered, checked by a second person, changed, retired. */
export function Sources() {
  const { data, error, refetch } = api.endpoints.sourceDirectory.useQuery({}, { refetchOnMountOrArgChange: true })
  const [search, setSearch] = useSearchParams()
  const [editing, setEditing] = useState<string>()
  const [checking, setChecking] = useState<string>()
  const entering = search.get('enter') === 'yes'
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const edited = data.find(({ id }) => id === editing)
  const checked = data.find(({ id }) => id === checking)
  return (
    <Overview title={say('overviews.sources')} list="sources" about={say('overviews.everybodyWhoIssuesWhatCandidates')}>
      <div className="mb-3">
        <Button kind="main" onClick={() => setSearch({ enter: 'yes' })}>
          {say('overviews.enterASource')}
        </Button>
      </div>
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty={say('overviews.noSourceHasBeenEntered')}
        columns={[
          {
            name: say('overviews.source'),
            of: ({ id, name, aliases }) => (
              <>
                <button type="button" className="text-left font-semibold text-confirmed" onClick={() => setEditing(id)}>
                  {name}
                </button>
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
          {
            name: say('overviews.standing'),
            of: (source) => <Standing source={source} onCheck={() => setChecking(source.id)} />,
          },
          { name: say('overviews.asked'), right: true, of: ({ asked }) => asked },
          { name: say('overviews.open'), right: true, of: ({ open }) => open },
          { name: say('overviews.medianDays'), right: true, of: ({ medianDays }) => medianDays ?? '—' },
        ]}
      />
      {entering && <SourceDialog source={undefined} onClose={() => setSearch({})} />}
      {edited && <SourceDialog key={edited.version} source={edited} onClose={() => setEditing(undefined)} />}
      {checked && <CheckDialog source={checked} onClose={() => setChecking(undefined)} />}
    </Overview>
  )
}

/** Whether it can be asked, and what can be done about it. */
function Standing({ source, onCheck }: { source: SourceRow; onCheck: () => void }) {
  const { act, busy, problem } = useAct('retireSource')
  useFreshAfterClash(problem, 'desk')
  const { id, version, retired, checkedBy, mayCheck } = source
  const turn = () => void act({ params: { id }, body: { version, retired: !retired } })
  return (
    <div className="flex flex-wrap items-baseline gap-x-3">
      {retired ? (
        <span className="text-ink-2">{say('overviews.retired')}</span>
      ) : checkedBy === null ? (
        <>
          <span className="text-soon-ink">{say('overviews.notCheckedYet')}</span>
          {mayCheck ? (
            <button type="button" className="font-semibold text-confirmed" onClick={onCheck}>
              {say('overviews.check')}
            </button>
          ) : (
            <span className="text-[0.8333rem] text-ink-2">{say('overviews.somebodyElseChecks')}</span>
          )}
        </>
      ) : (
        <span>{say('overviews.checked')}</span>
      )}
      <button type="button" className="text-ink-2 hover:underline" disabled={busy} onClick={turn}>
        {retired ? say('overviews.takeUpAgain') : say('overviews.retire')}
      </button>
      <ProblemNote problem={problem} />
    </div>
  )
}
