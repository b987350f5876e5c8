import { useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button, Key } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'
import type { Row } from './rows'

const daysToChange = 7

/** What a correction is asked of: a paper that goes back, or an answer that may be changed again. */
type Target =
  | { about: 'document'; documentId: string; version: number; title: string }
  | { about: 'answer'; section: string; question: string | null; title: string }

/**
 * Asks for a correction of the chosen line: A, then the number of a prepared sentence, and it is sent. A sentence can be
 * edited first, or another written.
 */
export function Correct({ file, row, onClose }: { file: File; row: Row | undefined; onClose: () => void }) {
  const { targets, meant } = targetsOf(file, row)
  // Without a line that says what is meant, a slip of a finger must not ask for anything.
  const [nth, setNth] = useState(meant > 0 ? 0 : -1)
  const target = targets[nth]
  const { data: sentences = [] } = api.endpoints.listSentences.useQuery({})
  const fitting = sentences.filter(({ about }) => about === target?.about)
  const inTheirs = (sentence: (typeof sentences)[number]) =>
    file.candidate.language === 'de' && sentence.german ? sentence.german : sentence.english
  const [text, setText] = useState('')
  const sendBack = useAct('sendDocumentBack')
  const reopen = useAct('reopenPart')
  const toast = useToast()
  const dueOn = Temporal.PlainDate.from(file.today).add({ days: daysToChange }).toString()
  const busy = sendBack.busy || reopen.busy
  const ask = async (reason: string) => {
    if (!target) return
    const done =
      target.about === 'document'
        ? await sendBack.act({ params: { id: target.documentId }, body: { version: target.version, reason } })
        : await reopen.act({
            params: { id: file.id },
            body: { section: target.section, question: target.question, reason, dueOn },
          })
    if (!done) return
    toast(say('file.askedAbout', { name: file.candidate.name, title: target.title }))
    onClose()
  }
  useKeys(
    Object.fromEntries(
      fitting.slice(0, 9).map((sentence, index) => [String(index + 1), () => void ask(inTheirs(sentence))]),
    ),
    true,
  )
  if (targets.length === 0)
    return (
      <Dialog open onClose={onClose} title={say('file.askToCorrectSomething')}>
        <p>{say('file.thereIsNothingInThis')}</p>
      </Dialog>
    )
  return (
    <Dialog
      open
      onClose={onClose}
      title={target ? say('file.askToCorrect', { title: target.title }) : say('file.askToCorrectSomething')}
      description={
        !target
          ? undefined
          : target.about === 'document'
            ? say('file.getsAMailAndA', {
                name: file.candidate.name,
                languageWords: languageWords[file.candidate.language],
              })
            : say('file.mayChangeExactlyThisUntil', {
                name: file.candidate.name,
                dueOn: writeWhen(dueOn),
                languageWords: languageWords[file.candidate.language],
              })
      }
      wide
    >
      <div className="grid gap-3">
        {(targets.length > 1 || nth < 0) && (
          <SelectField
            label={say('file.whatIsItAbout')}
            value={nth < 0 ? '' : String(nth)}
            empty={nth < 0 ? say('file.chooseFirst') : undefined}
            onChange={(event) => setNth(Number(event.target.value))}
            options={targets.map(({ title }, index) => ({ value: String(index), label: title }))}
          />
        )}
        <ol className="grid max-h-[38vh] overflow-auto border-line border-y" aria-label={say('file.preparedSentences')}>
          {fitting.map((sentence, index) => (
            <li key={sentence.id} className="flex items-baseline gap-2 border-line border-b py-1 last:border-b-0">
              <span className="w-5 shrink-0">{index < 9 && <Key letter={String(index + 1)} />}</span>
              <button
                type="button"
                data-first={index === 0 ? true : undefined}
                disabled={busy}
                onClick={() => void ask(inTheirs(sentence))}
                className="flex-1 text-left hover:underline"
              >
                <strong>{sentence.title}.</strong> {inTheirs(sentence)}
              </button>
              <Button kind="quiet" className="!py-0" onClick={() => setText(inTheirs(sentence))}>
                {say('file.editFirst')}
              </Button>
            </li>
          ))}
        </ol>
        <LongField
          label={say('file.orInYourOwnWords')}
          value={text}
          limit={1000}
          onChange={(event) => setText(event.target.value)}
        />
        <ProblemNote problem={sendBack.problem ?? reopen.problem} />
        <div>
          <Button kind="main" busy={busy} disabled={!target || !isReason(text)} onClick={() => void ask(text.trim())}>
            {say('file.askThem')}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}

const languageWords = { en: say('file.english'), de: say('file.german') }

/** The chosen line's own first, then every answer and section that can be opened again. */
function targetsOf(file: File, row: Row | undefined): { targets: Target[]; meant: number } {
  const papers: Target[] =
    row?.of === 'claim'
      ? row.claim.documents
          .filter(({ state }) => state === 'to look at' || state === 'seen')
          .map((document) => ({
            about: 'document',
            documentId: document.id,
            version: document.version,
            title: `${row.title}, ${document.fileName}`,
          }))
      : []
  const asked = row?.of === 'requirement' ? questionOf(file, row.outcome.requirement) : undefined
  const answers = file.parts.flatMap(({ section, title, questions }): Target[] => [
    { about: 'answer', section, question: null, title: say('file.allOf', { title }) },
    ...questions.map(({ key, label }): Target => ({ about: 'answer', section, question: key, title: label })),
  ])
  const own = answers.filter((target) => target.about === 'answer' && asked && target.question === asked)
  return {
    targets: [...papers, ...own, ...answers.filter((target) => !own.includes(target))],
    meant: papers.length + own.length,
  }
}

function questionOf(file: File, key: string): string | undefined {
  const asks = file.requirements.find((requirement) => requirement.key === key)?.asks
  return asks?.kind === 'answer' ? asks.question : undefined
}
