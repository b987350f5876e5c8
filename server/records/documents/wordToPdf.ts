import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { partsOf, withHeadAndFoot } from './wordParts'

export const wordType = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'

/** Why a Word file was not turned: it is broken, or holds letters there is no font for, or a picture that cannot be set. */
export class WordFault extends Error {
  constructor(readonly fault: 'broken' | 'letters' | 'picture') {
    super(fault)
  }
}

const pictureTypes = ['image/jpeg', 'image/png'] as const
type PictureCheck = (bytes: Buffer, mediaType: (typeof pictureTypes)[number]) => boolean

/** A4 without its margins, in points. */
const room: [width: number, height: number] = [515, 760]

/** Latin, Greek and Cyrillic with marks, digits, signs and arrows: what the font that goes with the packages can set. */
const settable =
  /^[\t\n\r\u{20}-\u{7e}\u{a0}-\u{52f}\u{1e00}-\u{1fff}\u{2000}-\u{206f}\u{20a0}-\u{20bf}\u{2100}-\u{218b}\u{2190}-\u{22ff}\u{25a0}-\u{25ff}\u{f0b7}]*$/u

/**
 * Turns a Word file (ECMA-376, .docx) into a PDF: text, headings, lists, tables and pictures as they follow each other, without
 * links, in a font that ships with the application. What headers and footers say is set once, before and behind. The same
 * file gives the same bytes. To be called in a guarded thread.
 *
 * @param isFine whether a picture in it may be opened
 * @throws WordFault where it cannot be read, or holds letters or a picture that cannot be set; UnfoldsTooFar
 */
export async function wordToPdf(bytes: Uint8Array, isFine: PictureCheck): Promise<Uint8Array> {
  const parts = await partsOf(Buffer.from(bytes))
  const html = await htmlOf(await withHeadAndFoot(parts), isFine)
  if (!settable.test(html.replace(/<[^>]*>/g, ''))) throw new WordFault('letters')
  const [{ default: htmlToPdfmake }, { parseHTML }, { default: pdfmake }] = await Promise.all([
    import('html-to-pdfmake'),
    import('linkedom'),
    import('pdfmake'),
  ])
  const { window } = parseHTML('<html></html>')
  const content = htmlToPdfmake(`<html><body>${html}</body></html>`, { window })
  fitPictures(content)
  const folder = join(dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')), 'fonts', 'Roboto')
  const face = (name: string) => join(folder, `Roboto-${name}.ttf`)
  pdfmake.setFonts({
    Roboto: {
      ...{ normal: face('Regular'), bold: face('Medium') },
      ...{ italics: face('Italic'), bolditalics: face('MediumItalic') },
    },
  })
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy((path) => path.startsWith(folder))
  const pdf = pdfmake.createPdf({
    content: content as Parameters<typeof pdfmake.createPdf>[0]['content'],
    pageSize: 'A4',
    info: { creationDate: new Date(0) },
    defaultStyle: { font: 'Roboto', fontSize: 11 },
  })
  return pdf.getBuffer()
}

async function htmlOf(buffer: Buffer, isFine: PictureCheck): Promise<string> {
  const { default: mammoth } = await import('mammoth')
  const { value, messages } = await mammoth.convertToHtml({ buffer }).catch(() => {
    throw new WordFault('broken')
  })
  // A picture that could not be read is left out, with a message.
  if (messages.some(({ type }) => type === 'error')) throw new WordFault('picture')
  for (const [, kind, data] of value.matchAll(/<img [^>]*src="data:([^;]*);base64,([^"]*)"/g)) {
    const known = pictureTypes.find((type) => type === kind)
    if (!known || !isFine(Buffer.from(data!, 'base64'), known)) throw new WordFault('picture')
  }
  return value
    .replace(/<\/?a\b[^>]*>/g, '')
    .replace(/<table>/g, '<table><tbody>')
    .replace(/<\/table>/g, '</tbody></table>')
}

/** A picture as large as it is, and never larger than a page. */
function fitPictures(node: unknown): void {
  if (Array.isArray(node)) for (const one of node) fitPictures(one)
  else if (typeof node === 'object' && node !== null) {
    const known = node as Record<string, unknown>
    if (typeof known.image === 'string') known.fit = room
    else for (const value of Object.values(known)) fitPictures(value)
  }
}
