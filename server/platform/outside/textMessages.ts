import type { TextState } from '#core/messages/phone'

type Text = { id: string; to: string; text: string }

/** What a gateway says of a text message. */
export type TextAnswer = { state: TextState; because?: string }

export type TextGateway = {
  /** Hands one over, once by its identifier and number however often it is called. */
  send: (text: Text) => Promise<TextAnswer>
  /** What became of it. */
  stateOf: (id: string) => Promise<TextAnswer>
}

/**
 * Hands text messages to a gateway over HTTP: `PUT {base}/{id}` with `{ to, text }`, `to` in E.164, and `GET {base}/{id}`. Both
 * answer `{ state, because? }`, the state one of accepted, delivered, refused, no number.
 *
 * @throws Error where the gateway does not answer in the form agreed; a job tries again
 */
export function httpTextGateway(base: string, patienceMs = 8000): TextGateway {
  const ask = async (id: string, more: RequestInit = {}): Promise<TextAnswer> => {
    const response = await fetch(`${base}/${encodeURIComponent(id)}`, {
      ...more,
      signal: AbortSignal.timeout(patienceMs),
    })
    if (!response.ok) throw new Error(`the text gateway answered ${response.status}`)
    const { state, because } = (await response.json()) as { state?: unknown; because?: unknown }
    const known = textStates.find((one) => one === state)
    if (!known) throw new Error('the text gateway answered in another form than agreed')
    return { state: known, ...(typeof because === 'string' ? { because: because.slice(0, 300) } : {}) }
  }
  return {
    send: ({ id, to, text }) =>
      ask(id, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ to, text }),
      }),
    stateOf: (id) => ask(id),
  }
}

const textStates = ['accepted', 'delivered', 'refused', 'no number'] as const satisfies readonly TextState[]
