import { type RightsTable, usualRights } from '#core/rights/rights'
import { Account } from '#server/records/accounts/model'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse, tokenIn, until } from '../../test/house'

let house: House
let admin: Visitor
let adminId: string
beforeAll(async () => {
  house = await openHouse('colleagues')
  admin = await house.staff('administrator')
  adminId = (await admin.done('readSession')).account!.id
}, 60_000)
afterAll(() => house.close())

const password = 'granite-otter-parasol'
const invite = (mail: string, over: object = {}) =>
  admin.call('inviteColleague', {
    body: { name: 'Nils Aamodt', mail, roles: ['coordinator'], language: 'en', ...over },
  })
const personOf = async (mail: string) =>
  (await admin.done('listColleagues')).colleagues.find((one) => one.mail === mail)!

/** Somebody who was invited and came. */
async function come(mail: string, over: object = {}): Promise<Visitor> {
  expect((await invite(mail, over)).status).toBe(200)
  const token = tokenIn((await house.mailTo(mail)).text, 'join')
  const somebody = house.visitor()
  await somebody.done('acceptInvitation', { params: { token }, body: { password } })
  return somebody
}

describe('an invitation', () => {
  test('is mailed, opens the desk with a password of one’s own choice, and works once', async () => {
    await invite('nils@desk.test')
    expect(await personOf('nils@desk.test')).toMatchObject({ state: 'invited', roles: ['coordinator'], sessions: 0 })
    const { text } = await house.mailTo('nils@desk.test')
    expect(text).toContain('Vallorne Mountain Lines, as coordinator')
    const token = tokenIn(text, 'join')
    const nils = house.visitor()
    expect(await nils.done('readInvitation', { params: { token } })).toMatchObject({
      name: 'Nils Aamodt',
      roles: ['coordinator'],
    })
    const weak = await nils.call('acceptInvitation', { params: { token }, body: { password: 'nils-aamodt-12' } })
    expect([weak.status, weak.body.faults?.[0]?.pointer]).toEqual([422, '/body/password'])
    await nils.done('acceptInvitation', { params: { token }, body: { password } })
    expect((await nils.done('readSession')).account).toMatchObject({ mail: 'nils@desk.test', roles: ['coordinator'] })
    expect((await nils.call('readQueue', { params: { queue: 'today' } })).status).toBe(200)
    expect((await house.visitor().call('acceptInvitation', { params: { token }, body: { password } })).status).toBe(410)
    expect(await personOf('nils@desk.test')).toMatchObject({ state: 'active', sessions: 1 })
  })

  test('of the same address twice at the same moment makes one person', async () => {
    const both = await Promise.all([invite('twice@desk.test'), invite('twice@desk.test')])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await Account.count({ where: { mail: 'twice@desk.test' } })).toBe(1)
  })

  test('is sent anew, and the link before ends; taken back, both have ended', async () => {
    await invite('again@desk.test')
    const first = tokenIn((await house.mailTo('again@desk.test')).text, 'join')
    const { id } = await personOf('again@desk.test')
    await admin.done('inviteAgain', { params: { id } })
    expect((await house.visitor().call('readInvitation', { params: { token: first } })).status).toBe(410)
    await admin.done('removeInvitation', { params: { id } })
    expect(await personOf('again@desk.test')).toBeUndefined()
  })

  test('a stranger who signs up with an invited address brings no password of theirs into it', async () => {
    await invite('target@desk.test')
    await house.visitor().done('signUp', { body: { name: 'Mallory', mail: 'target@desk.test', password } })
    // Another worker of the house may be sending one of them.
    const mails = await until(async () => {
      await house.workOff()
      const here = house.mailbox.mails.filter(({ to }) => to === 'target@desk.test')
      return here.length >= 2 && here
    })
    expect(mails.map(({ subject }) => subject)).toEqual([
      'You are invited to Vallorne Mountain Lines',
      'You are invited to Vallorne Mountain Lines',
    ])
    expect(mails.some(({ text }) => text.includes('/confirm/'))).toBe(false)
  })

  test('goes to nobody who applies here', async () => {
    const candidate = await house.candidate('Cara Candidate')
    const refused = await invite(candidate.mail)
    expect([refused.status, refused.body.code]).toEqual([409, 'candidates-address'])
    const known = await invite('nils@desk.test')
    expect([known.status, known.body.code]).toEqual([409, 'known-address'])
  })
})

describe('whoever is suspended', () => {
  test('is signed out at once, cannot come in by password nor by an old link, and their files go to somebody else', async () => {
    const leaver = await come('leaver@desk.test')
    const stays = await come('stays@desk.test')
    const { id: stayId } = (await stays.done('readSession')).account!
    const { id: leaverId } = (await leaver.done('readSession')).account!
    const { id: file } = await applied(house, await house.candidate('Fia File'), ['Fia', 'File'])
    await leaver.done('setOwner', { params: { id: file }, body: { from: null, to: leaverId } })
    await house.visitor().done('askReset', { body: { mail: 'leaver@desk.test' } })
    await house.workOff()
    const reset = /new-password\/([\w-]+)/.exec((await house.mailTo('leaver@desk.test', 'password')).text)![1]!
    const { version } = await personOf('leaver@desk.test')
    await admin.done('suspendColleague', { params: { id: leaverId }, body: { version, filesTo: stayId } })
    expect((await leaver.call('readQueue', { params: { queue: 'today' } })).status).toBe(401)
    const refused = await house.visitor().call('signIn', { body: { mail: 'leaver@desk.test', password } })
    expect([refused.status, refused.body.code]).toEqual([403, 'suspended'])
    expect((await house.visitor().call('resetPassword', { body: { token: reset, password } })).status).toBe(410)
    expect((await stays.done('readFile', { params: { id: file } })).owner).toMatchObject({ id: stayId })
    const { version: next } = await personOf('leaver@desk.test')
    await admin.done('restoreColleague', { params: { id: leaverId }, body: { version: next } })
    expect((await house.visitor().call('signIn', { body: { mail: 'leaver@desk.test', password } })).status).toBe(200)
  })

  test('is never oneself', async () => {
    const { version } = (await admin.done('listColleagues')).colleagues.find(({ id }) => id === adminId)!
    const refused = await admin.call('suspendColleague', { params: { id: adminId }, body: { version } })
    expect(refused.body.code).toBe('yourself')
  })
})

describe('the last administrator stays', () => {
  test('as one’s own role', async () => {
    const { version } = (await admin.done('listColleagues')).colleagues.find(({ id }) => id === adminId)!
    const refused = await admin.call('changeColleague', {
      params: { id: adminId },
      body: { version, roles: ['auditor'] },
    })
    expect([refused.status, refused.body.code]).toEqual([409, 'last-administrator'])
    expect((await admin.done('readSession')).account!.roles).toEqual(['administrator'])
  })

  test('when two suspend each other at the same moment: one of them is left', async () => {
    const other = await house.staff('administrator')
    const otherId = (await other.done('readSession')).account!.id
    const versions = new Map((await admin.done('listColleagues')).colleagues.map(({ id, version }) => [id, version]))
    const outcomes = await Promise.all([
      admin.call('suspendColleague', { params: { id: otherId }, body: { version: versions.get(otherId)! } }),
      other.call('suspendColleague', { params: { id: adminId }, body: { version: versions.get(adminId)! } }),
    ])
    // One may have been signed out by the other before its own request was heard.
    expect(outcomes.filter(({ status }) => status === 200)).toHaveLength(1)
    const left = await Account.findAll({ where: { id: [adminId, otherId], suspendedAt: null } })
    expect(left).toHaveLength(1)
    await Account.update({ suspendedAt: null }, { where: { id: [adminId, otherId] } })
    admin = await house.staff('administrator')
    adminId = (await admin.done('readSession')).account!.id
  })
})

describe('the table of rights', () => {
  const saved = (table: RightsTable, version: number) => admin.call('saveRights', { body: { version, table } })

  test('holds from the next request on, for those who are signed in as well', async () => {
    const reviewer = await house.staff('reviewer')
    const { id } = await applied(house, await house.candidate('Rita Right'), ['Rita', 'Right'])
    expect((await reviewer.call('readFile', { params: { id } })).status).toBe(200)
    expect((await reviewer.call('readDeskVacancy', { params: { id } })).status).toBe(404)
    const { version, table } = await admin.done('readRights')
    expect(table).toEqual(usualRights)
    await saved({ ...table, 'vacancies.read': ['administrator'] }, version)
    expect((await reviewer.call('readDeskVacancy', { params: { id } })).status).toBe(403)
    expect((await reviewer.done('readSession')).account!.rights).not.toContain('vacancies.read')
    await saved(table, version + 1)
    expect((await reviewer.call('readDeskVacancy', { params: { id } })).status).toBe(404)
  })

  test('is not saved over somebody else’s change, also at the same moment', async () => {
    const { version, table } = await admin.done('readRights')
    const both = await Promise.all([saved(table, version), saved(table, version)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  })

  test('cannot lock administrators out, nor leave work to nobody', async () => {
    const { version, table } = await admin.done('readRights')
    const refused = await saved({ ...table, 'colleagues.keep': [], 'proof.settle': [] }, version)
    expect(refused.status).toBe(422)
    expect(refused.body.faults!.map(({ pointer }: { pointer: string }) => pointer)).toEqual([
      '/body/table/colleagues.keep',
      '/body/table/proof.settle',
    ])
  })

  test('what was changed, by whom and from what, is in the audit trail', async () => {
    const { version, table } = await admin.done('readRights')
    await saved({ ...table, 'lists.export': ['coordinator'] }, version)
    const { events } = await admin.done('readTrail')
    expect(events[0]).toMatchObject({ what: 'Changed the table of rights: Download lists' })
    await saved(table, version + 1)
  })
})

describe('a team', () => {
  test('whoever sees only its vacancies finds no other file, by no list and by no address', async () => {
    const mine = await applied(house, await house.candidate('Ines Inside'), ['Ines', 'Inside'])
    const other = await house.candidate('Otto Outside')
    const { id: outside } = await other.done('beginApplication', { params: { slug: 'track-engineer' } })
    const deskVacancies = await admin.done('deskVacancies')
    const supervisor = deskVacancies.find(({ slug }) => slug === 'cableway-electrical-supervisor')!
    const track = deskVacancies.find(({ slug }) => slug === 'track-engineer')!
    const member = await come('member@desk.test')
    const person = await personOf('member@desk.test')
    const [inIt, notInIt] = [crypto.randomUUID(), crypto.randomUUID()]
    await admin.done('saveTeam', {
      params: { id: inIt },
      body: { version: 0, name: 'Cableway', vacancies: [supervisor.id] },
    })
    await admin.done('saveTeam', {
      params: { id: notInIt },
      body: { version: 0, name: 'Track', vacancies: [track.id] },
    })
    await admin.done('changeColleague', {
      params: { id: person.id },
      body: { version: person.version, teams: [notInIt], teamsOnly: true },
    })
    const { degreeId } = mine
    const turnDown = {
      applications: [mine.id],
      reason: 'Not this time, sorry',
      written: { english: { subject: 'About it', text: 'We go on with others.' }, german: null },
    }
    const tries = async () => ({
      file: (await member.call('readFile', { params: { id: mine.id } })).status,
      claim: (await member.call('previewEnquiry', { params: { id: degreeId }, query: { applicationId: mine.id } }))
        .status,
      vacancy: (await member.call('readDeskVacancy', { params: { id: supervisor.id } })).status,
      table: (await member.done('readTable', { query: {} })).rows.some(({ id }) => id === mine.id),
      queue: (await member.done('readQueue', { params: { queue: 'today' }, query: {} })).people.some(
        ({ id }) => id === mine.id,
      ),
      found: (await member.done('find', { query: { text: mine.reference } })).people.length,
      vacancies: (await member.done('deskVacancies')).map(({ slug }) => slug),
      export: (await member.call('exportList', { params: { list: 'applications' } })).status,
      trail: (await member.call('readTrail')).status,
    })
    expect((await member.call('turnDown', { body: turnDown })).status).toBe(404)
    expect(await tries()).toEqual({
      ...{ file: 404, claim: 404, vacancy: 404, table: false, queue: false, found: 0 },
      ...{ vacancies: ['track-engineer'], export: 403, trail: 403 },
    })
    const { version } = await personOf('member@desk.test')
    await admin.done('changeColleague', { params: { id: person.id }, body: { version, teams: [inIt] } })
    expect(await tries()).toMatchObject({
      ...{ file: 200, claim: 200, vacancy: 200, table: true, found: 1 },
      vacancies: ['cableway-electrical-supervisor'],
    })
    expect(outside).toBeTruthy()
  })

  test('of a name that is taken is told so; dissolved, it is gone from its people', async () => {
    const id = crypto.randomUUID()
    await admin.done('saveTeam', { params: { id }, body: { version: 0, name: 'Night', vacancies: [] } })
    const taken = await admin.call('saveTeam', {
      params: { id: crypto.randomUUID() },
      body: { version: 0, name: 'Night', vacancies: [] },
    })
    expect(taken.body.faults![0]!.pointer).toBe('/body/name')
    await admin.done('removeTeam', { params: { id } })
    expect((await admin.done('listColleagues')).teams.some((team) => team.id === id)).toBe(false)
  })
})

describe('a file', () => {
  test('taken by two at the same moment is the first one’s; the other is told whose', async () => {
    const [one, two] = [await house.staff('coordinator'), await house.staff('coordinator')]
    const ids = await Promise.all([one, two].map(async (who) => (await who.done('readSession')).account!.id))
    const { id } = await applied(house, await house.candidate('Tara Taken'), ['Tara', 'Taken'])
    const take = (who: Visitor, to: string) => who.call('setOwner', { params: { id }, body: { from: null, to } })
    const both = await Promise.all([take(one, ids[0]!), take(two, ids[1]!)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const winner = both.findIndex(({ status }) => status === 200)
    expect((await one.done('readFile', { params: { id } })).owner!.id).toBe(ids[winner])
    expect(both[1 - winner]!.body.owner!.id).toBe(ids[winner])
  })

  test('is among the own of whoever has it, of whoever stands in, and of whoever watches; of nobody else', async () => {
    const [owner, standIn, watcher, other] = [
      await house.staff('coordinator'),
      await house.staff('coordinator'),
      await house.staff('coordinator'),
      await house.staff('coordinator'),
    ]
    const idOf = async (who: Visitor) => (await who.done('readSession')).account!.id
    const { id } = await applied(house, await house.candidate('Mina Mine'), ['Mina', 'Mine'])
    const has = async (who: Visitor, whose?: 'all') =>
      (await who.done('readQueue', { params: { queue: 'applications' }, query: whose ? { whose } : {} })).people.some(
        (person) => person.id === id,
      )
    const countOf = async (who: Visitor) => (await who.done('readCounts')).counts.applications!
    expect([await has(owner), await has(other)]).toEqual([true, true])
    const before = await countOf(other)
    await owner.done('setOwner', { params: { id }, body: { from: null, to: await idOf(owner) } })
    expect([await has(owner), await has(other), await has(other, 'all')]).toEqual([true, false, true])
    expect(await countOf(other)).toBe(before - 1)
    await watcher.done('watchFile', { params: { id }, body: { watching: true } })
    expect(await has(watcher)).toBe(true)
    expect(await has(standIn)).toBe(false)
    const { version } = await owner.done('readOwnAbsence')
    await owner.done('setOwnAbsence', {
      body: { version, absence: { from: house.day(-1), through: house.day(3), standInId: await idOf(standIn) } },
    })
    expect([await has(standIn), await has(other)]).toEqual([true, false])
    const over = await owner.done('readOwnAbsence')
    await owner.done('setOwnAbsence', {
      body: { version: over.version, absence: { from: house.day(1), through: house.day(3), standInId: null } },
    })
    expect(await has(standIn)).toBe(false)
  })

  test('says who else has it open, and at which line', async () => {
    const [one, two] = [await house.staff('coordinator'), await house.staff('assessor')]
    const { id } = await applied(house, await house.candidate('Petra Present'), ['Petra', 'Present'])
    const open = (who: Visitor, place: string) => who.done('sayOpen', { params: { id }, body: { place } })
    expect((await open(one, 'claim a')).others).toEqual([])
    expect((await open(two, 'claim b')).others).toEqual([{ name: 'The coordinator', place: 'claim a' }])
    expect((await open(one, 'claim a')).others).toEqual([{ name: 'The assessor', place: 'claim b' }])
  })

  test('is given only to somebody who can sign in and sees files', async () => {
    const desk = await house.staff('coordinator')
    const stores = await house.staff('stores')
    const { id } = await applied(house, await house.candidate('Gus Given'), ['Gus', 'Given'])
    const to = (await stores.done('readSession')).account!.id
    expect((await desk.call('setOwner', { params: { id }, body: { from: null, to } })).status).toBe(422)
  })
})
