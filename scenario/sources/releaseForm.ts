import { PDFDocument, type PDFPage, StandardFonts } from 'pdf-lib'

/** Where a line of the form stands; with a field that can be filled, or a line for the hand. */
const lines: readonly { label: string; field?: string }[] = [
  { label: 'Cognome / Surname', field: 'surname' },
  { label: 'Nome / Given names', field: 'given_names' },
  { label: 'Data di nascita / Date of birth', field: 'date_of_birth' },
  { label: 'Corso / Course of study', field: 'course' },
  { label: 'Numero di matricola / Number', field: 'matriculation' },
  { label: 'Richiedente / Released to', field: 'released_to' },
  { label: 'Luogo e data / Place and date' },
  { label: 'Firma / Signature' },
]

/** The release form of a registrar's office in this world, a PDF with fields, as it came by mail. */
export async function releaseForm(issuer: string): Promise<Buffer> {
  const document = await PDFDocument.create()
  document.setTitle(`${issuer}: release form`)
  const page = document.addPage([595, 842])
  const plain = await document.embedFont(StandardFonts.Helvetica)
  const bold = await document.embedFont(StandardFonts.HelveticaBold)
  page.drawText(issuer, { x: 60, y: 770, size: 16, font: bold })
  page.drawText('Autorizzazione al rilascio di informazioni', { x: 60, y: 735, size: 13, font: bold })
  const said = [
    'Il sottoscritto autorizza la segreteria a confermare al richiedente il titolo qui indicato.',
    'I authorise the secretariat to confirm to the party named below the award stated here.',
  ]
  said.forEach((text, nth) => {
    page.drawText(text, { x: 60, y: 705 - nth * 16, size: 10, font: plain })
  })
  const form = document.getForm()
  lines.forEach(({ label, field }, nth) => {
    const y = 630 - nth * 52
    page.drawText(label, { x: 60, y: y + 24, size: 9, font: plain })
    if (field) form.createTextField(field).addToPage(page, { x: 60, y, width: 470, height: 20, borderWidth: 0.5 })
    else rule(page, y)
  })
  return Buffer.from(await document.save())
}

const rule = (page: PDFPage, y: number) => page.drawLine({ start: { x: 60, y }, end: { x: 530, y }, thickness: 0.5 })
