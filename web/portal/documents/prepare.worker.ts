import { expose } from 'comlink'
import { degrees, PDFDocument } from 'pdf-lib'
import { fitPages, type Shrink } from '#core/documents/fit'
import { faultsOfPage, greyOf, measuredSide, measurePage, type PageFault } from '#core/documents/measure'

/** A part of a page, as shares of its width and height from the top left. */
export type Crop = { x: number; y: number; width: number; height: number }
export type Turn = 0 | 90 | 180 | 270

/** A page to be joined: a picture, or a page of a PDF. Turned clockwise after it is cropped. */
export type PageToJoin = { turn: Turn; crop?: Crop } & ({ picture: Blob } | { pdf: Blob; index: number })

export type OpenedPicture = { picture: Blob; width: number; height: number; faults: PageFault[] }

/** The longest side a photograph is kept at while it is being prepared. */
const keptSide = 2200
/** A4 in points; a page made from a picture has this as its longer side. */
const pageSide = 842

/** Draws a picture so that its longest side is at most `side`, cropped and turned. */
function drawn(bitmap: ImageBitmap, side: number, crop: Crop = { x: 0, y: 0, width: 1, height: 1 }, turn: Turn = 0) {
  const [fromWidth, fromHeight] = [crop.width * bitmap.width, crop.height * bitmap.height]
  const scale = Math.min(1, side / Math.max(fromWidth, fromHeight))
  const [width, height] = [Math.max(1, Math.round(fromWidth * scale)), Math.max(1, Math.round(fromHeight * scale))]
  const across = turn === 90 || turn === 270
  const canvas = new OffscreenCanvas(across ? height : width, across ? width : height)
  const pen = canvas.getContext('2d')!
  pen.fillStyle = '#fff'
  pen.fillRect(0, 0, canvas.width, canvas.height)
  pen.imageSmoothingQuality = 'high'
  pen.translate(canvas.width / 2, canvas.height / 2)
  pen.rotate((turn * Math.PI) / 180)
  pen.drawImage(
    bitmap,
    crop.x * bitmap.width,
    crop.y * bitmap.height,
    fromWidth,
    fromHeight,
    -width / 2,
    -height / 2,
    width,
    height,
  )
  return canvas
}

function faultsIn(canvas: OffscreenCanvas): PageFault[] {
  const { width, height } = canvas
  const { data } = canvas.getContext('2d')!.getImageData(0, 0, width, height)
  return faultsOfPage(measurePage(greyOf(data, width, height)))
}

const jpeg = (canvas: OffscreenCanvas, quality: number) => canvas.convertToBlob({ type: 'image/jpeg', quality })

const preparer = {
  /** Opens a photograph or scan, upright by its EXIF, at the size it is kept at. Throws where it cannot be opened. */
  async openPicture(file: Blob): Promise<OpenedPicture> {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const kept = drawn(bitmap, keptSide)
    const small = drawn(bitmap, measuredSide)
    bitmap.close()
    return {
      picture: await jpeg(kept, 0.88),
      width: kept.width,
      height: kept.height,
      faults: faultsIn(small),
    }
  },

  /** What is to be looked at on a page, cropped as it will be sent. */
  async measure(picture: Blob, crop?: Crop): Promise<PageFault[]> {
    const bitmap = await createImageBitmap(picture)
    const canvas = drawn(bitmap, measuredSide, crop)
    bitmap.close()
    return faultsIn(canvas)
  },

  /**
   * Joins pages into one PDF of at most `limit` bytes, as far as its pictures can be made smaller.
   *
   * @param tell is told how many pages are done
   */
  async join(pages: readonly PageToJoin[], title: string, limit: number, tell: (done: number) => void) {
    const document = await PDFDocument.create()
    document.setTitle(title)
    const opened = new Map<Blob, PDFDocument>()
    for (const page of pages)
      if ('pdf' in page && !opened.has(page.pdf))
        opened.set(page.pdf, await PDFDocument.load(await page.pdf.arrayBuffer(), { updateMetadata: false }))

    const pictures = pages.filter((page) => 'picture' in page)
    const taken = new Set(pages.flatMap((page) => ('pdf' in page ? [page.pdf] : [])))
    const room = Math.max(0, limit - [...taken].reduce((sum, { size }) => sum + size, 0)) * 0.97
    const bitmaps = new Map<number, ImageBitmap>()
    const made = await fitPages(pictures.length, room, async (nth, shrink: Shrink) => {
      const { picture, crop, turn } = pictures[nth]!
      bitmaps.get(nth - 1)?.close()
      bitmaps.delete(nth - 1)
      const bitmap = bitmaps.get(nth) ?? (await createImageBitmap(picture))
      bitmaps.set(nth, bitmap)
      tell(nth)
      return jpeg(drawn(bitmap, shrink.side, crop, turn), shrink.quality)
    })

    let next = 0
    for (const page of pages) {
      if ('picture' in page) {
        const image = await document.embedJpg(await made[next++]!.arrayBuffer())
        const scale = pageSide / Math.max(image.width, image.height)
        const size: [number, number] = [image.width * scale, image.height * scale]
        document.addPage(size).drawImage(image, { x: 0, y: 0, width: size[0], height: size[1] })
        continue
      }
      const [copy] = await document.copyPages(opened.get(page.pdf)!, [page.index])
      document.addPage(copy)
      if (page.crop) {
        const { x, y, width, height } = copy!.getCropBox()
        const { crop } = page
        copy!.setCropBox(
          x + crop.x * width,
          y + (1 - crop.y - crop.height) * height,
          crop.width * width,
          crop.height * height,
        )
      }
      copy!.setRotation(degrees((copy!.getRotation().angle + page.turn) % 360))
    }
    tell(pages.length)
    return new Blob([(await document.save()) as Uint8Array<ArrayBuffer>], { type: 'application/pdf' })
  },
}

export type Preparer = typeof preparer

expose(preparer)
