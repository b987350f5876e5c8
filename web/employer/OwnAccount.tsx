import { useState } from 'react'
import type { EmployerView, OwnEmployerDetails } from '#contract/employers'
import { say } from '#core/words/say'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import { useSession } from '../useSession'
import { OwnDetails } from './OwnDetails'

/** Where invoices go, by which code candidates name the employer, and who decides for it. */
export function OwnAccount({ employer }: { employer: EmployerView }) {
  return (
    <div className="grid gap-6">
      <Code employer={employer} />
      <Details key={employer.version} employer={employer} />
      <People employer={employer} />
    </div>
  )
}

function Code({ employer: { code } }: { employer: EmployerView }) {
  const { act, busy, problem } = useAct('renewEmployerCode')
  return (
    <section>
      <h2 className="mb-1 text-[1.4em]">{say('employers.code')}</h2>
      <p className="font-mono text-[1.4em]">{code}</p>
      <p className="mb-2 text-ink-2">{say('employers.codeMeans')}</p>
      <Button busy={busy} onClick={() => void act({})}>
        {say('employers.newCode')}
      </Button>
      <ProblemNote problem={problem} />
    </section>
  )
}

function Details({ employer: { terms, version } }: { employer: EmployerView }) {
  const { act, busy, problem } = useAct('saveOwnEmployer')
  const { street, postcode, town, receiptMail, findable, orderNumberNeeded } = terms
  const [details, setDetails] = useState<OwnEmployerDetails>({
    ...{ street, postcode, town, receiptMail, findable, orderNumberNeeded },
  })
  return (
    <section className="grid gap-3">
      <h2 className="text-[1.4em]">{say('employers.part.invoices')}</h2>
      <OwnDetails details={details} onChange={setDetails} problem={problem} at="details" />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <Button
        kind="main"
        busy={busy}
        className="justify-self-start"
        onClick={() => void act({ body: { version, details } })}
      >
        {say('employers.save')}
      </Button>
    </section>
  )
}

function People({ employer: { people } }: { employer: EmployerView }) {
  const { account } = useSession()
  const remove = useAct('removeOwnPerson')
  const invite = useAct('inviteOwnPerson')
  const [person, setPerson] = useState<{ name: string; mail: string }>()
  const send = async () => {
    if (person && (await invite.act({ body: person }))) setPerson(undefined)
  }
  return (
    <section>
      <h2 className="mb-1 text-[1.4em]">{say('employers.people')}</h2>
      <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet">
        {people.map(({ id, name, mail, state }) => (
          <li key={id} className="flex flex-wrap items-baseline justify-between gap-x-4 px-4 py-2">
            <span>
              <span className="font-semibold">{name}</span> <span className="text-ink-2">{mail}</span>{' '}
              {state === 'invited' && <span className="text-soon-ink">{say('employers.invited')}</span>}
            </span>
            {state === 'invited' && (
              <Button
                kind="quiet"
                busy={invite.busy}
                aria-label={say('employers.inviteAgainTo', { name })}
                onClick={() => void invite.act({ body: { name, mail } })}
              >
                {say('employers.inviteAgain')}
              </Button>
            )}
            {mail !== account?.mail && (
              <Button
                kind="quiet"
                busy={remove.busy}
                aria-label={say('employers.removeNow', { name })}
                onClick={() => void remove.act({ params: { id } })}
              >
                {say('employers.remove')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <ProblemNote problem={remove.problem} />
      {person ? (
        <div className="mt-3 grid max-w-[460px] gap-3">
          <TextField
            label={say('employers.personName')}
            value={person.name}
            onChange={({ target }) => setPerson({ ...person, name: target.value })}
            error={faultAt(invite.problem, 'name')}
          />
          <TextField
            label={say('employers.personMail')}
            type="email"
            value={person.mail}
            onChange={({ target }) => setPerson({ ...person, mail: target.value })}
            error={faultAt(invite.problem, 'mail')}
          />
          <ProblemNote problem={invite.problem?.faults ? undefined : invite.problem} />
          <Button kind="main" busy={invite.busy} className="justify-self-start" onClick={() => void send()}>
            {say('employers.inviteNow')}
          </Button>
        </div>
      ) : (
        <p className="mt-2">
          <Button onClick={() => setPerson({ name: '', mail: '' })}>{say('employers.invite')}</Button>
        </p>
      )}
    </section>
  )
}
