import { useState } from 'react'
import type { File, FileClaim } from '#contract/desk'
import type { Proof } from '#contract/verification'
import { readTyped, writeWhen } from '#core/dates/write'
import { isForSource } from '#core/documents/papers'
import { paperPartWords } from '#core/words/papers'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField, TextField } from '../../ui/Field'
import { Paper } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { Discard } from './Discard'
import { ZoneNote } from './ZoneNote'

/**
 * A document opened beside the claim. What it says is typed from the paper, never begun with what was claimed: a value
 * that was copied has not been read. Then it is marked as seen, or sent back with a reason.
 */
export function LookAt({
  file,
  claim,
  proof,
  documentId,
  onClose,
}: {
  file: File
  claim: FileClaim
  proof: Proof
  documentId: string
  onClose: () => void
}) {
  const document = claim.documents.find(({ id }) => id === documentId)
  const seen = document?.state === 'seen'
  // What a source wants with a question shows nothing of what is claimed: there is a signature to look at, and nothing to read.
  const forSource = document !== undefined && isForSource(document.part)
  const fields = forSource ? [] : proof.fields
  const [reads, setReads] = useState<Record<string, string>>(() =>
    Object.fromEntries(proof.fields.map(({ key, kind }) => [key, shownAs(kind, document?.reads[key] ?? '')])),
  )
  const [sending, setSending] = useState(false)
  const [discarding, setDiscarding] = useState(false)
  const [reason, setReason] = useState('')
  const seeing = useAct('seeDocument')
  const back = useAct('sendDocumentBack')
  const toast = useToast()
  const { may } = useSession()
  if (!document) return null
  const see = async () => {
    const said = Object.fromEntries(
      fields.map(({ key, kind }) => [
        key,
        kind === 'date' ? (readTyped(reads[key] ?? '') ?? reads[key] ?? '') : (reads[key] ?? ''),
      ]),
    )
    const done = await seeing.act({ params: { id: document.id }, body: { version: document.version, reads: said } })
    if (!done) return
    toast(say('proof.seenFileName', { fileName: document.fileName }), { documentId: document.id })
    onClose()
  }
  const sendBack = async () => {
    const done = await back.act({ params: { id: document.id }, body: { version: document.version, reason } })
    if (!done) return
    toast(say('proof.sentBackToWithA', { name: file.candidate.name }))
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={`${claim.label}: ${document.fileName}`} wide>
      <div className="grid gap-5 md:grid-cols-[minmax(0,1fr)_290px]">
        <section
          tabIndex={0}
          aria-label={say('proof.theDocument')}
          className="max-h-[72vh] overflow-auto rounded-sheet bg-ground p-2"
        >
          <Paper documentId={document.id} mediaType={document.mediaType} name={document.fileName} width={490} />
        </section>
        <div className="grid content-start gap-2.5 text-[0.9rem]">
          <p className="text-ink-2">
            {forSource
              ? say(document.part === 'receipt of payment' ? 'proof.lookAtReceipt' : 'proof.lookAtSignature')
              : say(seen ? 'proof.whatItSaysAsIt' : 'proof.typeWhatIsPrintedLeave')}
          </p>
          {document.finalBy && (
            <p className="rounded-sheet bg-soon-wash px-2.5 py-1.5 text-soon-ink">
              {say('proof.interimPaper', { part: paperPartWords(document.part), day: writeWhen(document.finalBy) })}
            </p>
          )}
          {document.fromWord && (
            <a href={`/api/documents/${document.id}/original`} className="justify-self-start underline">
              {say('proof.asWord')}
            </a>
          )}
          {proof.zone && !forSource && <ZoneNote zone={proof.zone} />}
          {fields.map(({ key, kind }) => {
            const claimed = shownAs(kind, proof.claimed[key] ?? '')
            const differs = (reads[key] ?? '') !== claimed
            return (
              <TextField
                key={key}
                label={say(`field.${key}`)}
                value={reads[key] ?? ''}
                disabled={seen || !may('seeDocument')}
                onChange={(event) => setReads((before) => ({ ...before, [key]: event.target.value }))}
                help={
                  claimed
                    ? say('proof.claimedClaimedValue', {
                        claimed,
                        value: reads[key] && differs ? say('proof.thePaperSaysSomethingElse') : '',
                      })
                    : undefined
                }
                className="w-full rounded-sheet border border-line-strong bg-sheet px-2 py-1"
              />
            )
          })}
          {discarding ? (
            <Discard document={document} onClose={() => setDiscarding(false)} onDone={onClose} />
          ) : sending ? (
            <>
              <LongField
                label={say('proof.whatIsWrongWithIt')}
                help={say('proof.theCandidateReadsThisSay')}
                limit={1000}
                value={reason}
                onChange={(event) => setReason(event.target.value)}
              />
              <ProblemNote problem={back.problem} />
              <div className="flex gap-2">
                <Button kind="grave" busy={back.busy} disabled={!isReason(reason)} onClick={() => void sendBack()}>
                  {say('proof.sendItBack')}
                </Button>
                <Button kind="quiet" onClick={() => setSending(false)}>
                  {say('proof.cancel')}
                </Button>
              </div>
            </>
          ) : (
            document.state === 'to look at' &&
            may('seeDocument') && (
              <>
                <ProblemNote problem={seeing.problem} />
                <div className="mt-1 flex flex-wrap gap-2">
                  <Button kind="main" data-first busy={seeing.busy} onClick={() => void see()}>
                    {say(
                      forSource && document.part !== 'receipt of payment'
                        ? 'proof.signedAndWhole'
                        : 'proof.readableAndRight',
                    )}
                  </Button>
                  <Button onClick={() => setSending(true)}>{say('proof.sendBack')}</Button>
                </div>
              </>
            )
          )}
          {may('discardDocument') && !sending && !discarding && (
            <button
              type="button"
              className="justify-self-start text-ink-2 underline"
              onClick={() => setDiscarding(true)}
            >
              {say('proof.shouldNotBeHere')}
            </button>
          )}
        </div>
      </div>
    </Dialog>
  )
}

const shownAs = (kind: string, text: string) => (kind === 'date' ? writeWhen(text) : text)
