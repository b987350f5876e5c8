import { expect, test } from '@playwright/test'
import { PDFDocument } from 'pdf-lib'
import { expectAccessible } from './accessible'
import { linkIn, mailbox, mailTo, pressKey, settled, signIn, windowOf } from './people'

/** Asking whoever issued it: by letter and back through the tray, by telephone, many at once, and a reply on a phone. */

const coordinator = 'ines@vallorne.example'

test('a letter is printed, comes back through the scanner, and its answer is typed in beside it', async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, coordinator)
  await ines.goto('/desk/letters')
  await expect(ines.getByRole('link', { name: 'Noor Adeyemi' })).toBeVisible()
  await expectAccessible(ines, 'letters to print')
  const letters = (await (await ines.request.get('/api/desk/letters')).json()) as { batchId: string }[]
  const printed = await ines.request.get(`/api/desk/letters/letters.pdf?batchIds=${letters[0]!.batchId}`)
  const letter = await PDFDocument.load(await printed.body())
  await ines.getByRole('button', { name: /^They are on their way/ }).click()
  await expect(ines.getByText('No letter waits for the printer.')).toBeVisible()
  // What comes back: the sheet with the square, and the form beneath it.
  const post = await PDFDocument.create()
  for (const page of await post.copyPages(letter, [1, 2])) post.addPage(page)
  const scanned = await fetch(`${mailbox}/scanner/scan?name=answer`, {
    method: 'POST',
    body: (await post.save()) as Uint8Array<ArrayBuffer>,
  })
  expect(scanned.ok).toBe(true)
  await ines.goto('/desk/verification/table?channel=letter')
  await expect(async () => {
    await ines.reload()
    await expect(ines.getByText('A paper came: read it')).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 60_000 })
  await ines.getByRole('link', { name: 'Noor Adeyemi' }).click()
  await expect(ines.getByRole('heading', { name: 'What the paper beside this says' })).toBeVisible()
  for (const group of await ines.getByRole('group').filter({ hasText: 'Cannot say' }).all())
    await group.getByLabel('Right').click()
  await ines.getByLabel('Who signed').fill('Frau Leitner')
  await expectAccessible(ines, 'an answer on paper')
  await ines.getByRole('button', { name: 'Enter the answer' }).click()
  await expect(ines.getByText('Answered: compare')).toBeVisible()
})

test('a call is made with the number of the directory, and what was said is entered with who said it', async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, coordinator)
  await ines.goto('/desk/verification/table?turn=desk')
  await ines.getByRole('link', { name: 'Amara Quint' }).first().click()
  await expect(ines.getByText('+43 5555 400 12').first()).toBeVisible()
  await ines.getByRole('group', { name: /^Name/ }).getByLabel('Right').click()
  await ines
    .getByRole('group', { name: /^Position/ })
    .getByLabel('Right')
    .click()
  await ines
    .getByRole('group', { name: /^First day/ })
    .getByLabel('Not so')
    .click()
  await ines.getByLabel('According to them').fill('1 Mar 2014')
  await ines.getByLabel('Who spoke').fill('Herr Moser')
  await ines.getByLabel('How you made sure').selectOption('called back through the switchboard')
  await expectAccessible(ines, 'a call')
  await ines.getByRole('button', { name: 'Enter the answer' }).click()
  await expect(ines.getByText('Answered: compare')).toBeVisible()
  await expect(ines.getByText('1 Mar 2014')).toBeVisible()
  await expect(ines.getByText(/Herr Moser; called back through the switchboard/)).toBeVisible()
})

test('all that a file still needs is asked at once; a reply in German on a phone has one line wrong and is passed on', async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, coordinator)
  await ines.goto('/desk/applications/table?text=benvenuti')
  await ines
    .getByRole('link', { name: /Dario Benvenuti/ })
    .first()
    .click()
  await settled(ines)
  await pressKey(ines, 'q')
  const dialog = ines.getByRole('dialog')
  await expect(dialog.getByText(/^Goes out now/)).toBeVisible()
  await expectAccessible(ines, 'what goes where')
  await dialog.getByRole('button', { name: /^Ask about/ }).click()
  await expect(ines.getByText(/^Asked: \d/).first()).toBeVisible()

  const mail = await mailTo(ines, 'kadry@karwen.example', /Dario Benvenuti/)
  const phone = await windowOf(browser, { width: 390, height: 844 })
  await phone.goto(linkIn(mail.text))
  await phone.getByRole('button', { name: 'Deutsch' }).click()
  await expect(phone.getByRole('heading', { name: /^Dario Benvenuti/ })).toBeVisible()
  await phone.getByRole('button', { name: 'Alles stimmt' }).click()
  await phone
    .getByRole('group', { name: /^Erster Tag/ })
    .getByText('Stimmt nicht')
    .click()
  await phone.getByLabel('Erster Tag nach Ihren Unterlagen').fill('1. März 2016')
  await expect(phone.getByText(/^Gespeichert/)).toBeVisible()
  await expectAccessible(phone, 'a reply on a phone')
  // Come back to by the same link.
  await phone.reload()
  await expect(phone.getByLabel('Erster Tag nach Ihren Unterlagen')).toHaveValue(/2016/)
  await phone.getByRole('button', { name: 'An eine Kollegin oder einen Kollegen weitergeben' }).click()
  await phone.getByLabel('Name', { exact: true }).fill('Ewa Nowak')
  await phone.getByLabel('E-Mail-Adresse').fill('ewa.nowak@karwen.example')
  await phone.getByLabel('Ihr Name').last().fill('Jan Kowal')
  await phone.getByRole('button', { name: 'Weitergeben', exact: true }).click()
  await expect(phone.getByText(/^Weitergegeben/)).toBeVisible()

  const passed = await mailTo(ines, 'ewa.nowak@karwen.example', /Dario Benvenuti/)
  const colleague = await windowOf(browser, { width: 390, height: 844 })
  await colleague.goto(linkIn(passed.text))
  await colleague.getByLabel('Your name').first().fill('Ewa Nowak')
  await colleague.getByRole('button', { name: 'Send the answer' }).click()
  await expect(colleague.getByText(/RC-/)).toBeVisible()
})
