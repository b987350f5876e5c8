import { randomUUID } from 'node:crypto'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { createRequire } from 'node:module'
import { text } from 'node:stream/consumers'
import { createCanvas, GlobalFonts } from '@napi-rs/canvas'
import { escaped, html, notThere } from './page'

/**
 * A capture device for papers of identity. `POST /capture/sessions` begins; `/capture/ID` is the device itself, where
 * somebody lays an invented paper before the camera; `/capture/sessions/ID` gives the lines it made out and the pictures.
 */
type Captured = { zone: string; pictures: Buffer[]; likeness?: number }
type Session = { sides: number; portrait: boolean; compares: boolean; captured?: Captured }

type Begun = { sides?: number; portrait?: boolean; reference?: string }

const sessions = new Map<string, Session>()

/** What is printed on the invented papers that lie ready: the lines of a passport, and of a card's back. */
const specimens: Record<number, string> = {
  1: `P<UTOVANDERMEER<<ILSE<<<<<<<<<<<<<<<<<<<<<<<
P4410927<2UTO9408218F3304307<<<<<<<<<<<<<<00`,
  2: `I<UTOC703188243<<<<<<<<<<<<<<<
9408218F3102112UTO<<<<<<<<<<<6
VANDERMEER<<ILSE<<<<<<<<<<<<<<`,
}

export async function answerCapture(request: IncomingMessage, url: URL, response: ServerResponse) {
  const [, , place, id, what, nth] = url.pathname.split('/')
  if (place === 'sessions' && request.method === 'POST' && !id) {
    const { sides, portrait, reference } = JSON.parse(await text(request)) as Begun
    const session = randomUUID()
    sessions.set(session, { sides: sides === 2 ? 2 : 1, portrait: Boolean(portrait), compares: Boolean(reference) })
    return json(response, { session, address: `http://${request.headers.host}/capture/${session}` })
  }
  const session = sessions.get((place === 'sessions' ? id : place) ?? '')
  if (!session) return notThere(response)
  if (place !== 'sessions') {
    if (request.method !== 'POST')
      return html(response, 'Capture device', session.portrait ? facePage : devicePage(session))
    const before = new URLSearchParams(await text(request))
    session.captured = session.portrait ? captureFace(session, before) : capture(session.sides, before)
    return html(
      response,
      'Captured',
      '<h1>Captured</h1><p>The pictures are on their way. Go back to where you began; this page can be closed.</p>',
    )
  }
  const picture = what === 'pictures' ? session.captured?.pictures[Number(nth)] : undefined
  if (picture) return void response.writeHead(200, { 'Content-Type': 'image/jpeg' }).end(picture)
  if (what) return notThere(response)
  json(response, {
    state: session.captured ? 'captured' : 'waiting',
    ...(session.captured && {
      zone: session.captured.zone,
      pictures: session.captured.pictures.length,
      likeness: session.captured.likeness,
    }),
  })
}

const json = (response: ServerResponse, body: object) =>
  void response.writeHead(200, { 'Content-Type': 'application/json' }).end(JSON.stringify(body))

const devicePage = ({ sides }: Session) => `
  <h1>Capture device</h1>
  <p>A stand-in for the camera or the reader. Before it lies ${sides === 2 ? 'a card, both sides' : 'a passport, open at the page with the picture'}. These lines are printed on it:</p>
  <form method="post">
    <p><textarea name="lines" aria-label="Printed lines" rows="4" cols="48" style="font:14px monospace">${escaped(specimens[sides]!)}</textarea></p>
    <p><label>The light <select name="light" style="font:inherit;padding:.3rem"><option value="good">good</option><option value="glare">a reflection over the lines</option></select></label></p>
    <p><button style="font:inherit;font-weight:600;padding:.5rem 1.2rem">Capture</button></p>
  </form>`

/** Who may sit before the camera, how alike the device finds them to the paper, and the colour of their coat. */
const faces = {
  same: { words: 'the person on the paper', likeness: 94, coat: '#35506b' },
  dim: { words: 'the person on the paper, in poor light', likeness: 61, coat: '#22303c' },
  other: { words: 'somebody else', likeness: 12, coat: '#7a4a2f' },
} as const

const facePage = `
  <h1>Capture device</h1>
  <p>A stand-in for the camera. It asks whoever sits before it to look straight, then left, then right.</p>
  <form method="post">
    <p><label>Before it sits <select name="face" style="font:inherit;padding:.3rem">${Object.entries(faces)
      .map(([key, { words }]) => `<option value="${key}">${words}</option>`)
      .join('')}</select></label></p>
    <p><button style="font:inherit;font-weight:600;padding:.5rem 1.2rem">Take the portrait</button></p>
  </form>`

/** Without the picture of a paper there is nothing to compare a face with. */
function captureFace({ compares }: Session, before: URLSearchParams): Captured {
  const { likeness, coat } = faces[(before.get('face') ?? 'same') as keyof typeof faces] ?? faces.same
  return { zone: '', pictures: [drawFace(coat)], ...(compares ? { likeness } : {}) }
}

function drawFace(coat: string): Buffer {
  const canvas = createCanvas(720, 900)
  const page = canvas.getContext('2d')
  page.fillStyle = '#cfd6cf'
  page.fillRect(0, 0, 720, 900)
  page.fillStyle = coat
  page.beginPath()
  page.ellipse(360, 900, 300, 260, 0, 0, Math.PI * 2)
  page.fill()
  page.fillStyle = '#d8b89a'
  page.beginPath()
  page.ellipse(360, 420, 170, 220, 0, 0, Math.PI * 2)
  page.fill()
  page.fillStyle = '#2c241e'
  for (const x of [300, 420]) page.fillRect(x - 14, 390, 28, 12)
  page.fillRect(310, 510, 100, 10)
  return canvas.toBuffer('image/jpeg', 88)
}

function capture(sides: number, lying: URLSearchParams): Captured {
  const zone = (lying.get('lines') ?? specimens[sides]!).replace(/\r/g, '').trim()
  const lines = zone.split('\n')
  const pictures =
    sides === 2
      ? [drawSide('Specimen identity card', []), drawSide('Specimen identity card, back', lines)]
      : [drawSide('Specimen passport', lines)]
  return { zone: lying.get('light') === 'glare' ? misread(zone) : zone, pictures }
}

/** A reflection hides the birth date; the device takes its digits for others. */
function misread(zone: string): string {
  const digits = [...zone.matchAll(/\d{6}/g)].at(-2)
  if (!digits) return zone
  const wrong = digits[0].replace(/\d/g, (digit) => String((Number(digit) + 3) % 10))
  return zone.slice(0, digits.index) + wrong + zone.slice(digits.index + 6)
}

/** The paper is printed in fonts that ship with the application, so that it looks the same on every machine. */
function registerFonts() {
  const require = createRequire(import.meta.url)
  for (const [name, file] of [
    ['Device Bold', 'next/files/atkinson-hyperlegible-next-latin-600-normal.woff2'],
    ['Device Mono', 'mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff2'],
  ] as const)
    if (!GlobalFonts.has(name))
      GlobalFonts.registerFromPath(require.resolve(`@fontsource/atkinson-hyperlegible-${file}`), name)
}

function drawSide(title: string, lines: readonly string[]): Buffer {
  registerFonts()
  const canvas = createCanvas(1240, 860)
  const page = canvas.getContext('2d')
  page.fillStyle = '#6f7a72'
  page.fillRect(0, 0, 1240, 860)
  page.fillStyle = '#eef1e6'
  page.fillRect(60, 60, 1120, 740)
  page.fillStyle = '#c4ccbf'
  page.fillRect(110, 190, 260, 340)
  page.fillStyle = '#1b2622'
  page.font = '40px "Device Bold"'
  page.fillText(title, 110, 140)
  page.font = '34px "Device Mono"'
  lines.forEach((line, nth) => {
    page.fillText(line, 100, 800 - (lines.length - nth) * 56)
  })
  return canvas.toBuffer('image/jpeg', 88)
}
