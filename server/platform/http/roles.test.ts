import type { Endpoint } from '#contract/endpoint'
import { contract } from '#contract/index'
import { mayCall as allowed, type Role, roles } from '#contract/roles'
import { rightsOf } from '#core/rights/rights'
import type { Visitor } from '../../../test/client'
import { type House, openHouse } from '../../../test/house'
import { compile } from './validate'

let house: House
const callers = new Map<Role | 'nobody', Visitor>()
/** What a page of each sends along; it holds as long as the session does. */
const csrf = new Map<Visitor, string>()

beforeAll(async () => {
  house = await openHouse('roles')
  callers.set('nobody', house.visitor())
  callers.set('candidate', await house.candidate('Every Endpoint'))
  for (const role of roles.filter((name) => name !== 'candidate')) callers.set(role, await house.staff(role))
  for (const caller of callers.values()) csrf.set(caller, (await caller.done('readSession')).csrf)
}, 60_000)
afterAll(() => house.close())

const nobodyThere = '018f0000-0000-7000-8000-000000000000'

/** Calls with parameters that lead nowhere: whoever may call is told so (or of the missing body), whoever may not is turned away first. */
async function callNowhere(caller: Visitor, endpoint: Endpoint): Promise<number> {
  const path = endpoint.path.replace(/:(\w+)/g, () => nobodyThere)
  const { status } = await caller.request(path, {
    method: endpoint.method,
    headers: { 'X-Probatum-Form': csrf.get(caller)!, 'Idempotency-Key': `roles-${crypto.randomUUID()}` },
    ...(endpoint.method === 'GET' || endpoint.method === 'DELETE' ? {} : { body: '{' }),
  })
  return status
}

const mayCall = (endpoint: Endpoint, role: Role | 'nobody') => {
  const { access } = endpoint
  if (access === 'anyone' || access === 'bearer-of-link') return true
  return role !== 'nobody' && allowed(endpoint, { roles: [role], rights: rightsOf([role]) })
}

test('every shape of the contract can be compiled', () => {
  for (const { params, query, body, reply } of Object.values(contract))
    for (const schema of [params, query, body, reply]) expect(() => compile(schema)).not.toThrow()
})

/** Signing out comes last: it works even without a body. */
const endpoints = Object.entries(contract as unknown as Record<string, Endpoint>).sort(
  ([a], [b]) => Number(a === 'signOut') - Number(b === 'signOut'),
)

describe.each(endpoints)('%s', (_name, endpoint) => {
  test.each([...roles, 'nobody'] as const)('%s', async (role) => {
    const status = await callNowhere(callers.get(role)!, endpoint)
    if (!mayCall(endpoint, role)) expect(status).toBe(role === 'nobody' ? 401 : 403)
    else {
      expect([401, 403]).not.toContain(status)
      expect(status).toBeLessThan(500)
    }
  })
})
