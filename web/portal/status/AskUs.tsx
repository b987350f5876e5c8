import { useEffect, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { Conversation } from '#contract/conversations'
import type { Status } from '#contract/status'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Entries } from '../../ui/Entries'
import { LongField, SelectField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

const longest = 4000

/** What one asks us about an application, and what we answered. */
export function AskUs({ status }: { status: Status }) {
  const { data: conversations = [] } = api.endpoints.listMyConversations.useQuery(
    { params: { id: status.id } },
    { refetchOnFocus: true },
  )
  // Who came here from a fee that seems wrong asks about it.
  const [search] = useSearchParams()
  const subject = search.get('ask')
  const [asking, setAsking] = useState(subject !== null)
  useEffect(() => {
    if (subject !== null) setAsking(true)
  }, [subject])
  if (!status.reference) return null
  return (
    <section className="mt-7" id="ask">
      <h2 className="mb-2 text-[1.4em]">{say('status.askUs')}</h2>
      <div className="grid gap-3">
        {conversations.map((conversation) => (
          <Asked key={conversation.id} conversation={conversation} />
        ))}
        {asking ? (
          <Ask key={subject} status={status} subject={subject} onDone={() => setAsking(false)} />
        ) : (
          <div className="flex flex-wrap items-baseline gap-3">
            <Button onClick={() => setAsking(true)}>{say('status.askSomething')}</Button>
            <span className="text-ink-2">{say('status.weAnswerSoon')}</span>
          </div>
        )}
      </div>
    </section>
  )
}

function Asked({ conversation: { id, about, state, answerBy, entries } }: { conversation: Conversation }) {
  const [text, setText] = useState('')
  const { act, busy, problem } = useAct('writeInConversation')
  const send = async () => {
    if (await act({ params: { id }, body: { text } })) setText('')
  }
  return (
    <article className="rounded-sheet border border-line bg-sheet px-4 py-3">
      <p className="mb-1.5 flex flex-wrap justify-between gap-x-4">
        <span className="font-semibold">{about.label ?? say(`status.askAbout.${about.kind}`)}</span>
        <span className={state === 'answered' ? 'text-confirmed' : 'text-ink-2'}>
          {say(`status.asked.${state}`, { day: writeWhen(answerBy) })}
        </span>
      </p>
      <Entries entries={entries} mine="candidate" />
      <details className="mt-2">
        <summary className="cursor-pointer font-semibold text-confirmed">{say('status.writeMore')}</summary>
        <div className="mt-2 grid gap-2">
          <LongField
            label={say('status.whatYouWrite')}
            hidden
            rows={3}
            limit={longest}
            value={text}
            onChange={(event) => setText(event.target.value)}
            error={faultAt(problem, 'text')}
          />
          <ProblemNote problem={problem} />
          <Button className="justify-self-start" busy={busy} disabled={text.trim() === ''} onClick={() => void send()}>
            {say('status.sendIt')}
          </Button>
        </div>
      </details>
    </article>
  )
}

function Ask({ status, subject, onDone }: { status: Status; subject: string | null; onDone: () => void }) {
  const known = subjectsOf(status)
  const [about, setAbout] = useState(known.find(({ value }) => value === subject)?.value ?? 'nothing')
  const [text, setText] = useState('')
  const { act, busy, problem } = useAct('startConversation')
  const [kind, key] = about.split(/ (.*)/s) as [Conversation['about']['kind'], string | undefined]
  const send = async () => {
    const body = { about: key === undefined ? { kind } : { kind, key }, text }
    if (await act({ params: { id: status.id }, body })) onDone()
  }
  return (
    <form
      className="grid gap-3 rounded-sheet border border-line bg-sheet px-4 py-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void send()
      }}
    >
      <SelectField
        label={say('status.whatItIsAbout')}
        options={known}
        value={about}
        onChange={(event) => setAbout(event.target.value)}
      />
      <LongField
        label={say('status.yourQuestion')}
        rows={4}
        limit={longest}
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={faultAt(problem, 'text')}
      />
      <ProblemNote problem={problem} />
      <div className="flex gap-2">
        <Button kind="main" type="submit" busy={busy} disabled={text.trim() === ''}>
          {say('status.sendIt')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('status.leaveIt')}
        </Button>
      </div>
    </form>
  )
}

/** What can be asked about: the application itself, what was claimed, tasks, and fees that are still to be paid. */
const subjectsOf = ({ claims, tasks, toDo }: Status) => [
  { value: 'nothing', label: say('status.askAbout.nothing') },
  ...claims.map(({ id, label }) => ({ value: `claim ${id}`, label })),
  ...tasks.map(({ key, title }) => ({ value: `task ${key}`, label: title })),
  ...toDo.flatMap(({ act, target, title }) => (act === 'pay' ? [{ value: `fee ${target}`, label: title }] : [])),
]
