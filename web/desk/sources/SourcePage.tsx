import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Waiting } from '../../ui/Waiting'
import { Overview } from '../overviews/Overview'
import { AwardRecords } from './AwardRecords'
import { CheckSource } from './CheckSource'
import { EnquiriesOf } from './EnquiriesOf'
import { SourceFacts } from './SourceFacts'
import { nothingKnown, SourceForm } from './SourceForm'
import { History, Merged, SaidByCandidates } from './sourceAside'
import type { SourceRead } from './sourceTypes'
import { Turnaround } from './Turnaround'
import { Twins } from './Twins'

/** One source: what is known of it on the left, and what has to be decided about it on the right. */
export function SourcePage() {
  const { id = '' } = useParams()
  return id === 'new' ? <NewSource /> : <KnownSource key={id} id={id} />
}

function NewSource() {
  const navigate = useNavigate()
  const [id] = useState(() => crypto.randomUUID())
  return (
    <Overview title={say('sources.enter')} about={say('sources.enterMeans')}>
      <SourceForm
        id={id}
        version={0}
        source={nothingKnown}
        onSaved={() => navigate(`/desk/sources/${id}`, { replace: true })}
        onCancel={() => navigate('/desk/sources')}
      />
    </Overview>
  )
}

function KnownSource({ id }: { id: string }) {
  const { data, error, refetch } = api.endpoints.readSource.useQuery(
    { params: { id } },
    { refetchOnMountOrArgChange: true },
  )
  const [editing, setEditing] = useState(false)
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { source, version, mergedInto, state } = data
  const awards = source.kind === 'university' || source.kind === 'school'
  return (
    <Overview title={source.name} about={aboutOf(data)}>
      <p className="mb-3 flex flex-wrap items-center gap-3">
        <Link to="/desk/sources" className="font-semibold text-confirmed">
          {say('sources.back')}
        </Link>
        {!editing && !mergedInto && <Button onClick={() => setEditing(true)}>{say('sources.edit')}</Button>}
      </p>
      {mergedInto && (
        <p className="mb-3 border-asked border-l-2 pl-3">
          {say('sources.isMergedInto')}{' '}
          <Link to={`/desk/sources/${mergedInto.id}`} className="font-semibold text-confirmed">
            {mergedInto.name}
          </Link>
        </p>
      )}
      <div className="grid items-start gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
        {editing ? (
          <SourceForm
            key={version}
            id={id}
            version={version}
            source={source}
            onSaved={() => setEditing(false)}
            onCancel={() => setEditing(false)}
          />
        ) : (
          <div>
            <SourceFacts read={data} />
            {!mergedInto && <Turnaround sourceId={id} />}
            {awards && !mergedInto && <AwardRecords sourceId={id} />}
          </div>
        )}
        <aside className="grid gap-5" aria-label={say('sources.toDecide')}>
          <CheckSource key={version} read={data} />
          {!mergedInto && <EnquiriesOf sourceId={id} name={source.name} />}
          {state !== 'merged' && data.twins.length > 0 && <Twins read={data} />}
          <SaidByCandidates said={data.said} />
          <Merged merges={data.merges} />
          <History history={data.history} origin={data.origin} />
        </aside>
      </div>
    </Overview>
  )
}

function aboutOf({ source, claims }: SourceRead): string {
  const place = [source.town, source.country].filter(Boolean).join(', ')
  return [say(`names.sourceKind.${source.kind}`), place, say('sources.claimsName', { count: claims })]
    .filter(Boolean)
    .join(' · ')
}
