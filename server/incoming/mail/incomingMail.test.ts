import { createTransport, type SendMailOptions } from 'nodemailer'
import { aPaper, applied, type House, openHouse, until } from '../../../test/house'
import { Message } from '../../platform/mail/model'
import { IncomingMail } from '../../records/mails/model'
import { Scan } from '../../records/tray/model'

let house: House
beforeAll(async () => {
  house = await openHouse('incoming_mail')
}, 60_000)
afterAll(() => house.close())

/** Hands a mail over as the organisation's mail server does. */
async function handOver(mail: SendMailOptions, sender = 'anna@mail.test') {
  const transport = createTransport({ host: '127.0.0.1', port: house.deps.config.mailInPort, ignoreTLS: true })
  try {
    await transport.sendMail({
      from: `Anna Answers <${sender || 'postmaster@mail.test'}>`,
      to: 'applications@vallorne.example',
      envelope: { from: sender, to: 'applications@vallorne.example' },
      ...mail,
    })
  } finally {
    transport.close()
  }
}

/** Somebody the desk has written to, and the identifier of that mail. */
async function writtenTo(name: [string, string]) {
  const candidate = await house.candidate(name.join(' '))
  const { id, reference } = await applied(house, candidate, name)
  const desk = await house.staff('coordinator')
  const written = { english: { subject: 'A question', text: '{{givenName}}, one thing more.' }, german: null }
  await desk.done('sendMessages', { body: { written, applications: [id] } })
  const { headers } = await house.mailTo(candidate.mail, 'A question')
  await house.workOff()
  return { candidate, id, reference, desk, messageId: headers['message-id']! }
}

test('an answer finds its thread by its headers, stands in the file, and waits until it is settled, once', async () => {
  const { id, desk, messageId, reference } = await writtenTo(['Anna', 'Answers'])
  await handOver({ subject: 'Re: A question', text: 'Here is what you asked for.', inReplyTo: messageId })
  const [mail] = await desk.done('readMailsAbout', { params: { id } })
  expect(mail).toMatchObject({
    from: 'Anna Answers <anna@mail.test>',
    text: 'Here is what you asked for.',
    kind: 'written',
    state: 'waiting',
  })
  const why = async () =>
    (await desk.done('readQueue', { params: { queue: 'today' } })).people.find((row) => row.id === id)?.why
  expect(await why()).toBe('Wrote to us')
  expect((await desk.done('listIncomingMails')).find((one) => one.id === mail!.id)?.application).toEqual({
    id,
    reference,
  })
  expect((await desk.done('readFile', { params: { id } })).trail[0]?.what).toBe('Wrote to us: Re: A question')

  const pressed = await Promise.all(
    [1, 2].map((nth) => desk.call('settleIncomingMail', { params: { id: mail!.id }, key: `settle at once ${nth}` })),
  )
  expect(pressed.map(({ status }) => status).sort()).toEqual([200, 409])
  expect(await why()).not.toBe('Wrote to us')
  expect(await desk.done('listIncomingMails')).toEqual([])
})

test('what a candidate answers to a notice is a question to the desk, once, and the answer to it goes on there', async () => {
  const { candidate, id, desk, messageId } = await writtenTo(['Quirin', 'Question'])
  const again = {
    messageId: '<asked@mail.test>',
    from: candidate.mail,
    subject: 'Re: A question',
    inReplyTo: messageId,
  }
  await Promise.all([1, 2].map(() => handOver({ ...again, text: 'May I come on Friday?' }, candidate.mail)))
  const [asked, ...others] = await desk.done('listConversations', { params: { id } })
  expect(others).toEqual([])
  expect(asked).toMatchObject({
    about: { kind: 'nothing' },
    state: 'waiting',
    entries: [{ via: 'mail', by: 'candidate' }],
  })
  expect(asked!.entries[0]!.text).toContain('May I come on Friday?')
  expect(await desk.done('readMailsAbout', { params: { id } })).toMatchObject([{ state: 'settled' }])
  const [own] = await candidate.done('listMyConversations', { params: { id } })
  expect(own!.id).toBe(asked!.id)
})

test('the same mail handed over twice at once is one mail, and its papers come once', async () => {
  const { messageId } = await writtenTo(['Twice', 'Told'])
  const again = {
    messageId: '<the-same@mail.test>',
    subject: 'Re: A question',
    text: 'Once.',
    references: messageId,
    attachments: [{ filename: 'Diploma.pdf', content: Buffer.from(await aPaper('Diploma')) }],
  }
  await Promise.all([handOver(again), handOver(again), handOver(again)])
  expect(await IncomingMail.count({ where: { messageId: '<the-same@mail.test>' } })).toBe(1)
  expect(await Scan.count({ where: { fileName: 'Diploma.pdf' } })).toBe(1)
})

test('what is enclosed goes to the paper tray with who sent it, and is guessed to be theirs; what cannot be read is told there', async () => {
  const { id, messageId, desk } = await writtenTo(['Paula', 'Papers'])
  await handOver({
    subject: 'Re: A question',
    text: 'See the papers.',
    inReplyTo: messageId,
    attachments: [
      { filename: 'Degree of Paula.pdf', content: Buffer.from(await aPaper('Degree')) },
      { filename: 'letter.docx', content: Buffer.from('PK not a paper') },
    ],
  })
  const [mail] = await desk.done('readMailsAbout', { params: { id } })
  expect(mail!.encloses).toEqual(['Degree of Paula.pdf', 'letter.docx'])
  const paper = await until(async () =>
    (await desk.done('readTray')).waiting.find(({ fileName }) => fileName === 'Degree of Paula.pdf'),
  )
  const { refused } = await desk.done('readTray')
  expect(paper).toMatchObject({ came: 'mail' })
  expect(JSON.stringify(paper.guesses)).toContain('Paula Papers')
  expect(refused.map(({ fileName }) => fileName)).toContain('letter.docx')
  expect((await Scan.findOne({ where: { fileName: 'Degree of Paula.pdf' } }))?.broughtBy).toBe(
    'Anna Answers <anna@mail.test>',
  )
})

test('what answers nothing of ours waits for a person, who puts it where it belongs', async () => {
  const { id, reference, desk } = await writtenTo(['Frieda', 'Files'])
  await handOver({ subject: 'My application', text: 'I forgot something.', inReplyTo: '<strange@elsewhere.test>' })
  const mail = (await desk.done('listIncomingMails')).find(({ subject }) => subject === 'My application')!
  expect(mail.application).toBeNull()
  const put = (to: string) => desk.call('fileIncomingMail', { params: { id: mail.id }, body: { reference: to } })
  expect((await put('VM-NONE-00')).body.faults?.[0]?.pointer).toBe('/body/reference')
  expect((await put(` ${reference.toLowerCase()} `)).status).toBe(200)
  expect(await desk.done('readMailsAbout', { params: { id } })).toMatchObject([{ id: mail.id, state: 'waiting' }])
  await desk.done('settleIncomingMail', { params: { id: mail.id } })
  expect((await put(reference)).status).toBe(409)
})

test('of two who put one mail into different files at once one is told, and only one file waits for it', async () => {
  const one = await writtenTo(['Erna', 'Either'])
  const other = await writtenTo(['Otto', 'Other'])
  await handOver({ subject: 'Whose am I', text: 'Guess.', messageId: '<whose@mail.test>' })
  const mail = (await one.desk.done('listIncomingMails')).find(({ subject }) => subject === 'Whose am I')!
  const put = await Promise.all(
    [one, other].map(({ desk, reference }) =>
      desk.call('fileIncomingMail', { params: { id: mail.id }, body: { reference } }),
    ),
  )
  // Whoever comes after the first is done moves it on; at the same moment one is refused.
  const { people } = await one.desk.done('readQueue', { params: { queue: 'today' } })
  const waiting = people.filter(({ id, why }) => [one.id, other.id].includes(id) && why === 'Wrote to us')
  expect(put.map(({ status }) => status)).toContain(200)
  expect(waiting).toHaveLength(1)
})

test.each([
  ['a holiday notice', { headers: { 'Auto-Submitted': 'auto-replied' } }, 'anna@mail.test'],
  ['what wants no answer', {}, ''],
])('%s is kept and asks for nobody', async (_, more, sender) => {
  const { id, desk, messageId } = await writtenTo(['Away', `Until${sender.length}`])
  await handOver({ subject: 'Away until Monday', text: 'I am away.', inReplyTo: messageId, ...more }, sender)
  expect(await desk.done('readMailsAbout', { params: { id } })).toMatchObject([{ kind: 'automatic', state: 'settled' }])
  expect((await desk.done('listIncomingMails')).filter(({ application }) => application?.id === id)).toEqual([])
})

test('a report that a mail did not arrive makes it one that was refused', async () => {
  const { id, desk, messageId } = await writtenTo(['Bodo', 'Bounced'])
  const raw = (action: string) =>
    [
      'From: MAILER-DAEMON@mail.test',
      'To: applications@vallorne.example',
      'Subject: Undelivered',
      `Message-ID: <report-${action}@mail.test>`,
      'Auto-Submitted: auto-replied',
      'MIME-Version: 1.0',
      'Content-Type: multipart/report; report-type=delivery-status; boundary="part"',
      '',
      '--part',
      'Content-Type: text/plain',
      '',
      'It could not be delivered.',
      '--part',
      'Content-Type: message/delivery-status',
      '',
      'Reporting-MTA: dns; mail.test',
      '',
      `Action: ${action}`,
      'Status: 5.2.2',
      'Diagnostic-Code: smtp; 552 5.2.2 The mailbox is full',
      '--part',
      'Content-Type: text/rfc822-headers',
      '',
      `Message-ID: ${messageId}`,
      '--part--',
      '',
    ].join('\r\n')
  const state = async () =>
    (await desk.done('readMessages', { params: { id } })).find(({ subject }) => subject === 'A question')!
  expect((await state()).state).toBe('accepted')
  await handOver({ raw: raw('delayed') }, '')
  expect((await state()).state).toBe('accepted')
  await handOver({ raw: raw('failed') }, '')
  expect(await state()).toMatchObject({ state: 'refused', refusedBecause: '552 5.2.2 The mailbox is full' })
  expect(await Message.count({ where: { applicationId: id, state: 'refused' } })).toBe(1)
})

test('a mail that is too large is refused for good, and one that cannot be kept is to be tried again', async () => {
  const large = { subject: 'Large', attachments: [{ filename: 'x.pdf', content: Buffer.alloc(26 * 1024 * 1024) }] }
  await expect(handOver(large)).rejects.toMatchObject({ responseCode: 552 })
  Object.assign(IncomingMail, { create: () => Promise.reject(new Error('the database is away')) })
  await expect(handOver({ subject: 'Once more', messageId: '<once-more@mail.test>' })).rejects.toMatchObject({
    responseCode: 451,
  })
  Reflect.deleteProperty(IncomingMail, 'create')
  await handOver({ subject: 'Once more', messageId: '<once-more@mail.test>' })
  expect(await until(async () => IncomingMail.findOne({ where: { messageId: '<once-more@mail.test>' } }))).toBeTruthy()
})
