import { type PDFDict, PDFDocument, type PDFPage, PDFTextField } from 'pdf-lib'
import { draw, faceOf, widthOf, withFonts } from '../../platform/pdf/pdfText'

/** A form as a source has sent it. With `fill` its fields are filled, by their names; without, only read. */
type Given = { bytes: Uint8Array; fill?: Readonly<Record<string, string>> }
type Found = { fields: string[]; filled?: Uint8Array } | 'too much'

const mostFields = 200
const margin = 3
const [largest, smallest] = [11, 6]

/**
 * Reads or fills the text fields of a PDF form (ISO 32000-1, 12.7), in a thread of its own, like anything from outside. What
 * is filled in is drawn where its field is, so that it looks the same everywhere and no letter of a name is missing; fields that
 * are left, such as the day, stay empty and are written by hand.
 */
export default async function formFields(given: Given | 'get ready'): Promise<Found | undefined> {
  if (given === 'get ready') return undefined
  const document = await PDFDocument.load(given.bytes, { updateMetadata: false })
  const form = document.getForm()
  const texts = form.getFields().filter((field) => field instanceof PDFTextField)
  const fields = [...new Set(texts.map((field) => field.getName()))].slice(0, mostFields)
  if (!given.fill) return { fields }
  const face = await faceOf(await withFonts(document), 'atkinson-hyperlegible-next', 400)
  for (const field of texts) {
    const value = given.fill[field.getName()]
    if (!value) continue
    for (const widget of field.acroField.getWidgets()) {
      const page = pageOf(document, widget.dict)
      if (!page) continue
      const { x, y, width, height } = widget.getRectangle()
      const room = width - 2 * margin
      const fitting = Math.min(largest, height - 2, (largest * room) / Math.max(1, widthOf(face, value, largest)))
      const size = Math.max(smallest, fitting)
      draw(page, face, value, x + margin, y + Math.max(2, (height - size) / 2 + size * 0.15), size)
    }
    form.removeField(field)
  }
  form.flatten({ updateFieldAppearances: false })
  return { fields, filled: await document.save() }
}

/** The page a field's box stands on: the one among whose annotations it is. */
const pageOf = (document: PDFDocument, box: PDFDict): PDFPage | undefined =>
  document.getPages().find(({ node }) => {
    const annotations = node.Annots()
    return annotations?.asArray().some((_, nth) => annotations.lookup(nth) === box)
  })
