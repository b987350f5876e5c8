import { useState } from 'react'
import { Link } from 'react-router'
import type { EmployerDetail, EmployerInvoiceLine, PayerRequestLine } from '#contract/employers'
import { writeWhen } from '#core/dates/write'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { WithReason } from '../file/WithReason'
import { Overview, Table } from '../overviews/Overview'
import { NotePayment } from './NotePayment'
import { TermsForm } from './TermsForm'

/** One employer: what is agreed, who decides, what it was asked and what it owes. */
export function EmployerPage({ id }: { id: string }) {
  const { data, error, refetch } = api.endpoints.readEmployer.useQuery(
    { params: { id } },
    { refetchOnMountOrArgChange: true, refetchOnFocus: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { terms, owes, closed } = data
  const values = { amount: writeAmount(owes, terms.currency), limit: writeAmount(terms.limit ?? 0, terms.currency) }
  return (
    <Overview
      title={terms.name}
      about={`${closed ? `${say('employers.closedMeans')} ` : ''}${say(terms.limit === null ? 'employers.owesAmount' : 'employers.owesOf', values)}`}
    >
      <p className="mb-2">
        <Link to="/desk/employers" className="font-semibold text-confirmed">
          {say('employers.all')}
        </Link>
      </p>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="grid min-w-0 content-start gap-4">
          <section aria-label={say('employers.requests')}>
            <h2 className="text-[1.2rem]">{say('employers.requests')}</h2>
            <Requests requests={data.requests} />
          </section>
          <section aria-label={say('employers.invoices')}>
            <h2 className="text-[1.2rem]">{say('employers.invoices')}</h2>
            <Invoices invoices={data.invoices} today={data.today} />
          </section>
        </div>
        <div className="grid content-start gap-4">
          <Agreed employer={data} />
          <People employer={data} />
        </div>
      </div>
    </Overview>
  )
}

const Requests = ({ requests }: { requests: readonly PayerRequestLine[] }) => (
  <Table
    rows={requests}
    keyOf={({ id }) => id}
    empty={say('employers.noRequests')}
    columns={[
      {
        name: say('employers.who'),
        of: ({ name, reference, fee }) => (
          <>
            {name} <span className="font-mono text-[0.8667rem] text-ink-2">{reference}</span>{' '}
            <span className="text-ink-2">{fee}</span>
          </>
        ),
      },
      { name: say('employers.orderNumber'), of: ({ orderNumber }) => orderNumber },
      {
        ...{ name: say('employers.amount'), right: true, whole: true },
        of: ({ amount, currency }) => writeAmount(amount, currency),
      },
      {
        name: say('fees.state'),
        of: (request) => (
          <>
            {say(`employers.state.${request.state}`)} {request.reason && <q className="text-ink-2">{request.reason}</q>}
            <Back request={request} />
          </>
        ),
      },
    ]}
  />
)

function Back({ request: { id, state, amount } }: { request: PayerRequestLine }) {
  const { may } = useSession()
  const { act, busy, problem } = useAct('returnToCandidate')
  const [changing, setChanging] = useState(false)
  if (state !== 'accepted' || amount <= 0 || !may('returnToCandidate')) return null
  if (!changing)
    return (
      <Button kind="quiet" onClick={() => setChanging(true)}>
        {say('employers.back')}
      </Button>
    )
  return (
    <WithReason
      means={say('employers.backMeans')}
      label={say('fees.reason')}
      act={say('employers.backNow')}
      busy={busy}
      problem={problem}
      onReason={(reason) => void act({ params: { id }, body: { reason } })}
      onDone={() => setChanging(false)}
    />
  )
}

function Invoices({ invoices, today }: { invoices: readonly EmployerInvoiceLine[]; today: string }) {
  return (
    <Table
      rows={invoices}
      keyOf={({ id }) => id}
      empty={say('employers.noInvoices')}
      columns={[
        {
          name: say('employers.papers'),
          of: ({ id, documents }) => (
            <span className="flex flex-wrap gap-x-3">
              {documents.map((one) => (
                <a
                  key={one.id}
                  href={`/api/desk/employer-invoices/${id}/documents/${one.id}`}
                  className="font-semibold text-confirmed"
                >
                  {say(`fees.document.${one.kind}`)} {one.number}
                </a>
              ))}
            </span>
          ),
        },
        {
          ...{ name: say('employers.dueOn'), whole: true },
          of: ({ dueOn, late }) => <span className={late ? 'text-contradicted' : ''}>{writeWhen(dueOn)}</span>,
        },
        {
          ...{ name: say('employers.total'), right: true, whole: true },
          of: ({ total, currency }) => writeAmount(total, currency),
        },
        {
          ...{ name: say('employers.openAmount'), right: true, whole: true },
          of: ({ owed, currency }) => owedWords(owed, currency),
        },
        { name: '', of: (invoice) => <Received invoice={invoice} today={today} /> },
      ]}
    />
  )
}

function owedWords(owed: number, currency: string): string {
  if (owed === 0) return say('employers.paid')
  return owed < 0 ? say('employers.weOwe', { amount: writeAmount(-owed, currency) }) : writeAmount(owed, currency)
}

function Received({ invoice: { id, owed, currency }, today }: { invoice: EmployerInvoiceLine; today: string }) {
  const { may } = useSession()
  const { act, busy, problem } = useAct('recordInvoicePayment')
  const [noting, setNoting] = useState(false)
  if (owed === 0 || !may('recordInvoicePayment')) return null
  const givenBack = owed < 0
  const title = say(givenBack ? 'employers.givenBack' : 'employers.received')
  return (
    <>
      <Button kind="quiet" onClick={() => setNoting(true)}>
        {title}
      </Button>
      {noting && (
        <NotePayment
          {...{ title, currency, amount: Math.abs(owed), today, busy, problem }}
          onNote={async (noted) => {
            if (await act({ params: { id }, body: { ...noted, givenBack } })) setNoting(false)
          }}
          onClose={() => setNoting(false)}
        />
      )}
    </>
  )
}

function Agreed({ employer }: { employer: EmployerDetail }) {
  const { terms, code, closed } = employer
  const { may } = useSession()
  const [changing, setChanging] = useState(false)
  return (
    <section aria-label={say('employers.agreed')}>
      <h2 className="text-[1.2rem]">{say('employers.agreed')}</h2>
      <dl className="mb-2 grid grid-cols-[auto_1fr] gap-x-4">
        <dt className="text-ink-2">{say('employers.code')}</dt>
        <dd className="font-mono">{code}</dd>
        <dt className="text-ink-2">{say('employers.invoicing')}</dt>
        <dd>{say(`employers.invoicing.${terms.invoicing}`)}</dd>
        <dt className="text-ink-2">{say('employers.dueDays')}</dt>
        <dd>{terms.dueDays}</dd>
        <dt className="text-ink-2">{say('employers.limit')}</dt>
        <dd>{terms.limit === null ? say('employers.noLimit') : writeAmount(terms.limit, terms.currency)}</dd>
        <dt className="text-ink-2">{say('employers.address')}</dt>
        <dd>{[terms.street, `${terms.postcode} ${terms.town}`.trim()].filter(Boolean).join(', ')}</dd>
        {terms.receiptMail && <dt className="text-ink-2">{say('employers.receiptMail')}</dt>}
        {terms.receiptMail && <dd>{terms.receiptMail}</dd>}
      </dl>
      {may('changeEmployer') && (
        <Button kind="quiet" onClick={() => setChanging(true)}>
          {say(closed ? 'employers.reopen' : 'employers.change')}
        </Button>
      )}
      {changing && <Change employer={employer} onClose={() => setChanging(false)} />}
    </section>
  )
}

function Change({
  employer: { id, version, terms: before, closed },
  onClose,
}: {
  employer: EmployerDetail
  onClose: () => void
}) {
  const { act, busy, problem } = useAct('changeEmployer')
  const [terms, setTerms] = useState(before)
  const save = async (nowClosed: boolean) => {
    if (await act({ params: { id }, body: { version, terms, closed: nowClosed } })) onClose()
  }
  return (
    <Dialog open onClose={onClose} title={say('employers.agreed')}>
      <div className="grid gap-3">
        <TermsForm terms={terms} onChange={setTerms} problem={problem} />
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <div className="flex flex-wrap gap-2">
          <Button kind="main" busy={busy} onClick={() => void save(false)}>
            {say(closed ? 'employers.reopen' : 'employers.save')}
          </Button>
          {!closed && (
            <Button kind="quiet" busy={busy} onClick={() => void save(true)}>
              {say('employers.close')}
            </Button>
          )}
        </div>
      </div>
    </Dialog>
  )
}

function People({ employer: { id, people } }: { employer: EmployerDetail }) {
  const { may } = useSession()
  const { act, busy, problem } = useAct('invitePerson')
  const [person, setPerson] = useState<{ name: string; mail: string }>()
  const invite = async () => {
    if (person && (await act({ params: { id }, body: person }))) setPerson(undefined)
  }
  return (
    <section aria-label={say('employers.people')}>
      <h2 className="text-[1.2rem]">{say('employers.people')}</h2>
      <ul className="mb-2">
        {people.map(({ id: own, name, mail, state }) => (
          <li key={own}>
            {name} <span className="text-ink-2">{mail}</span>{' '}
            {state === 'invited' && <span className="text-soon-ink">{say('employers.invited')}</span>}
            {state === 'invited' && may('invitePerson') && (
              <Button
                kind="quiet"
                busy={busy}
                aria-label={say('employers.inviteAgainTo', { name })}
                onClick={() => void act({ params: { id }, body: { name, mail } })}
              >
                {say('employers.inviteAgain')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {may('invitePerson') && (
        <Button kind="quiet" onClick={() => setPerson({ name: '', mail: '' })}>
          {say('employers.invite')}
        </Button>
      )}
      {person && (
        <Dialog open onClose={() => setPerson(undefined)} title={say('employers.invite')}>
          <div className="grid gap-3">
            <TextField
              label={say('employers.personName')}
              value={person.name}
              onChange={({ target }) => setPerson({ ...person, name: target.value })}
              error={faultAt(problem, 'name')}
              data-first
            />
            <TextField
              label={say('employers.personMail')}
              type="email"
              value={person.mail}
              onChange={({ target }) => setPerson({ ...person, mail: target.value })}
              error={faultAt(problem, 'mail')}
            />
            <ProblemNote problem={problem?.faults ? undefined : problem} />
            <Button kind="main" busy={busy} onClick={() => void invite()} className="justify-self-start">
              {say('employers.inviteNow')}
            </Button>
          </div>
        </Dialog>
      )}
    </section>
  )
}
