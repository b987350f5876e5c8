import { useState } from 'react'
import type { File } from '#contract/desk'
import type { Matter } from '#contract/matters'
import { writeWhen } from '#core/dates/write'
import { type MatterOutcome, matterOutcomes } from '#core/requirements/matter'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { LongField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { More } from './More'

/** What somebody declared that is for a person to decide, with what was written and who decides it. */
export function Matters({ file }: { file: File }) {
  const { data: matters = [] } = api.endpoints.readMatters.useQuery({ params: { id: file.id } })
  if (matters.length === 0) return null
  const open = matters.some(({ state }) => state === 'waiting' || state === 'split')
  return (
    <More key={file.id} title={say('file.matters')} open={open || undefined}>
      <div className="grid gap-3">
        {matters.map((matter) => (
          <OneMatter key={matter.requirement} matter={matter} applicationId={file.id} />
        ))}
      </div>
    </More>
  )
}

function OneMatter({ matter, applicationId }: { matter: Matter; applicationId: string }) {
  const { title, answer, explanation, papers, state, decidedOn, deciders, together, votes, earlier, mayDecide } = matter
  const [doing, setDoing] = useState<MatterOutcome | 'ask'>()
  const { may } = useSession()
  const names = deciders.map(({ name }) => name).join(', ')
  return (
    <article className="rounded-sheet border border-line bg-sheet px-3 py-2">
      <p className="flex flex-wrap justify-between gap-x-4">
        <span className="font-semibold">{title}</span>
        <span className={state === 'waiting' || state === 'split' ? 'font-semibold text-soon-ink' : 'text-ink-2'}>
          {[say(`file.matterState.${state}`), decidedOn && writeWhen(decidedOn)].filter(Boolean).join(', ')}
        </span>
      </p>
      {answer ? (
        <p>{say('file.matterAnswer', { answer })}</p>
      ) : (
        <p className="text-ink-2">{say('file.matterHidden')}</p>
      )}
      {explanation && <p className="my-1 whitespace-pre-line border-line border-l-2 pl-3">{explanation}</p>}
      {papers.map(({ id, fileName }) => (
        <a
          key={id}
          href={`/api/documents/${id}/bytes`}
          target="_blank"
          rel="noreferrer"
          className="mr-3 font-semibold text-confirmed"
        >
          {fileName}
        </a>
      ))}
      {earlier.map(({ outcome, on, reason }) => (
        <p key={`${on}${outcome}`} className="text-ink-2">
          {say('file.matterEarlier', { day: writeWhen(on), outcome: say(`state.matter.${outcome}`), reason })}
        </p>
      ))}
      {votes.map(({ name, outcome, reason, conditions }) => (
        <div key={name}>
          <p>{say('file.matterVote', { name, outcome: say(`state.matter.${outcome}`), reason })}</p>
          <ul className="list-disc pl-5">
            {conditions.map((condition) => (
              <li key={condition.title}>
                {condition.title}
                {condition.text && <span className="text-ink-2">: {condition.text}</span>}
              </li>
            ))}
          </ul>
        </div>
      ))}
      <p className="text-ink-2">{say(together ? 'file.matterTogether' : 'file.matterDeciders', { names })}</p>
      {mayDecide && may('decideMatter') && !doing && (
        <div className="mt-1.5 flex flex-wrap gap-2">
          {matterOutcomes.map((outcome) => (
            <Button key={outcome} kind={outcome === 'refused' ? 'grave' : 'plain'} onClick={() => setDoing(outcome)}>
              {outcomeActs[outcome]}
            </Button>
          ))}
          <Button kind="quiet" onClick={() => setDoing('ask')}>
            {say('file.askBack')}
          </Button>
        </div>
      )}
      {doing === 'ask' && <AskBack {...{ matter, applicationId }} onDone={() => setDoing(undefined)} />}
      {doing && doing !== 'ask' && (
        <Decide {...{ matter, applicationId }} outcome={doing} onDone={() => setDoing(undefined)} />
      )}
    </article>
  )
}

const outcomeActs = {
  'no bearing': say('file.decideNoBearing'),
  conditions: say('file.decideConditions'),
  refused: say('file.decideAgainst'),
}

type Doing = { matter: Matter; applicationId: string; onDone: () => void }

function Decide({ matter, applicationId, outcome, onDone }: Doing & { outcome: MatterOutcome }) {
  const [reason, setReason] = useState('')
  // Who agrees with conditions that another has named begins with them.
  const [conditions, setConditions] = useState(
    () => matter.votes.findLast((vote) => vote.conditions.length > 0)?.conditions ?? [{ title: '', text: '' }],
  )
  const { act, busy, problem } = useAct('decideMatter')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  const { requirement, version } = matter
  const named = conditions.filter(({ title }) => title.trim() !== '')
  const decide = async () => {
    const done = await act({
      params: { id: applicationId, requirement },
      body: { version, outcome, reason, ...(outcome === 'conditions' ? { conditions: named } : {}) },
    })
    if (!done) return
    const said = done.state === 'waiting' || done.state === 'split' ? done.state : 'decided'
    toast(say(`file.matterSaid.${said}`))
    onDone()
  }
  const change = (nth: number, next: Partial<(typeof conditions)[number]>) =>
    setConditions((before) => before.map((one, at) => (at === nth ? { ...one, ...next } : one)))
  return (
    <div className="mt-2 grid gap-2">
      {outcome === 'conditions' &&
        conditions.map((condition, nth) => (
          <div key={nth} className="grid gap-1.5 border-line-strong border-l-2 pl-3">
            <TextField
              label={say('file.condition', { nth: nth + 1 })}
              maxLength={200}
              value={condition.title}
              onChange={(event) => change(nth, { title: event.target.value })}
            />
            <LongField
              label={say('file.conditionText')}
              rows={2}
              limit={2000}
              optional
              value={condition.text}
              onChange={(event) => change(nth, { text: event.target.value })}
            />
            {conditions.length > 1 && (
              <Button
                kind="quiet"
                className="justify-self-start !px-0"
                onClick={() => setConditions((before) => before.filter((_one, at) => at !== nth))}
              >
                {say('file.takeConditionOut')}
              </Button>
            )}
          </div>
        ))}
      {outcome === 'conditions' && conditions.length < 6 && (
        <Button
          className="justify-self-start"
          onClick={() => setConditions((before) => [...before, { title: '', text: '' }])}
        >
          {say('file.addCondition')}
        </Button>
      )}
      <LongField
        label={say('file.matterReason')}
        rows={2}
        limit={2000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <div className="flex gap-2">
        <Button
          kind={outcome === 'refused' ? 'grave' : 'main'}
          busy={busy}
          disabled={!isReason(reason) || (outcome === 'conditions' && named.length === 0)}
          onClick={() => void decide()}
        >
          {say('file.sayIt')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('file.matterCancel')}
        </Button>
      </div>
    </div>
  )
}

function AskBack({ matter, applicationId, onDone }: Doing) {
  const [text, setText] = useState('')
  const { act, busy, problem } = useAct('askAboutMatter')
  const toast = useToast()
  const ask = async () => {
    const sent = await act({ params: { id: applicationId, requirement: matter.requirement }, body: { text } })
    if (!sent) return
    toast(say('file.askedBackSent'))
    onDone()
  }
  return (
    <div className="mt-2 grid gap-2">
      <LongField
        label={say('file.matterQuestion')}
        rows={3}
        limit={2000}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <ProblemNote problem={problem} />
      <div className="flex gap-2">
        <Button kind="main" busy={busy} disabled={text.trim() === ''} onClick={() => void ask()}>
          {say('file.sendQuestion')}
        </Button>
        <Button kind="quiet" onClick={onDone}>
          {say('file.matterCancel')}
        </Button>
      </div>
    </div>
  )
}
