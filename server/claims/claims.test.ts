import { aDegree, aPaper, aPermit, applied, type House, openHouse } from '../../test/house'
import { Account } from '../records/accounts/model'

let house: House
beforeAll(async () => {
  house = await openHouse('claims')
}, 60_000)
afterAll(() => house.close())

describe('papers of a study', () => {
  test('a language that is not read asks for a translation, which stands beside its original', async () => {
    const candidate = await house.candidate('Claire Traduite')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    const left = async () =>
      (await candidate.done('readDraft', { params: { id } })).left.find(({ title }) => title === 'MSc Génie')?.why
    const study = await candidate.done('addClaim', {
      body: { details: aDegree(house, { subject: 'Génie', language: 'fr', outcome: 'finished' }) },
    })
    const upload = (query: Record<string, string>, line: string) =>
      aPaper(line).then((body) => candidate.done('uploadDocument', { params: { id: study.id }, query, body }))
    const original = await upload({ fileName: 'Diplome.pdf', part: 'certificate' }, 'Diplôme')
    expect(await left()).toBe('Its language is not read here: add a translation beside it.')
    const foreign = await candidate.call('uploadDocument', {
      params: { id: study.id },
      query: { fileName: 'X.pdf', part: 'translation', translationOf: study.id },
      body: await aPaper('nothing'),
    })
    expect(foreign.status).toBeGreaterThanOrEqual(400)
    const translation = await upload(
      { fileName: 'Diploma.pdf', part: 'translation', translationOf: original.id },
      'Diploma, translated',
    )
    expect(translation).toMatchObject({ part: 'translation', translationOf: original.id })
    expect(await left()).toBeUndefined()
  })

  test('a transcript asks for the letter of award; a link stands instead of papers while it is in progress', async () => {
    const candidate = await house.candidate('Half Done')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
    const why = async () =>
      (await candidate.done('readDraft', { params: { id } })).left.find(({ title }) => title.startsWith('MSc'))?.why
    const study = await candidate.done('addClaim', { body: { details: aDegree(house, { language: 'de' }) } })
    await candidate.done('uploadDocument', {
      params: { id: study.id },
      query: { fileName: 'Transcript.pdf', part: 'transcript' },
      body: await aPaper('Transcript'),
    })
    expect(await why()).toMatch(/Still missing: letter of award|Still missing: certificate/)
    await candidate.done('changeClaim', {
      params: { id: study.id },
      body: {
        version: study.version,
        details: aDegree(house, {
          outcome: 'in progress',
          to: 'present',
          expected: '2027-06',
          link: 'https://tannberg.example/msc',
        }),
      },
    })
    expect(await why()).toBeUndefined()
    const bad = await candidate.call('addClaim', { body: { details: aDegree(house, { link: 'javascript:alert(1)' }) } })
    expect(bad.body.faults?.map(({ pointer }) => pointer)).toContain('/body/details/link')
  })

  test('programmes known at an institution are offered, in the country asked', async () => {
    const candidate = await house.candidate('Programme Finder')
    const [found] = await candidate.done('findSources', { query: { text: 'tannberg', kind: 'university,school' } })
    expect(found!.programmes).toContainEqual(
      expect.objectContaining({
        award: 'MSc',
        title: 'Electrical Engineering',
        level: 7,
        field: '0713',
        language: 'de',
      }),
    )
    expect(
      await candidate.done('findSources', { query: { text: 'tannberg', kind: 'university', country: 'FR' } }),
    ).toEqual([])
  })
})

describe('licences and certificates', () => {
  test('a number its issuer could not have given is refused with an example', async () => {
    const candidate = await house.candidate('Wrong Number')
    const add = (number: string, over: object = {}) =>
      candidate.call('addClaim', {
        body: { details: { ...aPermit(house, 'hv-switching', 'grid', number, house.day(400)), ...over } },
      })
    expect((await add('77120')).body.faults).toEqual([
      { pointer: '/body/details/number', message: 'Numbers of this kind look like GSB-2-57733. Please check it.' },
    ])
    // An issuer that is not in the directory may number as it likes.
    expect((await add('77120', { sourceId: null, sourceName: 'Somewhere Board' })).status).toBe(200)
    expect((await add('GSB-2-77120')).status).toBe(200)
  })

  test('the same kind, issuer and number again leads to the one there is', async () => {
    const candidate = await house.candidate('Twice Given')
    const details = aPermit(house, 'hv-switching', 'grid', 'GSB-2-77120', house.day(400))
    const first = await candidate.done('addClaim', { body: { details } })
    const again = await candidate.call('addClaim', {
      body: { details: { ...details, number: 'gsb 2 77120' } as never },
    })
    expect(again.status).toBe(422)
    const same = await candidate.call('addClaim', { body: { details } })
    expect([same.status, same.body.code, same.body.claimId]).toEqual([409, 'already-given', first.id])
  })

  test('a kind given for a region asks for it', async () => {
    const candidate = await house.candidate('Some Where')
    const add = (region?: string) =>
      candidate.call('addClaim', {
        body: {
          details: { ...aPermit(house, 'blasting', 'rail', 'B-1', house.day(400)), ...(region ? { region } : {}) },
        },
      })
    expect((await add()).body.faults?.[0]?.pointer).toBe('/body/details/region')
    expect((await add('Elsewhere')).status).toBe(422)
    expect((await add('Vallorne')).status).toBe(200)
  })
})

test('homes are a history of their own', async () => {
  const candidate = await house.candidate('Moved Often')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'rescue-lead' } })
  const homes = async () =>
    (await candidate.done('readDraft', { params: { id } })).outcomes.find(({ requirement }) => requirement === 'homes')
  expect(await homes()).toMatchObject({ state: 'unmet', reason: { code: 'gaps' } })
  const home = {
    kind: 'residence' as const,
    sourceId: null,
    sourceName: '',
    address: 'Seilweg 3, Vallorne',
    country: 'AT',
  }
  await candidate.done('addClaim', { body: { details: { ...home, from: '2020-01', to: 'present' } } })
  expect(await homes()).toMatchObject({ state: 'met' })
  const draft = await candidate.done('readDraft', { params: { id } })
  expect(draft.outcomes.find(({ requirement }) => requirement === 'history')).toMatchObject({ state: 'unmet' })
  const backwards = await candidate.call('addClaim', { body: { details: { ...home, from: '2020-05', to: '2019-01' } } })
  expect(backwards.body.faults?.[0]?.pointer).toBe('/body/details/to')
})

test('a candidate is spoken to in German, and the desk still in English', async () => {
  const candidate = await house.candidate('Jutta Deutsch')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'track-engineer' } })
  const inGerman = async (path: string) =>
    (await (await candidate.request(path, { headers: { 'Accept-Language': 'de-AT,de;q=0.9' } })).json()) as {
      ball?: string
      title?: string
      happenings?: { text: string }[]
    }
  const status = await inGerman(`/api/my/applications/${id}/status`)
  expect(status.ball).toBe('Bei Ihnen: Die Bewerbung ist noch nicht abgeschickt.')
  expect(status.happenings?.map(({ text }) => text)).toContain('Sie haben Ihre Bewerbung begonnen.')
  expect((await inGerman(`/api/my/applications/${crypto.randomUUID()}/status`)).title).toBe(
    'Hier ist nichts, oder es ist nicht für Sie bestimmt.',
  )
  expect((await candidate.done('readStatus', { params: { id } })).ball).toMatch(/^With you/)
})

test('mails to a candidate are in the language they last signed in with', async () => {
  const candidate = await house.candidate('Jutta Post')
  const { id } = await applied(house, candidate, ['Jutta', 'Post'])
  await Account.update({ language: 'de' }, { where: { mail: candidate.mail } })
  const desk = await house.staff('coordinator')
  await desk.done('reopenPart', {
    params: { id },
    body: { section: 'about', question: 'about.born', reason: 'Bitte noch einmal.', dueOn: '2031-05-09' },
  })
  const mail = await house.mailTo(candidate.mail, 'Bitte ändern Sie etwas in Ihrer Bewerbung VM-')
  expect(mail.text).toContain('Guten Tag, Jutta Post!')
  expect(mail.text).toContain('Zu „Geburtsdatum“ in Ihrer Bewerbung als')
  expect(mail.text).toContain('Bitte noch einmal.')
  expect(mail.text).toContain('Bitte bis 9. Mai 2031. Alles andere bleibt, wie Sie es abgeschickt haben.')
})

test('claims stand in the order their candidate puts them in, new ones behind; nobody orders those of others', async () => {
  const candidate = await house.candidate('Otto Order')
  const add = async (award: string) =>
    (await candidate.done('addClaim', { body: { details: aDegree(house, { award, number: `TB-${award}` }) } })).id
  const [first, second, third] = [await add('One'), await add('Two'), await add('Three')]
  await candidate.done('orderClaims', { body: { claims: [third, first, second] } })
  const fourth = await add('Four')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  const { claims } = await candidate.done('readDraft', { params: { id } })
  expect(claims.map((claim) => claim.id)).toEqual([third, first, second, fourth])
  const stranger = await house.candidate('Stella Stranger')
  expect((await stranger.call('orderClaims', { body: { claims: [first] } })).status).toBe(404)
})
