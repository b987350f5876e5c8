import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { Status } from '#contract/status'
import { writeWhen } from '#core/dates/write'
import { isActive } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { Waiting } from '../../ui/Waiting'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import { Attestations } from '../apply/Attestations'
import { BringCredentials } from '../apply/BringCredential'
import { KnownStudies } from '../apply/KnownStudyNote'
import { LivePortrait } from '../apply/LivePortrait'
import { GiveToSource, withoutSourcePapers } from '../apply/WhatSourceAsks'
import { WhomWeAsk } from '../apply/WhomWeAsk'
import { Documents } from '../documents/Documents'
import { Fees } from '../fees/Fees'
import { TimeToFinish } from '../TimeToFinish'
import { AskUs } from './AskUs'
import { ChosenRecipients } from './ChosenRecipients'
import { CorrectContact } from './CorrectContact'
import { CoverSheets } from './CoverSheets'
import { Hearings } from './Hearings'
import { OfferCard } from './OfferCard'
import { Originals } from './Originals'
import { OwnReports } from './OwnReports'
import { RenewalForm } from './RenewalForm'
import { TaskCard } from './TaskCard'

const shownAtFirst = 12

/** Where an application stands: who has the ball, what to do next, what others are doing, what happened. */
export function StatusPage() {
  const [all, setAll] = useState(false)
  const { id = '' } = useParams()
  const {
    data: status,
    error,
    refetch,
  } = api.endpoints.readStatus.useQuery({ params: { id } }, { refetchOnMountOrArgChange: true, refetchOnFocus: true })
  if (!status) return <Waiting error={error} onRetry={refetch} />
  return (
    <main className="mx-auto grid max-w-[1120px] gap-x-9 gap-y-6 px-4 py-7 sm:px-7 lg:grid-cols-[minmax(0,1fr)_300px]">
      <div className="min-w-0">
        <p className="text-ink-2">
          {status.reference ? (
            <>
              {say('status.reference')} <span className="font-mono text-ink">{status.reference}</span>
            </>
          ) : (
            say('status.notSentYet')
          )}
        </p>
        <h1 className="text-[2.1em]">{status.title}</h1>
        <p
          className={`mt-2 rounded-sheet px-3 py-2 text-[1.1em] ${status.toDo.length > 0 ? 'bg-soon-wash font-semibold text-soon-ink' : 'bg-confirmed-wash text-confirmed'}`}
          data-testid="ball"
        >
          {status.ball}
        </p>
        {status.completion && <TimeToFinish id={id} completion={status.completion} />}
        {status.again && (
          <p className="mt-3">
            <Go to={`/vacancies/${status.again}`}>{say('status.applyAgain')}</Go>
          </p>
        )}
        {status.likely && (
          <p className="mt-2 text-ink-2">
            {say('status.likelyReadyToStartOn', {
              likely: writeWhen(status.likely.likely),
              early: writeWhen(status.likely.early),
              late: writeWhen(status.likely.late),
              start: writeWhen(status.targetStart),
            })}
          </p>
        )}
        {status.decidesOn && (
          <p className="mt-2 text-ink-2">{say('status.youHearBy', { day: writeWhen(status.decidesOn) })}</p>
        )}
        {status.toDo.length > 0 && (
          <section className="mt-6">
            <h2 className="mb-2 text-[1.4em]">{say('status.whatToDoNext')}</h2>
            <div className="grid gap-3">
              {status.toDo.map((item) => (
                <ToDo key={item.key} item={item} status={status} />
              ))}
            </div>
          </section>
        )}
        <Fees id={status.id} />
        <Hearings claims={status.claims} />
        {status.matters.length > 0 && (
          <section className="mt-7">
            <h2 className="mb-2 text-[1.4em]">{say('status.whatYouDeclared')}</h2>
            <Lines
              rows={status.matters.map(({ title, state, on, reason }) => ({
                title,
                why: [say(`status.matter.${state}`), reason].filter(Boolean).join(' '),
                aside: on ? writeWhen(on) : say('status.withUs'),
              }))}
            />
          </section>
        )}
        {status.owed.length > 0 && (
          <section className="mt-7">
            <h2 className="mb-2 text-[1.4em]">{say('status.stillToCome')}</h2>
            <div className="grid gap-3">
              {status.owed.map(({ claim: id, title, finalBy }) => {
                const claim = status.claims.find((one) => one.id === id)
                return (
                  <Sheet key={id}>
                    <h3 className="font-semibold text-[1.07em]">{title}</h3>
                    <p className="mb-2 text-ink-2">{say('status.finalPaperBy', { day: writeWhen(finalBy) })}</p>
                    {claim && <Documents claim={claim} prompt={say('status.addTheFinalPaper')} />}
                  </Sheet>
                )
              })}
            </div>
          </section>
        )}
        {status.withOthers.length > 0 && (
          <section className="mt-7">
            <h2 className="mb-2 text-[1.4em]">{say('status.whatOthersAreDoing')}</h2>
            <Lines
              rows={status.withOthers.map(({ title, why, who }) => ({
                title,
                why,
                aside: say('status.withWho', { who }),
              }))}
            />
          </section>
        )}
        {status.done.length > 0 && (
          <section className="mt-7">
            <h2 className="mb-2 text-[1.4em]">{say('status.done')}</h2>
            <Lines rows={status.done.map(({ title, why }) => ({ title, why }))} />
          </section>
        )}
        {isActive(status) && (
          <div className="mt-7">
            <KnownStudies claims={status.claims} studies={status.studies} />
            <WhomWeAsk claims={status.claims} />
            <BringCredentials applicationId={status.id} claims={status.claims} />
          </div>
        )}
        <Originals id={status.id} />
        <ChosenRecipients id={status.id} canAdd={isActive(status)} />
        <OwnReports id={status.id} />
        <CoverSheets id={status.id} />
        <AskUs status={status} />
      </div>
      <aside className="grid content-start gap-5">
        <Sheet>
          <h2 className="mb-2 text-[1.2em]">{say('status.theWayToTheFirst')}</h2>
          <ol className="grid gap-2">
            {status.gates.map(({ gate, name, state, passedAt }) => (
              <li key={gate} className="flex justify-between gap-3">
                <span className={state === 'later' ? 'text-ink-3' : 'font-semibold'}>{name}</span>
                <span className="text-[0.93em] text-ink-2">
                  {passedAt ? writeDayOf(passedAt) : state === 'next' ? say('status.next') : ''}
                </span>
              </li>
            ))}
          </ol>
        </Sheet>
        <Sheet>
          <h2 className="mb-2 text-[1.2em]">{say('status.whatHappened')}</h2>
          <ol className="grid gap-2">
            {status.happenings.slice(0, all ? undefined : shownAtFirst).map(({ at, text }) => (
              <li key={`${at}${text}`} className="grid grid-cols-[58px_1fr] gap-2 text-[0.93em]">
                <span className="font-mono text-[0.93em] text-ink-3">{writeDayOf(at).replace(/ \d{4}$/, '')}</span>
                <span>{text}</span>
              </li>
            ))}
          </ol>
          {!all && status.happenings.length > shownAtFirst && (
            <button type="button" onClick={() => setAll(true)} className="mt-2 font-semibold text-confirmed">
              {say('status.showTheBeforeThat', { count: status.happenings.length - shownAtFirst })}
            </button>
          )}
        </Sheet>
        <CorrectContact status={status} />
        <Keep status={status} />
        <Withdraw status={status} />
      </aside>
    </main>
  )
}

function ToDo({ item, status }: { item: Status['toDo'][number]; status: Status }) {
  const claim = status.claims.find(({ id }) => id === item.target)
  const task = status.tasks.find(({ key }) => key === item.target)
  const asked = status.askedBySources.find(({ requirement }) => requirement === item.key)
  return (
    <Sheet>
      <h3 className="font-semibold text-[1.07em]">{item.title}</h3>
      <p className="mb-2 text-ink-2">{item.why}</p>
      {item.act === 'finish' && <Go to={`/apply/${status.id}`}>{item.label}</Go>}
      {item.act === 'be heard' && (
        <a
          href="#hearings"
          className="inline-block rounded-sheet bg-confirmed px-3 py-1.5 font-semibold text-on-confirmed"
        >
          {item.label}
        </a>
      )}
      {item.act === 'pay' && (
        <a href="#fees" className="inline-block rounded-sheet bg-confirmed px-3 py-1.5 font-semibold text-on-confirmed">
          {say('status.payIt')}
        </a>
      )}
      {item.act === 'go' && <Go to={`/apply/${status.id}/${item.target}`}>{item.label}</Go>}
      {item.act === 'sit check' && (
        <Go to={`/applications/${status.id}/checks/${item.target}`}>
          {say('status.sitTheCheckMinutes', { minutes: item.minutes ?? 0 })}
        </Go>
      )}
      {item.act === 'answer offer' && status.offer && (
        <OfferCard id={status.id} title={status.title} offer={status.offer} />
      )}
      {item.act === 'do task' && task && (
        <TaskCard id={status.id} task={task} ready={status.offer?.answer === 'accepted'} />
      )}
      {item.act === 'renew' && claim && <RenewalForm claim={claim} />}
      {item.act === 'portrait' && claim && <LivePortrait claim={claim} />}
      {item.act === 'certify' && claim && <Attestations claim={claim} all={status.claims} asked />}
      {item.act === 'source paper' && claim && asked && (
        <GiveToSource applicationId={status.id} claim={claim} asked={asked} />
      )}
      {(item.act === 'upload' || asked?.kind === 'copy of the paper') && claim && (
        <Documents
          claim={withoutSourcePapers(claim)}
          prompt={
            claim.documents.some(({ state }) => state === 'sent back')
              ? say('status.addABetterCopy')
              : say('status.addTheDocument')
          }
        />
      )}
    </Sheet>
  )
}

const Go = ({ to, children }: { to: string; children: string }) => (
  <Link to={to} className="inline-block rounded-sheet bg-confirmed px-3 py-1.5 font-semibold text-on-confirmed">
    {children}
  </Link>
)

function Lines({ rows }: { rows: { title: string; why: string; aside?: string }[] }) {
  return (
    <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet">
      {rows.map(({ title, why, aside }) => (
        <li key={title} className="flex flex-wrap justify-between gap-x-4 px-4 py-2.5">
          <span className="min-w-0">
            <span className="font-semibold">{title}</span> <span className="text-ink-2">{why}</span>
          </span>
          {aside && <span className="text-[0.93em] text-ink-2">{aside}</span>}
        </li>
      ))}
    </ul>
  )
}

/** What can be kept, and the permission with what taking it back means. */
function Keep({ status }: { status: Status }) {
  const { act, busy, problem } = useAct('withdrawPermission')
  if (!status.reference) return null
  const { permission } = status
  const open = permission?.asked ?? 0
  return (
    <div className="grid gap-1.5 text-[0.93em]">
      <p>
        <a href={`/api/my/applications/${status.id}/application.pdf`} className="font-semibold text-confirmed">
          {say('status.keepAllYouSentAs')}
        </a>
      </p>
      {permission && (
        <>
          <p>
            <a href={`/api/my/applications/${status.id}/permission.pdf`} className="font-semibold text-confirmed">
              {say('status.keepThePermissionToCheck')}
            </a>
          </p>
          <details className="text-ink-2">
            <summary className="cursor-pointer">{say('status.withdrawThePermissionToCheck')}</summary>
            <p className="my-2">
              {open === 0
                ? say('status.nobodyIsBeingAskedAt')
                : say('status.questionsAreOpenWithThose', {
                    count: open,
                  })}{' '}
              {say('status.nothingMoreWillBeAsked')}
            </p>
            <ProblemNote problem={problem} />
            <Button kind="grave" busy={busy} onClick={() => void act({ params: { id: status.id } })}>
              {say('status.withdrawThePermission')}
            </Button>
          </details>
        </>
      )}
    </div>
  )
}

function Withdraw({ status }: { status: Status }) {
  const { act, busy, problem } = useAct('withdraw')
  if (!isActive(status)) return null
  return (
    <details className="text-[0.93em] text-ink-2">
      <summary className="cursor-pointer">{say('status.withdrawThisApplication')}</summary>
      <p className="my-2">{say('status.nobodyWillBeAskedAnything')}</p>
      <Button kind="grave" busy={busy} onClick={() => void act({ params: { id: status.id } })}>
        {say('status.withdraw')}
      </Button>
      <ProblemNote problem={problem} />
    </details>
  )
}
