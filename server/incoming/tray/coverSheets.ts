import type { PDFDocument, PDFPage } from 'pdf-lib'
import type { PaperPart } from '#core/documents/papers'
import { sheetCode, sheetReference } from '#core/tray/coverSheet'
import { paperPartWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { nextNumber } from '../../platform/database/counter'
import type { Account, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import type { FileToKeep } from '../../platform/http/serve'
import { drawLetterhead, type Letterhead } from '../../platform/pdf/letterhead'
import { colour, draw, faceOf, newPdf, widthOf, wrapped } from '../../platform/pdf/pdfText'
import { drawSquare } from '../../platform/pdf/square'
import { candidateWithMail } from '../../records/accounts/candidate'
import { awaitsPapers } from '../../records/applications/find'
import type { Application } from '../../records/applications/model'
import { applicationForPapers } from '../../records/applications/writtenFor'
import { labelOf } from '../../records/claims/label'
import type { Claim } from '../../records/claims/model'
import { claimsOf } from '../../records/claims/view'
import { letterheadOf } from '../../records/organisation/letterhead'
import { hidesName } from '../../records/scoring/find'
import { CoverSheet } from '../../records/tray/model'
import { problems } from '../problems'

/** Makes cover sheets for papers that are awaited, each for one kind of paper behind one claim. */
export async function printCoverSheets(
  deps: Deps,
  actor: Account,
  applicationId: string,
  papers: readonly { claimId: string; part: PaperPart }[],
) {
  const application = await applicationForPapers(applicationId)
  if (!awaitsPapers(application)) throw problems.ended()
  const claims = await claimsOf(application.candidateId)
  const sheets: { number: number; reference: string }[] = []
  for (const { claimId, part } of papers) {
    const claim = claims.find(({ id }) => id === claimId)
    if (!claim) throw invalidField('/body/papers', say('problem.oneOfTheseIsNot'))
    const number = await nextNumber(deps, 'cover-sheets')
    const reference = sheetReference(number)
    await CoverSheet.create({
      number,
      reference,
      applicationId,
      claimId,
      part,
      title: titleOf(claim, part),
      printedBy: actor.name,
      printedAt: deps.clock.now(),
    })
    sheets.push({ number, reference })
  }
  await recordEvent(deps, actor, {
    code: 'cover-sheets-printed',
    values: { count: sheets.length, sheets: { list: sheets.map(({ reference }) => reference) } },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId,
  })
  return { sheets }
}

/** What a sheet is for, in its reader's language. */
export const titleOf = ({ details }: Claim, part: PaperPart): string => `${labelOf(details)}: ${paperPartWords(part)}`

export async function coverSheetsPdf(
  deps: Deps,
  applicationId: string,
  numbers: readonly number[],
): Promise<FileToKeep> {
  const application = await applicationForPapers(applicationId)
  const sheets = await CoverSheet.findAll({ where: { applicationId, number: [...numbers] }, order: ['number'] })
  if (sheets.length === 0) throw notFound()
  return drawSheets(deps, application, sheets)
}

/**
 * Sheets as one PDF, a page each. The square stands in the middle, where no clip or staple is.
 *
 * @param address where the papers are to be sent, for whoever sends them
 */
export async function drawSheets(
  deps: Deps,
  application: Application,
  sheets: readonly CoverSheet[],
  address?: string,
): Promise<FileToKeep> {
  const person = await candidateWithMail(application.candidateId)
  const name = !address && (await hidesName(application)) ? '' : person.name
  const about = say('paper.sheet.title', { about: application.reference ?? name })
  const pdf = await newPdf(about, deps.clock.now())
  const from = await letterheadOf(deps)
  const reference = application.reference ?? ''
  for (const [nth, sheet] of sheets.entries()) {
    const page = await drawSheet(pdf, sheet, { name, reference, from })
    if (address) await drawOrder(pdf, page, sheet, { address, nth: nth + 1, of: sheets.length })
  }
  return {
    fileName: `${about}.pdf`,
    mediaType: 'application/pdf',
    body: Buffer.from(await pdf.save()),
  }
}

async function drawSheet(
  pdf: PDFDocument,
  sheet: CoverSheet,
  { name, reference, from }: { name: string; reference: string; from: Letterhead },
) {
  const plain = await faceOf(pdf, 'atkinson-hyperlegible-next', 400)
  const bold = await faceOf(pdf, 'atkinson-hyperlegible-next', 700)
  const page = pdf.addPage([595, 842])
  const centred = (face: typeof plain, text: string, y: number, size: number) =>
    draw(page, face, text, (595 - widthOf(face, text, size)) / 2, y, size)
  await drawLetterhead(pdf, page, plain, from, { right: 505, y: 786 })
  wrapped(bold, sheet.title, 22, 460).forEach((line, nth) => {
    centred(bold, line, 730 - nth * 28, 22)
  })
  centred(plain, [name, reference].filter(Boolean).join(', '), 640, 14)
  drawSquare(page, sheetCode(sheet.number), { x: 297 - 100, y: 390, size: 200 })
  centred(bold, sheet.reference, 340, 26)
  page.drawLine({ start: { x: 90, y: 300 }, end: { x: 505, y: 300 }, thickness: 0.6, color: colour(0.7, 0.74, 0.72) })
  const words = [say('paper.sheet.layOnTop'), say('paper.sheet.worksOnce')]
  let y = 274
  for (const paragraph of words)
    for (const line of wrapped(plain, paragraph, 12, 415)) {
      draw(page, plain, line, 90, y, 12)
      y -= 18
    }
  return page
}

/** For whoever sends it: which sheet of how many, in which order the pages lie, and where all of it goes. */
async function drawOrder(
  pdf: PDFDocument,
  page: PDFPage,
  { pages }: CoverSheet,
  { address, nth, of }: { address: string; nth: number; of: number },
) {
  const plain = await faceOf(pdf, 'atkinson-hyperlegible-next', 400)
  const lines = [
    say('paper.sheet.nth', { nth, of }),
    ...(pages === null ? [] : [say('paper.sheet.order', { count: pages })]),
    say('paper.sheet.sendTo'),
    ...address.split('\n'),
  ]
  let y = 196
  for (const paragraph of lines)
    for (const line of wrapped(plain, paragraph, 12, 415)) {
      draw(page, plain, line, 90, y, 12)
      y -= 17
    }
}
