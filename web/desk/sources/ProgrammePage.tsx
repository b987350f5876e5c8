import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { catalogue } from '#core/catalogue/catalogue'
import { writeWhen } from '#core/dates/write'
import type { Consulted, ResearchOutcome } from '#core/sources/research'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { choicesOf } from '../../ui/choices'
import { Choice, LongField, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { Overview } from '../overviews/Overview'
import { useToast } from '../useToast'
import { Rows } from './Rows'
import { YearField } from './YearField'

type Research = Reply<Contract['readResearch']>

/** One programme that is looked into: who does it, what they consulted, what they found, and the second reader. */
export function ProgrammePage() {
  const { id = '' } = useParams()
  const { data, error, refetch } = api.endpoints.readResearch.useQuery(
    { params: { id } },
    { refetchOnMountOrArgChange: true },
  )
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const { programme, source, state, version } = data
  return (
    <Overview title={programme.title} about={`${programme.award} · ${source.name}`}>
      <p className="mb-3">
        <Link to="/desk/sources/programmes" className="font-semibold text-confirmed">
          {say('sources.backToProgrammes')}
        </Link>
      </p>
      <div className="grid items-start gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
        {state === 'open' ? <Findings key={version} research={data} /> : <Found research={data} />}
        <aside className="grid gap-4" aria-label={say('sources.toDecide')}>
          <Standing research={data} />
          {state === 'second reader' && <SecondReading key={version} research={data} />}
          {data.recognised === false && <LookAgain research={data} />}
        </aside>
      </div>
    </Overview>
  )
}

function Standing({ research }: { research: Research }) {
  const { id, version, owner, mine, state, files, neededBy, programme, openedAt, concludedBy, concludedAt } = research
  const { act, busy, problem } = useAct('takeResearch')
  useFreshAfterClash(problem, 'desk')
  return (
    <section className="grid gap-2">
      <h2 className="text-[1.2rem]">{say(`sources.research.${state}`)}</h2>
      {state === 'open' && (
        <p>
          {owner ? say('sources.ownedBy', { owner }) : say('sources.nobodyLooks')}{' '}
          {!mine && (
            <Button busy={busy} onClick={() => void act({ params: { id }, body: { version } })}>
              {say('sources.takeIt')}
            </Button>
          )}
        </p>
      )}
      <ProblemNote problem={problem} />
      <p className="text-ink-2">
        {say('sources.openedOn', { day: writeShortDay(openedAt) })}
        {concludedBy &&
          concludedAt &&
          ` ${say('sources.concludedBy', { by: concludedBy, day: writeShortDay(concludedAt) })}`}
        {research.readBy &&
          research.readAt &&
          ` ${say('sources.readBy', { by: research.readBy, day: writeShortDay(research.readAt) })}`}
      </p>
      {research.note && state === 'open' && (
        <p className="border-soon-ink border-l-2 pl-3">{say('sources.sentBackWith', { note: research.note })}</p>
      )}
      {programme.link && (
        <p>
          <span className="text-ink-2">{say('sources.itsOwnPage')}</span>{' '}
          <span className="select-all break-all font-mono text-[0.8667rem]">{programme.link}</span>
        </p>
      )}
      <p className="text-ink-2">
        {neededBy ? say('sources.neededByDay', { day: writeWhen(neededBy) }) : say('sources.askedAhead')}
      </p>
      {files.length > 0 && (
        <ul className="flex flex-wrap gap-x-3">
          {files.map(({ id: file, reference }) => (
            <li key={file}>
              <Link to={`/desk/today/${file}`} className="font-mono text-confirmed">
                {reference}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

const blank = ({ programme }: Research): ResearchOutcome => ({
  ...{ level: programme.level, field: programme.field, recognised: true, comparableTo: '', why: '' },
  ...{ from: new Date().getFullYear() - 5, to: null },
})

/** What is being found: kept as it stands, and concluded once there is an outcome with its reason. */
function Findings({ research }: { research: Research }) {
  const { id, version } = research
  const [consulted, setConsulted] = useState<Consulted[]>(
    research.consulted.length > 0 ? research.consulted : [{ what: '', link: '' }],
  )
  const [outcome, setOutcome] = useState(research.outcome ?? blank(research))
  const { act, busy, problem } = useAct('saveResearch')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  const set = (change: Partial<ResearchOutcome>) => setOutcome((before) => ({ ...before, ...change }))
  const save = async (concluded: boolean) => {
    const named = consulted.filter(({ what, link }) => what.trim() !== '' || link !== '')
    if (await act({ params: { id }, body: { version, consulted: named, outcome, concluded } }))
      toast(say(concluded ? 'sources.researchConcluded' : 'sources.researchKept'))
  }
  return (
    <form
      className="grid gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save(true)
      }}
    >
      <Rows
        heading
        label={say('sources.consulted')}
        about={say('sources.consultedMean')}
        rows={consulted}
        onChange={setConsulted}
        blank={() => ({ what: '', link: '' })}
        add={say('sources.addConsulted')}
        remove={say('sources.takeOut')}
      >
        {(row, put, nth) => (
          <div className="grid gap-2 sm:grid-cols-2">
            <TextField
              label={say('sources.whatConsulted')}
              value={row.what}
              onChange={(event) => put({ what: event.target.value })}
              error={nth === 0 ? faultAt(problem, 'consulted') : undefined}
            />
            <TextField
              label={say('sources.link')}
              optional
              type="url"
              value={row.link}
              onChange={(event) => put({ link: event.target.value.trim() })}
              error={faultAt(problem, `consulted/${nth}/link`)}
            />
          </div>
        )}
      </Rows>
      <h2 className="text-[1.2rem]">{say('sources.whatWasFound')}</h2>
      <Choice
        label={say('sources.isItRecognised')}
        name="recognised"
        inline
        value={outcome.recognised ? 'yes' : 'no'}
        onChange={(value) => set({ recognised: value === 'yes' })}
        options={[
          { value: 'yes', label: say('sources.recognised') },
          { value: 'no', label: say('sources.notRecognised') },
        ]}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label={say('sources.level')}
          options={choicesOf(catalogue().levels, String(outcome.level))}
          value={String(outcome.level)}
          onChange={(event) => set({ level: Number(event.target.value) })}
        />
        <SelectField
          label={say('sources.field')}
          options={choicesOf(catalogue().fields, outcome.field)}
          value={outcome.field}
          onChange={(event) => set({ field: event.target.value })}
        />
        <TextField
          label={say('sources.comparableTo')}
          value={outcome.comparableTo}
          maxLength={200}
          onChange={(event) => set({ comparableTo: event.target.value })}
          error={faultAt(problem, 'outcome/comparableTo')}
        />
        <div className="flex gap-3">
          <YearField
            label={say('sources.holdsFrom')}
            value={outcome.from}
            onChange={(from) => set({ from: from ?? outcome.from })}
          />
          <YearField
            label={say('sources.holdsTo')}
            value={outcome.to}
            onChange={(to) => set({ to })}
            error={faultAt(problem, 'outcome/to')}
          />
        </div>
      </div>
      <LongField
        label={say('sources.whyFound')}
        rows={4}
        limit={2000}
        value={outcome.why}
        onChange={(event) => set({ why: event.target.value })}
        error={faultAt(problem, 'outcome/why')}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex flex-wrap gap-3">
        <Button kind="main" type="submit" busy={busy}>
          {say('sources.concludeIt')}
        </Button>
        <Button busy={busy} onClick={() => void save(false)}>
          {say('sources.keepForNow')}
        </Button>
      </div>
    </form>
  )
}

/** What was found, to be read. */
function Found({ research: { consulted, outcome } }: { research: Research }) {
  if (!outcome) return null
  const named = (list: readonly { key: string; name: string }[], key: string) =>
    list.find((one) => one.key === key)?.name ?? key
  const facts: [string, string][] = [
    [say('sources.level'), named(catalogue().levels, String(outcome.level))],
    [say('sources.field'), named(catalogue().fields, outcome.field)],
    [say('sources.comparableTo'), outcome.comparableTo],
    [say('sources.holds'), `${outcome.from} – ${outcome.to ?? say('sources.today')}`],
  ]
  return (
    <section className="grid gap-3">
      <h2 className="text-[1.2rem] first-letter:uppercase">
        {say(outcome.recognised ? 'sources.recognised' : 'sources.notRecognised')}
      </h2>
      <p className="whitespace-pre-line">{outcome.why}</p>
      <dl className="grid gap-x-4 gap-y-1 sm:grid-cols-[180px_1fr]">
        {facts.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-ink-2">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <h3 className="font-semibold">{say('sources.consulted')}</h3>
      <ul className="list-disc pl-5">
        {consulted.map(({ what, link }) => (
          <li key={`${what}${link}`}>
            {what} {link && <span className="select-all break-all font-mono text-[0.8667rem] text-ink-2">{link}</span>}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What was not recognised may be by now. */
function LookAgain({ research: { id, version } }: { research: Research }) {
  const { act, busy, problem } = useAct('reopenResearch')
  useFreshAfterClash(problem, 'desk')
  return (
    <div className="grid justify-items-start gap-2">
      <ProblemNote problem={problem} />
      <Button busy={busy} onClick={() => void act({ params: { id }, body: { version } })}>
        {say('sources.lookAgain')}
      </Button>
    </div>
  )
}

/** A second person agrees, or says why it goes back; where there is nobody else, alone and with a reason. */
function SecondReading({ research: { id, version, mayRead, alone } }: { research: Research }) {
  const [note, setNote] = useState('')
  const { act, busy, problem } = useAct('readAsSecond')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  if (!mayRead) return <p className="text-ink-2">{say('sources.somebodyElseReads')}</p>
  const read = async (agrees: boolean) => {
    const said = note.trim() === '' ? {} : alone && agrees ? { alone: note } : { note }
    if (await act({ params: { id }, body: { version, agrees, ...said } }))
      toast(say(agrees ? 'sources.researchAgreed' : 'sources.researchBack'))
  }
  return (
    <section className="grid gap-2">
      <LongField
        label={alone ? say('sources.whyReadAlone') : say('sources.whyBack')}
        rows={3}
        limit={1000}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        error={faultAt(problem, 'note') ?? faultAt(problem, 'alone')}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex flex-wrap gap-3">
        <Button kind="main" busy={busy} disabled={alone && !isReason(note)} onClick={() => void read(true)}>
          {say('sources.iAgree')}
        </Button>
        <Button busy={busy} disabled={!isReason(note)} onClick={() => void read(false)}>
          {say('sources.sendItBack')}
        </Button>
      </div>
    </section>
  )
}
