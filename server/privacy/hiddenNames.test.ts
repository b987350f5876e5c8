import { QueryTypes } from 'sequelize'
import { queues } from '#contract/desk'
import type { Endpoint } from '#contract/endpoint'
import { contract } from '#contract/index'
import { lists } from '#contract/lists'
import { mayCall, type Role } from '#contract/roles'
import { rightsOf } from '#core/rights/rights'
import { applied, type House, look, openHouse } from '../../test/house'
import { readPagesApart } from '../incoming/tray/readPagesApart'
import { Application } from '../records/applications/model'

let house: House
let person: Awaited<ReturnType<typeof namelessPerson>>
beforeAll(async () => {
  house = await openHouse('hidden_names')
  person = await namelessPerson()
}, 90_000)
afterAll(() => house.close())

const given = 'Zebulonia'
const family = 'Quixwater'
const [phoneDigits, street] = ['5556613', 'Xylophongasse']

/** Everything by which somebody could be known: parts of the name, the addresses, the day of birth in any writing. */
const telling = (mail: string) =>
  new RegExp(
    [given, family, mail, mail.split('@')[0]!, '555 ?6613', phoneDigits, street, '1971-03-09', '9 Mar(ch)? 1971'].join(
      '|',
    ),
    'i',
  )

async function namelessPerson() {
  const candidate = await house.candidate(`${given} ${family}`)
  const { id, degreeId, jobId, reference } = await applied(house, candidate, [given, family])
  const application = await Application.findByPk(id, { rejectOnEmpty: true })
  const answers = {
    ...application.answers,
    'about.born': '1971-03-09',
    'contact.phone': '+43 512 5556613',
    'contact.home': { street: `${street} 4`, town: 'Vallorne', country: 'Austria' },
    'contact.mail': candidate.mail,
  }
  await application.update({ answers })
  const desk = await house.staff('coordinator')
  const documentId = await look(desk, id, degreeId)
  await candidate.done('startConversation', {
    params: { id },
    body: {
      about: { kind: 'nothing' },
      text: `${given} ${family} here, ${candidate.mail}, 0512/${phoneDigits}, ${street}. When do you decide?`,
    },
  })
  await desk.done('raiseEnquiry', { params: { id: jobId }, body: { applicationId: id } })
  const sheet = await desk.done('readScoreSheet', { params: { id: application.vacancyId } })
  await desk.done('saveScoreSheet', {
    params: { id: application.vacancyId },
    body: { version: sheet.version, hideNames: true, reviewers: 2, criteria: [] },
  })
  await house.workOff()
  return { candidate, id, application, degreeId, jobId, documentId, reference }
}

/** Every way to fill in the path of an endpoint with what there is in this house. */
function fillings(path: string, pools: Record<string, readonly string[]>): Record<string, string>[] {
  const names = [...path.matchAll(/:(\w+)/g)].map(([, name]) => name!)
  return names.reduce<Record<string, string>[]>(
    (sofar, name) => sofar.flatMap((rest) => (pools[name] ?? pools.id!).map((value) => ({ ...rest, [name]: value }))),
    [{}],
  )
}

test.each<Role | 'candidate'>(['coordinator', 'assessor', 'hiring manager', 'administrator', 'candidate'])(
  'a hidden name, with mail, telephone, address and birth date, is in no answer to %s, whatever is asked',
  async (role) => {
    const secret = telling(person.candidate.mail)
    const asker = role === 'candidate' ? await house.candidate('Nosy Neighbour') : await house.staff(role)
    const ids = async (table: string, column = 'id') =>
      (
        await house.fixed.sequelize.query<{ id: string }>(
          `SELECT ${column} AS id FROM ${table} ORDER BY ${column} DESC LIMIT 6`,
          {
            type: QueryTypes.SELECT,
          },
        )
      ).map(({ id }) => String(id))
    const pools = {
      id: [
        person.id,
        person.degreeId,
        person.jobId,
        person.documentId,
        person.application.vacancyId,
        ...(await ids('enquiries')),
      ],
      candidateId: [person.application.candidateId],
      oneId: [person.application.candidateId],
      otherId: await ids('candidates'),
      queue: [...queues],
      list: [...lists],
      slug: ['cableway-electrical-supervisor'],
      version: ['1'],
      token: ['x'.repeat(43)],
      check: ['isolation'],
    }
    const queries: Record<string, Record<string, string>[]> = {
      find: [
        { text: given },
        { text: family },
        { text: person.candidate.mail },
        { text: '+43 512 5556613' },
        { text: person.reference },
      ],
      readTable: [{}, { order: 'name' }, { text: given }],
      readTrail: [{}, { text: given }],
      exportList: [...queues.map((queue) => ({ queue, candidate: person.application.candidateId })), { text: given }],
      findSources: [{ text: given }],
      findPlaces: [{ country: 'AT', postcode: '6800' }],
      compareRules: [{ from: '1', to: '2' }],
    }
    const leaks: string[] = []
    let answered = 0
    for (const [name, endpoint] of Object.entries(contract) as [string, Endpoint][]) {
      if (endpoint.method !== 'GET') continue
      if (!mayCall(endpoint, { roles: [role as Role], rights: rightsOf([role as Role]) })) continue
      for (const params of fillings(endpoint.path, pools))
        for (const query of queries[name] ?? [{}]) {
          const path = endpoint.path.replace(/:(\w+)/g, (_, part: string) => encodeURIComponent(params[part]!))
          const reply = await asker.request(`${path}?${new URLSearchParams(query)}`)
          if (reply.status === 200) answered += 1
          const bytes = Buffer.from(await reply.arrayBuffer())
          const text = reply.headers.get('Content-Type')?.includes('pdf')
            ? (await readPagesApart(bytes)).map(({ words }) => words).join()
            : bytes.toString()
          const found = secret.exec(text)
          if (found)
            leaks.push(
              `${name} ${path} ${JSON.stringify(query)}: …${text.slice(Math.max(0, found.index - 60), found.index + 40)}`,
            )
        }
    }
    expect(leaks).toEqual([])
    expect(answered).toBeGreaterThan(role === 'candidate' ? 3 : 15)
  },
  120_000,
)

test.each<Role>(['coordinator', 'assessor', 'hiring manager', 'administrator'])(
  'nor is it in what acts answer to %s, done or refused',
  async (role) => {
    const secret = telling(person.candidate.mail)
    const asker = await house.staff(role)
    const { vacancyId } = person.application
    const written = { subject: 'For {{name}}', text: 'Dear {{givenName}} ({{name}}), see {{link}}.' }
    const stale = { version: 99 }
    const acts: [Parameters<typeof asker.call>[0], Parameters<typeof asker.call>[1], string?][] = [
      [
        'tryRules',
        {
          params: { id: vacancyId },
          body: { rules: { form: [], requirements: [], onboarding: [] }, who: { application: person.id } },
        },
      ],
      ['previewMessages', { body: { written: { english: written, german: null }, applications: [person.id] } }],
      [
        'printCoverSheets',
        { params: { id: person.id }, body: { papers: [{ claimId: person.degreeId, part: 'certificate' }] } },
      ],
      ['verifyTrail', { body: {} }],
      ['decideClaim', { params: { id: person.degreeId }, body: { ...stale, decision: 'confirmed', note: '' } }],
      ['seeDocument', { params: { id: person.documentId }, body: { ...stale, reads: {} } }],
      ['sendDocumentBack', { params: { id: person.documentId }, body: { ...stale, reason: 'Not readable' } }],
      ['raiseEnquiry', { params: { id: person.jobId }, body: { applicationId: person.id } }],
      ['askRegister', { params: { id: person.degreeId }, body: { applicationId: person.id } }],
      ['passGate', { params: { id: person.id, gate: 'shortlist' }, body: stale }],
      ['changeStart', { params: { id: person.id }, body: { ...stale, targetStart: house.day(60), reason: 'Later' } }],
      ['allowResit', { params: { id: person.id }, body: { check: 'isolation', reason: 'Was ill' } }],
      ['saveScore', { params: { id: person.id }, body: { points: {}, note: '', handIn: false } }],
      ['turnDown', { params: { id: person.id }, body: { ...stale, reason: 'Not now' } }],
    ]
    const leaks: string[] = []
    let known = 0
    for (const [name, argument] of acts) {
      const { status, body } = await asker.call(name, { key: `${role} ${name} 1234567890`, ...argument } as never)
      const text = JSON.stringify(body)
      if (secret.test(text)) leaks.push(`${name} ${status}: ${text.slice(0, 300)}`)
      if (status !== 403 && status !== 422) known += 1
    }
    expect(leaks).toEqual([])
    expect(known).toBeGreaterThan(0)
  },
  60_000,
)

test('nothing is found by a hidden name, mail or telephone, and no order or paper tells it', async () => {
  const desk = await house.staff('coordinator')
  for (const text of [given, family, 'zebul', person.candidate.mail, '+43 512 5556613']) {
    const found = await desk.done('find', { query: { text } })
    expect([...found.people, ...found.imported]).toEqual([])
    expect((await desk.done('readTable', { query: { text } })).rows).toEqual([])
    expect((await desk.done('readTrail', { query: { text } })).events).toEqual([])
  }
  expect((await desk.done('find', { query: { text: person.reference } })).people).toHaveLength(1)
  // Whatever name one goes on behind, the row stands where its reference does.
  for (const name of ['A', 'ZEB', 'ZZ']) {
    const { rows } = await desk.done('readTable', { query: { order: 'name', after: JSON.stringify([name, '0']) } })
    expect(rows.some(({ id }) => id === person.id)).toBe(person.reference > name)
  }
  for (const role of ['coordinator', 'hiring manager', 'administrator'] as const) {
    const paper = await (await house.staff(role)).request(`/api/documents/${person.documentId}/bytes`)
    expect(paper.status).toBe(403)
  }
  await desk.done('reveal', { params: { id: person.id }, body: { subject: 'name', reason: 'They rang about it' } })
  expect((await desk.request(`/api/documents/${person.documentId}/bytes`)).status).toBe(200)
  expect((await desk.done('readFile', { params: { id: person.id } })).candidate.name).toBe(`${given} ${family}`)
})
