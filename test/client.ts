import { randomUUID } from 'node:crypto'
import { behalfHeader, type Endpoint, type Reply } from '#contract/endpoint'
import { type Contract, contract } from '#contract/index'

export type Answer<T> = {
  status: number
  body: T & { code?: string; title?: string; faults?: { pointer: string; message: string }[]; [more: string]: unknown }
}

type Argument = {
  params?: Record<string, string>
  query?: Record<string, string>
  body?: unknown
  key?: string
  formToken?: string
  /** The application it is done for somebody in. */
  behalf?: string
}

/** Somebody with a browser of their own: keeps cookies and repeats the form value, as a page of ours does. */
export function visitor(address: string, held: Record<string, string> = {}) {
  const cookies = new Map<string, string>(Object.entries(held))
  let formToken = ''

  async function request(path: string, init: RequestInit = {}): Promise<Response> {
    const headers = new Headers(init.headers)
    headers.set('Cookie', [...cookies].map(([name, value]) => `${name}=${value}`).join('; '))
    const response = await fetch(`${address}${path}`, { ...init, headers, redirect: 'manual' })
    for (const line of response.headers.getSetCookie()) {
      const [name = '', value = ''] = line.split(';')[0]!.split(/=(.*)/s)
      if (value === '') cookies.delete(name)
      else cookies.set(name, value)
    }
    return response
  }

  async function call<Name extends keyof Contract>(
    name: Name,
    argument: Argument = {},
  ): Promise<Answer<Reply<Contract[Name]>>> {
    const endpoint = contract[name] as unknown as Endpoint
    if (endpoint.method !== 'GET' && formToken === '') await call('readSession')
    const path = endpoint.path.replace(/:(\w+)/g, (_, part: string) =>
      encodeURIComponent(argument.params?.[part] ?? ''),
    )
    const query = argument.query ? `?${new URLSearchParams(argument.query)}` : ''
    const response = await request(path + query, {
      method: endpoint.method,
      headers: {
        ...(endpoint.method === 'GET' ? {} : { 'X-Probatum-Form': argument.formToken ?? formToken }),
        ...(argument.behalf ? { [behalfHeader]: argument.behalf } : {}),
        ...(endpoint.idempotent ? { 'Idempotency-Key': argument.key ?? randomUUID() } : {}),
      },
      body:
        endpoint.method === 'GET' || endpoint.method === 'DELETE'
          ? undefined
          : endpoint.bytes
            ? (argument.body as Buffer<ArrayBuffer>)
            : JSON.stringify(argument.body ?? {}),
    })
    const body = (await response.json()) as Answer<Reply<Contract[Name]>>['body']
    const csrf = (body as { csrf?: unknown } | null)?.csrf
    if (typeof csrf === 'string') formToken = csrf
    // The session is another one: a page asks for its value again, and so do we.
    if (['signOut', 'takeOverBehalf', 'eraseMe', 'acceptInvitation', 'returnFromProvider'].includes(name))
      formToken = ''
    return { status: response.status, body }
  }

  /** Calls and insists on success. */
  async function done<Name extends keyof Contract>(
    name: Name,
    argument: Argument = {},
  ): Promise<Reply<Contract[Name]>> {
    const { status, body } = await call(name, argument)
    if (status !== 200) throw new Error(`${name} answered ${status}: ${JSON.stringify(body)}`)
    return body
  }

  return { call, done, request }
}

export type Visitor = ReturnType<typeof visitor>
