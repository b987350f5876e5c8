import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildReply } from '../../scripts/build'
import { askAbout, checkedSource, claimedOf, enquiryAbout } from '../../test/asking'
import { aPaper, type House, openHouse, tokenIn } from '../../test/house'
import { aContact } from '../../test/source'
import { Enquiry } from '../records/enquiries/model'

let house: House
beforeAll(async () => {
  const replyFolder = mkdtempSync(join(tmpdir(), 'reply-'))
  await buildReply(replyFolder)
  house = await openHouse('plain_reply', { replyFolder })
}, 120_000)
afterAll(() => house.close())

/** Whoever opens the link in a browser without script: pages are read, and forms are sent as browsers send them. */
function office(token: string) {
  const address = `${house.address}/reply/${token}/plain`
  const open = async (query = '') => {
    const reply = await fetch(`${address}${query}`, { redirect: 'manual' })
    return { status: reply.status, html: await reply.text() }
  }
  const hiddenIn = (html: string) =>
    Object.fromEntries(
      [...html.matchAll(/<input type="hidden" name="(\w+)" value="([^"]*)"/g)].map(([, name, value]) => [
        name!,
        value!,
      ]),
    )
  const send = async (
    html: string,
    written: Record<string, string>,
    file?: { name: string; bytes: Buffer },
    query = '',
  ) => {
    const form = new FormData()
    for (const [name, value] of Object.entries({ ...hiddenIn(html), ...written })) form.append(name, value)
    if (file) form.append('paper', new Blob([new Uint8Array(file.bytes)], { type: 'application/pdf' }), file.name)
    const reply = await fetch(`${address}${query}`, { method: 'POST', body: form, redirect: 'manual' })
    return { status: reply.status, html: await reply.text(), to: reply.headers.get('location') ?? '' }
  }
  return { open, send }
}

async function asked(name: [string, string], mail: string) {
  const source = await checkedSource(house, { country: 'PL', contacts: [aContact({ mail })] })
  const file = await claimedOf(house, name, source)
  await askAbout(await house.staff('coordinator'), file.claimId, file.applicationId)
  await house.workOff()
  const token = tokenIn((await house.mailTo(mail)).text, 'reply')
  return { ...file, token, enquiry: await enquiryAbout(file.claimId), ...office(token) }
}

const right = { 'says name': 'agrees', 'says position': 'agrees', 'says from': 'agrees', respondent: 'Ewa Nowak' }

test('an answer is written as a form, missing lines are named, and a receipt comes at the end; nothing is a script', async () => {
  const { open, send, enquiry } = await asked(['Olga', 'Office'], 'kadry@office.example')
  const page = await open()
  expect([page.status, page.html.includes('<script'), page.html.includes('Olga Office')]).toEqual([200, false, true])
  const half = await send(page.html, { act: 'send', 'says name': 'agrees', 'value from': '3 May 2011' })
  expect(half.status).toBe(200)
  expect(half.html).toMatch(/Nothing was sent\. What is missing is marked below\./)
  expect(half.html).toMatch(/Give your name/)
  // A value without a word beside it is one that is not so; what was written is there again, also for whoever comes later.
  expect((await open()).html).toMatch(/value="2011-05-03"/)
  const done = await send(half.html, {
    ...right,
    act: 'send',
    'says from': '',
    'value from': '3 May 2011',
    'says to': 'agrees',
  })
  expect([done.status, done.to]).toEqual([303, expect.stringMatching(/receipt=RC-/)])
  const last = await open(`?${done.to.split('?')[1]}`)
  const [, receipt] = last.html.match(/href="(\/api\/enquiries\/[^"]+)"/)!
  expect((await fetch(house.address + receipt)).headers.get('content-type')).toBe('application/pdf')
  await enquiry.reload()
  expect([enquiry.state, enquiry.reply!.fields.from]).toEqual(['answered', { says: 'differs', value: '2011-05-03' }])
  // A form is sent once: the second time it says what became of it.
  expect((await send(half.html, { ...right, act: 'send' })).html).toMatch(/has been answered already/)
})

test('a form that is not ours, of another link, or of yesterday is not taken, and comes back as it was written', async () => {
  const [one, other] = [
    await asked(['Fred', 'Forged'], 'kadry@forged.example'),
    await asked(['Otto', 'Other'], 'kadry@other.example'),
  ]
  const [mine, theirs] = [await one.open(), await other.open()]
  const [, valueOfOther] = theirs.html.match(/name="form" value="([^"]+)"/)!
  for (const form of ['', 'x', '17.abc', valueOfOther!]) {
    const refused = await one.send(mine.html, {
      ...right,
      'says to': 'agrees',
      act: 'send',
      form,
      note: 'Kept <b>so</b>',
    })
    expect([refused.status, refused.html.includes('Kept &lt;b&gt;so&lt;/b&gt;')]).toEqual([403, true])
  }
  const madeAt = Date.now() - 25 * 3_600_000
  const yesterdays = `${madeAt}.${house.deps.vault.sign('plain reply', `${one.token} ${madeAt}`)}`
  const late = await one.send(mine.html, { ...right, 'says to': 'agrees', act: 'send', form: yesterdays })
  expect(late.html).toMatch(/open for more than a day/)
  // It came back with a value of today.
  const [, todays] = late.html.match(/name="form" value="([^"]+)"/)!
  expect(todays).not.toBe(yesterdays)
  expect((await one.enquiry.reload()).state).toBe('open')
})

test('of two people at the same form one answer is taken', async () => {
  const { open, send, enquiry } = await asked(['Tom', 'Twice'], 'kadry@twice.example')
  const page = await open()
  const answers = await Promise.all(
    ['Ewa Nowak', 'Jan Kowal'].map((respondent) =>
      send(page.html, { ...right, 'says to': 'agrees', respondent, act: 'send' }),
    ),
  )
  expect(answers.filter(({ status }) => status === 303)).toHaveLength(1)
  expect(await Enquiry.count({ where: { id: enquiry.id, state: 'answered' } })).toBe(1)
})

test('a paper is put in, a colleague is passed it on to, it is declined, kept, and said in four languages', async () => {
  const { open, send, enquiry } = await asked(['Paula', 'Paper'], 'kadry@paper.example')
  const page = await open('?lang=it')
  expect(page.html).toMatch(/<html lang="it">/)
  const kept = await send(
    page.html,
    { act: 'keep' },
    { name: 'zaświadczenie.pdf', bytes: Buffer.from(await aPaper('Paula')) },
  )
  expect(kept.html).toMatch(/zaświadczenie\.pdf/)
  const bad = await send(kept.html, { act: 'keep' }, { name: 'x.pdf', bytes: Buffer.from('no paper') })
  expect([bad.status, (await enquiry.reload()).paper?.fileName]).toEqual([422, 'zaświadczenie.pdf'])
  const who = { respondent: 'Jan Kowal', toName: 'Ewa Nowak' }
  const wrong = await send(kept.html, { act: 'forward', ...who, toMail: 'nobody' })
  expect([wrong.status, wrong.html.includes('value="nobody"')]).toEqual([422, true])
  const passed = await send(kept.html, { act: 'forward', ...who, toMail: 'ewa@paper.example' })
  expect(passed.to).toMatch(/passed=sent/)
  const declined = await send(kept.html, { act: 'decline', reason: 'not ours', ...who })
  expect(declined.to).toMatch(/receipt=/)
  expect((await enquiry.reload()).state).toBe('declined')
})

test('too much is refused, and a link of nobody’s leads nowhere', async () => {
  const { open, send } = await asked(['Berta', 'Big'], 'kadry@big.example')
  const { html } = await open()
  expect(
    (await send(html, { act: 'keep' }, { name: 'big.pdf', bytes: Buffer.alloc(11 * 1024 * 1024, 'a') })).status,
  ).toBe(413)
  expect((await send(html, { act: 'keep', note: 'x'.repeat(70_000) })).status).toBe(413)
  for (const token of ['a'.repeat(43), '%2e%2e', 'x']) expect((await office(token).open()).status).toBe(404)
  const where = await house.visitor().request(`/reply/abc`, { headers: { Accept: 'text/html' } })
  expect(await where.text()).toContain('<noscript><meta http-equiv="refresh" content="0; url=/reply/abc/plain">')
})
