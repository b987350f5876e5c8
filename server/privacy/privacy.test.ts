import { QueryTypes, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import { aPaper, applied, claimOf, type House, openHouse, personAnswers } from '../../test/house'
import { verifyTrail } from '../audit/verify'
import { AccessLogEntry, Event } from '../platform/audit/model'
import { clockAhead } from '../platform/clock'
import { Message } from '../platform/mail/model'
import { Candidate } from '../records/accounts/model'
import { Application } from '../records/applications/model'
import { Claim } from '../records/claims/model'
import { Blob, Document } from '../records/documents/model'
import { retain } from './retain'

let house: House
beforeAll(async () => {
  house = await openHouse('privacy')
}, 60_000)
afterAll(() => house.close())

const passport: ClaimDetails = {
  kind: 'identity',
  sourceId: null,
  sourceName: '',
  paper: 'passport',
  number: 'P7654321',
  issuer: 'AUT',
  familyName: 'Closed',
  givenNames: 'Clara',
  born: '1994-08-21',
  through: '2031-01-01',
  zone: '',
}

async function withPassport(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const { id, reference } = await applied(house, candidate, name)
  const claim = await candidate.done('addClaim', { body: { details: passport } })
  const document = await candidate.done('uploadDocument', {
    params: { id: claim.id },
    query: { fileName: 'Passport.pdf' },
    body: await aPaper(`Passport of ${name.join(' ')}`),
  })
  const { candidateId } = await Application.findByPk(id, { rejectOnEmpty: true })
  return { candidate, id, reference, claimId: claim.id, documentId: document.id, candidateId }
}

describe('what not everybody needs', () => {
  test('an identity number is covered for the coordinator until it is asked for with a reason, and that is on record', async () => {
    const { id, claimId, documentId, candidateId } = await withPassport(['Clara', 'Closed'])
    const desk = await house.staff('coordinator')
    const read = () => desk.done('readFile', { params: { id } })
    const before = await read()
    expect(JSON.stringify(before)).not.toContain('P7654321')
    expect(before.hidden).toContainEqual({
      subject: `identity number ${claimId}`,
      label: 'Passport: identity number',
      mayReveal: true,
    })
    expect(before.candidate.born).toBe(personAnswers('Clara', 'Closed')['about.born'])
    expect((await desk.request(`/api/documents/${documentId}/bytes`)).status).toBe(403)

    const subject = `identity number ${claimId}`
    expect((await desk.call('reveal', { params: { id }, body: { subject, reason: '' } })).status).toBe(422)
    await desk.done('reveal', { params: { id }, body: { subject, reason: 'The issuer asks for it' } })
    expect(JSON.stringify(await read())).toContain('P7654321')
    expect((await desk.request(`/api/documents/${documentId}/bytes`)).status).toBe(200)
    // To nobody else.
    const other = await house.staff('coordinator')
    expect(JSON.stringify(await other.done('readFile', { params: { id } }))).not.toContain('P7654321')

    const { entries } = await desk.done('readAccessLog', { params: { candidateId } })
    expect(entries.map(({ what, reason, hidden }) => [what, reason, hidden])).toEqual(
      expect.arrayContaining([
        ['the file', null, false],
        ['identity number', 'The issuer asks for it', true],
        ['identity number, on the paper', null, true],
      ]),
    )
    expect(await Event.count({ where: { candidateId, code: 'hidden-seen' } })).toBe(1)
    expect((await verifyTrail({ chain: candidateId })).broken).toEqual([])
  })

  test('a file opened several times at once is written down once for each reader', async () => {
    const { id, candidateId } = await withPassport(['Olga', 'Opened'])
    const [one, other] = [await house.staff('coordinator'), await house.staff('hiring manager')]
    const before = await AccessLogEntry.count({ where: { candidateId, what: 'file' } })
    const look = (desk: typeof one) => desk.done('readFile', { params: { id } })
    await Promise.all([look(one), look(one), look(one), look(other), look(one)])
    expect(await AccessLogEntry.count({ where: { candidateId, what: 'file' } })).toBe(before + 2)
    // The check before the write is no guard: two transactions that both saw nothing are held apart by the key.
    const [kept] = await AccessLogEntry.findAll({ where: { candidateId, what: 'file' } })
    const { actorId, once, who, subject, what, at } = kept!
    const again = { id: uuid(), candidateId, applicationId: null, actorId, who, subject, what, reason: null, at, once }
    await expect(AccessLogEntry.create(again)).rejects.toThrow(UniqueConstraintError)
  })

  test('a hiring manager has declarations shown for a reason, and never health; an assessor nothing', async () => {
    const { id } = await withPassport(['Delia', 'Declares'])
    const manager = await house.staff('hiring manager')
    const read = () => manager.done('readFile', { params: { id } })
    const dismissed = async () => (await read()).answers.find(({ label }) => label.includes('dismissed'))
    expect(await dismissed()).toMatchObject({ answer: 'Hidden', hidden: 'declarations' })
    expect((await read()).candidate.born).toBeNull()
    await manager.done('reveal', { params: { id }, body: { subject: 'declarations', reason: 'Before the offer' } })
    expect(await dismissed()).toMatchObject({ answer: 'No', hidden: null })
    const refused = await manager.call('reveal', { params: { id }, body: { subject: 'health x', reason: 'Curious' } })
    expect(refused.status).toBe(403)
    const assessor = await house.staff('assessor')
    for (const subject of ['declarations', 'birth date', 'health x', 'identity number x'])
      expect((await assessor.call('reveal', { params: { id }, body: { subject, reason: 'Wants to' } })).status).toBe(
        403,
      )
    expect((await assessor.call('reveal', { params: { id }, body: { subject: 'pay', reason: 'What' } })).status).toBe(
      422,
    )
  })

  test('names hidden until the shortlist are hidden in queue, table, search and file', async () => {
    const desk = await house.staff('coordinator')
    const { id, reference } = await withPassport(['Nelly', 'Nameless'])
    const { vacancyId } = await Application.findByPk(id, { rejectOnEmpty: true })
    const sheet = await desk.done('readScoreSheet', { params: { id: vacancyId } })
    const save = (version: number, hideNames: boolean) =>
      desk.done('saveScoreSheet', {
        params: { id: vacancyId },
        body: { version, hideNames, reviewers: 2, criteria: [] },
      })
    const { version } = await save(sheet.version, true)
    const queue = await desk.done('readQueue', { params: { queue: 'applications' } })
    expect(queue.people.find((row) => row.id === id)?.candidate).toBe(reference)
    const file = await desk.done('readFile', { params: { id } })
    expect(JSON.stringify(file)).not.toMatch(/Nelly|Nameless/)
    expect(file.candidate.name).toBe(reference)
    const found = await desk.done('find', { query: { text: 'nameless' } })
    expect(JSON.stringify(found)).not.toContain('Nameless')
    expect((await desk.done('readTable', { query: { text: 'nameless' } })).rows).toEqual([])
    await desk.done('reveal', { params: { id }, body: { subject: 'name', reason: 'They rang about their paper' } })
    expect((await desk.done('readFile', { params: { id } })).candidate.name).toBe('Nelly Nameless')
    await save(version, false)
    expect((await desk.done('readTable', { query: { text: 'nameless' } })).rows).toHaveLength(1)
  })
})

describe('reading without names', () => {
  /** Somebody called as half the words of their file are, who has named themselves wherever one may write. */
  async function bergTan() {
    const candidate = await house.candidate('Berg Tan')
    const { id, jobId, reference } = await applied(house, candidate, ['Berg', 'Tan'])
    const ownFirm: ClaimDetails = {
      ...{ kind: 'work', sourceId: null, sourceName: 'Tan Elektro', activity: 'employment', position: 'Owner' },
      ...{ from: '2011-01', to: '2012-01', fullTimeShare: 100, tags: [], confirmBy: 'Berg Tan', mayAsk: 'now' },
    }
    const { id: firmId } = await candidate.done('addClaim', { body: { details: ownFirm } })
    await candidate.done('uploadDocument', {
      params: { id: firmId },
      query: { fileName: 'Letter Tan.pdf' },
      body: await aPaper('Letter of Berg Tan'),
    })
    const home: ClaimDetails = {
      ...{ kind: 'residence', sourceId: null, sourceName: '', address: 'Haus Tan, Bergweg 1', country: 'AT' },
      ...{ from: '2015-01', to: 'present' },
    }
    await candidate.done('addClaim', { body: { details: home } })
    const application = await Application.findByPk(id, { rejectOnEmpty: true })
    const told = { 'declare.dismissed': 'yes', 'declare.dismissed.because': 'Tan against Tannberg, in 2012' }
    await application.update({ answers: { ...application.answers, ...told } })
    return { id, jobId, firmId, reference, vacancyId: application.vacancyId }
  }
  let sheetVersion = 0
  const hideNames = async (vacancyId: string, hide: boolean) => {
    const desk = await house.staff('coordinator')
    const { version } = await desk.done('readScoreSheet', { params: { id: vacancyId } })
    const body = { version, hideNames: hide, reviewers: 2, criteria: [] }
    sheetVersion = (await desk.done('saveScoreSheet', { params: { id: vacancyId }, body })).version
  }

  test('the view is made from what may be read: no file names, no words anybody wrote, and no word is cut', async () => {
    const { id, jobId, firmId, reference, vacancyId } = await bergTan()
    await hideNames(vacancyId, true)
    const desk = await house.staff('coordinator')
    const file = await desk.done('readFile', { params: { id } })
    // What the vacancy asks stays as it is written, with mountains in it.
    const text = JSON.stringify({ ...file, requirements: [], outcomes: [] })
    expect(JSON.stringify(file.requirements)).toContain('Auf dem Berg')
    expect(text).not.toMatch(/\bTan\b|\bBerg\b|Letter/)
    expect(text).not.toContain('•')
    const of = (claimId: string) => file.claims.find((claim) => claim.id === claimId)!
    // Called by what was done there, where nobody but the candidate says who that was.
    expect([of(firmId).label, of(firmId).details.sourceName, of(firmId).documents]).toEqual(['Owner', '', []])
    expect(text).not.toContain('Bergweg')
    const known = house.source('nordrampe').sourceName
    expect([of(jobId).label, of(jobId).details.sourceName]).toEqual([known, known])
    const proof = await desk.done('readProof', { params: { id, claimId: jobId } })
    expect(JSON.stringify(proof)).not.toMatch(/\bTan\b|\bBerg\b/)
    expect(proof.comparison.fields.map(({ key, claimed }) => [key, claimed])).toContainEqual(['name', ''])
    expect(file.answers.find(({ label }) => label.includes('dismissed'))).toMatchObject({ answer: 'Yes', hidden: null })
    const queue = await desk.done('readQueue', { params: { queue: 'applications' } })
    expect(queue.people.find((row) => row.id === id)?.candidate).toBe(reference)
    const trail = await desk.done('readTrail', { query: {} })
    const own = trail.events.filter(({ applicationId }) => applicationId === id)
    expect(own.length).toBeGreaterThan(2)
    expect(JSON.stringify(own)).not.toMatch(/\bTan\b|\bBerg\b/)
    expect(own.map(({ who }) => who)).toContain(reference)

    await desk.done('reveal', { params: { id }, body: { subject: 'name', reason: 'They rang about their paper' } })
    const shown = await desk.done('readFile', { params: { id } })
    expect(JSON.stringify(shown)).toContain('Letter Tan.pdf')
    expect(shown.answers.find(({ label }) => label.includes('dismissed'))?.answer).toContain('Tan against Tannberg')
    await hideNames(vacancyId, false)
    expect(sheetVersion).toBeGreaterThan(1)
  })

  test('a hidden number is in no part of its claim, and what stands beside it is', async () => {
    const { id, claimId } = await withPassport(['Nora', 'Number'])
    const claim = await Claim.findByPk(claimId, { rejectOnEmpty: true })
    await claim.update({
      details: { ...(claim.details as typeof passport), zone: 'P<AUTNUMBER<<NORA' } as ClaimDetails,
    })
    const desk = await house.staff('coordinator')
    const seen = await claimOf(desk, id, claimId)
    expect(JSON.stringify(seen)).not.toContain('P7654321')
    expect(seen).toMatchObject({
      documents: [],
      details: { number: '••••••21', zone: '', familyName: 'Closed' },
      proof: { claimed: { number: '••••••21', name: expect.any(String) } },
    })
    const manager = await house.staff('hiring manager')
    const withoutBirth = await claimOf(manager, id, claimId)
    expect(withoutBirth.proof.comparison.fields.map(({ key }) => key)).toContain('born')
    expect(JSON.stringify(withoutBirth)).not.toContain('1994-08-21')
  })
})

describe('one’s own data', () => {
  test('comes as a ZIP of JSON and papers, and only one’s own', async () => {
    const { candidate, documentId, reference } = await withPassport(['Zita', 'Zipped'])
    const reply = await candidate.request('/api/my/data.zip')
    expect([reply.status, reply.headers.get('content-type')]).toEqual([200, 'application/zip'])
    const bytes = Buffer.from(await reply.arrayBuffer())
    // The directory of a ZIP names its files in the clear (APPNOTE 4.3.12).
    const directory = bytes.toString('latin1')
    for (const name of [
      'person.json',
      'claims.json',
      'received.json',
      `applications/${reference}.json`,
      `papers/${documentId.slice(-6)}`,
    ])
      expect(directory).toContain(name)
    expect(bytes.readUInt32LE(0)).toBe(0x04034b50)
    expect(bytes.subarray(-22).readUInt32LE(0)).toBe(0x06054b50)
    expect((await house.visitor().request('/api/my/data.zip')).status).toBe(401)
  })

  test('erased while under way: nobody finds it any more, what must stay is sealed until its day, then goes by itself', async () => {
    const { candidate, id, candidateId, documentId } = await withPassport(['Erna', 'Erased'])
    const keeping = await candidate.done('readKeeping')
    expect(keeping.kept[0]).toMatchObject({ until: null })
    expect(keeping.left.map(({ until }) => until)).toEqual([house.day(183), expect.any(String)])
    expect(
      (await candidate.call('eraseMe', { body: { password: 'not-my-password-at-all', agreed: true } })).status,
    ).toBe(422)
    await candidate.done('eraseMe', { body: { password: 'a-long-enough-secret', agreed: true } })
    expect((await candidate.call('readKeeping')).status).toBe(401)
    const desk = await house.staff('coordinator')
    expect((await desk.call('readFile', { params: { id } })).status).toBe(404)
    expect((await desk.done('find', { query: { text: 'Erna Erased' } })).people).toEqual([])
    expect(await Document.count({ where: { candidateId } })).toBeGreaterThan(0)
    const { sha256 } = await Document.findByPk(documentId, { rejectOnEmpty: true })

    const ahead = (days: number) => ({ ...house.deps, clock: clockAhead(days * 86_400_000, 'Europe/Vienna') })
    await retain(ahead(180))
    expect((await Candidate.findByPk(candidateId))?.erasedAt).toBeNull()
    await retain(ahead(185))
    expect(await Candidate.findByPk(candidateId)).toMatchObject({ name: 'Erased', born: null })
    expect(await Document.count({ where: { candidateId } })).toBe(0)
    expect(await Claim.count({ where: { candidateId } })).toBe(0)
    expect(await Message.count({ where: { candidateId } })).toBe(0)
    expect(await Message.count({ where: { toMail: candidate.mail } })).toBe(0)
    const [row] = await house.fixed.sequelize.query<{ kept: number | bigint }>(
      'SELECT COUNT(*) AS kept FROM idempotency_keys o JOIN candidates c ON c.accountId = o.actor WHERE c.id = :candidateId',
      { replacements: { candidateId }, type: QueryTypes.SELECT },
    )
    expect(Number(row!.kept)).toBe(0)
    expect(await Blob.findByPk(sha256!)).toBeNull()
    const words = await Event.findAll({ where: { chain: candidateId } })
    expect(JSON.stringify(words)).not.toMatch(/Erna/)
    const verified = await verifyTrail({ chain: candidateId })
    expect(verified.broken).toEqual([])
    expect(verified.erased).toBe(verified.links - 1)
    expect((await Application.findByPk(id))?.answers).toEqual({})
  })

  test('who has sent nothing is erased at once; only an administrator may do it for somebody', async () => {
    const drafter = await house.candidate('Dora Draft')
    const { id } = await drafter.done('beginApplication', { params: { slug: 'track-engineer' } })
    const { candidateId } = await Application.findByPk(id, { rejectOnEmpty: true })
    const erase = (role: 'coordinator' | 'administrator') =>
      house
        .staff(role)
        .then((desk) => desk.call('erasePerson', { params: { candidateId }, body: { reason: 'They wrote a letter' } }))
    expect((await erase('coordinator')).status).toBe(403)
    expect((await erase('administrator')).status).toBe(200)
    expect((await Candidate.findByPk(candidateId))?.name).toBe('Erased')
    expect((await verifyTrail({ chain: candidateId })).broken).toEqual([])
  })
})
