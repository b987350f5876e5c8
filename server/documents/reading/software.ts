import exif from 'exif-reader'
import type { PDFDocumentProxy } from 'pdfjs-dist'
import sharp from 'sharp'

const longest = 120
const most = 10

/** The programs a PDF says it was made with. */
export async function softwareOfPdf(document: PDFDocumentProxy): Promise<string[]> {
  const { info, metadata } = await document.getMetadata()
  const { Producer, Creator } = info as { Producer?: unknown; Creator?: unknown }
  return tidy([Producer, Creator, ...inXmp(metadata?.getRaw() ?? '')])
}

/** The programs a picture says it was made with: in its Exif, its XMP, or the texts of a PNG. */
export async function softwareOfPicture(bytes: Buffer): Promise<string[]> {
  const read = await sharp(bytes).metadata()
  const ofCamera = read.exif ? tagsOf(read.exif) : []
  const comments = (read.comments ?? []).filter(({ keyword }) => /software|creator/i.test(keyword))
  return tidy([...ofCamera, ...comments.map(({ text }) => text), ...inXmp(read.xmp?.toString('utf8') ?? '')])
}

function tagsOf(bytes: Buffer): unknown[] {
  try {
    const { Image } = exif(bytes)
    return [Image?.Software, Image?.ProcessingSoftware]
  } catch {
    return []
  }
}

/** What XMP says of the tools, now and in its history, as elements or as attributes. */
const inXmp = (xmp: unknown): string[] =>
  [
    ...String(xmp).matchAll(
      /(?:xmp:CreatorTool|pdf:Producer|stEvt:softwareAgent|tiff:Software)(?:="([^"]{1,200})"|>([^<]{1,200})<)/g,
    ),
  ].map(([, attribute, element]) => attribute ?? element ?? '')

const tidy = (said: readonly unknown[]) =>
  [
    ...new Set(
      said.flatMap((one) =>
        typeof one === 'string' && one.trim() ? one.replaceAll('\0', '').trim().slice(0, longest) : [],
      ),
    ),
  ].slice(0, most)
