import { aPaper, aPermit, applied, claimOf, type House, look, openHouse, tokenIn } from '../../test/house'
import { bankOf } from '../records/skills/checks'
import { Sitting } from '../records/skills/model'

let house: House
beforeAll(async () => {
  house = await openHouse('hiring')
}, 60_000)
afterAll(() => house.close())

type Candidate = Awaited<ReturnType<House['candidate']>>

async function sit(candidate: Candidate, applicationId: string, right: number) {
  const { id } = await candidate.done('beginSitting', { params: { id: applicationId, check: 'isolation' } })
  const { paper } = await Sitting.findByPk(id, { rejectOnEmpty: true })
  const bank = new Map((await bankOf('isolation')).map((question) => [question.id, question]))
  for (const [index, { question }] of paper.entries()) {
    const option = bank.get(question)!.options.find((candidate) => candidate.right === index < right)!
    await candidate.done('saveSittingAnswer', { params: { id, question }, body: { given: [option.id] } })
  }
  return candidate.done('handInSitting', { params: { id } })
}

test('from the shortlist to the first day: gates stay shut until everything is met, waived or done', async () => {
  const candidate = await house.candidate('Greta Gate')
  const { id, degreeId, jobId } = await applied(house, candidate, ['Greta', 'Gate'])
  const desk = await house.staff('coordinator')
  const manager = await house.staff('hiring manager')
  const version = async () => (await desk.done('readFile', { params: { id } })).version
  const pass = async (by: typeof desk, gate: string, more = {}) =>
    by.call('passGate', { params: { id, gate }, body: { version: await version(), ...more } })

  const shut = await pass(desk, 'shortlist')
  expect([shut.status, shut.body.code]).toEqual([409, 'gate-shut'])
  expect(shut.body.missing).toEqual([
    expect.objectContaining({ requirement: 'study-seen', why: expect.stringContaining('nobody has looked at it yet') }),
  ])
  await look(desk, id, degreeId)
  expect((await pass(desk, 'offer')).body.code).toBe('not-this-gate')
  expect((await pass(desk, 'shortlist')).body).toEqual({ stage: 'shortlisted' })

  expect((await pass(manager, 'offer')).body.code).toBe('gate-shut')
  await desk.done('raiseEnquiry', { params: { id: degreeId }, body: { applicationId: id } })
  await house.workOff()
  const token = tokenIn((await house.mailTo('pruefungsamt@tannberg.example', 'Greta Gate')).text, 'reply')
  const { claimed } = await house.visitor().done('readEnquiry', { params: { token } })
  await house.visitor().done('replyToEnquiry', {
    params: { token },
    body: {
      known: true,
      fields: Object.fromEntries(Object.keys(claimed).map((key) => [key, { says: 'agrees' }])),
      note: '',
      respondent: 'Renate Amt',
      capacity: '',
    },
  })
  await desk.done('decideClaim', {
    params: { id: degreeId },
    body: { version: (await claimOf(desk, id, degreeId)).version, decision: 'confirmed', note: '' },
  })
  expect((await sit(candidate, id, 9)).result).toMatchObject({ right: 9, percent: 90, passed: true })

  const terms = { salary: 6_200_000, answerBy: house.day(7) }
  expect((await pass(desk, 'offer', terms)).status).toBe(403)
  expect((await pass(manager, 'offer', { ...terms, salary: 100 })).body.faults?.[0]?.pointer).toBe('/body/salary')
  expect((await pass(manager, 'offer', terms)).body).toEqual({ stage: 'offered' })

  expect(
    (await candidate.call('doOnboardingTask', { params: { id, task: 'handbook' }, body: { acknowledged: true } })).body
      .code,
  ).toBe('offer-first')
  await candidate.done('answerOffer', { params: { id }, body: { answer: 'accepted' } })
  expect((await candidate.call('answerOffer', { params: { id }, body: { answer: 'declined' } })).body.code).toBe(
    'answered',
  )
  await candidate.done('doOnboardingTask', { params: { id, task: 'handbook' }, body: { acknowledged: true } })

  const open = await pass(desk, 'start')
  const missing = open.body.missing as { requirement: string }[]
  expect(missing.map(({ requirement }) => requirement).sort()).toEqual([
    'first-aid',
    'hv-switching',
    'work',
    'work-at-height',
  ])
  const reason = 'Known from an earlier contract.'
  expect(
    (await desk.call('waive', { params: { id }, body: { requirement: 'hv-switching', reason } })).body.detail,
  ).toBe('It is waived by: hiring manager, administrator.')
  expect((await desk.call('waive', { params: { id }, body: { requirement: 'first-aid', reason: 'x' } })).status).toBe(
    422,
  )
  await desk.done('waive', { params: { id }, body: { requirement: 'work', reason } })
  await desk.done('waive', { params: { id }, body: { requirement: 'first-aid', reason } })
  for (const requirement of ['hv-switching', 'work-at-height'])
    await manager.done('waive', { params: { id }, body: { requirement, reason } })
  const file = await desk.done('readFile', { params: { id } })
  expect(file.waivers).toHaveLength(4)
  expect(file.words.work?.why).toBe(`Waived by The coordinator: ${reason}`)
  expect((await pass(desk, 'start')).body).toEqual({ stage: 'cleared' })
  const status = await candidate.done('readStatus', { params: { id } })
  expect(status.ball).toBe('All done. See you on the first day.')
  expect(status.gates.map(({ state }) => state)).toEqual(['passed', 'passed', 'passed', 'passed'])
  expect((await claimOf(desk, id, jobId)).rung).toBe('claimed')
})

test('a certificate that lapses four days after the start is in Validity, and its renewal is a new version with its history', async () => {
  const candidate = await house.candidate('Vera Valid')
  const { id } = await applied(house, candidate, ['Vera', 'Valid'])
  const desk = await house.staff('coordinator')
  const start = (await desk.done('readFile', { params: { id } })).targetStart
  const after = (days: number) =>
    house.today.add({ days: house.today.until(start, { largestUnit: 'day' }).days + days }).toString()
  const height = await candidate.done('addClaim', {
    body: { details: aPermit(house, 'work-at-height', 'heights', 'HW-24-0001', after(4)) },
  })
  await candidate.done('uploadDocument', {
    params: { id: height.id },
    query: { fileName: 'Height.pdf' },
    body: await aPaper('Height'),
  })
  await look(desk, id, height.id)
  const { people } = await desk.done('readQueue', { params: { queue: 'validity' } })
  expect(people.find((person) => person.id === id)?.why).toBe('Work at height certificate lapses 4 days after start')
  const before = await desk.done('readFile', { params: { id } })
  expect(before.outcomes.find(({ requirement }) => requirement === 'work-at-height')).toMatchObject({
    state: 'unmet',
    reason: { code: 'lapses-early', shortBy: 26 },
  })
  expect((await candidate.done('readStatus', { params: { id } })).toDo).toContainEqual(
    expect.objectContaining({ act: 'renew', target: height.id }),
  )

  const renew = (through: string) =>
    candidate.call('renewCredential', {
      params: { id: height.id },
      body: {
        version: before.claims.find((claim) => claim.id === height.id)!.version,
        number: 'HW-26-0002',
        issued: house.day(-1),
        through,
      },
    })
  expect((await renew(after(2))).body.faults?.[0]?.message).toBe('A renewal must run longer than what it renews.')
  const renewed = await renew(after(700))
  expect(renewed.body).toMatchObject({
    id: height.id,
    credentialVersion: 2,
    rung: 'claimed',
    documents: [],
    earlier: [{ credentialVersion: 1, rung: 'evidenced', details: { number: 'HW-24-0001' } }],
  })
  expect(renewed.body.earlier[0]!.documents.map(({ fileName }) => fileName)).toEqual(['Height.pdf'])
  await candidate.done('uploadDocument', {
    params: { id: height.id },
    query: { fileName: 'Renewal.pdf' },
    body: await aPaper('Renewal'),
  })
  await look(desk, id, height.id)
  const outcome = (await desk.done('readFile', { params: { id } })).outcomes.find(
    ({ requirement }) => requirement === 'work-at-height',
  )
  expect(outcome?.state).toBe('met')
  expect(
    (await desk.done('readQueue', { params: { queue: 'validity' } })).people.some((person) => person.id === id),
  ).toBe(false)
})

describe('a skills check', () => {
  test('is come back to with its answers, and never shows what is right', async () => {
    const candidate = await house.candidate('Resi Resume')
    const { id } = await applied(house, candidate, ['Resi', 'Resume'])
    const begun = await candidate.done('beginSitting', { params: { id, check: 'isolation' } })
    const paper = await candidate.done('readSitting', { params: { id: begun.id } })
    expect(paper.questions).toHaveLength(10)
    expect(JSON.stringify(paper)).not.toContain('"right"')
    const question = paper.questions[3]!
    await candidate.done('saveSittingAnswer', {
      params: { id: begun.id, question: question.id },
      body: { given: [question.options[0]!.id] },
    })
    expect(await candidate.done('beginSitting', { params: { id, check: 'isolation' } })).toEqual(begun)
    const again = await candidate.done('readSitting', { params: { id: begun.id } })
    expect(again.answers).toEqual({ [question.id]: [question.options[0]!.id] })
    expect(again.questions).toEqual(paper.questions)
  })

  test('takes no answer after its time, and what was answered before counts', async () => {
    const candidate = await house.candidate('Late Answer')
    const { id } = await applied(house, candidate, ['Late', 'Answer'])
    const { id: sitting } = await candidate.done('beginSitting', { params: { id, check: 'isolation' } })
    const paper = await candidate.done('readSitting', { params: { id: sitting } })
    await Sitting.update({ dueAt: new Date(Date.now() - 60_000) }, { where: { id: sitting } })
    const late = await candidate.call('saveSittingAnswer', {
      params: { id: sitting, question: paper.questions[0]!.id },
      body: { given: ['a'] },
    })
    expect(late.body.code).toBe('time-up')
    expect((await candidate.done('handInSitting', { params: { id: sitting } })).result).toMatchObject({
      right: 0,
      percent: 0,
      passed: false,
    })
  })

  test('shows the desk what was wrong', async () => {
    const candidate = await house.candidate('Wrong Twice')
    const { id } = await applied(house, candidate, ['Wrong', 'Twice'])
    await sit(candidate, id, 8)
    const desk = await house.staff('assessor')
    const [check] = (await desk.done('readFile', { params: { id } })).checks
    expect(check).toMatchObject({ percent: 80, passed: true })
    expect(check!.wrong).toHaveLength(2)
    expect(check!.wrong[0]!.given).not.toBe(check!.wrong[0]!.right)
  })
})

test('a reference with a slip still finds its application, and says which it most likely is', async () => {
  const candidate = await house.candidate('Rita Reference')
  const { id, reference } = await applied(house, candidate, ['Rita', 'Reference'])
  const desk = await house.staff('coordinator')
  const found = await desk.done('find', { query: { text: reference.toLowerCase().replace(/-/g, ' ') } })
  expect(found.people.map((person) => person.id)).toEqual([id])
  const slip = reference.replace(/.$/, (last) => (last === '7' ? '8' : '7'))
  const likely = await desk.done('find', { query: { text: slip } })
  expect([likely.likely, likely.people[0]?.because]).toEqual([reference, `Likely meant: ${reference}`])
  expect((await desk.done('find', { query: { text: 'TB-2018-9034' } })).people.some((person) => person.id === id)).toBe(
    true,
  )
})
