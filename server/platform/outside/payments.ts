import { createHmac, timingSafeEqual } from 'node:crypto'
import { amountInDigits, readAmount } from '#core/money/currency'

/** What is to be paid by card; `id` is ours, and asks for the same payment however often it is sent. */
export type ToPay = {
  id: string
  /** Minor units. */
  amount: number
  currency: string
  about: string
  /** Where the payer comes back to, and where the provider tells us what became of it. */
  returnTo: string
  tellTo: string
}

/** What a provider says of a payment, by our identifier. */
export type PaymentTold = {
  payment: string
  state: 'pending' | 'paid' | 'declined' | 'abandoned'
  amount: number
  currency: string
  because?: string
}

/** A notice of the provider; `notice` is its own identifier, so that it is believed once. */
export type PaymentNotice = PaymentTold & { notice: string }

/** A line of a provider's report of a day: a payment, or what was given back of one, below nothing. Minor units. */
export type ReportLine = { payment: string; refund?: string; amount: number; currency: string }

/** A payment provider. What we do with payments knows no more of one than this: another is another file like this one. */
export type PaymentProvider = {
  begin: (wish: ToPay) => Promise<{ providerId: string; address: string }>
  /** How a payment stands; nothing where the provider never heard of it. */
  look: (payment: string) => Promise<PaymentTold | undefined>
  /** Gives back a part; `id` is ours, and gives back once however often it is sent. */
  giveBack: (refund: { id: string; payment: string; amount: number; currency: string }) => Promise<'done' | 'refused'>
  /** What it took and gave back on a day of its own. @throws ProviderSilent where it gives no report now */
  report: (day: string) => Promise<ReportLine[]>
  /** Reads a notice. @throws NotGenuine where the provider did not sign it, or long ago */
  read: (headers: Readonly<Record<string, string | string[] | undefined>>, body: string) => PaymentNotice
}

export class ProviderSilent extends Error {}
export class NotGenuine extends Error {}

const patienceMs = 8000
/** Seconds around now within which a notice has to be signed. */
export const noticeLastsSeconds = 300

type SaidLine = { payment: string; refund?: string; amount: string; currency: string }
type Said = { payment: string; state: PaymentTold['state']; amount: string; currency: string; because?: string }

/**
 * Speaks with a provider over HTTP in JSON: `POST {base}/payments` begins and answers with an `id` and an `address` the payer is
 * sent to; `GET {base}/payments/OURS` answers how it stands; `GET {base}/reports/DAY` what it moved on a day; `POST {base}/payments/OURS/refunds` gives back. Amounts are
 * decimals with a point. Notices come signed: `Signed-At` is a number of seconds since 1970, `Signature` the HMAC-SHA-256 (RFC
 * 2104) of it, a point, and the body, in hexadecimal.
 */
export function httpPaymentProvider(base: string, secret: string): PaymentProvider {
  const ask = async (path: string, body?: object) => {
    const response = await fetch(`${base}${path}`, {
      method: body ? 'POST' : 'GET',
      headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${secret}` },
      ...(body ? { body: JSON.stringify(body) } : {}),
      signal: AbortSignal.timeout(patienceMs),
    }).catch((error: unknown) => {
      throw new ProviderSilent('the payment provider did not answer', { cause: error })
    })
    if (!response.ok && ![404, 409].includes(response.status))
      throw new ProviderSilent(`the payment provider answered ${response.status}`)
    return response
  }
  return {
    begin: async ({ amount, ...wish }) => {
      const response = await ask('/payments', { ...wish, amount: amountInDigits(amount, wish.currency) })
      const { id, address } = (await response.json()) as { id: string; address: string }
      return { providerId: id, address }
    },
    look: async (payment) => {
      const response = await ask(`/payments/${encodeURIComponent(payment)}`)
      return response.status === 404 ? undefined : told((await response.json()) as Said)
    },
    giveBack: async ({ id, payment, amount, currency }) => {
      const path = `/payments/${encodeURIComponent(payment)}/refunds`
      const response = await ask(path, { id, amount: amountInDigits(amount, currency), currency })
      return response.ok ? 'done' : 'refused'
    },
    report: async (day) => {
      const response = await ask(`/reports/${day}`)
      if (!response.ok) throw new ProviderSilent(`the payment provider has no report of ${day}`)
      const { lines } = (await response.json()) as { lines: SaidLine[] }
      return lines.map(({ amount, currency, ...about }) => ({ ...about, currency, amount: signed(amount, currency) }))
    },
    read: (headers, body) => {
      const [at, signature] = [headers['signed-at'], headers.signature]
      if (typeof at !== 'string' || typeof signature !== 'string') throw new NotGenuine('it is not signed')
      const expected = createHmac('sha256', secret).update(`${at}.${body}`).digest()
      const given = Buffer.from(signature, 'hex')
      if (given.length !== expected.length || !timingSafeEqual(given, expected))
        throw new NotGenuine('its signature is wrong')
      if (!(Math.abs(Date.now() / 1000 - Number(at)) <= noticeLastsSeconds))
        throw new NotGenuine('it was signed long ago')
      const said = JSON.parse(body) as Said & { notice: string }
      if (typeof said.notice !== 'string' || typeof said.payment !== 'string')
        throw new NotGenuine('it says too little')
      return { notice: said.notice, ...told(said) }
    },
  }
}

/** An amount as a report writes it; what cannot be read agrees with nothing. */
function signed(amount: string, currency: string): number {
  const read = readAmount(amount.replace(/^-/, ''), currency)
  if (read === undefined) return Number.NaN
  return amount.startsWith('-') ? -read : read
}

function told({ payment, state, amount, currency, because }: Said): PaymentTold {
  // What cannot be read is no amount we asked for.
  return {
    payment,
    state,
    amount: readAmount(String(amount), currency) ?? -1,
    currency,
    ...(because ? { because } : {}),
  }
}
