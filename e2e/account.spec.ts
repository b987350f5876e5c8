import { expect, test } from '@playwright/test'
import { generateSync } from 'otplib'
import { expectAccessible } from './accessible'
import { linkIn, mailTo, signIn, signInByPage, windowOf } from './people'

test('somebody sees whether they would fit, without an account', async ({ browser }) => {
  const page = await windowOf(browser)
  await page.goto('/vacancies/rescue-lead')
  await page.getByRole('link', { name: 'Would I fit?' }).click()
  await expect(page.getByText('That depends on what is still open below.')).toBeVisible()
  await page.getByRole('group', { name: 'Would you lead in winter?' }).getByText('No').click()
  await expect(page.getByRole('group', { name: /avalanche blasting permit/ })).toBeHidden()
  await page.getByLabel('Date of birth').fill('24 Feb 2011')
  await page.getByLabel('Date of birth').blur()
  await expect(page.getByText('As things stand, no.')).toBeVisible()
  await page.getByLabel('Date of birth').fill('24 Feb 1991')
  await page.getByLabel('Date of birth').blur()
  for (const held of [
    ...[/degree or diploma/, /german at the level B2/i, /tick-borne/, /liability insurance/],
    ...[/rope access card/, /medical fitness/, /first aid/],
  ])
    await page.getByRole('group', { name: held }).getByText('Yes').click()
  await expect(page.getByText('Yes, this fits, as far as you have said.')).toBeVisible()
  await page
    .getByRole('group', { name: /medical fitness/ })
    .getByText('No')
    .click()
  await expect(page.getByText('As things stand, no.')).toBeVisible()
  await expectAccessible(page, 'fit')
})

test('a password is forgotten, set anew, and guarded by one-time codes', async ({ browser }) => {
  const page = await windowOf(browser)
  const mail = 'emil.castagna@mail.example'
  const password = `four grey chamois ${Date.now()}`
  await page.goto('/sign-in')
  await page.getByRole('link', { name: 'Password forgotten' }).click()
  await page.getByRole('heading', { name: 'Password forgotten' }).waitFor()
  await page.getByLabel('Mail address').fill(mail)
  await page.getByRole('button', { name: 'Send me a link' }).click()
  await expect(page.getByText('is on its way')).toBeVisible()
  await page.goto(linkIn((await mailTo(page, mail, 'Set a new password')).text))
  await page.getByLabel('New password').fill('passwordpassword')
  await page.getByRole('button', { name: 'Set it' }).click()
  await expect(page.getByText(/This password is easy to guess/)).toBeVisible()
  await page.getByLabel('New password').fill(password)
  await page.getByRole('button', { name: 'Set it' }).click()
  await page.getByRole('heading', { name: 'Sign in' }).waitFor()

  await signInByPage(page, mail, password)
  await page.goto('/account')
  await expectAccessible(page, 'account')
  await page.getByLabel('Your password').first().fill(password)
  await page.getByRole('button', { name: 'Set them up' }).click()
  await expect(page.getByRole('img', { name: 'The QR code for your authenticator app' })).toBeVisible()
  const secret = (await page.locator('p.font-mono').innerText()).replace(/\s/g, '')
  await page.getByLabel('The code it shows now').fill(generateSync({ secret }))
  await page.getByRole('button', { name: 'Switch them on' }).click()
  const recovery = page.getByRole('list', { name: 'Your recovery codes' }).getByRole('listitem')
  const [first, second] = [await recovery.nth(0).innerText(), await recovery.nth(1).innerText()]
  await page.getByRole('button', { name: 'I have kept them' }).click()
  await expect(page.getByText('10 recovery codes are left.')).toBeVisible()

  await page.getByRole('button', { name: 'Sign out' }).click()
  await page.goto('/sign-in')
  await page.getByLabel('Mail address').fill(mail)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await page.getByLabel(/Code of your authenticator app/).fill(first)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await page.waitForURL('**/me')
  await page.goto('/account')
  await page.getByLabel(/Code of your authenticator app/).fill(second)
  await page.getByLabel('Your password').first().fill(password)
  await page.getByRole('button', { name: 'Switch them off' }).click()
  await expect(page.getByRole('button', { name: 'Set them up' })).toBeVisible()
})

test('marks are counted as they are typed, with the working', async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'felix.rautner@mail.example')
  await page.getByRole('link', { name: /Cableway mechanic/ }).click()
  await page.waitForURL(/\/apply\/[^/]+\/[^/]+/)
  await page.goto(page.url().replace(/\/[^/]+$/, '/study'))
  await page.getByRole('button', { name: /^Change Apprenticeship/ }).click()
  await page.getByRole('button', { name: /Add the marks by term/ }).click()
  await page.getByLabel('How the institution marks').selectOption('five to one')
  await page.getByLabel('Course 1 of term 1', { exact: true }).fill('Technical drawing')
  await page.getByLabel('Mark of course 1 of term 1').fill('1')
  await page.getByRole('button', { name: 'Add a course to First term' }).click()
  await page.getByLabel('Course 2 of term 1', { exact: true }).fill('Welding')
  await page.getByLabel('Mark of course 2 of term 1').fill('6')
  await expect(page.getByText('6 lies outside of this scale.')).toBeVisible()
  await page.getByLabel('Mark of course 2 of term 1').fill('2')
  await expect(
    page.getByText('87.5 % overall, with distinction, from 10 graded credits', { exact: false }),
  ).toBeVisible()
  await page.getByText('How that is come by').click()
  await expect(page.getByRole('row', { name: /Technical drawing 5 1 100.0/ })).toBeVisible()
  await expectAccessible(page, 'marks')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('87.5 % overall, with distinction', { exact: false })).toBeVisible()
})
