import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { InLanguages, previewMessages } from '#contract/messages'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, SelectField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Tick } from '../../ui/Tick'
import { useAct } from '../../useAct'
import { WrittenFields } from '../messages/WrittenFields'
import { useToast } from '../useToast'

type Previews = Reply<typeof previewMessages>
type Props = { applications: string[]; turningDown: boolean; onClose: () => void; onDone: () => void }
const nothing: InLanguages = { english: { subject: '', text: '' }, german: null }

/** Writes to several people at once: from a prepared message or anew, seen as each will get it before it goes. */
export function ComposeMessage({ applications, turningDown, onClose, onDone }: Props) {
  const [written, setWritten] = useState<InLanguages>(nothing)
  const [reason, setReason] = useState('')
  const [general, setGeneral] = useState(false)
  const [previews, setPreviews] = useState<Previews>()
  const { data } = api.endpoints.listTemplates.useQuery({})
  const preview = useAct('previewMessages')
  const many =
    applications.length === 1 ? say('table.onePerson') : say('table.countPeople', { count: applications.length })
  const look = async () => {
    const shown = await preview.act({ body: { written, applications, general } })
    if (shown) setPreviews(shown)
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={turningDown ? say('table.turnDown2', { many }) : say('table.writeTo', { many })}
      wide
    >
      {previews ? (
        <Check
          {...{ previews, written, reason, general, turningDown, applications, onDone }}
          onBack={() => setPreviews(undefined)}
        />
      ) : (
        <form
          className="grid gap-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            void look()
          }}
        >
          {turningDown && (
            <LongField
              label={say('table.whyThisStaysOnRecord')}
              rows={2}
              value={reason}
              limit={500}
              data-first
              onChange={(event) => setReason(event.target.value)}
            />
          )}
          <SelectField
            label={say('table.beginWith')}
            value=""
            empty={say('table.aPreparedMessage')}
            options={(data?.templates ?? []).map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(event) => {
              const template = data?.templates.find(({ id }) => id === event.target.value)
              if (template) setWritten({ english: template.english, german: template.german })
            }}
          />
          <WrittenFields written={written} onChange={setWritten} problem={preview.problem} />
          {!turningDown && (
            <Tick
              label={say('table.generalMessage')}
              help={say('table.generalMessageMeans')}
              checked={general}
              onChange={setGeneral}
            />
          )}
          <ProblemNote problem={preview.problem?.faults ? undefined : preview.problem} />
          <div>
            <Button
              kind="main"
              type="submit"
              busy={preview.busy}
              disabled={
                written.english.subject.trim() === '' ||
                written.english.text.trim() === '' ||
                (turningDown && !isReason(reason))
              }
            >
              {say('table.seeWhatEachWillGet')}
            </Button>
          </div>
        </form>
      )}
    </Dialog>
  )
}

type CheckProps = {
  previews: Previews
  written: InLanguages
  reason: string
  general: boolean
  turningDown: boolean
  applications: string[]
  onBack: () => void
  onDone: () => void
}

function Check({ previews, written, reason, general, turningDown, applications, onBack, onDone }: CheckProps) {
  const [nth, setNth] = useState(0)
  const [alsoByText, setAlsoByText] = useState(false)
  const sending = useAct('sendMessages')
  const turning = useAct('turnDown')
  const toast = useToast()
  const shown = previews[nth]
  const withPhone = previews.filter(({ phone, obstacle }) => phone && !obstacle).length
  const reached = previews.filter(({ obstacle }) => !obstacle).length
  const send = async () => {
    if (turningDown) {
      const done = await turning.act({ body: { applications, reason, written } })
      if (!done) return
      toast(
        say('table.turnedDownAndWrittenTo', {
          turnedDown: done.turnedDown,
          value: done.left > 0 ? say('table.werePastThatAlready', { left: done.left }) : '',
        }),
      )
    } else {
      const done = await sending.act({ body: { written, applications, general, alsoByText } })
      if (!done) return
      toast(
        say('table.onTheWay', {
          queued: done.queued,
          value: done.queued === 1 ? say('table.mailIs') : say('table.mailsAre'),
        }),
      )
    }
    onDone()
  }
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-[240px_minmax(0,1fr)] gap-4">
        <ol className="max-h-[46vh] overflow-auto border-line border-y" aria-label={say('table.thoseWhoGetIt')}>
          {previews.map(({ application, name, to, obstacle }, at) => (
            <li key={application} className={`border-line border-b ${at === nth ? 'bg-confirmed-wash' : ''}`}>
              <button type="button" className="w-full px-2 py-1 text-left" onClick={() => setNth(at)}>
                <span className="block truncate font-semibold">{name}</span>
                <span className={`block truncate text-[0.8333rem] ${obstacle ? 'text-contradicted' : 'text-ink-2'}`}>
                  {obstacle ?? to}
                </span>
              </button>
            </li>
          ))}
        </ol>
        {shown && (
          <article
            className="max-h-[46vh] overflow-auto rounded-sheet border border-line bg-ground p-3"
            lang={shown.language}
          >
            <h3 className="mb-2 font-semibold">{shown.subject}</h3>
            <p className="whitespace-pre-line">{shown.text}</p>
          </article>
        )}
      </div>
      {!turningDown && withPhone > 0 && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="accent-confirmed"
            checked={alsoByText}
            onChange={(event) => setAlsoByText(event.target.checked)}
          />
          {say('table.alsoByText', { count: withPhone, of: reached })}
        </label>
      )}
      <ProblemNote problem={sending.problem ?? turning.problem} />
      <div className="flex items-center gap-2">
        <Button
          kind={turningDown ? 'grave' : 'main'}
          data-first
          busy={sending.busy || turning.busy}
          disabled={reached === 0}
          onClick={() => void send()}
        >
          {turningDown ? say('table.turnDownAndWriteTo', { reached }) : say('table.sendTo', { reached })}
        </Button>
        <Button kind="quiet" onClick={onBack}>
          {say('table.changeTheWords')}
        </Button>
        <span className="text-ink-2">
          {say('table.aMailCannotBeCalled', { turningDown: turningDown ? say('table.somebodyTurnedDownCanBe') : '' })}
        </span>
      </div>
    </div>
  )
}
