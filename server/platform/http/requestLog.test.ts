import { type House, openHouse } from '../../../test/house'
import { loggedPath } from './requestLog'

let house: House
beforeAll(async () => {
  house = await openHouse('request_log')
}, 60_000)
afterAll(() => house.close())

test.each([
  ['/api/desk/counts', '/api/desk/counts'],
  ['/api/desk/search?text=Ada%20Halde', '/api/desk/search'],
  [`/reply/${'x'.repeat(43)}`, '/reply/…'],
  [`/api/enquiries/${'aB-_9'.repeat(9)}/reply`, '/api/enquiries/…/reply'],
  [
    '/api/desk/applications/01a2205c-7464-7615-87b1-b4da5a1da68b',
    '/api/desk/applications/01a2205c-7464-7615-87b1-b4da5a1da68b',
  ],
])('%s is logged as %s', (url, logged) => expect(loggedPath(url)).toBe(logged))

test('whoever is refused can say which request it was, and no two are the same', async () => {
  const refused = async () => {
    const reply = await fetch(`${house.address}/api/desk/counts`)
    return { header: reply.headers.get('X-Request-Id'), ...((await reply.json()) as { requestId?: string }) }
  }
  const [one, two] = [await refused(), await refused()]
  expect(one.requestId).toBe(one.header)
  expect(one.requestId).toMatch(/^[\da-f-]{36}$/)
  expect(two.requestId).not.toBe(one.requestId)
})
