import { aDegree, aJob, aPaper, applied, type House, look, openHouse, personAnswers, until } from '../../test/house'
import { Snapshot } from '../records/applications/model'

let house: House
beforeAll(async () => {
  house = await openHouse('applications')
}, 60_000)
afterAll(() => house.close())

describe('an application being written', () => {
  test('says what is left, section by section, and cannot be sent before nothing is', async () => {
    const candidate = await house.candidate('Nadia Left')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
    const left = async () => (await candidate.done('readDraft', { params: { id } })).left
    expect((await left()).map(({ section }) => section)).toEqual(
      expect.arrayContaining(['about', 'contact', 'study', 'work', 'declarations', 'permission']),
    )

    const early = await candidate.call('sendApplication', { params: { id }, body: { version: 0 } })
    expect([early.status, early.body.code]).toEqual([409, 'not-complete'])

    await candidate.done('saveAnswers', {
      params: { id },
      body: { version: 0, changes: personAnswers('Nadia', 'Left') },
    })
    const degree = await candidate.done('addClaim', { body: { details: aDegree(house) } })
    expect((await left()).map(({ title, why }) => `${title}: ${why}`)).toContain(
      'Degree or diploma, with its certificate: MSc Electrical Engineering: no document yet.',
    )
    await candidate.done('uploadDocument', {
      params: { id: degree.id },
      query: { fileName: 'Degree.pdf' },
      body: await aPaper(),
    })
    await candidate.done('addClaim', { body: { details: aJob(house, { from: '2024-06-01' }) } })
    expect((await left()).find(({ section }) => section === 'work')?.why).toMatch(/days to account for/)
    await candidate.done('addClaim', {
      body: {
        details: aJob(house, {
          activity: 'care',
          sourceId: null,
          sourceName: '',
          position: 'Cared for my mother',
          from: '2018-04-01',
          to: '2024-05-31',
        }),
      },
    })
    await candidate.done('signPermission', {
      params: { id },
      body: { fullName: 'Nadia Left', password: 'a-long-enough-secret', agreed: true },
    })
    expect(await left()).toEqual([])
  })

  test('a yes asks for an explanation before it can be sent', async () => {
    const candidate = await house.candidate('Yes Sayer')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
    const { left } = await candidate.done('saveAnswers', {
      params: { id },
      body: { version: 0, changes: { 'declare.dismissed': 'yes' } },
    })
    expect(
      left.some(({ title }) => title.startsWith('Were you ever dismissed') && title.endsWith('what happened')),
    ).toBe(true)
  })

  test('an old version is refused with what stands now, and loses nothing', async () => {
    const candidate = await house.candidate('Two Tabs')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    await candidate.done('saveAnswers', {
      params: { id },
      body: { version: 0, changes: { 'about.givenNames': 'Here' } },
    })
    const late = await candidate.call('saveAnswers', {
      params: { id },
      body: { version: 0, changes: { 'about.givenNames': 'There' } },
    })
    expect(late.status).toBe(409)
    expect(late.body).toMatchObject({
      code: 'changed-meanwhile',
      version: 1,
      current: { answers: { 'about.givenNames': 'Here' } },
    })
    await candidate.done('saveAnswers', {
      params: { id },
      body: { version: 1, changes: { 'about.givenNames': 'There' } },
    })
  })

  test('bad answers are refused field by field', async () => {
    const candidate = await house.candidate('Bad Answers')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    const refused = await candidate.call('saveAnswers', {
      params: { id },
      body: { version: 0, changes: { 'contact.phone': '12', 'about.born': 'May', nonsense: 'x' } },
    })
    expect(refused.status).toBe(422)
    expect(refused.body.faults?.map(({ pointer }) => pointer)).toEqual([
      '/body/changes/contact.phone',
      '/body/changes/about.born',
      '/body/changes/nonsense',
    ])
  })

  test('the permission is signed with one’s own name', async () => {
    const candidate = await house.candidate('Anna Petrova')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    expect(
      (
        await candidate.call('signPermission', {
          params: { id },
          body: { fullName: 'Somebody Else', password: 'a-long-enough-secret', agreed: true },
        })
      ).status,
    ).toBe(422)
    await candidate.done('signPermission', {
      params: { id },
      body: { fullName: 'PETROVA Anna', password: 'a-long-enough-secret', agreed: true },
    })
  })
})

describe('sending', () => {
  test('a double click sends once, and gives the same reference', async () => {
    const candidate = await house.candidate('Double Click')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
    await candidate.done('saveAnswers', {
      params: { id },
      body: { version: 0, changes: personAnswers('Double', 'Click') },
    })
    const degree = await candidate.done('addClaim', { body: { details: aDegree(house) } })
    await candidate.done('uploadDocument', {
      params: { id: degree.id },
      query: { fileName: 'Degree.pdf' },
      body: await aPaper(),
    })
    await candidate.done('addClaim', { body: { details: aJob(house) } })
    await candidate.done('signPermission', {
      params: { id },
      body: { fullName: 'Double Click', password: 'a-long-enough-secret', agreed: true },
    })
    const send = () =>
      candidate.call('sendApplication', { params: { id }, body: { version: 1 }, key: 'one-and-the-same-key' })
    const [first, second] = await Promise.all([send(), send()])
    expect([first.status, second.status]).toEqual([200, 200])
    expect(first.body.reference).toBe(second.body.reference)
    expect(first.body.reference).toMatch(/^VM-[0-9A-Y]{4}-[0-9A-Y]{2}$/)
    const again = await candidate.call('sendApplication', { params: { id }, body: { version: 2 } })
    expect([again.status, again.body.code]).toEqual([409, 'already-sent'])
    await house.mailTo(candidate.mail, first.body.reference)
    const mails = house.mailbox.mails.filter(
      ({ to, subject }) => to === candidate.mail && subject.includes(first.body.reference),
    )
    expect(mails).toHaveLength(1)
    expect(mails[0]!.attachments.map(({ fileName }) => fileName)).toEqual([
      `Application, ${first.body.reference}.pdf`,
      `Permission to check, ${first.body.reference}.pdf`,
    ])
    const sent = await candidate.request(`/api/my/applications/${id}/application.pdf`)
    expect(Buffer.from(await sent.arrayBuffer())).toEqual(mails[0]!.attachments[0]!.bytes)
    expect(
      (await (await house.candidate('Not Mine')).request(`/api/my/applications/${id}/application.pdf`)).status,
    ).toBe(404)
  })

  test('a permission is withdrawn with its open questions, and can be given again', async () => {
    const candidate = await house.candidate('Taken Back')
    const { id, degreeId } = await applied(house, candidate, ['Taken', 'Back'])
    const desk = await house.staff('coordinator')
    await look(desk, id, degreeId)
    await desk.done('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })
    expect((await candidate.done('readStatus', { params: { id } })).permission).toMatchObject({ asked: 1 })
    expect(await candidate.done('withdrawPermission', { params: { id } })).toEqual({ calledOff: 1 })
    const status = await candidate.done('readStatus', { params: { id } })
    expect(status.permission).toBeNull()
    expect(status.toDo).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ act: 'go', target: 'permission', title: 'Permission to check' }),
      ]),
    )
    const again = await desk.call('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })
    // It waits for the permission, and goes once that is there.
    expect(again.body.state).toBe('prepared')
    expect((await candidate.call('withdrawPermission', { params: { id } })).status).toBe(409)
    await candidate.done('signPermission', {
      params: { id },
      body: { fullName: 'Taken Back', password: 'a-long-enough-secret', agreed: true },
    })
    await until(async () => (await candidate.done('readStatus', { params: { id } })).permission?.asked === 1)
  })

  test('what was sent is kept unchanged, whatever is corrected later', async () => {
    const candidate = await house.candidate('Ilse Vandermeer')
    const { id, jobId } = await applied(house, candidate)
    const before = await Snapshot.findByPk(id, { rejectOnEmpty: true })
    const draft = await candidate.done('readDraft', { params: { id } })
    const job = draft.claims.find((claim) => claim.id === jobId)!
    await candidate.done('changeClaim', {
      params: { id: jobId },
      body: { version: job.version, details: { ...job.details, position: 'Chief engineer' } },
    })
    const after = await Snapshot.findByPk(id, { rejectOnEmpty: true })
    expect(after.sha256).toBe(before.sha256)
    expect(JSON.stringify(after.content)).not.toContain('Chief engineer')
    expect(
      (
        await candidate.call('saveAnswers', {
          params: { id },
          body: { version: 2, changes: { 'about.givenNames': 'Else' } },
        })
      ).body.code,
    ).toBe('already-sent')
  })
})

test('contact details corrected after sending are named in the language of whoever reads of it', async () => {
  const candidate = await house.candidate('Cora Corrected')
  const { id } = await applied(house, candidate, ['Cora', 'Corrected'])
  const { version } = await candidate.done('readDraft', { params: { id } })
  const changes = { 'contact.phone': '+43 664 555 0101' }
  await candidate.done('saveAnswers', { params: { id }, body: { version, changes } })
  const desk = await house.staff('coordinator')
  const told = async (language: string) => {
    const reply = await desk.request(`/api/desk/applications/${id}`, { headers: { 'Accept-Language': language } })
    return ((await reply.json()) as { trail: { what: string }[] }).trail[0]?.what
  }
  expect(await told('en')).toBe('Corrected contact details: Phone')
  expect(await told('de')).toBe('Hat Kontaktangaben berichtigt: Telefon')
})

describe('vacancies', () => {
  test('are found by words, and facets count what the other filters leave', async () => {
    const visitor = house.visitor()
    const all = await visitor.done('listVacancies')
    expect(all.vacancies).toHaveLength(10)
    const narrowed = await visitor.done('listVacancies', { query: { family: 'Operations' } })
    expect(narrowed.vacancies.map(({ slug }) => slug).sort()).toEqual([
      'control-room-dispatcher',
      'lift-attendant',
      'rack-railway-driver',
      'station-lead-hochsattel',
      'station-lead-oberfeld',
    ])
    expect(narrowed.facets.family.reduce((sum, { count }) => sum + count, 0)).toBe(10)
    expect(narrowed.facets.contract).toEqual([
      { value: 'Permanent', count: 4 },
      { value: 'Seasonal, December to April', count: 1 },
    ])
    expect(
      (await visitor.done('listVacancies', { query: { text: 'grips rope' } })).vacancies.map(({ slug }) => slug),
    ).toEqual(['rope-access-inspector'])
  })

  test('institutions are found by any name, in any spelling', async () => {
    const candidate = await house.candidate('Name Finder')
    const names = async (text: string) =>
      (await candidate.done('findSources', { query: { text, kind: 'university,school' } })).map(({ name }) => name)
    expect(await names('universite arlac')).toEqual(['Université d’Arlac'])
    expect((await names('Arvelle Polytechnic'))[0]).toBe('Institut polytechnique d’Arvelle')
    expect((await names('Arvele Politechnic'))[0]).toBe('Institut polytechnique d’Arvelle')
    expect(await names('zarowa')).toEqual(['Zespół Szkół Technicznych Zarowa'])
  })
})
