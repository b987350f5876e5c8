import { applied, claimOf, type House, openHouse } from '../../test/house'
import { inTransaction } from '../platform/database/connection'
import { Message } from '../platform/mail/model'
import { Account, actorOf } from '../records/accounts/model'
import { Application } from '../records/applications/model'
import { GatePassage, Offer } from '../records/hiring/model'

let house: House
beforeAll(async () => {
  house = await openHouse('tell')
}, 60_000)
afterAll(() => house.close())

/** Somebody who reads German and has sent an application, and what was mailed about it since. */
async function sentInGerman(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  await Account.update({ language: 'de' }, { where: { mail: candidate.mail } })
  const sent = await applied(house, candidate, name)
  const mails = () =>
    Message.findAll({ where: { applicationId: sent.id }, order: ['createdAt', 'id'] }).then((rows) =>
      rows.map(({ subject, toMail, text }) => ({ subject, toMail, text })),
    )
  return { candidate, ...sent, mails }
}

const give = async (id: string) => {
  const { targetStart } = await Application.findByPk(id, { rejectOnEmpty: true })
  await Application.update({ stage: 'offered' }, { where: { id } })
  const passed = { passedBy: 'The manager', passedAt: new Date(), readiness: [] }
  await GatePassage.bulkCreate(
    (['shortlist', 'offer'] as const).map((gate) => ({ applicationId: id, gate, ...passed })),
  )
  const terms = {
    salary: 5_000_000,
    startsOn: targetStart,
    answerBy: house.day(5),
    madeBy: 'The manager',
    madeAt: new Date(),
  }
  await Offer.create({ applicationId: id, ...terms })
}

test('every act that concerns a candidate is told by one mail, in their language, with the way to where it stands', async () => {
  const { candidate, id, reference, degreeId, mails } = await sentInGerman(['Greta', 'Gemsig'])
  const desk = await house.staff('coordinator')
  const manager = await house.staff('hiring manager')
  const [received] = await mails()
  expect(received).toMatchObject({ subject: expect.stringContaining(reference), toMail: candidate.mail })
  expect(received!.text).toMatch(/^Guten Tag, Greta Gemsig/)

  const degree = await claimOf(desk, id, degreeId)
  const paper = degree.documents[0]!
  const tooDark = { version: paper.version, reason: 'Bitte heller.' }
  await desk.done('sendDocumentBack', { params: { id: paper.id }, body: tooDark })
  const { version } = await desk.done('readFile', { params: { id } })
  const section = (await desk.done('readFile', { params: { id } })).parts[0]!.section
  await desk.done('reopenPart', {
    params: { id },
    body: { section, question: null, reason: 'Bitte noch einmal lesen.', dueOn: house.day(3) },
  })
  const later = { version, targetStart: house.day(120), reason: 'Die Saison beginnt später.' }
  await desk.done('changeStart', { params: { id }, body: later })
  await give(id)
  await manager.done('extendOffer', { params: { id }, body: { answerBy: house.day(9) } })
  await manager.done('withdrawOffer', { params: { id }, body: { reason: 'Die Stelle entfällt.' } })

  const told = (await mails()).slice(1)
  expect(told.map(({ subject }) => subject)).toEqual([
    expect.stringContaining('Electrical Engineering'),
    expect.stringContaining(reference),
    expect.stringContaining('Cableway electrical supervisor'),
    expect.stringContaining('Cableway electrical supervisor'),
    expect.stringContaining('Cableway electrical supervisor'),
  ])
  for (const { text, toMail } of told) {
    expect(toMail).toBe(candidate.mail)
    expect(text).toMatch(/^Guten Tag, Greta Gemsig/)
    expect(text).toContain(`/applications/${id}`)
    expect(text).not.toContain('{{')
  }
  const [back, part, start, more, gone] = told.map(({ text }) => text)
  expect(back).toContain('Bitte heller.')
  expect(part).toContain('Bitte noch einmal lesen.')
  expect(start).toContain('Die Saison beginnt später.')
  // Why an offer is withdrawn stays on record at the desk.
  expect(gone).not.toContain('entfällt')
  expect(more).toMatch(/\d{1,2}\. \p{L}{3,}\.? \d{4}/u)
})

test('what is refused, or undone with its transaction, is told to nobody', async () => {
  const { id, mails } = await sentInGerman(['Ruth', 'Refused'])
  const before = (await mails()).length
  const desk = await house.staff('coordinator')
  const stale = { version: 0, targetStart: house.day(100), reason: 'From an old page.' }
  expect((await desk.call('changeStart', { params: { id }, body: stale })).status).toBe(409)
  const { changeStart } = await import('../hiring/changeStart')
  const { version } = await Application.findByPk(id, { rejectOnEmpty: true })
  const actor = actorOf({ id, name: 'Ines', mail: 'ines@desk.test', roles: ['coordinator'] })
  const undone = inTransaction(house.fixed.sequelize, async () => {
    await changeStart(house.deps, actor, id, { version, targetStart: house.day(100), reason: 'Never happened.' })
    throw new Error('and then it failed')
  })
  await expect(undone).rejects.toThrow('and then it failed')
  expect(await mails()).toHaveLength(before)
})

test('done twice at the same moment, it is told once', async () => {
  const { id, mails } = await sentInGerman(['Zwei', 'Zugleich'])
  await give(id)
  const before = (await mails()).length
  const managers = await Promise.all([house.staff('hiring manager'), house.staff('hiring manager')])
  const replies = await Promise.all(
    managers.map((one) => one.call('withdrawOffer', { params: { id }, body: { reason: 'Nobody is needed.' } })),
  )
  expect(replies.map(({ status }) => status).sort()).not.toEqual([200, 200])
  expect(await mails()).toHaveLength(before + 1)
})

test('the owner of an account is told what was done with it, once for each', async () => {
  const candidate = await house.candidate('Otto Owner')
  const password = 'a-long-enough-secret'
  await candidate.done('changePassword', { body: { password, next: 'another-long-secret-2' } })
  await house.workOff()
  await house.mailTo(candidate.mail, 'Your password was changed')
  const refused = await candidate.call('changePassword', { body: { password, next: 'a-third-long-secret-3' } })
  expect(refused.status).toBe(422)
  const told = await Message.findAll({ where: { toMail: candidate.mail, subject: 'Your password was changed' } })
  expect(told).toHaveLength(1)
})
