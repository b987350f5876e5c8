import { Link, useParams } from 'react-router'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Mark } from '../../ui/Mark'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { Overview, Table } from '../overviews/Overview'

/** Somebody who came with an import: what it brought, and the way to an application. */
export function ImportedPerson() {
  const { candidateId = '' } = useParams()
  const { data, error, refetch } = api.endpoints.readImportedPerson.useQuery(
    { params: { candidateId } },
    { refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { name, mail, phone, born, hasAccount, came, claims, applications } = data
  const [givenNames = '', familyName = ''] = [name.split(' ').slice(0, -1).join(' '), name.split(' ').at(-1)]
  const begin = new URLSearchParams({ givenNames, familyName, mail })
  return (
    <Overview
      title={name}
      about={[
        born && say('importsDesk.bornBorn', { born: writeWhen(born) }),
        mail,
        phone,
        hasAccount ? say('importsDesk.hasAnAccount') : say('importsDesk.hasNoAccountYet'),
      ]
        .filter(Boolean)
        .join(' · ')}
    >
      <p className="mb-1">
        {came.map(({ importId, fileName, at, by }, nth) => (
          <span key={importId}>
            {nth === 0 ? say('importsDesk.cameWith') : say('importsDesk.andWith')}
            <Link to={`/desk/imports/${importId}`} className="font-semibold text-confirmed">
              {fileName}
            </Link>{' '}
            {say('importsDesk.onBy', { at: writeMoment(at), by })}
          </span>
        ))}
        .
      </p>
      {applications.length > 0 ? (
        <p>
          {say('importsDesk.hasApplied')}{' '}
          {applications.map(({ id, title, reference, stage }) => (
            <Link key={id} to={`/desk/today/${id}`} className="mr-3 font-semibold text-confirmed">
              {title} <span className="font-mono text-[0.8333rem]">{reference}</span>, {say(`state.stage.${stage}`)}
            </Link>
          ))}
        </p>
      ) : (
        <p>{say('importsDesk.hasNotAppliedWhatThey')}</p>
      )}
      <p className="mt-1 mb-3 flex flex-wrap gap-x-4 font-semibold text-confirmed">
        <Link to={`/desk/behalf?${begin}`}>{say('importsDesk.beginAnApplicationForThem')}</Link>
        <Link to={`/desk/people/${candidateId}/access-log`}>{say('importsDesk.whoSawWhatOfThis')}</Link>
        <Link to={`/desk/trail?person=${candidateId}`}>{say('importsDesk.verifyItsRecord')}</Link>
      </p>
      <Table
        rows={claims}
        keyOf={({ id }) => id}
        empty={say('importsDesk.nothingWasClaimedInThe')}
        columns={[
          { name: '', of: ({ rung }) => <Mark name={rung} /> },
          { name: say('importsDesk.claim'), of: ({ label }) => <strong>{label}</strong> },
          { name: say('importsDesk.source'), of: ({ source }) => source },
          {
            name: say('importsDesk.fromTo'),
            of: ({ from, to }) =>
              [from ? writeWhen(from) : '', to === 'present' ? say('ui.now') : to ? writeWhen(to) : '']
                .filter(Boolean)
                .join(' to '),
          },
          {
            name: say('importsDesk.number'),
            of: ({ number }) => <span className="font-mono text-[0.8333rem]">{number}</span>,
          },
        ]}
      />
    </Overview>
  )
}
