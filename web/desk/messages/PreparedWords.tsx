import { Trash2 } from 'lucide-react'
import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { listSentences, listTemplates } from '#contract/messages'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button, Key } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { SortableList } from '../../ui/SortableList'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { Overview } from '../overviews/Overview'
import { useToast } from '../useToast'
import { SourceTexts } from './SourceTexts'
import { WrittenFields } from './WrittenFields'

type Template = Reply<typeof listTemplates>['templates'][number]
type Sentence = Reply<typeof listSentences>[number]

/** What is written again and again: sentences that ask for a correction, and whole messages. */
export function PreparedWords() {
  const { data: prepared, error, refetch } = api.endpoints.listTemplates.useQuery({})
  const { data: sentences } = api.endpoints.listSentences.useQuery({})
  const [editing, setEditing] = useState<Template>()
  if (!prepared || !sentences) return <Waiting error={error} onRetry={refetch} />
  const fresh: Template = {
    id: crypto.randomUUID(),
    name: '',
    english: { subject: '', text: '' },
    german: null,
    version: 0,
    savedBy: '',
    savedAt: new Date().toISOString(),
  }
  return (
    <Overview title={say('preparedWords.preparedWords')} about={say('preparedWords.sentencesForTheKeyA')}>
      <div className="grid max-w-[1080px] grid-cols-[minmax(0,1fr)] gap-6">
        <Sentences
          key={`document ${versionOf(sentences, 'document')}`}
          about="document"
          title={say('preparedWords.aboutAPaper')}
          given={sentences}
        />
        <Sentences
          key={`answer ${versionOf(sentences, 'answer')}`}
          about="answer"
          title={say('preparedWords.aboutAnAnswer')}
          given={sentences}
        />
        <Sentences
          key={`question ${versionOf(sentences, 'question')}`}
          about="question"
          title={say('preparedWords.answersToQuestions')}
          given={sentences}
        />
        <section aria-label={say('preparedWords.messages')}>
          <h2 className="mb-1 font-semibold text-[1rem]">{say('preparedWords.messages')}</h2>
          <ul className="mb-2 border-line border-t">
            {prepared.templates.map((template) => (
              <li key={template.id} className="flex flex-wrap items-baseline gap-x-4 border-line border-b py-1.5">
                <button type="button" className="font-semibold hover:underline" onClick={() => setEditing(template)}>
                  {template.name}
                </button>
                <span className="min-w-0 flex-1 truncate text-ink-2">{template.english.subject}</span>
                <span className="text-ink-2">
                  {template.german ? say('preparedWords.englishAndGerman') : say('preparedWords.englishOnly')}
                </span>
              </li>
            ))}
          </ul>
          <Button onClick={() => setEditing(fresh)}>{say('preparedWords.prepareAMessage')}</Button>
        </section>
        <SourceTexts />
      </div>
      {editing && <EditTemplate template={editing} onClose={() => setEditing(undefined)} />}
    </Overview>
  )
}

const versionOf = (sentences: readonly Sentence[], about: Sentence['about']) =>
  sentences
    .filter((sentence) => sentence.about === about)
    .map(({ id, title, english, german }) => id + title + english + german)
    .join()

function Sentences({ about, title, given }: { about: Sentence['about']; title: string; given: readonly Sentence[] }) {
  const [sentences, setSentences] = useState(given.filter((sentence) => sentence.about === about))
  const { act, busy, problem } = useAct('saveSentences')
  const toast = useToast()
  const change = (id: string, over: Partial<Sentence>) =>
    setSentences(sentences.map((sentence) => (sentence.id === id ? { ...sentence, ...over } : sentence)))
  const save = async () => {
    const body = { sentences: sentences.map(({ about: _, ...sentence }) => sentence) }
    if (await act({ params: { about }, body })) toast(say('preparedWords.theSentencesAreSaved'))
  }
  return (
    <section aria-label={title}>
      <h2 className="mb-1 font-semibold text-[1rem]">{title}</h2>
      <SortableList
        items={sentences}
        keyOf={({ id }) => id}
        nameOf={({ title: own }) => own || say('preparedWords.aSentence')}
        onOrder={setSentences}
      >
        {(sentence, grip, nth) => (
          <div className="grid flex-1 grid-cols-[22px_24px_150px_minmax(0,1fr)_minmax(0,1fr)_30px] items-start gap-2 py-1">
            {grip}
            <span className="pt-1">{nth < 9 && <Key letter={String(nth + 1)} />}</span>
            <TextField
              label={say('preparedWords.short')}
              hidden
              value={sentence.title}
              onChange={(event) => change(sentence.id, { title: event.target.value })}
            />
            <LongField
              label={say('preparedWords.english')}
              hidden
              rows={3}
              value={sentence.english}
              onChange={(event) => change(sentence.id, { english: event.target.value })}
            />
            <LongField
              label={say('preparedWords.german')}
              hidden
              rows={3}
              lang="de"
              value={sentence.german}
              onChange={(event) => change(sentence.id, { german: event.target.value })}
            />
            <button
              type="button"
              aria-label={say('preparedWords.removeTitle', {
                title: sentence.title || say('preparedWords.thisSentence'),
              })}
              className="p-1 text-ink-2 hover:text-contradicted"
              onClick={() => setSentences(sentences.filter(({ id }) => id !== sentence.id))}
            >
              <Trash2 size={15} />
            </button>
          </div>
        )}
      </SortableList>
      <ProblemNote problem={problem} />
      <div className="mt-1 flex gap-2">
        <Button kind="main" busy={busy} onClick={() => void save()}>
          {say('preparedWords.saveTheseSentences')}
        </Button>
        <Button
          onClick={() =>
            setSentences([
              ...sentences,
              { id: crypto.randomUUID(), about, title: '', english: '', german: '', version: 0 },
            ])
          }
        >
          {say('preparedWords.addOne')}
        </Button>
      </div>
    </section>
  )
}

function EditTemplate({ template, onClose }: { template: Template; onClose: () => void }) {
  const [name, setName] = useState(template.name)
  const [written, setWritten] = useState({ english: template.english, german: template.german })
  const saving = useAct('saveTemplate')
  const removing = useAct('removeTemplate')
  const toast = useToast()
  const save = async () => {
    const body = { name, version: template.version, ...written }
    if (!(await saving.act({ params: { id: template.id }, body }))) return
    toast(say('preparedWords.savedName', { name }))
    onClose()
  }
  const remove = async () => {
    if (!(await removing.act({ params: { id: template.id } }))) return
    toast(say('preparedWords.removedName', { name: template.name }))
    onClose()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={template.version === 0 ? say('preparedWords.prepareAMessage') : template.name}
      wide
    >
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <TextField
          label={say('preparedWords.whatItIsCalledHere')}
          value={name}
          limit={120}
          onChange={(event) => setName(event.target.value)}
        />
        <WrittenFields written={written} onChange={setWritten} problem={saving.problem} />
        <ProblemNote problem={removing.problem ?? (saving.problem?.faults ? undefined : saving.problem)} />
        <div className="flex gap-2">
          <Button kind="main" type="submit" busy={saving.busy} disabled={name.trim() === ''}>
            {say('preparedWords.save')}
          </Button>
          {template.version > 0 && (
            <Button kind="grave" busy={removing.busy} onClick={() => void remove()}>
              {say('preparedWords.remove')}
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  )
}
