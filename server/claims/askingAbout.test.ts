import type { Visitor } from '../../test/client'
import { aDegree, applied, claimOf, type House, look, openHouse, personAnswers } from '../../test/house'
import { textOf } from '../../test/pdfText'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('asking_about')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const obstacles = async (application: string, claim: string) => {
  const query = { applicationId: application }
  const preview = await desk.done('previewEnquiry', { params: { id: claim }, query })
  return [...preview.obstacles, ...preview.lacks]
}
const versionOf = async (candidate: Visitor, application: string, id: string) =>
  (await candidate.done('readStatus', { params: { id: application } })).claims.find((claim) => claim.id === id)!.version
const set = (
  candidate: Visitor,
  id: string,
  version: number,
  mayAsk: 'now' | 'after an offer' | 'never',
  because = '',
) => candidate.call('setAsking', { params: { id }, body: { version, mayAsk, because } })

test('a source that may not be asked is asked by no way, and what is asked already is called off', async () => {
  const candidate = await house.candidate('Nina Notthis')
  const { id: application, degreeId } = await applied(house, candidate, ['Nina', 'Notthis'])
  await look(desk, application, degreeId)
  await desk.done('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: application } })
  const version = await versionOf(candidate, application, degreeId)
  const silent = await set(candidate, degreeId, version, 'never', '  ')
  expect([silent.status, silent.body.faults?.[0]?.pointer]).toEqual([422, '/body/because'])
  const both = await Promise.all([1, 2].map(() => set(candidate, degreeId, version, 'never', 'We parted in anger')))
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  const claim = await claimOf(desk, application, degreeId)
  expect(claim.rung).toBe('evidenced')
  expect(claim.proof.enquiries.map(({ state }) => state)).toEqual(['withdrawn'])
  expect(claim.details).toMatchObject({ mayAsk: 'never', mayNotBecause: 'We parted in anger' })
  expect(await obstacles(application, degreeId)).toEqual([
    'The candidate does not want this source to be asked. Ask for other evidence, or talk to them.',
  ])
  const looked = await desk.call('askRegister', { params: { id: degreeId }, body: { applicationId: application } })
  expect([looked.status, looked.body.code]).toEqual([409, 'cannot-ask'])

  const again = await set(candidate, degreeId, await versionOf(candidate, application, degreeId), 'now')
  expect(again.body.details).toMatchObject({ mayAsk: 'now', mayNotBecause: '' })
  expect(await obstacles(application, degreeId)).toEqual([])
})

test('one that may be asked only after an offer waits for it', async () => {
  const candidate = await house.candidate('Otis Offer')
  const { id: application, degreeId } = await applied(house, candidate, ['Otis', 'Offer'])
  await look(desk, application, degreeId)
  const later = await set(candidate, degreeId, await versionOf(candidate, application, degreeId), 'after an offer')
  expect(later.status).toBe(200)
  expect(await obstacles(application, degreeId)).toHaveLength(1)
})

test('nobody else says it, and nobody is asked about where somebody lives', async () => {
  const candidate = await house.candidate('Rita Residence')
  const { id: application, degreeId } = await applied(house, candidate, ['Rita', 'Residence'])
  const stranger = await house.candidate('Sten Stranger')
  expect((await set(stranger, degreeId, 1, 'never', 'Mischief')).status).toBe(404)
  const home = await candidate.done('addClaim', {
    body: {
      details: {
        ...{ kind: 'residence', sourceId: null, sourceName: '', address: 'Dorfstrasse 4', country: 'AT' },
        ...{ from: '2015', to: 'present' },
      },
    },
  })
  expect((await set(candidate, home.id, home.version, 'never', 'No')).status).toBe(422)
  expect(application).toBeTruthy()
})

test('the permission names every source that would be asked, and from when on', async () => {
  const candidate = await house.candidate('Pia Permission')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  await candidate.done('saveAnswers', {
    params: { id },
    body: { version: 0, changes: personAnswers('Pia', 'Permission') },
  })
  const { id: degree, version } = await candidate.done('addClaim', {
    body: { details: aDegree(house) },
  })
  await set(candidate, degree, version, 'after an offer')
  await candidate.done('signPermission', {
    params: { id },
    body: { fullName: 'Pia Permission', password: 'a-long-enough-secret', agreed: true },
  })
  const pdf = await (await candidate.request(`/api/my/applications/${id}/permission.pdf`)).arrayBuffer()
  expect((await textOf(pdf)).replace(/\s+/g, ' ')).toContain(
    'Technische Hochschule Tannberg, about MSc Electrical Engineering, only after an offer',
  )
})
