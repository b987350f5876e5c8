import { imageSize } from 'image-size'
import { isOwnName } from '#core/comparison/names'
import { writeMomentAt } from '#core/dates/zoned'
import { say } from '#core/words/say'
import type { Deps } from '../../platform/deps'
import { invalidField } from '../../platform/errors/problems'
import { sheetPdf } from '../../platform/pdf/sheetPdf'
import { keepBytes } from '../documents/bytes'
import { letterheadOf } from '../organisation/letterhead'

/** A signature: one's full name as it was typed, or as it was drawn (PNG). */
export type Signature = { fullName: string; drawing?: string }

type Fact = [string, string]
/** What is signed, with what stands before and after the signature. */
export type ToSign = { title: string; paragraphs: string[]; before: Fact[]; after: Fact[] }

/**
 * Signs a text by somebody’s name; makes and keeps the signed PDF.
 *
 * @param name as it is on file
 * @throws Problem `invalid` where what was typed is not that name, or what was drawn did not arrive whole
 */
export async function sign(
  deps: Deps,
  name: string,
  { fullName: typed, drawing }: Signature,
  { title, paragraphs, before, after }: ToSign,
) {
  const fullName = drawing ? name : typed.trim()
  if (!drawing && (fullName.length < 3 || !isOwnName(name, fullName)))
    throw invalidField('/body/fullName', say('problem.typeYourFullNameAs', { name }))
  const signedAt = deps.clock.now()
  const pdf = await sheetPdf(
    {
      from: await letterheadOf(deps),
      title,
      paragraphs,
      facts: [
        ...before,
        [drawing ? say('permission.signedByDrawing') : say('permission.signedByTyping'), fullName],
        [say('permission.signedAt'), writeMomentAt(signedAt, deps.organisation.timeZone)],
        ...after,
      ],
      ...(drawing ? { picture: await pictureIn(drawing) } : {}),
    },
    signedAt,
  )
  return { fullName, drawn: drawing !== undefined, sha256: await keepBytes(pdf, 'application/pdf', signedAt), signedAt }
}

const largest = { width: 3000, height: 1500 }

/** The picture in a data URL. Throws where it is no PNG, or larger than anybody signs. */
async function pictureIn(drawing: string): Promise<Buffer> {
  const bytes = Buffer.from(drawing.slice(drawing.indexOf(',') + 1), 'base64')
  try {
    const { type, width, height } = imageSize(bytes)
    if (type === 'png' && width <= largest.width && height <= largest.height) {
      // A picture that is not whole can still tell its size; what can be put into a PDF is whole.
      const { PDFDocument } = await import('pdf-lib')
      await (await PDFDocument.create()).embedPng(bytes)
      return bytes
    }
  } catch {
    // said below
  }
  throw invalidField('/body/drawing', say('problem.theDrawingDidNotArrive'))
}
