import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useCurrency } from '../../useCurrency'
import { useSession } from '../../useSession'
import { Overview, Table } from '../overviews/Overview'
import { noTerms, TermsForm } from './TermsForm'

/** Employers who pay for their people, with what they owe. */
export function Employers() {
  const { may } = useSession()
  const [adding, setAdding] = useState(false)
  const { data, error, refetch } = api.endpoints.listEmployers.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('employers.title')} about={say('employers.about')}>
      <p className="mb-3 flex flex-wrap items-center gap-4">
        {may('addEmployer') && (
          <Button kind="main" onClick={() => setAdding(true)}>
            {say('employers.add')}
          </Button>
        )}
        <Link to="/desk/fees" className="font-semibold text-confirmed">
          {say('fees.allFees')}
        </Link>
      </p>
      <Table
        rows={data.employers}
        keyOf={({ id }) => id}
        empty={say('employers.none')}
        columns={[
          {
            name: say('employers.name'),
            of: ({ id, name, town, closed }) => (
              <>
                <Link to={`/desk/employers/${id}`} className="font-semibold text-confirmed">
                  {name}
                </Link>{' '}
                <span className="text-ink-2">{closed ? say('employers.closed') : town}</span>
              </>
            ),
          },
          {
            ...{ name: say('employers.waiting'), right: true },
            of: ({ asked }) => asked || '',
          },
          {
            ...{ name: say('employers.late'), right: true },
            of: ({ late }) => (late ? <span className="font-semibold text-contradicted">{late}</span> : ''),
          },
          {
            ...{ name: say('employers.owes'), right: true, whole: true },
            of: ({ owes, currency }) => writeAmount(owes, currency),
          },
          {
            ...{ name: say('employers.limit'), right: true, whole: true },
            of: ({ limit, currency }) => (limit === null ? say('employers.noLimit') : writeAmount(limit, currency)),
          },
        ]}
      />
      {adding && <Add onClose={() => setAdding(false)} />}
    </Overview>
  )
}

function Add({ onClose }: { onClose: () => void }) {
  const currency = useCurrency()
  const navigate = useNavigate()
  const { act, busy, problem } = useAct('addEmployer')
  const [terms, setTerms] = useState({ ...noTerms, currency })
  const [person, setPerson] = useState({ name: '', mail: '' })
  const add = async () => {
    const added = await act({ body: { terms, person } })
    if (added) navigate(`/desk/employers/${added.id}`)
  }
  return (
    <Dialog open onClose={onClose} title={say('employers.add')}>
      <div className="grid gap-3">
        <TermsForm terms={terms} onChange={setTerms} problem={problem} />
        <fieldset className="grid grid-cols-2 gap-3">
          <legend className="mb-2 font-semibold">{say('employers.firstPerson')}</legend>
          <TextField
            label={say('employers.personName')}
            value={person.name}
            onChange={({ target }) => setPerson({ ...person, name: target.value })}
            error={faultAt(problem, 'person/name')}
          />
          <TextField
            label={say('employers.personMail')}
            type="email"
            value={person.mail}
            onChange={({ target }) => setPerson({ ...person, mail: target.value })}
            error={faultAt(problem, 'person/mail')}
          />
        </fieldset>
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" busy={busy} onClick={() => void add()} className="justify-self-start">
          {say('employers.open')}
        </Button>
      </div>
    </Dialog>
  )
}
