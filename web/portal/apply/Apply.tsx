import { useEffect, useLayoutEffect } from 'react'
import { Link, Navigate, useParams } from 'react-router'
import type { Draft } from '#contract/applications'
import { isAsked } from '#core/form/answer'
import { claimsIn, type Section } from '#core/form/form'
import { isSent } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { api, writeFor } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { writeMoment, writeTime } from '../../ui/write'
import { FeesBeside } from '../fees/OwnFees'
import { TimeToFinish } from '../TimeToFinish'
import { BegunBefore } from './BegunBefore'
import { CredentialsSection } from './CredentialsSection'
import { EqualitySection } from './EqualitySection'
import { FinishReopened } from './FinishReopened'
import { FromBefore } from './FromBefore'
import { IdentitySection } from './IdentitySection'
import { PermissionSection } from './PermissionSection'
import { ownPlace, useApplyPlace } from './place'
import { QuestionsSection } from './QuestionsSection'
import { SendSection } from './SendSection'
import { StudySection } from './StudySection'
import { type Autosave, useAutosave } from './useAutosave'
import { VouchingSection } from './VouchingSection'
import { WorkSection } from './WorkSection'

/** What nobody else can say, show or sign for a candidate. */
const leftToThem = new Set<Section['holds']>(['identity', 'vouching', 'equality', 'permission', 'send'])

/** The application being written: sections on the left, one section in the middle, what is left on the right. */
export function Apply() {
  const { id = '', section: key } = useParams()
  const place = useApplyPlace()
  const forSomebody = place !== ownPlace
  // Before the first request of this page; what is written elsewhere is one’s own again.
  useLayoutEffect(() => writeFor(forSomebody ? id : undefined), [forSomebody, id])
  const { data: draft, error, refetch } = api.endpoints.readDraft.useQuery({ params: { id } })
  if (!draft) return <Waiting error={error} onRetry={refetch} />
  // Nothing is typed into what would refuse it.
  if (draft.completion?.setAside && !forSomebody && !isSent(draft))
    return (
      <main className="mx-auto max-w-[820px] px-4 py-8">
        <h1 className="text-[1.95em]">{draft.vacancy.title}</h1>
        <TimeToFinish id={id} completion={draft.completion} />
      </main>
    )
  const section = draft.form.find((candidate) => candidate.key === key)
  if (!section) return <Navigate to={`${place}/${id}/${draft.lastSection ?? draft.form[0]!.key}`} replace />
  // What was sent stays as it was; afterwards the file's own claims can be added to, and what is opened again is changed.
  const afterSending = isSent(draft)
  const open =
    ['work', 'study', 'credentials', 'identity', 'vouching', 'permission'].includes(section.holds) ||
    draft.reopened.some((part) => part.section === section.key) ||
    section.questions.some((question) => draft.stillAsked.includes(question.key))
  if (afterSending && !open) return <Navigate to={`/applications/${id}`} replace />
  return <Writing key={id} draft={draft} section={section} afterSending={afterSending} />
}

function Writing({ draft, section, afterSending }: { draft: Draft; section: Section; afterSending: boolean }) {
  const autosave = useAutosave(draft)
  const place = useApplyPlace()
  const asked = draft.form.filter((candidate) => isAsked(candidate, autosave.facts))
  const index = asked.indexOf(section)
  useEffect(() => {
    window.scrollTo({ top: 0 })
    document.title = `${translated(section).title}, ${draft.vacancy.title}`
  }, [section, draft.vacancy.title])
  const next = asked[index + 1]
  return (
    <main className="mx-auto grid max-w-[1240px] gap-x-9 gap-y-6 px-4 py-6 sm:px-7 lg:grid-cols-[200px_minmax(0,1fr)] xl:grid-cols-[200px_minmax(0,1fr)_270px]">
      <nav aria-label={say('apply.yourApplication')} className="max-lg:order-first">
        <p className="mb-2 px-2 font-semibold text-ink-2">{draft.vacancy.title}</p>
        {!afterSending && draft.vacancy.open && (
          <p className="mb-3 rounded-sheet bg-soon-wash px-2 py-1.5 font-semibold text-[0.9em] text-soon-ink">
            {say('apply.notSentYetCloses', {
              when: writeMoment(draft.vacancy.closesAt, draft.vacancy.timeZone),
            })}{' '}
            <span className="font-normal">({draft.vacancy.timeZone.replace(/_/g, ' ')})</span>
          </p>
        )}
        <details key={section.key} className="lg:hidden">
          <summary className="cursor-pointer rounded-sheet border border-line bg-sheet px-3 py-2 font-semibold">
            {say('apply.partOf', {
              index: index + 1,
              count: asked.length,
              title: translated(section).title,
            })}
          </summary>
          <SectionList draft={draft} section={section} autosave={autosave} />
        </details>
        <div className="max-lg:hidden">
          <SectionList draft={draft} section={section} autosave={autosave} />
        </div>
        <SavedNote autosave={autosave} />
      </nav>
      <div className="min-w-0">
        {!afterSending && !draft.vacancy.open && (
          <p
            role="alert"
            className="mb-4 rounded-sheet border border-contradicted bg-contradicted-wash px-4 py-3 text-contradicted"
          >
            <strong>
              {say('apply.thisVacancyClosedOn', {
                when: writeMoment(draft.vacancy.closesAt, draft.vacancy.timeZone),
              })}
            </strong>{' '}
            {say('apply.whatYouWroteIsKept')}
          </p>
        )}
        {place === ownPlace && draft.completion && <TimeToFinish id={draft.id} completion={draft.completion} />}
        <h1 className="text-[1.95em]">{translated(section).heading}</h1>
        <p className="mb-4 max-w-[60ch] text-ink-2">{translated(section).intro}</p>
        {place === ownPlace && draft.behalf && (
          <p className="mb-4 rounded-sheet bg-soon-wash px-4 py-3 text-soon-ink">{say('apply.weWroteThisDownFor')}</p>
        )}
        {!afterSending && place === ownPlace && <BegunBefore draft={draft} autosave={autosave} />}
        {afterSending || <FromBefore draft={draft} section={section} autosave={autosave} />}
        <SectionBody draft={draft} section={section} autosave={autosave} />
        {next && !afterSending && (
          <p className="mt-6">
            <Link
              to={`${place}/${draft.id}/${next.key}`}
              className="inline-block rounded-sheet border border-line-strong bg-sheet px-4 py-2 font-semibold hover:border-ink-3"
            >
              {say('apply.nextTitle', { title: translated(next).title })}
            </Link>
          </p>
        )}
        {afterSending &&
          draft.reopened
            .filter((part) => part.section === section.key)
            .map((part) => <FinishReopened key={part.id} draft={draft} part={part} autosave={autosave} />)}
        {afterSending && (
          <p className="mt-6">
            <Link to={`/applications/${draft.id}`} className="font-semibold text-confirmed">
              {say('apply.backToWhereItStands')}
            </Link>
          </p>
        )}
      </div>
      <aside className="max-xl:lg:col-start-2" aria-label={say('apply.whatIsLeft')}>
        <h2 className="mb-2 text-[1.25em]" aria-live="polite">
          {draft.left.length === 0
            ? say('apply.nothingIsLeft')
            : say('apply.whatIsLeftThings', { count: draft.left.length })}
        </h2>
        {draft.left.length === 0 && !afterSending && <p className="text-ink-2">{say('apply.readItThroughAndSend')}</p>}
        <ol className="divide-y divide-line border-line border-y empty:hidden">
          {draft.left.map(({ title, why, section: where }, nth) => (
            <li key={`${title}-${nth}`} className="grid grid-cols-[2em_1fr] py-2">
              <span className="font-mono text-ink-3">{nth + 1}</span>
              <span>
                {where ? (
                  <Link to={`${place}/${draft.id}/${where}`} className="font-semibold hover:underline">
                    {title}
                  </Link>
                ) : (
                  <strong>{title}</strong>
                )}
                <span className="block text-[0.88em] text-ink-2">{why}</span>
              </span>
            </li>
          ))}
        </ol>
        {!afterSending && <FeesBeside draft={draft} autosave={autosave} />}
        <p className="mt-3 text-[0.9em] text-ink-2">
          <Link to={`/vacancies/${draft.vacancy.slug}`} className="font-semibold text-confirmed">
            {say('apply.whyEachThingIsAsked')}
          </Link>
        </p>
      </aside>
    </main>
  )
}

function SectionList({ draft, section, autosave }: { draft: Draft; section: Section; autosave: Autosave }) {
  return (
    <ol className="grid gap-0.5">
      {draft.form.map((candidate) => (
        <li key={candidate.key}>
          <SectionLink
            id={draft.id}
            section={candidate}
            current={candidate === section}
            left={draft.left}
            empty={isEmptySection(candidate, draft)}
            asked={isAsked(candidate, autosave.facts)}
          />
        </li>
      ))}
    </ol>
  )
}

/** A section of one's record in which nothing is given; it may still be fine to send. */
function isEmptySection({ holds }: Section, { claims, vouchings }: Draft): boolean {
  if (holds === 'vouching') return vouchings.length === 0
  if (holds === 'credentials') return !claims.some(({ details }) => claimsIn[holds]?.includes(details.kind))
  if (holds === 'identity')
    return !claims.some(
      ({ details, documents }) => details.kind === 'identity' && (details.number !== '' || documents.length > 0),
    )
  return (holds === 'study' || holds === 'work') && !claims.some(({ details }) => details.kind === holds)
}

function SectionLink({
  id,
  section,
  current,
  left,
  empty,
  asked,
}: {
  id: string
  section: Section
  current: boolean
  left: Draft['left']
  empty: boolean
  asked: boolean
}) {
  const place = useApplyPlace()
  const open = left.filter((item) => item.section === section.key).length
  const words = !asked
    ? say('apply.notNeeded')
    : section.holds === 'send'
      ? ''
      : section.holds === 'equality'
        ? say('apply.voluntary')
        : open > 0
          ? say('apply.countLeft', { count: open })
          : empty
            ? say('apply.nothingYet')
            : say('apply.done')
  return (
    <Link
      to={`${place}/${id}/${section.key}`}
      aria-current={current ? 'page' : undefined}
      className={`flex items-baseline justify-between gap-2 rounded-sheet border px-2 py-1.5 ${current ? 'border-line bg-sheet font-semibold' : 'border-transparent hover:bg-sheet'}`}
    >
      <span>{translated(section).title}</span>
      <span className="whitespace-nowrap font-mono font-normal text-[0.82em] text-ink-3">{words}</span>
    </Link>
  )
}

function SectionBody({ draft, section, autosave }: { draft: Draft; section: Section; autosave: Autosave }) {
  const place = useApplyPlace()
  if (place !== ownPlace && leftToThem.has(section.holds))
    return <p className="text-ink-2">{say('apply.leftToThem', { person: draft.behalf?.person ?? '' })}</p>
  if (section.holds === 'study') return <StudySection draft={draft} />
  if (section.holds === 'work') return <WorkSection draft={draft} />
  if (section.holds === 'credentials') return <CredentialsSection draft={draft} />
  if (section.holds === 'identity') return <IdentitySection draft={draft} autosave={autosave} />
  if (section.holds === 'vouching') return <VouchingSection draft={draft} />
  if (section.holds === 'equality') return <EqualitySection draft={draft} section={section} />
  if (section.holds === 'permission') return <PermissionSection draft={draft} />
  if (section.holds === 'send') return <SendSection draft={draft} autosave={autosave} />
  if (isSent(draft)) return <QuestionsSection draft={draft} section={onlyOpen(section, draft)} autosave={autosave} />
  return <QuestionsSection draft={draft} section={section} autosave={autosave} />
}

/** The questions of a section that may be answered after sending: opened again, or still asked by a later gate. */
function onlyOpen(section: Section, { reopened, stillAsked }: Draft): Section {
  const parts = reopened.filter((part) => part.section === section.key)
  const may = (key: string) =>
    stillAsked.includes(key) || parts.some(({ question }) => question === null || question === key)
  return { ...section, questions: section.questions.filter(({ key }) => may(key)) }
}

function SavedNote({ autosave: { state, problem, savedAt } }: { autosave: Autosave }) {
  const words = {
    saved: `${say('apply.everythingIsSaved')} ${say('apply.lastAt', { time: writeTime(savedAt) })}`,
    waiting: say('apply.saving'),
    'no connection': `${say('apply.noConnectionWhatYouTyped')} ${say('apply.lastSavedAt', { time: writeTime(savedAt) })}`,
    refused: problem?.title ?? say('apply.oneAnswerCannotBeKept'),
  }
  return (
    <p
      role="status"
      className={`mt-4 px-2 text-[0.88em] ${state === 'refused' || state === 'no connection' ? 'font-semibold text-soon-ink' : 'text-ink-2'}`}
    >
      {words[state]} {state === 'saved' && say('apply.leaveWheneverYouLikeNothing')}
    </p>
  )
}
