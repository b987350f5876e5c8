import type { Visitor } from '../../test/client'
import { type aDegree, aPaper, applied, claimOf, type House, openHouse, until } from '../../test/house'
import { Enquiry } from '../records/enquiries/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('confirm_known')
  desk = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

const tannberg = () => house.source('tannberg').sourceId
const said = { paperSaysTheSame: true as const, finished: true as const }

/** Takes in a list as an institution sends it. */
const takeIn = (rows: string[], id = tannberg()) =>
  desk.done('importAwards', {
    params: { id },
    body: Buffer.from(['number;name;born;award;subject;awarded', ...rows].join('\n')),
  })
const bornOf = async (file: Awaited<ReturnType<typeof graduate>>) => {
  const { claimed } = (await claimOf(desk, file.id, file.degreeId)).proof
  return claimed.born!
}

async function graduate(name: [string, string], more: Parameters<typeof aDegree>[1] = {}) {
  const candidate = await house.candidate(name.join(' '))
  const file = await applied(house, candidate, name)
  const status = () => candidate.done('readStatus', { params: { id: file.id } })
  const first = async () => (await status()).claims.find(({ id }) => id === file.degreeId)!
  if (Object.keys(more).length > 0) {
    const { version, details } = await first()
    await candidate.done('changeClaim', {
      params: { id: file.degreeId },
      body: { version, details: { ...details, ...more } as never },
    })
  }
  const state = async (version?: number) =>
    candidate.call('stateAward', {
      params: { id: file.degreeId },
      body: { version: version ?? (await first()).version, ...said },
    })
  return { candidate, ...file, status, first, state, claim: () => claimOf(desk, file.id, file.degreeId) }
}

test('a known, accredited programme with a record of the award is confirmed at once, and says on what', async () => {
  const file = await graduate(['Kira', 'Known'], { number: 'TB-2018-4711' })
  await takeIn([`TB 2018/4711;Kira Known;${await bornOf(file)};MSc;Electrical Engineering;2018-03`])
  expect((await file.status()).studies[0]).toMatchObject({
    ...{ state: 'accredited', programme: 'MSc, Electrical Engineering', stated: false },
    accreditation: { basis: 'accredited', from: 2012 },
  })
  const { version } = await file.first()
  const both = await Promise.all([file.state(version), file.state(version)])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  const claim = await file.claim()
  expect(claim).toMatchObject({ rung: 'confirmed', confirmed: { until: null } })
  expect(claim.proof.findings).toHaveLength(1)
  expect(claim.proof.findings[0]).toMatchObject({
    ...{ decision: 'confirmed', by: '', undone: false },
    basis: { programme: 'MSc, Electrical Engineering', basis: 'accredited', from: 2012, record: 'TB-2018-4711' },
  })
  // Nobody was asked, and nobody is.
  expect(claim.proof.enquiries).toEqual([])
  const query = { applicationId: file.id }
  expect((await desk.done('previewEnquiry', { params: { id: file.degreeId }, query })).obstacles).toContain(
    'This has already been confirmed.',
  )
  const { trail } = await desk.done('readFile', { params: { id: file.id } })
  expect(trail[0]!.what).toContain('MSc, Electrical Engineering of Technische Hochschule Tannberg is a known programme')
})

test('a year outside the accreditation confirms nothing, whatever the record says', async () => {
  const file = await graduate(['Yann', 'Year'], { number: 'TB-2008-4712', from: '2006-10', to: '2009-03' })
  await takeIn([`TB-2008-4712;Yann Year;${await bornOf(file)};MSc;Electrical Engineering;2009-03`])
  expect((await file.status()).studies[0]).toMatchObject({ state: 'year outside', accreditation: { from: 2012 } })
  expect((await file.state()).status).toBe(200)
  expect(await file.claim()).toMatchObject({ rung: 'claimed', proof: { findings: [] } })
})

test.each<[string, [string, string], (born: string) => string]>([
  ['another name', ['Nora', 'Name'], (born) => `TB-2018-5001;Somebody Else;${born};MSc;Electrical Engineering;2018-03`],
  ['another birth', ['Bea', 'Birth'], () => 'TB-2018-5001;Bea Birth;1950-01-01;MSc;Electrical Engineering;2018-03'],
  ['another award', ['Alan', 'Award'], (born) => `TB-2018-5001;Alan Award;${born};BSc;Electrical Engineering;2018-03`],
])('a record of %s confirms nothing, and the candidate learns nothing of it', async (_, name, row) => {
  const file = await graduate(name, { number: 'TB-2018-5001' })
  await takeIn([row(await bornOf(file))])
  const { body, status } = await file.state()
  expect([status, body.rung]).toEqual([200, 'claimed'])
  expect(JSON.stringify(body)).not.toMatch(/Somebody|1950|BSc/)
})

test('what was stated before its record came is confirmed when it comes; a changed claim has to be stated anew', async () => {
  const [file, other] = [
    await graduate(['Lena', 'Later'], { number: 'TB-2018-6001' }),
    await graduate(['Cora', 'Changed'], { number: 'TB-2018-6002' }),
  ]
  expect((await file.state()).body.rung).toBe('claimed')
  await other.state()
  const { version, details } = await other.first()
  await other.candidate.done('changeClaim', { params: { id: other.degreeId }, body: { version, details } })
  const rows = await Promise.all(
    [file, other].map(
      async (one, nth) =>
        `TB-2018-600${nth + 1};${nth ? 'Cora Changed' : 'Lena Later'};${await bornOf(one)};MSc;Electrical Engineering;03/2018`,
    ),
  )
  const taken = await takeIn([...rows, ';Without Number;;;;', 'TB-1;Bad Day;32.13.1990;;;'])
  expect(taken).toMatchObject({ kept: 2, confirmed: 1 })
  expect(taken.faulty.map(({ row }) => row)).toEqual([4, 5])
  expect([(await file.claim()).rung, (await other.claim()).rung]).toEqual(['confirmed', 'claimed'])
  // Whoever is asked has nothing to answer any more, and a list taken in twice is the same.
  expect((await takeIn(rows)).confirmed).toBe(0)
  const { count, rows: found } = await desk.done('readAwards', {
    params: { id: tannberg() },
    query: { text: 'TB-2018-6001' },
  })
  expect([found.length, found[0]!.name]).toEqual([1, 'Lena Later'])
  await desk.done('removeAward', { params: { id: tannberg(), award: found[0]!.id } })
  expect((await desk.done('readAwards', { params: { id: tannberg() }, query: {} })).count).toBe(count - 1)
  expect((await file.claim()).rung).toBe('confirmed')
})

test('an open question is called off by it', async () => {
  const file = await graduate(['Olaf', 'Open'], { number: 'TB-2018-7001' })
  const { documents, proof } = await file.claim()
  const document = documents[0]!
  const body = { version: document.version, reads: proof.claimed }
  await desk.done('seeDocument', { params: { id: document.id }, body })
  await desk.done('raiseEnquiry', { params: { id: file.degreeId }, body: { applicationId: file.id } })
  await takeIn([`TB-2018-7001;Olaf Open;${await bornOf(file)};MSc;Electrical Engineering;2018-03`])
  expect((await file.state()).body.rung).toBe('confirmed')
  expect((await Enquiry.findAll({ where: { claimId: file.degreeId } })).map(({ state }) => state)).toEqual([
    'withdrawn',
  ])
})

test('a register of awards is looked up with the permission, once something is sent, and the same holds', async () => {
  const file = await graduate(['Rita', 'Register'], { number: 'TB-2018-8001' })
  const entry = { name: 'Rita Register', born: await bornOf(file), number: 'TB-2018-8001', award: 'MSc' }
  const fields = { ...entry, subject: 'Electrical Engineering', awarded: '2018-03' }
  house.enter({ 'tannberg-degrees': { TB20188001: { fields } } })
  await file.state()
  const claim = await until(async () => {
    const now = await file.claim()
    return now.rung === 'confirmed' && now
  })
  expect(claim.proof.findings[0]).toMatchObject({ by: '', basis: { record: 'TB-2018-8001' } })
  expect(claim.proof.enquiries).toMatchObject([{ channel: 'register', state: 'answered' }])

  const never = await graduate(['Nils', 'Never'], { number: 'TB-2018-8002' })
  const { version } = await never.first()
  const no = { version, mayAsk: 'never' as const, because: 'We parted in anger' }
  await never.candidate.done('setAsking', { params: { id: never.degreeId }, body: no })
  await never.state()
  await house.workOff()
  expect(await Enquiry.count({ where: { claimId: never.degreeId } })).toBe(0)
})

test('nobody states what is not finished, or somebody else’s', async () => {
  const file = await graduate(['Ina', 'Inprogress'], { to: 'present', outcome: 'in progress' })
  expect((await file.state()).status).toBe(422)
  const stranger = await house.candidate('Stan Stranger')
  const body = { version: 0, ...said }
  expect((await stranger.call('stateAward', { params: { id: file.degreeId }, body })).status).toBe(404)
  const paper = await aPaper()
  expect((await desk.call('importAwards', { params: { id: tannberg() }, body: paper })).body.code).toBe(
    'unreadable-file',
  )
})
