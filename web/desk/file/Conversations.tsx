import { useState } from 'react'
import type { Conversation } from '#contract/conversations'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Entries } from '../../ui/Entries'
import { LongField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { More } from './More'

/** What the candidate has asked us, with an answer where one is due. */
export function Conversations({ file }: { file: File }) {
  const { data: conversations = [] } = api.endpoints.listConversations.useQuery({ params: { id: file.id } })
  return conversations.length > 0 && <List key={file.id} conversations={conversations} file={file} />
}

function List({ conversations, file }: { conversations: Conversation[]; file: File }) {
  const waiting = conversations.filter(({ state }) => state === 'waiting').length
  // What was opened to be answered stays open when it is.
  const [opened] = useState(waiting > 0)
  return (
    <More
      title={say('file.askedUs', { count: conversations.length, waiting: String(waiting) })}
      open={opened || waiting > 0 || undefined}
    >
      <ul className="grid gap-3">
        {conversations.map((conversation) => (
          <OneConversation key={conversation.id} conversation={conversation} file={file} />
        ))}
      </ul>
    </More>
  )
}

function OneConversation({ conversation, file }: { conversation: Conversation; file: File }) {
  const { id, about, state, answerBy, version, entries } = conversation
  const { may } = useSession()
  const close = useAct('closeConversation')
  const reopen = useAct('reopenConversation')
  useFreshAfterClash(close.problem ?? reopen.problem, 'desk')
  const late = state === 'waiting' && answerBy < file.today
  return (
    <li className="rounded-sheet border border-line px-3 py-2">
      <p className="mb-1.5 flex flex-wrap items-baseline justify-between gap-x-4">
        <span className="font-semibold">{about.label ?? say(`file.askedAbout.${about.kind}`)}</span>
        <span
          className={late ? 'font-semibold text-contradicted' : state === 'waiting' ? 'text-soon-ink' : 'text-ink-2'}
        >
          {say(`file.asked.${state}`, { day: writeWhen(answerBy) })}
        </span>
      </p>
      <Entries entries={entries} mine="desk" />
      <ProblemNote problem={close.problem ?? reopen.problem} />
      {may('answerConversation') && (
        <div className="mt-2 grid gap-2">
          {state !== 'closed' && <Answer conversation={conversation} file={file} />}
          <div className="flex gap-2">
            {state === 'closed' ? (
              <Button busy={reopen.busy} onClick={() => void reopen.act({ params: { id }, body: { version } })}>
                {say('file.openItAgain')}
              </Button>
            ) : (
              <Button
                kind="quiet"
                busy={close.busy}
                onClick={() => void close.act({ params: { id }, body: { version } })}
              >
                {say(state === 'waiting' ? 'file.needsNoAnswer' : 'file.closeIt')}
              </Button>
            )}
          </div>
        </div>
      )}
    </li>
  )
}

function Answer({ conversation: { id, version, state }, file }: { conversation: Conversation; file: File }) {
  const [text, setText] = useState('')
  const { data: sentences = [] } = api.endpoints.listSentences.useQuery({})
  const { act, busy, problem } = useAct('answerConversation')
  const toast = useToast()
  // What was written meanwhile is read before the answer goes; what was typed stays.
  useFreshAfterClash(problem, 'desk')
  const inTheirs = ({ english, german }: (typeof sentences)[number]) =>
    file.candidate.language === 'de' && german ? german : english
  const send = async () => {
    if (!(await act({ params: { id }, body: { version, text } }))) return
    setText('')
    toast(say('file.answered', { name: file.candidate.name }))
  }
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-1.5">
        {sentences
          .filter(({ about }) => about === 'question')
          .map((sentence) => (
            <Button
              key={sentence.id}
              className="!py-0"
              onClick={() => setText([text.trimEnd(), inTheirs(sentence)].filter(Boolean).join('\n\n'))}
            >
              {sentence.title}
            </Button>
          ))}
      </div>
      <LongField
        label={say(state === 'waiting' ? 'file.yourAnswer' : 'file.oneThingMore')}
        rows={3}
        limit={4000}
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={faultAt(problem, 'text')}
      />
      <ProblemNote problem={problem} />
      <Button
        kind={state === 'waiting' ? 'main' : undefined}
        className="justify-self-start"
        busy={busy}
        disabled={text.trim() === ''}
        onClick={() => void send()}
      >
        {say('file.sendTheAnswer')}
      </Button>
    </div>
  )
}
