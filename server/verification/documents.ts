import type { ReadBy } from '#contract/documents'
import type { FieldKey } from '#core/comparison/compareClaim'
import { isForSource } from '#core/documents/papers'
import { type LetterFindings, type LetterPart, letterParts } from '#core/reading/letter'
import type { ReadValue } from '#core/reading/readFields'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import type { StoredValue } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalid, invalidField, notFound } from '../platform/errors/problems'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { documentById, markSeen, markSentBack, markUnseen } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { claimById } from '../records/enquiries/load'
import { problems } from './problems'
import { readingOf } from './reading'

/** A live portrait is looked at by itself, and what a source wants with a question shows nothing of what is claimed. */
const showsTheClaim = ({ live, part }: Document) => !live && !isForSource(part)

/** Whoever asks a source at that very moment has read another version of the claim, and does not. */
async function takeBack(claim: Claim, document: Document) {
  if (showsTheClaim(document)) await compareAndSet(claim, claim.version, { rung: 'claimed' })
  else if (!document.live) await compareAndSet(claim, claim.version, {})
}

type Looked = { version: number; reads: Record<string, string>; absent?: string[]; letter?: LetterFindings }

/**
 * Marks a document as seen, with what it says, and with how each value came to be known: what equals the machine's reading
 * was read by it and confirmed, anything else was read by whoever looked. A claim that was only claimed is now evidenced.
 *
 * @throws Problem `invalid` with the fields that are claimed and of which nothing is said
 */
export async function seeDocument(
  deps: Deps,
  actor: Account,
  id: string,
  { version, reads, absent = [], letter }: Looked,
) {
  const said = Object.fromEntries(
    Object.entries(reads)
      .map(([key, value]) => [key, value.trim()] as const)
      .filter(([key, value]) => value !== '' && !absent.includes(key)),
  )
  const { claim, fields, claimed, reading } = await readingOf(deps, await documentById(id))
  const open = fields.filter(({ key }) => claimed[key] && !said[key] && !absent.includes(key))
  if (open.length > 0)
    throw invalid(open.map(({ key }) => ({ pointer: `/body/reads/${key}`, message: say('problem.sayWhatItSays') })))
  const unsettled = reading.letter ? letterParts.filter((part) => !letter?.[part]) : []
  if (unsettled.length > 0)
    throw invalid(
      unsettled.map((part) => ({ pointer: `/body/letter/${part}`, message: say('problem.sayWhetherItIsThere') })),
    )
  const readBy = {
    ...Object.fromEntries(
      Object.entries(said).map(([key, value]) => [key, howRead(value, reading.values[key as FieldKey])]),
    ),
    ...Object.fromEntries(absent.map((key) => [key, { by: 'absent' as const }])),
  }
  const document = await markSeen(deps, id, version, actor.name, { reads: said, readBy, letter })
  if (claim.rung === 'claimed' && showsTheClaim(document))
    await compareAndSet(claim, claim.version, { rung: 'evidenced' })
  await recordEvent(deps, actor, {
    code: 'document-seen',
    values: { file: document.fileName, claim: labelValue(claim.details) },
    candidateId: claim.candidateId,
    claimId: claim.id,
    details: { reads: said, readBy, ...(letter ? { letter } : {}) },
  })
  return { done: true as const }
}

function howRead(value: string, machine: ReadValue | undefined): ReadBy {
  if (!machine) return { by: 'person' }
  return machine.value === value
    ? { by: 'machine', how: machine.how, place: machine.place }
    : { by: 'person', machine: machine.value }
}

/**
 * Says whether a live portrait shows whoever the paper of identity is of. It changes no rung: the paper is looked at by itself.
 *
 * @throws Problem 404 where it is no live portrait, `invalid` where it is somebody else's and nobody says why
 */
export async function comparePortrait(
  deps: Deps,
  actor: Account,
  id: string,
  { version, holder, note }: { version: number; holder: 'same' | 'other'; note: string },
) {
  if (!(await documentById(id)).live) throw notFound()
  if (holder === 'other' && !isReason(note)) throw invalidField('/body/note', say('problem.sayWhyForWhoeverReads'))
  const document = await markSeen(deps, id, version, actor.name, { reads: {}, readBy: {} })
  await document.update({ holder })
  const claim = await claimById(document.claimId)
  await recordEvent(deps, actor, {
    code: 'portrait-compared',
    words: `portrait-compared.${holder}`,
    values: { claim: labelValue(claim.details), note: note.trim() },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}

export async function unseeDocument(deps: Deps, actor: Account, id: string) {
  const claim = await claimById((await documentById(id)).claimId)
  if (claim.rung !== 'evidenced' && claim.rung !== 'claimed') throw problems.askedSince()
  const document = await markUnseen(id)
  await takeBack(claim, document)
  await recordEvent(deps, actor, {
    code: 'document-unseen',
    values: { file: document.fileName },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}

const whyBack = (reason: string, lacks: readonly LetterPart[]): StoredValue => {
  if (lacks.length === 0) return reason
  const parts = { list: lacks.map((part) => ({ code: `reason.letterPart.${part}` as const })) }
  return reason
    ? { code: 'reason.letterMissingAnd', values: { parts, reason } }
    : { code: 'reason.letterMissing', values: { parts } }
}

/** Sends a document back with a reason. The candidate gets a mail, and a task on the status page. */
export async function sendDocumentBack(
  deps: Deps,
  actor: Account,
  id: string,
  { version, reason, lacks = [] }: { version: number; reason: string; lacks?: LetterPart[] },
) {
  if (lacks.length === 0 && !isReason(reason)) throw invalidField('/body/reason', say('problem.sayWhyForWhoeverReads'))
  const claim = await claimById((await documentById(id)).claimId)
  if (claim.rung !== 'evidenced' && claim.rung !== 'claimed') throw problems.askedSinceRecord()
  const document = await markSentBack(id, version, reason.trim(), lacks)
  await takeBack(claim, document)
  await recordEvent(deps, actor, {
    code: 'document-sent-back',
    values: { file: document.fileName, claim: labelValue(claim.details), reason: whyBack(reason.trim(), lacks) },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}
