import type { Visitor } from '../../test/client'
import { aPaper, applied, claimOf, type House, letHearingsEnd, look, openHouse, tokenIn } from '../../test/house'
import { Account } from '../records/accounts/model'
import { ClaimReview } from '../records/decisions/model'
import { Finding } from '../records/enquiries/model'

let house: House
let ines: Visitor
let tomas: Visitor
let vera: Visitor
beforeAll(async () => {
  house = await openHouse('reviews')
  ines = await house.staff('coordinator')
  tomas = await house.staff('coordinator')
  vera = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

/** A degree whose registrar says another award. */
async function answered(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const file = await applied(house, candidate, name)
  await look(ines, file.id, file.degreeId)
  await ines.done('raiseEnquiry', { params: { id: file.degreeId }, body: { applicationId: file.id } })
  await house.workOff()
  const token = tokenIn((await house.mailTo('pruefungsamt@tannberg.example', name[1])).text, 'reply')
  const { claimed } = await house.visitor().done('readEnquiry', { params: { token } })
  const fields = Object.fromEntries(Object.keys(claimed).map((key) => [key, { says: 'agrees' as const }]))
  const award = { says: 'differs' as const, value: 'Certificate of attendance' }
  const body = { known: true, fields: { ...fields, award }, note: '', respondent: 'Renate Amt', capacity: 'Office' }
  await house.visitor().done('replyToEnquiry', { params: { token }, body })
  return { candidate, ...file }
}

type Decided = 'confirmed' | 'confirmed with a note' | 'contradicted' | 'unconfirmable'

async function propose(
  desk: Visitor,
  id: string,
  claimId: string,
  decision: Decided,
  note = 'They name another award.',
) {
  const { version } = await claimOf(desk, id, claimId)
  return desk.done('decideClaim', { params: { id: claimId }, body: { version, decision, note } })
}

const reviewOf = async (desk: Visitor, id: string, claimId: string) => (await claimOf(desk, id, claimId)).proof.review!
const view = (desk: Visitor, review: { id: string; version: number }, decision: Decided, note = 'As I read it.') =>
  desk.call('giveView', { params: { id: review.id }, body: { version: review.version, decision, note } })
const conclude = (desk: Visitor, review: { id: string; version: number }, decision: Decided, note = 'As it stands.') =>
  desk.call('concludeReview', { params: { id: review.id }, body: { version: review.version, decision, note } })

test('a contradiction is proposed: the rung stays, the gate is shut, and the second sees the evidence and not the view', async () => {
  const { id, degreeId } = await answered(['Ada', 'Award'])
  const { findingId, reviewId } = await propose(ines, id, degreeId, 'contradicted')
  expect([findingId, typeof reviewId]).toEqual([null, 'string'])
  const claim = await claimOf(ines, id, degreeId)
  expect([claim.rung, claim.proof.findings, claim.wants]).toEqual(['asked', [], 'Second person: decide'])
  const { outcomes } = await ines.done('readFile', { params: { id } })
  expect(outcomes.find(({ claims }) => claims.includes(degreeId))?.reason).toMatchObject({ code: 'decision-open' })

  const mine = await reviewOf(ines, id, degreeId)
  expect([mine.views.length, mine.may.say, mine.may.conclude]).toEqual([1, false, false])
  const theirs = await reviewOf(tomas, id, degreeId)
  expect([theirs.views, theirs.may]).toEqual([[], { say: true, conclude: false, withdraw: false }])
  expect((await view(ines, mine, 'contradicted')).body).toMatchObject({ code: 'said-already' })
  expect((await conclude(ines, mine, 'contradicted')).body).toMatchObject({ code: 'takes-another' })
  expect(
    (
      await ines.call('decideClaim', {
        params: { id: degreeId },
        body: { version: claim.version, decision: 'unconfirmable', note: 'else' },
      })
    ).body,
  ).toMatchObject({ code: 'under-review' })
})

test('two agree, the candidate is told without blame, answers with a paper, and a person concludes with the answer', async () => {
  const { candidate, id, degreeId } = await answered(['Bea', 'Both'])
  await propose(ines, id, degreeId, 'contradicted')
  expect((await view(tomas, await reviewOf(tomas, id, degreeId), 'contradicted')).body).toEqual({ state: 'hearing' })
  await house.workOff()
  const { text } = await house.mailTo(candidate.mail, 'help us understand')
  expect(text).toContain('Award: you gave MSc; whoever issued it told us Certificate of attendance.')
  expect(text).toContain('Nothing has been decided')
  expect(text).not.toMatch(/false|forged|contradict|lie/i)

  const heard = await reviewOf(tomas, id, degreeId)
  expect((await conclude(tomas, heard, 'contradicted')).body).toMatchObject({ code: 'candidate-not-heard' })
  const upload = {
    params: { id: degreeId },
    query: { fileName: 'Diploma.pdf', part: 'other' },
    body: await aPaper('The real one'),
  }
  const paper = await candidate.done('uploadDocument', upload as never)
  const [hearing] = await candidate.done('listMyHearings', {})
  expect(hearing).toMatchObject({ claimId: degreeId, answered: null })
  const answer = { version: hearing!.version, text: 'I had both; here it is.', documents: [paper.id] }
  await candidate.done('answerHearing', { params: { id: hearing!.id }, body: answer })
  expect((await candidate.call('answerHearing', { params: { id: hearing!.id }, body: answer })).status).toBe(409)

  const review = await reviewOf(vera, id, degreeId)
  expect(review).toMatchObject({
    state: 'answered',
    answer: { text: 'I had both; here it is.', documents: [paper.id] },
  })
  expect((await conclude(ines, await reviewOf(ines, id, degreeId), 'contradicted')).body).toMatchObject({
    code: 'takes-another',
  })
  expect((await conclude(vera, review, 'confirmed with a note', 'The diploma shows both.')).body).toEqual({
    state: 'concluded',
  })
  const claim = await claimOf(vera, id, degreeId)
  expect([claim.rung, claim.proof.review]).toEqual(['confirmed', null])
  expect((await Finding.findOne({ where: { claimId: degreeId } }))?.reviewId).toBe(review.id)
})

test('an answer that does not come by its day makes it final; one who is nobody’s cannot answer', async () => {
  const { candidate, id, degreeId } = await answered(['Cora', 'Calm'])
  await propose(ines, id, degreeId, 'contradicted')
  await view(tomas, await reviewOf(tomas, id, degreeId), 'contradicted')
  const [hearing] = await candidate.done('listMyHearings', {})
  const stranger = await house.candidate('Sid Stranger')
  const body = { version: hearing!.version, text: 'It was me.', documents: [] }
  expect((await stranger.call('answerHearing', { params: { id: hearing!.id }, body })).status).toBe(404)
  await letHearingsEnd(house)
  const claim = await claimOf(ines, id, degreeId)
  expect(claim.rung).toBe('contradicted')
  expect(claim.proof.findings.at(-1)).toMatchObject({ decision: 'contradicted', by: 'The coordinator' })
  expect((await candidate.call('answerHearing', { params: { id: hearing!.id }, body })).status).toBe(409)
})

test('two differ, whoever is first: a third decides', async () => {
  for (const [first, second] of [
    ['contradicted', 'confirmed with a note'],
    ['contradicted', 'unconfirmable'],
  ] as const) {
    const { id, degreeId } = await answered(['Dora', `Differ${second.length}`])
    await propose(ines, id, degreeId, first)
    expect((await view(tomas, await reviewOf(tomas, id, degreeId), second)).body).toEqual({ state: 'third' })
    expect((await view(tomas, await reviewOf(tomas, id, degreeId), first)).body).toMatchObject({ code: 'said-already' })
    const third = await reviewOf(vera, id, degreeId)
    expect([third.views, third.may.say]).toEqual([[], true])
    expect((await view(vera, third, second)).body).toEqual({ state: 'concluded' })
    expect((await claimOf(vera, id, degreeId)).proof.findings.at(-1)).toMatchObject({ decision: second })
  }
})

test('what was just proposed is taken back; later it is not', async () => {
  const { id, degreeId } = await answered(['Edda', 'Error'])
  const { reviewId } = await propose(ines, id, degreeId, 'contradicted')
  expect((await tomas.call('withdrawReview', { params: { id: reviewId! } })).body).toMatchObject({ code: 'too-late' })
  await ines.done('withdrawReview', { params: { id: reviewId! } })
  expect((await claimOf(ines, id, degreeId)).proof.review).toBeNull()
  const again = await propose(ines, id, degreeId, 'contradicted')
  await ClaimReview.update({ openedAt: new Date(Date.now() - 13_000) }, { where: { id: again.reviewId! } })
  expect((await ines.call('withdrawReview', { params: { id: again.reviewId! } })).body).toMatchObject({
    code: 'too-late',
  })
})

test('what was confirmed is undone for ten seconds, and then decided anew with its reason; nothing is changed in place', async () => {
  const { id, degreeId } = await answered(['Frida', 'Final'])
  const { findingId } = await propose(ines, id, degreeId, 'confirmed with a note', 'The award is the same.')
  const row = await Finding.findByPk(findingId!, { raw: true })
  await ines.done('undoDecision', { params: { id: findingId! } })
  expect((await ines.call('undoDecision', { params: { id: findingId! } })).status).toBe(409)
  expect(await Finding.findByPk(findingId!, { raw: true })).toEqual(row)
  const second = await propose(ines, id, degreeId, 'confirmed with a note', 'It is, truly.')
  await Finding.update({ decidedAt: new Date(Date.now() - 13_000) }, { where: { id: second.findingId! } })
  expect((await ines.call('undoDecision', { params: { id: second.findingId! } })).body).toMatchObject({
    code: 'too-late',
  })
  const { version, proof } = await claimOf(ines, id, degreeId)
  expect(proof.findings.map(({ undone }) => undone).sort()).toEqual([false, true])
  const anew = { version, decision: 'unconfirmable' as const, note: '' }
  expect((await ines.call('decideClaim', { params: { id: degreeId }, body: anew })).status).toBe(422)
  await ines.done('decideClaim', { params: { id: degreeId }, body: { ...anew, note: 'Their register was restored.' } })
  expect((await claimOf(ines, id, degreeId)).rung).toBe('unconfirmable')
})

test('of two who are the second at the same moment one is, and of two who propose one does', async () => {
  for (let round = 0; round < 5; round += 1) {
    const { id, degreeId } = await answered(['Gina', `Glut${'abcde'[round]}`])
    const { version } = await claimOf(ines, id, degreeId)
    const body = { version, decision: 'contradicted' as const, note: 'They name another award.' }
    const proposing = await Promise.all(
      [ines, tomas].map((desk) => desk.call('decideClaim', { params: { id: degreeId }, body })),
    )
    expect(proposing.map(({ status }) => status).sort()).toEqual([200, 409])
    const others = [proposing[0]!.status === 200 ? tomas : ines, vera]
    const review = await reviewOf(vera, id, degreeId)
    const views = await Promise.all(
      others.map((desk, nth) => view(desk, review, nth === 0 ? 'contradicted' : 'unconfirmable')),
    )
    expect(views.map(({ status }) => status).sort()).toEqual([200, 409])
  }
}, 60_000)

test('the desk asks the candidate about one claim; the question stands with it', async () => {
  const { candidate, id, degreeId } = await answered(['Hella', 'Heard'])
  await ines.done('askAboutClaim', { params: { id, claimId: degreeId }, body: { text: 'Which award was it?' } })
  const [conversation] = await candidate.done('listMyConversations', { params: { id } })
  expect(conversation).toMatchObject({
    about: { kind: 'claim' },
    entries: [{ by: 'desk', text: 'Which award was it?' }],
  })
  const other = await answered(['Ilka', 'Ilk'])
  expect(
    (await ines.call('askAboutClaim', { params: { id, claimId: other.degreeId }, body: { text: 'This?' } })).status,
  ).toBe(404)
})

test('what somebody left half done is theirs alone, and is there again until it is done', async () => {
  const { candidate, degreeId } = await answered(['Ida', 'Idle'])
  const params = { id: degreeId }
  await ines.done('keepUnfinishedClaim', { params, body: { value: { note: 'They name' } } })
  expect((await ines.done('readUnfinishedClaim', { params })).value).toEqual({ note: 'They name' })
  expect((await tomas.done('readUnfinishedClaim', { params })).value).toEqual({})
  expect((await candidate.call('readUnfinishedClaim', { params })).status).toBe(403)
  await ines.done('keepUnfinishedClaim', { params, body: { value: {} } })
  expect(await ines.done('readUnfinishedClaim', { params })).toEqual({ value: {}, savedAt: null })
})

test('a desk of one goes on alone, and that stays on record', async () => {
  const { id, degreeId } = await answered(['Jule', 'Just'])
  const others = await Account.findAll({ where: { works: true } as never })
  const alone = await house.staff('coordinator')
  await Account.update({ suspendedAt: new Date() }, { where: { id: others.map((one) => one.id) } })
  await propose(alone, id, degreeId, 'contradicted')
  const review = await reviewOf(alone, id, degreeId)
  expect(review).toMatchObject({ state: 'hearing', alone: true })
  await letHearingsEnd(house)
  expect((await claimOf(alone, id, degreeId)).rung).toBe('contradicted')
})
