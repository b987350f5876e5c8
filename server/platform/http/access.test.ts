import { applied, type House, openHouse } from '../../../test/house'

let house: House
beforeAll(async () => {
  house = await openHouse('access')
}, 60_000)
afterAll(() => house.close())

test('what is somebody else’s is not there', async () => {
  const owner = await house.candidate('Olga Owner')
  const { id, degreeId } = await applied(house, owner, ['Olga', 'Owner'])
  const documentId = (await owner.done('readDraft', { params: { id } })).claims.find((claim) => claim.id === degreeId)!
    .documents[0]!.id
  const other = await house.candidate('Otto Other')
  expect((await other.call('readDraft', { params: { id } })).status).toBe(404)
  expect((await other.call('readStatus', { params: { id } })).status).toBe(404)
  expect((await other.call('withdraw', { params: { id } })).status).toBe(404)
  expect(
    (
      await other.call('uploadDocument', {
        params: { id: degreeId },
        query: { fileName: 'x.pdf' },
        body: Buffer.from('%PDF-'),
      })
    ).status,
  ).toBe(404)
  expect((await other.request(`/api/documents/${documentId}/bytes`)).status).toBe(404)
  expect((await house.visitor().request(`/api/documents/${documentId}/bytes`)).status).toBe(401)

  const bytes = await owner.request(`/api/documents/${documentId}/bytes`)
  expect(bytes.status).toBe(200)
  expect(bytes.headers.get('content-type')).toBe('application/pdf')
  expect(bytes.headers.get('x-content-type-options')).toBe('nosniff')
  expect(bytes.headers.get('content-security-policy')).toContain('sandbox')
  expect((await (await house.staff('coordinator')).request(`/api/documents/${documentId}/bytes`)).status).toBe(200)
  expect((await (await house.staff('assessor')).request(`/api/documents/${documentId}/bytes`)).status).toBe(404)
})

test('what is still being written is nobody else’s, not even the desk’s', async () => {
  const writer = await house.candidate('Wanda Writer')
  const { id } = await writer.done('beginApplication', { params: { slug: 'track-engineer' } })
  const desk = await house.staff('coordinator')
  expect((await desk.call('readFile', { params: { id } })).status).toBe(404)
  expect((await desk.done('find', { query: { text: 'Wanda' } })).people).toEqual([])
})

test('each role does what is its own', async () => {
  const candidate = await house.candidate('Rolf Role')
  const { id, degreeId } = await applied(house, candidate, ['Rolf', 'Role'])
  expect((await candidate.call('readQueue', { params: { queue: 'today' } })).status).toBe(403)
  expect((await candidate.call('readFile', { params: { id } })).status).toBe(403)
  expect((await house.visitor().call('readQueue', { params: { queue: 'today' } })).status).toBe(401)
  const assessor = await house.staff('assessor')
  expect((await assessor.call('readFile', { params: { id } })).status).toBe(200)
  expect(
    (
      await assessor.call('decideClaim', {
        params: { id: degreeId },
        body: { version: 0, decision: 'confirmed', note: '' },
      })
    ).status,
  ).toBe(403)
  expect((await assessor.call('passGate', { params: { id, gate: 'shortlist' }, body: { version: 2 } })).status).toBe(
    403,
  )
  expect((await (await house.staff('hiring manager')).call('readTrail')).status).toBe(403)
})

test('a change from another site’s page is refused', async () => {
  const candidate = await house.candidate('Cross Site')
  const refused = await candidate.call('beginApplication', { params: { slug: 'track-engineer' }, formToken: 'guessed' })
  expect([refused.status, refused.body.code]).toEqual([403, 'stale-page'])
})

test('bad input is refused with the field that is wrong', async () => {
  const candidate = await house.candidate('Bad Input')
  const refused = await candidate.call('addClaim', {
    body: {
      details: {
        kind: 'study',
        sourceId: null,
        sourceName: 'X',
        award: 'BSc',
        subject: 'Y',
        level: 12,
        field: '0713',
        number: '',
        from: '2019',
        to: 'soon',
      },
    },
  })
  expect(refused.status).toBe(422)
  expect(refused.body.faults?.map(({ pointer }) => pointer)).toEqual(
    expect.arrayContaining(['/body/details/level', '/body/details/to']),
  )
  const backwards = await candidate.call('addClaim', {
    body: {
      details: {
        kind: 'study',
        sourceId: null,
        sourceName: 'X',
        award: 'BSc',
        subject: 'Y',
        level: 6,
        field: '0713',
        number: '',
        from: '2019-09',
        to: '2017-06',
      },
    },
  })
  expect(backwards.body.faults).toEqual([{ pointer: '/body/details/to', message: 'This ends before it begins.' }])
  expect((await candidate.call('readVacancy', { params: { slug: 'nothing-here' } })).status).toBe(404)
  expect((await candidate.request('/api/my/applications/not-an-id')).status).toBe(422)
})

describe('accounts', () => {
  const password = 'a-long-enough-secret'

  test('the reply is the same whether an address is known or not, and only the mail says more', async () => {
    const known = await house.candidate('Known Person')
    const body = { name: 'Known Person', mail: known.mail, password }
    const again = await house.visitor().call('signUp', { body })
    const fresh = await house.visitor().call('signUp', { body: { ...body, mail: 'never-seen@mail.test' } })
    expect([again.status, again.body]).toEqual([fresh.status, fresh.body])
    expect((await house.mailTo(known.mail, 'already')).text).toContain('You already have one')
  })

  test('a link to confirm works once, and nobody signs in before', async () => {
    const visitor = house.visitor()
    await visitor.done('signUp', { body: { name: 'Once Only', mail: 'once@mail.test', password } })
    await house.mailTo('once@mail.test')
    expect((await visitor.call('signIn', { body: { mail: 'once@mail.test', password } })).body.code).toBe(
      'not-confirmed',
    )
    const token = /confirm\/([\w-]+)/.exec((await house.mailTo('once@mail.test')).text)![1]!
    await visitor.done('confirmMail', { body: { token } })
    expect((await visitor.done('readSession')).account?.mail).toBe('once@mail.test')
    expect((await visitor.call('confirmMail', { body: { token } })).status).toBe(410)
    await visitor.done('signOut')
    expect((await visitor.done('readSession')).account).toBeNull()
  })

  test('guessing is slowed down, for known and unknown addresses alike', async () => {
    const visitor = house.visitor()
    const tries = []
    for (let attempt = 0; attempt < 11; attempt += 1)
      tries.push(
        (await visitor.call('signIn', { body: { mail: 'guess@mail.test', password: `wrong-${attempt}` } })).status,
      )
    expect(tries).toEqual([...Array(10).fill(401), 429])
  })
})
