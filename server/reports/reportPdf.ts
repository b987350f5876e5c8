import qrcode from 'qrcode'
import { writeMomentAt } from '#core/dates/zoned'
import type { Report } from '#core/report/report'
import { reportWords } from '#core/words/report'
import { say } from '#core/words/say'
import { taggedPdf } from '../platform/pdf/taggedPdf'

type Given = {
  report: Report
  timeZone: string
  /** The page where it is checked, and the link to it that leads to this report. */
  checkAddress: string
  link: string
  /** The same, signed, which goes with the file. */
  jwt: string
}

const fieldShares = [0.16, 0.21, 0.21, 0.21, 0.21]

/** A report as a PDF, in the language that is spoken. */
export async function reportPdf({ report, timeZone, checkAddress, link, jwt }: Given): Promise<Buffer> {
  const words = reportWords(report, (iso) => writeMomentAt(new Date(iso), timeZone))
  const { reference } = report
  const pdf = await taggedPdf({
    ...{ title: words.title, language: report.language, madeAt: new Date(report.madeAt), author: report.issuer },
    foot: (page, pages) => say('report.page', { reference, page, pages }),
  })
  pdf.heading(1, words.title)
  pdf.paragraph(words.lead)
  pdf.facts(words.facts)
  for (const { heading, facts, claims, nothing } of words.parts) {
    pdf.heading(2, heading)
    if (facts.length === 0 && claims.length === 0 && nothing) pdf.paragraph(nothing)
    pdf.facts(facts)
    for (const claim of claims) {
      pdf.heading(3, claim.heading)
      pdf.facts(claim.facts)
      if (claim.table) pdf.table([claim.table.columns, ...claim.table.rows], fieldShares)
    }
  }
  pdf.heading(2, say('report.howToCheck'))
  pdf.paragraph(say('report.howToCheckMeans', { address: checkAddress }))
  pdf.figure(await qrcode.toBuffer(link, { margin: 1, scale: 6, errorCorrectionLevel: 'M' }), say('report.code'), 96)
  pdf.attach({
    ...{ name: `${reference}.jwt`, type: 'application/vc+jwt', bytes: Buffer.from(jwt) },
    description: say('report.title', { name: report.person.name }),
  })
  return pdf.end()
}
