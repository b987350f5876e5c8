import { applied, type House, openHouse } from '../../test/house'

let house: House
beforeAll(async () => {
  house = await openHouse('vouching')
}, 60_000)
afterAll(() => house.close())

const said = {
  knownFrom: '2020-03',
  knownTo: 'present' as const,
  worked: 'every week' as const,
  trust: 'yes' as const,
  statement: 'I have seen her lead four night rescues, calm and exact.',
  respondent: 'Pell Orven',
  capacity: 'Head of rescue',
}

test('somebody vouches by link, the desk reads it and the candidate does not', async () => {
  const candidate = await house.candidate('Vouched For')
  const { id } = await applied(house, candidate, ['Vouched', 'For'])
  await candidate.done('nameVoucher', {
    params: { id },
    body: { name: 'Pell Orven', mail: 'pell@orven.test', relation: 'supervisor' },
  })
  const { text } = await house.mailTo('pell@orven.test')
  const token = /\/vouch\/([\w-]+)/.exec(text)![1]!
  const visitor = house.visitor()
  expect(await visitor.done('readVouching', { params: { token } })).toMatchObject({
    state: 'asked',
    candidate: 'Vouched For',
    relation: 'supervisor',
  })
  const faulty = await visitor.call('vouch', { params: { token }, body: { ...said, knownTo: '2019' } })
  expect(faulty.body.faults?.[0]?.pointer).toBe('/body/knownTo')
  expect((await visitor.done('vouch', { params: { token }, body: said })).receipt).toMatch(/^RC-/)
  expect((await visitor.call('vouch', { params: { token }, body: said })).status).toBe(410)
  expect(await visitor.done('readVouching', { params: { token } })).toMatchObject({ state: 'done', candidate: '' })

  const desk = await house.staff('coordinator')
  expect((await desk.done('readFile', { params: { id } })).vouchings).toMatchObject([{ state: 'done', answer: said }])
  const draft = await candidate.done('readDraft', { params: { id } })
  expect(draft.vouchings).toMatchObject([{ state: 'done', name: 'Pell Orven' }])
  expect(JSON.stringify(draft)).not.toContain('night rescues')
})

test('the reference with the short code does the same, and guessing is slowed', async () => {
  const candidate = await house.candidate('By Code')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'rescue-lead' } })
  const open = async () =>
    (await candidate.done('readDraft', { params: { id } })).outcomes.find(
      ({ requirement }) => requirement === 'vouched-for',
    )
  expect(await open()).toMatchObject({ state: 'unmet', reason: { code: 'too-few-vouch', asked: 0, needed: 1 } })
  const {
    reference,
    code,
    id: vouching,
  } = await candidate.done('nameVoucher', {
    params: { id },
    body: { name: 'Instructor Without Mail', mail: '', relation: 'instructor' },
  })
  expect(reference).toMatch(/^VO-/)
  const visitor = house.visitor()
  const wrong = await visitor.call('findVouching', { body: { reference, code: 'AAAAAA' } })
  expect(wrong.body.faults?.[0]?.message).toMatch(/do not match/)
  const { token } = await visitor.done('findVouching', {
    body: { reference: reference.toLowerCase().replace('-', ' '), code: ` ${code.toLowerCase()}` },
  })
  await visitor.done('vouch', { params: { token }, body: { ...said, trust: 'no' } })
  expect(await open()).toMatchObject({ state: 'unmet', reason: { done: 0 } })
  expect((await candidate.call('callOffVoucher', { params: { id, vouching } })).body.code).toBe('answered')

  const second = await candidate.done('nameVoucher', {
    params: { id },
    body: { name: 'Another One', mail: '', relation: 'colleague' },
  })
  await candidate.done('callOffVoucher', { params: { id, vouching: second.id } })
  expect(
    (await visitor.call('findVouching', { body: { reference: second.reference, code: second.code } })).status,
  ).toBe(422)
  let last = 0
  for (let attempt = 0; attempt < 11; attempt += 1)
    last = (await visitor.call('findVouching', { body: { reference, code: 'AAAAAA' } })).status
  expect(last).toBe(429)
})
