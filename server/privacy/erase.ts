import { randomUUID } from 'node:crypto'
import { QueryTypes } from 'sequelize'
import { isDraft } from '#core/hiring/stages'
import { boundBy } from '#core/privacy/retention'
import { keepingWords } from '#core/words/retention'
import { emptyApplications } from '../applications/erase'
import { withdrawAll } from '../applications/withdraw'
import { eraseWords } from '../audit/eraseWords'
import { recordEvent } from '../platform/audit/record'
import { inTransaction } from '../platform/database/connection'
import type { Account, Actor, Deps } from '../platform/deps'
import { candidateOf, closeAccount, eraseCandidate, mergedWith, postponeErasing } from '../records/accounts/candidate'
import { applicationsOf } from '../records/applications/find'
import { keptApplications } from './keeping'

/**
 * Erases a person's file at their wish. What has to be kept is sealed: nobody signs in to it or finds it any more, and it
 * goes by itself on its day. What has not, goes at once.
 *
 * @returns what is left, by which rule and until when
 */
export async function requestErasure(deps: Deps, actor: Actor, candidateId: string) {
  await withdrawAll(deps, actor, candidateId)
  const bound = boundBy(await keptApplications(deps, candidateId), deps.clock.today(), deps.organisation.keeping)
  const untilDays = bound.flatMap(({ code, until }) => (code === 'trail' || !until ? [] : [until]))
  await forgetAccountMails(deps, candidateId)
  await closeAccount(candidateId)
  if (untilDays.length === 0) await eraseFile(deps, actor, candidateId, 'wish')
  else {
    await eraseDrafts(deps, candidateId)
    await postponeErasing(candidateId, untilDays.sort().at(-1)!)
    await recordEvent(deps, actor, { code: 'file-sealed', candidateId })
  }
  return bound.map((keeping) => ({ ...keepingWords(keeping, deps.organisation.keeping), until: keeping.until }))
}

export async function eraseMe(deps: Deps, actor: Account) {
  const { id } = await candidateOf(deps, actor)
  return { done: true as const, left: await requestErasure(deps, actor, id) }
}

const ofFile = [
  // What was stated of somebody who is gone does not hold any more, and the published list goes on saying so.
  `INSERT IGNORE INTO revoked_statuses (statusIndex, revokedAt)
     SELECT statusIndex, NOW(3) FROM reports WHERE candidateId = :candidateId`,
  'DELETE d FROM report_deliveries d JOIN reports r ON r.id = d.reportId WHERE r.candidateId = :candidateId',
  'DELETE FROM reports WHERE candidateId = :candidateId',
  'DELETE FROM recipient_permissions WHERE candidateId IN (:files)',
  `DELETE s FROM red_flag_settlements s JOIN red_flags f ON f.id = s.flagId
     WHERE f.candidateId = :candidateId OR f.otherCandidateId = :candidateId`,
  'DELETE FROM red_flags WHERE candidateId = :candidateId OR otherCandidateId = :candidateId',
  'DELETE FROM unfinished WHERE about IN (SELECT id FROM documents WHERE candidateId = :candidateId)',
  'DELETE FROM unfinished WHERE about IN (SELECT id FROM claims WHERE candidateId = :candidateId)',
  `DELETE v FROM review_views v JOIN claim_reviews r ON r.id = v.reviewId JOIN claims c ON c.id = r.claimId
     WHERE c.candidateId = :candidateId`,
  'DELETE r FROM claim_reviews r JOIN claims c ON c.id = r.claimId WHERE c.candidateId = :candidateId',
  `DELETE u FROM finding_undos u JOIN findings f ON f.id = u.findingId JOIN claims c ON c.id = f.claimId
     WHERE c.candidateId = :candidateId`,
  'DELETE f FROM findings f JOIN claims c ON c.id = f.claimId WHERE c.candidateId = :candidateId',
  // A letter about several people names this one too.
  `DELETE m FROM messages m JOIN enquiries e ON e.batchId = m.enquiryBatchId JOIN claims c ON c.id = e.claimId
     WHERE c.candidateId = :candidateId`,
  'DELETE e FROM enquiries e JOIN claims c ON c.id = e.claimId WHERE c.candidateId = :candidateId',
  'DELETE k FROM captures k JOIN claims c ON c.id = k.claimId WHERE c.candidateId = :candidateId',
  'DELETE r FROM earlier_credentials r JOIN claims c ON c.id = r.claimId WHERE c.candidateId = :candidateId',
  'DELETE FROM documents WHERE candidateId = :candidateId',
  'DELETE FROM claims WHERE candidateId = :candidateId',
  // Who recommended them is gone with them; that it was a fair, or a school, counts on.
  "UPDATE heard_of_us SET recommendedBy = '' WHERE candidateId IN (:files)",
  'DELETE FROM candidate_keys WHERE candidateId = :candidateId',
  'DELETE FROM duplicate_pairs WHERE oneId = :candidateId OR otherId = :candidateId',
  'DELETE FROM messages WHERE candidateId = :candidateId',
  'DELETE FROM incoming_mails WHERE candidateId = :candidateId',
  // Replies kept for a second call with the same key hold what was typed.
  'DELETE o FROM idempotency_keys o JOIN candidates c ON c.accountId = o.actor WHERE c.id IN (:files)',
  'UPDATE access_log SET reason = NULL WHERE candidateId = :candidateId',
  "UPDATE imported_people SET claims = '[]' WHERE candidateId = :candidateId",
]

/** The rows that hold papers' bytes by their hash. */
const holders = [
  'SELECT sha256 FROM documents WHERE sha256 IN (:hashes)',
  'SELECT originalSha256 AS sha256 FROM documents WHERE originalSha256 IN (:hashes)',
  'SELECT pdfSha256 AS sha256 FROM snapshots WHERE pdfSha256 IN (:hashes)',
  'SELECT sha256 FROM permissions WHERE sha256 IN (:hashes)',
  'SELECT pdfSha256 AS sha256 FROM reports WHERE pdfSha256 IN (:hashes)',
  'SELECT sha256 FROM recipient_permissions WHERE sha256 IN (:hashes)',
  'SELECT attachedSha256 AS sha256 FROM report_deliveries WHERE attachedSha256 IN (:hashes)',
  `SELECT JSON_VALUE(f.fact, '$.sha256') AS sha256 FROM fee_answers a,
     JSON_TABLE(a.facts, '$.*' COLUMNS (fact JSON PATH '$')) f WHERE JSON_VALUE(f.fact, '$.sha256') IN (:hashes)`,
  'SELECT mailedSha256 AS sha256 FROM fee_documents WHERE mailedSha256 IN (:hashes)',
  'SELECT sha256 FROM tray_papers WHERE sha256 IN (:hashes)',
  'SELECT sha256 FROM scans WHERE sha256 IN (:hashes)',
  'SELECT sha256 FROM imports WHERE sha256 IN (:hashes)',
  'SELECT sha256 FROM source_forms WHERE sha256 IN (:hashes)',
  "SELECT JSON_VALUE(paper, '$.sha256') AS sha256 FROM enquiries WHERE JSON_VALUE(paper, '$.sha256') IN (:hashes)",
]

/** Empties a whole file: words, papers and their bytes go; that something was done, and when, stays in the chain. */
export async function eraseFile(
  deps: Deps,
  actor: Actor,
  candidateId: string,
  because: 'wish' | 'notTakenOver' | 'terms',
) {
  const { sequelize } = deps
  const ids = (await applicationsOf(candidateId)).map(({ id }) => id)
  const files = await mergedWith(candidateId)
  const replacements = { candidateId, files, applications: ids.length > 0 ? ids : [randomUUID()] }
  const hashes = await sequelize.query<{ sha256: string }>(
    `SELECT sha256 FROM documents WHERE candidateId = :candidateId AND sha256 IS NOT NULL
     UNION SELECT originalSha256 FROM documents WHERE candidateId = :candidateId AND originalSha256 IS NOT NULL
     UNION SELECT pdfSha256 FROM snapshots WHERE applicationId IN (:applications) AND pdfSha256 IS NOT NULL
     UNION SELECT sha256 FROM permissions WHERE applicationId IN (:applications)
     UNION SELECT pdfSha256 FROM reports WHERE candidateId = :candidateId
     UNION SELECT sha256 FROM recipient_permissions WHERE candidateId IN (:files) AND sha256 IS NOT NULL
     UNION SELECT d.attachedSha256 FROM report_deliveries d JOIN reports r ON r.id = d.reportId WHERE r.candidateId = :candidateId AND d.attachedSha256 IS NOT NULL
     UNION SELECT JSON_VALUE(e.paper, '$.sha256') FROM enquiries e JOIN claims c ON c.id = e.claimId WHERE c.candidateId = :candidateId AND e.paper IS NOT NULL`,
    { replacements, type: QueryTypes.SELECT },
  )
  await emptyApplications(deps, ids)
  for (const statement of ofFile) await sequelize.query(statement, { replacements })
  await forgetBytes(
    deps,
    hashes.map(({ sha256 }) => sha256),
  )
  await forgetAccountMails(deps, candidateId)
  await eraseCandidate(deps, candidateId)
  // Files that were merged into it have chains of their own.
  for (const chain of files) {
    await recordEvent(deps, actor, { code: 'file-erased', words: `file-erased.${because}`, candidateId: chain })
    await eraseWords(deps, chain)
  }
}

/** Mails about the account, not about an application: links to confirm, to set a password. */
const forgetAccountMails = async ({ sequelize }: Deps, candidateId: string) =>
  sequelize.query(
    `DELETE m FROM messages m JOIN accounts a ON a.mail = m.toMail JOIN candidates c ON c.accountId = a.id
     WHERE c.id IN (:files) AND m.applicationId IS NULL`,
    { replacements: { files: await mergedWith(candidateId) } },
  )

async function eraseDrafts(deps: Deps, candidateId: string) {
  for (const application of await applicationsOf(candidateId))
    if (isDraft(application)) await emptyApplications(deps, [application.id])
}

/** Deletes bytes that were sent and then put behind nothing, once two days have gone. */
export async function forgetUnheldBytes(deps: Deps) {
  const before = new Date(Date.now() - 2 * 86_400_000)
  for (let after = ''; ; ) {
    const rows = await deps.sequelize.query<{ sha256: string }>(
      'SELECT sha256 FROM blobs WHERE createdAt < :before AND sha256 > :after ORDER BY sha256 LIMIT 500',
      { replacements: { before, after }, type: QueryTypes.SELECT },
    )
    const hashes = rows.map(({ sha256 }) => sha256)
    await inTransaction(deps.sequelize, () => forgetBytes(deps, hashes))
    const last = hashes.at(-1)
    if (!last) return
    after = last
  }
}

/** Deletes bytes that nobody holds any more. */
export async function forgetBytes({ sequelize }: Deps, hashes: readonly string[]) {
  if (hashes.length === 0) return
  const held = new Set<string>()
  for (const holder of holders)
    for (const { sha256 } of await sequelize.query<{ sha256: string }>(holder, {
      replacements: { hashes },
      type: QueryTypes.SELECT,
    }))
      held.add(sha256)
  const free = hashes.filter((hash) => !held.has(hash))
  if (free.length === 0) return
  await sequelize.query('DELETE FROM blob_chunks WHERE sha256 IN (:free)', { replacements: { free } })
  await sequelize.query('DELETE FROM paper_readings WHERE sha256 IN (:free)', { replacements: { free } })
  await sequelize.query('DELETE FROM blobs WHERE sha256 IN (:free)', { replacements: { free } })
}
