import { writeWhen } from '#core/dates/write'
import { conditionsFor, isMeetable, isSignedByHand, paperFor } from '#core/sources/conditions'
import type { FormValue, IssuedClaim, SourceCondition } from '#core/sources/source'
import { say } from '#core/words/say'
import { makeSheet, myCoverSheetsPdf } from '../incoming/tray/ownSheets'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { sheetPdf } from '../platform/pdf/sheetPdf'
import { candidateWithMail } from '../records/accounts/candidate'
import { textAnswer } from '../records/applications/answers'
import { ownApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { kindOf } from '../records/claims/kinds'
import { labelOf } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { addressOfHouse, letterheadOf } from '../records/organisation/letterhead'
import { permissionText } from '../records/permissions/text'
import { fillForm } from '../records/sources/forms'
import type { Source } from '../records/sources/model'
import { sourceById } from '../records/sources/sources'
import { ownClaim } from './change'

type Asked = { application: Application; claim: Claim; source: Source; condition: SourceCondition }
type Where = { id: string; claim: string; condition: string }

/**
 * What a source wants signed by hand, for its candidate to print: its own form with what is known filled in, or our permission
 * with a line for the signature. With the number of a sheet of theirs, that lies on top.
 *
 * @throws Problem 404 where the source asks for nothing of the kind, or the sheet is not theirs
 */
export async function readSourcePaper(deps: Deps, actor: Account, where: Where, sheet?: string): Promise<FileToKeep> {
  const asked = await askedOf(deps, actor, where)
  const body = await drawn(deps, asked)
  const paper = { fileName: `${asked.source.name}.pdf`, mediaType: 'application/pdf', body }
  if (!sheet) return paper
  const top = await myCoverSheetsPdf(deps, actor, where.id, [Number(sheet)])
  return { ...paper, body: await onTop(top.body as Buffer, body) }
}

/** Makes the cover sheet for it, with as many pages as it has. One that still waits is used again. */
export async function makeSourceSheet(deps: Deps, actor: Account, where: Where) {
  const { application, claim, source, condition } = await askedOf(deps, actor, where)
  const pages = await pagesOf(await drawn(deps, { application, claim, source, condition }))
  return makeSheet(deps, actor, application, { claim, part: paperFor[condition.kind] ?? 'other', pages })
}

async function askedOf(deps: Deps, actor: Account, { id, claim: claimId, condition: wanted }: Where): Promise<Asked> {
  const [application, claim] = [await ownApplication(actor, id), await ownClaim(deps, actor, claimId)]
  if (!claim.sourceId) throw notFound()
  const source = await sourceById(claim.sourceId)
  const condition = conditionsFor(claim.kind as IssuedClaim, source.known.conditions.filter(isMeetable)).find(
    (one) => one.id === wanted,
  )
  if (!condition || !isSignedByHand(condition.kind)) throw notFound()
  return { application, claim, source, condition }
}

async function drawn(deps: Deps, asked: Asked): Promise<Buffer> {
  const { form } = asked.condition
  return form ? fillForm(form.sha256, await filledIn(deps, asked, form.fill)) : permissionToSign(deps, asked)
}

/** What each field is filled with; what is not known stays empty, to be written by hand. */
async function filledIn(deps: Deps, { application, claim, source }: Asked, fill: Readonly<Record<string, FormValue>>) {
  const person = await candidateWithMail(claim.candidateId)
  const said = kindOf(claim.details).statement(claim.details)
  const when = (day: string | undefined) => (day ? writeWhen(day) : '')
  const { details } = claim
  const to = 'to' in details && details.to !== 'present' ? details.to : ''
  const values: Record<FormValue, string | undefined> = {
    'by hand': '',
    name: person.name,
    'family name': textAnswer(application, 'about.familyName'),
    'given names': textAnswer(application, 'about.givenNames'),
    born: when(person.born ?? undefined),
    mail: person.mail,
    number: said.number,
    title: labelOf(details),
    award: said.award,
    subject: said.subject,
    position: said.position,
    from: when('from' in details ? details.from : said.issued),
    to: when(to),
    source: source.name,
    house: deps.organisation.name,
    'house address': addressOfHouse(deps.organisation).replaceAll('\n', ', '),
    reference: application.reference ?? '',
  }
  return Object.fromEntries(Object.entries(fill).map(([field, value]) => [field, values[value] ?? '']))
}

/** Our own permission, about one claim and for one source, with room for a signature by hand. */
async function permissionToSign(deps: Deps, { claim, source }: Asked): Promise<Buffer> {
  const person = await candidateWithMail(claim.candidateId)
  const { text } = await permissionText(deps)
  return sheetPdf(
    {
      from: await letterheadOf(deps),
      title: say('permission.byHand', { source: source.name }),
      paragraphs: text.split('\n\n'),
      facts: [
        [say('permission.givenTo'), deps.organisation.name],
        [say('permission.about'), labelOf(claim.details)],
        [say('permission.nameInFull'), person.name],
        ...(person.born ? [[say('permission.born'), writeWhen(person.born)] as const] : []),
        [say('permission.placeAndDay'), line],
        [say('permission.signature'), line],
      ],
    },
    deps.clock.now(),
  )
}

const line = '\u2002\n'.concat('_'.repeat(44))

async function pagesOf(pdf: Buffer): Promise<number> {
  const { PDFDocument } = await import('pdf-lib')
  return (await PDFDocument.load(pdf, { updateMetadata: false })).getPageCount()
}

async function onTop(first: Buffer, second: Buffer): Promise<Buffer> {
  const { PDFDocument } = await import('pdf-lib')
  const both = await PDFDocument.load(first, { updateMetadata: false })
  const other = await PDFDocument.load(second, { updateMetadata: false })
  for (const page of await both.copyPages(other, other.getPageIndices())) both.addPage(page)
  return Buffer.from(await both.save())
}
