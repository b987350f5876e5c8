import type { ClaimDetails } from '#contract/claims'
import type { QueuedFlag } from '#contract/redFlags'
import { allRight, askAbout, checkedSource, claimedOf, enquiryAbout } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { degraded } from '../../test/degraded'
import { aDegree, aJob, aPaper, applied, claimOf, type House, openHouse, tokenIn } from '../../test/house'
import { aContact } from '../../test/source'
import { readQueued } from '../documents/reading/readQueued'
import { Job } from '../platform/jobs/model'
import { eraseFile } from '../privacy/erase'
import { Application } from '../records/applications/model'
import { Claim } from '../records/claims/model'
import { Document } from '../records/documents/model'
import { isFlagged } from '../records/redFlags/flags'
import { Flag, FlagSettlement } from '../records/redFlags/model'
import { lookThroughNightly, refreshFlags } from './refresh'

let house: House
beforeAll(async () => {
  house = await openHouse('red_flags')
}, 120_000)
afterAll(() => house.close())

const fileOf = async (id: string) => (await Application.findByPk(id, { rejectOnEmpty: true })).candidateId
const lookThrough = (candidateId: string) => refreshFlags(house.deps, { candidateId })
const reason = 'Both papers lie before me'

/** Somebody who has sent an application with a degree, and the bytes of its paper. */
async function withPaper(name: [string, string], bytes: Buffer, fileName = 'Degree.pdf') {
  const source = await checkedSource(house)
  const file = await claimedOf(house, name, { ...source, kind: 'study' })
  const upload = { params: { id: file.claimId }, query: { fileName }, body: bytes }
  const document = await file.candidate.done('uploadDocument', upload)
  return { ...file, documentId: document.id, candidateId: await fileOf(file.applicationId) }
}

const flagsOn = async ({ desk, applicationId, claimId }: Awaited<ReturnType<typeof withPaper>>) =>
  (await claimOf(desk, applicationId, claimId)).proof.flags

const documentOf = (id: string) => Document.findByPk(id, { rejectOnEmpty: true })

/** Two people behind whose claims the same paper lies. */
async function twins(one: [string, string], other: [string, string]) {
  const bytes = await aPaper(`A paper of ${one.join(' ')}`)
  const [first, second] = [await withPaper(one, bytes), await withPaper(other, bytes)]
  await lookThrough(first.candidateId)
  return { first, second }
}

describe('one paper in two files', () => {
  test('is raised in both, each leading to the other', async () => {
    const { first, second } = await twins(['Ada', 'Same'], ['Bea', 'Again'])
    // The other file is looked through by itself.
    expect(await Job.count({ where: { uniqueKey: `flags ${second.candidateId}` } })).toBe(1)
    await lookThrough(second.candidateId)
    const [flag] = await flagsOn(first)
    expect(flag).toMatchObject({
      ...{ kind: 'same file', state: 'open', documentId: first.documentId },
      other: { name: 'Bea Again', applicationId: second.applicationId, claimId: second.claimId },
    })
    expect(flag!.says).toContain('Bea Again')
    expect((await flagsOn(second))[0]?.other?.name).toBe('Ada Same')
    const desk = await house.staff('reviewer')
    const queued = (await desk.done('listRedFlags', { query: {} })).flags.map(({ name, kind }) => `${name} ${kind}`)
    expect(queued).toEqual(expect.arrayContaining(['Ada Same same file', 'Bea Again same file']))
    const { trail } = await first.desk.done('readFile', { params: { id: first.applicationId } })
    expect(trail.map(({ what }) => what)).toContain('Red flag: The same paper in two files')
  })

  test('is found by its picture too, however it was copied', async () => {
    const bytes = await aPaper('Whose degree this is remains to be seen')
    const first = await withPaper(['Pia', 'Picture'], bytes)
    const copy = await degraded(bytes, 'application/pdf', 1)
    const second = await withPaper(['Cora', 'Copy'], copy, 'Degree.jpg')
    for (const { documentId } of [first, second]) {
      const { sha256, mediaType } = await documentOf(documentId)
      await readQueued(house.deps, { sha256: sha256!, mediaType })
    }
    await lookThrough(second.candidateId)
    expect(await flagsOn(second)).toMatchObject([{ kind: 'same picture', other: { name: 'Pia Picture' } }])
  }, 60_000)

  test('goes with the paper, and comes back with it', async () => {
    const { first } = await twins(['Gwen', 'Gone'], ['Hal', 'Gone'])
    const document = await documentOf(first.documentId)
    await document.update({ state: 'replaced' })
    await lookThrough(first.candidateId)
    expect(await flagsOn(first)).toEqual([])
    await document.update({ state: 'to look at' })
    await lookThrough(first.candidateId)
    expect(await flagsOn(first)).toMatchObject([{ kind: 'same file', state: 'open' }])
  })

  test('found by two at the same moment is one flag', async () => {
    const { first } = await twins(['Otto', 'Once'], ['Olga', 'Once'])
    await Flag.destroy({ where: { candidateId: first.candidateId } })
    await Promise.all([lookThrough(first.candidateId), lookThrough(first.candidateId), lookThrough(first.candidateId)])
    expect(await Flag.count({ where: { claimId: first.claimId } })).toBe(1)
  })

  test('is forgotten in both files when one of them is erased', async () => {
    const { first, second } = await twins(['Ersa', 'Erased'], ['Stan', 'Stays'])
    await lookThrough(second.candidateId)
    expect(await flagsOn(second)).toHaveLength(1)
    await eraseFile(house.deps, { kind: 'system' }, first.candidateId, 'wish')
    expect(await Flag.count({ where: { otherCandidateId: first.candidateId } })).toBe(0)
    expect(await flagsOn(second)).toEqual([])
  })
})

describe('settling', () => {
  test('takes a reason, once, and is on record; it can be looked at again', async () => {
    const { first } = await twins(['Sina', 'Settled'], ['Sven', 'Settled'])
    const [flag] = await flagsOn(first)
    const settle = (outcome: string, version: number, why = reason) =>
      first.desk.call('settleRedFlag', { params: { id: flag!.id }, body: { version, outcome, reason: why } as never })
    expect((await settle('dismissed', 1, 'no')).status).toBe(422)
    expect((await settle('reopened', 1)).body.code).toBe('settled-already')
    expect((await settle('dismissed', 1)).status).toBe(200)
    expect((await settle('upheld', 1)).status).toBe(409)
    expect((await settle('upheld', 2)).body.code).toBe('settled-already')
    expect((await flagsOn(first))[0]).toMatchObject({ state: 'dismissed', settled: { outcome: 'dismissed', reason } })
    // What was dismissed is not raised anew by the same ground.
    await lookThrough(first.candidateId)
    expect((await flagsOn(first))[0]?.state).toBe('dismissed')
    expect((await settle('reopened', 2)).status).toBe(200)
    expect((await flagsOn(first))[0]?.state).toBe('open')
    expect(await FlagSettlement.count({ where: { flagId: flag!.id } })).toBe(2)
  })

  test('by two at the same moment is done by one', async () => {
    const { first } = await twins(['Tina', 'Two'], ['Tom', 'Two'])
    const [flag] = await flagsOn(first)
    const people = [await house.staff('coordinator'), await house.staff('reviewer')]
    const answers = await Promise.all(
      people.map((who, nth) =>
        who.call('settleRedFlag', {
          params: { id: flag!.id },
          body: { version: 1, outcome: nth === 0 ? 'upheld' : 'dismissed', reason },
        }),
      ),
    )
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409])
    expect(await FlagSettlement.count({ where: { flagId: flag!.id } })).toBe(1)
  })

  test('is nobody’s who may not', async () => {
    const assessor = await house.staff('assessor')
    expect((await assessor.call('listRedFlags', { query: {} })).status).toBe(403)
    expect((await assessor.call('countRedFlags')).status).toBe(403)
  })
})

describe('a confirmation while a red flag stands', () => {
  /** A source that answers at once by a contact nobody has heard of before. */
  async function answeredAtOnce(name: [string, string]) {
    const contacts = [aContact({ mail: `office@${crypto.randomUUID().slice(0, 8)}.example` })]
    const source = await checkedSource(house, { contacts })
    const file = await claimedOf(house, name, source)
    await askAbout(file.desk, file.claimId, file.applicationId)
    await house.workOff()
    const token = tokenIn((await house.mailTo(contacts[0]!.mail)).text, 'reply')
    const { claimed } = await enquiryAbout(file.claimId)
    await house.visitor().done('replyToEnquiry', { params: { token }, body: allRight(claimed) as never })
    await lookThrough(await fileOf(file.applicationId))
    return file
  }
  const confirm = async ({ desk, applicationId, claimId }: Awaited<ReturnType<typeof answeredAtOnce>>) => {
    const { version, proof } = await claimOf(desk, applicationId, claimId)
    const decision = proof.comparison.outcome === 'agrees' ? ('confirmed' as const) : ('confirmed with a note' as const)
    return desk.done('decideClaim', {
      params: { id: claimId },
      body: { version, decision, note: 'Called the switchboard' },
    })
  }

  test('takes a second person, who sees the flag', async () => {
    const file = await answeredAtOnce(['Fay', 'Flagged'])
    const { proof } = await claimOf(file.desk, file.applicationId, file.claimId)
    expect(proof.flags.map(({ kind }) => kind)).toEqual(['answer at once'])
    const { findingId, reviewId } = await confirm(file)
    expect([findingId, typeof reviewId]).toEqual([null, 'string'])
    expect((await Claim.findByPk(file.claimId))?.rung).toBe('asked')
    const second = await house.staff('reviewer')
    const said = await claimOf(second, file.applicationId, file.claimId)
    expect([said.proof.review?.views, said.proof.flags.length]).toEqual([[], 1])
    const decision =
      said.proof.comparison.outcome === 'agrees' ? ('confirmed' as const) : ('confirmed with a note' as const)
    const body = { version: 1, decision, note: 'The register of firms has the same number' }
    await second.done('giveView', { params: { id: reviewId! }, body })
    expect((await Claim.findByPk(file.claimId))?.rung).toBe('confirmed')
  })

  test('takes one person once the flag was dismissed, or its kind switched off', async () => {
    const dismissed = await answeredAtOnce(['Dan', 'Dismissed'])
    const [flag] = (await claimOf(dismissed.desk, dismissed.applicationId, dismissed.claimId)).proof.flags
    const body = { version: 1, outcome: 'dismissed' as const, reason }
    await dismissed.desk.done('settleRedFlag', { params: { id: flag!.id }, body })
    expect((await confirm(dismissed)).findingId).not.toBeNull()

    const switched = await answeredAtOnce(['Sue', 'Switched'])
    const admin = await house.staff('administrator')
    const { version } = await admin.done('countRedFlags')
    const off = { version, on: false, reason: 'Our sources answer by machine' }
    const params = { kind: 'answer at once' as const }
    expect((await switched.desk.call('switchRedFlagKind', { params, body: off })).status).toBe(403)
    const next = await admin.done('switchRedFlagKind', { params, body: off })
    expect((await admin.call('switchRedFlagKind', { params, body: off })).status).toBe(409)
    const counted = (await admin.done('countRedFlags')).kinds.find(({ kind }) => kind === 'answer at once')
    expect(counted).toMatchObject({ dismissed: 1, off: { reason: 'Our sources answer by machine' } })
    expect((await claimOf(switched.desk, switched.applicationId, switched.claimId)).proof.flags).toEqual([])
    expect((await confirm(switched)).findingId).not.toBeNull()
    const on = { ...next, on: true, reason: 'They no longer do' }
    await admin.done('switchRedFlagKind', { params, body: on })
    expect((await claimOf(switched.desk, switched.applicationId, switched.claimId)).proof.flags).toHaveLength(1)
  })
})

test('a file is looked through for its claims, its sources and whoever vouches, and again every night', async () => {
  const { candidate, desk, applicationId } = await claimedOf(house, ['Ines', 'Odd'], await checkedSource(house))
  const add = (details: ClaimDetails) => candidate.done('addClaim', { body: { details } })
  await add(aDegree(house, { ...house.source('tannberg'), number: 'XX-99' }))
  const own = { town: '', country: '', mail: (await candidate.done('readSession')).account!.mail, phone: '', site: '' }
  const unknown = { sourceId: null, sourceName: 'A firm of a friend', sourceSaid: own }
  await add(aJob(house, { ...unknown, from: '2014-01-01', to: '2016-01-01' }))
  await add(aJob(house, { ...unknown, sourceName: 'Another', from: '2014-06-01', to: '2015-12-31' }))
  await add(aDegree(house, { sourceId: null, sourceName: 'Norwick Royal Institute of Technology', number: 'N-1' }))
  const candidateId = await fileOf(applicationId)
  await lookThrough(candidateId)
  const kinds = (await Flag.findAll({ where: { candidateId, state: 'open' } })).map(({ kind }) => kind)
  expect(kinds).toEqual(expect.arrayContaining(['number pattern', 'two full-time jobs', 'own contact', 'seller']))
  // What was looked through is looked through again when the night comes, once.
  expect(await Job.count({ where: { uniqueKey: `flags ${candidateId}` } })).toBe(0)
  expect([await lookThroughNightly(house.deps), await lookThroughNightly(house.deps)]).toEqual([0, 0])
  expect(await Job.count({ where: { uniqueKey: `flags ${candidateId}` } })).toBe(1)
  const { claims } = await desk.done('readFile', { params: { id: applicationId } })
  expect(claims.map(({ flags }) => flags).reduce((sum, count) => sum + count, 0)).toBe(kinds.length)
})

/** The whole queue, page by page. */
async function allListed(who: Visitor) {
  const flags: QueuedFlag[] = []
  for (let after: string | undefined; ; ) {
    const page = await who.done('listRedFlags', { query: after ? { after } : {} })
    flags.push(...page.flags)
    if (!page.next) return flags
    after = page.next
  }
}

test('the queue is read in pages: each flag once, least slack first', async () => {
  const desk = await house.staff('coordinator')
  const { candidateId } = await Application.findOne({ where: { stage: 'sent' }, rejectOnEmpty: true })
  const row = { documentId: null, enquiryId: null, otherCandidateId: null, otherClaimId: null, otherDocumentId: null }
  await Flag.bulkCreate(
    Array.from({ length: 101 }, (_, nth) => ({
      ...{
        ...row,
        id: crypto.randomUUID(),
        candidateId,
        kind: 'mixed fonts' as const,
        about: `page ${nth}`,
        claimId: null,
      },
      ...{ flagValues: {}, state: 'open' as const, raisedAt: new Date(), version: 1 },
    })),
  )
  const listed = await allListed(desk)
  const slacks = listed.map(({ slack }) => slack!)
  expect(listed.filter(({ kind }) => kind === 'mixed fonts')).toHaveLength(101)
  expect(new Set(listed.map(({ id }) => id)).size).toBe(listed.length)
  expect(slacks).toEqual([...slacks].sort((a, b) => a - b))
})

test('the rail counts what the queue lists: nobody whose application has ended, and no kind that is switched off', async () => {
  const { first, second } = await twins(['Willa', 'Withdrawn'], ['Wim', 'Waits'])
  await lookThrough(second.candidateId)
  const admin = await house.staff('administrator')
  const listed = async () => (await allListed(admin)).length
  const inRail = async () => (await admin.done('readCounts')).redFlags
  const counted = async () =>
    (await admin.done('countRedFlags')).kinds.reduce((sum, { open, off }) => sum + (off ? 0 : open), 0)
  const all = await listed()
  expect([await inRail(), await counted()]).toEqual([all, all])
  await first.candidate.done('withdraw', { params: { id: first.applicationId } })
  const left = await listed()
  expect(left).toBeLessThan(all)
  expect((await allListed(admin)).map(({ name }) => name)).not.toContain('Willa Withdrawn')
  const { version } = await admin.done('countRedFlags')
  const body = { version, on: false, reason: 'One course gives one paper to all' }
  await admin.done('switchRedFlagKind', { params: { kind: 'same file' }, body })
  expect([await inRail(), await counted()]).toEqual([await listed(), await listed()])
  expect(await listed()).toBeLessThan(left)
  const { version: next } = await admin.done('countRedFlags')
  await admin.done('switchRedFlagKind', { params: { kind: 'same file' }, body: { ...body, version: next, on: true } })
  expect((await admin.call('listRedFlags', { query: { after: 'here_and there' } })).status).toBe(422)
})

test('what was raised in a file before it was merged stands in nobody’s way', async () => {
  const { first } = await twins(['Mara', 'Merged'], ['Max', 'Merged'])
  const claim = await Claim.findByPk(first.claimId, { rejectOnEmpty: true })
  expect(await isFlagged(claim)).toBe(true)
  const { candidateId: kept } = await withPaper(['Mara', 'Kept'], await aPaper('Another of hers'))
  await claim.update({ candidateId: kept })
  expect(await isFlagged(claim)).toBe(false)
})

test('one that is looked at again after its ground has gone goes by itself', async () => {
  const { first } = await twins(['Rita', 'Reopened'], ['Ron', 'Reopened'])
  const [flag] = await flagsOn(first)
  const settle = (outcome: 'upheld' | 'reopened', version: number) =>
    first.desk.done('settleRedFlag', { params: { id: flag!.id }, body: { version, outcome, reason } })
  await settle('upheld', 1)
  await (await documentOf(first.documentId)).update({ state: 'replaced' })
  await lookThrough(first.candidateId)
  expect((await flagsOn(first))[0]?.state).toBe('upheld')
  await settle('reopened', 2)
  expect(await Job.count({ where: { uniqueKey: `flags ${first.candidateId}` } })).toBe(1)
  await lookThrough(first.candidateId)
  expect(await flagsOn(first)).toEqual([])
})

test('what rests on hidden things is told to be there, and nothing of what', async () => {
  const candidate = await house.candidate('Mila Medical')
  const { id } = await applied(house, candidate, ['Mila', 'Medical'])
  const claim = await Claim.findOne({ where: { candidateId: await fileOf(id) }, rejectOnEmpty: true })
  await Flag.create({
    ...{ id: crypto.randomUUID(), candidateId: claim.candidateId, kind: 'too young', about: 'x', claimId: claim.id },
    ...{ documentId: null, enquiryId: null, otherCandidateId: null, otherClaimId: null, otherDocumentId: null },
    flagValues: { claim: 'MSc', day: { day: '2009' }, age: 17, youngest: 19 },
    ...{ state: 'open', raisedAt: new Date(), version: 1 },
  })
  const saysTo = async (role: 'coordinator' | 'administrator') => {
    const who = await house.staff(role)
    const listed = await allListed(who)
    return [
      listed.find(({ name, kind }) => name === 'Mila Medical' && kind === 'too young')!.says,
      (await claimOf(who, id, claim.id)).proof.flags[0]!.says,
    ]
  }
  for (const says of await saysTo('coordinator')) expect(says).toContain('17')
  for (const says of await saysTo('administrator')) expect(says).not.toMatch(/17|2009/)
})
