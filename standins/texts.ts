import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { dirname } from 'node:path'
import { bodyOf, escaped, html, notThere } from './page'

type Text = { id: string; to: string; text: string; state: State; because?: string; at: string }
type State = 'accepted' | 'delivered' | 'refused' | 'no number'

export type Phones = { texts: Text[]; keep: () => void }

/** The phones of the world: what was sent lies in a file and is there again after a restart. */
export function openPhones(file: string): Phones {
  const texts: Text[] = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : []
  mkdirSync(dirname(file), { recursive: true })
  return { texts, keep: () => writeFileSync(file, JSON.stringify(texts)) }
}

/** What becomes of a text, by the end of its number, so that every end can be watched. */
const ends: [RegExp, State, string?][] = [
  [/000$/, 'no number'],
  [/999$/, 'refused', 'the phone takes no texts'],
]

/**
 * A text gateway: `PUT /texts/ID` takes `{ to, text }` once an ID and number, `GET /texts/ID` says what became of it. The pages:
 * `/texts` for people, `/texts.json?to=` for tests.
 */
export async function answerTexts(
  { texts, keep }: Phones,
  request: IncomingMessage,
  url: URL,
  response: ServerResponse,
) {
  const [, place, id] = url.pathname.split('/')
  const to = url.searchParams.get('to')
  const json = (value: unknown) =>
    void response.writeHead(200, { 'Content-Type': 'application/json' }).end(JSON.stringify(value))
  if (place === 'texts.json') return json(texts.filter((text) => !to || text.to === to).reverse())
  if (!id) return html(response, 'Phones', listPage([...texts].reverse().slice(0, 300)))
  const known = texts.find((text) => text.id === id)
  if (request.method === 'PUT') {
    const body = JSON.parse(await bodyOf(request)) as { to?: unknown; text?: unknown }
    const number = String(body.to ?? '')
    if (known?.to === number) return json({ state: known.state, because: known.because })
    if (known) texts.splice(texts.indexOf(known), 1)
    const [, end, because] = ends.find(([pattern]) => pattern.test(number)) ?? []
    const state = /^\+\d{6,15}$/.test(number) ? (end ?? 'accepted') : 'no number'
    const text: Text = { id, to: number, text: String(body.text ?? ''), state, because, at: new Date().toISOString() }
    texts.push(text)
    keep()
    return json({ state, because })
  }
  if (!known) return notThere(response)
  // The first question is answered with "under way", as it is in the world.
  const answer = { state: known.state, because: known.because }
  if (known.state === 'accepted') {
    known.state = 'delivered'
    keep()
  }
  return json(answer)
}

const listPage = (texts: readonly Text[]) => `
  <p><a href="/">Mailbox</a></p><h1>Phones</h1>
  <p>Every text message the application sends arrives here. A number ending in 000 is nobody’s, one ending in 999 takes no texts.</p>
  ${texts.length === 0 ? '<p>No text message has arrived yet.</p>' : `<table><thead><tr><th>Sent</th><th>To</th><th>Text</th><th>State</th></tr></thead><tbody>${texts.map(row).join('')}</tbody></table>`}`

const row = ({ at, to, text, state }: Text) => `<tr>
  <td>${at.slice(0, 16).replace('T', ' ')}</td><td>${escaped(to)}</td><td>${escaped(text)}</td><td>${state}</td></tr>`
