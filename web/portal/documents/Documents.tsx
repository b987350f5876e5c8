import { Paperclip } from 'lucide-react'
import { lazy, Suspense, useRef, useState } from 'react'
import type { Claim } from '#contract/claims'
import { writeWhen } from '#core/dates/write'
import { documentLimits, videoLimits } from '#core/documents/limits'
import { isInterim, type PaperPart } from '#core/documents/papers'
import { paperPartWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { SelectField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeSize } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import type { Page, Refused } from './preparing'

const RecordVideo = lazy(() => import('./RecordVideo').then((room) => ({ default: room.RecordVideo })))
const PreparePages = lazy(() => import('./PreparePages').then((room) => ({ default: room.PreparePages })))

const stateWords = (state: string) =>
  ({
    'to look at': say('documents.arrivedNotLookedAtYet'),
    seen: say('documents.lookedAtFine'),
    'sent back': say('documents.aBetterCopyIsNeeded'),
    replaced: say('documents.replaced'),
    discarded: say('documents.discarded'),
  })[state]

type Paper = Claim['documents'][number]
type Props = {
  claim: Claim
  prompt?: string
  /** What a document may be here, the usual one first; without, there is nothing to choose. */
  parts?: readonly PaperPart[]
  /** There are several papers here, so that each is called by what it is. */
  several?: boolean
  /** Originals that want a translation beside them. */
  untranslated?: readonly Paper[]
}

/** The documents behind a claim, and a place to put another: chosen, dropped or photographed. */
export function Documents({
  claim,
  prompt = say('documents.addAPdfPhotoOr'),
  parts = ['certificate'],
  several = parts.length > 1,
  untranslated = [],
}: Props) {
  const removal = useAct('removeDocument')
  const shown = claim.documents.filter(({ state }) => state !== 'replaced')
  return (
    <div>
      <ul className="mb-1.5 grid gap-1 empty:mb-0">
        {shown.map((document) => (
          <li
            key={document.id}
            className={`flex flex-wrap items-baseline gap-x-3 ${document.translationOf ? 'pl-5' : ''}`}
          >
            <Paperclip size={14} className="self-center text-ink-3" aria-hidden />
            {document.state === 'discarded' ? (
              <span className="text-ink-2 line-through">{document.fileName}</span>
            ) : (
              <a
                href={`/api/documents/${document.id}/bytes`}
                target="_blank"
                rel="noreferrer"
                className="font-semibold text-confirmed hover:underline"
              >
                {document.fileName}
              </a>
            )}
            <span className="text-[0.9em] text-ink-2">
              {(several || document.translationOf) && `${paperPartWords(document.part)}, `}
              {document.seconds === null
                ? say('documents.countPages', { count: document.pages })
                : say('documents.countSeconds', { count: document.seconds })}
              , {writeSize(document.size)}, {stateWords(document.state)}
              {document.fromWord && (
                <>
                  {', '}
                  <a href={`/api/documents/${document.id}/original`} className="underline">
                    {say('documents.asWord')}
                  </a>
                </>
              )}
              {document.finalBy && `, ${say('documents.finalBy', { day: writeWhen(document.finalBy) })}`}
            </span>
            {document.state === 'to look at' && (
              <button
                type="button"
                onClick={() => void removal.act({ params: { id: document.id } })}
                className="min-h-7 text-[0.9em] text-ink-2 underline"
                aria-label={say('documents.takeBack', { name: document.fileName })}
              >
                {say('documents.takeBack2')}
              </button>
            )}
            {document.sentBackBecause && (
              <span className="basis-full text-[0.93em] text-soon-ink">{document.sentBackBecause}</span>
            )}
          </li>
        ))}
      </ul>
      <AddDocument claim={claim} prompt={prompt} parts={parts} several={several} />
      {untranslated.map((original) => (
        <AddDocument
          key={original.id}
          claim={claim}
          prompt={say('documents.addTheTranslationOf', { name: original.fileName })}
          parts={['translation']}
          several
          translationOf={original.id}
        />
      ))}
      <div className="mt-1 empty:hidden">
        <ProblemNote problem={removal.problem} />
      </div>
    </div>
  )
}

type AddProps = {
  claim: Claim
  prompt: string
  parts: readonly PaperPart[]
  several: boolean
  translationOf?: string
}
type Preparing = { files: File[]; opened?: { pages: Page[]; refused: Refused[] } }

/** Takes files, prepares them where there is something to do, sends them in pieces and puts them behind the claim. */
function AddDocument({ claim, prompt, parts, several, translationOf }: AddProps) {
  const { act, problem, clear } = useAct('attachUpload')
  const { account } = useSession()
  const input = useRef<HTMLInputElement>(null)
  const camera = useRef<HTMLInputElement>(null)
  const [over, setOver] = useState(false)
  const [part, setPart] = useState<PaperPart>(parts[0]!)
  const [finalBy, setFinalBy] = useState('')
  const [preparing, setPreparing] = useState<Preparing>()
  const [sending, setSending] = useState<{ words: string; share: number }>()
  const [note, setNote] = useState<string>()
  const [recording, setRecording] = useState(false)
  const video = claim.details.kind === 'paper' ? claim.details.videoSeconds : undefined
  const asked = parts.includes(part) ? part : parts[0]!
  const interim = isInterim(asked)
  const incomplete = interim && !/^\d{4}-\d{2}-\d{2}$/.test(finalBy)
  const name = nameOf(claim, several ? asked : undefined, account?.name)

  const send = async (file: File) => {
    setNote(undefined)
    setSending({ words: say('documents.sending'), share: 0 })
    try {
      const { uploadFile } = await import('./upload')
      const upload = await uploadFile(file, (share) => setSending({ words: say('documents.sending'), share }))
      const done = await act({
        params: { id: claim.id, upload },
        body: {
          fileName: file.name,
          part: asked,
          ...(translationOf ? { translationOf } : {}),
          ...(interim ? { finalBy } : {}),
        },
      })
      if (done?.alsoBehind) setNote(say('documents.theSameFileIsAlso', { claim: done.alsoBehind }))
    } catch {
      setNote(say('documents.theConnectionIsLostChoose'))
    }
    setSending(undefined)
  }
  /** One good PDF goes as it is; everything else is shown page by page first. */
  const take = async (list: FileList | null) => {
    clear()
    setNote(undefined)
    const files = [...(list ?? [])]
    for (const field of [input, camera]) if (field.current) field.current.value = ''
    if (files.length === 0) return
    const [only] = files
    const asItIs = () => send(new File([only!], `${name}${endingOf(only!)}`, { type: only!.type }))
    if (video !== undefined) {
      if (only!.size > videoLimits.bytes) setNote(say('documents.theVideoIsLargerThan'))
      else await asItIs()
      return
    }
    if (files.some(isWord)) {
      if (files.length > 1) setNote(say('documents.wordByItself'))
      else if (only!.size > documentLimits.bytes) setNote(say('documents.wordTooLarge'))
      else await asItIs()
      return
    }
    const { isPdf, openFiles, letGo } = await import('./preparing')
    if (files.length > 1 || !isPdf(only!) || only!.size > documentLimits.bytes) return setPreparing({ files })
    setSending({ words: say('documents.lookingThrough'), share: 0 })
    const opened = await openFiles(files, () => {})
    setSending(undefined)
    const fine = opened.refused.length === 0 && opened.pages.length <= documentLimits.pages
    if (fine && opened.pages.every(({ faults }) => faults.length === 0)) {
      letGo(opened.pages)
      await send(new File([only!], `${name}.pdf`, { type: 'application/pdf' }))
    } else setPreparing({ files, opened })
  }
  const accept = video === undefined ? 'application/pdf,image/*,.docx' : 'video/mp4,video/webm'
  return (
    <div className="mt-1">
      <div className="flex flex-wrap items-end gap-2">
        {parts.length > 1 && (
          <SelectField
            label={say('documents.whatItIs')}
            hidden
            value={asked}
            options={parts.map((value) => ({ value, label: paperPartWords(value) }))}
            onChange={(event) => setPart(event.target.value as PaperPart)}
          />
        )}
        {interim && (
          <DateField
            label={say('documents.whenTheFinalComes')}
            value={finalBy}
            onChange={setFinalBy}
            error={faultAt(problem, 'finalBy')}
          />
        )}
        <label
          onDragOver={(event) => {
            event.preventDefault()
            setOver(true)
          }}
          onDragLeave={() => setOver(false)}
          onDrop={(event) => {
            event.preventDefault()
            setOver(false)
            void take(event.dataTransfer.files)
          }}
          className={`inline-flex cursor-pointer flex-wrap items-center gap-x-2 rounded-sheet border border-dashed px-3 py-1.5 focus-within:outline-2 focus-within:outline-asked ${over ? 'border-confirmed bg-confirmed-wash' : 'border-line-strong hover:border-ink-3'}`}
        >
          <input
            ref={input}
            type="file"
            multiple={video === undefined}
            accept={accept}
            className="sr-only"
            disabled={sending !== undefined || incomplete}
            onChange={(event) => void take(event.target.files)}
            aria-label={`${prompt}: ${claim.label}`}
          />
          <span className="font-semibold">
            {sending ? `${sending.words} ${Math.round(sending.share * 100)} %` : prompt}
          </span>
          <span className="text-[0.87em] text-ink-2">
            {video === undefined
              ? say('documents.anySizeSeveralPagesAt')
              : say('documents.mp4OrWebMUpTo', { count: video })}
          </span>
        </label>
        <label className="hidden cursor-pointer rounded-sheet border border-line-strong px-3 py-1.5 font-semibold focus-within:outline-2 focus-within:outline-asked pointer-coarse:inline-flex">
          <input
            ref={camera}
            type="file"
            accept={video === undefined ? 'image/*' : 'video/*'}
            capture={video === undefined ? 'environment' : 'user'}
            className="sr-only"
            onChange={(event) => void take(event.target.files)}
            aria-label={say('documents.useTheCameraFor', { claim: claim.label })}
          />
          {video === undefined ? say('documents.photographIt') : say('documents.recordIt')}
        </label>
        {video !== undefined && 'MediaRecorder' in window && (
          <Button disabled={sending !== undefined} onClick={() => setRecording(true)}>
            {say('documents.recordHere')}
          </Button>
        )}
      </div>
      {incomplete && <p className="mt-1 text-[0.9em] text-ink-2">{say('documents.sayWhenFirst')}</p>}
      {note && (
        <p role="status" className="mt-1 text-[0.93em] text-soon-ink">
          {note}
        </p>
      )}
      <div className="mt-1 empty:hidden">
        <ProblemNote problem={problem?.faults && interim ? undefined : problem} />
      </div>
      {recording && video !== undefined && (
        <Suspense fallback={null}>
          <RecordVideo
            seconds={video}
            title={claim.label}
            onClose={() => setRecording(false)}
            onDone={(blob) => {
              setRecording(false)
              const ending = blob.type === 'video/mp4' ? '.mp4' : '.webm'
              void send(new File([blob], `${name}${ending}`, { type: blob.type }))
            }}
          />
        </Suspense>
      )}
      {preparing && (
        <Suspense fallback={null}>
          <PreparePages
            {...preparing}
            name={name}
            onClose={() => setPreparing(undefined)}
            onDone={(file) => {
              setPreparing(undefined)
              void send(file)
            }}
          />
        </Suspense>
      )}
    </div>
  )
}

const isWord = ({ name }: File) => /\.docx$/i.test(name)

const endingOf = ({ name }: File) => /\.\w+$/.exec(name)?.[0].toLowerCase() ?? ''

/** Files are named by what they are and whose they are, so that they can be told apart anywhere. */
function nameOf(claim: Claim, part: PaperPart | undefined, person = ''): string {
  const what = part ? `${claim.label}, ${paperPartWords(part)}` : claim.label
  return [what, person]
    .filter(Boolean)
    .join(', ')
    .replace(/[\\/:*?"<>|]/g, ' ')
    .slice(0, 150)
}
