import { fileTypeFromBuffer } from 'file-type'
import { PDFDocument } from 'pdf-lib'
import { Problem } from '../http/problems'

export type Inspected = { mediaType: 'application/pdf' | 'image/jpeg' | 'image/png'; pages: number }

const mostPages = 20
const accepted = ['application/pdf', 'image/jpeg', 'image/png'] as const

/** Tells from its content what a file is. Throws a problem that says what to do where it cannot be taken. */
export async function inspect(bytes: Buffer): Promise<Inspected> {
  if (bytes.length === 0)
    throw refused('empty-file', 'The file is empty.', 'Choose it again; it may not have been saved completely.')
  const kind = await fileTypeFromBuffer(bytes)
  const mediaType = accepted.find((type) => type === kind?.mime)
  if (!mediaType) {
    const found = kind
      ? `It is a ${kind.ext.toUpperCase()} file, whatever its name says.`
      : 'Its content is none of these, whatever its name says.'
    throw refused(
      'wrong-kind',
      'Only PDF, JPEG and PNG files can be taken.',
      `${found} Save or print it as PDF and choose that.`,
    )
  }
  if (mediaType !== 'application/pdf') return { mediaType, pages: 1 }
  const pages = await pagesOf(bytes)
  if (pages > mostPages)
    throw refused(
      'too-many-pages',
      `The file has ${pages} pages; at most ${mostPages} can be taken.`,
      'Send only the pages that show the award, the marks and the signatures.',
    )
  return { mediaType, pages }
}

async function pagesOf(bytes: Buffer): Promise<number> {
  try {
    return (await PDFDocument.load(bytes, { updateMetadata: false })).getPageCount()
  } catch (error) {
    if (String(error).includes('encrypted'))
      throw refused(
        'locked-pdf',
        'The PDF is locked with a password.',
        'Save a copy without a password and choose that.',
      )
    throw refused(
      'broken-pdf',
      'The PDF cannot be opened.',
      'It may be damaged. Open it, print it to a new PDF and choose that.',
    )
  }
}

const refused = (code: string, title: string, detail: string) => new Problem(422, code, title, { detail })
