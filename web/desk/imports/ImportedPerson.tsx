import { Link, useParams } from 'react-router'
import { writeWhen } from '#core/dates/write'
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
      about={[born && `born ${writeWhen(born)}`, mail, phone, hasAccount ? 'has an account' : 'has no account yet']
        .filter(Boolean)
        .join(' · ')}
    >
      <p className="mb-1">
        {came.map(({ importId, fileName, at, by }, nth) => (
          <span key={importId}>
            {nth === 0 ? 'Came with ' : ', and with '}
            <Link to={`/desk/imports/${importId}`} className="font-semibold text-confirmed">
              {fileName}
            </Link>{' '}
            on {writeMoment(at)}, by {by}
          </span>
        ))}
        .
      </p>
      {applications.length > 0 ? (
        <p>
          Has applied:{' '}
          {applications.map(({ id, title, reference, stage }) => (
            <Link key={id} to={`/desk/today/${id}`} className="mr-3 font-semibold text-confirmed">
              {title} <span className="font-mono text-[0.8333rem]">{reference}</span>, {stage}
            </Link>
          ))}
        </p>
      ) : (
        <p>Has not applied. What they write themselves is theirs until they send it.</p>
      )}
      <p className="mt-1 mb-3 flex flex-wrap gap-x-4 font-semibold text-confirmed">
        <Link to={`/desk/behalf?${begin}`}>Begin an application for them</Link>
        <Link to={`/desk/people/${candidateId}/access-log`}>Who saw what of this file</Link>
        <Link to={`/desk/trail?person=${candidateId}`}>Verify its record</Link>
      </p>
      <Table
        rows={claims}
        keyOf={({ id }) => id}
        empty="Nothing was claimed in the import."
        columns={[
          { name: '', of: ({ rung }) => <Mark name={rung} /> },
          { name: 'Claim', of: ({ label }) => <strong>{label}</strong> },
          { name: 'Source', of: ({ source }) => source },
          {
            name: 'From, to',
            of: ({ from, to }) =>
              [from ? writeWhen(from) : '', to === 'present' ? 'now' : to ? writeWhen(to) : '']
                .filter(Boolean)
                .join(' to '),
          },
          { name: 'Number', of: ({ number }) => <span className="font-mono text-[0.8333rem]">{number}</span> },
        ]}
      />
    </Overview>
  )
}
