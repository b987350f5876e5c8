import { useState } from 'react'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { marksWords } from '#core/words/grades'
import { Button } from '../../ui/Button'
import { Paper } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeShortDay, writeSize } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'
import { AskSource } from './AskSource'
import { type Act, actsFor, mayLook } from './acts'
import { ComparisonTable } from './ComparisonTable'
import { Decide } from './Decide'
import { LookAt } from './LookAt'
import { ZoneNote } from './ZoneNote'

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
  const toast = useToast()
  const toLook = claim.documents.find(({ state }) => state === 'to look at')
  const shown = toLook ?? claim.documents.find(({ state }) => state === 'seen') ?? claim.documents.at(-1)
  const settled = claim.rung === 'confirmed' || claim.rung === 'waived'
  const { roles, may } = useSession()
  const { acts, main } = actsFor(claim, { roles, may })
  const readable = mayLook(roles)
  const confirm = async () => {
    const done = await confirming.act({
      params: { id: claim.id },
      body: { version: claim.version, decision: 'confirmed', note: '' },
    })
    if (done) toast(`Confirmed: ${claim.label}.`, { findingId: done.findingId })
  }
  const lookUp = async () => {
    const done = await register.act({ params: { id: claim.id }, body: { applicationId: file.id } })
    if (done)
      toast(done.found ? 'Found in the register; compare and decide.' : 'The register has no entry with this number.')
  }
  const look = () => setLooking(shown?.id)
  const buttons: Record<Act, { letter: string; words: string; press: () => void; busy?: boolean }> = {
    look: { letter: 'L', words: 'Look at the document', press: look },
    confirm: { letter: 'C', words: 'Confirm', press: () => void confirm(), busy: confirming.busy },
    note: { letter: 'N', words: 'Confirm with a note', press: () => setDeciding('confirmed with a note') },
    register: { letter: 'G', words: 'Look up in the register', press: () => void lookUp(), busy: register.busy },
    ask: { letter: 'E', words: 'Ask the source', press: () => setAsking(true) },
    again: { letter: 'R', words: 'Ask again', press: () => setAsking(true) },
    contradict: { letter: 'X', words: 'Record contradiction', press: () => setDeciding('contradicted') },
    unconfirmable: { letter: 'U', words: 'Cannot be confirmed', press: () => setDeciding('unconfirmable') },
  }
  useKeys({
    ...(shown && readable ? { l: look } : {}),
    ...Object.fromEntries(acts.map((act) => [buttons[act].letter.toLowerCase(), buttons[act].press])),
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
          <h2 className="text-[1.2rem]">{claim.label}</h2>
          <p className="text-[0.8333rem] text-ink-2">{headline(claim)}</p>
          {claim.details.kind === 'study' && claim.details.marks && (
            <p className="text-[0.8333rem]">Marks as claimed: {marksWords(claim.details.marks)}</p>
          )}
        </div>
        <ComparisonTable comparison={proof.comparison} asked={proof.enquiries.length > 0} />
        <p className="border-line border-b bg-sheet px-3.5 py-2">
          <strong className={tone}>{proof.sentence.head}</strong> {proof.sentence.detail}
        </p>
        {proof.zone && <ZoneNote zone={proof.zone} />}
        {shown && !readable ? (
          <p className="m-3.5 text-ink-2">
            {shown.fileName}. Documents are opened by coordinators and hiring managers.
          </p>
        ) : shown ? (
          <div className="m-3.5 flex gap-3 rounded-sheet border border-line bg-ground p-2">
            <button
              type="button"
              onClick={look}
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
            <div className="min-w-0 text-[0.8333rem]">
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
              <button type="button" onClick={look} className="mt-1 font-semibold text-confirmed">
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
          {acts.map((act) => {
            const { letter, words, press, busy } = buttons[act]
            const kind = act === main ? 'main' : act === 'contradict' ? 'grave' : 'plain'
            return (
              <Button key={act} kind={kind} letter={letter} busy={busy} onClick={press}>
                {words}
              </Button>
            )
          })}
          {settled && acts.length === 0 && <p className="text-ink-2">This is settled. Nothing is needed.</p>}
          {acts.length === 0 && !settled && (
            <p className="text-ink-2">{claim.wants ? `${claim.wants}.` : 'Nothing is needed from you.'}</p>
          )}
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
    <ol className="grid gap-1.5 px-3.5 pb-3 text-[0.8333rem]" aria-label="What was done about this">
      {lines.map(({ at, text }) => (
        <li key={`${at}${text}`} className="grid grid-cols-[58px_1fr]">
          <span className="font-mono text-ink-2">{writeShortDay(at)}</span>
          <span>{text}</span>
        </li>
      ))}
    </ol>
  )
}
