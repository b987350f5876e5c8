import { useState } from 'react'
import type { File, FileClaim } from '#contract/desk'
import type { Reply } from '#contract/endpoint'
import type { previewEnquiry } from '#contract/enquiries'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Choice, SelectField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { costWords, wayWords } from '../enquiries/words'
import { useToast } from '../useToast'

type Preview = Reply<typeof previewEnquiry>
type Way = Preview['ways'][number]
type Chosen = { way?: Way; faster?: boolean }

/** What will go out by which way, what keeps it from going, and what it would wait for. */
export function AskSource({ file, claim, onClose }: { file: File; claim: FileClaim; onClose: () => void }) {
  const [chosen, setChosen] = useState<Chosen>({})
  const { channel, contactId } = chosen.way ?? {}
  const wanted = { ...(channel ? { channel } : {}), ...(contactId ? { contactId } : {}) }
  const { data, error, refetch } = api.endpoints.previewEnquiry.useQuery(
    {
      params: { id: claim.id },
      query: {
        applicationId: file.id,
        ...wanted,
        ...(chosen.faster === undefined ? {} : { faster: chosen.faster ? ('yes' as const) : ('no' as const) }),
      },
    },
    { refetchOnMountOrArgChange: true },
  )
  const { act, busy, problem } = useAct('raiseEnquiry')
  const toast = useToast()
  const ask = async () => {
    const done = await act({
      params: { id: claim.id },
      body: { applicationId: file.id, ...wanted, ...(chosen.faster === undefined ? {} : { faster: chosen.faster }) },
    })
    if (!done) return
    const source = data?.source ?? say('proof.theSource')
    toast(
      done.state === 'prepared'
        ? say('enquiries.preparedNow', { source })
        : say('proof.askedAnAnswerIsDue', { source, answerBy: writeWhen(done.answerBy) }),
    )
    onClose()
  }
  return (
    <Dialog open wide onClose={onClose} title={say('proof.askAbout', { label: claim.label })}>
      {!data ? (
        <Waiting error={error} onRetry={refetch} />
      ) : (
        <div className="text-[0.9rem]">
          {data.obstacles.map((obstacle) => (
            <p
              key={obstacle}
              role="alert"
              className="mb-2 bg-contradicted-wash px-3 py-2 font-semibold text-contradicted"
            >
              {obstacle}
            </p>
          ))}
          {data.obstacles.length === 0 && <Lacks lacks={data.lacks} />}
          <div className="grid gap-x-5 gap-y-3 sm:grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)]">
            <Ways preview={data} chosen={chosen} onChoose={setChosen} />
            <Letter preview={data} />
          </div>
          <ProblemNote problem={problem} />
          <div className="mt-3 flex flex-wrap items-center gap-3">
            <Button kind="main" busy={busy} disabled={data.obstacles.length > 0} onClick={() => void ask()}>
              {say(data.lacks.length > 0 ? 'enquiries.prepare' : 'proof.sendTheEnquiry')}
            </Button>
            <span className="text-ink-2">
              {say(
                data.lacks.length > 0
                  ? 'enquiries.goesByItself'
                  : data.way?.channel === 'link' || data.way?.channel === 'direct issue'
                    ? 'proof.aMailThatHasGone'
                    : 'enquiries.laidReady',
              )}
            </span>
          </div>
        </div>
      )}
    </Dialog>
  )
}

/** What is missing: it is waited for, and nobody has to remember it. */
function Lacks({ lacks }: { lacks: readonly string[] }) {
  if (lacks.length === 0) return null
  return (
    <div role="alert" className="mb-2 bg-soon-wash px-3 py-2 text-soon-ink">
      <p className="font-semibold">{say('enquiries.stillMissing')}</p>
      <ul>
        {lacks.map((lack) => (
          <li key={lack}>{lack}</li>
        ))}
      </ul>
    </div>
  )
}

type WaysProps = { preview: Preview; chosen: Chosen; onChoose: (chosen: Chosen) => void }

/** By which way, and how fast; what each costs and how long it usually takes stands beside it. */
function Ways({ preview, chosen, onChoose }: WaysProps) {
  const { ways, way, usual, faster, source, answerBy } = preview
  const key = (one: Way | null) => (one ? `${one.channel} ${one.contactId ?? ''}` : '')
  const named = (handling: Preview['usual'], words: 'enquiries.usual' | 'enquiries.faster') =>
    say(words, { days: handling.answerWorkingDays, cost: costWords(handling.cost), day: writeWhen(handling.answerBy) })
  return (
    <div className="grid content-start gap-3">
      <p className="font-semibold">{source}</p>
      {ways.length > 1 ? (
        <SelectField
          label={say('enquiries.way')}
          value={key(chosen.way ?? way)}
          options={ways.map((one) => ({ value: key(one), label: wayWords(one) }))}
          onChange={(event) => {
            const next = ways.find((one) => key(one) === event.target.value)
            onChoose({ ...chosen, ...(next ? { way: next } : {}) })
          }}
        />
      ) : (
        <p>{way ? wayWords(way) : say('enquiries.noWay')}</p>
      )}
      {preview.wished && <p className="text-ink-2">{say('enquiries.candidateWantsFaster')}</p>}
      {faster ? (
        <Choice
          name="handling"
          inline={false}
          label={say('enquiries.handling')}
          value={preview.speed}
          onChange={(value) => onChoose({ ...chosen, faster: value === 'faster' })}
          options={[
            { value: 'usual', label: named(usual, 'enquiries.usual') },
            { value: 'faster', label: named(faster, 'enquiries.faster') },
          ]}
        />
      ) : (
        <p className="text-ink-2">
          {say('enquiries.dueBy', { day: writeWhen(answerBy) })}
          {usual.cost && usual.cost.amount > 0 && ` ${say('enquiries.costs', { cost: costWords(usual.cost) })}`}
        </p>
      )}
    </div>
  )
}

function Letter({ preview: { subject, text, encloses, way, language } }: { preview: Preview }) {
  if (way && way.channel !== 'link' && way.channel !== 'direct issue')
    return <p className="rounded-sheet bg-sheet-2 p-3">{say(`enquiries.thenBy.${way.channel}`)}</p>
  return (
    <div className="min-w-0">
      <p className="font-semibold" lang={language}>
        {subject}
      </p>
      <section
        lang={language}
        aria-label={subject}
        tabIndex={0}
        className="mt-1 max-h-[34vh] overflow-auto whitespace-pre-line rounded-sheet border border-line bg-sheet-2 p-3"
      >
        {text}
      </section>
      <p className="mt-1 text-ink-2">
        {say('proof.enclosed')}: {encloses.join(', ')}
      </p>
    </div>
  )
}
