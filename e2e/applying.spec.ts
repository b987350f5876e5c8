import { expect, type Page, test } from '@playwright/test'
import { Packer, Paragraph, Document as Word } from 'docx'
import type { Form, Section } from '#core/form/form'
import { writeZone } from '#core/identity/machineZone'
import { form, library } from '#scenario/form'
import { drawPdf } from '#scenario/papers'

import { expectAccessible } from './accessible'
import { newPassword, newPerson, openPost } from './newPost'
import { mailTo, settled, signIn, windowOf } from './people'

const send = form.at(-1)!
const [about, contact] = library as [Section, Section]
const questions = (key: string, ...own: Section['questions']): Section => ({
  key,
  title: key.replace(/^./, (letter) => letter.toUpperCase()),
  heading: `About ${key}`,
  intro: '',
  holds: 'questions',
  questions: own,
})
const ask = { required: true } as const
const everything = questions(
  'everything',
  { key: 'e.text', label: 'A line', kind: 'text', limit: 20, ...ask },
  { key: 'e.long', label: 'A story', kind: 'long text', limit: 200, ...ask },
  { key: 'e.number', label: 'How many', kind: 'number', least: 1, most: 9, unit: 'dogs', blanks: ['unknown'], ...ask },
  { key: 'e.money', label: 'How much', kind: 'money', unit: 'EUR', ...ask },
  { key: 'e.date', label: 'Which day', kind: 'date', ...ask },
  { key: 'e.partial', label: 'About when', kind: 'partial date', ...ask },
  { key: 'e.yes', label: 'Have you been there?', kind: 'yes or no', explain: 'yes', ...ask },
  { key: 'e.one', label: 'Which one', kind: 'one of', options: ['North', 'South'], ...ask },
  { key: 'e.several', label: 'Which of these', kind: 'several of', options: ['Ice', 'Rock', 'Snow'], ...ask },
  { key: 'e.ranked', label: 'In your order', kind: 'ranked choice', options: ['Day', 'Night'], rankUpTo: 2, ...ask },
  { key: 'e.country', label: 'Born in', kind: 'country', ...ask },
  { key: 'e.region', label: 'Grew up in', kind: 'country and region', ...ask },
  { key: 'e.address', label: 'Living at', kind: 'address', street: true, ...ask },
  { key: 'e.phone', label: 'Second phone', kind: 'phone', ...ask },
  { key: 'e.mail', label: 'Second mail', kind: 'mail', ...ask },
  { key: 'e.identity', label: 'Insurance number', kind: 'identity number', ...ask },
  { key: 'e.paper', label: 'A drawing', kind: 'document', ...ask },
  { key: 'e.declare', label: 'All of this is true', kind: 'declaration', ...ask },
  {
    key: 'e.records',
    label: 'Your dogs',
    kind: 'records',
    parts: [{ key: 'name', label: 'Name of the dog', kind: 'text', required: true }],
    ...ask,
  },
)
const shortForm: Form = [about, contact, send]

async function begin(page: Page, slug: string) {
  await page.goto(`/vacancies/${slug}`)
  await page.getByRole('button', { name: 'Apply' }).click()
  await page.waitForURL(/\/apply\/[^/]+\/[^/]+/)
  return page.url().replace(/\/[^/]+$/, '')
}
const saved = (page: Page) => expect(page.getByText('Everything is saved.')).toBeVisible()

async function fillPerson(page: Page, base: string) {
  await page.goto(`${base}/about`)
  await page.getByLabel('Given names').fill('Pia')
  await page.getByLabel('Family name').fill('Sommer')
  await page.getByLabel('Date of birth').fill('1995-04-02')
  await page.getByRole('link', { name: 'Next: Contact' }).click()
  await page.getByLabel('Phone').fill('+43 512 555 0142')
  await page.getByLabel('Street and number').fill('Seilweg 3')
  await page.getByLabel('Country').selectOption('Austria')
  await page.getByLabel('Postcode').fill('6800')
  await page.getByRole('button', { name: /Vallorne/ }).click()
  await saved(page)
}

test('every kind of question is answered; what cannot be right is said beside it', async ({ browser }) => {
  const page = await windowOf(browser)
  const { slug } = await openPost(`Everything asked ${process.env.E2E_RUNNING ?? ''}`, [everything, send])
  await newPerson(page, 'Pia Sommer')
  await begin(page, slug)
  const field = (name: string) => page.getByLabel(name, { exact: true })
  const group = (name: string) => page.getByRole('group', { name })

  await test.step('wrong answers', async () => {
    for (const [name, wrong, why] of [
      ['How many', '12', 'This must be at most 9.'],
      ['About when', 'whenever', /not a date|does not read as a date|“2021”/i],
      ['Second phone', '12', /Begin with \+ and the country/],
      ['Second mail', 'nobody', 'This is not a mail address.'],
    ] as const) {
      await field(name).fill(wrong)
      await field(name).blur()
      await expect(page.getByText(why).first()).toBeVisible()
    }
  })

  await test.step('right answers', async () => {
    await field('A line').fill('Short')
    await field('A story').fill('One winter, much snow.')
    await page.getByLabel('I don’t know, because…').check()
    await page.getByLabel('Why you do not know').fill('They had puppies.')
    await field('How much').fill('1200.50')
    await field('Which day').fill('2020-02-29')
    await field('About when').fill('about Mar 2019')
    await group('Have you been there?').getByText('Yes').click()
    await page.getByLabel('What happened?').fill('Twice.')
    await field('Which one').selectOption('South')
    await page.getByLabel('Ice', { exact: true }).check()
    await page.getByLabel('Snow', { exact: true }).check()
    await group('In your order').getByRole('button', { name: 'Add Night as number 1' }).click()
    await field('Born in').selectOption('Norway')
    await group('Grew up in').getByLabel('Country').selectOption('Norway')
    await group('Grew up in').getByLabel('Region').fill('Nordland')
    await group('Living at').getByLabel('Country').selectOption('Austria')
    await group('Living at').getByLabel('Postcode').fill('6800')
    await group('Living at')
      .getByRole('button', { name: /Vallorne/ })
      .click()
    await group('Living at').getByLabel('Street and number').fill('Seilweg 3')
    await field('Second phone').fill('+43 512 555 0143')
    await field('Second mail').fill('second@mail.example')
    await field('Insurance number').fill('4455 010203')
    await expect(page.getByText(/Shown to others as •+203/)).toBeVisible()
    await page.getByRole('button', { name: 'Add a document' }).click()
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles({
        name: 'drawing.pdf',
        mimeType: 'application/pdf',
        buffer: await drawPdf({
          issuer: 'Pia Sommer',
          place: 'Vallorne',
          heading: 'A drawing',
          lines: ['of', 'a dog'],
          signedBy: 'Pia',
          on: '2024',
        }),
      })
    await expect(page.getByText('arrived, not looked at yet')).toBeVisible()
    await page.getByRole('checkbox', { name: 'All of this is true' }).check()
    await group('Your dogs').getByRole('button', { name: 'Add one' }).click()
    await page.getByLabel('Name of the dog').fill('Barry')
    await saved(page)
    await expectAccessible(page, 'every kind')
  })

  await test.step('read through and sent', async () => {
    await page.getByRole('link', { name: 'Next: Read through and send' }).click()
    await expect(page.getByRole('heading', { name: 'Nothing is left' })).toBeVisible()
    await expect(page.getByText('South')).toBeVisible()
    await expect(page.getByText('Not known: They had puppies.')).toBeVisible()
    await page.getByRole('button', { name: 'Send my application' }).click()
    await expect(page.getByText(/VM-[0-9A-Y]{4}-[0-9A-Y]{2}/).first()).toBeVisible()
  })
})

test('without a connection nothing is lost, and two windows lose neither answer', async ({ browser }) => {
  const page = await windowOf(browser, { width: 390, height: 844 })
  const { slug } = await openPost(`In a hut ${process.env.E2E_RUNNING ?? ''}`, shortForm)
  await newPerson(page, 'Hut Dweller')
  const base = await begin(page, slug)
  await page.goto(`${base}/about`)

  await test.step('offline and back, also through a new window', async () => {
    await expect(page.getByLabel('Given names')).toBeVisible()
    await page.context().setOffline(true)
    await page.getByLabel('Given names').fill('Written without a connection')
    await expect(page.getByText(/No connection. What you typed is kept/)).toBeVisible()
    await page.context().setOffline(false)
    await saved(page)
    await page.reload()
    await expect(page.getByLabel('Given names')).toHaveValue('Written without a connection')
    // The server is not reached, the window goes away, and what was typed comes back with the next.
    await page.route('**/answers', (route) => route.abort())
    await page.getByLabel('Family name').fill('Kept on the device')
    await expect(page.getByText(/No connection. What you typed is kept/)).toBeVisible()
    await page.unroute('**/answers')
    await page.reload()
    await expect(page.getByLabel('Family name')).toHaveValue('Kept on the device')
    await saved(page)
  })

  await test.step('two windows, one answer', async () => {
    const other = await page.context().newPage()
    await other.goto(`${base}/about`)
    await expect(other.getByLabel('Family name')).toHaveValue('Kept on the device')
    await page.getByLabel('Family name').fill('From here')
    await saved(page)
    await other.getByLabel('Family name').fill('From there')
    await expect(other.getByText('This was changed in another window meanwhile.')).toBeVisible()
    await expect(other.getByText('There: From here. Here: From there.')).toBeVisible()
    await other.getByRole('button', { name: 'Take the other' }).click()
    await expect(other.getByLabel('Family name')).toHaveValue('From here')
    await other.getByLabel('Family name').fill('From there after all')
    await saved(other)
    await page.reload()
    await expect(page.getByLabel('Family name')).toHaveValue('From there after all')
  })
})

test('a second application reuses the first; a sent one is opened again and changed', { tag: '@long' }, async ({
  browser,
}) => {
  const page = await windowOf(browser)
  const running = process.env.E2E_RUNNING ?? ''
  const first = await openPost(`First of two ${running}`, shortForm)
  const second = await openPost(`Second of two ${running}`, shortForm)
  const mail = await newPerson(page, 'Pia Sommer')
  const base = await begin(page, first.slug)
  await fillPerson(page, base)
  await page.getByRole('link', { name: 'Next: Read through and send' }).click()
  await page.getByRole('button', { name: 'Send my application' }).click()
  const reference = (await page
    .getByText(/VM-[0-9A-Y]{4}-[0-9A-Y]{2}/)
    .first()
    .textContent())!.match(/VM-[\w-]+/)![0]
  const id = base.split('/').at(-1)!

  await test.step('nothing is asked twice', async () => {
    const again = await begin(page, second.slug)
    await page.goto(`${again}/about`)
    await expect(page.getByLabel('Family name')).toHaveValue('Sommer')
    await expect(page.getByText(/This is from your file, last confirmed on/)).toBeVisible()
    await page.getByRole('button', { name: 'All of this is right' }).click()
    await expect(page.getByText(/This is from your file/)).toBeHidden()
    await page.getByRole('link', { name: 'Next: Contact' }).click()
    await page.getByLabel('Phone').fill('+43 512 555 0199')
    await saved(page)
    await page.getByRole('button', { name: 'All of this is right' }).click()
    await page.getByRole('link', { name: 'Next: Read through and send' }).click()
    await expect(page.getByRole('heading', { name: 'Nothing is left' })).toBeVisible()
  })

  await test.step('the desk asks for one change, and sees what is different', async () => {
    const desk = await windowOf(browser)
    await signIn(desk, 'ines@vallorne.example')
    await desk.goto(`/desk/today/${id}`)
    await desk.getByText('Changed since it was sent, nothing').click()
    await desk.getByRole('button', { name: 'Ask them to change something' }).click()
    await desk.getByLabel('Section').selectOption({ label: 'About you' })
    await desk.getByLabel('Question').selectOption({ label: 'Family name' })
    await desk.getByLabel('Why? They read this.').fill('Your passport says Sommer-Lind.')
    await expectAccessible(desk, 'asking for a change')
    await desk.getByRole('button', { name: 'Ask them', exact: true }).click()
    expect((await mailTo(desk, mail, `in your application ${reference}`)).text).toContain('Sommer-Lind')

    await page.goto(`/applications/${id}`)
    await page.getByRole('link', { name: 'Change it' }).click()
    await expect(page.getByLabel('Given names')).toBeHidden()
    await page.getByLabel('Family name').fill('Sommer-Lind')
    await saved(page)
    await page.getByRole('button', { name: 'This is done' }).click()
    await page.getByRole('button', { name: 'Correct how we can reach you' }).click()
    await page.getByLabel('Phone').fill('+43 512 555 0188')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByText('You corrected your contact details.')).toBeVisible()

    await desk.goto(`/desk/today/${id}`)
    await expect(desk.getByText('Sommer-Lind').first()).toBeVisible()
    await desk.getByRole('button', { name: 'Noted', exact: true }).click()
    await expect(desk.getByRole('status').filter({ hasText: 'Noted: Family name.' }).first()).toBeVisible()
  })
})

test('identity, people who vouch, voluntary questions and a drawn name', { tag: '@long' }, async ({ browser }) => {
  const page = await windowOf(browser)
  await newPerson(page, 'Ilse Vandermeer')
  const base = await begin(page, 'rescue-lead')

  await test.step('a passport is captured on a phone and confirmed', async () => {
    await page.goto(`${base}/identity`)
    await page.getByRole('button', { name: 'Go on with this' }).click()
    const phone = await windowOf(browser, { width: 390, height: 844 })
    const capture = async (light: string) => {
      const [begun] = await Promise.all([
        page.waitForResponse((response) => response.url().endsWith('/captures')),
        page.getByRole('button', { name: 'Hand it over to my phone' }).click(),
      ])
      await phone.goto(((await begun.json()) as { address: string }).address)
      await phone.getByLabel('Printed lines').fill(
        writeZone('TD3', {
          familyName: 'Vandermeer',
          givenNames: 'Ilse Marie',
          number: 'P4410927',
          issuer: 'UTO',
          nationality: 'UTO',
          born: '1994-08-21',
          through: '2033-04-30',
        }),
      )
      await phone.getByLabel('The light').selectOption(light)
      await phone.getByRole('button', { name: 'Capture' }).click()
    }
    await capture('glare')
    await expect(page.getByText(/That was not clear enough/)).toBeVisible()
    await capture('good')
    await expect(page.getByText('This stands on your paper. Is it right?')).toBeVisible()
    await expect(page.getByLabel('Number', { exact: true })).toHaveValue('P4410927')
    await expectAccessible(page, 'identity')
    await page.getByRole('button', { name: 'Yes, this is right' }).click()
    await page.getByRole('button', { name: 'Take it from the paper' }).click()
    await saved(page)
    await page.goto(`${base}/about`)
    await expect(page.getByLabel('Given names')).toHaveValue('Ilse Marie')
  })

  await test.step('a portrait is taken on the phone, after the paper', async () => {
    await page.goto(`${base}/identity`)
    const phone = await windowOf(browser, { width: 390, height: 844 })
    const [begun] = await Promise.all([
      page.waitForResponse((response) => response.url().endsWith('/captures')),
      page.getByRole('button', { name: 'Hand it over to my phone' }).click(),
    ])
    await phone.goto(((await begun.json()) as { address: string }).address)
    await phone.getByLabel('Before it sits').selectOption('same')
    await phone.getByRole('button', { name: 'Take the portrait' }).click()
    await expect(page.getByText(/^Taken on .* A person compares it with your paper/)).toBeVisible()
    await expectAccessible(page, 'a live portrait')
  })

  await test.step('a video is recorded on the page, seen, recorded again, and sent', async () => {
    await page.goto(`${base}/rescue`)
    await page.getByRole('button', { name: 'Add a video' }).click()
    await page.getByRole('button', { name: 'Record it on this page' }).click()
    const dialog = page.getByRole('dialog')
    const record = async () => {
      await dialog.getByRole('button', { name: 'Begin recording' }).click()
      await expect(dialog.getByText(/^Recording, 0:5[0-7] left$/)).toBeVisible()
      await dialog.getByRole('button', { name: 'End recording' }).click()
    }
    await record()
    const recording = dialog.getByLabel('Your recording')
    await expect.poll(() => recording.evaluate((video: HTMLVideoElement) => video.duration)).toBeGreaterThan(2)
    await expectAccessible(page, 'a recording')
    await dialog.getByRole('button', { name: 'Record it again' }).click()
    await record()
    await dialog.getByRole('button', { name: 'Send it' }).click()
    await expect(page.getByText(/\d seconds, [\d,.]+ .B, arrived/)).toBeVisible()
  })

  await test.step('a Word file becomes a PDF and stays beside it', async () => {
    const letter = new Word({ sections: [{ children: [new Paragraph('Search dog, examined in October')] }] })
    await page.getByRole('button', { name: 'Add a document' }).click()
    await page
      .getByLabel(/^Add a PDF, photo or scan: /)
      .first()
      .setInputFiles({ name: 'dog.docx', mimeType: 'application/octet-stream', buffer: await Packer.toBuffer(letter) })
    const [kept] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'the Word file it was made of' }).click(),
    ])
    expect(kept.suggestedFilename()).toMatch(/\.docx$/)
  })

  await test.step('somebody vouches with the reference and the code', async () => {
    await page.goto(`${base}/vouching`)
    await page.getByLabel('Their name').fill('Pell Orven')
    await page.getByRole('button', { name: 'Ask them' }).click()
    const handedOver = (await page
      .getByText(/VO-[0-9A-Y]{4}/)
      .locator('..')
      .textContent())!
    const [, reference = '', code = ''] = /(VO-[\w-]+?)\s*Code\s*(\w{6})/.exec(handedOver)!
    await expectAccessible(page, 'vouching')
    const voucher = await windowOf(browser, { width: 390, height: 844 })
    await voucher.goto('/vouch')
    await voucher.getByLabel('Reference').fill(reference.toLowerCase())
    await voucher.getByLabel('Code').fill('222222')
    await voucher.getByRole('button', { name: 'Go on' }).click()
    await expect(voucher.getByText(/do not match/)).toBeVisible()
    await voucher.getByLabel('Code').fill(code)
    await voucher.getByRole('button', { name: 'Go on' }).click()
    await expect(voucher.getByRole('heading', { name: 'Can you vouch for Ilse Marie Vandermeer?' })).toBeVisible()
    await voucher.getByLabel('Since when did you work together?').fill('2020')
    await voucher.getByText('Every week').click()
    await voucher.getByText('Yes', { exact: true }).click()
    await voucher.getByLabel('What have you seen?').fill('She led four rescues at night, calm and exact.')
    await expectAccessible(voucher, 'vouching for somebody')
    await voucher.getByRole('button', { name: 'Send my answer' }).click()
    await expect(voucher.getByRole('heading', { name: 'Thank you' })).toBeVisible()
    await page.reload()
    await expect(page.getByText(/^Answered /)).toBeVisible()
  })

  await test.step('voluntary answers are given once, and counted without anybody', async () => {
    await page.goto(`${base}/equality`)
    await page.getByLabel('How old are you?').selectOption('25 to 34')
    await page.getByRole('button', { name: 'Give these answers' }).click()
    await expect(page.getByText('Thank you. Your answers are counted.')).toBeVisible()
    const desk = await windowOf(browser)
    await signIn(desk, 'anselm@vallorne.example')
    await desk.goto('/desk/vacancies')
    await desk.getByRole('link', { name: 'Rescue lead' }).first().click()
    await desk.getByRole('link', { name: 'Voluntary questions' }).click()
    await expect(desk.getByText('not shown').first()).toBeVisible()
    await expectAccessible(desk, 'counts')
  })

  await test.step('the permission is signed by drawing', async () => {
    await page.goto(`${base}/permission`)
    await page.getByRole('checkbox', { name: 'I have read this and agree to it.' }).check()
    await page.getByText('Draw it', { exact: true }).click()
    const place = (await page.getByLabel('Draw your name here').boundingBox())!
    await page.mouse.move(place.x + 30, place.y + 90)
    await page.mouse.down()
    for (const [x, y] of [
      [60, 30],
      [90, 110],
      [140, 40],
      [220, 80],
    ])
      await page.mouse.move(place.x + x!, place.y + y!)
    await page.mouse.up()
    await page.getByLabel('Your password').fill(newPassword)
    await page.getByRole('button', { name: 'Sign', exact: true }).click()
    await expect(page.getByText(/^Signed by Ilse Marie Vandermeer/)).toBeVisible()
    const pdf = await page.request.get(`/api/my/applications/${base.split('/').at(-1)}/permission.pdf`)
    expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  })
})

test('in German, on a phone', async ({ browser }) => {
  const page = await windowOf(browser, { width: 390, height: 844 })
  const { slug } = await openPost(`Auf Deutsch ${process.env.E2E_RUNNING ?? ''}`, form)
  await newPerson(page, 'Jutta Achleitner')
  const base = await begin(page, slug)
  await page.goto(`${base}/about`)
  await page.getByLabel('Given names').fill('Jutta')
  await page.getByRole('button', { name: 'Deutsch' }).click()
  await expect(page.getByRole('heading', { name: 'Wer sind Sie?' })).toBeVisible()
  await expect(page.getByLabel('Vornamen')).toHaveValue('Jutta')
  await expect(page.locator('html')).toHaveAttribute('lang', 'de')
  for (const section of ['about', 'contact', 'study', 'work', 'papers', 'declarations', 'permission', 'send']) {
    await page.goto(`${base}/${section}`)
    await page.locator('h1').waitFor()
    await settled(page)
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
    ).toBeLessThanOrEqual(0)
  }
  await expectAccessible(page, 'German')
  await page.goto(`${base}/work`)
  await page.getByRole('button', { name: 'Angeben, was Sie jetzt tun' }).click()
  await page.getByLabel('Was haben Sie getan?').selectOption({ label: 'Betreuung' })
  await page.getByLabel('In wenigen Worten').fill('Mutter gepflegt')
  await page.getByLabel('Erster Tag').fill('1. März 2020')
  await page.getByRole('button', { name: 'Zu meinem Werdegang' }).click()
  await expect(page.getByText('1. März 2020 bis heute', { exact: true })).toBeVisible()
  await page.goto(`/applications/${base.split('/').at(-1)}`)
  await expect(page.getByText('Bei Ihnen: Die Bewerbung ist noch nicht abgeschickt.')).toBeVisible()
  await expect(page.getByText('Sie haben Ihre Bewerbung begonnen.')).toBeVisible()
  await page.getByRole('button', { name: 'English' }).click()
  await expect(page.getByText('You started your application.')).toBeVisible()
})
