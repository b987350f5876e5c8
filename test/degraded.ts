import sharp, { type Sharp } from 'sharp'
import { drawPage, openPdf } from '#server/platform/pdf/drawPages'

/** Ways a paper gets worse on its way to the desk, in turns of degrees and shares of grey. */
const ways = [
  { turned: 2.5, faint: false, blurred: false },
  { turned: -3, faint: true, blurred: false },
  { turned: 1.2, faint: true, blurred: false },
  { turned: 90, faint: true, blurred: false },
  { turned: -1.5, faint: true, blurred: true },
] as const

/** A copy as it comes from a tired scanner: 150 dots an inch, turned, faint, JPEG at quality 40. `nth` chooses the way. */
export async function degraded(bytes: Buffer, mediaType: string, nth: number): Promise<Buffer> {
  const { turned, faint, blurred } = ways[nth % ways.length]!
  const upright = mediaType === 'application/pdf' ? await firstPage(bytes) : sharp(bytes)
  // One step a picture: sharp would put them into an order of its own.
  let picture = await upright.png().toBuffer()
  picture = await sharp(picture).rotate(turned, { background: '#f4f1ea' }).png().toBuffer()
  if (faint) picture = await sharp(picture).linear(0.45, 125).png().toBuffer()
  if (blurred) picture = await sharp(picture).blur(0.7).png().toBuffer()
  return sharp(picture).jpeg({ quality: 40 }).toBuffer()
}

async function firstPage(bytes: Buffer): Promise<Sharp> {
  const pdf = await openPdf(bytes)
  const canvas = await drawPage(await pdf.getPage(1), 150)
  await pdf.loadingTask.destroy()
  return sharp(canvas.data(), { raw: { width: canvas.width, height: canvas.height, channels: 4 } }).flatten({
    background: '#ffffff',
  })
}
