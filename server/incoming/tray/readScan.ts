import { v7 as uuid } from 'uuid'
import { dayAt } from '#core/dates/zoned'
import { isWithdrawn } from '#core/hiring/stages'
import type { Guess } from '#core/tray/guess'
import { faultOfSheet, type SheetFault, sheetsLieBeneath } from '#core/tray/order'
import { type SplitPaper, splitScan } from '#core/tray/split'
import { coded } from '#core/words/say'
import type { StoredText } from '#core/words/stored'
import { awaitingPaper, takePaper } from '../../enquiries/paperCame'
import { inTransaction, lockOf } from '../../platform/database/connection'
import type { Deps } from '../../platform/deps'
import { Problem } from '../../platform/errors/problems'
import { awaitsPapers } from '../../records/applications/find'
import { Application } from '../../records/applications/model'
import { Claim } from '../../records/claims/model'
import { keepBytes, readBytes } from '../../records/documents/bytes'
import { CoverSheet, Scan, TrayPaper } from '../../records/tray/model'
import { putBehind } from './file'
import { noteOnSheet, takesOwnPapers } from './ownSheets'
import { guessesFor } from './places'
import type { ReadPage } from './readPages'
import { readPagesApart } from './readPagesApart'
import { faultOf } from './scanFault'

/** The job that reads a scan, splits it at its cover sheets, files what can be filed, and leaves the rest in the tray. */
export async function readScan(deps: Deps, { scanId }: { scanId: string }) {
  const scan = await Scan.findByPk(scanId)
  if (scan?.state !== 'waiting') return
  const { bytes, mediaType } = await readBytes(scan.sha256)
  let pages: ReadPage[]
  try {
    pages = await readPagesApart(bytes)
  } catch (error) {
    await scan.update({ state: 'refused', fault: faultOf(error) })
    return
  }
  const papers = splitScan(pages)
  const made = await Promise.all(
    papers.map(async (paper) => ({
      paper,
      pdf:
        paper.pages.length > 0 ? await pdfOf(paper, pages, mediaType === 'application/pdf' ? bytes : undefined) : null,
    })),
  )
  await inTransaction(deps.sequelize, async () => {
    const locked = await Scan.findByPk(scanId, lockOf())
    if (locked?.state !== 'waiting') return
    const beneath = sheetsLieBeneath(papers)
    let neighbour = scan.candidateId ?? undefined
    for (const { paper, pdf } of made) {
      const words = paper.pages.map((nth) => pages[nth]!.words).join(' ')
      neighbour = (await place(deps, scan, { paper, pdf, words, neighbour, beneath })) ?? neighbour
    }
    await locked.update({
      state: papers.length > 0 ? 'split' : 'refused',
      pages: pages.length,
      fault: papers.length > 0 ? null : coded('tray.fault.blank'),
    })
  })
}

/** A scan that could not be worked through, however often it was tried, is told in the tray. */
export const giveUpScan = async (_deps: Deps, { scanId }: { scanId: string }) =>
  void (await Scan.update(
    { state: 'refused', fault: coded('tray.fault.tooOften') },
    { where: { id: scanId, state: 'waiting' } },
  ))

type Placing = {
  paper: SplitPaper
  pdf: Buffer | null
  words: string
  neighbour: string | undefined
  /** The sheets of its scan lie beneath their papers. */
  beneath: boolean
}

/** Files a paper by its cover sheet, or leaves it in the tray and says why. Gives whose file it went to. */
async function place(
  deps: Deps,
  scan: Scan,
  { paper, pdf, words, neighbour, beneath }: Placing,
): Promise<string | undefined> {
  const now = deps.clock.now()
  if (paper.enquiry) return placeAnswer(deps, scan, { reference: paper.enquiry, pages: paper.pages.length, pdf, words })
  const { sheet, why, candidateId, fault } = await judge(deps, paper, beneath)
  // A cover sheet alone has no paper to keep; the sheet itself is what a person looks at.
  const sha256 = pdf ? await keepBytes(pdf, 'application/pdf', now) : scan.sha256
  const row = await TrayPaper.create({
    id: uuid(),
    fileName: scan.fileName,
    came: scan.came,
    broughtBy: scan.broughtBy,
    cameAt: scan.cameAt,
    sha256,
    pages: paper.pages.length,
    coverSheet: paper.sheet ?? null,
    state: 'waiting',
    why: pdf ? why : coded('tray.sheetAlone'),
    guesses: why && pdf ? [...ownPlace(sheet, fault), ...(await guessesFor(words, neighbour ?? candidateId))] : [],
    words: words.slice(0, 20_000),
  })
  if (sheet && fault) await noteOnSheet(deps, sheet, fault)
  if (why || !sheet || !pdf) return undefined
  const { applicationId, claimId, part } = sheet
  try {
    await putBehind(deps, { kind: 'system' }, row, { applicationId, claimId, part })
  } catch (error) {
    // Too many pages, the same paper again: it waits for a person, who is told why.
    if (!(error instanceof Problem)) throw error
    await row.update({ why: { code: 'tray.notFiled', values: { sheet: sheet.reference, why: error.words } } })
    await noteOnSheet(deps, sheet, 'not filed')
    return undefined
  }
  await sheet.update({ usedAt: now, awaits: null })
  await noteOnSheet(deps, sheet, undefined)
  return candidateId
}

type Answer = { reference: string; pages: number; pdf: Buffer | null; words: string }

/** The answer of a source lies with its question until somebody has read it. What cannot is told in the tray. */
async function placeAnswer(deps: Deps, scan: Scan, { reference, pages, pdf, words }: Answer): Promise<undefined> {
  const now = deps.clock.now()
  const enquiry = await awaitingPaper(reference)
  const sha256 = pdf ? await keepBytes(pdf, 'application/pdf', now) : scan.sha256
  const came = { sha256, fileName: `${reference}.pdf`, from: scan.broughtBy }
  const taken = pdf !== null && enquiry !== null && !enquiry.paper && (await takePaper(deps, enquiry, came))
  if (taken) return
  const why = coded(enquiry?.paper ? 'tray.enquiryHasPaper' : 'tray.enquiryOver', { reference })
  await TrayPaper.create({
    ...{
      id: uuid(),
      fileName: scan.fileName,
      came: scan.came,
      broughtBy: scan.broughtBy,
      cameAt: scan.cameAt,
      sha256,
      pages,
    },
    ...{ coverSheet: null, state: 'waiting', why: pdf ? why : coded('tray.sheetAlone') },
    guesses: pdf ? await guessesFor(words, undefined) : [],
    words: words.slice(0, 20_000),
  })
}

/** A paper with another number of pages most likely belongs where its sheet says all the same. */
const ownPlace = (sheet: CoverSheet | undefined, fault: SheetFault | undefined): Guess[] =>
  sheet && fault === 'pages'
    ? [{ applicationId: sheet.applicationId, claimId: sheet.claimId, weight: 100, because: ['sheet'] }]
    : []

type Judged = { sheet?: CoverSheet; candidateId?: string; why: StoredText | null; fault?: SheetFault }

/** Whether a paper's cover sheet may file it, and why not. */
async function judge({ organisation }: Deps, paper: SplitPaper, beneath: boolean): Promise<Judged> {
  const { sheet: number, doubtful } = paper
  if (doubtful)
    return {
      why: doubtful.likely ? coded('tray.sheetLikely', { sheet: doubtful.likely }) : coded('tray.sheetUnreadable'),
    }
  if (number === undefined) return { why: coded('tray.noSheet') }
  const sheet = await CoverSheet.findByPk(number, lockOf())
  if (!sheet) return { why: coded('tray.sheetUnknown') }
  const application = await Application.findByPk(sheet.applicationId)
  const claim = await Claim.findByPk(sheet.claimId)
  const candidateId = application?.candidateId
  const values = { sheet: sheet.reference }
  if (sheet.usedAt) {
    const day = { day: dayAt(sheet.usedAt, organisation.timeZone).toString() }
    return { sheet, candidateId, why: { code: 'tray.sheetUsed', values: { ...values, day } }, fault: 'used' }
  }
  if (application && isWithdrawn(application)) return { candidateId, why: coded('tray.sheetWithdrawn', values) }
  const awaited = application && (sheet.candidateId === null ? awaitsPapers : takesOwnPapers)(application)
  if (!awaited) return { candidateId, why: coded('tray.sheetEnded', values) }
  if (!claim || claim.removedAt) return { candidateId, why: coded('tray.sheetClaimGone', values) }
  const fault = faultOfSheet(paper, sheet.pages, beneath)
  if (fault === 'beneath') return { sheet, candidateId, why: coded('tray.sheetBeneath', values), fault }
  if (fault === 'pages') {
    const counts = { said: sheet.pages!, came: paper.pages.length }
    return { sheet, candidateId, why: coded('tray.sheetPages', { ...values, ...counts }), fault }
  }
  return { sheet, candidateId, why: null, fault }
}

/** The pages of a paper as one PDF, turned upright: copied where they came as PDF, put on pages where as pictures. */
async function pdfOf({ pages: own, upright }: SplitPaper, pages: readonly ReadPage[], source: Buffer | undefined) {
  const { degrees, PDFDocument } = await import('pdf-lib')
  const pdf = await PDFDocument.create()
  if (source) {
    const from = await PDFDocument.load(source, { updateMetadata: false })
    for (const page of await pdf.copyPages(from, own)) {
      page.setRotation(degrees((page.getRotation().angle + upright * 90) % 360))
      pdf.addPage(page)
    }
  } else
    for (const nth of own) {
      const picture = await pdf.embedJpg(Uint8Array.from(pages[nth]!.jpeg!))
      const scale = 842 / Math.max(picture.width, picture.height)
      const page = pdf.addPage([picture.width * scale, picture.height * scale])
      page.drawImage(picture, { x: 0, y: 0, width: picture.width * scale, height: picture.height * scale })
      page.setRotation(degrees(upright * 90))
    }
  return Buffer.from(await pdf.save())
}
