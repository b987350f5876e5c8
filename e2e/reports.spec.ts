import { readFile } from 'node:fs/promises'
import { expect, type Locator, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { fileOf, settled, signIn, windowOf } from './people'

/** What has been proven, stated and signed: made at the desk, kept by its candidate, checked by anybody. */

async function saved(page: Page, within: Locator, name: string): Promise<{ path: string; text: string }> {
  const coming = page.waitForEvent('download')
  await within.getByRole('link', { name, exact: true }).first().click()
  const path = await (await coming).path()
  return { path, text: await readFile(path, 'utf8') }
}

async function pasted(page: Page, text: string) {
  await page.goto('/check')
  await page.getByLabel('Or paste the text of a credential').fill(text)
  await page.getByRole('button', { name: 'Check it' }).click()
}

test('a report is made in the file, checked by somebody who is not signed in, changed by a letter, and revoked', async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await fileOf(desk, 'Lindqvist', /Mateo Lindqvist/)
  await desk.getByText(/^Reports \(/).click()
  await desk.getByRole('button', { name: 'Make a report' }).click()
  await expectAccessible(desk, 'making a report')
  await desk.getByRole('region', { name: 'Make a report' }).getByRole('button', { name: 'Make a report' }).click()
  const told = (await desk.getByText(/^Report RP-.* is made$/).textContent())!
  const reference = /RP-[\w-]+/.exec(told)![0]
  const made = desk.getByRole('article').filter({ hasText: reference })
  await expect(made).toContainText('holds until')
  const pdf = await saved(desk, made, 'PDF')
  const { text: jwt } = await saved(desk, made, 'Credential')

  const anybody = await windowOf(browser)
  await anybody.goto('/check')
  await expectAccessible(anybody, 'the page that checks')
  await anybody.getByLabel('Report or credential').setInputFiles({
    ...{ name: 'report.pdf', mimeType: 'application/pdf', buffer: await readFile(pdf.path) },
  })
  await expect(anybody.getByRole('status')).toHaveText('It holds: unchanged, signed by Vallorne Mountain Lines.')
  await expect(anybody.getByText(reference)).toBeVisible()
  await expect(anybody.getByRole('heading', { name: 'What was not checked' })).toBeVisible()
  await expectAccessible(anybody, 'a report that holds')

  const [head, payload, signature] = jwt.split('.') as [string, string, string]
  const other = Buffer.from(payload, 'base64url').toString().replace('Lindqvist', 'Lindqvisd')
  await pasted(anybody, [head, Buffer.from(other).toString('base64url'), signature].join('.'))
  await expect(anybody.getByRole('alert')).toContainText('It does not hold')
  await expect(anybody.getByText('Lindqvisd')).toHaveCount(0)

  await made.getByRole('button', { name: 'Revoke' }).click()
  await made.getByLabel(/^Why/).fill('Made to be tried, and for nobody.')
  await made.getByRole('button', { name: 'Revoke' }).click()
  await expect(made).toContainText('Made to be tried, and for nobody.')
  await expect(made.getByRole('button', { name: 'Revoke' })).toHaveCount(0)
  await pasted(anybody, jwt)
  await expect(anybody.getByRole('alert')).toHaveText('It was revoked and does not hold any more.')
})

test('a candidate keeps a report of themselves on a phone, and shows one claim of it', async ({ browser }) => {
  const page = await windowOf(browser, { width: 390, height: 844 })
  await signIn(page, 'mateo.lindqvist@mail.example')
  await page.getByRole('link', { name: /Rack-railway driver/ }).click()
  const own = page.getByRole('region', { name: 'What has been proven of you' })
  await expect(own).toBeVisible()
  const before = await own.getByRole('listitem').count()
  await own.getByRole('button', { name: 'Make a report' }).click()
  await expect(own.getByRole('listitem')).toHaveCount(before + 1)
  await own.getByRole('button', { name: 'Show only some of it' }).first().click()
  await own.getByLabel('Rack-railway driving licence').check()
  await settled(page)
  const { text } = await saved(page, own, 'Credential that shows these')

  await pasted(page, text)
  await expect(page.getByRole('status')).toContainText('It holds')
  await expect(page.getByText(/parts of it were left out by whoever shows it/)).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Rack-railway driving licence' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Karwen Linie' })).toHaveCount(0)
  await expect(page.getByText('Karwen')).toHaveCount(0)
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0)
})
