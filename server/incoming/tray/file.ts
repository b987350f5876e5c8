import type { PaperPart } from '#core/documents/papers'
import { coded } from '#core/words/say'
import { questionFor, takePaper } from '../../enquiries/paperCame'
import { recordEvent } from '../../platform/audit/record'
import { lockOf } from '../../platform/database/connection'
import type { Account, Actor, Deps } from '../../platform/deps'
import { changedMeanwhile, notFound } from '../../platform/errors/problems'
import { applicationForPapers } from '../../records/applications/writtenFor'
import { labelOf, labelValue } from '../../records/claims/label'
import { Claim } from '../../records/claims/model'
import { readBytes } from '../../records/documents/bytes'
import { addDocument, replaceSentBack } from '../../records/documents/documents'
import { takeFile } from '../../records/documents/inspect'
import { CoverSheet, TrayPaper } from '../../records/tray/model'
import { problems } from '../problems'
import { partsFor } from './places'

type Where = { applicationId: string; claimId: string; part?: PaperPart }

/** Puts a paper of the tray behind a claim: from there on it is a document like any other, waiting to be looked at. */
export async function putBehind(deps: Deps, actor: Actor, paper: TrayPaper, { applicationId, claimId, part }: Where) {
  const bySheet = actor.kind === 'system' || (await isOfSheet(paper, applicationId))
  const { candidateId } = await applicationForPapers(applicationId, { bySheet })
  const claim = await Claim.findOne({ where: { id: claimId, candidateId, removedAt: null } })
  if (!claim) throw notFound()
  const kind = part ?? partsFor(claim.kind)[0]!
  const { bytes } = await readBytes(paper.sha256)
  const file = await takeFile(deps, bytes)
  const { document } = await addDocument(
    deps,
    { candidateId, claimId, credentialVersion: claim.credentialVersion },
    { fileName: `${labelOf(claim.details)}, scanned.pdf`, part: kind },
    file,
  )
  await replaceSentBack(claimId, document.part)
  await paper.update({
    state: 'filed',
    documentId: document.id,
    settledBy: actor.kind === 'account' ? actor.name : 'its cover sheet',
    settledAt: deps.clock.now(),
  })
  await recordEvent(deps, actor, {
    code: 'paper-filed',
    words: actor.kind === 'system' ? 'paper-filed.byCoverSheet' : 'paper-filed',
    values: { count: paper.pages, claim: labelValue(claim.details) },
    candidateId,
    applicationId,
    claimId,
    details: { fileName: paper.fileName, coverSheet: paper.coverSheet },
  })
}

/** Whether it came behind a sheet for that application, which its candidate may still be writing. */
const isOfSheet = async ({ coverSheet }: TrayPaper, applicationId: string) =>
  coverSheet !== null && (await CoverSheet.count({ where: { number: coverSheet, applicationId } })) > 0

/** A person says where a waiting paper belongs. */
export async function filePaper(deps: Deps, actor: Account, id: string, where: Where) {
  const paper = await waitingPaper(id)
  if (paper.pages === 0) throw problems.noPaper()
  await putBehind(deps, actor, paper, where)
  // Where the sheet was for this very place, it has done its work.
  if (paper.coverSheet !== null)
    await CoverSheet.update(
      { usedAt: deps.clock.now(), awaits: null, fault: null },
      { where: { number: paper.coverSheet, claimId: where.claimId, usedAt: null } },
    )
  return { done: true as const }
}

/** A person says which question to a source a waiting paper answers; somebody then reads it there. */
export async function layWithQuestion(deps: Deps, actor: Account, id: string, reference: string) {
  const paper = await waitingPaper(id)
  if (paper.pages === 0) throw problems.noPaper()
  const enquiry = await questionFor(actor, reference)
  const came = { sha256: paper.sha256, fileName: paper.fileName, from: paper.broughtBy ?? '', actor }
  if (!(await takePaper(deps, enquiry, came))) throw changedMeanwhile()
  const why = coded('tray.withQuestion', { reference: enquiry.reference ?? '' })
  await paper.update({ state: 'filed', why, guesses: [], settledBy: actor.name, settledAt: deps.clock.now() })
  return { done: true as const }
}

export async function takeOutOfTray(deps: Deps, actor: Account, id: string) {
  const paper = await waitingPaper(id)
  await paper.update({ state: 'thrown away', settledBy: actor.name, settledAt: deps.clock.now() })
  await recordEvent(deps, actor, { code: 'paper-thrown-away', values: { file: paper.fileName } })
  return { done: true as const }
}

async function waitingPaper(id: string): Promise<TrayPaper> {
  const paper = await TrayPaper.findByPk(id, lockOf())
  if (!paper) throw notFound()
  if (paper.state !== 'waiting') throw problems.settled()
  return paper
}
