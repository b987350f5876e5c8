import type { DocumentReading } from '#contract/verification'
import type { Field } from '#core/comparison/compareClaim'
import { fieldsOf } from '#core/comparison/fields'
import { isForSource } from '#core/documents/papers'
import { readLetter } from '#core/reading/letter'
import { readFields } from '#core/reading/readFields'
import type { Deps } from '../platform/deps'
import { candidateWithMail } from '../records/accounts/candidate'
import type { Claim } from '../records/claims/model'
import { documentById } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { isReadable, PaperReading } from '../records/documents/readings'
import { claimById } from '../records/enquiries/load'
import { claimedStatement } from '../records/enquiries/statement'
import { Source } from '../records/sources/model'

/** A document with the claim it stands behind, what is to be read on it, and what a machine made of it. */
export type DocumentRead = {
  claim: Claim
  fields: readonly Field[]
  claimed: Record<string, string>
  reading: DocumentReading
}

/** What a machine read on a document, for the fields of the claim it stands behind. */
export async function readingOf(deps: Deps, document: Document): Promise<DocumentRead> {
  const claim = await claimById(document.claimId)
  const claimed = claimedStatement(claim.details, await candidateWithMail(claim.candidateId))
  const isLetter = claim.kind === 'work' && document.part === 'certificate'
  const letter = isLetter ? {} : null
  const about = { claim, claimed }
  if (isForSource(document.part) || document.live || !document.sha256 || !isReadable(document.mediaType))
    return { ...about, fields: [], reading: { state: 'nothing to read', values: {}, letter: null } }
  const fields = fieldsOf(claim.kind, claimed)
  const read = await PaperReading.findByPk(document.sha256)
  if (!read?.text) return { ...about, fields, reading: { state: read?.state ?? 'waiting', values: {}, letter } }
  const values = readFields(read.text, fields, claimed, deps.clock.today())
  return {
    ...about,
    fields,
    reading: { state: 'read', values, letter: isLetter ? readLetter(read.text, values, await namesOf(claim)) : null },
  }
}

/** The names of whoever a claim says has issued it. */
async function namesOf({ sourceId, proposedSourceId, details }: Claim): Promise<string[]> {
  const id = sourceId ?? proposedSourceId
  const source = id ? await Source.findByPk(id) : null
  return source ? [source.name, ...source.known.names.map(({ name }) => name)] : [details.sourceName]
}

export const readByMachine = async (deps: Deps, id: string): Promise<DocumentReading> =>
  (await readingOf(deps, await documentById(id))).reading
