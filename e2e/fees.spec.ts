import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { linkIn, mailTo, settled, signIn, windowOf } from './people'

/** What applying costs: seen before, paid, given back; vouchers; a category with its proof. */

const ottilie = 'ottilie@vallorne.example'
const openFee = async (page: Page, name: string, queue = 'late') => {
  await page.goto(`/desk/fees?queue=${queue}`)
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name: new RegExp(name) })).toBeVisible()
}
const openOwn = async (page: Page, mail: string) => {
  await signIn(page, mail)
  await page.getByRole('link', { name: /Lift attendant/ }).click()
  await expect(page.getByRole('heading', { name: 'What you pay' })).toBeVisible()
}

test('before anything is filled in a vacancy says what it costs, and why', async ({ browser }) => {
  const page = await windowOf(browser, { width: 390, height: 844 })
  await page.goto('/vacancies/lift-attendant')
  await page.getByRole('link', { name: 'What it costs, and why' }).click()
  const total = page.getByRole('row', { name: /^In all/ }).getByRole('cell')
  await expect(total).toHaveText(/^176.00 to 346.00 EUR$/)
  await page.getByLabel('Which lift would you be examined on?').selectOption('Gondola')
  await expect(page.getByText('changed just now')).toBeVisible()
  await page.getByRole('group', { name: 'Are you an apprentice?' }).getByText('yes').click()
  await page.getByLabel('How many copies').fill('2')
  await expect(total).toHaveText('226.00 EUR')
  await page.getByRole('checkbox', { name: 'I want this' }).uncheck()
  await expect(total).toHaveText('200.00 EUR')
  await expectAccessible(page, 'what it costs')
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0)
})

test('paid by oneself: the card is declined, then taken; then a part is given back', async ({ browser }) => {
  const page = await windowOf(browser)
  await openOwn(page, 'ronja.abendroth@mail.example')
  await expectAccessible(page, 'what one pays')
  await page.getByRole('button', { name: /^Pay 312.62 EUR by card/ }).click()
  await page.getByLabel('Card').selectOption({ label: '4000 0000 0000 0002, which has not enough on it' })
  await page.getByRole('button', { name: 'Pay', exact: true }).click()
  await expect(page.getByRole('status')).toContainText('was declined')
  await page.getByRole('link', { name: 'Back to what you pay' }).click()
  await page.getByRole('button', { name: /^Pay 312.62 EUR by card/ }).click()
  await page.getByLabel('Whoever asked is told by').selectOption('a notice two seconds after you come back')
  await page.getByRole('button', { name: 'Pay', exact: true }).click()
  await expect(page.getByRole('status')).toContainText('Thank you. 312.62 EUR')
  await page.getByRole('link', { name: 'Back to the application' }).click()
  await expect(page.getByRole('link', { name: /^Receipt R-/ })).toBeVisible()
  await mailTo(page, 'ronja.abendroth@mail.example', 'Paid:')

  const desk = await windowOf(browser)
  await signIn(desk, ottilie)
  await openFee(desk, 'Ronja Abendroth', 'settled')
  await desk.getByRole('button', { name: 'Give back' }).click()
  const dialog = desk.getByRole('dialog')
  await dialog.getByLabel('Amount, EUR').fill('26')
  await dialog.getByLabel('Why').fill('The canteen is closed on the second day')
  await dialog.getByRole('button', { name: 'Give back' }).click()
  await expect(desk.getByText('by card, 26.00 EUR given back')).toBeVisible()
  await expect(desk.getByRole('link', { name: /^Credit note C-/ })).toBeVisible()
  await expectAccessible(desk, 'a fee at the desk')
  await page.reload()
  await expect(page.getByText('by card, 26.00 EUR given back')).toBeVisible()
})

test('a voucher works once', async ({ browser }) => {
  const desk = await windowOf(browser)
  await signIn(desk, ottilie)
  await desk.goto('/desk/vouchers')
  await desk.getByRole('button', { name: 'Make vouchers' }).click()
  const dialog = desk.getByRole('dialog')
  await dialog.getByLabel('What for').fill('Job fair')
  await dialog.getByLabel('How many').fill('1')
  await dialog.getByLabel('Worth, EUR').fill('20')
  await dialog.getByLabel('Last day').fill('31.12.2030')
  await dialog.getByRole('button', { name: 'Make them' }).click()
  const code = await dialog.getByLabel('Codes').inputValue()
  await desk.getByRole('button', { name: 'Done' }).click()
  await expectAccessible(desk, 'vouchers')

  const use = async (page: Page) => {
    await page.getByRole('button', { name: 'I have a voucher' }).click()
    await page.getByLabel('Code of the voucher').fill(code)
    await page.getByRole('button', { name: 'Use it' }).click()
  }
  const elin = await windowOf(browser)
  await openOwn(elin, 'elin.vasser@mail.example')
  await use(elin)
  await expect(elin.getByText('The voucher covers 20.00 EUR.')).toBeVisible()
  await use(elin)
  await expect(elin.getByText('This voucher has been used or withdrawn already.')).toBeVisible()
})

test('a category counts with its proof, is refused, and shown again; others at the desk see no amount', async ({
  browser,
}) => {
  const page = await windowOf(browser)
  await openOwn(page, 'samir.benali@mail.example')
  await expect(page.getByText(/^176.00 EUR/).first()).toBeVisible()
  const desk = await windowOf(browser)
  await signIn(desk, ottilie)
  await openFee(desk, 'Samir Benali', 'proofs')
  await desk.getByRole('button', { name: 'Refuse' }).click()
  await desk.getByLabel('Why, in words for the person').fill('The contract is of another person')
  await desk.getByRole('button', { name: 'Refuse' }).click()
  await expect(desk.getByText('266.00 EUR to pay by').first()).toBeVisible()
  const { text } = await mailTo(desk, 'samir.benali@mail.example', 'About what you pay')
  expect(text).toContain('The contract is of another person')
  await page.reload()
  await expect(page.getByText(/^Not accepted/)).toBeVisible()

  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/applications/table?text=Benali')
  await ines
    .getByRole('link', { name: /Samir Benali/ })
    .first()
    .click()
  await settled(ines)
  await expect(ines.getByText('266.00')).toHaveCount(0)
  await expect(ines.getByRole('link', { name: 'Fees', exact: true })).toHaveCount(0)
})

test('an employer is found by its code, takes over its part, is invoiced, and pays by transfer', async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  await signIn(desk, ottilie)
  await desk.goto('/desk/employers')
  await desk.getByRole('button', { name: 'Open an account' }).click()
  const dialog = desk.getByRole('dialog')
  await dialog.getByLabel('Name').first().fill('Hochalm Railways')
  await dialog.getByLabel('May owe at most, EUR').fill('500')
  await dialog.getByLabel('Second address for invoices and receipts').fill('books@hochalm.example')
  await dialog.getByRole('checkbox', { name: /find it by name/ }).uncheck()
  await dialog.getByRole('group', { name: 'Who decides there' }).getByLabel('Name').fill('Nora Payer')
  await dialog.getByRole('group', { name: 'Who decides there' }).getByLabel('E-mail').fill('nora@hochalm.example')
  await expectAccessible(desk, 'opening an account for an employer')
  await dialog.getByRole('button', { name: 'Open the account' }).click()
  await expect(desk.getByRole('heading', { level: 1, name: 'Hochalm Railways' })).toBeVisible()

  // She comes by the invitation, and reads the code her people need.
  const nora = await windowOf(browser)
  await nora.goto(linkIn((await mailTo(nora, 'nora@hochalm.example', 'Hochalm Railways')).text))
  await nora.getByLabel('New password').fill('cable-hinge-lantern-9')
  await nora.getByRole('button', { name: 'Come in' }).click()
  await expect(nora.getByRole('heading', { level: 1, name: 'Hochalm Railways' })).toBeVisible()
  await nora.getByRole('link', { name: 'Your organisation' }).last().click()
  const code = await nora.getByText(/^[0-9A-Z]{5}-[0-9A-Z]{5}$/).innerText()
  await expectAccessible(nora, 'an employer’s account')

  const pavle = await windowOf(browser, { width: 390, height: 844 })
  await openOwn(pavle, 'samir.benali@mail.example')
  await pavle.getByRole('button', { name: 'Somebody else pays: ask an employer' }).click()
  await pavle.getByLabel('Name of the employer, or its code').fill('Hochalm')
  await expect(pavle.getByText(/No employer with an account is called so/)).toBeVisible()
  await pavle.getByLabel('Name of the employer, or its code').fill(code)
  await pavle.getByRole('button', { name: /Hochalm Railways/ }).click()
  await pavle.getByRole('checkbox', { name: /^Meals/ }).uncheck()
  await expectAccessible(pavle, 'asking an employer')
  await pavle.getByRole('button', { name: 'Ask Hochalm Railways' }).click()
  await expect(pavle.getByText(/Hochalm Railways was asked to pay/)).toBeVisible()

  await nora.getByRole('link', { name: 'To decide' }).click()
  await nora.getByLabel('Order number').fill('HR-1')
  await expectAccessible(nora, 'what an employer is asked')
  await nora.getByRole('button', { name: /^We pay / }).click()
  await expect(nora.getByText('Nothing waits for you.')).toBeVisible()
  await pavle.reload()
  await expect(pavle.getByText(/^Hochalm Railways pays/)).toBeVisible()
  await expect(pavle.getByText(/^26.00 EUR (to pay|was due)/)).toBeVisible()

  await nora.getByRole('link', { name: 'Invoices' }).click()
  await expect(nora.getByText(/to pay by/)).toBeVisible()
  const invoice = nora.getByRole('link', { name: /^Invoice I-/ })
  const { text } = await mailTo(nora, 'books@hochalm.example', 'Invoice I-')
  expect(text).toContain(await invoice.innerText().then((name) => name.replace('Invoice ', '')))
  const reference = await desk.evaluate(async () => {
    const answer = await fetch('/api/desk/employer-invoices?text=Hochalm')
    return ((await answer.json()) as { invoices: { reference: string; owed: number }[] }).invoices[0]!
  })

  // The bank's statement names the reference of the invoice.
  await desk.goto('/desk/transfers')
  await desk.locator('input[type=file]').setInputFiles({
    name: 'statement.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `date;amount;currency;payer;reference;text;id\n2026-11-30;${(reference.owed / 100).toFixed(2)};EUR;Hochalm Railways;${reference.reference};;H-1`,
    ),
  })
  await expect(desk.getByText(/^Booked: 1\./)).toBeVisible()
  await nora.reload()
  await expect(nora.getByText('Paid', { exact: true })).toBeVisible()
  await expect(nora.getByRole('link', { name: /^Receipt R-/ })).toBeVisible()
  await mailTo(nora, 'books@hochalm.example', 'Receipt R-')
  await desk.goto('/desk/employers')
  await expectAccessible(desk, 'employers')
  await expect(desk.getByRole('row', { name: /^Hochalm Railways/ })).toContainText('0.00 EUR')
})

test('left unpaid until the time ran out it is set aside; paying takes it up again', async ({ browser }) => {
  const till = await windowOf(browser, { width: 390, height: 844 })
  await signIn(till, 'till.gruber@mail.example')
  await expect(till.getByText('Set aside', { exact: true })).toBeVisible()
  await openOwn(till, 'till.gruber@mail.example')
  await expect(till.getByText('It goes on by itself once what is owed is paid.')).toBeVisible()
  await expectAccessible(till, 'what was set aside')
  await till.getByRole('button', { name: /^Pay .* by card/ }).click()
  await till.getByRole('button', { name: 'Pay', exact: true }).click()
  await expect(till.getByRole('status')).toContainText('Thank you.')
  await till.getByRole('link', { name: 'Back to the application' }).click()
  await expect(till.getByText(/^The last day to finish was/)).toHaveCount(0)
  await expect(till.getByText('Paid', { exact: true })).toBeVisible()

  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/applications/table?text=Gruber')
  await ines
    .getByRole('link', { name: /Till Gruber/ })
    .first()
    .click()
  await expect(ines.getByText(/Set aside, since it was not finished/).first()).toBeAttached()
})
