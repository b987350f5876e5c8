import { proxy, type Remote, wrap } from 'comlink'
import { documentLimits } from '#core/documents/limits'
import type { PageFault } from '#core/documents/measure'
import { say } from '#core/words/say'
import { drawPdfPage, openPdf } from '../../ui/openPdf'
import type { Crop, PageToJoin, Preparer, Turn } from './prepare.worker'

/** A page on its way into a document. */
export type Page = {
  id: string
  /** The file it came from, and which of its pages it is. */
  from: string
  number: number
  /** What is shown, upright and whole. */
  preview: string
  shown: Blob
  source: { picture: Blob } | { pdf: Blob; index: number }
  turn: Turn
  crop?: Crop
  faults: PageFault[]
}

export type Refused = { name: string; why: string }

/** A PDF of more pages than this is not taken apart. */
const mostOpened = 60
const previewWidth = 900

let worker: Remote<Preparer> | undefined
const preparer = () =>
  (worker ??= wrap<Preparer>(new Worker(new URL('./prepare.worker.ts', import.meta.url), { type: 'module' })))

/** Takes files apart into pages. What cannot be opened comes back with what to do about it. */
export async function openFiles(files: readonly File[], tell: (done: number) => void) {
  const pages: Page[] = []
  const refused: Refused[] = []
  for (const [nth, file] of files.entries()) {
    tell(nth)
    try {
      pages.push(...(isPdf(file) ? await pagesOfPdf(file) : [await pageOfPicture(file)]))
    } catch (error) {
      refused.push({ name: file.name, why: whyNot(file, error) })
    }
  }
  tell(files.length)
  return { pages, refused }
}

export const isPdf = (file: Blob & { name?: string }) =>
  file.type === 'application/pdf' || /\.pdf$/i.test(file.name ?? '')

async function pageOfPicture(file: File): Promise<Page> {
  if (file.size === 0) throw new Error('empty')
  const { picture, faults } = await preparer().openPicture(file)
  return {
    id: crypto.randomUUID(),
    from: file.name,
    number: 1,
    preview: URL.createObjectURL(picture),
    shown: picture,
    source: { picture },
    turn: 0,
    faults,
  }
}

async function pagesOfPdf(file: File): Promise<Page[]> {
  if (file.size === 0) throw new Error('empty')
  const pdf = await openPdf({ data: await file.arrayBuffer() })
  try {
    if (pdf.numPages > mostOpened) throw new Error('too many pages')
    // A PDF beyond the limit can only be made smaller as pictures of its pages.
    const asPictures = file.size > documentLimits.bytes
    const pages: Page[] = []
    for (let index = 0; index < pdf.numPages; index++) {
      const canvas = document.createElement('canvas')
      await drawPdfPage(await pdf.getPage(index + 1), canvas, asPictures ? 1500 : previewWidth).promise
      const shown = await new Promise<Blob>((done, fail) =>
        canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('no picture'))), 'image/jpeg', 0.85),
      )
      pages.push({
        id: crypto.randomUUID(),
        from: file.name,
        number: index + 1,
        preview: URL.createObjectURL(shown),
        shown,
        source: asPictures ? { picture: shown } : { pdf: file, index },
        turn: 0,
        faults: await preparer().measure(shown),
      })
    }
    return pages
  } finally {
    void pdf.loadingTask.destroy()
  }
}

function whyNot(file: File, error: unknown): string {
  const { name = '', message = '' } = error instanceof Error ? error : {}
  if (message === 'empty') return say('documents.theFileIsEmptyChoose')
  if (message === 'too many pages')
    return say('documents.theFileHasMoreThan', {
      count: mostOpened,
    })
  if (name === 'PasswordException') return say('documents.thePdfIsLockedWith')
  if (isPdf(file)) return say('documents.thePdfCannotBeOpened')
  return say('documents.thisCannotBeOpenedAs')
}

/** A page cropped, and measured anew as it will be sent. */
export async function cropPage(page: Page, crop: Crop | undefined): Promise<Page> {
  return { ...page, crop, faults: await preparer().measure(page.shown, crop) }
}

export const turnPage = (page: Page, by: 90 | 270): Page => ({ ...page, turn: ((page.turn + by) % 360) as Turn })

/** Joins pages into one PDF that can be sent. */
export function joinPages(pages: readonly Page[], title: string, tell: (done: number) => void): Promise<Blob> {
  const toJoin = pages.map(({ source, turn, crop }): PageToJoin => ({ ...source, turn, ...(crop ? { crop } : {}) }))
  return preparer().join(toJoin, title, documentLimits.joinedBytes, proxy(tell))
}

/** Gives back the memory of what was shown. */
export const letGo = (pages: readonly Page[]) => {
  for (const { preview } of pages) URL.revokeObjectURL(preview)
}
