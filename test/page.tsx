import { act, type RenderResult, render } from '@testing-library/react'
import { userEvent } from '@testing-library/user-event'
import { Tooltip } from 'radix-ui'
import type { ReactElement } from 'react'
import { Provider } from 'react-redux'
import { createMemoryRouter, RouterProvider } from 'react-router'
import type { Endpoint, Reply } from '#contract/endpoint'
import { type Contract, contract } from '#contract/index'
import type { Role } from '#contract/roles'
import { rightsOf } from '#core/rights/rights'
import { api, type Problem } from '../web/api'
import { store } from '../web/store'
import { checks } from './virtualChecks'

type Name = keyof Contract
/** What a call is answered with: a reply of the contract's shape, or a problem. */
type Answer<N extends Name> = Reply<Contract[N]> | { problem: Partial<Problem> & { status: number } } | 'no connection'
type Answers = { [N in Name]?: Answer<N> | ((call: Call) => Answer<N>) }
export type Call = { name: Name; params: Record<string, string>; query: Record<string, string>; body: unknown }

const shown = Object.entries(contract).map(([name, endpoint]) => ({
  name: name as Name,
  endpoint: endpoint as Endpoint,
  pattern: new RegExp(`^${endpoint.path.replace(/:(\w+)/g, '(?<$1>[^/]+)')}$`),
}))

/** A session as the server tells it. */
export const sessionOf = (...roles: Role[]): Reply<Contract['readSession']> => ({
  csrf: 'x'.repeat(43),
  account: {
    id: '0190a3f0-0000-7000-8000-000000000001',
    name: 'Ines Caldwell',
    mail: 'ines@vallorne.example',
    roles,
    rights: rightsOf(roles),
    language: 'en',
    throughProvider: false,
  },
  provider: null,
  demo: false,
  organisation: {
    name: 'Vallorne Mountain Lines',
    contact: 'people@vallorne.example',
    accent: '#0f332c',
    currency: 'EUR',
    languages: ['en', 'de'],
    welcome: 'Work on the mountain',
    logo: null,
  },
  codesFirst: false,
})

/**
 * Draws a part of the pages as it stands in the application, with a server that answers as it is told and takes only what
 * the contract lets in.
 *
 * @param more.at the address that is open; `more.path` what of it are parameters
 * @returns what was drawn, somebody who clicks and types, every change that was sent, and the address that is open now
 */
export async function showPage(
  part: ReactElement,
  {
    roles = ['coordinator'],
    at = '/',
    path = '*',
    ...answers
  }: Answers & { roles?: Role[]; at?: string; path?: string } = {},
): Promise<RenderResult & { user: ReturnType<typeof userEvent.setup>; sent: Call[]; where: () => string }> {
  const sent: Call[] = []
  let waiting = 0
  const all = { readSession: sessionOf(...roles), ...answers } as Record<string, unknown>
  const answerTo = async (address: string | URL, init: RequestInit) => {
    const url = new URL(String(address), 'http://house.test')
    const method = init.method ?? 'GET'
    const known = shown.find(({ endpoint, pattern }) => endpoint.method === method && pattern.test(url.pathname))
    if (!known) throw new Error(`nothing answers ${method} ${url.pathname}`)
    const body = typeof init.body === 'string' ? JSON.parse(init.body) : init.body
    const params = { ...known.pattern.exec(url.pathname)!.groups }
    const call: Call = { name: known.name, params, query: Object.fromEntries(url.searchParams), body }
    if (method !== 'GET') sent.push(call)
    const validate = body !== undefined && (await checks[known.name]?.())?.validate
    if (validate && !validate(body))
      throw new Error(`${known.name} would be refused: ${JSON.stringify(validate.errors)}`)
    const told = all[known.name]
    if (told === undefined) throw new Error(`the test does not say what ${known.name} answers`)
    const answer = await (typeof told === 'function' ? told(call) : told)
    if (answer === 'no connection') throw new TypeError('Failed to fetch')
    const { problem } = answer as { problem?: Problem }
    const reply = problem ? Object.assign({ code: 'refused', title: 'Refused' }, problem) : answer
    return { ok: !problem, status: problem?.status ?? 200, json: async () => reply } as Response
  }
  globalThis.fetch = ((address: string | URL, init: RequestInit = {}) => {
    waiting++
    return answerTo(address, init).finally(() => waiting--)
  }) as typeof fetch
  store.dispatch(api.util.resetApiState())
  const router = createMemoryRouter(
    [
      { path, element: part },
      { path: '*', element: null },
    ],
    { initialEntries: [at] },
  )
  const drawn = render(
    <Provider store={store}>
      <Tooltip.Provider>
        <RouterProvider router={router} />
      </Tooltip.Provider>
    </Provider>,
  )
  // What a page asks for first is there when the test begins, so that no test depends on which of two answers came first.
  for (let quiet = 0, turns = 0; quiet < 8 && turns < 60; turns++) {
    // What came is drawn at the end of each turn, and may ask for more.
    await act(() => new Promise((resolve) => setTimeout(resolve, 5)))
    quiet = waiting ? 0 : quiet + 1
  }
  const where = () => `${router.state.location.pathname}${router.state.location.search}`
  return { ...drawn, user: userEvent.setup(), sent, where }
}
