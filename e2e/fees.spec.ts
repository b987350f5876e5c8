import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { mailTo, settled, signIn, windowOf } from './people'

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
