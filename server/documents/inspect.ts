import { fileTypeFromBuffer } from 'file-type'
import { imageSize } from 'image-size'
import { parseBuffer } from 'music-metadata'
import { PDFDocument } from 'pdf-lib'
import { documentLimits, videoLimits } from '#core/pages/limits'
import { Problem } from '../http/problems'
import { activeContentIn } from './activeContent'

const papers = ['application/pdf', 'image/jpeg', 'image/png'] as const
const videos = ['video/mp4', 'video/webm'] as const

export type Inspected = {
  mediaType: (typeof papers)[number] | (typeof videos)[number]
  pages: number
  /** Length of a video. */
  seconds: number | null
}

/**
 * Tells from its content what a file is. Throws a problem that says what to do where it cannot be taken.
 *
 * @param videoSeconds a video of at most so many seconds is what is asked for, and nothing else is taken
 */
export async function inspect(bytes: Buffer, videoSeconds?: number): Promise<Inspected> {
  if (bytes.length === 0)
    throw refused('empty-file', 'The file is empty.', 'Choose it again; it may not have been saved completely.')
  const kind = await fileTypeFromBuffer(bytes)
  const found = kind
    ? `It is a ${kind.ext.toUpperCase()} file, whatever its name says.`
    : 'Its content is none of these, whatever its name says.'
  if (videoSeconds !== undefined) return inspectVideo(bytes, kind?.mime, found, videoSeconds)
  const mediaType = papers.find((type) => type === kind?.mime)
  if (!mediaType)
    throw refused(
      'wrong-kind',
      'Only PDF, JPEG and PNG files can be taken.',
      `${found} Save or print it as PDF and choose that.`,
    )
  if (bytes.length > documentLimits.bytes)
    throw refused('file-too-large', 'The file is larger than 10 MB.', 'Photograph the pages, or save it smaller.')
  if (mediaType === 'application/pdf') return { mediaType, pages: await insistOnPdf(bytes), seconds: null }
  insistOnPicture(bytes, mediaType)
  return { mediaType, pages: 1, seconds: null }
}

async function insistOnPdf(bytes: Buffer): Promise<number> {
  const document = await PDFDocument.load(bytes, { updateMetadata: false, throwOnInvalidObject: true }).catch(
    (error: unknown) => {
      throw String(error).includes('encrypted')
        ? refused('locked-pdf', 'The PDF is locked with a password.', 'Save a copy without a password and choose that.')
        : brokenPdf()
    },
  )
  const pages = countPages(document)
  if (pages > documentLimits.pages)
    throw refused(
      'too-many-pages',
      `The file has ${pages} pages; at most ${documentLimits.pages} can be taken.`,
      'Send only the pages that show the award, the marks and the signatures.',
    )
  const active = activeContentIn(document)
  if (active)
    throw refused(
      'active-pdf',
      `The PDF holds ${active}, which a paper does not need.`,
      'Print it to a new PDF and choose that, or photograph its pages.',
    )
  return pages
}

function countPages(document: PDFDocument): number {
  try {
    const pages = document.getPageCount()
    if (pages > 0) return pages
  } catch {
    // A catalogue without pages is as good as none.
  }
  throw brokenPdf()
}

function insistOnPicture(bytes: Buffer, mediaType: 'image/jpeg' | 'image/png') {
  const size = sizeOf(bytes)
  if (!size || !endsWhole(bytes, mediaType))
    throw refused(
      'broken-picture',
      'The picture is not whole.',
      'It may not have been saved or copied completely. Take or choose it again.',
    )
  if (size.width * size.height > documentLimits.pixels)
    throw refused(
      'picture-too-large',
      `The picture measures ${size.width} by ${size.height}, more than can be opened.`,
      'Save it with fewer pixels, or photograph the page.',
    )
}

function sizeOf(bytes: Buffer) {
  try {
    return imageSize(bytes)
  } catch {
    return undefined
  }
}

/** Whether the end mark is there: IEND of a PNG, or the end of image after the last scan of a JPEG. */
function endsWhole(bytes: Buffer, mediaType: 'image/jpeg' | 'image/png'): boolean {
  if (mediaType === 'image/png') return bytes.subarray(-64 * 1024).includes('IEND')
  const lastScan = bytes.lastIndexOf(Buffer.from([0xff, 0xda]))
  return lastScan > 0 && bytes.indexOf(Buffer.from([0xff, 0xd9]), lastScan) > 0
}

async function inspectVideo(bytes: Buffer, mime: string | undefined, found: string, most: number): Promise<Inspected> {
  const mediaType = videos.find((type) => type === mime)
  if (!mediaType) throw refused('wrong-kind', 'Only MP4 and WebM videos can be taken here.', found)
  if (bytes.length > videoLimits.bytes)
    throw refused('file-too-large', 'The video is larger than 60 MB.', 'Record it again with a smaller picture.')
  const { format } = await parseBuffer(bytes, { mimeType: mediaType }, { duration: true }).catch(() => ({
    format: { duration: undefined },
  }))
  if (!format.duration)
    throw refused(
      'broken-video',
      'The video cannot be read.',
      'It may not have been saved completely. Record it again.',
    )
  const seconds = Math.round(format.duration)
  if (seconds > most)
    throw refused(
      'too-long',
      `The video runs ${seconds} seconds; at most ${most} are asked for.`,
      'Record a shorter one.',
    )
  return { mediaType, pages: 1, seconds }
}

const brokenPdf = () =>
  refused(
    'broken-pdf',
    'The PDF cannot be opened.',
    'It may be damaged. Open it, print it to a new PDF and choose that.',
  )

const refused = (code: string, title: string, detail: string) => new Problem(422, code, title, { detail })
