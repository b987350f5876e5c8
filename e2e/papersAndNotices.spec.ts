import { expect, type Locator, type Page, test } from '@playwright/test'
import { PDFDocument } from 'pdf-lib'
import { drawPdf } from '#scenario/papers'
import { expectAccessible } from './accessible'
import { linkIn, mailbox, mailTo, settled, signIn, windowOf } from './people'

const mark = process.env.E2E_RUNNING ?? 'once'
/** A number and an address of their own each time, so that what came before is not taken for it. */
const tail = String(Date.now()).slice(-5)

async function textTo(page: Page, phone: string, about: RegExp): Promise<string> {
  let found: string | undefined
  await expect
    .poll(async () => {
      const reply = await page.request.get(`${mailbox}/texts.json?to=${encodeURIComponent(phone)}`)
      found = ((await reply.json()) as { text: string }[]).find(({ text }) => about.test(text))?.text
      return found !== undefined
    })
    .toBe(true)
  return found!
}

const openFile = async (desk: Page, name: string) => {
  const reply = await desk.request.get(`/api/desk/applications?text=${encodeURIComponent(name)}`)
  const { rows } = (await reply.json()) as { rows: { id: string }[] }
  await desk.goto(`/desk/today/${rows[0]!.id}`)
  await settled(desk)
}

test('a number is confirmed by a code, and from then on the desk’s message comes as a text', async ({ browser }) => {
  const phone = `+43664555${tail}`
  const candidate = await windowOf(browser, { width: 390, height: 844 })
  await signIn(candidate, 'noor.adeyemi@mail.example')
  await candidate.goto('/account')
  await candidate.getByLabel(/^(Mobile number|Another number)$/).fill(phone)
  await candidate.getByRole('button', { name: 'Send a code' }).click()
  const code = /: (\d{6}) is/.exec(await textTo(candidate, phone, /is the code/))![1]!
  await candidate.getByLabel('Code from the text message').fill(code)
  await candidate.getByRole('button', { name: 'Confirm the number' }).click()
  const answersByText = candidate.getByRole('checkbox', { name: 'Answers and messages from us, By text message' })
  if (!(await answersByText.isChecked())) await answersByText.click()
  await expect(answersByText).toBeChecked()
  const byMail = candidate.getByRole('checkbox', { name: 'Answers and messages from us, By mail' })
  if (await byMail.isChecked()) await byMail.click()
  // The last way there is cannot be taken away.
  await expect(answersByText).toBeDisabled()
  await expectAccessible(candidate, 'how you are told')

  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await desk.goto('/desk/applications/table?text=Adeyemi')
  await desk
    .getByRole('checkbox', { name: /Adeyemi/ })
    .first()
    .check()
  await desk.getByRole('button', { name: /^Write to/ }).click()
  const dialog = desk.getByRole('dialog')
  await dialog.getByLabel('Subject').first().fill(`One thing more (${mark} ${tail})`)
  await dialog
    .getByLabel(/^(Text|Message)/)
    .first()
    .fill('Dear {{givenName}}, please look at {{link}}.')
  await dialog.getByRole('button', { name: /what each will get/i }).click()
  await dialog.getByRole('button', { name: /^Send/ }).click()
  expect(await textTo(desk, phone, new RegExp(`One thing more \\(${mark} ${tail}\\)`))).toMatch(/More at http/)
  await openFile(desk, 'Adeyemi')
  await desk.locator('summary', { hasText: /^Mails/ }).click()
  await expect(desk.getByText(/Wants some things by text message alone/)).toBeVisible()
  await expect(desk.getByText('held back, told by text message').first()).toBeVisible()
})

test('an original is announced, brought, compared with its scan, and given back with a number', {
  tag: '@long',
}, async ({ browser }) => {
  const candidate = await windowOf(browser)
  await signIn(candidate, 'priya.raghunathan@mail.example')
  await candidate
    .getByRole('link', { name: /Track engineer/ })
    .first()
    .click()
  await candidate.getByRole('button', { name: 'Announce an original' }).click()
  await candidate.getByLabel('Which paper').selectOption({ index: 0 })
  await candidate.getByLabel('by post').check()
  await candidate.getByLabel(/^Tracking number/).fill(`RR ${tail}`)
  await candidate.getByRole('button', { name: 'Announce it' }).click()
  await expect(candidate.getByText('You said it would come by post.')).toBeVisible()

  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await openFile(desk, 'Raghunathan')
  await desk.getByText(/^Originals \(/).click()
  const original = desk.getByRole('article').filter({ hasText: `RR ${tail}` })
  await original.getByRole('button', { name: 'It is here' }).click()
  await original.getByLabel('Where it is kept').fill(`Drawer ${tail}`)
  await original.getByRole('button', { name: 'Take it in' }).click()
  await original.getByRole('button', { name: 'Compare with the scan' }).click()
  await original.getByLabel('the same').check()
  await expectAccessible(desk, 'an original beside its scan')
  await original.getByRole('button', { name: 'Write it down' }).click()
  await expect(original.getByText(/^Every page is the same as the scan/)).toBeVisible()
  await desk.goto('/desk/safe')
  await expect(desk.getByRole('row').filter({ hasText: `Drawer ${tail}` })).toContainText('Raghunathan')
  await expectAccessible(desk, 'the safe')

  await openFile(desk, 'Raghunathan')
  await desk.getByText(/^Originals \(/).click()
  await original.getByRole('button', { name: 'Give it back' }).click()
  await original.getByLabel('by post').check()
  await original.getByLabel('Sent to').fill('Tannberg')
  await original.getByLabel('Tracking number').fill(`BACK ${tail}`)
  await original.getByRole('button', { name: 'Give it back' }).click()
  await expect(original.getByText(`Tracking number BACK ${tail}`)).toBeVisible()
  await candidate.reload()
  await expect(candidate.getByText(`Tracking number BACK ${tail}.`)).toBeVisible()
})

test('a cover sheet of one’s own finds its paper through the scanner, and another number of pages is told', {
  tag: '@long',
}, async ({ browser }) => {
  const candidate = await windowOf(browser)
  await signIn(candidate, 'priya.raghunathan@mail.example')
  await candidate
    .getByRole('link', { name: /Track engineer/ })
    .first()
    .click()
  const sheetFor = async (paper: RegExp, pages: string) => {
    await candidate.getByRole('button', { name: 'Make cover sheets' }).click()
    await candidate.getByRole('checkbox', { name: paper }).first().check()
    await candidate.getByLabel(/^Pages of/).fill(pages)
    await expectAccessible(candidate, 'cover sheets')
    await candidate.getByRole('button', { name: 'Make the sheet' }).click()
    const line = candidate.getByRole('listitem').filter({ hasText: /^CS-/ }).filter({ hasText: paper })
    const address = await line.getByRole('link', { name: 'Print' }).getAttribute('href')
    return { line, pdf: new Uint8Array(await (await candidate.request.get(address!)).body()) }
  }
  const feed = async (sheet: Uint8Array, pages: number) => {
    const feeder = await PDFDocument.create()
    const paper = await drawPdf({
      ...{
        issuer: 'A university',
        place: 'Tannberg, AT',
        heading: 'Transcript',
        signedBy: 'For the office',
        on: '2020',
      },
      lines: ['of', 'Priya Raghunathan', `Fed ${tail}`],
    })
    for (const part of [sheet, ...Array<Uint8Array>(pages).fill(paper)]) {
      const from = await PDFDocument.load(part)
      for (const one of await feeder.copyPages(from, from.getPageIndices())) feeder.addPage(one)
    }
    const body = (await feeder.save()) as Uint8Array<ArrayBuffer>
    const scanned = await fetch(`${mailbox}/scanner/scan?turned=180&faint=yes&name=post`, { method: 'POST', body })
    expect(scanned.ok).toBe(true)
  }
  const reloadUntil = async (line: Locator, words: RegExp) =>
    expect(async () => {
      await candidate.reload()
      await expect(line.getByText(words)).toBeVisible({ timeout: 2000 })
    }).toPass({ timeout: 60_000 })
  const transcript = await sheetFor(/transcript of marks/, '1')
  await feed(transcript.pdf, 1)
  await reloadUntil(transcript.line, /came on .* and lies in your file/)
  const award = await sheetFor(/letter of award/, '3')
  await feed(award.pdf, 2)
  await reloadUntil(award.line, /another number of pages than you said/)
})

test('what was declared is decided by two, who have to say the same', { tag: '@long' }, async ({ browser }) => {
  const ines = await windowOf(browser)
  const bastian = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await signIn(bastian, 'bastian@vallorne.example')
  const say = async (desk: Page, reason: string) => {
    await openFile(desk, 'Halloran')
    const matter = desk.getByRole('article').filter({ hasText: /No dismissal for a breach|Keine Entlassung wegen/ })
    await expect(matter.getByText(/rope drive that was not locked off/)).toBeVisible()
    await matter.getByRole('button', { name: /^(No bearing|Ohne Belang)$/ }).click()
    await matter.getByLabel(/^(Why|Warum)/).fill(reason)
    await expectAccessible(desk, 'a declared matter')
    await matter.getByRole('button', { name: /^(Decide so|So entscheiden)$/ }).click()
    return matter
  }
  const first = await say(ines, 'Ten years ago, and he teaches lock-off since')
  await expect(first.getByText(/^Ines .*: no bearing/)).toBeVisible()
  await expect(first.getByText('to be decided')).toBeVisible()
  const second = await say(bastian, 'I agree')
  await expect(second.getByText(/^(no bearing|ohne Belang), /)).toBeVisible()

  const candidate = await windowOf(browser)
  await signIn(candidate, 'viktor.halloran@mail.example')
  await candidate
    .getByRole('link', { name: /Cableway mechanic/ })
    .first()
    .click()
  await expect(candidate.getByText(/It makes no difference for this post\./)).toBeVisible()
})

test('an application is begun on a phone without an account, and is there once the address is confirmed', async ({
  browser,
}) => {
  const mail = `begun.${tail}@mail.example`
  const phone = await windowOf(browser, { width: 390, height: 844 })
  await phone.goto('/vacancies/track-engineer')
  await phone.getByRole('link', { name: 'Begin without an account' }).click()
  await phone.getByLabel('Given names').fill('Bea')
  await phone.getByLabel('Family name').fill('Beginner')
  await expectAccessible(phone, 'begun without an account')
  expect(await phone.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true)
  // Leaving the page loses nothing.
  await phone.reload()
  await expect(phone.getByLabel('Family name')).toHaveValue('Beginner')
  await phone.getByRole('link', { name: 'Make an account to go on' }).click()
  await phone.getByLabel('Your name').fill('Bea Beginner')
  await phone.getByLabel('Mail address').fill(mail)
  await phone.getByLabel('Password').fill('avalanche-lantern-77')
  await phone.getByRole('button', { name: 'Make the account' }).click()
  await expect(phone.getByRole('heading', { name: 'Look into your mailbox' })).toBeVisible()
  await phone.goto(linkIn((await mailTo(phone, mail, 'Confirm your address')).text))
  await phone.getByRole('button', { name: 'Confirm my address' }).click()
  await phone.getByRole('button', { name: 'Go on in the application' }).click()
  await expect(phone.getByText(/answers you gave before you had an account are in your application now/)).toBeVisible()
  await expect(phone.getByLabel('Family name')).toHaveValue('Beginner')
  await expect(phone.getByText('Everything is saved.')).toBeVisible()
})
