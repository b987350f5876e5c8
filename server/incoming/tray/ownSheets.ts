import { UniqueConstraintError } from 'sequelize'
import type { PaperPart } from '#core/documents/papers'
import { isDraft } from '#core/hiring/stages'
import { sheetReference } from '#core/tray/coverSheet'
import type { SheetFault } from '#core/tray/order'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { nextNumber } from '../../platform/database/counter'
import type { Account, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import type { FileToKeep } from '../../platform/http/serve'
import { candidateOf } from '../../records/accounts/candidate'
import { awaitsPapers, ownApplication } from '../../records/applications/find'
import type { Application } from '../../records/applications/model'
import type { Claim } from '../../records/claims/model'
import { claimsOf } from '../../records/claims/view'
import { addressOfHouse } from '../../records/organisation/letterhead'
import { CoverSheet } from '../../records/tray/model'
import { problems } from '../problems'
import { drawSheets, titleOf } from './coverSheets'
import { ownPlaceOf } from './places'

type Paper = { claimId: string; part: PaperPart; pages: number }

/** Whether its candidate may still send papers: while it is written, and until it has ended. */
export const takesOwnPapers = (application: Application): boolean => isDraft(application) || awaitsPapers(application)

/** The sheets one has made, and the papers one could make one for. */
export async function listMyCoverSheets({ organisation }: Deps, actor: Account, applicationId: string) {
  const application = await ownApplication(actor, applicationId)
  const { candidateId } = application
  const [sheets, claims] = await Promise.all([
    CoverSheet.findAll({ where: { applicationId, candidateId }, order: ['number'] }),
    claimsOf(candidateId),
  ])
  return {
    sheets: sheets.map(({ number, reference, claimId, part, title, pages, usedAt, cameAt, postedAt, fault }) => {
      const claim = claims.find(({ id }) => id === claimId)
      return {
        ...{ number, reference, claimId, part, pages, fault: usedAt ? null : fault },
        title: claim ? titleOf(claim, part) : title,
        state: usedAt ? ('came' as const) : fault ? ('not right' as const) : ('waiting' as const),
        cameAt: (usedAt ?? cameAt)?.toISOString() ?? null,
        postedAt: postedAt?.toISOString() ?? null,
      }
    }),
    places: takesOwnPapers(application) ? claims.filter(leavesPaper).map(ownPlaceOf) : [],
    address: addressOfHouse(organisation),
  }
}

/** Travel, care and the like leave no paper. */
const leavesPaper = ({ details }: Claim) => details.kind !== 'work' || details.activity === 'employment'

/**
 * Makes sheets for papers of one's own. One that still waits for the same paper is used again, with the pages as they are said now.
 *
 * @throws Problem `ended`, or `invalid` where a paper is none of theirs
 */
export async function makeMyCoverSheets(
  deps: Deps,
  actor: Account,
  applicationId: string,
  papers: readonly Paper[],
): Promise<{ sheets: { number: number; reference: string }[] }> {
  const application = await ownApplication(actor, applicationId)
  if (!takesOwnPapers(application)) throw problems.ended()
  const claims = await claimsOf(application.candidateId)
  const sheets: CoverSheet[] = []
  for (const paper of papers) {
    const claim = claims.find(({ id }) => id === paper.claimId)
    if (!claim || !ownPlaceOf(claim).parts.includes(paper.part))
      throw invalidField('/body/papers', say('problem.oneOfTheseIsNot'))
    sheets.push(await sheetFor(deps, actor, application, claim, paper))
  }
  return made(deps, actor, application, sheets)
}

/** The same for one paper that its source asks for. */
export async function makeSheet(
  deps: Deps,
  actor: Account,
  application: Application,
  { claim, part, pages }: Omit<Paper, 'claimId'> & { claim: Claim },
) {
  if (!takesOwnPapers(application)) throw problems.ended()
  return made(deps, actor, application, [
    await sheetFor(deps, actor, application, claim, { claimId: claim.id, part, pages }),
  ])
}

async function made(deps: Deps, actor: Account, application: Application, sheets: readonly CoverSheet[]) {
  await recordEvent(deps, actor, {
    code: 'cover-sheets-printed',
    values: { count: sheets.length, sheets: { list: sheets.map(({ reference }) => reference) } },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: application.id,
  })
  return { sheets: sheets.map(({ number, reference }) => ({ number, reference })) }
}

/** Of two that ask at once both get the one sheet: a unique key says that it waits, not a look before. */
async function sheetFor(deps: Deps, actor: Account, application: Application, claim: Claim, paper: Paper) {
  const { id, candidateId } = application
  const awaits = [id, claim.id, paper.part].join(' ')
  const waiting = () => CoverSheet.findOne({ where: { awaits } })
  const known = await waiting()
  if (known) return known.update({ pages: paper.pages })
  const number = await nextNumber(deps, 'cover-sheets')
  try {
    return await CoverSheet.create({
      ...{ number, reference: sheetReference(number), applicationId: id, claimId: claim.id, part: paper.part },
      title: titleOf(claim, paper.part),
      printedBy: actor.name,
      printedAt: deps.clock.now(),
      ...{ candidateId, awaits, pages: paper.pages },
    })
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error
    const first = await waiting()
    if (!first) throw error
    return first.update({ pages: paper.pages })
  }
}

export async function myCoverSheetsPdf(
  deps: Deps,
  actor: Account,
  applicationId: string,
  numbers: readonly number[],
): Promise<FileToKeep> {
  const application = await ownApplication(actor, applicationId)
  const where = { applicationId, candidateId: application.candidateId, number: [...numbers], usedAt: null }
  const sheets = await CoverSheet.findAll({ where, order: ['number'] })
  if (sheets.length === 0) throw notFound()
  return drawSheets(deps, application, sheets, addressOfHouse(deps.organisation))
}

/** Says that the paper behind a sheet is in the post: it counts as under way, and is missed where it does not come. */
export async function sayPosted(deps: Deps, actor: Account, number: number) {
  const { id: candidateId } = await candidateOf(deps, actor)
  const sheet = await CoverSheet.findOne({ where: { number, candidateId, usedAt: null } })
  if (!sheet) throw notFound()
  await sheet.update({ postedAt: deps.clock.now(), missedAt: null, cameAt: null, fault: null })
  await recordEvent(deps, actor, {
    code: 'paper-posted',
    values: { paper: sheet.title, sheet: sheet.reference },
    ...{ candidateId, applicationId: sheet.applicationId, claimId: sheet.claimId },
  })
  return { done: true as const }
}

export async function callOffCoverSheet(deps: Deps, actor: Account, number: number) {
  const { id: candidateId } = await candidateOf(deps, actor)
  const gone = await CoverSheet.destroy({ where: { number, candidateId, usedAt: null } })
  if (gone === 0) throw notFound()
  return { done: true as const }
}

/** What came behind a sheet of one's own is written on it, and told where something is not right. */
export async function noteOnSheet(deps: Deps, sheet: CoverSheet, fault: SheetFault | undefined) {
  if (sheet.candidateId === null) return
  // Behind one that has done its work a second paper changes nothing of the first.
  if (fault !== 'used') await sheet.update({ cameAt: deps.clock.now(), fault: fault ?? null })
  if (!fault) return
  await recordEvent(
    deps,
    { kind: 'system' },
    {
      code: 'cover-sheet-not-right',
      values: { paper: sheet.title, sheet: sheet.reference, why: { code: `status.sheetFault.${fault}` } },
      candidateId: sheet.candidateId,
      applicationId: sheet.applicationId,
      claimId: sheet.claimId,
    },
  )
}
