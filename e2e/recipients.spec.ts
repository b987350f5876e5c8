import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { fileOf, linkIn, mailTo, settled, signIn, windowOf } from './people'

/** What has been proven goes to somebody else, without anything being done again. */

test('a candidate on a phone has one claim sent to a second recipient, who reads and keeps it, until it is taken back', async ({
  browser,
}) => {
  const page = await windowOf(browser, { width: 390, height: 844 })
  await signIn(page, 'mateo.lindqvist@mail.example')
  await page.getByRole('link', { name: /Rack-railway driver/ }).click()
  await page.getByRole('link', { name: 'Send it to somebody else' }).click()
  await page.getByRole('button', { name: 'Send it to somebody else' }).click()
  await page.getByLabel('Name of the recipient').fill('Tannberg Cableway Inspectorate')
  await page.getByLabel('Mail address').fill('inbox@tannberg-inspectorate.example')
  await page.getByLabel('What for').fill('Entry in the register of drivers')
  const claims = page.getByRole('group', { name: 'What may they be told of?' })
  for (const box of await claims.getByRole('checkbox').all()) await box.uncheck()
  await claims.getByLabel(/^Rack-railway driving licence/).check()
  await expectAccessible(page, 'sending it to somebody else')
  await page.getByLabel(/I have read this/).check()
  await page.getByLabel(/typing your full/).fill('Mateo Lindqvist')
  await page.getByLabel('Your password').fill('glacier-lantern-42')
  await page.getByRole('button', { name: 'Sign and send' }).click()
  const received = page.getByRole('region', { name: 'Who received it' })
  await expect(received.getByRole('heading', { name: 'Tannberg Cableway Inspectorate' })).toBeVisible()
  await settled(page)
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0)

  const inspector = await windowOf(browser)
  const { text } = await mailTo(inspector, 'inbox@tannberg-inspectorate.example', /proven of Mateo/)
  await inspector.goto(linkIn(text))
  await expect(inspector.getByRole('heading', { name: 'Rack-railway driving licence' })).toBeVisible()
  await expect(inspector.getByText('Karwen')).toHaveCount(0)
  await expectAccessible(inspector, 'what was sent')
  const coming = inspector.waitForEvent('download')
  await inspector.getByRole('link', { name: 'Digital credential' }).click()
  const jwt = await readFile(await (await coming).path(), 'utf8')

  await page.reload()
  await expect(received.getByText(/Opened once/).first()).toBeVisible()
  const latest = received
    .getByRole('listitem')
    .filter({ hasText: /Opened once/ })
    .first()
  await latest.getByRole('button', { name: 'Take it back' }).click()
  await latest.getByRole('button', { name: 'Take it back' }).click()
  await expect(received.getByText(/taken back: the person it is about/).first()).toBeVisible()
  await inspector.reload()
  await expect(inspector.getByRole('alert')).toContainText('was taken back')
  await expect(inspector.getByText('Rack-railway driving licence')).toHaveCount(0)
  await inspector.goto('/check')
  await inspector.getByLabel('Or paste the text of a credential').fill(jwt)
  await inspector.getByRole('button', { name: 'Check it' }).click()
  await expect(inspector.getByRole('alert')).toHaveText('It was revoked and does not hold any more.')
})

test('the desk sends by a permission on file, and notes one that came on paper', async ({ browser }) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await fileOf(desk, 'Lindqvist', /Mateo Lindqvist/)
  await desk.getByText(/^Recipients \(/).click()
  const rail = desk.getByRole('article').filter({ hasText: 'Lower Alps Rail Inspectorate' })
  await rail.getByRole('button', { name: 'Send what is proven today' }).click()
  await rail.getByLabel('A PDF that they keep').check()
  await expectAccessible(desk, 'recipients of a file')
  await rail.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(
    desk.getByRole('region', { name: /^Notices/ }).getByText('Sent to Lower Alps Rail Inspectorate'),
  ).toBeVisible()
  await expect(rail.getByText(/by Ines.*as PDF/).first()).toBeVisible()

  await desk.getByRole('button', { name: 'Note a permission on paper' }).click()
  const form = desk.getByRole('region', { name: 'Note a permission on paper' })
  await form.getByLabel('Name of the recipient').fill('Brennach Night School')
  await form.getByLabel('Mail address').fill('office@brennach-night.example')
  await form.getByLabel('What for').fill('Teaching apprentices')
  await form.getByRole('button', { name: 'Note it' }).click()
  const school = desk.getByRole('article').filter({ hasText: 'Brennach Night School' }).first()
  await expect(school.getByText('its paper is still to come')).toBeVisible()
  await expect(school.getByRole('button', { name: 'Send what is proven today' })).toHaveCount(0)
})

test('of three bodies two are chosen in one act; one is not open, and says why', async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'ingrid.haugland@mail.example')
  await page.getByRole('link', { name: /Rope-access inspector/ }).click()
  await page
    .getByRole('link', { name: /^Registers/ })
    .first()
    .click()
  const body = (name: RegExp) => page.getByRole('checkbox', { name })
  await expect(body(/High Alps/)).toBeDisabled()
  await expect(page.getByText(/Not open to you: It registers those who hold/)).toBeVisible()
  await expect(page.getByText('Have you inspected in winter?')).toHaveCount(0)
  await body(/Lower Alps/).check()
  await body(/Tannberg/).check()
  // What both need is asked once, what one needs beside it.
  await expect(page.getByRole('group', { name: 'Have you inspected in winter?' })).toHaveCount(1)
  await expect(page.getByLabel(/District of Tannberg/)).toBeVisible()
  await expectAccessible(page, 'bodies to choose')
  const allow = page.getByRole('region', { name: /Allow those you have chosen/ })
  await allow.getByLabel(/I have read this/).check()
  await allow.getByLabel(/typing your full/).fill('Ingrid Haugland')
  await allow.getByLabel('Your password').fill('glacier-lantern-42')
  await allow.getByRole('button', { name: 'Sign for all 2' }).click()
  await expect(page.getByText('You have allowed it to be told.')).toHaveCount(2)
  await page.goto('/record')
  await expect(page.getByRole('heading', { name: 'Tannberg Cableway Inspectorate' })).toBeVisible()
})

test('a body is sent its record once it is ready; another is added later and asks only for what is new', async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await fileOf(desk, 'Hanne', /Hanne/)
  await desk.getByText(/^Recipients \(/).click()
  const chosen = desk.getByRole('region', { name: 'Chosen in this application' })
  // In a night that went by meanwhile it has gone by itself.
  await expect(chosen.getByText(/^(ready to be sent|sent )/)).toBeVisible()
  await expect(chosen.getByText('1 thing still to be proven')).toBeVisible()
  const lower = desk.getByRole('article').filter({ hasText: 'Lower Alps' })
  await lower.getByRole('button', { name: 'Send what is proven today' }).click()
  await lower.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(chosen.getByText(/^sent /)).toBeVisible()
  await expect(
    desk
      .getByRole('article')
      .filter({ hasText: 'High Alps' })
      .getByRole('button', { name: /^Send what/ }),
  ).toHaveCount(0)

  const page = await windowOf(browser)
  await signIn(page, 'hanne.sorlie@mail.example')
  await page.getByRole('link', { name: /Rope-access inspector/ }).click()
  const own = page.getByRole('region', { name: 'Recipients you have chosen' })
  await own.getByRole('button', { name: 'Add another recipient' }).click()
  await own.getByRole('checkbox', { name: /Tannberg/ }).check()
  await own.getByLabel(/I have read this/).check()
  await own.getByLabel(/typing your full/).fill('Hanne Sørlie')
  await own.getByLabel('Your password').fill('glacier-lantern-42')
  await own.getByRole('button', { name: 'Sign for it' }).click()
  await expect(page.getByRole('heading', { name: 'District of Tannberg you would inspect in' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Have you inspected in winter?' })).toHaveCount(0)
  await page.getByRole('link', { name: 'Answer it' }).first().click()
  await page.getByLabel(/District of Tannberg/).selectOption({ label: 'Both' })
  await settled(page)
  await page.goto('/me')
  await page.getByRole('link', { name: /Rope-access inspector/ }).click()
  await expect(page.getByRole('heading', { name: 'District of Tannberg you would inspect in' })).toHaveCount(0)
})
