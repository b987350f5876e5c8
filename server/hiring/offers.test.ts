import { writeValue } from '#core/words/stored'
import { aPermit, applied, type House, openHouse } from '../../test/house'
import { Application } from '../records/applications/model'
import { Claim } from '../records/claims/model'
import { ApplicationSummary, GatePassage, Offer, OnboardingTask } from '../records/hiring/model'

/** Offers that nobody answers, starts that move, and what stays in sight after it. */
let house: House
beforeAll(async () => {
  house = await openHouse('offers')
}, 60_000)
afterAll(() => house.close())

/** Somebody with an offer, as if everything before it had been settled. */
async function offered(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const { id } = await applied(house, candidate, name)
  const manager = await house.staff('hiring manager')
  await Application.update({ stage: 'offered' }, { where: { id } })
  await GatePassage.bulkCreate(
    (['shortlist', 'offer'] as const).map((gate) => ({
      applicationId: id,
      gate,
      passedBy: 'The manager',
      passedAt: new Date(),
      readiness: [],
    })),
  )
  const { targetStart } = (await Application.findByPk(id))!
  await Offer.create({
    applicationId: id,
    salary: 5_000_000,
    startsOn: targetStart,
    answerBy: house.day(5),
    madeBy: 'The manager',
    madeAt: new Date(),
  })
  await OnboardingTask.create({ applicationId: id, key: 'handbook', title: 'Handbook', text: 'Read it.' })
  const stand = async () => {
    const status = await candidate.done('readStatus', { params: { id } })
    return { acts: status.toDo.map(({ act }) => act), ball: status.ball, offer: status.offer }
  }
  return { candidate, manager, id, stand }
}

describe('an offer nobody answers', () => {
  test('is reminded of before its day and told after it, once each; then it is not with the candidate any more', async () => {
    const { candidate, manager, id, stand } = await offered(['Olga', 'Offered'])
    expect((await stand()).acts).toContain('answer offer')
    // A task is not due before the offer is accepted, and no list counts it.
    expect((await stand()).acts).not.toContain('do task')
    await Offer.update({ answerBy: house.day(1) }, { where: { applicationId: id } })
    const { remindOfOffers, tellOfExpiredOffers } = await import('./offerReminders')
    await remindOfOffers(house.deps)
    await remindOfOffers(house.deps)
    await house.workOff()
    await house.mailTo(candidate.mail, 'awaits your answer')
    await Offer.update({ answerBy: house.day(-1) }, { where: { applicationId: id } })
    await tellOfExpiredOffers(house.deps)
    await tellOfExpiredOffers(house.deps)
    await house.workOff()
    await house.mailTo(candidate.mail, 'has passed')
    const about = house.mailbox.mails.filter(({ to, subject }) => to === candidate.mail && /offer/.test(subject))
    expect(about).toHaveLength(2)

    expect((await stand()).acts).not.toContain('answer offer')
    const late = await candidate.call('answerOffer', { params: { id }, body: { answer: 'accepted' } })
    expect(late.body.code).toBe('too-late')
    const file = await manager.done('readFile', { params: { id } })
    expect(file.outcomes.find(({ reason }) => reason.code === 'offer-expired')?.steps[0]?.who).toBe('hiring manager')
    expect(writeValue((await ApplicationSummary.findByPk(id))!.reasons.today!)).toMatch(/not answered in time/)

    const past = await manager.call('extendOffer', { params: { id }, body: { answerBy: house.day(0) } })
    expect(past.body.faults?.[0]?.pointer).toBe('/body/answerBy')
    await manager.done('extendOffer', { params: { id }, body: { answerBy: house.day(9) } })
    expect((await stand()).acts).toContain('answer offer')
    await candidate.done('answerOffer', { params: { id }, body: { answer: 'accepted' } })
    expect((await stand()).acts).toContain('do task')
    expect((await manager.call('extendOffer', { params: { id }, body: { answerBy: house.day(9) } })).body.code).toBe(
      'answered',
    )
  })

  test('is withdrawn, and another can be made', async () => {
    const { candidate, manager, id } = await offered(['Wanda', 'Withdrawn'])
    const desk = await house.staff('coordinator')
    expect((await desk.call('withdrawOffer', { params: { id }, body: { reason: 'No reason' } })).status).toBe(403)
    await manager.done('withdrawOffer', { params: { id }, body: { reason: 'The band was wrong' } })
    expect((await manager.done('readFile', { params: { id } })).stage).toBe('shortlisted')
    expect(await Offer.findByPk(id)).toBeNull()
    expect(await OnboardingTask.count({ where: { applicationId: id } })).toBe(0)
    await house.workOff()
    await house.mailTo(candidate.mail, 'withdrawn')
    const file = await manager.done('readFile', { params: { id } })
    expect(file.nextGate).toBe('offer')
    expect(file.trail.map(({ what }) => what)).toContain('Withdrew the offer: The band was wrong')
  })

  test('answered, extended and withdrawn at the same moment, one of them is done', async () => {
    const { candidate, manager, id } = await offered(['Sami', 'Samemoment'])
    const replies = await Promise.all([
      candidate.call('answerOffer', { params: { id }, body: { answer: 'accepted' } }),
      manager.call('withdrawOffer', { params: { id }, body: { reason: 'Changed our mind' } }),
    ])
    expect(replies.filter(({ status }) => status === 200)).toHaveLength(1)
  })
})

describe('the target start of one application', () => {
  test('is changed with a reason, mailed and on record; not to the past, and not from an old page', async () => {
    const { candidate, manager, id } = await offered(['Stella', 'Start'])
    const { version } = await manager.done('readFile', { params: { id } })
    const change = (targetStart: string, seen = version) =>
      manager.call('changeStart', {
        params: { id },
        body: { version: seen, targetStart, reason: 'The season is late.' },
      })
    expect((await change(house.day(-1))).body.faults?.[0]?.pointer).toBe('/body/targetStart')
    expect((await change(house.day(60))).status).toBe(200)
    expect((await change(house.day(61))).body.code).toBe('changed-meanwhile')
    const file = await manager.done('readFile', { params: { id } })
    expect([file.targetStart, file.offer?.startsOn]).toEqual([house.day(60), house.day(60)])
    await house.workOff()
    expect((await house.mailTo(candidate.mail, 'A new first day')).text).toContain('The season is late.')
  })

  test('no offer is made and nobody is cleared with a first day that is past', async () => {
    const { manager, id } = await offered(['Paula', 'Past'])
    await Application.update({ targetStart: house.day(-3) }, { where: { id } })
    await Offer.update({ startsOn: house.day(-3), answerBy: house.day(-1) }, { where: { applicationId: id } })
    const extended = await manager.call('extendOffer', { params: { id }, body: { answerBy: house.day(5) } })
    expect(extended.body.code).toBe('start-past')
  })
})

test('somebody cleared to start stays in sight when a paper lapses', async () => {
  const { candidate, id } = await offered(['Cleo', 'Cleared'])
  const details = aPermit(house, 'medical', 'heights', 'VOH-5521', house.day(90))
  const { id: claimId } = await candidate.done('addClaim', { body: { details } })
  await Application.update({ stage: 'cleared' }, { where: { id } })
  const { refreshSummaries } = await import('../readiness/summaries')
  const seen = async () => {
    await refreshSummaries(house.deps, [id])
    const standing = (await ApplicationSummary.findByPk(id))!
    return {
      validity: standing.validity,
      today: standing.today,
      why: standing.reasons.validity ? writeValue(standing.reasons.validity) : '',
    }
  }
  const until = async (through: string) =>
    Claim.update({ details: { ...details, through } as never }, { where: { id: claimId } })
  await until(house.day(2000))
  expect(await seen()).toMatchObject({ validity: false, today: false })
  await until(house.day(-1))
  expect(await seen()).toMatchObject({ validity: true, today: true, why: expect.stringContaining('lapse') })
})

test('whoever comes back after withdrawing begins anew, once, also from two windows; a draft is deleted', async () => {
  const candidate = await house.candidate('Bea Back')
  const { id } = await applied(house, candidate, ['Bea', 'Back'])
  await candidate.done('withdraw', { params: { id } })
  expect((await candidate.call('withdraw', { params: { id } })).body.code).toBe('ended')
  expect((await candidate.done('readStatus', { params: { id } })).again).toBe('cableway-electrical-supervisor')
  const begin = () => candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  const begun = await Promise.all([begin(), begin(), begin()])
  expect(new Set(begun.map(({ id: made }) => made)).size).toBe(1)
  const again = begun[0]!.id
  expect(again).not.toBe(id)
  // What was known is taken over.
  expect((await candidate.done('readDraft', { params: { id: again } })).answers['about.familyName']).toBe('Back')
  expect((await candidate.call('withdraw', { params: { id: again } })).body.code).toBe('not-sent')
  await candidate.done('deleteDraft', { params: { id: again } })
  expect((await candidate.call('readDraft', { params: { id: again } })).status).toBe(404)
  expect((await candidate.call('deleteDraft', { params: { id } })).body.code).toBe('already-sent')
  expect((await candidate.done('myApplications')).map(({ id: own }) => own)).toEqual([id])
  expect((await begin()).id).not.toBe(id)
})

test('the list of applications, the application and the reminder count the same', async () => {
  const candidate = await house.candidate('Carla Count')
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  const [listed] = await candidate.done('myApplications')
  const draft = await candidate.done('readDraft', { params: { id } })
  expect(listed?.left).toBe(draft.left.length)
  const sent = await house.candidate('Conny Count')
  const file = await applied(house, sent, ['Conny', 'Count'])
  const status = await sent.done('readStatus', { params: { id: file.id } })
  expect((await sent.done('myApplications'))[0]?.ball).toBe(status.ball)
  expect(status.ball).toContain(String(status.toDo.length))
  for (const { act, target } of status.toDo)
    if (act === 'go')
      expect((await sent.done('readDraft', { params: { id: file.id } })).form.map(({ key }) => key)).toContain(target)
})

test('an answer that a later gate asks for can still be given after sending; one that was sent cannot be changed', async () => {
  const candidate = await house.candidate('Lara Later')
  const { id } = await applied(house, candidate, ['Lara', 'Later'])
  const draft = await candidate.done('readDraft', { params: { id } })
  for (const key of draft.stillAsked) expect(draft.answers[key]).toBeUndefined()
  const sentKey = Object.keys(draft.answers).find((key) => key.startsWith('declare.'))!
  const change = await candidate.call('saveAnswers', {
    params: { id },
    body: { version: draft.version, changes: { [sentKey]: 'no' } },
  })
  expect(change.body.code).toBe('already-sent')
})
