import type { Endpoint } from '#contract/endpoint'
import { contract } from '#contract/index'
import type { Visitor } from '../../test/client'
import { aDegree, aPaper, applied, type House, openHouse, personAnswers, tokenIn } from '../../test/house'
import { Event } from '../platform/audit/model'
import { Account } from '../records/accounts/model'
import { Application } from '../records/applications/model'

let house: House
let ines: Visitor
beforeAll(async () => {
  house = await openHouse('behalf')
  ines = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const password = 'three quiet herons by the lake'
const somebody = (mail: string, over: object = {}) => ({
  body: {
    slug: 'track-engineer',
    givenNames: 'Hanna',
    familyName: 'Lechner',
    mail,
    language: 'de',
    how: 'by phone',
    ...over,
  },
})

test('what somebody said by phone is written at the desk, taken over by link, and sent by nobody else', async () => {
  const mail = 'hanna@mail.test'
  const begun = await ines.done('beginFor', somebody('Hanna@Mail.test'))
  expect(begun.theirs).toBe(false)
  const { id } = begun
  const behalf = id
  const draft = await ines.done('readDraft', { params: { id }, behalf })
  expect(draft.answers).toMatchObject({
    'about.givenNames': 'Hanna',
    'about.familyName': 'Lechner',
    'contact.mail': mail,
  })
  expect(draft.behalf).toMatchObject({ how: 'by phone', by: 'The coordinator', person: 'Hanna Lechner' })

  await ines.done('saveAnswers', {
    params: { id },
    behalf,
    body: { version: draft.version, changes: personAnswers('Hanna', 'Lechner') },
  })
  const claim = await ines.done('addClaim', { behalf, body: { details: aDegree(house) } })
  const paper = await ines.done('uploadDocument', {
    params: { id: claim.id },
    query: { fileName: 'Certificate.pdf', part: 'certificate' },
    body: await aPaper(),
    behalf,
  })
  expect((await ines.request(`/api/documents/${paper.id}/bytes`)).status).toBe(200)
  const other = await house.staff('assessor')
  expect((await other.request(`/api/documents/${paper.id}/bytes`)).status).toBe(404)

  await ines.done('askToTakeOver', { params: { id } })
  const mailed = await house.mailTo(mail, 'Bitte durchlesen')
  expect(mailed.text).toContain('am Telefon')
  const token = tokenIn(mailed.text, 'take-over')
  const stranger = house.visitor()
  expect(await stranger.done('readTakenDown', { params: { token } })).toMatchObject({
    name: 'Hanna Lechner',
    how: 'by phone',
    claims: 1,
  })
  expect(
    (await stranger.call('takeOverBehalf', { params: { token }, body: { password: 'hannalechner' } })).status,
  ).toBe(422)

  const hanna = house.visitor()
  expect(await hanna.done('takeOverBehalf', { params: { token }, body: { password } })).toEqual({ id })
  const theirs = await hanna.done('readDraft', { params: { id } })
  expect(theirs.behalf?.by).toBe('The coordinator')
  expect(theirs.claims).toHaveLength(1)
  expect((await hanna.done('readSession')).account?.mail).toBe(mail)

  // From now on it is theirs alone.
  expect((await ines.call('readDraft', { params: { id }, behalf })).status).toBe(403)
  expect((await ines.request(`/api/documents/${paper.id}/bytes`)).status).toBe(404)
  expect((await ines.call('askToTakeOver', { params: { id } })).body.code).toBe('theirs')
  expect((await stranger.call('takeOverBehalf', { params: { token }, body: { password } })).status).toBe(410)

  const events = await Event.findAll({ where: { applicationId: id }, order: ['at', 'id'] })
  expect(events.map(({ who, code }) => `${who}: ${code}`)).toEqual([
    'The coordinator (Hanna Lechner): application-begun',
    'The coordinator: begun-on-behalf',
    'The coordinator: asked-to-take-over',
    'Hanna Lechner: taken-over',
  ])
  const added = await Event.findOne({ where: { claimId: claim.id } })
  const account = await Account.findOne({ where: { mail } })
  expect(added).toMatchObject({ who: 'The coordinator (Hanna Lechner)', forCandidate: null })
  expect(added!.actorId).not.toBe(account!.id)
})

describe('the desk writes for somebody', () => {
  let id: string
  const others: Visitor[] = []
  beforeAll(async () => {
    others.push(await house.staff('hiring manager'), await house.staff('assessor'))
    id = (await ines.done('beginFor', somebody('written@mail.test', { slug: 'cableway-mechanic' }))).id
  })

  const endpoints = Object.entries(contract as unknown as Record<string, Endpoint>).filter(
    ([, { access }]) => access === 'candidate',
  )
  const nowhere = '018f0000-0000-7000-8000-000000000000'

  test.each(endpoints)('%s: only what anybody could write down', async (_name, endpoint) => {
    for (const caller of [ines, ...others]) {
      const { csrf } = await caller.done('readSession')
      const { status } = await caller.request(
        endpoint.path.replace(/:(\w+)/g, () => nowhere),
        {
          method: endpoint.method,
          headers: { 'X-Probatum-Form': csrf, 'X-Probatum-For': id, 'Idempotency-Key': crypto.randomUUID() },
          ...(endpoint.method === 'GET' || endpoint.method === 'DELETE' ? {} : { body: '{' }),
        },
      )
      if (endpoint.behalf && caller === ines) expect([400, 404, 422]).toContain(status)
      else expect(status).toBe(403)
    }
  })

  test('and reaches no other file by it', async () => {
    const other = await house.candidate('Somebody Else')
    const theirs = await other.done('beginApplication', { params: { slug: 'track-engineer' } })
    expect((await ines.call('readDraft', { params: { id: theirs.id }, behalf: id })).status).toBe(404)
    expect((await ines.call('readDraft', { params: { id: theirs.id }, behalf: theirs.id })).status).toBe(403)
  })

  test('a file is sent in pieces for them as well', async () => {
    const { csrf } = await ines.done('readSession')
    const make = (behalf: Record<string, string>) =>
      ines.request('/api/my/uploads', {
        method: 'POST',
        headers: { 'X-Probatum-Form': csrf, 'Tus-Resumable': '1.0.0', 'Upload-Length': '5', ...behalf },
      })
    expect((await make({})).status).toBe(401)
    expect((await make({ 'X-Probatum-For': id })).status).toBe(201)
  })
})

test('whoever has an account is mailed the way to it, and nobody else writes in it', async () => {
  const known = await house.candidate('Known Already')
  const begun = await ines.done('beginFor', somebody(known.mail, { how: 'on paper' }))
  expect(begun.theirs).toBe(true)
  expect((await house.mailTo(known.mail, 'Your application for')).text).toContain(`/apply/${begun.id}`)
  expect((await ines.call('readDraft', { params: { id: begun.id }, behalf: begun.id })).status).toBe(403)
  const draft = await known.done('readDraft', { params: { id: begun.id } })
  expect(draft.answers).toEqual({ 'contact.mail': known.mail })
  expect((await ines.call('beginFor', somebody(known.mail))).body.code).toBe('applied-already')
  const line = (await ines.done('listBehalf')).find(({ id }) => id === begun.id)
  expect(line).toMatchObject({ name: 'Known Already', how: 'on paper', theirs: true, confirmedAt: null })
})

test('somebody of the desk is nobody to begin for, and a closed vacancy is told', async () => {
  const { account } = await ines.done('readSession')
  const staff = await ines.call('beginFor', somebody(account!.mail))
  expect(staff.body.faults).toMatchObject([{ pointer: '/body/mail' }])
  expect((await ines.call('beginFor', somebody('x@mail.test', { slug: 'no-such-post' }))).status).toBe(404)
})

test('what nobody wants is set aside, and the person forgotten with it', async () => {
  const { id } = await ines.done('beginFor', somebody('not@mail.test', { familyName: 'Wanted' }))
  await ines.done('addClaim', { behalf: id, body: { details: aDegree(house) } })
  await ines.done('askToTakeOver', { params: { id } })
  const token = tokenIn((await house.mailTo('not@mail.test')).text, 'take-over')
  await ines.done('setAsideBehalf', { params: { id } })
  expect((await ines.done('listBehalf')).some((line) => line.id === id)).toBe(false)
  expect(await Account.count({ where: { mail: 'not@mail.test' } })).toBe(0)
  expect((await house.visitor().call('takeOverBehalf', { params: { token }, body: { password } })).status).toBe(410)
})

test('whoever turns out to have an account under another address goes on with it there, until the files are taken apart', async () => {
  const known = await house.candidate('Twice Known')
  const kept = await applied(house, known, ['Twice', 'Known'])
  const { id } = await ines.done('beginFor', somebody('second@mail.test', { givenNames: 'Twice', familyName: 'Known' }))
  const fileOf = async (application: string) => (await Application.findByPk(application))!.candidateId
  const [theirs, second] = [await fileOf(kept.id), await fileOf(id)]
  const reads = async () => (await ines.call('readDraft', { params: { id }, behalf: id })).status
  expect(await reads()).toBe(200)
  const reason = 'The same voice on the phone'
  const { id: merge } = await ines.done('mergeFiles', {
    params: { keptId: second },
    body: { mergedId: theirs, reason },
  })
  expect(await reads()).toBe(403)
  expect((await ines.call('askToTakeOver', { params: { id } })).body.code).toBe('theirs')
  expect((await ines.done('listBehalf')).find((line) => line.id === id)).toMatchObject({
    mail: known.mail,
    theirs: true,
  })
  expect((await known.done('readDraft', { params: { id } })).answers).toMatchObject({ 'about.givenNames': 'Twice' })
  const again = await ines.done('beginFor', somebody('second@mail.test', { slug: 'cableway-mechanic' }))
  expect(again.theirs).toBe(true)
  expect((await house.mailTo(known.mail, 'Your application for')).text).toContain(`/apply/${again.id}`)
  await ines.done('undoMerge', { params: { id: merge } })
  expect(await reads()).toBe(200)
})
