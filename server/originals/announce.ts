import { v7 as uuid } from 'uuid'
import type { OriginalWay } from '#core/documents/originals'
import { counted } from '#core/documents/papers'
import { isSent } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { candidateOf } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { labelOf } from '../records/claims/label'
import { claimsOf } from '../records/claims/view'
import { documentsOfCandidates } from '../records/documents/documents'
import { Original } from '../records/originals/model'
import { problems } from './problems'

/** The papers of a file of which an original may come: those that are looked at or wait to be, and were not drawn by a camera. */
export async function papersOf(candidateId: string) {
  const [claims, documents] = await Promise.all([claimsOf(candidateId), documentsOfCandidates([candidateId])])
  return counted(documents).flatMap((document) => {
    const claim = claims.find(({ id }) => id === document.claimId)
    if (!claim || document.mediaType.startsWith('video/')) return []
    return [
      { document: document.id, title: labelOf(claim.details), fileName: document.fileName, pages: document.pages },
    ]
  })
}

/**
 * A candidate says that the original of a paper will come.
 *
 * @throws Problem `under-way` where it is announced or here already, `not-found` where there is no such paper of theirs
 */
export async function announceOriginal(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { document, way, tracking }: { document: string; way: OriginalWay; tracking: string },
) {
  const application = await ownApplication(actor, applicationId)
  if (!isSent(application)) throw notFound()
  const made = await makeOriginal(deps, application, document, { state: 'announced', way, tracking: tracking.trim() })
  await recordEvent(deps, actor, {
    code: 'original-announced',
    values: { paper: made.title },
    candidateId: application.candidateId,
    applicationId,
  })
  return { id: made.id }
}

type Begun = Pick<Original, 'state' | 'way' | 'tracking'> & Partial<Original['_creationAttributes']>

/** Of two who begin at once for the same paper the second is told: a unique key says so, not a look before. */
export async function makeOriginal(deps: Deps, application: Application, documentId: string, begun: Begun) {
  const paper = (await papersOf(application.candidateId)).find((one) => one.document === documentId)
  if (!paper) throw notFound()
  const { title, fileName, pages } = paper
  return Original.create({
    ...{ id: uuid(), applicationId: application.id, candidateId: application.candidateId, documentId },
    ...{ underWay: documentId, title, fileName, pages, announcedAt: deps.clock.now(), version: 1 },
    ...begun,
  }).catch((error: { name?: string }) => {
    throw error.name === 'SequelizeUniqueConstraintError' ? problems.underWay() : error
  })
}

/** What was announced does not come. */
export async function callOffOriginal(deps: Deps, actor: Account, id: string) {
  const { id: candidateId } = await candidateOf(deps, actor)
  const original = await Original.findOne({ where: { id, candidateId } })
  if (!original) throw notFound()
  const gone = { state: 'called off' as const, underWay: null, version: original.version + 1 }
  if (!(await changeWhere(original, { state: 'announced', version: original.version }, gone)))
    throw problems.notAnnounced()
  await recordEvent(deps, actor, {
    code: 'original-called-off',
    values: { paper: original.title },
    candidateId,
    applicationId: original.applicationId,
  })
  return { done: true as const }
}
