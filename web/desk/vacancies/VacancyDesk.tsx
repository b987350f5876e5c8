import { useState } from 'react'
import { Link, Navigate, NavLink, useNavigate, useParams } from 'react-router'
import type { DeskVacancy, VacancyState } from '#contract/vacancySetUp'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useTitle } from '../../ui/useTitle'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { DryRunPart } from './DryRunPart'
import { EqualityPart } from './EqualityPart'
import { FeesPart } from './FeesPart'
import { FormPart } from './FormPart'
import { PostPart } from './PostPart'
import { RequirementsPart } from './RequirementsPart'
import { ScoreSheetPart } from './ScoreSheetPart'
import { type RulesEditing, useRules } from './useRules'
import { VersionsPart } from './VersionsPart'

const parts = [
  { key: 'post', name: say('composer.thePost') },
  { key: 'form', name: say('composer.form') },
  { key: 'requirements', name: say('composer.requirements') },
  { key: 'fees', name: say('composer.fees') },
  { key: 'dry-run', name: say('composer.dryRun') },
  { key: 'scores', name: say('composer.scoreSheet') },
  { key: 'versions', name: say('composer.versions') },
  { key: 'equality', name: say('composer.voluntaryQuestions') },
] as const

/** A vacancy being set up: what is said of it, what it asks, and what a change would do. */
export function VacancyDesk() {
  const { id = '', part } = useParams()
  const mayEdit = useSession().holds('vacancies.set-up')
  const {
    data: vacancy,
    error,
    refetch,
  } = api.endpoints.readDeskVacancy.useQuery({ params: { id } }, { refetchOnMountOrArgChange: true })
  if (!vacancy) return <Waiting error={error} onRetry={refetch} />
  if (!parts.some(({ key }) => key === part)) return <Navigate to={`/desk/vacancies/${id}/post`} replace />
  return <Parts key={id} vacancy={vacancy} part={part as (typeof parts)[number]['key']} mayEdit={mayEdit} />
}

type PartsProps = { vacancy: DeskVacancy; part: (typeof parts)[number]['key']; mayEdit: boolean }

function Parts({ vacancy, part, mayEdit }: PartsProps) {
  const { may } = useSession()
  const shown = parts.filter(({ key }) => key !== 'equality' || may('equalityCounts'))
  useTitle(vacancy.title)
  const editing = useRules(vacancy.id, vacancy.draft, mayEdit)
  return (
    <main className="flex h-full min-h-0 flex-col bg-sheet" aria-label={vacancy.title}>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1 border-line border-b px-5 pt-2">
        <div className="min-w-0">
          <h1 className="truncate text-[1.3333rem]">{vacancy.title}</h1>
          <p className="text-[0.8333rem] text-ink-2">
            {[
              vacancy.place,
              stateWords[vacancy.state],
              vacancy.group?.title,
              vacancy.rulesVersion > 0
                ? say('composer.rulesVersion', { rulesVersion: vacancy.rulesVersion })
                : say('composer.noRulesPublished'),
            ]
              .filter(Boolean)
              .join(' · ')}
          </p>
        </div>
        <div className="ml-auto flex flex-wrap items-center gap-2">
          <Link to={`/vacancies/${vacancy.slug}`} className="font-semibold text-confirmed">
            {say('composer.asACandidateSeesIt')}
          </Link>
          {mayEdit && <Acts vacancy={vacancy} editing={editing} />}
        </div>
        <nav aria-label={say('composer.partsOfTheVacancy')} className="flex basis-full gap-1">
          {shown.map(({ key, name }) => (
            <NavLink
              key={key}
              to={`/desk/vacancies/${vacancy.id}/${key}`}
              className={({ isActive }) =>
                `border-b-2 px-2 py-1 ${isActive ? 'border-confirmed font-semibold' : 'border-transparent text-ink-2 hover:text-ink'}`
              }
            >
              {name}
            </NavLink>
          ))}
          {mayEdit && ['form', 'requirements', 'fees'].includes(part) && <SavedNote editing={editing} />}
        </nav>
      </div>
      {part === 'post' && <PostPart vacancy={vacancy} mayEdit={mayEdit} />}
      {part === 'form' && <FormPart vacancy={vacancy} editing={editing} />}
      {part === 'requirements' && <RequirementsPart vacancy={vacancy} editing={editing} />}
      {part === 'fees' && <FeesPart vacancy={vacancy} editing={editing} />}
      {part === 'dry-run' && <DryRunPart vacancy={vacancy} mayEdit={mayEdit} />}
      {part === 'equality' && <EqualityPart id={vacancy.id} />}
      {part === 'scores' && <ScoreSheetPart id={vacancy.id} mayEdit={mayEdit} />}
      {part === 'versions' && <VersionsPart vacancy={vacancy} mayEdit={mayEdit} />}
    </main>
  )
}

function SavedNote({ editing: { state, problem, faults, changed, undo, clash } }: { editing: RulesEditing }) {
  const count = faults.length === 1 ? say('composer.oneFault') : say('composer.countFaults', { count: faults.length })
  const words =
    state === 'waiting'
      ? say('composer.saving')
      : state === 'refused'
        ? (problem?.title ?? say('composer.notSavedYet'))
        : `${changed ? say('composer.savedNotPublished2') : say('composer.asPublished2')}${faults.length > 0 ? say('composer.toPutRight2', { value: count.replace(/^./, (letter) => letter.toUpperCase()) }) : ''}`
  return (
    <p
      role="status"
      className={`ml-auto flex items-center gap-3 ${state === 'refused' || faults.length > 0 ? 'font-semibold text-soon-ink' : 'text-ink-2'}`}
    >
      {undo && (
        <button type="button" className="font-semibold text-confirmed" onClick={undo}>
          {say('composer.undo')}
        </button>
      )}
      {words}
      {clash && (
        <>
          <button type="button" className="font-semibold text-confirmed" onClick={clash.keep}>
            {say('composer.keepWhatIsHere')}
          </button>
          <button type="button" className="font-semibold text-confirmed" onClick={clash.take}>
            {say('composer.takeTheOther')}
          </button>
        </>
      )}
    </p>
  )
}

export const stateWords: Record<VacancyState, string> = {
  draft: say('state.vacancyState.draft'),
  open: say('state.vacancyState.open'),
  closed: say('state.vacancyState.closed'),
  filled: say('state.vacancyState.filled'),
}

const acts: Record<VacancyState, readonly { to: VacancyState; name: string }[]> = {
  draft: [{ to: 'open', name: say('composer.openIt') }],
  open: [
    { to: 'closed', name: say('composer.closeIt') },
    { to: 'filled', name: say('composer.filled') },
  ],
  closed: [
    { to: 'open', name: say('composer.openItAgain') },
    { to: 'filled', name: say('composer.filled') },
  ],
  filled: [{ to: 'open', name: say('composer.openItAgain') }],
}

function Acts({ vacancy, editing }: { vacancy: DeskVacancy; editing: RulesEditing }) {
  const state = useAct('setVacancyState')
  const copying = useAct('createVacancy')
  const navigate = useNavigate()
  const toast = useToast()
  const [publishing, setPublishing] = useState(false)
  const turn = async (to: VacancyState) => {
    const done = await state.act({ params: { id: vacancy.id }, body: { version: vacancy.version, state: to } })
    if (done) toast(say('composer.isNow', { title: vacancy.title, stateWords: stateWords[to] }))
  }
  const copy = async () => {
    const made = await copying.act({ body: { title: vacancy.title, copyOf: vacancy.id } })
    if (made) navigate(`/desk/vacancies/${made.id}/post`)
  }
  return (
    <>
      <Button kind="quiet" busy={copying.busy} onClick={() => void copy()}>
        {say('composer.copy')}
      </Button>
      {acts[vacancy.state].map(({ to, name }) => (
        <Button key={to} busy={state.busy} onClick={() => void turn(to)}>
          {name}
        </Button>
      ))}
      <Button
        kind="main"
        disabled={!editing.changed || editing.faults.length > 0 || editing.state !== 'saved'}
        onClick={() => setPublishing(true)}
      >
        {say('composer.publishTheRules')}
      </Button>
      {state.problem && (
        <div className="basis-full">
          <ProblemNote problem={state.problem} />
        </div>
      )}
      <Publish vacancy={vacancy} editing={editing} open={publishing} onClose={() => setPublishing(false)} />
    </>
  )
}

type PublishProps = { vacancy: DeskVacancy; editing: RulesEditing; open: boolean; onClose: () => void }

/** Publishing says its consequence first. */
function Publish({ vacancy, editing, open, onClose }: PublishProps) {
  const { act, busy, problem } = useAct('publishRules')
  const { refetch } = api.endpoints.readDeskVacancy.useQuery({ params: { id: vacancy.id } })
  const [note, setNote] = useState('')
  const toast = useToast()
  const sent = vacancy.versions.reduce((sum, { applications }) => sum + applications, 0)
  const publish = async () => {
    const done = await act({ params: { id: vacancy.id }, body: { version: editing.version, note } })
    if (!done) return
    // What is done next is done to the version there is now.
    await refetch()
    setNote('')
    toast(say('composer.versionIsPublished', { rulesVersion: done.rulesVersion }))
    onClose()
  }
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={say('composer.publishVersion', { rulesVersion: vacancy.rulesVersion + 1 })}
    >
      <p>{say('composer.fromNowOnItHolds')}</p>
      {sent > 0 && (
        <p className="mt-1">
          {say('composer.theVersionTheySentUnder', {
            value: sent === 1 ? say('composer.onePersonWhoHasSent') : say('composer.peopleWhoHaveSentKeep', { sent }),
          })}
        </p>
      )}
      {sent > 0 && (!vacancy.dryRun || vacancy.dryRun.outdated || vacancy.dryRun.state !== 'done') && (
        <p className="mt-2 rounded-sheet bg-soon-wash px-3 py-2 text-soon-ink">
          {say('composer.noDryRunShowsYet')}{' '}
          <Link to={`/desk/vacancies/${vacancy.id}/dry-run`} onClick={onClose} className="font-semibold underline">
            {say('composer.toTheDryRun')}
          </Link>
        </p>
      )}
      <div className="mt-3">
        <TextField
          label={say('composer.whatIsNewForThe')}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          maxLength={500}
        />
      </div>
      <ProblemNote problem={problem} />
      <div className="mt-3 flex gap-2">
        <Button kind="main" data-first busy={busy} onClick={() => void publish()}>
          {say('composer.publishIt')}
        </Button>
        <Button kind="quiet" onClick={onClose}>
          {say('composer.notYet')}
        </Button>
      </div>
    </Dialog>
  )
}
