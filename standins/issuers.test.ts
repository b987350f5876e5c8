import { Buffer } from 'node:buffer'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { verifyCredential } from '#server/credentials/verifyCredential'
import { httpStatusLists } from '#server/platform/outside/statusLists'
import { answerIssuers, issuerKeys } from './issuers'

let base = ''
const server = createServer((request, response) => void answerIssuers(base, new URL(request.url!, base), response))
beforeAll(async () => {
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready))
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => void server.close())

test.each([
  ['none', undefined],
  ['signature', 'bad-signature'],
  ['issuer', 'other-issuer'],
  ['revoked', 'revoked'],
])('a credential with %s wrong is told to be %s, by its list and the keys that are told', async (fault, told) => {
  const reply = await fetch(
    `${base}/issuers/lumira/credential?name=Ada+Adler&award=MSc&subject=X&number=1&fault=${fault}`,
  )
  const found = await verifyCredential(Buffer.from(await reply.arrayBuffer()).toString(), {
    issuer: issuerKeys(base, 'lumira'),
    mail: 'ada@mail.test',
    lists: httpStatusLists(2000),
  })
  expect(found.fault).toBe(told)
})

test('its page makes one, and nobody’s issuer is nowhere', async () => {
  expect(await (await fetch(`${base}/issuers/lumira`)).text()).toContain('action="/issuers/lumira/credential"')
  expect((await fetch(`${base}/issuers/`)).status).toBe(404)
})
