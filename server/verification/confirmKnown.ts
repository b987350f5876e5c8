import { v7 as uuid } from 'uuid'
import { knownProgramme, matchesRecord } from '#core/sources/knownAward'
import { callOffAbout } from '../enquiries/callOff'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Actor, Deps } from '../platform/deps'
import { candidateWithMail } from '../records/accounts/candidate'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { documentsOf } from '../records/documents/documents'
import { settleEnquiries } from '../records/enquiries/enquiries'
import { Finding } from '../records/enquiries/model'
import { claimedStatement } from '../records/enquiries/statement'
import { isFlagged } from '../records/redFlags/flags'
import { awardNumbered } from '../records/sources/awards'
import type { Source } from '../records/sources/model'
import { sourceById } from '../records/sources/sources'
import { soldBy } from '../records/sources/watchlist'

type Said = { said: Readonly<Record<string, string>>; enquiryId: string | null }

/** The source a study may be confirmed at once by: known, checked, and no seller. */
export async function knownSourceOf({ sourceId }: Pick<Claim, 'sourceId'>): Promise<Source | undefined> {
  if (!sourceId) return undefined
  const source = await sourceById(sourceId)
  return source.checkedAt && !(await soldBy(source)) ? source : undefined
}

/** Confirms a study by what its institution has told us of its awards; see `confirmByRecord`. */
export async function confirmByOwnRecords(deps: Deps, actor: Actor, claim: Claim): Promise<boolean> {
  const source = await knownSourceOf(claim)
  const said = source && claim.number ? await awardNumbered(source.id, claim.number) : undefined
  return said !== undefined && confirmByRecord(deps, actor, claim, source!, { said, enquiryId: null })
}

/**
 * What a study can be confirmed at once on: its programme is known and accredited or assessed in the year of its award, its
 * candidate has said that the paper says the same and that they finished, and a record of the award agrees in every field that
 * matters. Nothing where any of it is not so.
 */
export async function agreementOf(claim: Claim, source: Source, said: Said['said']) {
  const { details, rung } = claim
  const waiting = rung === 'claimed' || rung === 'evidenced' || rung === 'asked'
  if (details.kind !== 'study' || !claim.awardStatedAt || !waiting) return undefined
  const known = knownProgramme(details, source.programmes)
  if (known.state !== 'accredited') return undefined
  const documents = await documentsOf([claim.id])
  const seen = documents.findLast(
    ({ state, credentialVersion }) => state === 'seen' && credentialVersion === claim.credentialVersion,
  )
  const claimed = claimedStatement(details, await candidateWithMail(claim.candidateId))
  const { matches, comparison } = matchesRecord(claimed, said, seen?.reads)
  const basis = { ...known.accreditation!, programme: known.programme!, record: claim.number ?? '' }
  return matches ? { comparison, basis } : undefined
}

/**
 * Confirms a study at once where everything agrees; what that rests on is kept with the decision. Of two that do so at the same
 * moment one does.
 *
 * @returns whether it is confirmed now; otherwise nothing is changed
 * @throws Problem `changed-meanwhile` where the claim was changed since it was read
 */
export async function confirmByRecord(
  deps: Deps,
  actor: Actor,
  claim: Claim,
  source: Source,
  { said, enquiryId }: Said,
): Promise<boolean> {
  const agreement = await agreementOf(claim, source, said)
  // What a red flag stands against is for people to confirm.
  if (!agreement || (await isFlagged(claim))) return false
  const { comparison, basis } = agreement
  const { rung } = claim
  await compareAndSet(claim, claim.version, { rung: 'confirmed' })
  await Finding.create({
    ...{ id: uuid(), claimId: claim.id, credentialVersion: claim.credentialVersion, enquiryId, decision: 'confirmed' },
    ...{ note: '', comparison, rungBefore: rung, basis, decidedBy: '', decidedAt: deps.clock.now() },
  })
  await settleEnquiries(deps, claim.id)
  // Whoever is asked meanwhile need not answer any more.
  await callOffAbout(deps, actor, claim, 'never')
  await recordEvent(deps, actor, {
    code: 'claim-known',
    values: { claim: labelValue(claim.details), source: source.name, programme: basis.programme },
    about: source.name,
    candidateId: claim.candidateId,
    claimId: claim.id,
    details: { basis },
  })
  return true
}
