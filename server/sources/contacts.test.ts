import type { ClaimDetails } from '#contract/claims'
import type { SourceGiven } from '#contract/sources'
import type { Visitor } from '../../test/client'
import { aDegree, aJob, aPaper, applied, type House, look, openHouse } from '../../test/house'
import { aContact, aSource } from '../../test/source'
import { runDaily } from '../daily'
import { clockAhead } from '../platform/clock'
import { Account } from '../records/accounts/model'
import { Claim } from '../records/claims/model'
import { Source, SourcePair } from '../records/sources/model'
import { addSources } from '../records/sources/sources'

let house: House
let ines: Visitor
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('source_contacts')
  ines = await house.staff('coordinator')
  admin = await house.staff('administrator')
}, 60_000)
afterAll(() => house.close())

const read = (id: string) => ines.done('readSource', { params: { id } })
const save = async (who: Visitor, id: string, over: Partial<SourceGiven>) => {
  const { version, source } = await read(id)
  return who.done('saveSource', { params: { id }, body: { version, source: { ...source, ...over } } })
}
const check = async (who: Visitor, id: string) => {
  const { version, contacts } = await read(id)
  const how = Object.fromEntries(contacts.flatMap((one) => (one.checked ? [] : [[one.id, 'switchboard' as const]])))
  return who.done('checkSource', { params: { id }, body: { version, how } })
}
/** A source with one contact for each purpose, checked. */
async function university(name: string) {
  const id = crypto.randomUUID()
  const contacts = [
    aContact({ mail: 'disputes@purpose.example', purposes: ['disputes'] }),
    aContact({ mail: 'people@purpose.example', purposes: ['employment'] }),
    aContact({ mail: 'degrees@purpose.example', purposes: ['degree records'], phone: '+43 1' }),
  ]
  const source = aSource({ name, kind: 'university', contacts })
  await ines.done('saveSource', { params: { id }, body: { version: 0, source } })
  await check(admin, id)
  return { id, contacts, named: { sourceId: id, sourceName: name } }
}

describe('who is asked at a source', () => {
  test('is the contact for what is claimed: degrees at one office, work at another', async () => {
    const { named } = await university('Purpose University')
    const candidate = await house.candidate('Petra Purpose')
    const { id: applicationId } = await applied(house, candidate, ['Petra', 'Purpose'])
    const add = (details: ClaimDetails) => candidate.done('addClaim', { body: { details } })
    const degree = await add(aDegree(house, { ...named, number: 'P-1' }))
    const job = await add(aJob(house, { ...named, from: '2012-01-01', to: '2013-01-01' }))
    const asked = async (claim: string) =>
      (await ines.done('previewEnquiry', { params: { id: claim }, query: { applicationId } })).way?.to
    expect([await asked(degree.id), await asked(job.id)]).toEqual(['degrees@purpose.example', 'people@purpose.example'])
  })

  test('one that was taken out is asked no more, and what is left is asked for everything but disputes', async () => {
    const { id, contacts, named } = await university('Leftover University')
    const candidate = await house.candidate('Lars Leftover')
    const { id: applicationId } = await applied(house, candidate, ['Lars', 'Leftover'])
    const { id: claim } = await candidate.done('addClaim', {
      body: { details: aDegree(house, { ...named, number: 'L-1' }) },
    })
    const preview = () => ines.done('previewEnquiry', { params: { id: claim }, query: { applicationId } })
    await save(ines, id, { contacts: contacts.slice(0, 2) })
    expect((await preview()).way?.to).toBe('people@purpose.example')
    expect((await read(id)).state).toBe('checked')
    await save(ines, id, { contacts: contacts.slice(0, 1) })
    expect(await preview()).toMatchObject({ way: null })
    expect((await preview()).lacks).toContain(
      'No contact with a mail address is known of this source; add one under Sources.',
    )
  })

  test('a change of office or purpose needs no new check; a change of mail, telephone or address does', async () => {
    const { id, contacts } = await university('Change University')
    const change = async (over: object) => {
      await save(ines, id, { contacts: contacts.map((one, nth) => (nth === 2 ? { ...one, ...over } : one)) })
      return (await read(id)).contacts[2]!.checked?.how ?? null
    }
    expect(await change({ name: 'New office', purposes: [] })).toBe('switchboard')
    expect(await change({ phone: '+43 2' })).toBeNull()
    await check(admin, id)
    expect(await change({ phone: '+43 2', address: 'Platz 1\n6800 Vallorne' })).toBeNull()
    await check(admin, id)
    expect(
      await change({ phone: '+43 2', address: 'Platz 1\n6800 Vallorne', mail: 'other@purpose.example' }),
    ).toBeNull()
    // Nothing of who made sure of it can be sent along.
    const { version, source } = await read(id)
    const forged = source.contacts.map((one) => ({
      ...one,
      checked: { how: 'letter', by: 'Me', at: '2026-01-01T00:00:00Z' },
    }))
    const { status } = await ines.call('saveSource', {
      params: { id },
      body: { version, source: { ...source, contacts: forged as never } },
    })
    expect(status).toBe(422)
  })

  test('another register has to be checked as well', async () => {
    const { id } = await university('Register University')
    await save(ines, id, { register: 'somewhere-else' })
    expect(await read(id)).toMatchObject({ state: 'to check', checkedBy: null, mayCheck: false })
    await check(admin, id)
    expect((await read(id)).state).toBe('checked')
  })

  test('nobody is reminded at an address that was changed and not checked since', async () => {
    const { id, contacts, named } = await university('Reminder University')
    const candidate = await house.candidate('Rolf Reminder')
    const { id: applicationId } = await applied(house, candidate, ['Rolf', 'Reminder'])
    const { id: claim } = await candidate.done('addClaim', {
      body: { details: aDegree(house, { ...named, number: 'R-1' }) },
    })
    await candidate.done('uploadDocument', {
      params: { id: claim },
      query: { fileName: 'Degree.pdf' },
      body: await aPaper(),
    })
    await look(ines, applicationId, claim)
    await ines.done('raiseEnquiry', { params: { id: claim }, body: { applicationId } })
    const mails = () => house.mailbox.mails.filter(({ to }) => to.endsWith('@purpose.example')).map(({ to }) => to)
    await house.mailTo('degrees@purpose.example')
    const before = mails().length
    await save(ines, id, {
      contacts: contacts.map((one) => ({ ...one, mail: one.mail.replace('degrees@', 'mallory@') })),
    })
    const ahead = clockAhead(30 * 86_400_000, house.deps.organisation.timeZone)
    await runDaily({ ...house.deps, clock: ahead })
    await house.workOff()
    expect(mails()).not.toContain('mallory@purpose.example')
    // Who is left is asked instead.
    expect(mails().slice(before)).toEqual(['people@purpose.example'])
  })
})

describe('the directory', () => {
  test('is read page by page, each source once, in the order of names', async () => {
    await addSources(
      Array.from({ length: 90 }, (_, nth) => ({
        ...{
          name: `Paging School ${String(nth).padStart(3, '0')}`,
          kind: 'school' as const,
          town: 'Paging',
          country: 'IS',
        },
        contacts: [{ mail: `p${nth}@paging.example` }],
      })),
    )
    const names: string[] = []
    let after: string | undefined
    do {
      const { rows, next } = await ines.done('sourceDirectory', {
        query: { country: 'IS', ...(after ? { after } : {}) },
      })
      names.push(...rows.map(({ name }) => name))
      after = next ?? undefined
    } while (after)
    expect(names).toHaveLength(90)
    expect(names).toEqual([...names].sort())
    const nonsense = await ines.done('sourceDirectory', { query: { country: 'IS', after: 'bm9uc2Vuc2U' } })
    expect(nonsense.rows).toHaveLength(60)
  })

  test('the list that is kept has every source', async () => {
    const csv = await (await ines.request('/api/desk/lists/sources')).text()
    expect(csv.match(/Paging School/g)).toHaveLength(90)
  })
})

test('a chain of merges leads to the last, and comes apart link by link from the end', async () => {
  const [a, b, c] = await Promise.all(
    ['Kette Eins', 'Kette Zwei', 'Kette Drei'].map(async (name) => {
      const id = crypto.randomUUID()
      await ines.done('saveSource', { params: { id }, body: { version: 0, source: aSource({ name, contacts: [] }) } })
      return id
    }),
  )
  const candidate = await house.candidate('Karl Kette')
  const { id: claim } = await candidate.done('addClaim', {
    body: { details: aDegree(house, { sourceId: a!, sourceName: 'Kette Eins', number: 'K-1' }) },
  })
  const merge = async (kept: string, gone: string) =>
    ines.done('mergeSources', {
      params: { id: kept },
      body: { goneId: gone, version: (await read(kept)).version, goneVersion: (await read(gone)).version, take: [] },
    })
  const sourceOf = async () => (await Claim.findByPk(claim))!.sourceId
  const { id: first } = await merge(b!, a!)
  const { id: second } = await merge(c!, b!)
  expect(await sourceOf()).toBe(c)
  expect((await read(a!)).mergedInto?.id).toBe(c)
  // The link in the middle has gone itself: it is brought back first.
  expect((await ines.call('undoSourceMerge', { params: { id: first } })).body.code).toBe('merged')
  await ines.done('undoSourceMerge', { params: { id: second } })
  expect([await sourceOf(), (await read(a!)).mergedInto?.id]).toEqual([b, b])
  await ines.done('undoSourceMerge', { params: { id: first } })
  expect([await sourceOf(), (await read(a!)).mergedInto]).toEqual([a, null])
})

test('a pair of doubles goes when one of both is called something else, or is retired', async () => {
  const enter = async (name: string) => {
    const id = crypto.randomUUID()
    await ines.done('saveSource', { params: { id }, body: { version: 0, source: aSource({ name, contacts: [] }) } })
    return id
  }
  const [one, other] = [await enter('Doppelgymnasium Wehr'), await enter('Doppel-Gymnasium Wehr')]
  const third = await enter('Doppelgymnasium Wehrr')
  const twins = async (id: string) => (await read(id)).twins.map((twin) => twin.id).sort()
  expect((await twins(one)).length).toBeGreaterThanOrEqual(1)
  await save(ines, third, { name: 'Something else altogether' })
  expect(await twins(one)).not.toContain(third)
  const { version } = await read(one)
  await ines.done('retireSource', { params: { id: one }, body: { version, retired: true } })
  expect(await twins(other)).not.toContain(one)
  expect(await SourcePair.count({ where: { state: 'open', oneId: one } })).toBe(0)
})

test('whoever sees only their teams’ vacancies reads nothing of others’ candidates at a source', async () => {
  const candidate = await house.candidate('Tessa Teams')
  await applied(house, candidate, ['Tessa', 'Teams'])
  await candidate.done('addClaim', {
    body: {
      details: aDegree(house, {
        ...{ sourceId: null, sourceName: 'Schule der Anderen', number: 'T-1' },
        sourceSaid: { town: 'Fern', country: '', mail: '', phone: '', site: '' },
      }),
    },
  })
  const source = await Source.findOne({ where: { name: 'Schule der Anderen' }, rejectOnEmpty: true })
  expect((await read(source.id)).said).toHaveLength(1)
  const limited = await house.staff('coordinator')
  const { account } = await limited.done('readSession')
  await Account.update({ teamsOnly: true }, { where: { id: account!.id } })
  const seen = await limited.done('readSource', { params: { id: source.id } })
  expect([seen.said, seen.claims]).toEqual([[], 1])
})

test('a year outside the accreditation of a programme does not exempt, one inside does', async () => {
  const candidate = await house.candidate('Yara Years')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  const { id: claim, version } = await candidate.done('addClaim', {
    body: { details: aDegree(house, { to: '2018-03' }) },
  })
  const accredited = async () =>
    (await candidate.done('readDraft', { params: { id } })).fileFacts['file.accreditedFields']
  expect(await accredited()).toEqual(['0713'])
  await candidate.done('changeClaim', {
    params: { id: claim },
    body: { version, details: aDegree(house, { from: '2008-10', to: '2011-03' }) },
  })
  expect(await accredited()).toEqual([])
})
