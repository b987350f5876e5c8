import type { Catalogue, CredentialKind } from '#core/catalogue/catalogue'
import { Job } from '#server/platform/jobs/model'
import type { Visitor } from '../../test/client'
import { aPaper, aPermit, applied, type House, openHouse } from '../../test/house'
import { textOf } from '../../test/pdfText'

let house: House
let admin: Awaited<ReturnType<House['staff']>>
beforeAll(async () => {
  house = await openHouse('catalogue')
  admin = await house.staff('administrator')
})
afterAll(() => house.close())

const read = () => house.visitor().done('readCatalogue')

/** Saves the catalogue as it is with something changed. */
async function change(edit: (catalogue: Catalogue) => Partial<Catalogue>) {
  const { version, catalogue } = await read()
  return admin.call('saveCatalogue', { body: { version, catalogue: { ...catalogue, ...edit(catalogue) } } })
}
const licence: CredentialKind = {
  ...{ key: 'drone-flying', name: 'Drone pilot licence', claim: 'licence', leadDays: 40, papers: 'the licence' },
  validity: { kind: 'months', months: 24, toEndOfMonth: false },
  number: { pattern: 'UAS-####', example: 'UAS-0815' },
  ...{ bothSides: false, sensitivity: 'usual' },
  fields: [{ key: 'weight', label: 'Heaviest it may be', kind: 'number', unit: 'kg', required: true }],
}

describe('the catalogue', () => {
  it('is read by anybody, and changed by those who keep it', async () => {
    expect((await read()).catalogue.credentials.some(({ key }) => key === 'hv-switching')).toBe(true)
    const { version, catalogue } = await read()
    const coordinator = await house.staff('coordinator')
    expect((await coordinator.call('saveCatalogue', { body: { version, catalogue } })).status).toBe(403)
    expect((await coordinator.call('readCatalogueVersions')).status).toBe(403)
  })

  it('is changed by one of two who change it at the same moment', async () => {
    const { version, catalogue } = await read()
    const documents = (name: string) => [{ ...catalogue.documents[0]!, name }, ...catalogue.documents.slice(1)]
    const both = await Promise.all(
      ['One', 'Other'].map((name) =>
        admin.call('saveCatalogue', {
          body: { version, catalogue: { ...catalogue, documents: documents(name) } },
        }),
      ),
    )
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect((await read()).version).toBe(version + 1)
  })

  it('tells whoever adds to an older one so, and not that they leave out what somebody else has added', async () => {
    const { version, catalogue } = await read()
    const adding = (key: string) => ({
      body: { version, catalogue: { ...catalogue, languages: [...catalogue.languages, { key, name: key }] } },
    })
    expect((await admin.call('saveCatalogue', adding('sv'))).status).toBe(200)
    const late = await admin.call('saveCatalogue', adding('fi'))
    expect([late.status, late.body.code]).toEqual([409, 'changed-meanwhile'])
  })

  it('says of each thing what cannot hold, and stays as it was', async () => {
    const before = await read()
    const answer = await change(({ credentials }) => ({
      credentials: [{ ...credentials[0]!, number: { pattern: '[', example: 'x' } }, ...credentials.slice(2)],
    }))
    expect([answer.status, answer.body.faults?.map(({ pointer }) => pointer)]).toEqual([
      422,
      ['/body/catalogue/credentials', '/body/catalogue/credentials/0/number/pattern'],
    ])
    expect(answer.body.faults![0]!.message).toContain('cannot be removed')
    expect(await read()).toEqual(before)
  })

  it.each([
    ['a field of ISCED-F that is none', { fields: [{ key: '71', name: 'Engineering' }] }],
    ['a level beyond ISCED 2011', { levels: [{ key: '9', name: 'More' }] }],
    ['what nobody knows', { planets: [] }],
    ['a kind without end in months', { credentials: [{ ...licence, validity: { kind: 'months', months: 0 } }] }],
    [
      'a per cent above a hundred',
      {
        scales: [
          {
            key: 'x',
            name: 'X',
            scale: { kind: 'letters', letters: [{ letter: 'A', percent: 101, passes: true }], classes: [] },
          },
        ],
      },
    ],
  ])('takes no %s', async (_, part) => {
    expect((await change(() => part as never)).status).toBe(422)
  })

  it('takes what a kind says from then on: in claims and renewals, and in the trail', async () => {
    const added = await change(({ credentials }) => ({ credentials: [...credentials, licence] }))
    expect(added.body.faults ?? []).toEqual([])

    const candidate = await house.candidate('Dora Drone')
    const details = {
      ...aPermit(house, 'drone-flying', 'rail', 'UAS-0001', '2027-01-09'),
      fields: { weight: '24.5' },
    } as never
    const wrong = async (over: object) =>
      (
        await candidate.call('addClaim', { body: { details: { ...(details as object), ...over } as never } })
      ).body.faults?.map(({ pointer, message }) => [pointer.replace('/body/details/', ''), message])
    // Issued 10 January 2025 for 24 months.
    expect(await wrong({ through: '2027-01-10' })).toEqual([
      ['through', expect.stringContaining('through 9 Jan 2027 at the latest')],
    ])
    expect(await wrong({ fields: {} })).toEqual([['fields/weight', 'Fill this in.']])
    expect(await wrong({ number: '0001' })).toEqual([['number', expect.stringContaining('UAS-0815')]])
    const claim = await candidate.done('addClaim', { body: { details } })
    expect([claim.label, claim.details]).toEqual([
      'Drone pilot licence',
      expect.objectContaining({ fields: { weight: '24.5' } }),
    ])

    const renewal = { version: claim.version, number: 'UAS-0002', issued: '2027-01-01', through: '2028-12-31' }
    const renewed = await candidate.done('renewCredential', {
      params: { id: claim.id },
      body: { ...renewal, fields: { weight: '20' } },
    })
    expect(renewed.details).toMatchObject({ number: 'UAS-0002', fields: { weight: '20' } })

    const { versions } = await admin.done('readCatalogueVersions')
    expect(versions[0]).toMatchObject({
      changedBy: expect.any(String),
      changes: [{ part: 'credentials', key: 'drone-flying', name: 'Drone pilot licence', what: 'added' }],
    })
    const { events } = await admin.done('readTrail', { query: {} })
    expect(events.map(({ what }) => what)).toContain('Changed the catalogue: Drone pilot licence')
  })

  it('has every file looked at anew, since what counts as expiring may be another', async () => {
    const { version } = await read()
    expect(await Job.count({ where: { kind: 'summaries', uniqueKey: `summaries catalogue ${version}` } })).toBe(1)
    await house.workOff()
    expect(await Job.count({ where: { kind: 'summaries', doneAt: null } })).toBe(0)
  })

  it('keeps what is retired readable, and asked for where it was asked for', async () => {
    const retired = await change(({ credentials }) => ({
      credentials: credentials.map((kind) => (kind.key === 'drone-flying' ? { ...kind, retired: true } : kind)),
    }))
    expect(retired.status).toBe(200)
    const candidate = await house.candidate('Rita Retired')
    const details = {
      ...aPermit(house, 'drone-flying', 'rail', 'UAS-0009', '2027-01-09'),
      fields: { weight: '1' },
    } as never
    expect((await candidate.done('addClaim', { body: { details } })).label).toBe('Drone pilot licence')
  })

  it('stands with all its fields in the copy that goes out with the application', async () => {
    const { id } = await withLicence('Pia', 'Printed', 'UAS-0021')
    const bytes = await (await candidates.at(-1)!.request(`/api/my/applications/${id}/application.pdf`)).arrayBuffer()
    expect(await textOf(bytes)).toMatch(/Drone pilot licence.*UAS-0021.*Heaviest it may be: 24\.5/s)
  })

  it('hides what a kind says is about money, with its papers, from everybody not named for it', async () => {
    const { id, documentId } = await withLicence('Milo', 'Money', 'UAS-0022')
    const desk = await house.staff('coordinator')
    const named = await house.staff('coordinator', 'money')
    const seen = async (who: Visitor) => [
      JSON.stringify(await who.done('readFile', { params: { id } })).includes('UAS-0022'),
      (await who.request(`/api/documents/${documentId}/bytes`)).status,
    ]
    expect([await seen(desk), await seen(named)]).toEqual([
      [true, 200],
      [true, 200],
    ])
    await change(({ credentials }) => ({
      credentials: credentials.map((kind) => (kind.key === 'drone-flying' ? { ...kind, sensitivity: 'money' } : kind)),
    }))
    expect([await seen(desk), await seen(named), await seen(admin)]).toEqual([
      [false, 403],
      [true, 200],
      [false, 403],
    ])
  })
})

const candidates: Visitor[] = []

/** Somebody who has applied, with the licence and its paper. */
async function withLicence(given: string, family: string, number: string) {
  const candidate = await house.candidate(`${given} ${family}`)
  candidates.push(candidate)
  const details = { ...aPermit(house, 'drone-flying', 'rail', number, '2027-01-09'), fields: { weight: '24.5' } }
  const { id: claimId } = await candidate.done('addClaim', { body: { details } })
  const document = await candidate.done('uploadDocument', {
    params: { id: claimId },
    query: { fileName: 'Licence.pdf' },
    body: await aPaper('Drone pilot licence'),
  })
  const { id } = await applied(house, candidate, [given, family])
  return { id, documentId: document.id }
}
