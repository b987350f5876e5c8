import type { EnquiryReply } from '#contract/reply'
import { allRight, askAbout, checkedSource, claimedOf, enquiryAbout, stepsOfEnquiry } from '../../test/asking'
import type { Visitor } from '../../test/client'
import { aPaper, claimOf, type House, openHouse, tokenIn } from '../../test/house'
import { textOf } from '../../test/pdfText'
import { aContact } from '../../test/source'
import { Message } from '../platform/mail/model'
import { Enquiry, EnquiryLink } from '../records/enquiries/model'

let house: House
let desk: Visitor
beforeAll(async () => {
  house = await openHouse('enquiry_reply')
  desk = await house.staff('coordinator')
}, 120_000)
afterAll(() => house.close())

async function asked(name: [string, string], over: Parameters<typeof checkedSource>[1] = {}) {
  const source = await checkedSource(house, over)
  const file = await claimedOf(house, name, source)
  await askAbout(desk, file.claimId, file.applicationId)
  await house.workOff()
  const mail = await house.mailTo(source.contacts[0]!.mail)
  return { ...file, source, mail, token: tokenIn(mail.text, 'reply'), enquiry: await enquiryAbout(file.claimId) }
}

test('a source is written to in its own language', async () => {
  const french = await asked(['Fanny', 'French'], { country: 'CH', region: 'GE' })
  const [italian, english] = [
    await asked(['Ida', 'Italian'], { country: 'IT' }),
    await asked(['Ed', 'English'], { country: 'PL' }),
  ]
  expect([french, italian, english].map(({ mail }) => mail.subject.split(':')[0]!.trim())).toEqual([
    'Merci de confirmer',
    'Confermare per favore',
    'Please confirm',
  ])
})

test('what is filled in is kept, by whichever page of the link; of two pages the later finds what the other kept', async () => {
  const { token, enquiry } = await asked(['Dana', 'Draft'])
  const page = house.visitor()
  const save = (version: number, respondent: string) =>
    page.call('saveReplyDraft', { params: { token }, body: { version, draft: { respondent } } })
  const both = await Promise.all([save(0, 'One'), save(0, 'Other')])
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
  const question = await page.done('readEnquiry', { params: { token } })
  expect([question.draftVersion, ['One', 'Other'].includes(question.draft!.respondent!)]).toEqual([1, true])
  expect(await stepsOfEnquiry(enquiry.id)).toEqual(['asked', 'partly answered', 'opened'])
  expect((await desk.done('readEnquiryAtDesk', { params: { id: enquiry.id } })).row.stage).toBe('partly answered')
})

test('whose day of birth is known is asked about no day of birth at a job, and answered without it', async () => {
  const { token, enquiry } = await asked(['Bea', 'Born'])
  await enquiry.update({ claimed: { ...enquiry.claimed, born: '1990-02-03' } })
  const source = house.visitor()
  const { claimed, fields } = await source.done('readEnquiry', { params: { token } })
  expect([claimed.born, fields.map(({ key }) => key)]).toEqual([undefined, Object.keys(claimed)])
  const body = allRight(claimed) as EnquiryReply
  const more = { ...body, fields: { ...body.fields, born: { says: 'agrees' as const } } }
  await source.done('replyToEnquiry', { params: { token }, body: more })
  expect(Object.keys((await enquiry.reload()).reply!.fields).sort()).toEqual(Object.keys(claimed).sort())
})

test('only what was asked is kept of an answer, and a receipt says what it was, for a day and with its number', async () => {
  const { token, enquiry } = await asked(['Rosa', 'Receipt'], { country: 'PL' })
  const source = house.visitor()
  const { claimed } = await source.done('readEnquiry', { params: { token } })
  const body = allRight(claimed, { hours: 'part time', again: 'no', standing: { state: 'revoked' } }) as EnquiryReply
  const more = { ...body, fields: { ...body.fields, salary: { says: 'differs' as const, value: '90,000' } } }
  const { receipt } = await source.done('replyToEnquiry', { params: { token }, body: more })
  const kept = (await enquiry.reload()).reply!
  expect(kept).not.toHaveProperty('again')
  expect(kept).not.toHaveProperty('standing')
  expect([kept.hours, Object.keys(kept.fields).sort()]).toEqual(['part time', Object.keys(claimed).sort()])
  const pdf = await source.request(`/api/enquiries/${token}/receipts/${receipt}`)
  expect(await textOf(await pdf.arrayBuffer())).toContain('Rosa Receipt')
  expect((await source.request(`/api/enquiries/${token}/receipts/RC-0000-00`)).status).toBe(404)
  await enquiry.update({ answeredAt: new Date(Date.now() - 90_000_000) })
  expect((await source.request(`/api/enquiries/${token}/receipts/${receipt}`)).status).toBe(404)
})

test('who will not answer says why: the desk decides, and what is proposed is that it cannot be confirmed', async () => {
  const { token, enquiry, claimId, applicationId } = await asked(['Dina', 'Declined'])
  const body = {
    reason: 'not allowed' as const,
    note: 'Our works council forbids it.',
    respondent: 'Rita',
    capacity: '',
  }
  const twice = await Promise.all(
    [1, 2].map((nth) => house.visitor().call('declineEnquiry', { params: { token }, body, key: `decline ${nth}` })),
  )
  expect(twice.map(({ status }) => status).sort()).toEqual([200, 410])
  expect(await enquiry.reload()).toMatchObject({ state: 'declined', turn: 'desk', activeKey: null })
  const { proof } = await claimOf(desk, applicationId, claimId)
  expect([proof.proposed, proof.enquiries[0]!.note]).toEqual(['unconfirmable', 'Our works council forbids it.'])
  expect((await house.visitor().done('readEnquiry', { params: { token } })).candidate).toBe('')
})

test('a confirmation on paper is put in beside the answer; what is no paper is not taken', async () => {
  const { token, enquiry } = await asked(['Pia', 'Paper'])
  const source = house.visitor()
  const put = (fileName: string, body: Buffer) =>
    source.call('uploadReplyPaper', { params: { token }, query: { fileName }, body })
  expect((await put('virus.exe', Buffer.from('MZ not a paper'))).status).toBe(422)
  expect((await put('Zeugnis.pdf', Buffer.from(await aPaper('Pia Paper')))).status).toBe(200)
  expect((await enquiry.reload()).paper?.fileName).toBe('Zeugnis.pdf')
  const { claimed } = await source.done('readEnquiry', { params: { token } })
  await source.done('replyToEnquiry', { params: { token }, body: allRight(claimed) as EnquiryReply })
  expect((await put('Zu spaet.pdf', Buffer.from(await aPaper('Late')))).status).toBe(410)
})

describe('of tries there are only so many', () => {
  test('one link puts in so many papers an hour, also those that are refused; another link is not held up by it', async () => {
    const [one, other] = [await asked(['Tara', 'Tries']), await asked(['Theo', 'Tries'])]
    const put = async (token: string) =>
      house.visitor().call('uploadReplyPaper', { params: { token }, query: { fileName: 'x' }, body: Buffer.from('x') })
    const answers = await Promise.all(Array.from({ length: 24 }, () => put(one.token)))
    // At the same moment none too many gets through, but for what leaks away meanwhile; of the last ones some are held up as well.
    const through = answers.filter(({ status }) => status === 422).length
    expect([through > 10 && through <= 21, answers.filter(({ status }) => status === 429).length]).toEqual([
      true,
      24 - through,
    ])
    expect((await put(other.token)).status).toBe(422)
    expect((await house.visitor().call('readEnquiry', { params: { token: one.token } })).status).toBe(200)
  })

  test('a network that tries links of nobody’s is told nothing for a while, whatever link it has; right ones do not count', async () => {
    const { token } = await asked(['Gus', 'Guess'])
    const open = (link: string) => house.visitor().call('readEnquiry', { params: { token: link } })
    for (let nth = 0; nth < 70; nth += 1) expect((await open(token)).status).toBe(200)
    const guesses = await Promise.all(Array.from({ length: 70 }, (_, nth) => open(`${'g'.repeat(40)}${nth}`)))
    const told = guesses.filter(({ status }) => status === 404).length
    expect([told > 40 && told <= 63, guesses.filter(({ status }) => status === 429).length]).toEqual([true, 70 - told])
    expect((await open(token)).status).toBe(429)
    await house.deps.sequelize.query("DELETE FROM rate_limits WHERE bucket LIKE 'wrong links%'")
    expect((await open(token)).status).toBe(200)
  })
})

describe('passing a question on', () => {
  const forward = (token: string, toMail: string) =>
    house.visitor().done('forwardEnquiry', { params: { token }, body: { toName: 'Karl Kollege', toMail, by: 'Rita' } })

  test('within the domain of the source it goes at once, with a link of its own; both links work until one answers', async () => {
    const { token, source, enquiry } = await asked(['Fee', 'Forward'])
    const colleague = `karl@${source.contacts[0]!.mail.split('@')[1]}`
    expect(await forward(token, colleague)).toEqual({ state: 'sent' })
    await house.workOff()
    const theirs = tokenIn((await house.mailTo(colleague)).text, 'reply')
    expect(theirs).not.toBe(token)
    const { claimed } = await house.visitor().done('readEnquiry', { params: { token: theirs } })
    await house.visitor().done('replyToEnquiry', { params: { token: theirs }, body: allRight(claimed) as EnquiryReply })
    expect((await house.visitor().done('readEnquiry', { params: { token } })).state).toBe('answered')
    expect(await stepsOfEnquiry(enquiry.id)).toContain('forwarded')
  })

  test('anywhere else the desk looks first; until then nobody gets anything, and of two who decide one does', async () => {
    const { token, enquiry } = await asked(['Fay', 'Foreign'])
    expect(await forward(token, 'karl@elsewhere.example')).toEqual({ state: 'to check' })
    await house.workOff()
    expect(await Message.count({ where: { toMail: 'karl@elsewhere.example' } })).toBe(0)
    const { forwards } = await desk.done('readEnquiryAtDesk', { params: { id: enquiry.id } })
    expect(forwards).toMatchObject([{ toMail: 'karl@elsewhere.example', by: 'Rita' }])
    const decide = (send: boolean, nth: number) =>
      desk.call('checkForward', {
        params: { id: enquiry.id, forward: forwards[0]!.id },
        body: { send },
        key: `forward ${nth}`,
      })
    const both = await Promise.all([decide(true, 1), decide(true, 2)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409])
    await house.workOff()
    expect((await house.mailTo('karl@elsewhere.example')).text).toContain('/reply/')
    expect(await Message.count({ where: { toMail: 'karl@elsewhere.example' } })).toBe(1)
  })

  test('a look-alike of the domain is not the domain', async () => {
    const { token, source } = await asked(['Lora', 'Lookalike'])
    const domain = source.contacts[0]!.mail.split('@')[1]!
    expect(await forward(token, `karl@${domain}.mail.example`)).toEqual({ state: 'to check' })
    expect(await forward(token, `karl@x${domain}`)).toEqual({ state: 'to check' })
  })
})

test('one link opens several people, each answered by itself; a part that is passed on opens only that', async () => {
  const mail = `sammel@${crypto.randomUUID().slice(0, 8)}.example`
  const source = await checkedSource(house, { together: true, contacts: [aContact({ mail })] })
  const files = []
  for (const name of ['Ada', 'Bea', 'Cleo']) files.push(await claimedOf(house, [name, 'Parts'], source))
  const items = files.map(({ claimId, applicationId }) => ({ claimId, applicationId }))
  await desk.done('raiseEnquiries', { body: { items } })
  await house.workOff()
  const token = tokenIn((await house.mailTo(mail)).text, 'reply')
  const visitor = house.visitor()
  const { parts } = await visitor.done('readEnquiry', { params: { token } })
  expect(parts.map(({ candidate }) => candidate).sort()).toEqual(['Ada Parts', 'Bea Parts', 'Cleo Parts'])
  const of = (name: string) => parts.find(({ candidate }) => candidate === `${name} Parts`)!.id
  const { claimed } = await visitor.done('readEnquiry', { params: { token }, query: { part: of('Bea') } })
  expect(claimed.name).toBe('Bea Parts')
  await visitor.done('replyToEnquiry', {
    params: { token },
    query: { part: of('Bea') },
    body: allRight(claimed) as EnquiryReply,
  })
  const colleague = `karl@${mail.split('@')[1]}`
  const passing = { part: of('Cleo'), toName: 'Karl Kollege', toMail: colleague, by: 'Rita' }
  await visitor.done('forwardEnquiry', { params: { token }, body: passing })
  await house.workOff()
  const theirs = tokenIn((await house.mailTo(colleague)).text, 'reply')
  const passed = await visitor.done('readEnquiry', { params: { token: theirs } })
  expect([passed.candidate, passed.parts]).toEqual(['Cleo Parts', []])
  expect((await visitor.call('readEnquiry', { params: { token: theirs }, query: { part: of('Ada') } })).status).toBe(
    404,
  )
  // Whom the answered part was about is told no more.
  const after = await visitor.done('readEnquiry', { params: { token } })
  expect(after.parts.map(({ state, candidate }) => [state, candidate].join(' ').trim()).sort()).toEqual([
    'answered',
    'open Ada Parts',
    'open Cleo Parts',
  ])
  expect(
    await Enquiry.count({ where: { batchId: (await EnquiryLink.findOne({ where: { toMail: mail } }))!.batchId } }),
  ).toBe(3)
  // A reminder is about those who are still open, and in one mail.
  const open = (await Enquiry.findAll({ where: { state: 'open', sourceId: source.id } })).map(({ id }) => id)
  await desk.done('remindEnquiries', { body: { ids: open } })
  await house.workOff()
  const reminder = await house.mailTo(mail, 'reminder')
  expect([reminder.text.includes('Ada Parts'), reminder.text.includes('Bea Parts')]).toEqual([true, false])
})
