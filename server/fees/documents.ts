import qrcode from 'qrcode'
import { QueryTypes } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { writeWhen } from '#core/dates/write'
import { dayAt } from '#core/dates/zoned'
import { writeCreditorReference } from '#core/money/reference'
import { writeAmount, writeShare } from '#core/words/amounts'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import type { FileToKeep } from '../platform/http/serve'
import { taggedPdf } from '../platform/pdf/taggedPdf'
import { EmployerInvoice } from '../records/fees/employers'
import { type DocumentContent, type DocumentKind, type FeeCharge, FeeDocument } from '../records/fees/model'

const letters: Record<DocumentKind, string> = { invoice: 'I', receipt: 'R', 'credit note': 'C' }

/**
 * The next number of a series, without gaps: the row of the series is written in the transaction that uses the number, so that
 * others wait for it, and a number of work that is undone is the next one's.
 */
async function takeNumber({ sequelize }: Pick<Deps, 'sequelize'>, series: string): Promise<number> {
  const values = { replacements: { series } }
  await sequelize.query(
    'INSERT INTO document_series (series, last) VALUES (:series, 1) ON DUPLICATE KEY UPDATE last = last + 1',
    values,
  )
  const [row] = await sequelize.query<{ last: number }>('SELECT last FROM document_series WHERE series = :series', {
    ...values,
    type: QueryTypes.SELECT,
  })
  return row!.last
}

/** Issues a paper with the next number of its kind and year. To be called last in its transaction: others wait for the number. */
export async function issue(
  deps: Deps,
  about: FeeCharge | EmployerInvoice,
  { kind, cause, content }: { kind: DocumentKind; cause: string; content: DocumentContent },
): Promise<FeeDocument> {
  const now = deps.clock.now()
  const series = `${letters[kind]}-${dayAt(now, deps.organisation.timeZone).year}`
  const number = await takeNumber(deps, series)
  const of = about instanceof EmployerInvoice ? { invoiceId: about.id } : { chargeId: about.id }
  return FeeDocument.create({ id: uuid(), kind, series, number, cause, ...of, content, issuedAt: now })
}

export const numberOf = ({ series, number }: Pick<FeeDocument, 'series' | 'number'>) =>
  `${series}-${String(number).padStart(5, '0')}`

/** An invoice, a receipt or a credit note as PDF, in the language of whom it is for; the same each time. */
export async function documentPdf(deps: Deps, document: FeeDocument): Promise<FileToKeep> {
  const { content } = document
  return inLanguage(content.language, async () => {
    const number = numberOf(document)
    return { fileName: `${number}.pdf`, mediaType: 'application/pdf', body: await draw(deps, document, number) }
  })
}

function taxWords({ taxIncluded }: DocumentContent, { title, basisPoints }: DocumentContent['tax'][number]): string {
  // Taxes of several rates at once have none of their own.
  if (basisPoints === 0) return title
  const share = writeShare(basisPoints)
  return taxIncluded ? say('fees.taxWithin', { title, share }) : `${title}, ${share}`
}

async function draw({ organisation }: Deps, { kind, content, issuedAt }: FeeDocument, number: string): Promise<Buffer> {
  const { currency, payer, lines, tax, total, dueOn, means, of, because, reference, transfer, orderNumber } = content
  const written = (minor: number) => writeAmount(minor, currency)
  const on = writeWhen(dayAt(issuedAt, organisation.timeZone).toString())
  const title = say(`fees.document.${kind}`)
  const pdf = await taggedPdf({
    ...{ title: `${title} ${number}`, language: content.language, madeAt: issuedAt, author: organisation.name },
    foot: (page, pages) => say('report.page', { reference: number, page, pages }),
  })
  const { name, street, postcode, town } = organisation
  pdf.heading(1, title)
  pdf.facts([
    [say('fees.document.number'), number],
    [say('fees.document.day'), on],
    [say('fees.document.from'), [name, street, `${postcode} ${town}`.trim()].filter(Boolean).join('\n')],
    [say('fees.document.to'), [payer.name, payer.address, payer.mail].filter(Boolean).join('\n')],
    ...(orderNumber ? [[say('fees.document.orderNumber'), orderNumber] as const] : []),
    [say('fees.document.for'), content.application],
    ...(of ? [[say('fees.document.of'), of] as const] : []),
    ...(because ? [[say('fees.document.because'), because] as const] : []),
    ...(means ? [[say('fees.document.paid'), say(`fees.paid.${means}`)] as const] : []),
  ])
  pdf.table(
    [
      [say('fees.document.what'), say('fees.document.amount')],
      ...lines.map((line) => [line.title, written(line.amount)]),
      ...tax.map((one) => [taxWords(content, one), written(one.amount)]),
      [say('fees.total'), written(total)],
    ],
    [0.76, 0.24],
  )
  if (kind === 'invoice') {
    if (dueOn) pdf.paragraph(say('fees.document.dueOn', { day: writeWhen(dueOn) }))
    pdf.paragraph(say('fees.document.reference', { reference: writeCreditorReference(reference) }))
    if (transfer) {
      const { code, ...account } = transfer
      pdf.paragraph(say('fees.document.transfer', account).trim())
      const drawn = await qrcode.toBuffer(code ?? reference, { margin: 1, scale: 5, errorCorrectionLevel: 'M' })
      pdf.figure(drawn, say(code ? 'fees.transferCode' : 'fees.document.code'), 96)
    }
  }
  return pdf.end()
}
