import { useState } from 'react'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { marksWords } from '#core/words/grades'
import { Button } from '../../ui/Button'
import { Paper } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeShortDay, writeSize } from '../../ui/write'
import { useAct } from '../../useAct'
import { useKeys } from '../useKeys'
import { useTold } from '../useTold'
import { AskSource } from './AskSource'
import { ComparisonTable } from './ComparisonTable'
import { Decide } from './Decide'
import { LookAt } from './LookAt'

type FileClaim = File['claims'][number]
type Decision = 'confirmed with a note' | 'contradicted' | 'unconfirmable'

/** The proof of one claim: what is claimed, what the paper says, what the source says, and what to do. */
export function ClaimProof({ file, claim }: { file: File; claim: FileClaim }) {
  const { proof } = claim
  const [looking, setLooking] = useState<string>()
  const [asking, setAsking] = useState(false)
  const [deciding, setDeciding] = useState<Decision>()
  const confirming = useAct('decideClaim')
  const register = useAct('askRegister')
  const told = useTold()
  const toLook = claim.documents.find(({ state }) => state === 'to look at')
  const shown = toLook ?? claim.documents.find(({ state }) => state === 'seen') ?? claim.documents.at(-1)
  const open = proof.enquiries.find(({ state, channel }) => state === 'open' && channel === 'link')
  const answered = proof.comparison.outcome !== 'no reply' && !open
  const settled = claim.rung === 'confirmed' || claim.rung === 'waived'
  const asked = proof.enquiries.length > 0
  const confirm = async () => {
    const done = await confirming.act({
      params: { id: claim.id },
      body: { version: claim.version, decision: 'confirmed', note: '' },
    })
    if (done) told(`Confirmed: ${claim.label}.`, { findingId: done.findingId })
  }
  const lookUp = async () => {
    const done = await register.act({ params: { id: claim.id }, body: { applicationId: file.id } })
    if (done)
      told(done.found ? 'Found in the register; compare and decide.' : 'The register has no entry with this number.')
  }
  const may = {
    look: shown !== undefined,
    confirm: answered && !settled && proof.comparison.outcome === 'agrees',
    note: answered && !settled && proof.comparison.outcome !== 'agrees',
    ask: !settled && !open && !answered && !['paper', 'identity', 'residence'].includes(claim.details.kind),
    again: !settled && !open && answered,
    register: !settled && !open && proof.register && !answered,
    contradict: !settled && claim.rung !== 'contradicted' && asked,
    unconfirmable: !settled && claim.rung !== 'unconfirmable' && asked && !answered,
  }
  const acts = {
    look: () => setLooking(shown?.id),
    confirm: () => void confirm(),
    note: () => setDeciding('confirmed with a note'),
    ask: () => setAsking(true),
    register: () => void lookUp(),
    contradict: () => setDeciding('contradicted'),
    unconfirmable: () => setDeciding('unconfirmable'),
  }
  useKeys({
    l: may.look ? acts.look : undefined,
    c: may.confirm ? acts.confirm : undefined,
    n: may.note ? acts.note : undefined,
    e: may.ask ? acts.ask : undefined,
    r: may.again ? acts.ask : undefined,
    g: may.register ? acts.register : undefined,
    x: may.contradict ? acts.contradict : undefined,
    u: may.unconfirmable ? acts.unconfirmable : undefined,
  })
  const tone = {
    agrees: 'text-confirmed',
    contradicts: 'text-contradicted',
    look: 'text-soon-ink',
    'no reply': 'text-ink-2',
  }[proof.comparison.outcome]
  return (
    <>
      <div className="min-h-0 flex-1 overflow-auto">
        <div className="px-3.5 pt-2.5 pb-2">
          <h2 className="text-[18px]">{claim.label}</h2>
          <p className="text-[12.5px] text-ink-2">{headline(claim)}</p>
          {claim.details.kind === 'study' && claim.details.marks && (
            <p className="text-[12.5px]">Marks as claimed: {marksWords(claim.details.marks)}</p>
          )}
        </div>
        <ComparisonTable comparison={proof.comparison} asked={proof.enquiries.length > 0} />
        <p className="border-line border-b bg-sheet px-3.5 py-2">
          <strong className={tone}>{proof.sentence.head}</strong> {proof.sentence.detail}
        </p>
        {shown ? (
          <div className="m-3.5 flex gap-3 rounded-sheet border border-line bg-ground p-2">
            <button
              type="button"
              onClick={acts.look}
              className="h-[122px] w-[136px] shrink-0 overflow-hidden"
              aria-label={`Look at ${shown.fileName}`}
            >
              <Paper
                key={shown.id}
                documentId={shown.id}
                mediaType={shown.mediaType}
                name={shown.fileName}
                width={136}
                firstPageOnly
              />
            </button>
            <div className="min-w-0 text-[12.5px]">
              <p className="break-words font-semibold">{shown.fileName}</p>
              <p className="text-ink-2">
                {shown.pages === 1 ? '1 page' : `${shown.pages} pages`}, {writeSize(shown.size)}
              </p>
              <p className={shown.state === 'seen' ? 'text-ink-2' : 'font-semibold text-soon-ink'}>
                {shown.state === 'seen'
                  ? `Seen by ${shown.seenBy}, ${writeShortDay(shown.seenAt ?? shown.uploadedAt)}`
                  : shown.state === 'sent back'
                    ? `Sent back: ${shown.sentBackBecause}`
                    : 'Nobody has looked at it yet'}
              </p>
              <button type="button" onClick={acts.look} className="mt-1 font-semibold text-confirmed">
                Open beside the claim
              </button>
            </div>
          </div>
        ) : (
          <p className="m-3.5 text-ink-2">No document stands behind this.</p>
        )}
        <History claim={claim} />
      </div>
      <div className="border-line border-t bg-sheet p-3">
        <ProblemNote problem={confirming.problem ?? register.problem} />
        <div className="flex flex-wrap gap-2">
          {toLook && (
            <Button kind="main" letter="L" onClick={acts.look}>
              Look at the document
            </Button>
          )}
          {may.confirm && (
            <Button kind="main" letter="C" busy={confirming.busy} onClick={acts.confirm}>
              Confirm
            </Button>
          )}
          {may.note && (
            <Button kind={toLook ? 'plain' : 'main'} letter="N" onClick={acts.note}>
              Confirm with a note
            </Button>
          )}
          {may.register && (
            <Button kind={toLook ? 'plain' : 'main'} letter="G" busy={register.busy} onClick={acts.register}>
              Look up in the register
            </Button>
          )}
          {may.ask && (
            <Button kind={toLook || may.register ? 'plain' : 'main'} letter="E" onClick={acts.ask}>
              Ask the source
            </Button>
          )}
          {may.again && (
            <Button letter="R" onClick={acts.ask}>
              Ask again
            </Button>
          )}
          {may.contradict && (
            <Button kind="grave" letter="X" onClick={acts.contradict}>
              Record contradiction
            </Button>
          )}
          {may.unconfirmable && (
            <Button letter="U" onClick={acts.unconfirmable}>
              Cannot be confirmed
            </Button>
          )}
          {settled && !toLook && <p className="text-ink-2">This is settled. Nothing is needed.</p>}
        </div>
      </div>
      {looking && <LookAt file={file} claim={claim} documentId={looking} onClose={() => setLooking(undefined)} />}
      {asking && <AskSource file={file} claim={claim} onClose={() => setAsking(false)} />}
      {deciding && <Decide claim={claim} decision={deciding} onClose={() => setDeciding(undefined)} />}
    </>
  )
}

function headline({ proof, details, credentialVersion }: FileClaim): string {
  const latest = proof.enquiries.at(-1)
  const version = credentialVersion > 1 ? ` Version ${credentialVersion} of this paper.` : ''
  if (!latest) return `${details.sourceName || 'No source given'}. Not asked yet.${version}`
  if (latest.state === 'answered')
    return `${latest.channel === 'register' ? 'From the register of' : 'Reply from'} ${latest.source}, ${writeShortDay(latest.answeredAt ?? latest.askedAt)}.${version}`
  if (latest.state === 'open')
    return `${latest.source} was asked ${writeShortDay(latest.askedAt)}, an answer is due ${writeWhen(latest.answerBy)}.${version}`
  return `${latest.source} did not answer; the link has expired.${version}`
}

/** What was asked, answered and decided about this claim, newest first, and its earlier versions. */
function History({ claim }: { claim: FileClaim }) {
  const lines = [
    ...claim.proof.enquiries.flatMap((enquiry) => [
      {
        at: enquiry.askedAt,
        text:
          enquiry.channel === 'register'
            ? `Looked up in the register by ${enquiry.askedBy}`
            : `Asked by ${enquiry.askedBy}, permission enclosed`,
      },
      ...(enquiry.answeredAt && enquiry.channel === 'link'
        ? [
            {
              at: enquiry.answeredAt,
              text: `Reply by secure link, ${enquiry.respondent}${enquiry.note ? `: “${enquiry.note}”` : ''}`,
            },
          ]
        : []),
      ...(enquiry.note && enquiry.channel === 'register' ? [{ at: enquiry.askedAt, text: enquiry.note }] : []),
    ]),
    ...claim.proof.findings.map(({ at, decision, note, by, undone }) => ({
      at,
      text: `${undone ? 'Undone: ' : ''}${decision} by ${by}${note ? `: “${note}”` : ''}`,
    })),
    ...claim.earlier.map(({ replacedAt, details, rung }) => ({
      at: replacedAt,
      text: `Renewed. Before: ${'number' in details ? details.number : ''}, ${'through' in details ? `valid through ${writeWhen(details.through)}` : ''}, ${rung}`,
    })),
  ].sort((a, b) => (a.at < b.at ? 1 : -1))
  if (lines.length === 0) return null
  return (
    <ol className="grid gap-1.5 px-3.5 pb-3 text-[12.5px]" aria-label="What was done about this">
      {lines.map(({ at, text }) => (
        <li key={`${at}${text}`} className="grid grid-cols-[58px_1fr]">
          <span className="font-mono text-ink-2">{writeShortDay(at)}</span>
          <span>{text}</span>
        </li>
      ))}
    </ol>
  )
}
