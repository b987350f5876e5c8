import { v7 as uuid } from 'uuid'
import { applied, type House, openHouse, until } from '../../test/house'
import { inTransaction } from '../platform/database/connection'
import { Message } from '../platform/mail/model'
import { queueWritten } from '../platform/mail/queueMail'
import { Account } from '../records/accounts/model'
import { Application } from '../records/applications/model'

let house: House
beforeAll(async () => {
  house = await openHouse('messages')
}, 60_000)
afterAll(() => house.close())

const written = {
  english: { subject: 'About {{vacancy}}', text: '{{givenName}}, your reference is {{reference}}.\n\n{{link}}' },
  german: { subject: 'Zu {{vacancy}}', text: '{{givenName}}, Ihr Zeichen ist {{reference}}.' },
}

test('a message to several is written to each by name and in their language, and stands in each file', async () => {
  const [anna, bea] = [await house.candidate('Anna English'), await house.candidate('Bea Deutsch')]
  await Account.update({ language: 'de' }, { where: { mail: bea.mail } })
  const one = await applied(house, anna, ['Anna', 'English'])
  const two = await applied(house, bea, ['Bea', 'Deutsch'])
  const desk = await house.staff('coordinator')
  const applications = [one.id, two.id]
  const preview = await desk.done('previewMessages', { body: { written, applications } })
  expect(preview.map(({ language, subject, obstacle }) => [language, subject, obstacle])).toEqual(
    expect.arrayContaining([
      ['en', 'About Cableway electrical supervisor', null],
      ['de', 'Zu Cableway electrical supervisor', null],
    ]),
  )
  expect(preview.find(({ language }) => language === 'de')?.text).toBe(`Bea, Ihr Zeichen ist ${two.reference}.`)
  const key = 'the same key twice'
  expect(await desk.done('sendMessages', { body: { written, applications }, key })).toEqual({
    queued: 2,
    left: 0,
    texts: 0,
  })
  await desk.done('sendMessages', { body: { written, applications }, key })
  expect((await house.mailTo(bea.mail, 'Zu ')).text).toContain('Guten Tag')
  expect((await house.mailTo(anna.mail, 'About ')).text).toContain(`/applications/${one.id}`)
  await house.workOff()
  const messages = await desk.done('readMessages', { params: { id: one.id } })
  expect(messages.filter(({ subject }) => subject.startsWith('About'))).toMatchObject([{ state: 'accepted' }])
})

test('a placeholder nobody knows is refused before anything is sent', async () => {
  const desk = await house.staff('coordinator')
  const wrong = { english: { subject: 'Hello {{nmae}}', text: 'Text {{' }, german: null }
  const refused = await desk.call('sendMessages', { body: { written: wrong, applications: [uuid()] } })
  expect(refused.body.faults).toEqual([
    { pointer: '/body/written/english/subject', message: 'There is nothing to fill in for {{nmae}}.' },
    { pointer: '/body/written/english/text', message: 'This part of the text cannot be read: {{' },
  ])
  const id = uuid()
  const body = { name: 'Mine', version: 0, ...wrong }
  expect((await desk.call('saveTemplate', { params: { id }, body })).status).toBe(422)
  await desk.done('saveTemplate', { params: { id }, body: { ...body, ...written } })
  expect((await desk.call('saveTemplate', { params: { id }, body: { ...body, ...written } })).status).toBe(409)
  const { templates } = await desk.done('listTemplates')
  expect(templates.find((template) => template.id === id)).toMatchObject({ name: 'Mine', version: 1 })
  await desk.done('removeTemplate', { params: { id } })
})

test('what the mail server refuses for good is not tried again, is said in the file, and goes to the corrected address', async () => {
  const candidate = await house.candidate('Rita Refused')
  const { id } = await applied(house, candidate, ['Rita', 'Refused'])
  await candidate.done('saveAnswers', {
    params: { id },
    body: {
      version: (await candidate.done('readDraft', { params: { id } })).version,
      changes: { 'contact.mail': 'nobody@refuses.example' },
    },
  })
  const desk = await house.staff('coordinator')
  await desk.done('sendMessages', { body: { written, applications: [id] } })
  let refused: Message | null = null
  for (let tries = 0; tries < 100 && refused?.state !== 'refused'; tries += 1) {
    await new Promise((done) => setTimeout(done, 50))
    refused = await Message.findOne({ where: { applicationId: id, toMail: 'nobody@refuses.example' } })
  }
  const read = async () =>
    (await desk.done('readMessages', { params: { id } })).find((line) => line.id === refused!.id)!
  expect(await read()).toMatchObject({ state: 'refused', refusedBecause: expect.stringContaining('550') })
  // The queue is told of it a moment after the message is marked.
  const why = async () =>
    (await desk.done('readQueue', { params: { queue: 'today' } })).people.find((row) => row.id === id)?.why
  await until(async () => (await why()) === 'A mail was refused')

  await candidate.done('saveAnswers', {
    params: { id },
    body: {
      version: (await candidate.done('readDraft', { params: { id } })).version,
      changes: { 'contact.mail': candidate.mail },
    },
  })
  await desk.done('resendMessage', { params: { id: refused!.id } })
  expect((await house.mailTo(candidate.mail, 'About ')).text).toContain('Rita')
  await house.workOff()
  expect(await read()).toMatchObject({ state: 'accepted', to: candidate.mail })
  expect((await desk.call('resendMessage', { params: { id: refused!.id } })).status).toBe(409)
})

test('a text message goes beside the mail to whoever gave a number, and what became of it is told', async () => {
  const numbers = { delivered: '0664 5550101', 'no number': '+43 664 5550000', refused: '+43 664 5550999', none: '' }
  const people = await Promise.all(
    Object.entries(numbers).map(async ([becomes, phone], nth) => {
      const name: [string, string] = ['Texta', `Number${'abcd'[nth]}`]
      const candidate = await house.candidate(name.join(' '))
      const { id } = await applied(house, candidate, name)
      const application = await Application.findByPk(id, { rejectOnEmpty: true })
      await application.update({ answers: { ...application.answers, 'contact.phone': phone } })
      return { id, becomes }
    }),
  )
  const desk = await house.staff('coordinator')
  const applications = people.map(({ id }) => id)
  const preview = await desk.done('previewMessages', { body: { written, applications } })
  expect(preview.map(({ phone }) => phone)).toEqual(expect.arrayContaining(['+436645550101', null]))
  const body = { written, applications, alsoByText: true }
  expect(await desk.done('sendMessages', { body })).toEqual({ queued: 4, left: 0, texts: 3 })
  const textOf = async (id: string) =>
    (await desk.done('readMessages', { params: { id } })).find(({ channel }) => channel === 'text')
  const [delivered, noNumber, refused, none] = people.map(({ id }) => id)
  const settled = await until(async () => {
    const text = await textOf(delivered!)
    return text?.state === 'delivered' && text
  })
  expect(settled.to).toBe('+436645550101')
  expect(house.texts.filter(({ to }) => to === '+436645550101')).toHaveLength(1)
  expect(house.texts.find(({ to }) => to === '+436645550101')?.text).toMatch(
    /^Vallorne Mountain Lines: About Cableway electrical supervisor\. .*\/applications\//,
  )
  expect(await textOf(noNumber!)).toMatchObject({ state: 'refused', refusedBecause: 'No phone has this number.' })
  expect(await textOf(refused!)).toMatchObject({ state: 'refused', refusedBecause: 'the phone takes no texts' })
  expect(await textOf(none!)).toBeUndefined()
  // The number they give later is where it goes again.
  const application = await Application.findByPk(noNumber!, { rejectOnEmpty: true })
  await application.update({ answers: { ...application.answers, 'contact.phone': '0664 5550102' } })
  await desk.done('resendMessage', { params: { id: (await textOf(noNumber!))!.id } })
  await until(async () => (await textOf(noNumber!))?.state === 'delivered')
  expect(house.texts.map(({ to }) => to)).toContain('+436645550102')
}, 60_000)

test('links that let in whoever holds them are not shown to the desk', async () => {
  const candidate = await house.candidate('Lena Link')
  const { id } = await applied(house, candidate, ['Lena', 'Link'])
  const token = 'x'.repeat(43)
  await Message.create({
    id: uuid(),
    toName: 'A source',
    toMail: 'source@mail.test',
    subject: 'Please confirm',
    text: `Reply here: http://house.test/reply/${token}`,
    attachments: [],
    applicationId: id,
    createdAt: new Date(),
  })
  const messages = await (await house.staff('coordinator')).done('readMessages', { params: { id } })
  expect(JSON.stringify(messages)).not.toContain(token)
  expect(messages.find(({ to }) => to === 'source@mail.test')?.text).toContain('/reply/…')
})

test('prepared sentences are there from the start and are kept in the order they are given', async () => {
  const desk = await house.staff('coordinator')
  const documents = (await desk.done('listSentences')).filter(({ about }) => about === 'document')
  expect(documents.length).toBeGreaterThan(3)
  const sentences = [...documents].reverse().map(({ about: _, ...sentence }) => sentence)
  await desk.done('saveSentences', { params: { about: 'document' }, body: { sentences } })
  const again = (await desk.done('listSentences')).filter(({ about }) => about === 'document')
  expect(again.map(({ id }) => id)).toEqual(sentences.map(({ id }) => id))
})

test('a mail that no server takes waits in sight; one that is refused is sent again or let be, also without an application', async () => {
  const desk = await house.staff('coordinator')
  const mail = `nobody-${uuid().slice(-8)}@refuses.example`
  const to = { name: 'Nobody There', mail }
  await inTransaction(house.fixed.sequelize, () =>
    queueWritten(house.deps, { to, subject: 'A first', text: 'Come in.' }),
  )
  const outbox = () => desk.done('readOutbox').then((rows) => rows.filter((row) => row.to === mail))
  const refused = await until(async () => (await outbox())[0])
  expect(refused).toMatchObject({
    state: 'refused',
    application: null,
    because: expect.stringContaining('No such mailbox'),
  })
  expect((await desk.done('readCounts')).refusedMails).toBeGreaterThan(0)
  // Of two who press at once, one is told that it is no longer refused.
  const pressed = await Promise.all([1, 2].map(() => desk.call('resendMessage', { params: { id: refused.id } })))
  expect(pressed.map(({ status }) => status).sort()).toEqual([200, 409])
  await until(async () => (await outbox())[0]?.state === 'refused')
  await desk.done('letMessageBe', { params: { id: refused.id } })
  expect(await outbox()).toEqual([])

  const waiting = await Message.create({
    id: uuid(),
    toName: 'Later',
    toMail: mail,
    subject: 'Later',
    text: 'Later',
    attachments: [],
    applicationId: null,
    createdAt: new Date(Date.now() - 600_000),
  })
  expect(await outbox()).toMatchObject([{ id: waiting.id, state: 'queued' }])
  expect((await desk.call('letMessageBe', { params: { id: waiting.id } })).body.code).toBe('not-refused')
  await waiting.destroy()
})

test('a mail comes as text and as HTML, says that a machine wrote it, and is answered to a person', async () => {
  const mail = `reader-${uuid().slice(-8)}@mail.test`
  const text = 'Look at <this> & that:\nhttp://house.test/reply/abc.\n\nThank you.'
  await inTransaction(house.fixed.sequelize, () =>
    queueWritten(house.deps, { to: { name: 'A Reader', mail }, subject: 'Both', text }),
  )
  const { html, headers } = await house.mailTo(mail, 'Both')
  expect(html).toContain('Look at &lt;this&gt; &amp; that:<br>')
  expect(html).toContain('<a href="http://house.test/reply/abc">http://house.test/reply/abc</a>.')
  expect(headers['auto-submitted']).toBe('auto-generated')
  expect(headers['message-id']).toMatch(/^<[0-9a-f-]{36}@vallorne\.example>$/)
  expect(headers['reply-to']).toContain(house.deps.organisation.contact)
})
