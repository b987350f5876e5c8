import { useState } from 'react'
import { Link } from 'react-router'
import type { File, FileClaim } from '#contract/desk'
import type { Proof } from '#contract/verification'
import type { Decision } from '#core/comparison/proposeDecision'
import { writeWhen } from '#core/dates/write'
import { credentialFieldWords } from '#core/words/credentials'
import { marksWords } from '#core/words/grades'
import { paperPartWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { markWords } from '../../ui/Mark'
import { Paper } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeShortDay, writeSize } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { ClaimFlags } from '../redFlags/ClaimFlags'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'
import { AskCandidate } from './AskCandidate'
import { AskSource } from './AskSource'
import { type Act, actsFor, mayLook } from './acts'
import { ComparePortrait } from './ComparePortrait'
import { ComparisonTable } from './ComparisonTable'
import { Decide } from './Decide'
import { LookAt } from './LookAt'
import { Reviewing } from './Reviewing'
import { SourceNote } from './SourceNote'
import { Weighing } from './Weighing'
import { ZoneNote } from './ZoneNote'

/** The proof of one claim: what is claimed, what the paper says, what the source says, and what to do. */
export function ClaimProof({ file, claim }: { file: File; claim: FileClaim }) {
  const {
    data: proof,
    error,
    refetch,
  } = api.endpoints.readProof.useQuery(
    { params: { id: file.id, claimId: claim.id } },
    { refetchOnMountOrArgChange: true },
  )
  // Whoever is quicker than the proof gets the paper once it is there; nothing is decided before it is seen.
  const [early, setEarly] = useState(false)
  useKeys({ l: proof ? undefined : () => setEarly(true) })
  if (!proof) return <Waiting error={error} onRetry={refetch} />
  return <ReadProof file={file} claim={claim} proof={proof} lookAtOnce={early} />
}

/** Since when it is confirmed and until when that serves; it is asked again once that is over. */
function confirmedWords({ since, until, stale }: NonNullable<FileClaim['confirmed']>): string {
  const days = { since: writeWhen(since), until: writeWhen(until ?? since) }
  if (stale) return say('proof.confirmedLongAgo', days)
  return until ? say('proof.confirmedUntil', days) : say('proof.confirmedSince', { since: days.since })
}

type ReadProps = { file: File; claim: FileClaim; proof: Proof; lookAtOnce: boolean }

function ReadProof({ file, claim, proof, lookAtOnce }: ReadProps) {
  const [asking, setAsking] = useState(false)
  const [deciding, setDeciding] = useState<readonly Decision[]>()
  const [askingCandidate, setAskingCandidate] = useState(false)
  const confirming = useAct('decideClaim')
  const register = useAct('askRegister')
  const toast = useToast()
  const there = claim.documents.filter(({ state }) => state !== 'discarded')
  const toLook = there.find(({ state }) => state === 'to look at')
  const shown = toLook ?? there.find(({ state }) => state === 'seen') ?? there.at(-1)
  const settled = (claim.rung === 'confirmed' && !claim.confirmed?.stale) || claim.rung === 'waived'
  const { rights, may } = useSession()
  const { acts, main } = proof.review ? noActs : actsFor(claim, proof, { rights, may })
  const readable = mayLook(rights)
  const [looking, setLooking] = useState(lookAtOnce ? shown?.id : undefined)
  const portrait = there.findLast(({ live, state }) => live && state !== 'replaced')
  const isLive = portrait !== undefined && portrait.id === looking
  const confirm = async () => {
    const done = await confirming.act({
      params: { id: claim.id },
      body: { version: proof.version, decision: 'confirmed', note: '' },
    })
    if (done?.reviewId) toast(say('proof.proposedOf', { label: claim.label }), { reviewId: done.reviewId })
    else if (done)
      toast(say('proof.confirmedLabel', { label: claim.label }), { findingId: done.findingId ?? undefined })
  }
  const lookUp = async () => {
    const done = await register.act({ params: { id: claim.id }, body: { applicationId: file.id } })
    if (!done) return
    if (done.found === null) return void toast(say('enquiries.registerSilent'))
    toast(done.found ? say('proof.foundInTheRegisterCompare') : say('proof.theRegisterHasNoEntry'))
  }
  const look = () => setLooking(shown?.id)
  const others = there.filter(({ id, live, state }) => id !== shown?.id && !live && state !== 'replaced')
  const buttons: Record<Act, { letter: string; words: string; press: () => void; busy?: boolean }> = {
    look: { letter: 'L', words: say('proof.lookAtTheDocument'), press: look },
    confirm: { letter: 'C', words: say('proof.confirm'), press: () => void confirm(), busy: confirming.busy },
    note: { letter: 'N', words: say('proof.confirmWithANote'), press: () => setDeciding(['confirmed with a note']) },
    register: { letter: 'G', words: say('proof.lookUpInTheRegister'), press: () => void lookUp(), busy: register.busy },
    ask: { letter: 'E', words: say('proof.askTheSource'), press: () => setAsking(true) },
    again: { letter: 'R', words: say('proof.askAgain'), press: () => setAsking(true) },
    contradict: { letter: 'X', words: say('proof.recordContradiction'), press: () => setDeciding(['contradicted']) },
    unconfirmable: { letter: 'U', words: say('proof.cannotBeConfirmed'), press: () => setDeciding(['unconfirmable']) },
    candidate: { letter: 'I', words: say('proof.askTheCandidate'), press: () => setAskingCandidate(true) },
    anew: { letter: 'D', words: say('proof.decideAnew'), press: () => setDeciding(anewAmong(proof)) },
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
          <p className="text-[0.8333rem] text-ink-2">{headline(claim, proof)}</p>
          {claim.confirmed && (
            <p className={`text-[0.8333rem] ${claim.confirmed.stale ? 'font-semibold text-soon-ink' : ''}`}>
              {confirmedWords(claim.confirmed)}
            </p>
          )}
          {claim.details.kind === 'study' && claim.details.marks && (
            <p className="text-[0.8333rem]">
              {say('proof.marksAsClaimed', { marks: marksWords(claim.details.marks) })}
            </p>
          )}
          {'credential' in claim.details &&
            credentialFieldWords(claim.details.credential, claim.details.fields).map(({ key, label, words }) => (
              <p key={key} className="text-[0.8333rem]">
                {label}: {words}
              </p>
            ))}
        </div>
        <ComparisonTable comparison={proof.comparison} asked={proof.enquiries.length > 0} />
        <p className="border-line border-b bg-sheet px-3.5 py-2">
          <strong className={tone}>{proof.sentence.head}</strong> {proof.sentence.detail}
        </p>
        <Weighing proof={proof} />
        <ClaimFlags flags={proof.flags} onPaper={readable ? setLooking : undefined} />
        <SourceNote proof={proof} />
        {proof.zone && <ZoneNote zone={proof.zone} />}
        {shown && !readable ? (
          <p className="m-3.5 text-ink-2">
            {say('proof.documentsAreOpenedByCoordinators', { fileName: shown.fileName })}
          </p>
        ) : shown ? (
          <div className="m-3.5 flex gap-3 rounded-sheet border border-line bg-ground p-2">
            <button
              type="button"
              onClick={look}
              className="h-[122px] w-[136px] shrink-0 overflow-hidden"
              aria-label={say('proof.lookAt', { fileName: shown.fileName })}
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
                {shown.pages === 1 ? say('proof.n1Page') : say('proof.pagesPages', { pages: shown.pages })},{' '}
                {writeSize(shown.size)}
              </p>
              <p className={shown.state === 'seen' ? 'text-ink-2' : 'font-semibold text-soon-ink'}>
                {shown.state === 'seen'
                  ? say('proof.seenBy', {
                      seenBy: shown.seenBy ?? '',
                      seenAt: writeShortDay(shown.seenAt ?? shown.uploadedAt),
                    })
                  : shown.state === 'sent back'
                    ? say('proof.sentBack', { sentBackBecause: shown.sentBackBecause ?? '' })
                    : say('proof.nobodyHasLookedAtIt')}
              </p>
              <button type="button" onClick={look} className="mt-1 font-semibold text-confirmed">
                {say('proof.openBesideTheClaim')}
              </button>
              {portrait && portrait.id !== shown.id && (
                <button
                  type="button"
                  onClick={() => setLooking(portrait.id)}
                  className="mt-1 block font-semibold text-confirmed"
                >
                  {say('proof.openThePortrait')}
                </button>
              )}
            </div>
          </div>
        ) : (
          <p className="m-3.5 text-ink-2">{say('proof.noDocumentStandsBehindThis')}</p>
        )}
        {readable && others.length > 0 && (
          <ul className="mx-3.5 mb-3 grid gap-0.5 text-[0.8333rem]" aria-label={say('proof.alsoHere')}>
            {others.map(({ id, fileName, part }) => (
              <li key={id}>
                <button type="button" onClick={() => setLooking(id)} className="font-semibold text-confirmed">
                  {fileName}
                </button>{' '}
                <span className="text-ink-2">{paperPartWords(part)}</span>
              </li>
            ))}
          </ul>
        )}
        <EnquiryLinks proof={proof} />
        <History claim={claim} proof={proof} />
      </div>
      <div className="border-line border-t bg-sheet p-3">
        <ProblemNote problem={confirming.problem ?? register.problem} />
        {proof.review && <Reviewing claim={claim} proof={proof} review={proof.review} onOpen={setLooking} />}
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
          {settled && acts.length === 0 && !proof.review && (
            <p className="text-ink-2">{say('proof.thisIsSettledNothingIs')}</p>
          )}
          {acts.length === 0 && !settled && !proof.review && (
            <p className="text-ink-2">{claim.wants ? `${claim.wants}.` : say('proof.nothingIsNeededFromYou')}</p>
          )}
        </div>
      </div>
      {looking && readable && !isLive && (
        <LookAt file={file} claim={claim} proof={proof} documentId={looking} onClose={() => setLooking(undefined)} />
      )}
      {looking && readable && isLive && (
        <ComparePortrait file={file} claim={claim} documentId={looking} onClose={() => setLooking(undefined)} />
      )}
      {asking && <AskSource file={file} claim={claim} onClose={() => setAsking(false)} />}
      {deciding && <Decide claim={claim} proof={proof} among={deciding} onClose={() => setDeciding(undefined)} />}
      {askingCandidate && <AskCandidate file={file} claim={claim} onClose={() => setAskingCandidate(false)} />}
    </>
  )
}

const noActs = { acts: [], main: undefined } as const

/** What a claim that was decided can come to anew. */
const anewAmong = ({ comparison, enquiries }: Proof): Decision[] => [
  'contradicted',
  ...(comparison.outcome === 'no reply' ? [] : (['confirmed with a note'] as const)),
  ...(enquiries.length > 0 ? (['unconfirmable'] as const) : []),
]

function headline({ details, credentialVersion }: FileClaim, proof: Proof): string {
  const latest = proof.enquiries.at(-1)
  const version = credentialVersion > 1 ? say('proof.versionOfThisPaper', { credentialVersion }) : ''
  if (!latest)
    return say('proof.notAskedYet', { sourceName: details.sourceName || say('proof.noSourceGiven'), version })
  if (latest.state === 'answered')
    return `${latest.channel === 'register' ? say('proof.fromTheRegisterOf2') : say('proof.replyFrom2')} ${latest.source}, ${writeShortDay(latest.answeredAt ?? latest.askedAt)}.${version}`
  if (latest.state === 'prepared') return say('enquiries.preparedNow', { source: latest.source })
  if (latest.state === 'withdrawn') return say('proof.calledOff', { source: latest.source, version })
  if (latest.state === 'declined') return say('proof.declined', { source: latest.source, version })
  if (latest.state === 'open')
    return say('proof.wasAskedAnAnswerIs', {
      source: latest.source,
      askedAt: writeShortDay(latest.askedAt),
      answerBy: writeWhen(latest.answerBy),
      version,
    })
  return say('proof.stayedSilent', { source: latest.source, version })
}

/** The questions that go on, or wait for somebody: each has a place of its own. */
function EnquiryLinks({ proof }: { proof: Proof }) {
  const { may } = useSession()
  const shown = proof.enquiries.filter(({ state, paper }) => state !== 'withdrawn' || paper)
  if (!may('readEnquiryAtDesk') || shown.length === 0) return null
  return (
    <ul className="mx-3.5 mb-2 flex flex-wrap gap-x-4 text-[0.8333rem]">
      {shown.map(({ id, reference, round }) => (
        <li key={id}>
          <Link to={`/desk/enquiries/${id}`} className="font-semibold text-confirmed">
            {say('enquiries.open', { reference: reference ?? String(round) })}
          </Link>
        </li>
      ))}
    </ul>
  )
}

/** What was asked, answered and decided about this claim, newest first, and its earlier versions. */
function History({ claim, proof }: { claim: FileClaim; proof: Proof }) {
  const lines = [
    ...proof.enquiries.flatMap((enquiry) => [
      ...enquiry.steps
        .filter(({ step }) => step !== 'answered' || !enquiry.answeredAt)
        .map(({ step, channel, at, by, to, note }) => ({
          at,
          text: [
            say(`enquiries.step.${step}`, { way: say(`sources.channel.${channel}`) }),
            to.replaceAll('\n', ', '),
            by,
            note,
          ]
            .filter(Boolean)
            .join(', '),
        })),
      ...(enquiry.answeredAt
        ? [
            {
              at: enquiry.answeredAt,
              text: say('proof.replyBy', {
                way: say(`sources.channel.${enquiry.channel}`),
                respondent: enquiry.respondent ?? '',
                value: enquiry.note ? `: “${enquiry.note}”` : '',
              }),
            },
          ]
        : []),
    ]),
    ...proof.findings.map(({ at, decision, note, by, basis, undone }) => ({
      at,
      text: `${undone ? say('proof.undone2') : ''}${
        basis && 'credential' in basis
          ? say('proof.confirmedByCredential', { issuer: basis.issuer, kid: basis.kid })
          : basis
            ? say('proof.confirmedAtOnce', {
                programme: basis.programme,
                basis: say(`sources.basis.${basis.basis}`),
                by: basis.by,
                years: `${basis.from} – ${basis.to ?? say('sources.today')}`,
                record: basis.record,
              })
            : say('proof.decisionBy', { decision: say(`state.decision.${decision}`), by })
      }${note ? `: “${note}”` : ''}`,
    })),
    ...claim.earlier.map(({ replacedAt, details, rung }) => ({
      at: replacedAt,
      text: say('proof.renewedBefore', {
        value: 'number' in details ? details.number : '',
        value2: 'through' in details ? say('proof.validThrough', { through: writeWhen(details.through) }) : '',
        rung: markWords(rung),
      }),
    })),
  ].sort((a, b) => (a.at < b.at ? 1 : -1))
  if (lines.length === 0) return null
  return (
    <ol className="grid gap-1.5 px-3.5 pb-3 text-[0.8333rem]" aria-label={say('proof.whatWasDoneAboutThis')}>
      {lines.map(({ at, text }) => (
        <li key={`${at}${text}`} className="grid grid-cols-[68px_1fr]">
          <span className="font-mono text-ink-2">{writeShortDay(at)}</span>
          <span>{text}</span>
        </li>
      ))}
    </ol>
  )
}
