import { Paperclip } from 'lucide-react'
import { useRef, useState } from 'react'
import type { Claim } from '#contract/claims'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeSize } from '../../ui/write'
import { useAct } from '../../useAct'

const stateWords: Record<string, string> = {
  'to look at': 'arrived, not looked at yet',
  seen: 'looked at, fine',
  'sent back': 'a better copy is needed',
  replaced: 'replaced',
}

/** The documents behind a claim, and a place to put another. */
export function Documents({ claim, prompt = 'Add a PDF, photo or scan' }: { claim: Claim; prompt?: string }) {
  const { act, busy, problem } = useAct('uploadDocument')
  const removal = useAct('removeDocument')
  const input = useRef<HTMLInputElement>(null)
  const [over, setOver] = useState(false)
  const upload = async (files: FileList | null) => {
    for (const file of files ?? []) await act({ params: { id: claim.id }, query: { fileName: file.name }, body: file })
    if (input.current) input.current.value = ''
  }
  const shown = claim.documents.filter(({ state }) => state !== 'replaced')
  return (
    <div>
      <ul className="grid gap-1">
        {shown.map((document) => (
          <li key={document.id} className="flex flex-wrap items-baseline gap-x-3">
            <Paperclip size={14} className="self-center text-ink-3" aria-hidden />
            <a
              href={`/api/documents/${document.id}/bytes`}
              target="_blank"
              rel="noreferrer"
              className="font-semibold text-confirmed hover:underline"
            >
              {document.fileName}
            </a>
            <span className="text-[0.9em] text-ink-2">
              {document.pages === 1 ? '1 page' : `${document.pages} pages`}, {writeSize(document.size)},{' '}
              {stateWords[document.state]}
            </span>
            {document.state === 'to look at' && (
              <button
                type="button"
                onClick={() => void removal.act({ params: { id: document.id } })}
                className="text-[0.9em] text-ink-2 underline"
                aria-label={`Take back ${document.fileName}`}
              >
                Take back
              </button>
            )}
            {document.sentBackBecause && (
              <span className="basis-full text-[0.93em] text-soon-ink">{document.sentBackBecause}</span>
            )}
          </li>
        ))}
      </ul>
      <label
        onDragOver={(event) => {
          event.preventDefault()
          setOver(true)
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault()
          setOver(false)
          void upload(event.dataTransfer.files)
        }}
        className={`mt-1 inline-flex cursor-pointer items-center gap-2 rounded-sheet border border-dashed px-3 py-1.5 focus-within:outline-2 focus-within:outline-asked ${over ? 'border-confirmed bg-confirmed-wash' : 'border-line-strong hover:border-ink-3'}`}
      >
        <input
          ref={input}
          type="file"
          accept="application/pdf,image/jpeg,image/png"
          className="sr-only"
          disabled={busy}
          onChange={(event) => void upload(event.target.files)}
          aria-label={`${prompt}: ${claim.label}`}
        />
        <span className="font-semibold">{busy ? 'Sending…' : prompt}</span>
        <span className="text-[0.87em] text-ink-2">up to 10 MB</span>
      </label>
      <div className="mt-1 empty:hidden">
        <ProblemNote problem={problem ?? removal.problem} />
      </div>
    </div>
  )
}
