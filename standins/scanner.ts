import { mkdirSync, renameSync, writeFileSync } from 'node:fs'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { createCanvas, DOMMatrix, ImageData, loadImage, Path2D } from '@napi-rs/canvas'
import { PDFDocument } from 'pdf-lib'
import { html, notThere } from './page'

Object.assign(globalThis, { Path2D, DOMMatrix, ImageData })

const dotsPerInch = 120
/** Fonts a PDF may leave out, as they ship with pdf.js: those of the machine are never looked at. */
const standardFonts = `${dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json'))}/standard_fonts/`

/**
 * A scanner that saves to a folder. `GET /scanner` is its glass and buttons; `POST /scanner/scan?turned=&faint=&name=`
 * takes a PDF, JPEG or PNG as what lies in the feeder, and saves pictures of its pages as one PDF.
 */
export async function answerScanner(folder: string, request: IncomingMessage, url: URL, response: ServerResponse) {
  if (request.method === 'GET') return html(response, 'Scanner', devicePage)
  if (url.pathname !== '/scanner/scan') return notThere(response)
  const chunks: Buffer[] = []
  for await (const chunk of request) chunks.push(chunk as Buffer)
  const turned = Number(url.searchParams.get('turned') ?? 0)
  const faint = url.searchParams.get('faint') === 'yes'
  const name = (url.searchParams.get('name') ?? 'scan').replace(/[^\w .-]/g, '').replace(/\.\w+$/, '')
  mkdirSync(folder, { recursive: true })
  const scanned = await scan(Buffer.concat(chunks), turned, faint)
  // Named in full only when it is whole.
  const path = join(folder, `${name || 'scan'} ${Date.now()}.pdf`)
  writeFileSync(`${path}.part`, scanned)
  renameSync(`${path}.part`, path)
  response.writeHead(200, { 'Content-Type': 'application/json' }).end(JSON.stringify({ saved: true }))
}

/** What the glass sees: each page as a grey picture, turned and faint as it lies there. */
async function scan(bytes: Buffer, turned: number, faint: boolean): Promise<Uint8Array> {
  const out = await PDFDocument.create()
  for (const picture of await picturesOf(bytes)) {
    const across = turned % 180 !== 0
    const canvas = createCanvas(across ? picture.height : picture.width, across ? picture.width : picture.height)
    const glass = canvas.getContext('2d')
    glass.fillStyle = '#ffffff'
    glass.fillRect(0, 0, canvas.width, canvas.height)
    glass.translate(canvas.width / 2, canvas.height / 2)
    glass.rotate((turned * Math.PI) / 180)
    glass.drawImage(picture, -picture.width / 2, -picture.height / 2)
    const seen = glass.getImageData(0, 0, canvas.width, canvas.height)
    let seed = 7
    for (let at = 0; at < seen.data.length; at += 4) {
      seed = (seed * 1103515245 + 12345) & 0x7fffffff
      const light = (seen.data[at]! + seen.data[at + 1]! + seen.data[at + 2]!) / 3
      const grey = (faint ? 205 + (light / 255) * 38 : light) + ((seed >> 16) % 7) - 3
      seen.data[at] = seen.data[at + 1] = seen.data[at + 2] = Math.max(0, Math.min(255, grey))
    }
    glass.putImageData(seen, 0, 0)
    const image = await out.embedJpg(canvas.toBuffer('image/jpeg', 80))
    const scale = 72 / dotsPerInch
    const page = out.addPage([image.width * scale, image.height * scale])
    page.drawImage(image, { x: 0, y: 0, width: image.width * scale, height: image.height * scale })
  }
  return out.save()
}

async function picturesOf(bytes: Buffer) {
  if (!bytes.subarray(0, 5).equals(Buffer.from('%PDF-'))) return [await loadImage(bytes)]
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const pdf = await getDocument({
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    useSystemFonts: false,
    standardFontDataUrl: standardFonts,
    disableFontFace: true,
    verbosity: 0,
    CanvasFactory: Canvases,
  }).promise
  const pictures = []
  for (let number = 1; number <= pdf.numPages; number += 1) {
    const page = await pdf.getPage(number)
    const viewport = page.getViewport({ scale: dotsPerInch / 72 })
    const canvas = createCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height))
    await page.render({ canvas: canvas as never, canvasContext: canvas.getContext('2d') as never, viewport }).promise
    pictures.push(canvas)
  }
  await pdf.loadingTask.destroy()
  return pictures
}

/** Canvases for pdf.js; with those of its own, pictures of one library would be drawn by another. */
class Canvases {
  create(width: number, height: number) {
    const canvas = createCanvas(width, height)
    return { canvas, context: canvas.getContext('2d') }
  }
  reset({ canvas }: { canvas: ReturnType<typeof createCanvas> }, width: number, height: number) {
    canvas.width = width
    canvas.height = height
  }
  destroy(held: { canvas: ReturnType<typeof createCanvas> | null; context: unknown }) {
    held.canvas = null
    held.context = null
  }
}

const devicePage = `
  <h1>Scanner</h1>
  <p>A stand-in for the scanner in the office. Put something into the feeder; what it sees goes to the paper tray.</p>
  <p><label>In the feeder <input type="file" id="file" accept=".pdf,.jpg,.jpeg,.png"></label></p>
  <p><label>It lies <select id="turned"><option value="0">upright</option><option value="90">on its right side</option><option value="180">on its head</option><option value="270">on its left side</option></select></label>
  <label><input type="checkbox" id="faint"> the lamp is weak</label></p>
  <p><button id="scan" style="font:inherit;font-weight:600;padding:.5rem 1.2rem">Scan</button> <span id="said" role="status"></span></p>
  <script>
    document.getElementById('scan').onclick = async () => {
      const file = document.getElementById('file').files[0], said = document.getElementById('said')
      if (!file) return void (said.textContent = 'The feeder is empty.')
      said.textContent = 'Scanning…'
      const query = new URLSearchParams({ name: file.name, turned: document.getElementById('turned').value, faint: document.getElementById('faint').checked ? 'yes' : 'no' })
      const reply = await fetch('/scanner/scan?' + query, { method: 'POST', body: file })
      said.textContent = reply.ok ? 'Saved. It is in the paper tray in a few seconds.' : 'The scanner could not read it.'
    }
  </script>`
