import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { settled, signIn, windowOf } from './people'

const fitsAcross = async (page: Page) =>
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0)

test('the public pages are accessible, and fit a phone', async ({ browser }) => {
  const page = await windowOf(browser)
  for (const place of [
    '/',
    '/vacancies/cableway-electrical-supervisor',
    '/vacancies/rescue-lead/fit',
    '/forgotten',
    '/sign-in',
    '/sign-up',
    '/check',
    '/nowhere-at-all',
  ]) {
    await page.goto(place)
    await page.locator('h1').first().waitFor()
    await settled(page)
    await expectAccessible(page, place, { dark: place === '/' || place === '/sign-up' })
    await page.setViewportSize({ width: 390, height: 844 })
    await fitsAcross(page)
    await page.setViewportSize({ width: 1280, height: 800 })
  }
})

test('the portal is accessible, and fits a phone', { tag: '@long' }, async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'felix.rautner@mail.example')
  await page.getByRole('link', { name: /Cableway mechanic/ }).click()
  await page.waitForURL(/\/apply\/[^/]+\/[^/]+/)
  const base = page.url().replace(/\/[^/]+$/, '')
  for (const section of ['about', 'contact', 'study', 'work', 'papers', 'declarations', 'permission', 'send']) {
    await page.goto(`${base}/${section}`)
    await page.locator('h1').waitFor()
    await settled(page)
    await expectAccessible(page, section, { dark: section === 'work' || section === 'send' })
    await page.setViewportSize({ width: 390, height: 844 })
    await fitsAcross(page)
    await page.setViewportSize({ width: 1280, height: 800 })
  }
})

test('the status page is accessible, and fits a phone', async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'maelle.dreau-okafor@mail.example')
  await page.getByRole('link', { name: /Cableway electrical supervisor/ }).click()
  await page.getByRole('heading', { name: 'What to do next' }).waitFor()
  await expectAccessible(page, 'status', { dark: true })
  await page.setViewportSize({ width: 390, height: 844 })
  await fitsAcross(page)
})

test('the desk is accessible and can be worked from the keyboard', { tag: '@long' }, async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'ines@vallorne.example')
  for (const queue of [
    'today',
    'applications',
    'verification',
    'skills',
    'validity',
    'hiring',
    'vacancies',
    'sources',
    'trail',
    'applications/table',
    'duplicates',
    'paper',
    'imports',
    'words',
  ]) {
    await page.goto(`/desk/${queue}`)
    await page.locator('h1').first().waitFor()
    await settled(page)
    await expectAccessible(page, queue, { dark: queue === 'verification' || queue === 'hiring' })
  }
  await page.goto('/desk/today')
  await page.locator('h2').first().waitFor()
  const person = () => page.locator('section[aria-label^="File of"] h2').innerText()
  const first = await person()
  await page.keyboard.press('j')
  await expect(page.locator('section[aria-label^="File of"] h2')).not.toHaveText(first)
  await page.keyboard.press('k')
  await expect(page.locator('section[aria-label^="File of"] h2')).toHaveText(first)
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-claim]').first()).toBeFocused()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys of the desk' })).toBeVisible()
  await expectAccessible(page, 'keys')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+k')
  await page.keyboard.type('wierz')
  await page.getByRole('option', { name: /Tomasz Wierzborski/ }).click()
  await expect(page.getByRole('heading', { name: 'Tomasz Wierzborski' })).toBeVisible()
  await page.locator('button[data-claim]', { hasText: 'Rack-railway driving licence' }).click()
  await expect(page.getByText(/contradict/).first()).toBeVisible()
})

test('the desk fits 320 pixels, one pane at a time, and the focus goes back to where it was', { tag: '@long' }, async ({
  browser,
}) => {
  const page = await windowOf(browser, { width: 320, height: 640 })
  await signIn(page, 'ines@vallorne.example')
  for (const place of [
    'today',
    'vacancies',
    'vacancies/sections',
    'vacancies/groups',
    'sources',
    'trail',
    'applications/table',
    'duplicates',
    'paper',
    'behalf',
    'imports',
    'words',
    'outbox',
  ]) {
    await page.goto(`/desk/${place}`)
    await page.locator('h1').first().waitFor()
    await settled(page)
    await fitsAcross(page)
  }
  await page.goto('/desk/today')
  await page.locator('ol li button').first().click()
  await page.locator('section[aria-label^="File of"]').waitFor()
  await fitsAcross(page)
  await page.getByRole('link', { name: 'Back to the queue' }).click()
  await expect(page.locator('ol li button').first()).toBeVisible()

  await page.setViewportSize({ width: 1280, height: 800 })
  await page.locator('ol li button').nth(1).focus()
  for (const [press, close] of [
    ['?', 'Escape'],
    ['Control+k', 'Escape'],
  ] as const) {
    await page.keyboard.press(press)
    await page.getByRole('dialog').waitFor()
    await page.keyboard.press(close)
    await expect(page.locator('ol li button').nth(1)).toBeFocused()
  }
  await page.locator('body').press('Tab')
  await page.goto('/desk/sources')
  await page.locator('h1').waitFor()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'To the content' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.locator('main')).toBeFocused()
})

test('a decision can be undone', async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'ines@vallorne.example')
  await page.goto('/desk/today')
  await page.getByRole('button', { name: /Kofi Brenninkmeyer/ }).click()
  const claim = page.locator('button[data-claim]', { hasText: 'Transport Operations' })
  await claim.click()
  await expect(page.getByText('The source agrees in every field that matters.')).toBeVisible()
  await page.keyboard.press('c')
  await expect(claim.getByRole('img', { name: 'Confirmed by the source' })).toBeVisible()
  await page.keyboard.press('z')
  await expect(claim.getByRole('img', { name: /^Asked/ })).toBeVisible()
})

test('answers typed without a connection are kept and saved when it is back', async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'ingrid.haugland@mail.example')
  await page.getByRole('link', { name: /Rope-access inspector/ }).click()
  await page.waitForURL(/\/apply\/[^/]+\/[^/]+/)
  await page.goto(page.url().replace(/\/[^/]+$/, '/contact'))
  await page.getByLabel('Street and number').waitFor()
  await page.context().setOffline(true)
  await page.getByLabel('Street and number').fill('Hyttevegen 12')
  await expect(page.getByText(/No connection. What you typed is kept/)).toBeVisible()
  await page.context().setOffline(false)
  await expect(page.getByText('Everything is saved.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Street and number')).toHaveValue('Hyttevegen 12')
})
