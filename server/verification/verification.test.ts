import type { EnquiryReply } from '#contract/reply'
import {
  aPaper,
  aPermit,
  applied,
  claimOf,
  contradict,
  type House,
  look,
  openHouse,
  tokenIn,
  until,
} from '../../test/house'
import { Job } from '../platform/jobs/model'
import { Candidate } from '../records/accounts/model'
import { Enquiry } from '../records/enquiries/model'

let house: House
beforeAll(async () => {
  house = await openHouse('verification')
}, 60_000)
afterAll(() => house.close())

const registrar = 'pruefungsamt@tannberg.example'

async function askedAboutDegree(name: [string, string], reads: Record<string, string> = {}) {
  const candidate = await house.candidate(name.join(' '))
  const file = await applied(house, candidate, name)
  const desk = await house.staff('coordinator')
  await look(desk, file.id, file.degreeId, reads)
  await desk.done('raiseEnquiry', { params: { id: file.degreeId }, body: { applicationId: file.id } })
  await house.workOff()
  const mail = await house.mailTo(registrar, name[1])
  return { candidate, desk, ...file, mail, token: tokenIn(mail.text, 'reply') }
}

const replyWith = (claimed: Record<string, string>, over: EnquiryReply['fields'] = {}): EnquiryReply => ({
  known: true,
  fields: { ...Object.fromEntries(Object.keys(claimed).map((key) => [key, { says: 'agrees' as const }])), ...over },
  note: '',
  respondent: 'Renate Amt',
  capacity: 'Registrar’s office',
})

test('a degree climbs the ladder: claimed, evidenced, asked, confirmed', async () => {
  const { desk, id, degreeId, mail, token } = await askedAboutDegree(['Ida', 'Ladder'])
  expect((await claimOf(desk, id, degreeId)).rung).toBe('asked')
  expect(mail.attachments.map(({ mediaType }) => mediaType)).toEqual(['application/pdf'])

  const source = house.visitor()
  const question = await source.done('readEnquiry', { params: { token } })
  expect(question).toMatchObject({ state: 'open', source: 'Technische Hochschule Tannberg', candidate: 'Ida Ladder' })
  expect(Object.keys(question.claimed).sort()).toEqual(['award', 'awarded', 'born', 'name', 'number', 'subject'])
  await source.done('replyToEnquiry', { params: { token }, body: replyWith(question.claimed) })

  const claim = await claimOf(desk, id, degreeId)
  expect(claim.proof.comparison.outcome).toBe('agrees')
  expect(claim.proof.sentence.head).toBe('The source agrees in every field that matters.')
  const { findingId } = await desk.done('decideClaim', {
    params: { id: degreeId },
    body: { version: claim.version, decision: 'confirmed', note: '' },
  })
  expect((await claimOf(desk, id, degreeId)).rung).toBe('confirmed')

  await desk.done('undoDecision', { params: { id: findingId! } })
  const undone = await claimOf(desk, id, degreeId)
  expect([undone.rung, undone.proof.findings[0]?.undone]).toEqual(['asked', true])
  const { trail } = await desk.done('readFile', { params: { id } })
  expect(trail.map(({ what }) => what)).toEqual(
    expect.arrayContaining([
      expect.stringMatching(/^Looked at Degree.pdf/),
      expect.stringMatching(/^Asked Technische/),
      expect.stringMatching(/^Answered about/),
      expect.stringMatching(/^Confirmed:/),
      expect.stringMatching(/^Undid the decision/),
    ]),
  )
})

test('a link is used up by its answer, and then tells nothing of the person', async () => {
  const { token } = await askedAboutDegree(['Una', 'Usedup'])
  const source = house.visitor()
  const { claimed } = await source.done('readEnquiry', { params: { token } })
  const reply = replyWith(claimed)
  expect(
    (
      await source.call('replyToEnquiry', {
        params: { token },
        body: { ...reply, fields: { name: { says: 'agrees' } } },
      })
    ).status,
  ).toBe(422)
  await source.done('replyToEnquiry', { params: { token }, body: reply })
  expect(await source.done('readEnquiry', { params: { token } })).toMatchObject({
    state: 'answered',
    candidate: '',
    claimed: {},
  })
  expect((await source.call('replyToEnquiry', { params: { token }, body: reply })).status).toBe(410)
  expect((await source.call('readEnquiry', { params: { token: 'x'.repeat(43) } })).status).toBe(404)
})

test('an expired link says so and takes no answer', async () => {
  const { token, degreeId } = await askedAboutDegree(['Eva', 'Expired'])
  const { claimed } = await house.visitor().done('readEnquiry', { params: { token } })
  await Enquiry.update({ expiresAt: new Date(Date.now() - 1000) }, { where: { claimId: degreeId } })
  expect((await house.visitor().done('readEnquiry', { params: { token } })).state).toBe('expired')
  expect(
    (await house.visitor().call('replyToEnquiry', { params: { token }, body: replyWith(claimed) })).body.code,
  ).toBe('expired')
})

test('a misread number wants a note; a plain confirmation is refused', async () => {
  const { desk, id, degreeId, token } = await askedAboutDegree(['Mia', 'Misread'])
  const source = house.visitor()
  const { claimed } = await source.done('readEnquiry', { params: { token } })
  await source.done('replyToEnquiry', {
    params: { token },
    body: replyWith(claimed, { number: { says: 'differs', value: 'TB-2016-9034' } }),
  })
  const claim = await claimOf(desk, id, degreeId)
  expect(claim.proof.sentence).toEqual({
    head: 'One field is close, not the same.',
    detail: 'Number: one character, 8 against 6, easily misread in a scan.',
  })
  const decide = (decision: string, note: string) =>
    desk.call('decideClaim', { params: { id: degreeId }, body: { version: claim.version, decision, note } })
  expect((await decide('confirmed', '')).body.code).toBe('not-the-same')
  expect((await decide('confirmed with a note', '')).status).toBe(422)
  expect((await decide('confirmed with a note', 'Scan checked: the paper says 6.')).status).toBe(200)
  expect((await decide('contradicted', 'late')).body.code).toBe('changed-meanwhile')
})

test('a source that knows nothing of it contradicts', async () => {
  const { desk, id, degreeId, token } = await askedAboutDegree(['Fritz', 'Forged'])
  await house.visitor().done('replyToEnquiry', {
    params: { token },
    body: { known: false, fields: {}, note: 'No such student.', respondent: 'Renate Amt', capacity: '' },
  })
  const claim = await claimOf(desk, id, degreeId)
  expect(claim.proof.sentence.head).toBe('The source has no record of this.')
  await contradict(house, desk, id, degreeId, 'Never a student there.')
  expect((await claimOf(desk, id, degreeId)).rung).toBe('contradicted')
})

test('nobody is asked before a document was seen, twice at once, or against the candidate’s word; what waits goes by itself', async () => {
  const candidate = await house.candidate('Paul Patience')
  const { id, degreeId, jobId } = await applied(house, candidate, ['Paul', 'Patience'])
  const desk = await house.staff('coordinator')
  const ask = (claim: string) => desk.call('raiseEnquiry', { params: { id: claim }, body: { applicationId: id } })
  expect((await ask(degreeId)).body).toMatchObject({ state: 'prepared' })
  expect((await claimOf(desk, id, degreeId)).proof.enquiries[0]!.lacks).toEqual([
    expect.stringMatching(/Look at the document first/),
  ])
  expect(house.mailbox.mails.filter(({ subject }) => subject.includes('Patience'))).toEqual([])
  await look(desk, id, degreeId)
  await house.workOff()
  expect((await house.mailTo(registrar, 'Patience')).text).toContain('/reply/')
  expect((await claimOf(desk, id, degreeId)).rung).toBe('asked')
  expect((await ask(degreeId)).body.title).toMatch(/being asked already/)
  const job = await claimOf(desk, id, jobId)
  await candidate.done('changeClaim', {
    params: { id: jobId },
    body: { version: job.version, details: { ...job.details, mayAsk: 'never' } },
  })
  expect((await ask(jobId)).body.title).toMatch(/does not want this source to be asked/)
})

test('a document sent back comes with a mail and a task, and a better one takes its place', async () => {
  const candidate = await house.candidate('Bea Back')
  const { id, degreeId } = await applied(house, candidate, ['Bea', 'Back'])
  const desk = await house.staff('coordinator')
  const document = (await claimOf(desk, id, degreeId)).documents[0]!
  await desk.done('sendDocumentBack', {
    params: { id: document.id },
    body: { version: 0, reason: 'The lower third is cut off.' },
  })
  await house.workOff()
  expect((await house.mailTo(candidate.mail, 'better copy')).text).toContain('The lower third is cut off.')
  const status = await candidate.done('readStatus', { params: { id } })
  expect(status.toDo).toContainEqual(expect.objectContaining({ act: 'upload', target: degreeId }))
  await candidate.done('uploadDocument', {
    params: { id: degreeId },
    query: { fileName: 'Better.pdf' },
    body: await aPaper('Better'),
  })
  const states = (await claimOf(desk, id, degreeId)).documents.map(({ fileName, state }) => `${fileName} ${state}`)
  expect(states).toEqual(['Degree.pdf replaced', 'Better.pdf to look at'])
})

test('a former name counts once a paper shows it', async () => {
  const name: [string, string] = ['Maëlle', 'Okafor']
  const candidate = await house.candidate(name.join(' '))
  const { id, degreeId } = await applied(house, candidate, name)
  const desk = await house.staff('coordinator')
  await look(desk, id, degreeId, { name: 'Maëlle Dréau' })
  const nameVerdict = async () => (await claimOf(desk, id, degreeId)).proof.comparison.fields[0]!.byDocument.verdict
  expect(await nameVerdict()).toBe('different')
  await Candidate.update({ otherNames: ['Maëlle Dréau'] }, { where: { name: 'Maëlle Okafor' } })
  expect(await nameVerdict()).toBe('different')
  const permit = await candidate.done('addClaim', {
    body: { details: aPermit(house, 'first-aid', 'aid', 'FH-90001', house.day(400)) },
  })
  await candidate.done('uploadDocument', {
    params: { id: permit.id },
    query: { fileName: 'Aid.pdf' },
    body: await aPaper('Aid'),
  })
  await look(desk, id, permit.id, { name: 'DREAU Maelle' })
  expect(await nameVerdict()).toBe('equivalent')
})

test('a register that does not answer is asked again by itself until it does', async () => {
  const candidate = await house.candidate('Silja Silent')
  const { id, degreeId } = await applied(house, candidate, ['Silja', 'Silent'])
  const desk = await house.staff('coordinator')
  await look(desk, id, degreeId)
  house.registers.behaviour.silent = true
  const silent = await desk.call('askRegister', {
    params: { id: degreeId },
    body: { applicationId: id },
    key: 'register-key-1',
  })
  expect([silent.status, silent.body.found]).toEqual([200, null])
  expect((await claimOf(desk, id, degreeId)).proof.enquiries).toMatchObject([{ channel: 'register', state: 'open' }])
  const again = await desk.call('askRegister', {
    params: { id: degreeId },
    body: { applicationId: id },
    key: 'register-key-1',
  })
  expect(again.body).toEqual(silent.body)
  expect(await Enquiry.count({ where: { claimId: degreeId } })).toBe(1)

  house.registers.behaviour.silent = false
  house.enter({
    'tannberg-degrees': {
      TB20189034: {
        fields: {
          name: 'SILENT Silja',
          award: 'Master of Science',
          subject: 'Electrical Engineering',
          number: 'TB-2018-9034',
          awarded: '2018-03-22',
        },
      },
    },
  })
  const claim = await until(async () => {
    await Job.update({ runAt: new Date(0) }, { where: { kind: 'look up', doneAt: null } })
    await house.workOff()
    const now = await claimOf(desk, id, degreeId)
    return now.proof.enquiries[0]?.state === 'answered' && now
  })
  expect([claim.rung, claim.proof.comparison.outcome]).toEqual(['asked', 'agrees'])
  await desk.done('decideClaim', {
    params: { id: degreeId },
    body: { version: claim.version, decision: 'confirmed', note: '' },
  })
})
