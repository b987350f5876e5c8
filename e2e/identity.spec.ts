import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { settled, windowOf } from './people'

/** Signing in through the organisation's identity provider, by the stand-in of the demo. */

/** Says at the provider who one is. */
async function choose(page: Page, name: string) {
  await expect(page.getByRole('heading', { name: 'Who are you?' })).toBeVisible()
  await page.getByRole('button', { name }).click()
}

test('who works here signs in there, is asked again there in a window of its own, and loses nothing meanwhile', async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  await desk.goto('/sign-in')
  await expect(desk.getByRole('button', { name: 'Vallorne Identity' })).toBeVisible()
  await expectAccessible(desk, 'signing in')
  await desk.getByRole('button', { name: 'Vallorne Identity' }).click()
  await choose(desk, 'Emil Straub')
  await expect(desk).toHaveURL(/\/desk\/today/)
  await desk.goto('/account')
  await expect(desk.getByRole('heading', { name: 'Vallorne Identity' })).toBeVisible()
  await expect(desk.getByRole('heading', { name: 'Password' })).toHaveCount(0)

  await desk.goto('/desk/applications/table?late=yes')
  await desk.getByRole('button', { name: 'Save this view' }).click()
  await desk.getByLabel('Keep what is shown as').fill('Late ones')
  await settled(desk)
  await desk.context().clearCookies()
  await desk.getByRole('button', { name: 'Save', exact: true }).click()
  const opening = desk.waitForEvent('popup')
  await desk.getByRole('button', { name: 'Go to Vallorne Identity' }).click()
  const there = await opening
  await choose(there, 'Emil Straub')
  await expect(there.getByText('Close this window')).toBeVisible()
  await expect(desk.getByRole('dialog')).toHaveCount(0)
  await expect(desk.getByRole('button', { name: 'View: Late ones' })).toBeVisible()
})

test('somebody the provider gives no role, and somebody it turns away, is told so and can begin again', async ({
  browser,
}) => {
  const page = await windowOf(browser)
  for (const [choice, told] of [
    ['Nino Castell', 'no role'],
    ['None of them', 'access_denied'],
  ] as const) {
    await page.goto('/sign-in')
    await page.getByRole('button', { name: 'Vallorne Identity' }).click()
    await choose(page, choice)
    await expect(page.getByRole('alert')).toContainText(told)
    await page.getByRole('link', { name: /again/i }).click()
    await expect(page.getByLabel('Mail address')).toBeVisible()
    await page.context().clearCookies()
  }
})
