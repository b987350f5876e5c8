import { createTransport } from 'nodemailer'
import type { Visitor } from '../../test/client'
import { applied, type House, openHouse, until } from '../../test/house'
import { emptyApplications } from '../applications/erase'
import { inTransaction } from '../platform/database/connection'
import { Conversation, ConversationEntry } from '../records/conversations/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('conversations')
  desk = await house.staff('coordinator')
}, 60_000)
afterAll(() => house.close())

const nothing = { kind: 'nothing' as const }

/** Somebody who has applied and asked the desk one thing. */
async function asked(given: string, about: { kind: 'nothing' | 'claim' | 'task' | 'fee'; key?: string } = nothing) {
  const candidate = await house.candidate(`${given} Asks`)
  const application = await applied(house, candidate, [given, 'Asks'])
  const { id, answerBy } = await candidate.done('startConversation', {
    params: { id: application.id },
    body: { about, text: 'May I send the diploma later?' },
  })
  return { candidate, application, id, answerBy }
}

const whyToday = async (applicationId: string) =>
  (await desk.done('readQueue', { params: { queue: 'today' } })).people.find(({ id }) => id === applicationId)?.why
const atDesk = async (applicationId: string) =>
  (await desk.done('listConversations', { params: { id: applicationId } }))[0]!

test('a question is in Today with a day to answer by; the answer is in the portal and goes by mail', async () => {
  const { candidate, application, id, answerBy } = await asked('Quentin')
  expect(await whyToday(application.id)).toBe('Has asked you something')
  expect(await atDesk(application.id)).toMatchObject({ id, state: 'waiting', answerBy, version: 1 })
  expect(answerBy > house.day(1)).toBe(true)

  await desk.done('answerConversation', { params: { id }, body: { version: 1, text: 'Yes, until the offer.' } })
  expect(await whyToday(application.id)).not.toBe('Has asked you something')
  const [own] = await candidate.done('listMyConversations', { params: { id: application.id } })
  expect(own).toMatchObject({ state: 'answered', about: { kind: 'nothing', label: null } })
  expect(own!.entries.map(({ by, text }) => [by, text])).toEqual([
    ['candidate', 'May I send the diploma later?'],
    ['desk', 'Yes, until the offer.'],
  ])
  const mail = await house.mailTo(candidate.mail, 'An answer to your question')
  expect(mail.text).toContain('Yes, until the offer.')
  const { trail } = await desk.done('readFile', { params: { id: application.id } })
  expect(trail.map(({ what }) => what)).toEqual(
    expect.arrayContaining(['Asked the desk something', 'Answered what was asked']),
  )
})

test('what is written in answer to that mail comes back into the conversation, and waits there alone', async () => {
  const { candidate, application, id } = await asked('Mia')
  await desk.done('answerConversation', { params: { id }, body: { version: 1, text: 'Which diploma?' } })
  const { headers } = await house.mailTo(candidate.mail, 'An answer to your question')
  await house.workOff()
  const transport = createTransport({ host: '127.0.0.1', port: house.deps.config.mailInPort, ignoreTLS: true })
  const reply = {
    from: `Mia Asks <${candidate.mail}>`,
    to: 'applications@vallorne.example',
    messageId: '<the-answer@mail.test>',
    inReplyTo: headers['message-id']!,
    subject: 'Re: An answer to your question',
    text: 'The one from Tannberg.',
  }
  // Handed over twice it is one entry.
  await Promise.all([transport.sendMail(reply), transport.sendMail(reply)])
  transport.close()
  const back = await until(async () => {
    const conversation = await atDesk(application.id)
    return conversation.state === 'waiting' && conversation
  })
  expect(back.entries.slice(2)).toMatchObject([{ by: 'candidate', via: 'mail', text: 'The one from Tannberg.' }])
  expect(await desk.done('listIncomingMails')).toEqual([])
  expect(await whyToday(application.id)).toBe('Has asked you something')
})

test('of two who answer at the same moment one does, and nobody answers past what was written meanwhile', async () => {
  const { candidate, id } = await asked('Theo')
  const answer = (who: Visitor, text: string, version = 1) =>
    who.call('answerConversation', { params: { id }, body: { version, text } })
  const other = await house.staff('coordinator')
  const both = await Promise.all([answer(desk, 'Yes.'), answer(other, 'No.')])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  const { version } = await Conversation.findByPk(id, { rejectOnEmpty: true })
  const more = { params: { id }, body: { text: 'And one thing more.' } }
  await candidate.done('writeInConversation', more)
  expect((await answer(desk, 'As I said.', version)).body.code).toBe('changed-meanwhile')
  // Two lines written at once are both kept.
  await Promise.all([candidate.done('writeInConversation', more), candidate.done('writeInConversation', more)])
  const row = await Conversation.findByPk(id, { rejectOnEmpty: true })
  expect([row.version, row.state]).toEqual([version + 3, 'waiting'])
})

test('it is closed without an answer, opened again, and opens by itself when the candidate writes', async () => {
  const { candidate, application, id, answerBy } = await asked('Cleo')
  const at = async () => (await atDesk(application.id)).version
  await desk.done('closeConversation', { params: { id }, body: { version: await at() } })
  expect(await whyToday(application.id)).not.toBe('Has asked you something')
  const again = await desk.call('closeConversation', { params: { id }, body: { version: await at() } })
  expect([again.status, again.body.code]).toEqual([409, 'closed-already'])
  await desk.done('reopenConversation', { params: { id }, body: { version: await at() } })
  expect(await whyToday(application.id)).toBe('Has asked you something')
  await desk.done('closeConversation', { params: { id }, body: { version: await at() } })
  expect(await candidate.done('writeInConversation', { params: { id }, body: { text: 'Still open.' } })).toEqual({
    answerBy,
  })
  expect((await atDesk(application.id)).state).toBe('waiting')
  const { trail } = await desk.done('readFile', { params: { id: application.id } })
  // An answer is counted as one; what was closed without one is not.
  expect(
    trail
      .map(({ what }) => what)
      .filter((what) => /question|answer/i.test(what))
      .sort(),
  ).toEqual(['Closed a question', 'Closed a question', 'Opened a question again'])
  expect((await desk.call('reopenConversation', { params: { id }, body: { version: await at() } })).body.code).toBe(
    'not-closed',
  )
})

test('it is about a claim of theirs, by name; about nobody else’s, and nothing that is not there', async () => {
  const candidate = await house.candidate('Clara Asks')
  const { id, degreeId } = await applied(house, candidate, ['Clara', 'Asks'])
  const { application: other } = await asked('Otto')
  const ask = (who: Visitor, about: object) =>
    who.call('startConversation', { params: { id }, body: { about: about as typeof nothing, text: 'Why?' } })
  expect((await ask(candidate, { kind: 'claim', key: degreeId })).status).toBe(200)
  expect((await atDesk(id)).about).toEqual({ kind: 'claim', label: expect.stringContaining('Electrical Engineering') })
  expect((await ask(candidate, { kind: 'claim', key: other.degreeId })).status).toBe(404)
  expect((await ask(candidate, { kind: 'task' })).status).toBe(404)
  expect((await ask(candidate, { kind: 'fee', key: 'none' })).status).toBe(404)
  expect((await ask(candidate, { kind: 'weather' })).status).toBe(422)
  const stranger = await house.candidate('Stella Stranger')
  expect((await ask(stranger, nothing)).status).toBe(404)
  expect((await stranger.call('listMyConversations', { params: { id } })).status).toBe(404)
  const draft = await stranger.done('beginApplication', { params: { slug: 'track-engineer' } })
  const early = await stranger.call('startConversation', {
    params: { id: draft.id },
    body: { about: nothing, text: 'Already?' },
  })
  expect([early.status, early.body.code]).toEqual([409, 'not-sent'])
  expect(
    (await candidate.call('startConversation', { params: { id }, body: { about: nothing, text: ' ' } })).status,
  ).toBe(422)
})

test('whoever is no longer in the running is answered as well, and what was asked goes with the file', async () => {
  const { candidate, application, id } = await asked('Wim')
  await candidate.done('withdraw', { params: { id: application.id }, body: {} as never })
  expect(await whyToday(application.id)).toBe('Has asked you something')
  const zip = Buffer.from(await (await candidate.request('/api/my/data.zip')).arrayBuffer())
  expect(zip.includes('asked.json')).toBe(true)
  await inTransaction(house.deps.sequelize, () => emptyApplications(house.deps, [application.id]))
  expect([await Conversation.findByPk(id), await ConversationEntry.count({ where: { conversationId: id } })]).toEqual([
    null,
    0,
  ])
})
