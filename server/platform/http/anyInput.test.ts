import fc from 'fast-check'
import type { Endpoint } from '#contract/endpoint'
import { contract } from '#contract/index'
import type { Visitor } from '../../../test/client'
import { fitting } from '../../../test/fitting'
import { applied, type House, openHouse } from '../../../test/house'
import { Application } from '../../records/applications/model'
import { Document } from '../../records/documents/model'

/**
 * Whatever has the right shape is answered or refused, and never breaks anything: no endpoint answers 500. A few tries of
 * each; `./check long` makes many (`ANY_INPUT`).
 */
const numRuns = Number(process.env.ANY_INPUT ?? 3)

let house: House
let desk: Visitor
let candidate: Visitor
const ids: string[] = []

beforeAll(async () => {
  house = await openHouse('any_input')
  desk = await house.staff('coordinator', 'administrator', 'assessor', 'hiring manager')
  candidate = await house.candidate('Annie Input')
  const { id, degreeId, jobId } = await applied(house, candidate, ['Annie', 'Input'])
  const { candidateId, vacancyId } = await Application.findByPk(id, { rejectOnEmpty: true })
  const { id: draft } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
  const document = await Document.findOne({ where: { claimId: degreeId }, rejectOnEmpty: true })
  ids.push(id, draft, degreeId, jobId, candidateId, vacancyId, document.id, house.source('tannberg').sourceId!)
}, 60_000)
afterAll(() => house.close())

/** They end the session, a file or the day of everybody else in this house, so they come last. */
const endings = ['moveClock', 'erasePerson', 'eraseMe', 'signOutEverywhere', 'signOut']
const endpoints = Object.entries(contract as unknown as Record<string, Endpoint>).sort(
  ([a], [b]) => endings.indexOf(a) - endings.indexOf(b),
)

const callerOf = ({ access }: Endpoint) =>
  access === 'anyone' || access === 'bearer-of-link'
    ? house.visitor()
    : access === 'signed-in' || access.includes('candidate')
      ? candidate
      : desk

test.each(endpoints)('%s', async (_name, endpoint) => {
  const caller = callerOf(endpoint)
  const { csrf } = await caller.done('readSession')
  const shapes = fc.record({
    params: fitting(endpoint.params, ids) as fc.Arbitrary<Record<string, string>>,
    query: fitting(endpoint.query, ids) as fc.Arbitrary<Record<string, string>>,
    body: fitting(endpoint.body, ids),
  })
  await fc.assert(
    fc.asyncProperty(shapes, async ({ params, query, body }) => {
      const path = endpoint.path.replace(/:(\w+)/g, (_, part: string) =>
        encodeURIComponent(params[part] || fc.sample(fc.constantFrom(...ids), 1)[0]!),
      )
      const asked = new URLSearchParams(Object.entries(query).map(([name, value]) => [name, String(value)]))
      const sends = endpoint.method !== 'GET' && endpoint.method !== 'DELETE'
      const response = await caller.request(`${path}?${asked}`, {
        method: endpoint.method,
        headers: { 'X-Probatum-Form': csrf, 'Idempotency-Key': crypto.randomUUID() },
        ...(sends ? { body: endpoint.bytes ? Buffer.from('%PDF-1.7 nonsense') : JSON.stringify(body) } : {}),
      })
      const said = await response.text()
      expect([response.status < 500, response.status < 500 || said]).toEqual([true, true])
    }),
    { numRuns },
  )
})
