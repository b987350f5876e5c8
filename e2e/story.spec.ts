import { expect, type Page, test } from '@playwright/test'
import { Temporal } from 'temporal-polyfill'
import { writeDay } from '#core/dates/write'
import { isolationCheck } from '#scenario/isolationCheck'
import { drawPdf, drawPhoto, type Paper } from '#scenario/papers'
import { findRight, linkIn, mailTo, settled, signInByPage, windowOf } from './people'

/** Run against a demo that is already up, each run is another person. */
const family = `Halvorsen${process.env.E2E_RUNNING ?? ''}`
const me = {
  name: `Runa ${family}`,
  mail: `runa.halvorsen.${Date.now()}@mail.example`,
  password: 'seven quiet marmots',
}
const registrar = 'pruefungsamt@tannberg.example'

const paper = (heading: string, line: string, number: string): Paper => ({
  issuer: 'Technische Hochschule Tannberg',
  place: 'Tannberg, AT',
  heading,
  lines: ['issued to', me.name, line],
  number,
  signedBy: 'For the office',
  on: 'Sep 2018',
})
const pdfFile = async (name: string, number: string) => ({
  name: `${name}.pdf`,
  mimeType: 'application/pdf',
  buffer: await drawPdf(paper(name, 'as stated', number)),
})

test('from an open vacancy to the first day', async ({ browser }) => {
  // The longest of all walks, in four windows: a busy machine takes its time over it.
  test.setTimeout(480_000)
  const candidate = await windowOf(browser)
  const desk = await windowOf(browser)
  const source = await windowOf(browser, { width: 390, height: 844 })
  const manager = await windowOf(browser)
  let start = Temporal.PlainDate.from('2000-01-01')

  await test.step('1. finds the vacancy, reads what it asks, makes an account', async () => {
    await candidate.goto('/')
    await expect(candidate.getByText(/^\d+ open vacancies$/)).toBeVisible()
    await candidate.getByRole('checkbox', { name: 'Electrical 1' }).click()
    await expect(candidate.getByText('One open vacancy')).toBeVisible()
    await candidate.getByRole('link', { name: 'Cableway electrical supervisor' }).click()
    await expect(candidate.getByText(/confirmed by whoever issued it, before an offer/).first()).toBeVisible()
    await expect(
      candidate.getByText('The degree certificate: PDF, JPEG, PNG or Word, up to 10 MB and 20 pages'),
    ).toBeVisible()
    await candidate.getByRole('link', { name: 'Make an account to apply' }).click()
    await candidate.getByLabel('Your name').fill(me.name)
    await candidate.getByLabel('Mail address').fill(me.mail)
    await candidate.getByLabel('Password').fill(me.password)
    await candidate.getByRole('button', { name: 'Make the account' }).click()
    await expect(candidate.getByText('We have sent a link to')).toBeVisible()
    await candidate.goto(linkIn((await mailTo(candidate, me.mail, 'Confirm your address')).text))
    await candidate.getByRole('button', { name: 'Confirm my address' }).click()
    await candidate.getByRole('button', { name: 'Apply' }).click()
    await expect(candidate.getByRole('heading', { name: 'Who are you?' })).toBeVisible()
  })

  await test.step('2. writes the application; it saves by itself and says what is left', async () => {
    await writeApplication(candidate)
    start = await targetStart(candidate)
    await addPapers(candidate, start)
    await candidate.getByRole('link', { name: 'Next: Declarations' }).click()
    for (const [question, answer] of [
      ['breach of safety rules', 'No'],
      ['suspended or withdrawn', 'Yes'],
      ['heights and in winter', 'Yes'],
      ['without a further permit', 'Yes'],
    ] as const) {
      await candidate
        .getByRole('group', { name: new RegExp(question) })
        .getByText(answer, { exact: true })
        .click()
    }
    await expect(
      candidate.getByText(/Was a licence of yours ever suspended or withdrawn\?: what happened/),
    ).toBeVisible()
    await candidate.getByLabel('What happened?').fill('A driving licence for mopeds, in 2012, for four weeks.')
    await candidate.getByRole('link', { name: 'Next: Permission to check' }).click()
    await candidate.getByRole('checkbox', { name: 'I have read this and agree to it.' }).check()
    await candidate.getByLabel('Sign by typing your full name').fill(me.name)
    await candidate.getByLabel('Your password').fill(me.password)
    await candidate.getByRole('button', { name: 'Sign', exact: true }).click()
    await expect(candidate.getByText(`Signed by ${me.name}`)).toBeVisible()
    await candidate.getByRole('link', { name: 'Next: Read through and send' }).click()
    await expect(candidate.getByRole('heading', { name: 'Nothing is left' })).toBeVisible()
    await candidate.getByRole('button', { name: 'Send my application' }).dblclick()
    await expect(candidate.getByText(/VM-[0-9A-Y]{4}-[0-9A-Y]{2}/).first()).toBeVisible()
    const confirmation = await mailTo(candidate, me.mail, 'We have received your application')
    expect(confirmation.attachments[0]?.mediaType).toBe('application/pdf')
  })

  await test.step('3. the coordinator finds her in Today, looks at the degree, sends one paper back', async () => {
    await signInByPage(desk, 'ines@vallorne.example')
    await desk.getByRole('button', { name: new RegExp(me.name) }).click()
    await expect(desk.getByRole('heading', { name: me.name })).toBeVisible()
    await expect(desk.getByRole('group', { name: /^Life chart: 3 entries, 3 papers, no gap/ })).toBeVisible()
    await choose(desk, 'MSc Electrical Engineering')
    await desk.keyboard.press('l')
    await expect(
      desk
        .getByRole('dialog')
        .getByRole('img', { name: /MSc Electrical Engineering, certificate, .*pdf, page 1 of 1/ }),
    ).toBeVisible()
    await findRight(desk)
    await expect(desk.getByRole('status').filter({ hasText: 'Seen: MSc Electrical Engineering' }).first()).toBeVisible()
    await choose(desk, 'First aid at work')
    await desk.keyboard.press('l')
    await desk.getByRole('button', { name: 'Send back' }).click()
    await desk
      .getByLabel('What is wrong with it?')
      .fill('The lower third is cut off. Please photograph the whole page.')
    await desk.getByRole('button', { name: 'Send it back' }).click()
    expect((await mailTo(desk, me.mail, 'Please send a better copy')).text).toContain('The lower third is cut off')
    await candidate.goto('/me')
    await candidate.getByRole('link', { name: /Cableway electrical supervisor/ }).click()
    await expect(
      candidate.getByText('The lower third is cut off. Please photograph the whole page.').first(),
    ).toBeVisible()
    await candidate.getByLabel(/Add a better copy: First aid/).setInputFiles({
      name: 'Whole.png',
      mimeType: 'image/png',
      buffer: drawPhoto(paper('First aid at work', 'whole', 'FH-1')),
    })
    await candidate.getByRole('button', { name: 'Send 1 page' }).click()
    await expect(candidate.getByText('The lower third is cut off. Please photograph the whole page.')).toHaveCount(1)
  })

  let link = ''
  await test.step('4. the coordinator raises an enquiry for the degree', async () => {
    await reopen(desk)
    await choose(desk, 'MSc Electrical Engineering')
    await desk.keyboard.press('e')
    await expect(desk.getByRole('dialog').getByText('Technische Hochschule Tannberg').first()).toBeVisible()
    await desk.getByRole('button', { name: 'Send the enquiry' }).click()
    const enquiry = await mailTo(desk, registrar, me.name)
    expect(enquiry.attachments.map(({ fileName }) => fileName)).toEqual([`Permission to check, ${me.name}.pdf`])
    link = linkIn(enquiry.text)
  })

  await test.step('5. the source answers on a phone, once', async () => {
    await source.goto(link)
    await expect(source.getByRole('heading', { name: `${me.name} studied with you. Is this right?` })).toBeVisible()
    expect(await source.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await source.getByRole('button', { name: 'All of it is right' }).click()
    await source
      .getByRole('group', { name: /^Number/ })
      .getByText('Not so')
      .click()
    await source.getByLabel('Number according to your records').fill('TB-2016-7785')
    await source.getByRole('button', { name: 'Send the answer' }).click()
    await expect(source.getByText('Give your name, so that the answer has an author.')).toBeVisible()
    await source.getByLabel('Your name').fill('Renate Amt')
    await source.getByRole('button', { name: 'Send the answer' }).click()
    await expect(source.getByRole('heading', { name: 'Thank you' })).toBeVisible()
    await source.goto(link)
    await expect(source.getByRole('heading', { name: 'This has been answered already' })).toBeVisible()
  })

  await test.step('6. the desk compares, accepts with a note, and the claim is confirmed', async () => {
    await reopen(desk)
    await expect(desk.getByText('One field is close, not the same.')).toBeVisible()
    await expect(desk.getByText('Number: one character, 8 against 6, easily misread in a scan.')).toBeVisible()
    await desk.keyboard.press('n')
    await desk
      .getByLabel('Why is it the same, in spite of the difference?')
      .fill('The paper says 6; the candidate misread it.')
    await desk.getByRole('dialog').getByRole('button', { name: 'Confirm' }).click()
    await expect(
      desk
        .locator('button[data-claim]', { hasText: 'MSc Electrical Engineering' })
        .getByRole('img', { name: 'Confirmed by the source' }),
    ).toBeVisible()
    await desk.getByText('Everything that was done').click()
    for (const done of [
      `Looked at MSc Electrical Engineering, certificate, ${me.name}.pdf`,
      'Asked Technische Hochschule Tannberg',
      'Answered about MSc',
      'Confirmed with a note',
    ])
      await expect(desk.getByText(new RegExp(done)).first()).toBeVisible()
  })

  await test.step('7. she sits the skills check, and comes back after a reload', async () => {
    await candidate.reload()
    await candidate.getByRole('link', { name: /Sit the check/ }).click()
    await candidate.getByRole('button', { name: 'Begin now' }).click()
    await sitCheck(candidate)
    await expect(candidate.getByText('9 of 10 right, 90 %.')).toBeVisible()
    await reopen(desk)
    await desk.locator('[data-claim="check-isolation"]').click()
    await expect(desk.getByText('90 %', { exact: true })).toBeVisible()
    await expect(desk.getByText(/^Right: /)).toHaveCount(1)
  })

  await test.step('8. a certificate lapses four days after the start; she gives its renewal', async () => {
    await desk.getByRole('link', { name: /^Validity/ }).click()
    await expect(
      desk.getByRole('button', {
        name: new RegExp(`${me.name}.*Work at height certificate lapses 4 days after start`),
      }),
    ).toBeVisible()
    await desk.getByRole('button', { name: new RegExp(me.name) }).click()
    await expect(
      desk.locator('button[data-claim]', { hasText: 'Work at height' }).getByText('Candidate: renew'),
    ).toBeVisible()
    await candidate.goto('/me')
    await candidate.getByRole('link', { name: /Cableway electrical supervisor/ }).click()
    await expect(candidate.getByText(/26 days short of/)).toBeVisible()
    await candidate.getByLabel('Number on the renewal').fill('HW-27-0001')
    await candidate.getByLabel('Issued').fill(writeDay(start.subtract({ days: 50 })))
    await candidate.getByLabel('Valid through').fill(writeDay(start.add({ days: 900 })))
    await candidate.getByRole('button', { name: 'Save the renewal' }).click()
    await candidate.getByLabel(/Add the document: Work at height/).setInputFiles(await pdfFile('Renewal', 'HW-27-0001'))
    await expect(candidate.getByText(/Work at height certificate: a document is in/)).toBeVisible()
    await reopen(desk)
    await choose(desk, 'Work at height')
    await expect(desk.getByText(/Version 2 of this paper/)).toBeVisible()
    await expect(desk.getByText(/Renewed. Before: HW-24-0001/)).toBeVisible()
    await see(desk)
  })

  await test.step('9. through the gates: shut while something is missing, a waiver, an offer, a task', async () => {
    await desk.keyboard.press('m')
    await desk.getByRole('button', { name: 'Put on the shortlist' }).click()
    await expect(desk.getByText(/· shortlisted/)).toBeVisible()
    // He works in German.
    await signInByPage(manager, 'bastian@vallorne.example')
    await manager.getByRole('heading', { name: 'Heute' }).waitFor()
    await manager.goto(desk.url())
    await manager.getByRole('heading', { name: me.name }).waitFor()
    await manager.keyboard.press('m')
    await manager.getByLabel('Entgelt, EUR im Jahr').fill('62000')
    await manager.getByRole('button', { name: 'Angebot machen' }).click()
    await expect(manager.getByText(/· mit Angebot/)).toBeVisible()
    await candidate.goto(linkIn((await mailTo(candidate, me.mail, 'An offer')).text))
    await candidate.getByRole('button', { name: 'Accept the offer' }).click()
    await candidate.getByRole('checkbox', { name: 'I have read and understood it.' }).check()
    await candidate.getByRole('button', { name: 'Acknowledge' }).click()
    await expect(candidate.getByText('You acknowledged “The safety handbook, edition 14”.')).toBeVisible()

    await reopen(desk)
    await desk.keyboard.press('m')
    await expect(desk.getByText(/3 requirements are open/)).toBeVisible()
    await expect(desk.getByRole('button', { name: 'Clear to start' })).toBeDisabled()
    await desk.getByRole('button', { name: 'Waive Jobs confirmed' }).click()
    await desk
      .getByLabel('Why is it not needed? This stays on record.')
      .fill('Both employers were heard by telephone; notes on file.')
    await desk.getByRole('button', { name: 'Waive it' }).click()
    await expect(desk.getByText(/2 requirements are open/)).toBeVisible()
    await desk.keyboard.press('Escape')
    await choose(desk, 'First aid at work')
    await see(desk)
    await reopen(manager)
    await manager.keyboard.press('m')
    await manager.getByRole('button', { name: 'Auf Schaltberechtigung für Hochspannung verzichten' }).click()
    await manager
      .getByLabel('Warum ist es nicht nötig? Das bleibt vermerkt.')
      .fill('Will be issued by our own board on the first day.')
    await manager.getByRole('button', { name: 'Darauf verzichten' }).click()
    await expect(manager.getByText(/Anforderungen bis zu diesem Tor sind erledigt/)).toBeVisible()
    await reopen(desk)
    await desk.keyboard.press('m')
    await desk.getByRole('button', { name: 'Clear to start' }).click()
    await expect(desk.getByText(/· cleared to start/)).toBeVisible()
  })

  await test.step('10. she sees all of it on her status page', async () => {
    await candidate.reload()
    await expect(candidate.getByTestId('ball')).toHaveText('All done. See you on the first day.')
    await candidate.getByRole('button', { name: /^Show the \d+ before that/ }).click()
    for (const happened of [
      'You sent your application',
      'We asked Technische Hochschule Tannberg',
      'MSc Electrical Engineering is confirmed.',
      'We made you an offer.',
      'You are cleared to start.',
    ]) {
      await expect(candidate.getByText(new RegExp(happened)).first()).toBeVisible()
    }
  })
})

async function targetStart(page: Page): Promise<Temporal.PlainDate> {
  const reply = await page.request.get('/api/vacancies/cableway-electrical-supervisor')
  return Temporal.PlainDate.from(((await reply.json()) as { targetStart: string }).targetStart)
}

async function writeApplication(page: Page) {
  await page.getByLabel('Given names').fill('Runa')
  await page.getByLabel('Family name').fill(family)
  await page.getByLabel('Date of birth').fill('1993-05-17')
  await expect(page.getByText('Everything is saved.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Given names')).toHaveValue('Runa')
  await page.getByRole('link', { name: 'Next: Contact' }).click()
  await expect(page.getByLabel('Mail address')).toHaveValue(me.mail)
  await page.getByLabel('Phone').fill('0512 555')
  await expect(page.getByText('Begin with + and the country, such as +43 512 555 0100.')).toBeVisible()
  await page.getByLabel('Phone').fill('+43 512 555 0123')
  await page.getByLabel('Street and number').fill('Bergweg 7')
  await page.getByLabel('Country').selectOption('Austria')
  await page.getByLabel('Postcode').fill('6150')
  await page.getByRole('button', { name: /Steinach/ }).click()
  await page.getByRole('link', { name: 'Next: Study' }).click()

  await chooseSource(page, 'Who awarded it?', 'tannberg university', 'Technische Hochschule Tannberg')
  await page.getByLabel('Award', { exact: true }).fill('MSc')
  await page.getByLabel('Subject').fill('Electrical Engineering')
  await page.getByLabel('Level').selectOption('7')
  await page.getByLabel('Field', { exact: true }).selectOption('0713')
  await page.getByLabel('Begun').fill('Oct 2015')
  await page.getByLabel('Awarded', { exact: true }).fill('September 2018')
  await page.getByLabel('Number of the certificate').fill('TB-2018-7785')
  await page.getByRole('button', { name: 'Add to my studies' }).click()
  await page
    .getByLabel('Add a PDF, photo or scan: MSc Electrical Engineering')
    .setInputFiles(await pdfFile('Degree', 'TB-2016-7785'))
  await expect(page.getByText('arrived, not looked at yet')).toBeVisible()
  await page.getByRole('link', { name: 'Next: Work' }).click()

  await page.getByRole('button', { name: 'Add what you do now' }).click()
  await addJob(page, {
    employer: ['nordrampe cableways', 'Nordrampe Seilbahnen'],
    position: 'Electrical engineer',
    from: '1 Mar 2024',
  })
  await expect(page.getByText(/days missing/)).toBeVisible()
  // The next entry ends where the last one begins, the day before.
  await page.getByRole('button', { name: 'Add another entry' }).click()
  await expect(page.getByLabel('Last day')).toHaveValue('29 Feb 2024')
  await page.getByLabel('Last day').fill('31 Oct 2023')
  await addJob(page, { employer: ['trasse', 'Trasse Elektro'], position: 'Technician', from: '1 Oct 2018' })
  await expect(page.getByText('1 Nov 2023 to 29 Feb 2024: 121 days missing.')).toBeVisible()
  await page.getByRole('button', { name: 'Fill this gap' }).click()
  await page.getByLabel('What were you doing?').selectOption('care')
  await page.getByLabel('In a few words').fill('Cared for my father')
  await page.getByRole('button', { name: 'Add to my history' }).click()
  await expect(page.getByText(/days missing/)).toHaveCount(0)
  await page.getByRole('link', { name: 'Next: Licences and certificates' }).click()
}

async function addPapers(page: Page, start: Temporal.PlainDate) {
  const papers = [
    {
      kind: 'High-voltage switching authority',
      source: ['grid safety', 'Alpine Grid Safety Board'],
      number: 'GSB-2-77120',
      through: start.add({ days: 700 }),
    },
    {
      kind: 'Work at height certificate',
      source: ['hoehenwerk', 'Höhenwerk Training'],
      number: 'HW-24-0001',
      through: start.add({ days: 4 }),
    },
    {
      kind: 'First aid at work',
      source: ['first hands', 'First Hands Association'],
      number: 'FH-90001',
      through: start.add({ days: 400 }),
    },
  ]
  for (const { kind, source, number, through } of papers) {
    await page.getByRole('button', { name: `Add: ${kind}` }).click()
    await chooseSource(page, 'Who issued it?', source[0]!, source[1]!)
    await page.getByLabel('Number', { exact: true }).fill(number)
    await page.getByLabel('Valid through').fill(writeDay(through))
    await page.getByRole('button', { name: 'Add to my papers' }).click()
    await page.getByLabel(new RegExp(`: ${kind}$`)).setInputFiles(await pdfFile(kind, number))
    await expect(page.getByRole('link', { name: new RegExp(`^${kind}, .*pdf$`) })).toBeVisible()
  }
}

async function addJob(
  page: Page,
  { employer, position, from }: { employer: [string, string]; position: string; from: string },
) {
  await page.getByLabel('Position').fill(position)
  await chooseSource(page, 'Employer', employer[0], employer[1])
  await page.getByLabel('First day').fill(from)
  await page.getByLabel('Kind of work').fill('electrical')
  await page.getByRole('button', { name: 'Add to my history' }).click()
}

async function chooseSource(page: Page, label: string, typed: string, name: string) {
  await page.getByRole('combobox', { name: label }).fill(typed)
  await page.getByRole('option', { name: new RegExp(name) }).click()
}

/** Loads the page of a file anew, and waits until it is there. */
async function reopen(page: Page) {
  await page.reload()
  await page.getByRole('heading', { name: me.name }).waitFor()
}

/** Chooses a line of the file, and waits until its proof is there. */
async function choose(desk: Page, title: string) {
  await desk.locator('button[data-claim]', { hasText: title }).click()
  await desk.locator(`section[aria-label^="Proof: ${title}"] h2`).waitFor()
}

/** Looks at the document of the chosen claim and finds it right. */
async function see(desk: Page) {
  await desk.getByRole('button', { name: /Look at the document/ }).click()
  await findRight(desk)
  await expect(desk.getByRole('dialog')).toHaveCount(0)
}

/** Answers nine of ten rightly, reloading in the middle. */
async function sitCheck(page: Page) {
  const rightBy = new Map(isolationCheck.bank.map(({ text, options }) => [text, options]))
  for (let number = 1; number <= 10; number += 1) {
    await page.getByRole('button', { name: new RegExp(`^Question ${number},`) }).click()
    const group = page.getByRole('group', { name: new RegExp(`^${number}\\. `) })
    const text = (await group.locator('legend').innerText()).replace(/^\d+\. /, '')
    const option = rightBy.get(text)!.find(({ right }) => right === number < 10)!
    await group.getByText(option.text, { exact: true }).click()
    await expect(page.getByText(`${number} of 10 answered`)).toBeVisible()
    if (number === 5) {
      await settled(page)
      await page.reload()
      await expect(page.getByText('5 of 10 answered')).toBeVisible()
    }
  }
  await settled(page)
  await page.getByRole('button', { name: 'Hand in' }).click()
}
