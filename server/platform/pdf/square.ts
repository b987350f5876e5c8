import type { PDFPage } from 'pdf-lib'
import QRCode from 'qrcode'
import { colour } from './pdfText'

/** Draws a QR code (ISO/IEC 18004, level H) as a path, its lower left corner at a place. Points. */
export function drawSquare(page: PDFPage, text: string, { x, y, size }: { x: number; y: number; size: number }) {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'H' })
  const dark = [...modules.data.keys()].filter((at) => modules.data[at])
  const path = dark.map((at) => `M${at % modules.size} ${Math.floor(at / modules.size)}h1v1h-1z`).join('')
  page.drawSvgPath(path, { x, y: y + size, scale: size / modules.size, color: colour(0, 0, 0) })
}
