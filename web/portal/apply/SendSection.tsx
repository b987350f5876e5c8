import { Link } from 'react-router'
import type { Draft } from '#contract/applications'
import { writeWhen } from '#core/dates/write'
import { isAsked, isEmpty } from '#core/form/answer'
import { becauseKey, claimsIn, type Section } from '#core/form/form'
import { answerWords } from '#core/words/form'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { FeesToSend } from '../fees/OwnFees'
import { HeardOfUs } from './HeardOfUs'
import { ownPlace } from './place'
import type { Autosave } from './useAutosave'

/** Everything on one page with a way back to each place; sending is one act. */
export function SendSection({ draft, autosave }: { draft: Draft; autosave: Autosave }) {
  const { act, busy, problem } = useAct('sendApplication')
  const ready = draft.vacancy.open && draft.left.length === 0 && autosave.version !== undefined
  const send = () =>
    autosave.version !== undefined && act({ params: { id: draft.id }, body: { version: autosave.version } })
  return (
    <div className="grid max-w-[760px] gap-3">
      {draft.form
        .filter((section) => section.holds !== 'send' && isAsked(section, autosave.facts))
        .map((section) => (
          <Sheet key={section.key}>
            <div className="mb-1 flex items-baseline justify-between gap-3">
              <h2 className="text-[1.2em]">{translated(section).title}</h2>
              <Link
                to={`${ownPlace}/${draft.id}/${section.key}`}
                className="font-semibold text-confirmed"
                aria-label={say('apply.changeTitle', { title: translated(section).title })}
              >
                {say('apply.change')}
              </Link>
            </div>
            <Summary draft={draft} section={section} autosave={autosave} />
            {draft.left
              .filter((item) => item.section === section.key)
              .map(({ title, why }) => (
                <p key={title} className="mt-1 font-semibold text-soon-ink">
                  {title}: {why}
                </p>
              ))}
          </Sheet>
        ))}
      <FeesToSend draft={draft} autosave={autosave} />
      <Sheet>
        <p className="mb-3">
          {!draft.vacancy.open
            ? say('apply.thisVacancyIsClosedWhat')
            : draft.left.length > 0
              ? say('apply.sendingOpensWhenNothingIs', { count: draft.left.length })
              : say('apply.everythingIsHereItCan', {
                  when: writeMoment(draft.vacancy.closesAt, draft.vacancy.timeZone),
                })}
        </p>
        <ProblemNote problem={problem} />
        <div className="mt-3 max-w-[420px]">
          <HeardOfUs id={draft.id} />
        </div>
        <div className="mt-2">
          <Button kind="main" busy={busy} disabled={!ready} onClick={() => void send()}>
            {say('apply.sendMyApplication')}
          </Button>
        </div>
      </Sheet>
    </div>
  )
}

function Summary({ draft, section, autosave }: { draft: Draft; section: Section; autosave: Autosave }) {
  if (section.holds === 'permission')
    return (
      <p>
        {draft.permission ? say('apply.signedBy2', { fullName: draft.permission.fullName }) : say('apply.notSignedYet')}
      </p>
    )
  if (section.holds === 'equality') return <p className="text-ink-2">{say('apply.voluntaryAndNotPartOf')}</p>
  if (section.holds === 'vouching')
    return (
      <p>
        {draft.vouchings.length === 0
          ? say('apply.nobodyNamed')
          : draft.vouchings
              .map(({ name, state }) => (state === 'done' ? say('apply.hasAnswered', { name }) : name))
              .join(', ')}
      </p>
    )
  if (section.holds !== 'questions') {
    const claims = draft.claims.filter(({ details }) => claimsIn[section.holds]?.includes(details.kind))
    if (claims.length === 0) return <p className="text-ink-2">{say('apply.nothingGiven')}</p>
    return (
      <ul className="divide-y divide-line">
        {claims.map((claim) => (
          <li key={claim.id} className="py-1.5">
            <span className="font-semibold">{claim.label}</span>
            <span className="block text-[0.93em] text-ink-2">
              {'from' in claim.details
                ? say('apply.fromToTo', {
                    from: writeWhen(claim.details.from),
                    to: claim.details.to === 'present' ? say('apply.now') : writeWhen(claim.details.to),
                  })
                : 'number' in claim.details
                  ? claim.details.number
                  : ''}
              {claim.documents.length > 0 &&
                say('apply.withFileName', { fileName: claim.documents.map(({ fileName }) => fileName).join(', ') })}
            </span>
          </li>
        ))}
      </ul>
    )
  }
  return (
    <dl className="grid gap-x-4 gap-y-1 sm:grid-cols-[240px_1fr]">
      {section.questions
        .filter((question) => isAsked(question, autosave.facts))
        .map((question) => {
          const { key } = question
          const label = translated(question).label
          const answer = autosave.answer(key)
          const because = autosave.text(becauseKey(key))
          const papers = draft.claims.flatMap(({ details, documents }) =>
            details.kind === 'paper' && details.question === key ? documents : [],
          )
          return (
            <div key={key} className="contents">
              <dt className="text-ink-2">{label}</dt>
              <dd className="mb-1">
                {isEmpty(answer) ? (papers.length > 0 ? '' : '—') : answerWords(question, answer)}
                {because && <span className="block text-[0.93em] text-ink-2">{because}</span>}
                {papers.map(({ id, fileName }) => (
                  <span key={id} className="block text-[0.93em] text-ink-2">
                    {fileName}
                  </span>
                ))}
              </dd>
            </div>
          )
        })}
    </dl>
  )
}
