import { setTimeout as wait } from 'node:timers/promises'
import type { Report } from '#core/report/report'
import { provenFile } from '../../test/asking'
import { aPaper, type House, openHouse, tokenIn } from '../../test/house'
import { Event } from '../platform/audit/model'
import { clockAhead } from '../platform/clock'
import { inTransaction } from '../platform/database/connection'
import { eraseFile } from '../privacy/erase'
import { accountOfCandidate } from '../records/accounts/candidate'
import { actorOf } from '../records/accounts/model'
import { Application } from '../records/applications/model'
import { Blob } from '../records/documents/model'
import { permissionFor } from '../records/recipients/find'
import { RecipientPermission } from '../records/recipients/model'
import { ReportDelivery } from '../records/reports/model'
import { listOwnRecipients } from './list'
import { sendUnder } from './send'
import { openShared } from './shared'
import { takeBackOwnRecord, withdrawRecipient } from './takeBack'

let house: House
beforeAll(async () => {
  house = await openHouse('recipients')
}, 60_000)
afterAll(() => house.close())

type File = Awaited<ReturnType<typeof provenFile>>
const password = 'a-long-enough-secret'
let nth = 0
const aBody = (language: 'en' | 'de' = 'en') => {
  nth += 1
  return { name: `Lift Inspectorate ${nth}`, mail: `records-${nth}@inspectorate.example`, language }
}
const wishOf = (file: File, fullName: string, more: object = {}) => ({
  recipient: aBody(),
  purpose: 'Registration as an inspector',
  claims: [file.claimId],
  through: house.day(60),
  ...{ fullName, password, agreed: true as const, send: null as null | { way: 'link' | 'credential' | 'pdf' } },
  ...more,
})

/** Somebody who has had their degree sent to a recipient by a link. */
async function shared(name: [string, string], more: object = {}) {
  const file = await provenFile(house, name)
  const wish = wishOf(file, name.join(' '), { send: { way: 'link' }, ...more })
  const { id } = await file.candidate.done('permitRecipient', { body: wish })
  await house.workOff()
  const mail = await house.mailTo(wish.recipient.mail)
  const token = tokenIn(mail.text, 'shared')
  const open = () => house.visitor().done('openSharedRecord', { params: { token } })
  return { ...file, wish, permissionId: id, mail, token, open }
}
const own = async ({ candidate }: Pick<File, 'candidate'>) => (await candidate.done('listOwnRecipients')).permissions
/** The reference of what was sent last. */
const newestOf = async (file: Pick<File, 'candidate'>) => (await own(file))[0]!.deliveries[0]!.reference

/** Who is signed in, as use cases know them. */
async function actorIn(applicationId: string) {
  const { candidateId } = await Application.findByPk(applicationId, { rejectOnEmpty: true })
  return { candidateId, actor: actorOf(await accountOfCandidate(candidateId)) }
}

test('one claim goes to a recipient by a link: that claim alone, with nothing of what one has applied for', async () => {
  const one = await shared(['Lena', 'Linked'])
  expect(one.mail.subject).toMatch(/What has been proven of Lena Linked/)
  const { state, report, to } = await one.open()
  expect([state, to, report?.recipient]).toEqual(['open', one.wish.recipient.name, one.wish.recipient.name])
  const { claims, application, person, withheld } = report as Report
  expect(claims.map(({ rung, source }) => [rung, source?.name])).toEqual([['confirmed', one.source.name]])
  expect([application, person]).toEqual([undefined, { name: 'Lena Linked' }])
  expect(withheld.find(({ what }) => what === 'not chosen')?.count).toBeGreaterThan(0)
  await one.open()
  const [permission] = await own(one)
  expect(permission).toMatchObject({ state: 'holds', given: 'portal', hasPaper: true, fullName: 'Lena Linked' })
  expect(permission!.deliveries).toMatchObject([{ way: 'link', state: 'open', openings: 2, savedAt: null }])
  const { candidateId } = await Application.findByPk(one.applicationId, { rejectOnEmpty: true })
  expect(await Event.count({ where: { candidateId, code: 'record-opened' } })).toBe(1)
  const signed = await one.candidate.request(`/api/my/recipients/${one.permissionId}/permission.pdf`)
  expect([signed.status, signed.headers.get('content-type')]).toEqual([200, 'application/pdf'])
})

test('whoever has it sent reads what was sent, and nobody else who is signed in does', async () => {
  const one = await shared(['Susi', 'Sent'])
  const { reportId } = (await own(one))[0]!.deliveries[0]!
  const sent = await one.candidate.request(`/api/my/reports/${reportId}/json`)
  const content = (await sent.json()) as Report
  expect([sent.status, content.recipient, content.claims.length]).toEqual([200, one.wish.recipient.name, 1])
  const stranger = await house.candidate('Another Person')
  expect((await stranger.request(`/api/my/reports/${reportId}/json`)).status).toBe(404)
})

test('two files of one person keep their permissions when they are merged, and apart again each has its own', async () => {
  const one = await shared(['Doppel', 'Gaenger'])
  const other = await provenFile(house, ['Doppel', 'Gaenger'])
  const idOf = async ({ applicationId }: { applicationId: string }) =>
    (await Application.findByPk(applicationId, { rejectOnEmpty: true })).candidateId
  const [mergedId, keptId] = [await idOf(one), await idOf(other)]
  const body = { mergedId, reason: 'The same birth date, phone and degree' }
  const { id } = await one.desk.done('mergeFiles', { params: { keptId }, body })
  const listed = async (applicationId: string) =>
    (await one.desk.done('listRecipients', { params: { id: applicationId } })).permissions.map(
      ({ recipient }) => recipient.name,
    )
  expect(await listed(other.applicationId)).toEqual([one.wish.recipient.name])
  expect((await one.open()).state).toBe('open')
  await one.desk.done('undoMerge', { params: { id } })
  expect([await listed(other.applicationId), await listed(one.applicationId)]).toEqual([[], [one.wish.recipient.name]])
})

test('where a name is hidden nothing is sent or opened, and no list says whose it is', async () => {
  const file = await provenFile(house, ['Nora', 'Namenlos'])
  const { id: permission } = await file.candidate.done('permitRecipient', { body: wishOf(file, 'Nora Namenlos') })
  const { vacancyId } = await Application.findByPk(file.applicationId, { rejectOnEmpty: true })
  const sheet = { params: { id: vacancyId } }
  const { version } = await file.desk.done('readScoreSheet', sheet)
  const body = { version, hideNames: true, reviewers: 2, criteria: [] }
  const hiding = await file.desk.done('saveScoreSheet', { ...sheet, body })
  const params = { id: file.applicationId, permission }
  const listed = await file.desk.done('listRecipients', { params: { id: file.applicationId } })
  expect(JSON.stringify(listed)).not.toMatch(/Nora|Namenlos/)
  const refused = await file.desk.call('sendRecord', { params, body: { way: 'pdf' } })
  expect([refused.status, refused.body.code]).toEqual([409, 'names-hidden'])
  const paper = await file.desk.request(`/api/desk/applications/${params.id}/recipients/${permission}/permission.pdf`)
  expect(paper.status).toBe(409)
  await file.desk.done('saveScoreSheet', { ...sheet, body: { ...body, version: hiding.version, hideNames: false } })
  expect((await file.desk.call('sendRecord', { params, body: { way: 'pdf' } })).status).toBe(200)
})

test('what is kept from the link checks, and is said to be saved; taken back, the link closes and it is revoked', async () => {
  const one = await shared(['Tarik', 'Taken'])
  const kept = await house.visitor().request(`/api/shared-records/${one.token}/jwt`)
  const jwt = await kept.text()
  const check = () => house.visitor().done('checkCredential', { body: Buffer.from(jwt) })
  expect(await check()).toMatchObject({ fault: null, own: true, kind: 'report' })
  const [delivery] = (await own(one))[0]!.deliveries
  expect(delivery!.savedAt).not.toBeNull()

  await one.candidate.done('takeBackOwnRecord', { params: { id: delivery!.id } })
  expect(await check()).toMatchObject({ fault: 'revoked' })
  expect(await one.open()).toMatchObject({
    ...{ state: 'taken back', report: null, because: 'the person it is about has taken it back' },
  })
  expect((await house.visitor().request(`/api/shared-records/${one.token}/pdf`)).status).toBe(409)
  await house.workOff()
  expect((await house.mailTo(one.wish.recipient.mail, 'does not hold')).text).toMatch(/has taken it back/)
  const again = await one.candidate.call('takeBackOwnRecord', { params: { id: delivery!.id } })
  expect([again.status, again.body.code]).toEqual([409, 'taken-back'])
  // The permission still holds, and it can be sent anew.
  await one.candidate.done('sendOwnRecord', { params: { id: one.permissionId }, body: { way: 'pdf' } })
  expect((await own(one))[0]!.deliveries.map(({ way, state }) => [way, state])).toEqual([
    ['pdf', 'open'],
    ['link', 'taken back'],
  ])
})

test('a credential and a PDF come as files that are theirs to keep, in the language they read', async () => {
  const file = await provenFile(house, ['Karl', 'Kept'])
  const recipient = aBody('de')
  const { id } = await file.candidate.done('permitRecipient', {
    body: wishOf(file, 'Karl Kept', { recipient, send: { way: 'credential' } }),
  })
  await house.workOff()
  const first = await house.mailTo(recipient.mail)
  expect(first.subject).toMatch(/^Was über Karl Kept nachgewiesen ist/)
  const jwt = String(first.attachments[0]!.bytes)
  expect(first.attachments[0]!.fileName).toMatch(/^RP-.*\.jwt$/)
  const checked = await house.visitor().done('checkCredential', { body: Buffer.from(jwt) })
  expect([checked.fault, checked.report?.audience, checked.report?.language]).toEqual([null, 'recipient', 'de'])
  await file.candidate.done('sendOwnRecord', { params: { id }, body: { way: 'pdf' } })
  await house.workOff()
  const second = await house.mailTo(recipient.mail, await newestOf(file))
  const pdf = second.attachments[0]!
  expect([pdf.fileName.slice(-4), pdf.bytes.subarray(0, 5).toString()]).toEqual(['.pdf', '%PDF-'])
  const byFile = await house.visitor().done('checkCredential', { body: pdf.bytes })
  expect([byFile.fault, byFile.own]).toEqual([null, true])
})

describe('what is refused, and changes nothing', () => {
  let file: File
  beforeAll(async () => {
    file = await provenFile(house, ['Rosa', 'Refused'])
  })
  test.each([
    ['a name that is not one’s own', { fullName: 'Somebody Else' }, '/body/fullName'],
    ['a wrong password', { password: 'another-secret-of-nobody' }, '/body/password'],
    ['a day that has passed', { through: '2020-01-01' }, '/body/through'],
    ['a claim of somebody else', { claims: ['0190a3f0-0000-7000-8000-000000000001'] }, '/body/claims'],
    ['a link that lives too long', { send: { way: 'link', linkEndsOn: '2099-01-01' } }, '/body/linkEndsOn'],
    [
      'a name in two lines',
      { recipient: { name: 'A\nBcc: b', mail: 'a@b.example', language: 'en' } },
      '/body/recipient/name',
    ],
  ])('%s', async (_what, more, pointer) => {
    const { status, body } = await file.candidate.call('permitRecipient', {
      body: wishOf(file, 'Rosa Refused', more) as never,
    })
    expect([status, body.faults?.[0]?.pointer]).toEqual([422, pointer])
    expect(await own(file)).toEqual([])
  })

  test('a permission longer than a year, and one day less', async () => {
    const permit = (days: number) =>
      file.candidate.call('permitRecipient', { body: wishOf(file, 'Rosa Refused', { through: house.day(days) }) })
    expect((await permit(367)).status).toBe(422)
    expect((await permit(366)).status).toBe(200)
  })

  test('a link of ninety-one days, and one day less; one that ends today', async () => {
    const permit = (days: number) =>
      file.candidate.call('permitRecipient', {
        body: wishOf(file, 'Rosa Refused', { send: { way: 'link', linkEndsOn: house.day(days) } }),
      })
    expect([(await permit(91)).status, (await permit(0)).status, (await permit(90)).status]).toEqual([422, 422, 200])
  })

  test('a passport, which nobody outside is told of', async () => {
    const details = {
      ...{
        kind: 'identity',
        paper: 'passport',
        number: 'P7654321',
        issuer: 'AUT',
        familyName: 'Refused',
        givenNames: 'Rosa',
      },
      ...{ born: '1994-08-21', through: '2031-01-01', zone: '', sourceId: null, sourceName: '' },
    } as const
    const { id } = await file.candidate.done('addClaim', { body: { details } })
    const { body } = await file.candidate.call('permitRecipient', {
      body: wishOf(file, 'Rosa Refused', { claims: [id] }),
    })
    expect(body.faults?.[0]?.pointer).toBe('/body/claims')
    expect((await file.candidate.done('listOwnRecipients')).claims.map((one) => one.id)).not.toContain(id)
  })

  test('what is somebody else’s: their permission, their delivery, their link', async () => {
    const other = await shared(['Olaf', 'Other'])
    const [delivery] = (await own(other))[0]!.deliveries
    const params = { id: other.permissionId }
    for (const call of [
      file.candidate.call('sendOwnRecord', { params, body: { way: 'pdf' } }),
      file.candidate.call('withdrawRecipient', { params }),
      file.candidate.call('takeBackOwnRecord', { params: { id: delivery!.id } }),
      house.visitor().call('openSharedRecord', { params: { token: 'x'.repeat(43) } }),
      file.desk.call('sendRecord', {
        params: { ...params, id: file.applicationId, permission: other.permissionId },
        body: { way: 'pdf' },
      }),
      file.desk.call('takeBackRecord', {
        params: { id: file.applicationId, delivery: delivery!.id },
        body: { reason: 'It is not of this file.' },
      }),
    ])
      expect((await call).status).toBe(404)
    expect((await other.open()).state).toBe('open')
  })
})

test('nobody’s mailbox is filled from here: a sixth within the hour is refused, and sends nothing', async () => {
  const file = await provenFile(house, ['Viola', 'Viele'])
  const { id } = await file.candidate.done('permitRecipient', { body: wishOf(file, 'Viola Viele') })
  const send = () => file.candidate.call('sendOwnRecord', { params: { id }, body: { way: 'link' } })
  for (let sent = 0; sent < 5; sent += 1) expect((await send()).status).toBe(200)
  expect((await send()).status).toBe(429)
  expect((await own(file))[0]!.deliveries).toHaveLength(5)
})

test('a link ends at the end of its last day, and says so; its report goes on holding', async () => {
  const one = await shared(['Ende', 'Ended'], { send: { way: 'link', linkEndsOn: house.day(3) } })
  const at = (days: number) => ({
    ...house.deps,
    clock: clockAhead(days * 86_400_000, house.deps.organisation.timeZone),
  })
  const nobody = { kind: 'nobody' } as const
  expect((await openShared(at(2), nobody, one.token)).state).toBe('open')
  const after = await openShared(at(5), nobody, one.token)
  expect([after.state, after.report]).toEqual(['link ended', null])
  expect((await openShared(at(370), nobody, one.token)).state).toBe('ended')
})

test('what is decided otherwise closes the link by itself, and a new report says what holds now', async () => {
  const one = await shared(['Wilma', 'Wandel'])
  await one.desk.done('undoDecision', { params: { id: one.findingId } })
  const closed = await one.open()
  expect([closed.state, closed.report]).toEqual(['revoked', null])
  expect(closed.because).toMatch(/decided otherwise/)
  await house.workOff()
  expect((await house.mailTo(one.wish.recipient.mail, 'does not hold')).text).toMatch(/decided otherwise/)
  await one.candidate.done('sendOwnRecord', { params: { id: one.permissionId }, body: { way: 'link' } })
  await house.workOff()
  const mail = await house.mailTo(one.wish.recipient.mail, `: report ${await newestOf(one)}`)
  const again = tokenIn(mail.text, 'shared')
  const { report } = await house.visitor().done('openSharedRecord', { params: { token: again } })
  expect(report!.claims.map(({ rung }) => rung)).not.toContain('confirmed')
})

describe('at the desk', () => {
  test('a permission that is on file is sent by; others see that it was, and auditors send nothing', async () => {
    const file = await provenFile(house, ['Dora', 'Desk'])
    const { id: permission } = await file.candidate.done('permitRecipient', { body: wishOf(file, 'Dora Desk') })
    const params = { id: file.applicationId, permission }
    const auditor = await house.staff('auditor')
    expect((await auditor.call('sendRecord', { params, body: { way: 'link' } })).status).toBe(403)
    await file.desk.done('sendRecord', { params, body: { way: 'link' } })
    const listed = await auditor.done('listRecipients', { params: { id: file.applicationId } })
    expect(listed.permissions).toMatchObject([
      { state: 'holds', deliveries: [{ way: 'link', sentBy: 'The coordinator' }] },
    ])
    const [delivery] = listed.permissions[0]!.deliveries
    const back = { id: file.applicationId, delivery: delivery!.id }
    await file.desk.done('takeBackRecord', { params: back, body: { reason: 'Sent to the wrong inspectorate.' } })
    const after = (await own(file))[0]!.deliveries[0]!
    expect([after.state, after.because]).toEqual(['taken back', 'Sent to the wrong inspectorate.'])
  })

  test('one on paper holds once the paper is here, and once it is withdrawn nothing is sent', async () => {
    const file = await provenFile(house, ['Pia', 'Paper'])
    const { send, password: _none, agreed, ...wish } = wishOf(file, 'Pia Paper')
    const { id: permission } = await file.desk.done('noteRecipientPermission', {
      params: { id: file.applicationId },
      body: { ...wish, signedOn: house.day(-2) },
    })
    const params = { id: file.applicationId, permission }
    const early = await file.desk.call('sendRecord', { params, body: { way: 'pdf' } })
    expect([early.status, early.body.code]).toEqual([409, 'not-permitted'])
    expect((await own(file))[0]!.state).toBe('paper to come')
    const wrong = await file.desk.call('addRecipientPaper', { params, body: Buffer.from('no paper') })
    expect(wrong.status).toBe(422)
    await file.desk.done('addRecipientPaper', { params, body: await aPaper('Permission') })
    expect((await file.desk.call('addRecipientPaper', { params, body: await aPaper('Another') })).status).toBe(409)
    await file.desk.done('sendRecord', { params, body: { way: 'pdf' } })
    await file.desk.done('endRecipientPermission', { params, body: { reason: 'She rang and wants nothing sent.' } })
    const [line] = await own(file)
    expect([line!.state, line!.deliveries[0]!.state]).toEqual(['withdrawn', 'taken back'])
    expect((await file.desk.call('sendRecord', { params, body: { way: 'pdf' } })).status).toBe(409)
  })

  test('a permission ends with its last day', async () => {
    const file = await provenFile(house, ['Lisa', 'Last'])
    await file.candidate.done('permitRecipient', { body: wishOf(file, 'Lisa Last', { through: house.day(0) }) })
    const { actor, candidateId } = await actorIn(file.applicationId)
    const tomorrow = { ...house.deps, clock: clockAhead(86_400_000, house.deps.organisation.timeZone) }
    const [line] = (await listOwnRecipients(tomorrow, actor)).permissions
    expect(line!.state).toBe('ended')
    const permission = await permissionFor(candidateId, line!.id)
    await expect(sendUnder(tomorrow, actor, candidateId, permission, { way: 'pdf' })).rejects.toMatchObject({
      code: 'not-permitted',
    })
  })
})

describe('two at the same moment', () => {
  test('of a sending and a withdrawal nothing stays open, whichever comes first', async () => {
    const file = await provenFile(house, ['Zwei', 'Zugleich'])
    const { actor, candidateId } = await actorIn(file.applicationId)
    const { sequelize } = house.deps
    for (const first of ['send', 'withdraw'] as const) {
      const { id } = await file.candidate.done('permitRecipient', { body: wishOf(file, 'Zwei Zugleich') })
      const permission = await permissionFor(candidateId, id)
      const send = (then = async () => {}) =>
        inTransaction(sequelize, async () => {
          await sendUnder(house.deps, actor, candidateId, permission, { way: 'link' })
          await then()
        })
      const withdraw = (then = async () => {}) =>
        inTransaction(sequelize, async () => {
          await withdrawRecipient(house.deps, actor, id)
          await then()
        })
      const [one, other] = first === 'send' ? [send, withdraw] : [withdraw, send]
      // The other begins once the first has written, and before that is committed.
      let hasWritten = () => {}
      const written = new Promise<void>((tell) => {
        hasWritten = tell
      })
      const running = one(async () => {
        hasWritten()
        await wait(300)
      })
      await written
      const results = await Promise.allSettled([running, other()])
      expect(results.map(({ status }) => status)).toEqual(['fulfilled', first === 'send' ? 'fulfilled' : 'rejected'])
      const [line] = await own(file)
      expect([line!.state, line!.deliveries.map(({ state }) => state)]).toEqual([
        'withdrawn',
        first === 'send' ? ['taken back'] : [],
      ])
    }
  }, 30_000)

  test('of two who take the same back one does, and its recipient is told once', async () => {
    const one = await shared(['Ein', 'Einmal'])
    const { actor } = await actorIn(one.applicationId)
    const { id } = (await own(one))[0]!.deliveries[0]!
    const back = () => inTransaction(house.deps.sequelize, () => takeBackOwnRecord(house.deps, actor, id))
    const results = await Promise.allSettled([back(), back()])
    expect(results.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected'])
    const { candidateId } = await Application.findByPk(one.applicationId, { rejectOnEmpty: true })
    expect(await Event.count({ where: { candidateId, code: 'report-revoked' } })).toBe(1)
  })
})

test('with the file go its permissions, what was sent, and the bytes of both', async () => {
  const one = await shared(['Elke', 'Erased'])
  await one.candidate.done('sendOwnRecord', { params: { id: one.permissionId }, body: { way: 'credential' } })
  const { sha256, candidateId } = await RecipientPermission.findByPk(one.permissionId, { rejectOnEmpty: true })
  const { attachedSha256 } = await ReportDelivery.findOne({
    where: { permissionId: one.permissionId, way: 'credential' },
    rejectOnEmpty: true,
  })
  const kept = [sha256!, attachedSha256!]
  expect(await Blob.count({ where: { sha256: kept } })).toBe(2)
  await inTransaction(house.deps.sequelize, () =>
    eraseFile(house.deps, { kind: 'system', name: 'test' } as never, candidateId, 'wish'),
  )
  expect(await Blob.count({ where: { sha256: kept } })).toBe(0)
  expect(await RecipientPermission.count({ where: { candidateId } })).toBe(0)
  expect(await ReportDelivery.count({ where: { permissionId: one.permissionId } })).toBe(0)
  expect((await house.visitor().call('openSharedRecord', { params: { token: one.token } })).status).toBe(404)
})
