import { useEffect, useState } from 'react'
import { useDispatch } from 'react-redux'
import { Link, useSearchParams } from 'react-router'
import type { DeskVacancy } from '#contract/rules'
import { gates } from '#core/requirements/requirement'
import type { Change } from '#core/rules/effect'
import { api } from '../../api'
import type { store } from '../../store'
import { Button } from '../../ui/Button'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { Table } from '../overviews/Overview'
import { useToast } from '../useToast'
import { gateWords } from './RequirementEditor'

const effectWords: Record<Change['effect'], string> = {
  gains: 'newly open',
  loses: 'no longer open',
  other: 'otherwise different',
}

/** What the rules being edited would do to every application in progress, before they are published. */
export function DryRunPart({ vacancy, mayEdit }: { vacancy: DeskVacancy; mayEdit: boolean }) {
  const starting = useAct('startDryRun')
  const run = vacancy.dryRun
  return (
    <div className="min-h-0 flex-1 overflow-auto px-5 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <p className="max-w-[70ch]">
          {vacancy.draft.changed
            ? 'Every application in progress is judged twice: by the rules it has, and by the rules being edited. Nothing is changed by that.'
            : 'The rules say what is published already; there is nothing to compare. Change the form or a requirement first.'}
        </p>
        {mayEdit && (
          <Button
            kind={!run || run.outdated ? 'main' : 'plain'}
            busy={starting.busy}
            disabled={!vacancy.draft.changed || run?.state === 'running' || run?.state === 'waiting'}
            onClick={() => void starting.act({ params: { id: vacancy.id } })}
          >
            {run ? 'Run it again' : 'Begin the dry run'}
          </Button>
        )}
      </div>
      <ProblemNote problem={starting.problem} />
      {run && <Result id={run.id} vacancy={vacancy} mayEdit={mayEdit} />}
    </div>
  )
}

function Result({ id, vacancy, mayEdit }: { id: string; vacancy: DeskVacancy; mayEdit: boolean }) {
  const [search, setSearch] = useSearchParams()
  const filter = {
    requirement: search.get('requirement') ?? undefined,
    effect: (search.get('effect') as Change['effect'] | null) ?? undefined,
    gate: (search.get('gate') as Change['gate'] | null) ?? undefined,
    text: search.get('text') ?? undefined,
    after: search.get('after') ?? undefined,
  }
  const [poll, setPoll] = useState(700)
  const {
    data: run,
    error,
    refetch,
  } = api.endpoints.readDryRun.useQuery(
    { params: { id }, query: filter },
    { pollingInterval: poll, refetchOnMountOrArgChange: true },
  )
  const dispatch = useDispatch<typeof store.dispatch>()
  const ended = run?.state === 'done' || run?.state === 'failed'
  useEffect(() => {
    setPoll(ended ? 0 : 700)
    if (ended && vacancy.dryRun?.state !== run.state) dispatch(api.util.invalidateTags(['rules']))
  }, [ended, run, vacancy.dryRun, dispatch])
  if (!run) return <Waiting error={error} onRetry={refetch} />
  const set = (name: string, value: string) =>
    setSearch(
      (before) => {
        const next = new URLSearchParams(before)
        next.delete('after')
        if (value) next.set(name, value)
        else next.delete(name)
        return next
      },
      { replace: true },
    )
  if (run.state === 'waiting' || run.state === 'running')
    return (
      <div className="mt-4 max-w-[520px]">
        <p role="status">
          {run.done} of {run.total} applications judged. You can leave; it goes on by itself and is found here again.
        </p>
        <progress
          className="mt-1 w-full accent-confirmed"
          max={Math.max(1, run.total)}
          value={run.done}
          aria-label="Applications judged"
        />
      </div>
    )
  if (run.state === 'failed')
    return (
      <p role="alert" className="mt-4 font-semibold text-contradicted">
        The dry run could not be finished. Nothing was changed; run it again.
      </p>
    )
  return (
    <div className="mt-3">
      <p className="mb-2">
        <strong>
          {run.affected === 0
            ? `Nobody comes out differently, of ${run.total} applications.`
            : `${run.affected} of ${run.total} applications come out differently.`}
        </strong>{' '}
        <span className="text-ink-2">
          Begun by {run.startedBy}, {writeMoment(run.startedAt, vacancy.timeZone)}.
        </span>
        {run.outdated && (
          <strong className="ml-2 text-soon-ink">The rules have been changed since; run it again.</strong>
        )}
      </p>
      {run.counts.length > 0 && (
        <div className="mb-4 max-w-[860px]">
          <Table
            rows={run.counts}
            keyOf={({ requirement }) => requirement}
            empty=""
            columns={[
              {
                name: 'Requirement',
                of: ({ requirement, title }) => (
                  <button
                    type="button"
                    className="text-left font-semibold text-confirmed"
                    aria-pressed={filter.requirement === requirement}
                    onClick={() => set('requirement', filter.requirement === requirement ? '' : requirement)}
                  >
                    {title}
                  </button>
                ),
              },
              { name: 'Gate', of: ({ gate }) => gateWords[gate] },
              { name: 'Newly open', right: true, of: ({ gains }) => gains },
              { name: 'No longer open', right: true, of: ({ loses }) => loses },
              { name: 'Otherwise different', right: true, of: ({ other }) => other },
            ]}
          />
        </div>
      )}
      {run.affected > 0 && (
        <>
          <div className="mb-2 flex flex-wrap items-end gap-3">
            <TextField
              label="Name or reference"
              value={filter.text ?? ''}
              onChange={(event) => set('text', event.target.value)}
            />
            <SelectField
              label="Requirement"
              value={filter.requirement ?? ''}
              empty="any"
              options={run.counts.map(({ requirement, title }) => ({ value: requirement, label: title }))}
              onChange={(event) => set('requirement', event.target.value)}
            />
            <SelectField
              label="What changes"
              value={filter.effect ?? ''}
              empty="anything"
              options={Object.entries(effectWords).map(([value, label]) => ({ value, label }))}
              onChange={(event) => set('effect', event.target.value)}
            />
            <SelectField
              label="At the gate"
              value={filter.gate ?? ''}
              empty="any"
              options={gates.map((value) => ({ value, label: gateWords[value] }))}
              onChange={(event) => set('gate', event.target.value)}
            />
          </div>
          <Table
            rows={run.people}
            keyOf={({ id: person }) => person}
            empty="Nobody fits these filters."
            columns={[
              {
                name: 'Person',
                of: ({ id: person, candidate, reference, stage }) =>
                  stage === 'being written' ? (
                    <span className="text-ink-2">{candidate}</span>
                  ) : (
                    <Link to={`/desk/applications/${person}`} className="font-semibold text-confirmed">
                      {candidate} <span className="font-mono font-normal">{reference}</span>
                    </Link>
                  ),
              },
              { name: 'Stage', of: ({ stage, rulesVersion }) => `${stage}, version ${rulesVersion}` },
              {
                name: 'What changes',
                of: ({ changes }) =>
                  changes.map((change) => (
                    <span key={change.requirement} className="block">
                      {change.title}: {changeWords(change)}
                    </span>
                  )),
              },
              {
                name: 'Gates',
                of: ({ gates: turned }) =>
                  turned.map(({ gate, after }) => `${gateWords[gate]}: ${after}`).join(', ') || 'as before',
              },
            ]}
          />
          {run.next && (
            <Button className="mt-2" onClick={() => set('after', run.next ?? '')}>
              The next 50
            </Button>
          )}
        </>
      )}
      {mayEdit && (
        <Move
          vacancy={vacancy}
          people={run.people.filter(
            ({ stage, rulesVersion }) => stage !== 'being written' && rulesVersion < vacancy.rulesVersion,
          )}
        />
      )}
    </div>
  )
}

function changeWords({ before, after, movedFrom, gate }: Change) {
  const word = (state: Change['before']) => (state === 'absent' ? 'not asked' : state)
  const moved = movedFrom && `, ${gateWords[gate].toLowerCase()} instead of ${gateWords[movedFrom].toLowerCase()}`
  if (before === after) return `${word(after)}${moved}`
  return (
    <>
      {word(before)} → <strong>{word(after)}</strong>
      {moved}
    </>
  )
}

type Person = { id: string; candidate: string }

/** Who has sent keeps the rules they sent under, unless somebody moves them and tells them why. */
function Move({ vacancy, people }: { vacancy: DeskVacancy; people: readonly Person[] }) {
  const { act, busy, problem } = useAct('moveApplications')
  const [reason, setReason] = useState('')
  const toast = useToast()
  if (people.length === 0) return null
  const move = async () => {
    const done = await act({ params: { id: vacancy.id }, body: { applications: people.map(({ id }) => id), reason } })
    if (!done) return
    setReason('')
    toast(
      `${done.moved === 1 ? 'One application is' : `${done.moved} applications are`} judged by version ${vacancy.rulesVersion} now.`,
    )
  }
  return (
    <section className="mt-5 max-w-[640px] border-line border-t pt-3">
      <h2 className="text-[1.0667rem]">Judge those who have sent by version {vacancy.rulesVersion}</h2>
      <p className="text-ink-2">
        {people.length === 1 ? people[0]!.candidate : `The ${people.length} people listed`} sent under an earlier
        version and keep it unless you move them. Each is told by mail what is asked differently, and why.
      </p>
      <LongField
        label="Why, as they will read it"
        rows={2}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <Button className="mt-2" busy={busy} disabled={reason.trim().length < 3} onClick={() => void move()}>
        {`Move ${people.length === 1 ? 'one application' : `${people.length} applications`} and tell them`}
      </Button>
    </section>
  )
}
