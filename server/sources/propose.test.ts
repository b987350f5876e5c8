import type { Visitor } from '../../test/client'
import { aDegree, aJob, applied, type House, openHouse } from '../../test/house'
import { aContact, aSource } from '../../test/source'
import { Claim } from '../records/claims/model'
import { Source } from '../records/sources/model'

let house: House
let ines: Visitor
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('source_proposals')
  ines = await house.staff('coordinator')
  admin = await house.staff('administrator')
}, 60_000)
afterAll(() => house.close())

const read = (id: string) => ines.done('readSource', { params: { id } })
const proposals = async () => (await ines.done('sourceDirectory', { query: { state: 'proposed' } })).rows
const unknown = {
  sourceId: null,
  sourceSaid: { town: 'Irgen', country: '', mail: 'office@irgen.example', phone: '+43 512 777 888', site: '' },
}

/** Somebody who has applied and names a source that nobody knows. */
async function proposes(name: string, sourceName: string, number = 'N-1') {
  const [given, family] = name.split(' ') as [string, string]
  const candidate = await house.candidate(name)
  const application = await applied(house, candidate, [given, family])
  const claim = await candidate.done('addClaim', {
    body: { details: aDegree(house, { ...unknown, sourceName, number }) },
  })
  const proposal = (await proposals()).find((row) => row.name === sourceName)
  return { candidate, application, claim, id: proposal?.id ?? '' }
}
/** Writes down what a proposed source is, with a contact. */
const writeDown = async (who: Visitor, id: string, contact: object = {}, over: object = {}) => {
  const { version, source } = await read(id)
  await who.done('saveSource', {
    params: { id },
    body: {
      version,
      source: {
        ...source,
        country: 'AT',
        contacts: [aContact({ mail: 'a@irgenschule.example', ...contact })],
        ...over,
      },
    },
  })
}
const check = async (who: Visitor, id: string, more: object = {}) => {
  const { version, contacts } = await read(id)
  const how = Object.fromEntries(contacts.map((one) => [one.id, 'own website' as const]))
  return who.call('checkSource', { params: { id }, body: { version, how, ...more } })
}

test('what candidates name before they send is proposed when they send, and only then', async () => {
  const candidate = await house.candidate('Dora Draft')
  await candidate.done('addClaim', { body: { details: aDegree(house, { ...unknown, sourceName: 'Draftschule' }) } })
  expect((await proposals()).map(({ name }) => name)).not.toContain('Draftschule')
  await applied(house, candidate, ['Dora', 'Draft'])
  expect((await proposals()).map(({ name }) => name)).toContain('Draftschule')
})

test('a proposed source is refused to whoever entered it, checked by a second person, and then named by its claim', async () => {
  const { candidate, application, claim, id } = await proposes('Ida Irgen', 'Irgenschule Wald')
  expect(await read(id)).toMatchObject({
    ...{ state: 'proposed', origin: 'candidate', enteredBy: '', claims: 1 },
    said: [{ who: 'Ida Irgen', town: 'Irgen', mail: 'office@irgen.example', file: application.id }],
  })
  // Nobody else may choose it, and nobody can be asked.
  expect(await candidate.done('findSources', { query: { text: 'Irgenschule' } })).toEqual([])
  const named = await candidate.call('addClaim', { body: { details: aJob(house, { sourceId: id, sourceName: 'x' }) } })
  expect(named.status).toBe(404)
  const obstacles = async () =>
    (await ines.done('previewEnquiry', { params: { id: claim.id }, query: { applicationId: application.id } }))
      .obstacles
  expect(await obstacles()).toContain(
    'This source is not in the directory yet; it has to be vetted before anyone writes to it.',
  )
  expect((await check(ines, id)).body.code).toBe('nobody-to-ask')
  await writeDown(ines, id)
  expect(await read(id)).toMatchObject({ enteredBy: 'The coordinator', mayCheck: false })
  expect((await check(ines, id)).body.code).toBe('two-persons')
  expect((await check(admin, id)).status).toBe(200)
  expect(await read(id)).toMatchObject({ state: 'checked', checkedBy: 'The administrator', claims: 1 })
  expect(await Claim.findByPk(claim.id)).toMatchObject({ sourceId: id, details: { sourceId: id } })
  expect(await obstacles()).not.toContain(
    'This source is not in the directory yet; it has to be vetted before anyone writes to it.',
  )
  const { trail } = await ines.done('readFile', { params: { id: application.id } })
  expect(trail.map(({ what }) => what)).toEqual(
    expect.arrayContaining([
      'Irgenschule Wald is proposed as a source, for MSc Electrical Engineering',
      'The source of MSc Electrical Engineering is in the directory now: Irgenschule Wald',
    ]),
  )
  // A form that was open since before still has no source, and loses none.
  const saved = await candidate.done('changeClaim', {
    params: { id: claim.id },
    body: {
      version: claim.version,
      details: aDegree(house, { ...unknown, sourceName: 'Irgenschule Wald', number: 'N-2' }),
    },
  })
  expect(saved.details.sourceId).toBe(id)
})

test('one proposal is made, however many name it, also at the same moment', async () => {
  const people = await Promise.all(
    ['Una Once', 'Udo Once', 'Uma Once'].map(async (name) => {
      const candidate = await house.candidate(name)
      await applied(house, candidate, name.split(' ') as [string, string])
      return candidate
    }),
  )
  const spelled = ['Höhere Einmalschule', 'Hoehere Einmalschule', 'HÖHERE EINMALSCHULE']
  const added = await Promise.all(
    people.map((candidate, nth) =>
      candidate.call('addClaim', { body: { details: aDegree(house, { ...unknown, sourceName: spelled[nth]! }) } }),
    ),
  )
  expect(added.map(({ status }) => status)).toEqual([200, 200, 200])
  const made = await Source.findAll({ where: { proposalKey: 'university  hohere einmalshule' } })
  expect(made).toHaveLength(1)
  expect((await read(made[0]!.id)).claims).toBe(3)
})

test('one that is in the directory already is merged into it, and taken out again', async () => {
  const { claim, id } = await proposes('Tia Twin', 'Technische Hochschule Tanberg')
  const { sourceId: known } = house.source('tannberg')
  const twin = (await read(id)).twins.find((one) => one.id === known)!
  const kept = await read(known)
  const merged = await ines.done('mergeSources', {
    params: { id: known },
    body: { goneId: id, version: kept.version, goneVersion: (await read(id)).version, take: [] },
  })
  expect(twin.state).toBe('checked')
  expect(await Claim.findByPk(claim.id)).toMatchObject({ sourceId: known, proposedSourceId: null })
  await ines.done('undoSourceMerge', { params: { id: merged.id } })
  expect(await Claim.findByPk(claim.id)).toMatchObject({ sourceId: null, proposedSourceId: id })
  expect((await read(id)).state).toBe('proposed')
})

test('one that cannot be is turned down with a reason, and may be proposed no second time', async () => {
  const { id } = await proposes('Nils Nowhere', 'Schule im Nirgendwo')
  const turnDown = async (because?: string) =>
    ines.call('retireSource', { params: { id }, body: { version: (await read(id)).version, retired: true, because } })
  expect((await turnDown()).body.faults?.[0]?.pointer).toBe('/body/because')
  expect((await turnDown('There is no such school anywhere')).status).toBe(200)
  expect(await read(id)).toMatchObject({ state: 'retired', retiredBecause: 'There is no such school anywhere' })
  const again = await proposes('Nora Nowhere', 'Schule im Nirgendwo')
  expect(again.id).toBe('')
  expect((await read(id)).claims).toBe(2)
})

describe('contacts that are not what they seem', () => {
  const flagsOf = async (contact: object, name: string) => {
    const { id, candidate } = await proposes(name, `Schule ${name}`)
    await writeDown(ines, id, typeof contact === 'function' ? contact(candidate) : contact)
    return { id, candidate, flags: (await read(id)).contacts[0]!.flags.map(({ code }) => code) }
  }

  test.each([
    ['Lea Like', { mail: 'pruefungsamt@tannbergg.example' }, ['near-domain']],
    ['Lev Like', { mail: 'pruefungsamt@tannberg.invalid' }, ['other-ending']],
    ['Fay Free', { mail: 'irgenschule@bergpost.example' }, ['free-mail']],
    ['Sam Said', { mail: 'office@irgen.example' }, ['said-by-candidate']],
    ['Pia Phone', { mail: '', phone: '0512 777888' }, ['said-by-candidate']],
    ['Gil Good', { mail: 'office@good-school.example' }, []],
  ])('%s: %j has %j', async (name, contact, codes) => {
    expect((await flagsOf(contact, name)).flags).toEqual(codes)
  })

  test('the candidate’s own address and telephone are told; it is checked only with a reason, which stays on record', async () => {
    const own = await flagsOf((candidate: { mail: string }) => ({ mail: candidate.mail }), 'Otto Own')
    expect(own.flags).toEqual(['own-mail'])
    const silent = await check(admin, own.id)
    expect([silent.status, silent.body.faults?.[0]?.pointer]).toEqual([422, '/body/note'])
    expect((await check(admin, own.id, { note: 'The school has no other address, says the board' })).status).toBe(200)
    const { events } = await ines.done('readTrail')
    expect(events.map(({ what }) => what)).toContain(
      'Checked the source Schule Otto Own, whose contact has a red flag: The school has no other address, says the board',
    )
  })
})

describe('sellers of degrees', () => {
  test('one that is named is flagged, cannot be checked, and is asked by nobody', async () => {
    const { id, claim, application } = await proposes('Edna Easy', 'Saint Everhard International University')
    expect(await read(id)).toMatchObject({
      seller: { by: 'near name', value: 'Saint Everard International University' },
    })
    await writeDown(ines, id)
    expect((await check(admin, id)).body.code).toBe('is-a-seller')
    const proof = await ines.done('readProof', { params: { id: application.id, claimId: claim.id } })
    expect(proof.seller).toMatchObject({ by: 'near name' })
  })

  test('the list is kept by version and read from a file; who is known is left', async () => {
    const { version, watchlist } = await ines.done('readWatchlist')
    const csv =
      'name,other names,domains,note\nFalkenried Academy,,x.example,\nGloria Campus,Gloria Uni; GC,gloria.example,Sells\n'
    expect(await ines.done('importSellers', { body: Buffer.from(csv) })).toEqual({ version: version + 1, added: 1 })
    expect((await ines.done('readWatchlist')).watchlist.sellers.at(-1)).toMatchObject({
      ...{ names: ['Gloria Campus', 'Gloria Uni', 'GC'], domains: ['gloria.example'], note: 'Sells' },
    })
    const save = () => ines.call('saveWatchlist', { body: { version: version + 1, watchlist } })
    expect((await Promise.all([save(), save()])).map(({ status }) => status).sort()).toEqual([200, 409])
    expect((await ines.call('importSellers', { body: Buffer.from('a,b\n1,2') })).body.code).toBe('unreadable-file')
  })

  test('a source in use that turns out to be one is asked no more', async () => {
    const { version, watchlist } = await ines.done('readWatchlist')
    const { id: application, degreeId } = await applied(house, await house.candidate('Tom Turned'), ['Tom', 'Turned'])
    const sellers = [
      ...watchlist.sellers,
      { id: crypto.randomUUID(), names: ['Tannberg'], domains: ['tannberg.example'], note: '' },
    ]
    await ines.done('saveWatchlist', { body: { version, watchlist: { ...watchlist, sellers } } })
    const { obstacles } = await ines.done('previewEnquiry', {
      params: { id: degreeId },
      query: { applicationId: application },
    })
    expect(obstacles).toContain('This source is, or passes itself off as, a known seller of degrees. It is not asked.')
    await ines.done('saveWatchlist', { body: { version: version + 1, watchlist } })
  })
})

test('a source cannot be written down without its country, and its words stay', async () => {
  const { id } = await proposes('Cleo Country', 'Schule ohne Land')
  const { version, source } = await read(id)
  const { status } = await ines.call('saveSource', {
    params: { id },
    body: { version, source: aSource({ ...source, country: '' }) },
  })
  expect(status).toBe(422)
  expect((await read(id)).version).toBe(version)
})
