import { createHmac, randomUUID } from 'node:crypto'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { text } from 'node:stream/consumers'
import { escaped, html, notThere } from './page'

/**
 * A payment provider. `POST /payments/payments` begins one and answers where the payer goes; there a card is typed in, its bank
 * asks for a code, and the payer is sent back while a signed notice goes to whoever asked. Which notice comes, and when, is chosen on the
 * page: before the payer comes back, after, twice, with another amount, or never. Money is decimals, as they were sent.
 */
type Payment = {
  id: string
  payment: string
  amount: string
  currency: string
  about: string
  returnTo: string
  tellTo: string
  state: 'pending' | 'paid' | 'declined' | 'abandoned'
  because?: string
  refunds: { id: string; amount: string; at: string }[]
  /** When it was begun; once it is paid, when it was paid. */
  at: string
  /** How the notice goes, as chosen with the card. */
  notice: string
}

export type Payments = {
  secret: string
  all: Map<string, Payment>
  /** Where notices go instead of the address that was given, for whoever answers at another than they are known by. */
  instead?: string
}

export const openPayments = (secret: string): Payments => ({ secret, all: new Map() })

/** Cards that lie ready, and what becomes of each. */
const cards: Record<string, { state: 'paid' | 'declined'; because?: string }> = {
  '4000 0000 0000 0001': { state: 'paid' },
  '4000 0000 0000 0002': { state: 'declined', because: 'not-enough' },
  '4000 0000 0000 0003': { state: 'declined', because: 'blocked' },
}
/** What the bank sends by text message; it is always this one here. */
const bankCode = '246813'

const notices = {
  first: 'a notice before you come back',
  last: 'a notice two seconds after you come back',
  twice: 'the same notice twice',
  never: 'no notice at all',
  amount: 'a notice with another amount',
  signature: 'a notice that is wrongly signed',
}

export async function answerPayments(payments: Payments, request: IncomingMessage, url: URL, response: ServerResponse) {
  const [, , place, key, what] = url.pathname.split('/')
  if (place === 'payments' || place === 'reports') {
    if (request.headers.authorization !== `Bearer ${payments.secret}`)
      return void response.writeHead(401).end('Who are you?')
    if (place === 'reports') return json(response, { lines: reportOf(payments, key ?? '') })
    if (request.method === 'POST' && !key) return begin(payments, request, response)
    const found = payments.all.get(key ?? '')
    if (!found) return notThere(response)
    if (request.method === 'POST' && what === 'refunds') return giveBack(found, request, response)
    return json(response, said(found))
  }
  const found = [...payments.all.values()].find(({ id }) => id === place)
  if (!found) return notThere(response)
  if (request.method !== 'POST')
    return html(response, 'Card payment', found.state === 'pending' ? cardPage(found) : donePage(found))
  return decide(payments, found, new URLSearchParams(await text(request)), response)
}

const json = (response: ServerResponse, body: object, status = 200) =>
  void response.writeHead(status, { 'Content-Type': 'application/json' }).end(JSON.stringify(body))

const said = ({ payment, state, amount, currency, because, refunds }: Payment) => ({
  ...{ payment, state, amount, currency, refunds },
  ...(because ? { because } : {}),
})

async function begin({ all }: Payments, request: IncomingMessage, response: ServerResponse) {
  const wish = JSON.parse(await text(request)) as Omit<Payment, 'payment' | 'state' | 'refunds'>
  const known = all.get(wish.id)
  const made: Payment = known ?? {
    ...wish,
    ...{
      id: randomUUID(),
      payment: wish.id,
      state: 'pending',
      refunds: [],
      at: new Date().toISOString(),
      notice: 'first',
    },
  }
  all.set(wish.id, made)
  json(response, { id: made.id, address: `http://${request.headers.host}/payments/${made.id}` })
}

/** A refund asked for twice is given back once; never more than was paid. */
async function giveBack(found: Payment, request: IncomingMessage, response: ServerResponse) {
  const { id, amount } = JSON.parse(await text(request)) as { id: string; amount: string }
  if (found.refunds.some((one) => one.id === id)) return json(response, said(found))
  const cents = (digits: string) => Math.round(Number(digits) * 1000)
  const before = found.refunds.reduce((sum, one) => sum + cents(one.amount), 0)
  if (found.state !== 'paid' || before + cents(amount) > cents(found.amount)) return json(response, said(found), 409)
  found.refunds.push({ id, amount, at: new Date().toISOString() })
  json(response, said(found))
}

const reportOf = ({ all }: Payments, day: string) =>
  [...all.values()].flatMap(({ payment, state, amount, currency, at, refunds }) =>
    state === 'paid'
      ? [
          ...(at.startsWith(day) ? [{ payment, amount, currency }] : []),
          ...refunds
            .filter((one) => one.at.startsWith(day))
            .map((one) => ({ payment, refund: one.id, amount: `-${one.amount}`, currency })),
        ]
      : [],
  )

const button = 'style="font:inherit;font-weight:600;padding:.5rem 1.2rem;margin-right:.6rem"'

const cardPage = ({ about, amount, currency }: Payment) => `
  <h1>Card payment</h1>
  <p>A stand-in for a payment provider. You pay <strong>${escaped(amount)} ${escaped(currency)}</strong> for ${escaped(about)}.</p>
  <form method="post">
    <p><label>Card <select name="card" style="font:inherit;padding:.3rem">
      <option value="4000 0000 0000 0001">4000 0000 0000 0001, which is good</option>
      <option value="4000 0000 0000 0002">4000 0000 0000 0002, which has not enough on it</option>
      <option value="4000 0000 0000 0003">4000 0000 0000 0003, which is blocked</option></select></label></p>
    <p><label>Your bank has sent you the code ${bankCode}. Code <input name="code" value="${bankCode}" style="font:inherit;padding:.3rem"></label></p>
    <p><label>Whoever asked is told by <select name="notice" style="font:inherit;padding:.3rem">${Object.entries(
      notices,
    )
      .map(([key, words]) => `<option value="${key}">${words}</option>`)
      .join('')}</select></label></p>
    <p><button name="act" value="pay" ${button}>Pay</button><button name="act" value="leave" ${button}>Go back without paying</button></p>
  </form>`

const donePage = ({ state, returnTo }: Payment) =>
  `<h1>Card payment</h1><p>This payment is ${state}. <a href="${escaped(returnTo)}">Go back</a></p>`

async function decide(payments: Payments, found: Payment, form: URLSearchParams, response: ServerResponse) {
  if (found.state === 'pending') {
    const card = cards[form.get('card') ?? ''] ?? { state: 'declined' as const, because: 'unknown-card' }
    const result =
      form.get('act') === 'leave'
        ? { state: 'abandoned' as const }
        : form.get('code') === bankCode
          ? card
          : { state: 'declined' as const, because: 'not-you' }
    Object.assign(found, result, { notice: form.get('notice') ?? 'first', at: new Date().toISOString() })
    await notify(payments, found)
  }
  response.writeHead(303, { Location: found.returnTo }).end()
}

/** Tells whoever asked, as was chosen. */
async function notify(payments: Payments, found: Payment) {
  const body = JSON.stringify({ notice: randomUUID(), ...said(found) })
  const send = (given: string, wrongly = false) => tell(payments, found, given, wrongly).catch(() => undefined)
  switch (found.notice) {
    case 'never':
      return
    case 'last':
      return void setTimeout(() => void send(body), 2000)
    case 'twice':
      await send(body)
      return send(body)
    case 'amount':
      return send(JSON.stringify({ ...JSON.parse(body), amount: '0.01' }))
    case 'signature':
      return send(body, true)
    default:
      return send(body)
  }
}

async function tell({ secret, instead }: Payments, { tellTo }: Payment, body: string, wrongly: boolean) {
  const at = String(Math.floor(Date.now() / 1000))
  const signature = createHmac('sha256', wrongly ? 'somebody else' : secret)
    .update(`${at}.${body}`)
    .digest('hex')
  return fetch(instead ? new URL(new URL(tellTo).pathname, instead) : tellTo, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'Signed-At': at, Signature: signature },
    body,
    signal: AbortSignal.timeout(8000),
  })
}
