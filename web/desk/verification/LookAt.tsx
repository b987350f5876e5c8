import { useState } from 'react'
import type { File, FileClaim } from '#contract/desk'
import type { ReadBy } from '#contract/documents'
import type { DocumentReading, Proof } from '#contract/verification'
import type { Field } from '#core/comparison/compareClaim'
import { readTyped, writeWhen } from '#core/dates/write'
import { isForSource } from '#core/documents/papers'
import { type LetterFindings, type LetterReading, letterParts, missingParts } from '#core/reading/letter'
import type { Place } from '#core/reading/paperText'
import { paperPartWords } from '#core/words/papers'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { Paper, type Spot } from '../../ui/Paper'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { Discard } from './Discard'
import { LetterParts } from './LetterParts'
import { ReadField } from './ReadField'
import { useLooking } from './useLooking'
import { ZoneNote } from './ZoneNote'

/**
 * A document opened beside the claim. What it says was read from it by machine, each value with its place on the page, or is
 * typed by a person, or marked as not on the paper; never is it begun with what was claimed. Then it is marked as seen, or
 * sent back with a reason.
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
  const { reading, typed, absent, letter, reason, change, forget } = useLooking(document, documentId, forSource)
  const [lookedAt, setLookedAt] = useState<string>()
  const [sending, setSending] = useState(false)
  const [discarding, setDiscarding] = useState(false)
  const seeing = useAct('seeDocument')
  const back = useAct('sendDocumentBack')
  const toast = useToast()
  const { may } = useSession()
  if (!document) return null
  const machineText = ({ key, kind }: Field) => shownAs(kind, reading?.values[key]?.value ?? '')
  const shown = (field: Field) =>
    seen ? shownAs(field.kind, document.reads[field.key] ?? '') : (typed[field.key] ?? machineText(field))
  const isAbsent = (key: string) => (seen ? document.readBy[key]?.by === 'absent' : absent.has(key))
  const found = reading?.letter ?? {}
  const findings: LetterFindings = seen ? letter : { ...foundThere(found), ...letter }
  const isLetter = reading ? reading.letter !== null : document.letter !== null
  const lacks = isLetter ? missingParts(findings) : []
  // Where the post wants a whole letter, one that lacks something goes back with what it lacks.
  const mustBeWhole =
    lacks.length > 0 && file.requirements.some(({ asks }) => asks.kind === 'every work entry' && asks.wholeLetter)
  const see = async () => {
    // What the machine read and nobody changed goes back as it was read, not as it is shown.
    const said = Object.fromEntries(
      fields
        .filter(({ key }) => !absent.has(key))
        .map((field) => {
          const value = shown(field)
          const read = reading?.values[field.key]?.value
          if (read && value === machineText(field)) return [field.key, read]
          return [field.key, field.kind === 'date' ? (readTyped(value) ?? value) : value]
        }),
    )
    const body = {
      version: document.version,
      reads: said,
      ...(absent.size > 0 ? { absent: [...absent] } : {}),
      ...(isLetter ? { letter: findings } : {}),
    }
    const done = await seeing.act({ params: { id: document.id }, body })
    if (!done) return
    forget()
    toast(say('proof.seenFileName', { fileName: document.fileName }), { documentId: document.id })
    onClose()
  }
  const sendBack = async () => {
    const done = await back.act({
      params: { id: document.id },
      body: { version: document.version, reason, ...(lacks.length > 0 ? { lacks } : {}) },
    })
    if (!done) return
    forget()
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
          <Paper
            documentId={document.id}
            mediaType={document.mediaType}
            name={document.fileName}
            width={490}
            spots={[
              ...spotsOf(fields, reading?.values ?? {}, found, lookedAt, document.readBy),
              ...flagSpots(proof.flags, document.id),
            ]}
          />
        </section>
        <div className="grid content-start gap-2.5 text-[0.9rem]">
          <p className="text-ink-2">
            {forSource
              ? say(document.part === 'receipt of payment' ? 'proof.lookAtReceipt' : 'proof.lookAtSignature')
              : say(seen ? 'proof.whatItSaysAsIt' : introOf(reading?.state))}
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
          {fields.map((field) => (
            <ReadField
              key={field.key}
              field={field}
              claimed={shownAs(field.kind, proof.claimed[field.key] ?? '')}
              value={shown(field)}
              machine={reading?.values[field.key]}
              machineText={machineText(field)}
              readBy={seen ? document.readBy[field.key] : undefined}
              absent={isAbsent(field.key)}
              locked={seen || !may('seeDocument')}
              error={faultAt(seeing.problem, field.key)}
              onType={(value) => change({ typed: { ...typed, [field.key]: value } })}
              onAbsent={(is) => change({ absent: withOrWithout(absent, field.key, is) })}
              onLook={() => setLookedAt(field.key)}
            />
          ))}
          {!seen &&
            may('seeDocument') &&
            fields.filter((field) => shown(field) === '' && !absent.has(field.key)).length > 0 && (
              <button
                type="button"
                className="justify-self-start font-semibold text-confirmed"
                onClick={() =>
                  change({ absent: new Set(fields.filter((field) => shown(field) === '').map(({ key }) => key)) })
                }
              >
                {say('proof.restNotOnPaper')}
              </button>
            )}
          {isLetter && (
            <LetterParts
              findings={findings}
              found={found}
              locked={seen || !may('seeDocument')}
              problem={seeing.problem}
              onSay={(part, state) => change({ letter: { ...letter, [part]: state } })}
              onLook={setLookedAt}
            />
          )}
          {discarding ? (
            <Discard document={document} onClose={() => setDiscarding(false)} onDone={onClose} />
          ) : sending ? (
            <>
              {lacks.length > 0 && (
                <p>
                  {say('proof.itLacks', { parts: lacks.map((part) => say(`reason.letterPart.${part}`)).join(', ') })}
                </p>
              )}
              <LongField
                label={say(lacks.length > 0 ? 'proof.anythingElse' : 'proof.whatIsWrongWithIt')}
                help={say('proof.theCandidateReadsThisSay')}
                limit={1000}
                value={reason}
                onChange={(event) => change({ reason: event.target.value })}
              />
              <ProblemNote problem={back.problem} />
              <div className="flex gap-2">
                <Button
                  kind="grave"
                  busy={back.busy}
                  disabled={lacks.length === 0 && !isReason(reason)}
                  onClick={() => void sendBack()}
                >
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
                <ProblemNote problem={seeing.problem?.faults ? undefined : seeing.problem} />
                <div className="mt-1 flex flex-wrap gap-2">
                  {mustBeWhole && (
                    <Button kind="main" data-first onClick={() => setSending(true)}>
                      {say('proof.sendBack')}
                    </Button>
                  )}
                  <Button
                    kind={mustBeWhole ? 'plain' : 'main'}
                    data-first={mustBeWhole ? undefined : true}
                    busy={seeing.busy}
                    onClick={() => void see()}
                  >
                    {say(
                      forSource && document.part !== 'receipt of payment'
                        ? 'proof.signedAndWhole'
                        : 'proof.readableAndRight',
                    )}
                  </Button>
                  {!mustBeWhole && <Button onClick={() => setSending(true)}>{say('proof.sendBack')}</Button>}
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

function introOf(state: DocumentReading['state'] | undefined) {
  if (state === 'read') return 'proof.readCheck'
  if (state === 'waiting') return 'proof.readingWaits'
  if (state === 'no recognition') return 'proof.readingMissing'
  return state === 'failed' ? 'proof.readingFailed' : 'proof.typeWhatIsPrintedLeave'
}

const foundThere = (found: LetterReading): LetterFindings =>
  Object.fromEntries(letterParts.filter((part) => found[part]).map((part) => [part, 'there' as const]))

function withOrWithout(before: ReadonlySet<string>, key: string, is: boolean): ReadonlySet<string> {
  const after = new Set(before)
  if (is) after.add(key)
  else after.delete(key)
  return after
}

/** Everything that was read, framed on the page; what is looked at now stands out. */
function spotsOf(
  fields: readonly Field[],
  values: DocumentReading['values'],
  found: LetterReading,
  now: string | undefined,
  readBy: Record<string, ReadBy>,
): Spot[] {
  const spot = (key: string, place: Place | undefined, field: string) =>
    place ? [{ place, label: say('proof.placeOf', { field }), now: key === now }] : []
  return [
    ...fields.flatMap(({ key }) => {
      const was = readBy[key]
      return spot(key, values[key]?.place ?? (was?.by === 'machine' ? was.place : undefined), say(`field.${key}`))
    }),
    ...letterParts.flatMap((part) => (part === now ? spot(part, found[part], say(`proof.letterPart.${part}`)) : [])),
  ]
}

/** What a red flag is about, framed where it stands. */
const flagSpots = (flags: Proof['flags'], documentId: string): Spot[] =>
  flags.flatMap(({ documentId: on, place, state, kind }) =>
    place && on === documentId && state !== 'dismissed' && place.width < 1
      ? [{ place, label: say(`flags.kind.${kind}`), now: true }]
      : [],
  )

const shownAs = (kind: string, text: string) => (kind === 'date' ? writeWhen(text) : text)
