import { createTransport, type SendMailOptions } from 'nodemailer'
import { PDFDocument } from 'pdf-lib'
import { Op } from 'sequelize'
import sharp from 'sharp'
import type { EnquiryReply } from '#contract/reply'
import { allRight, askAbout, checkedSource, claimedOf, enquiryAbout, stepsOfEnquiry } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { aDegree, aPaper, claimOf, type House, look, openHouse, until } from '../../test/house'
import { textOf } from '../../test/pdfText'
import { aContact } from '../../test/source'
import { refuseMessage } from '../messages/sendMail'
import { Message } from '../platform/mail/model'
import { EnquiryStepRow } from '../records/enquiries/model'
import { TrayPaper } from '../records/tray/model'

let house: House
let desk: Visitor
let admin: Visitor
beforeAll(async () => {
  house = await openHouse('enquiry_ways')
  desk = await house.staff('coordinator')
  admin = await house.staff('administrator')
}, 120_000)
afterAll(() => house.close())

async function setPolicies(change: Record<string, boolean>) {
  const { version, policies } = await admin.done('readPolicies')
  await admin.done('savePolicies', { body: { version, policies: { ...policies, ...change } } })
}

async function setEnquiries(change: object) {
  const { version, organisation } = await admin.done('readOrganisation')
  const enquiries = { ...organisation.enquiries, ...change }
  await admin.done('saveOrganisation', { body: { version, organisation: { ...organisation, enquiries } } })
}

const scan = async (pages: Uint8Array) => {
  const bytes = Buffer.from(pages)
  await desk.done('putInTray', { query: { fileName: 'post.pdf' }, body: bytes })
}

describe('a letter', () => {
  const byLetter = (name: string) =>
    checkedSource(house, {
      name,
      country: 'AT',
      channels: ['letter'],
      contacts: [aContact({ mail: '', address: 'Personalbüro\nRing 7\n6020 Innsbruck' })],
    })

  async function printed(name: [string, string]) {
    const source = await byLetter(`Briefwerk ${name[1]}`)
    const file = await claimedOf(house, name, source)
    await askAbout(desk, file.claimId, file.applicationId)
    const enquiry = await enquiryAbout(file.claimId)
    const reply = await desk.request(`/api/desk/letters/letters.pdf?batchIds=${enquiry.batchId}`)
    return { ...file, enquiry, source, pdf: new Uint8Array(await reply.arrayBuffer()) }
  }

  test('has its address in the window, a sheet to lay on top, a form and the permission, in the language of its source', async () => {
    const { pdf, enquiry } = await printed(['Lena', 'Letter'])
    const pages = await textOf(pdf.slice().buffer)
    expect(pages).toContain('Briefwerk Letter')
    expect(pages).toContain('6020 Innsbruck')
    expect(pages).toContain('Bitte um Bestätigung')
    expect(pages).toContain('Bitte legen Sie dieses Blatt auf Ihre Antwort')
    expect(pages).toContain(`Antwort zu Lena Letter`)
    expect(pages).toContain(enquiry.reference!)
    expect((await PDFDocument.load(pdf)).getPageCount()).toBeGreaterThanOrEqual(4)
  })

  test('a photographed paper that its source wants is enclosed on a page of its own, upright', async () => {
    const conditions = [{ id: crypto.randomUUID(), kind: 'copy of the paper' as const, claims: [], reason: '' }]
    const source = await checkedSource(house, {
      ...{ name: 'Fotohof', kind: 'school', channels: ['letter'], conditions },
      contacts: [aContact({ mail: '', address: 'Ring 2\n6020 Innsbruck' })],
    })
    const { candidate, applicationId } = await claimedOf(house, ['Pia', 'Photo'], source)
    const details = aDegree(house, { ...source.named, number: 'N-9' })
    const { id: claimId } = await candidate.done('addClaim', { body: { details } })
    const noise = Buffer.from(Array.from({ length: 300 * 400 * 3 }, (_, nth) => (nth * 7919) % 256))
    const photo = await sharp(noise, { raw: { width: 300, height: 400, channels: 3 } })
      .jpeg()
      .toBuffer()
    await candidate.done('uploadDocument', { params: { id: claimId }, query: { fileName: 'Photo.jpg' }, body: photo })
    await look(desk, applicationId, claimId)
    await askAbout(desk, claimId, applicationId)
    const { batchId } = await enquiryAbout(claimId)
    const letter = await PDFDocument.load(
      await (await desk.request(`/api/desk/letters/letters.pdf?batchIds=${batchId}`)).arrayBuffer(),
    )
    const resources = letter.getPages().at(-1)!.node.Resources()!
    expect(resources.toString()).toContain('/XObject')
    expect(letter.getPageCount()).toBe(5)
  })

  test('printing alone begins no time; saying that it is on its way does, once', async () => {
    const { enquiry } = await printed(['Paula', 'Printed'])
    expect((await enquiry.reload()).dueOn).toBeNull()
    const twice = await Promise.all(
      [1, 2].map((nth) => desk.call('markPrinted', { body: { batchIds: [enquiry.batchId] }, key: `printed ${nth}` })),
    )
    expect(twice.map(({ body }) => body.printed ?? body.code).sort()).toEqual([0, 1])
    expect(await enquiry.reload()).toMatchObject({ toPrint: null, turn: 'source' })
    expect(enquiry.dueOn! > enquiry.answerBy).toBe(true)
    expect(await stepsOfEnquiry(enquiry.id)).toEqual(['asked', 'printed'])
  })

  test('its answer comes back through the scanner, finds its question by the form, and is typed in beside it', async () => {
    const { pdf, enquiry, claimId, applicationId } = await printed(['Rita', 'Return'])
    await desk.done('markPrinted', { body: { batchIds: [enquiry.batchId] } })
    const out = await PDFDocument.create()
    const from = await PDFDocument.load(pdf)
    for (const page of await out.copyPages(from, [1, 2])) out.addPage(page)
    await scan(await out.save())
    await until(async () => (await enquiry.reload()).paper)
    expect(enquiry).toMatchObject({ turn: 'desk', dueOn: null })
    const paper = await desk.request(`/api/desk/enquiries/${enquiry.id}/paper`)
    expect((await PDFDocument.load(new Uint8Array(await paper.arrayBuffer()))).getPageCount()).toBe(1)
    const reply = allRight(enquiry.claimed, { hours: 'full time', again: 'yes' }) as EnquiryReply
    await desk.done('enterReply', { params: { id: enquiry.id }, body: { version: enquiry.version, reply } })
    const { proof, rung } = await claimOf(desk, applicationId, claimId)
    expect([rung, proof.proposed]).toEqual(['asked', 'confirmed'])
    expect((await enquiry.reload()).reply).toMatchObject({ hours: 'full time', again: 'yes' })
  })

  test('a second paper for the same question waits for a person, and so does one for a question that is over', async () => {
    const { pdf, enquiry } = await printed(['Sara', 'Second'])
    const form = async () => {
      const out = await PDFDocument.create()
      const from = await PDFDocument.load(pdf)
      for (const page of await out.copyPages(from, [2])) out.addPage(page)
      return out.save()
    }
    await scan(await form())
    await until(async () => (await enquiry.reload()).paper)
    const first = enquiry.paper!.sha256
    await scan(await form())
    const waits = await until(async () =>
      (await TrayPaper.findAll({ where: { state: 'waiting' } })).find(
        ({ why }) => why?.code === 'tray.enquiryHasPaper',
      ),
    )
    expect([waits.pages, (await enquiry.reload()).paper!.sha256]).toEqual([1, first])
    await desk.done('withdrawEnquiry', { params: { id: enquiry.id }, body: { version: enquiry.version } })
    await scan(await form())
    await until(async () =>
      (await TrayPaper.findAll({ where: { state: 'waiting' } })).find(({ why }) => why?.code === 'tray.enquiryOver'),
    )
  })

  test('nothing is typed in before a paper is there', async () => {
    const { enquiry } = await printed(['Nora', 'Nothing'])
    const reply = allRight(enquiry.claimed) as EnquiryReply
    const refused = await desk.call('enterReply', {
      params: { id: enquiry.id },
      body: { version: enquiry.version, reply },
    })
    expect(refused.body.code).toBe('no-paper')
  })
})

describe('several at once', () => {
  test('five people of one employer make one mail with five parts, each answered by itself; where it wants it so', async () => {
    const source = await checkedSource(house, { name: 'Sammelwerk', together: true, channels: ['link'] })
    const files = []
    for (const name of ['Ada', 'Bea', 'Cleo', 'Dina', 'Eva'])
      files.push(await claimedOf(house, [name, 'Several'], source))
    const items = await desk.done('listToAsk', { query: { sourceId: source.id } })
    expect(items.map(({ claimId }) => claimId).sort()).toEqual(files.map(({ claimId }) => claimId).sort())
    const planned = await desk.done('planEnquiries', { body: { items } })
    expect(planned.map(({ outcome, together }) => [outcome, together])).toEqual(Array(5).fill(['goes', 1]))
    expect(await desk.done('raiseEnquiries', { body: { items } })).toEqual({ asked: 5, prepared: 0, not: 0 })
    await house.workOff()
    await house.mailTo(source.contacts[0]!.mail)
    const mails = house.mailbox.mails.filter(({ to }) => to === source.contacts[0]!.mail)
    expect(mails).toHaveLength(1)
    for (const name of ['Ada', 'Bea', 'Cleo', 'Dina', 'Eva']) expect(mails[0]!.text).toContain(`${name} Several`)
    expect(mails[0]!.attachments).toHaveLength(5)
    // Asking once more asks nobody.
    expect(await desk.done('raiseEnquiries', { body: { items } })).toEqual({ asked: 0, prepared: 0, not: 5 })
  })

  test('of the files that are ticked each is listed once, and nobody else’s', async () => {
    const source = await checkedSource(house, { country: 'FR' })
    const [one, other] = [
      await claimedOf(house, ['Tilo', 'Ticked'], source),
      await claimedOf(house, ['Tara', 'Ticked'], source),
    ]
    const of = async (...ids: string[]) =>
      (await desk.done('listToAsk', { query: { applicationIds: ids.join(',') } })).map(({ claimId }) => claimId)
    const listed = await of(one.applicationId, other.applicationId, one.applicationId)
    expect(new Set(listed).size).toBe(listed.length)
    expect(listed).toEqual(expect.arrayContaining([one.claimId, other.claimId]))
    expect(await of(other.applicationId)).not.toContain(one.claimId)
    await askAbout(desk, one.claimId, one.applicationId)
    expect(await of(one.applicationId, other.applicationId)).not.toContain(one.claimId)
    expect((await desk.call('listToAsk', { query: { applicationIds: 'x' } })).status).toBe(422)
    expect((await desk.call('listToAsk', {})).status).toBe(404)
  })

  test('what only the candidate can give is asked of them in one mail, in their language, whatever waits for it', async () => {
    const conditions = [{ id: crypto.randomUUID(), kind: 'signature' as const, claims: [], reason: '' }]
    const signed = await checkedSource(house, { name: 'Signum', kind: 'school', conditions })
    const other = await checkedSource(house, { name: 'Paperhof', kind: 'school' })
    const { candidate, applicationId, claimId } = await claimedOf(house, ['Wanda', 'Waits'], {
      ...signed,
      kind: 'study',
    })
    const details = aDegree(house, { ...other.named, number: 'N-1' })
    const second = (await candidate.done('addClaim', { body: { details } })).id
    await candidate.done('chooseLanguage', { body: { language: 'de' } })
    const items = [claimId, second].map((id) => ({ claimId: id, applicationId }))
    expect(await desk.done('raiseEnquiries', { body: { items } })).toEqual({ asked: 0, prepared: 2, not: 0 })
    const mails = await Message.findAll({
      where: { toMail: candidate.mail, subject: { [Op.like]: '%Bevor wir fragen%' } },
    })
    expect(mails).toHaveLength(1)
    for (const part of [
      'Signum: eine von Hand unterschriebene',
      'Paperhof: ein Dokument',
      `/applications/${applicationId}`,
    ])
      expect(mails[0]!.text).toContain(part)
    const [row] = (await desk.done('listEnquiries', { query: { turn: 'candidate', sourceId: signed.id } })).rows
    expect(row!.lacks).toEqual([expect.stringContaining('a permission signed by hand')])
  })

  test('two who ask about the same at the same moment ask once', async () => {
    const source = await checkedSource(house)
    const { claimId, applicationId } = await claimedOf(house, ['Olga', 'Once'], source)
    const both = await Promise.all(
      [1, 2, 3].map((nth) =>
        desk.call('raiseEnquiry', { params: { id: claimId }, body: { applicationId }, key: `ask at once ${nth}` }),
      ),
    )
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409, 409])
    await house.workOff()
    expect(await Message.count({ where: { toMail: source.contacts[0]!.mail } })).toBe(1)
  })
})

describe('the telephone', () => {
  const byTelephone = () =>
    checkedSource(house, {
      channels: ['telephone', 'letter'],
      contacts: [aContact({ mail: '', phone: '+43 512 555 77', address: 'Ring 1\n6020 Innsbruck' })],
    })

  async function toCall(name: [string, string]) {
    const file = await claimedOf(house, name, await byTelephone())
    await askAbout(desk, file.claimId, file.applicationId)
    return { ...file, enquiry: await enquiryAbout(file.claimId) }
  }
  const heard = (claimed: Record<string, string>) => ({
    reply: allRight(claimed, { respondent: 'Frau Huber' }) as EnquiryReply,
    sure: 'called back through the switchboard' as const,
  })

  test('shows the number of the directory, takes what was said, by whom, and how that was made sure', async () => {
    const { enquiry, claimId, applicationId } = await toCall(['Tea', 'Telephone'])
    const shown = await desk.done('readEnquiryAtDesk', { params: { id: enquiry.id } })
    expect(shown).toMatchObject({
      phone: '+43 512 555 77',
      row: { stage: 'to call', turn: 'desk' },
      asks: { hours: true },
    })
    const params = { id: enquiry.id }
    const { reply, sure } = heard(enquiry.claimed)
    const unsure = await desk.call('enterReply', { params, body: { version: enquiry.version, reply } })
    expect(unsure.body.faults?.[0]?.pointer).toBe('/body/sure')
    expect(await desk.done('enterReply', { params, body: { version: enquiry.version, reply, sure } })).toEqual({
      state: 'answered',
    })
    const { proof } = await claimOf(desk, applicationId, claimId)
    expect(proof.proposed).toBe('confirmed')
    expect(proof.enquiries[0]!.steps.find(({ step }) => step === 'called')!.note).toBe(
      'Frau Huber, Personnel; called back through the switchboard',
    )
  })

  test('where the house wants it, somebody else checks what was heard, and whoever heard it may not', async () => {
    await setPolicies({ 'telephone-answer': true })
    const { enquiry } = await toCall(['Sofia', 'Second'])
    const params = { id: enquiry.id }
    const { state } = await desk.done('enterReply', {
      params,
      body: { version: enquiry.version, ...heard(enquiry.claimed) },
    })
    expect(state).toBe('open')
    const version = (await enquiry.reload()).version
    const check = (who: Visitor, right: boolean, note = '') =>
      who.call('checkReply', { params, body: { version, right, note } })
    expect((await check(desk, true)).body.code).toBe('own-check')
    expect((await check(admin, false)).body.faults?.[0]?.pointer).toBe('/body/note')
    expect((await check(admin, true)).status).toBe(200)
    expect((await enquiry.reload()).state).toBe('answered')
    await setPolicies({ 'telephone-answer': false })
  })

  test('after as many calls as the schedule has, another way is taken', async () => {
    const { enquiry } = await toCall(['Calla', 'Calls'])
    for (let nth = 0; nth < 3; nth += 1) {
      const { version } = await enquiry.reload()
      await desk.done('logCall', { params: { id: enquiry.id }, body: { version, note: `Try ${nth}` } })
    }
    expect(await enquiry.reload()).toMatchObject({ channel: 'letter', toPrint: 'letter', escalations: 1 })
  })
})

describe('what a source sends by itself', () => {
  async function handOver(mail: SendMailOptions) {
    const transport = createTransport({ host: '127.0.0.1', port: house.deps.config.mailInPort, ignoreTLS: true })
    await transport.sendMail({ to: 'applications@vallorne.example', ...mail })
    transport.close()
  }

  async function awaited(name: [string, string]) {
    const mail = `records@${crypto.randomUUID().slice(0, 8)}.example`
    const source = await checkedSource(house, { channels: ['direct issue'], contacts: [aContact({ mail })] })
    const file = await claimedOf(house, name, source)
    await askAbout(desk, file.claimId, file.applicationId)
    await house.workOff()
    return {
      ...file,
      mail,
      domain: mail.split('@')[1]!,
      enquiry: await enquiryAbout(file.claimId),
      asked: await house.mailTo(mail),
    }
  }

  test('is asked for with our code, and matched by code, sender and person', async () => {
    const { mail, enquiry, asked } = await awaited(['Dora', 'Direct'])
    expect(asked.text).toContain(enquiry.reference)
    expect(asked.text).not.toContain('/reply/')
    await handOver({
      from: mail,
      subject: `Confirmation ${enquiry.reference}`,
      text: 'Please find our confirmation of Dora Direct enclosed.',
      attachments: [{ filename: 'Confirmation.pdf', content: Buffer.from(await aPaper('Dora Direct worked here.')) }],
    })
    await until(async () => (await enquiry.reload()).paper)
    expect(enquiry).toMatchObject({ turn: 'desk', paper: { fileName: 'Confirmation.pdf' } })
    expect(
      (await desk.done('listIncomingMails')).filter(({ subject }) => subject.includes(enquiry.reference!)),
    ).toEqual([])
  })

  test('an answer to our mail is matched without a code; what it says without a file is kept as it was written', async () => {
    const { domain, enquiry, asked } = await awaited(['Ida', 'Inline'])
    await handOver({
      from: `someone@${domain}`,
      inReplyTo: asked.headers['message-id'],
      subject: 'Re',
      text: 'Ida Inline: yes, that is right.',
    })
    await until(async () => (await enquiry.reload()).paper)
    const paper = await desk.request(`/api/desk/enquiries/${enquiry.id}/paper`)
    expect(await paper.text()).toContain('yes, that is right')
  })

  test.each([
    [
      'another sender',
      (one: Awaited<ReturnType<typeof awaited>>) => ({
        from: 'x@elsewhere.example',
        subject: one.enquiry.reference!,
        text: 'Nadja Not0 worked here.',
      }),
    ],
    [
      'another person',
      (one: Awaited<ReturnType<typeof awaited>>) => ({
        from: one.mail,
        subject: one.enquiry.reference!,
        text: 'Somebody Else worked here.',
      }),
    ],
    [
      'no code',
      (one: Awaited<ReturnType<typeof awaited>>) => ({
        from: one.mail,
        subject: 'Confirmation',
        text: 'Nadja Not2 worked here.',
      }),
    ],
  ])('with %s it waits for a person', async (what, written) => {
    const nth = ['another sender', 'another person', 'no code'].indexOf(what)
    const one = await awaited(['Nadja', `Not${nth}`])
    const mail = written(one)
    await handOver(mail)
    const waiting = await until(async () =>
      (await desk.done('listIncomingMails')).find(({ text }) => text === mail.text),
    )
    expect([waiting.state, (await one.enquiry.reload()).paper]).toEqual(['waiting', null])
  })

  test('what waited is laid with its question by hand, once, with who said so; where a paper lies already it is told', async () => {
    const [one, other] = [await awaited(['Hanna', 'Hand']), await awaited(['Hugo', 'Hand'])]
    await handOver({ from: 'x@elsewhere.example', subject: 'Confirmation', text: 'She worked here, by hand.' })
    const mail = await until(async () =>
      (await desk.done('listIncomingMails')).find(({ text }) => text.includes('by hand')),
    )
    const lay = (reference: string) => desk.call('fileIncomingMail', { params: { id: mail.id }, body: { reference } })
    expect((await lay('EQ-0000-00')).status).toBe(422)
    const both = await Promise.all([lay(` ${one.enquiry.reference!.toLowerCase()}`), lay(other.enquiry.reference!)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    const papers = [(await one.enquiry.reload()).paper, (await other.enquiry.reload()).paper]
    expect(papers.filter(Boolean)).toHaveLength(1)
    const taken = papers[0] ? one : other
    const step = await EnquiryStepRow.findOne({ where: { enquiryId: taken.enquiry.id, step: 'paper came' } })
    expect(step?.by).toBe('x@elsewhere.example')
    await desk.done('putInTray', { query: { fileName: 'answer.pdf' }, body: Buffer.from(await aPaper('Nobody')) })
    const paper = await until(async () => {
      await house.workOff()
      return (await desk.done('readTray')).waiting.find(({ fileName }) => fileName === 'answer.pdf')
    })
    const layPaper = (reference: string) =>
      desk.call('layWithQuestion', { params: { id: paper.id }, body: { reference } })
    expect((await layPaper(taken.enquiry.reference!)).body.code).toBe('paper-there')
    const free = taken === one ? other : one
    expect((await layPaper(free.enquiry.reference!)).status).toBe(200)
    expect((await free.enquiry.reload()).paper?.fileName).toBe('answer.pdf')
    expect((await desk.done('readTray')).filed[0]!.to).toBe(`with enquiry ${free.enquiry.reference}`)
    expect((await layPaper(free.enquiry.reference!)).body.code).toBe('settled')
  })
})

test('a mail that does not arrive is not waited for: the source is asked by another way at once', async () => {
  const contacts = [aContact({ mail: 'gone@gone.example', address: 'Ring 3\n6020 Innsbruck' })]
  const source = await checkedSource(house, { channels: ['link', 'letter'], contacts })
  const { claimId, applicationId } = await claimedOf(house, ['Berta', 'Bounced'], source)
  await askAbout(desk, claimId, applicationId)
  const message = (await Message.findOne({ where: { toMail: 'gone@gone.example' } }))!
  await refuseMessage(house.deps, message, { code: 'messages.because.said', values: { said: '550 No such mailbox' } })
  const enquiry = await enquiryAbout(claimId)
  expect(enquiry).toMatchObject({ channel: 'letter', toPrint: 'letter' })
  expect(await stepsOfEnquiry(enquiry.id)).toEqual(['asked', 'not delivered', 'escalated'])
})

test('what costs more than the house allows waits for somebody else to approve it, and then goes by itself', async () => {
  await setEnquiries({ costLimit: 1000 })
  const source = await checkedSource(house, { cost: { amount: 2500, currency: 'EUR' } })
  const { claimId, applicationId } = await claimedOf(house, ['Kora', 'Cost'], source)
  expect(await askAbout(desk, claimId, applicationId)).toMatchObject({ state: 'prepared' })
  const enquiry = await enquiryAbout(claimId)
  const approve = (who: Visitor) =>
    who.call('approveCost', { params: { id: enquiry.id }, body: { version: enquiry.version } })
  expect((await approve(desk)).body.code).toBe('own-cost')
  expect((await approve(admin)).status).toBe(200)
  expect(await enquiry.reload()).toMatchObject({ state: 'open', cost: { amount: 2500 } })
  await setEnquiries({ costLimit: null })
})
