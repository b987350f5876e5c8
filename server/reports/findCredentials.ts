import sharp from 'sharp'
import { codesIn } from '../platform/pdf/codesIn'
import { drawPage, openPdf } from '../platform/pdf/drawPages'

/** A file that somebody sent to have it checked. */
export type Given = { bytes: Uint8Array; kind: 'pdf' | 'picture' }

const mostPages = 20
const mostAttached = 10
const mostBytes = 400_000
const dotsPerInch = 150
const mostPixels = 40_000_000

/**
 * The texts in a file that could be signed: what is attached to a PDF, and the codes on its pages or on a picture. Runs in a
 * thread of its own, with limits: anybody may have sent it.
 */
export default async function findCredentials(given: Given | 'get ready'): Promise<string[]> {
  if (given === 'get ready') return []
  return given.kind === 'pdf' ? inPdf(given.bytes) : inPicture(given.bytes)
}

async function inPdf(bytes: Uint8Array): Promise<string[]> {
  const document = await openPdf(bytes).catch(() => undefined)
  if (!document) return []
  const attached = Object.values(
    ((await document.getAttachments().catch(() => null)) ?? {}) as Record<string, Attached>,
  )
  const texts = attached
    .slice(0, mostAttached)
    .filter(({ content }) => content && content.length <= mostBytes)
    .map(({ content }) => new TextDecoder().decode(content))
  if (texts.length > 0) return texts
  // The code is on the last page; whoever scanned it may have laid the pages otherwise.
  const { numPages } = document
  for (let nth = Math.min(numPages, mostPages); nth >= 1; nth -= 1) {
    const canvas = await drawPage(await document.getPage(nth), dotsPerInch)
    const found = await inPicture(await canvas.encode('png'))
    if (found.length > 0) return found
  }
  return []
}

type Attached = { content?: Uint8Array }

async function inPicture(bytes: Uint8Array): Promise<string[]> {
  try {
    const grey = sharp(bytes, { limitInputPixels: mostPixels }).rotate().greyscale()
    return (await codesIn(grey, ['QRCode'])).map(({ text }) => text)
  } catch {
    return []
  }
}
