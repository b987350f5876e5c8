import type { DeskVacancy } from '#contract/vacancySetUp'
import type { Requirement } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import type { Visitor } from '../../../test/client'
import { applied, type House, openHouse } from '../../../test/house'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('rules')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const vacancyId = async (slug: string) =>
  (await desk.done('deskVacancies')).find((vacancy) => vacancy.slug === slug)!.id
const read = (id: string): Promise<DeskVacancy> => desk.done('readDeskVacancy', { params: { id } })
const save = async (id: string, change: (rules: Rules) => Rules) => {
  const { draft } = await read(id)
  return desk.done('saveRulesDraft', { params: { id }, body: { version: draft.version, rules: change(draft.rules) } })
}
const publish = async (id: string, note = '') =>
  desk.done('publishRules', { params: { id }, body: { version: (await read(id)).draft.version, note } })

const reference: Requirement = {
  key: 'references',
  title: 'Two references',
  why: 'Two employers speak for you.',
  gate: 'shortlist',
  asks: { kind: 'reference', count: 2 },
  rung: 'claimed',
  waivableBy: ['coordinator'],
}
const withReference = (rules: Rules): Rules => ({ ...rules, requirements: [...rules.requirements, reference] })

const untilDone = async (id: string) => {
  for (let attempt = 0; attempt < 200; attempt += 1) {
    const run = await desk.done('readDryRun', { params: { id } })
    if (run.state === 'done' || run.state === 'failed') return run
    await new Promise((done) => setTimeout(done, 50))
  }
  throw new Error('the dry run did not end')
}

describe('setting a vacancy up', () => {
  test('a draft is nobody’s outside, lacks things, and opens when it lacks nothing', async () => {
    const { id } = await desk.done('createVacancy', { body: { title: 'Piste-basher driver', start: 'seasonal' } })
    const draft = await read(id)
    expect(draft.slug).toBe('piste-basher-driver')
    expect((await house.visitor().call('readVacancy', { params: { slug: draft.slug } })).status).toBe(404)
    expect((await desk.call('readVacancy', { params: { slug: draft.slug } })).body.state).toBe('draft')
    expect(
      (await desk.done('createVacancy', { body: { title: 'Piste-basher driver', start: 'seasonal' } })).id,
    ).not.toBe(id)
    const early = await desk.call('setVacancyState', {
      params: { id },
      body: { version: draft.version, state: 'open' },
    })
    expect([early.status, early.body.code]).toEqual([409, 'not-ready'])
    expect(early.body.lacks).toEqual(expect.arrayContaining(['a summary', 'a published form with its requirements']))

    const { version } = await desk.done('saveVacancy', {
      params: { id },
      body: {
        version: draft.version,
        changes: {
          summary: 'Groom at night.',
          family: 'Operations',
          place: 'Hochsattel',
          contract: 'Season',
          hours: 'Nights',
          decidedBy: 'bastian@vallorne.example',
          payFrom: 4_000_000,
          payTo: 4_400_000,
          duties: {
            type: 'doc',
            content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Groom <slopes>.' }] }],
          },
          opensAt: `${house.day(-1)}T07:00:00.000Z`,
        },
      },
    })
    expect(version).toBe(1)
    await save(id, (rules) => ({
      ...rules,
      requirements: [{ ...reference, key: 'offer', gate: 'start', asks: { kind: 'offer accepted' } }],
    }))
    await publish(id)
    await desk.done('setVacancyState', { params: { id }, body: { version: 2, state: 'open' } })
    const page = await (
      await house.visitor().request(`/vacancies/${draft.slug}`, { headers: { Accept: 'text/html' } })
    ).text()
    const posting = JSON.parse(/<script type="application\/ld\+json">(.*?)<\/script>/.exec(page)![1]!)
    expect(posting).toMatchObject({
      '@type': 'JobPosting',
      title: 'Piste-basher driver',
      employmentType: 'TEMPORARY',
      description: '<p>Groom at night.</p><p>Groom &lt;slopes&gt;.</p>',
      baseSalary: { value: { minValue: 40_000, maxValue: 44_000 } },
    })
    const back = await desk.call('setVacancyState', { params: { id }, body: { version: 3, state: 'draft' } })
    expect([back.status, back.body.code]).toEqual([409, 'was-public'])
    await desk.done('setVacancyState', { params: { id }, body: { version: 3, state: 'closed' } })
    const candidate = await house.candidate('Late Comer')
    expect((await candidate.call('beginApplication', { params: { slug: draft.slug } })).body.code).toBe('closed')
  })

  test('what makes no sense is refused at its field, and an old version loses nothing', async () => {
    const id = await vacancyId('track-engineer')
    const { version } = await read(id)
    const change = (changes: object, at = version) =>
      desk.call('saveVacancy', { params: { id }, body: { version: at, changes } })
    const refused = await change({
      payFrom: 9_000_000,
      payTo: 8_000_000,
      timeZone: 'Mars/Olympus',
      duties: { type: 'doc', content: [{ type: 'script' }] },
    })
    expect(refused.body.faults?.map(({ pointer }) => pointer)).toEqual([
      '/body/changes/duties',
      '/body/changes/payTo',
      '/body/changes/timeZone',
    ])
    expect((await change({ place: 'Elsewhere' }, version + 7)).body).toMatchObject({
      code: 'changed-meanwhile',
      current: { fields: { place: 'Oberfeld' } },
    })
  })

  test('a copy says and asks the same, and is its own', async () => {
    const from = await vacancyId('rescue-lead')
    const { id } = await desk.done('createVacancy', { body: { title: 'Rescue deputy', copyOf: from } })
    const [copy, original] = [await read(id), await read(from)]
    expect(copy.draft.rules).toEqual(original.draft.rules)
    expect([copy.state, copy.rulesVersion, copy.summary]).toEqual(['draft', 0, original.summary])
    await save(id, withReference)
    expect((await read(from)).draft.rules).toEqual(original.draft.rules)
  })
})

describe('rules being edited', () => {
  test('are saved with their faults, and not published with them', async () => {
    const id = await vacancyId('rope-access-inspector')
    const saved = await save(id, (rules) => ({
      ...rules,
      requirements: [
        ...rules.requirements,
        {
          ...reference,
          when: {
            all: [
              { fact: 'declare.heights', is: 'yes' },
              { fact: 'declare.heights', is: 'no' },
            ],
          },
        },
      ],
    }))
    expect(saved.faults.map(({ code, pointer }) => [code, pointer.replace(/\d+/, 'N')])).toEqual([
      ['never-holds', '/requirements/N/when'],
    ])
    const refused = await desk.call('publishRules', { params: { id }, body: { version: saved.version, note: '' } })
    expect([refused.status, refused.body.code]).toEqual([409, 'faulty-rules'])
    await desk.done('dropRulesDraft', { params: { id } })
    expect((await read(id)).draft.changed).toBe(false)
    const nothing = await desk.call('publishRules', { params: { id }, body: { version: 0, note: '' } })
    expect(nothing.body.code).toBe('nothing-changed')
  })

  test('two people editing at once lose nothing', async () => {
    const id = await vacancyId('rope-access-inspector')
    const { draft } = await read(id)
    await save(id, withReference)
    const other = await house.staff('administrator')
    const late = await other.call('saveRulesDraft', {
      params: { id },
      body: { version: draft.version, rules: draft.rules },
    })
    expect(late.status).toBe(409)
    expect((late.body.current as { rules: Rules }).rules.requirements.at(-1)!.key).toBe('references')
    await desk.done('dropRulesDraft', { params: { id } })
  })

  test('a file goes out and in again; a broken one says where and changes nothing', async () => {
    const id = await vacancyId('control-room-dispatcher')
    const { draft } = await read(id)
    const { rules } = await desk.done('readRulesVersion', { params: { id, version: '1' } })
    const file = { format: 'probatum-rules', formatVersion: 1, rules: withReference(rules) }
    const take = (text: string) => desk.call('importRules', { params: { id }, body: { version: draft.version, text } })
    const faults = async (content: unknown) =>
      (await take(JSON.stringify(content))).body.faults?.map(({ pointer, message }) => `${pointer} ${message}`)

    expect((await take('{ "format": ')).body.faults![0]!.message).toMatch(/^This is not JSON/)
    expect(await faults({ ...file, format: 'something-else' })).toEqual([expect.stringMatching(/^\/format /)])
    const [first] = file.rules.form
    expect(
      await faults({
        ...file,
        rules: { ...file.rules, form: [{ ...first, holds: 'secrets' }, ...file.rules.form.slice(1)] },
      }),
    ).toEqual([expect.stringMatching(/^\/rules\/form\/0\/holds This is none of: questions, study/)])
    expect(
      await faults({
        ...file,
        rules: { ...file.rules, requirements: [{ ...reference, asks: { kind: 'skills check', check: 'singing' } }] },
      }),
    ).toEqual(['/rules/requirements/0/asks There is no skills check “singing”.'])
    expect((await read(id)).draft.changed).toBe(false)

    expect((await take(JSON.stringify(file))).status).toBe(200)
    const { differences } = await desk.done('compareRules', { params: { id }, query: { from: '1', to: 'draft' } })
    expect(differences).toEqual([
      {
        of: 'requirement',
        key: 'references',
        title: 'Two references',
        after:
          'References from 2 employers, before the shortlist. Two employers speak for you. May be waived by: coordinator.',
      },
    ])
    const schema = (await (await house.visitor().request('/api/schemas/rules.json')).json()) as { $id: string }
    expect(schema.$id).toContain('rules-1.json')
  })

  test('are tried with somebody made up and with somebody real', async () => {
    const id = await vacancyId('rescue-lead')
    const { draft } = await read(id)
    const tried = async (answers: Record<string, string>) => {
      const { outcomes } = await desk.done('tryRules', {
        params: { id },
        body: {
          rules: draft.rules,
          who: { madeUp: { answers, credentials: [], checksPassed: [], permissionSigned: false } },
        },
      })
      return outcomes.find(({ title }) => title === 'Avalanche blasting permit')!
    }
    expect(await tried({})).toMatchObject({ state: 'undecided', deciding: ['Would you lead in winter?'] })
    expect((await tried({ 'rescue.winter': 'no' })).state).toBe('not needed')
    expect(await tried({ 'rescue.winter': 'yes' })).toMatchObject({ state: 'unmet', ball: 'Candidate: answer' })

    const candidate = await house.candidate('Ilse Vandermeer')
    const application = await applied(house, candidate)
    const electrical = await vacancyId('cableway-electrical-supervisor')
    const { rules } = (await read(electrical)).draft
    const real = await desk.done('tryRules', {
      params: { id: electrical },
      body: { rules, who: { application: application.id } },
    })
    expect(real.name).toBe('Ilse Vandermeer')
    expect(real.outcomes.find(({ title }) => title === 'Degree or diploma, with its certificate')!.state).toBe('met')
    const elsewhere = await desk.call('tryRules', {
      params: { id },
      body: { rules, who: { application: application.id } },
    })
    expect(elsewhere.status).toBe(404)
  })
})

test('a change is run dry in a thread, published, and reaches those who have sent only when they are moved, who are told', async () => {
  const id = await vacancyId('cableway-electrical-supervisor')
  const candidate = await house.candidate('Moved Person')
  const application = await applied(house, candidate, ['Moved', 'Person'])
  const writer = await house.candidate('Wanda Writer')
  const { id: writing } = await writer.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  await save(id, (rules) => ({
    ...withReference(rules),
    requirements: [...rules.requirements.filter(({ key }) => key !== 'experience'), reference],
  }))

  const { id: dryRun } = await desk.done('startDryRun', { params: { id } })
  const run = await untilDone(dryRun)
  expect(run).toMatchObject({ state: 'done', outdated: false })
  expect(run.done).toBe(run.total)
  expect(run.affected).toBe(run.total)
  expect(run.counts).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ requirement: 'references', gains: run.total, loses: 0 }),
      // The one who is still writing loses it; those who have sent have met it.
      expect.objectContaining({ requirement: 'experience', gains: 0, loses: 1 }),
    ]),
  )
  const people = async (query: Record<string, string>) =>
    (await desk.done('readDryRun', { params: { id: dryRun }, query })).people.map(({ candidate: name }) => name)
  expect(await people({ requirement: 'experience', effect: 'loses' })).toEqual(['Somebody still writing'])
  expect(await people({ text: application.reference })).toEqual(['Moved Person'])
  expect(await people({ requirement: 'references', gate: 'offer' })).toEqual([])

  const { rulesVersion } = await publish(id, 'References instead of years')
  expect(rulesVersion).toBe(2)
  const keys = async (who: Visitor, which: string) =>
    (await who.done('readDraft', { params: { id: which } })).requirements.map(({ key }) => key)
  expect(await keys(writer, writing)).toContain('references')
  expect(await keys(candidate, application.id)).not.toContain('references')
  expect((await read(id)).versions.map(({ version, note }) => [version, note])).toEqual([
    [2, 'References instead of years'],
    [1, ''],
  ])

  const move = { applications: [application.id], reason: 'The authority asks for references now.' }
  expect(await desk.done('moveApplications', { params: { id }, body: move })).toEqual({ moved: 1 })
  expect(await desk.done('moveApplications', { params: { id }, body: move })).toEqual({ moved: 0 })
  expect(await keys(candidate, application.id)).toContain('references')
  const mail = await house.mailTo(candidate.mail, 'has changed')
  expect(mail.text).toContain('The authority asks for references now.')
  expect(mail.text).toContain('Also asked: References from 2 employers')
  expect(mail.text).toContain('No longer asked: 3 years in electrical')
  const { happenings } = await candidate.done('readStatus', { params: { id: application.id } })
  expect(happenings[0]!.text).toBe('What we ask of you has changed: The authority asks for references now.')
})

describe('the common library', () => {
  test('a section is improved in versions and given to drafts, and publishes nothing', async () => {
    const id = await vacancyId('cableway-mechanic')
    const about = (await read(id)).draft.rules.form[0]!
    const share = (basedOn: number, title: string) =>
      desk.call('saveSharedSection', {
        params: { key: 'about' },
        body: { basedOn, section: { ...about, title }, note: 'clearer' },
      })
    expect((await share(0, 'About you')).body.version).toBe(1)
    expect((await share(0, 'About you')).status).toBe(409)
    expect((await share(1, 'Who you are')).body.version).toBe(2)
    const library = await desk.done('sharedSections')
    const mine = library.find(({ key }) => key === 'about')!
    expect(mine.usedBy.filter((use) => use.id === id)).toEqual([
      { id, title: 'Cableway mechanic', version: 1, where: 'published' },
    ])
    expect(await desk.done('spreadSharedSection', { params: { key: 'about' }, body: { vacancies: [id] } })).toEqual({
      changed: 1,
    })
    const after = await read(id)
    expect([after.draft.rules.form[0]!.title, after.draft.changed, after.rulesVersion]).toEqual([
      'Who you are',
      true,
      1,
    ])
    expect(await desk.done('spreadSharedSection', { params: { key: 'about' }, body: { vacancies: [id] } })).toEqual({
      changed: 0,
    })
  })
})

test('of two who improve a shared section at once one is told', async () => {
  const about = (await read(await vacancyId('cableway-mechanic'))).draft.rules.form[0]!
  const share = (title: string) =>
    desk.call('saveSharedSection', {
      params: { key: 'at-once' },
      body: { basedOn: 0, section: { ...about, key: 'at-once', title }, note: '' },
    })
  const shared = await Promise.all(['One', 'Two', 'Three'].map(share))
  expect(shared.map(({ status }) => status).sort()).toEqual([200, 409, 409])
  expect((await desk.done('sharedSections')).filter(({ key }) => key === 'at-once')).toMatchObject([{ version: 1 }])
})

describe('a group of vacancies', () => {
  test('whoever applies ranks its posts; who has sent before is not asked', async () => {
    const [first, second] = [await vacancyId('station-lead-oberfeld'), await vacancyId('station-lead-hochsattel')]
    const group = await desk.done('saveVacancyGroup', {
      body: { version: 0, title: 'Stations', rankUpTo: 2, vacancies: [first, second] },
    })
    const candidate = await house.candidate('Rank Er')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'station-lead-oberfeld' } })
    const draft = await candidate.done('readDraft', { params: { id } })
    const question = draft.form.find(({ key }) => key === 'ranking')!.questions[0]!
    expect(question.options).toEqual(['Station lead, Hochsattel', 'Station lead, Oberfeld'])
    const rank = (posts: string[], version: number) =>
      candidate.call('saveAnswers', { params: { id }, body: { version, changes: { 'ranking.posts': posts } } })
    expect((await rank(['Station lead, Nowhere'], 0)).body.faults![0]!.message).toBe('Choose one of those shown.')
    const ranked = await rank(['Station lead, Oberfeld', 'Station lead, Hochsattel'], 0)
    expect(ranked.body.left.some(({ title }) => title === 'Posts in your order')).toBe(false)
    const twice = await desk.call('saveVacancyGroup', {
      body: { version: 0, title: 'Another', rankUpTo: 1, vacancies: [first] },
    })
    expect(twice.body.faults![0]!.message).toContain('belongs to another group')
    const stale = await desk.call('saveVacancyGroup', {
      body: { id: group.id, version: 0, title: 'Stations', rankUpTo: 1, vacancies: [] },
    })
    expect(stale.status).toBe(409)
  })
})

describe('kinds of answers', () => {
  test('conditions, honest blanks, documents and fees decide what is left', async () => {
    const candidate = await house.candidate('Kinds Person')
    const { id } = await candidate.done('beginApplication', { params: { slug: 'rescue-lead' } })
    const left = async () =>
      (await candidate.done('readDraft', { params: { id } })).left
        .filter(({ section }) => section === 'rescue')
        .map(({ title }) => title)
    expect(await left()).toEqual([
      'How many minutes from your door to the valley station?',
      'Would you lead in winter?',
    ])
    await candidate.done('saveAnswers', {
      params: { id },
      body: {
        version: 0,
        changes: { 'rescue.minutes': { blank: 'unknown', because: 'I would move here.' }, 'rescue.winter': 'yes' },
      },
    })
    expect(await left()).toEqual(['How many winters have you led in the open?'])
    await candidate.done('saveAnswers', {
      params: { id },
      body: { version: 1, changes: { 'rescue.winter': 'no', 'rescue.seasons': '3' } },
    })
    expect(await left()).toEqual([])
    const { answers } = await candidate.done('readDraft', { params: { id } })
    expect(answers['rescue.seasons']).toBe('3')
    const paper = await candidate.done('addClaim', {
      body: {
        details: {
          kind: 'paper',
          sourceId: null,
          sourceName: '',
          question: 'rescue.dog',
          title: 'Papers of your rescue dog',
        },
      },
    })
    expect(paper.label).toBe('Papers of your rescue dog')
  })

  test('a postcode finds its town, and a silent directory none', async () => {
    const candidate = await house.candidate('Post Code')
    const find = (postcode: string) => candidate.done('findPlaces', { query: { country: 'Austria', postcode } })
    expect(await find('6800')).toEqual([{ town: 'Vallorne', region: 'Oberland' }])
    expect(await find('9999')).toEqual([])
  })
})
