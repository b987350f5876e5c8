import { useEffect, useState } from 'react'
import { useDispatch } from 'react-redux'
import { Link, useSearchParams } from 'react-router'
import type { DeskVacancy } from '#contract/vacancySetUp'
import { isDraft, isSent } from '#core/hiring/stages'
import { gates } from '#core/requirements/requirement'
import type { Change } from '#core/rules/effect'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
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
import { gateWords } from './gateWords'

const effectWords: Record<Change['effect'], string> = {
  gains: say('composer.newlyOpen2'),
  loses: say('composer.noLongerOpen2'),
  other: say('composer.otherwiseDifferent2'),
}

/** What the rules being edited would do to every application in progress, before they are published. */
export function DryRunPart({ vacancy, mayEdit }: { vacancy: DeskVacancy; mayEdit: boolean }) {
  const starting = useAct('startDryRun')
  const run = vacancy.dryRun
  return (
    <div className="min-h-0 flex-1 overflow-auto px-5 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <p className="max-w-[70ch]">
          {vacancy.draft.changed ? say('composer.everyApplicationInProgressIs') : say('composer.theRulesSayWhatIs')}
        </p>
        {mayEdit && (
          <Button
            kind={!run || run.outdated ? 'main' : 'plain'}
            busy={starting.busy}
            disabled={!vacancy.draft.changed || run?.state === 'running' || run?.state === 'waiting'}
            onClick={() => void starting.act({ params: { id: vacancy.id } })}
          >
            {run ? say('composer.runItAgain') : say('composer.beginTheDryRun')}
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
        <p role="status">{say('composer.ofApplicationsJudgedYouCan', { done: run.done, total: run.total })}</p>
        <progress
          className="mt-1 w-full accent-confirmed"
          max={Math.max(1, run.total)}
          value={run.done}
          aria-label={say('composer.applicationsJudged')}
        />
      </div>
    )
  if (run.state === 'failed')
    return (
      <p role="alert" className="mt-4 font-semibold text-contradicted">
        {say('composer.theDryRunCouldNot')}
      </p>
    )
  return (
    <div className="mt-3">
      <p className="mb-2">
        <strong>
          {run.affected === 0
            ? say('composer.nobodyComesOutDifferentlyOf', { total: run.total })
            : say('composer.ofApplicationsComeOutDifferently', { affected: run.affected, total: run.total })}
        </strong>{' '}
        <span className="text-ink-2">
          {say('composer.begunBy', {
            startedBy: run.startedBy,
            startedAt: writeMoment(run.startedAt, vacancy.timeZone),
          })}
        </span>
        {run.outdated && <strong className="ml-2 text-soon-ink">{say('composer.theRulesHaveBeenChanged')}</strong>}
      </p>
      {run.counts.length > 0 && (
        <div className="mb-4 max-w-[860px]">
          <Table
            rows={run.counts}
            keyOf={({ requirement }) => requirement}
            empty=""
            columns={[
              {
                name: say('composer.requirement'),
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
              { name: say('composer.gate'), of: ({ gate }) => gateWords[gate] },
              { name: say('composer.newlyOpen'), right: true, of: ({ gains }) => gains },
              { name: say('composer.noLongerOpen'), right: true, of: ({ loses }) => loses },
              { name: say('composer.otherwiseDifferent'), right: true, of: ({ other }) => other },
            ]}
          />
        </div>
      )}
      {run.affected > 0 && (
        <>
          <div className="mb-2 flex flex-wrap items-end gap-3">
            <TextField
              label={say('composer.nameOrReference')}
              value={filter.text ?? ''}
              onChange={(event) => set('text', event.target.value)}
            />
            <SelectField
              label={say('composer.requirement')}
              value={filter.requirement ?? ''}
              empty={say('composer.any')}
              options={run.counts.map(({ requirement, title }) => ({ value: requirement, label: title }))}
              onChange={(event) => set('requirement', event.target.value)}
            />
            <SelectField
              label={say('composer.whatChanges')}
              value={filter.effect ?? ''}
              empty={say('composer.anything')}
              options={Object.entries(effectWords).map(([value, label]) => ({ value, label }))}
              onChange={(event) => set('effect', event.target.value)}
            />
            <SelectField
              label={say('composer.atTheGate')}
              value={filter.gate ?? ''}
              empty={say('composer.any')}
              options={gates.map((value) => ({ value, label: gateWords[value] }))}
              onChange={(event) => set('gate', event.target.value)}
            />
          </div>
          <Table
            rows={run.people}
            keyOf={({ id: person }) => person}
            empty={say('composer.nobodyFitsTheseFilters')}
            columns={[
              {
                name: say('composer.person'),
                of: ({ id: person, candidate, reference, stage }) =>
                  isDraft({ stage }) ? (
                    <span className="text-ink-2">{candidate}</span>
                  ) : (
                    <Link to={`/desk/applications/${person}`} className="font-semibold text-confirmed">
                      {candidate} <span className="font-mono font-normal">{reference}</span>
                    </Link>
                  ),
              },
              {
                name: say('composer.stage'),
                of: ({ stage, rulesVersion }) =>
                  say('composer.stageVersionRulesVersion', { stage: say(`state.stage.${stage}`), rulesVersion }),
              },
              {
                name: say('composer.whatChanges'),
                of: ({ changes }) =>
                  changes.map((change) => (
                    <span key={change.requirement} className="block">
                      {change.title}: {changeWords(change)}
                    </span>
                  )),
              },
              {
                name: say('composer.gates'),
                of: ({ gates: turned }) =>
                  turned
                    .map(({ gate, after }) => `${gateWords[gate]}: ${say(`composer.gateNow.${after}`)}`)
                    .join(', ') || say('composer.asBefore'),
              },
            ]}
          />
          {run.next && (
            <Button className="mt-2" onClick={() => set('after', run.next ?? '')}>
              {say('composer.theNext50')}
            </Button>
          )}
        </>
      )}
      {mayEdit && (
        <Move
          vacancy={vacancy}
          people={run.people.filter(
            ({ stage, rulesVersion }) => isSent({ stage }) && rulesVersion < vacancy.rulesVersion,
          )}
        />
      )}
    </div>
  )
}

function changeWords({ before, after, movedFrom, gate }: Change) {
  const word = (state: Change['before']) =>
    state === 'absent' ? say('composer.notAsked') : say(`state.outcome.${state}`)
  const moved =
    movedFrom &&
    say('composer.insteadOf', {
      toLowerCase: gateWords[gate].toLowerCase(),
      toLowerCase2: gateWords[movedFrom].toLowerCase(),
    })
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
      say('composer.judgedByVersionNow', {
        value:
          done.moved === 1 ? say('composer.oneApplicationIs') : say('composer.applicationsAre', { moved: done.moved }),
        rulesVersion: vacancy.rulesVersion,
      }),
    )
  }
  return (
    <section className="mt-5 max-w-[640px] border-line border-t pt-3">
      <h2 className="text-[1.0667rem]">
        {say('composer.judgeThoseWhoHaveSent', { rulesVersion: vacancy.rulesVersion })}
      </h2>
      <p className="text-ink-2">
        {say('composer.sentUnderAnEarlierVersion', {
          value: people.length === 1 ? people[0]!.candidate : say('composer.thePeopleListed', { count: people.length }),
        })}
      </p>
      <LongField
        label={say('composer.whyAsTheyWillRead')}
        rows={2}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <Button className="mt-2" busy={busy} disabled={!isReason(reason)} onClick={() => void move()}>
        {say('composer.moveAndTellThem', {
          value:
            people.length === 1
              ? say('composer.oneApplication')
              : say('composer.countApplications', { count: people.length }),
        })}
      </Button>
    </section>
  )
}
