import { expect, test } from '@playwright/test'
import { form, library } from '#scenario/form'
import { deskVisitor, newPerson, openPost } from './newPost'
import { mailTo, signIn, windowOf } from './people'

/** Moves the clock of the demo, and so comes last. */
test('at the closing moment a draft is kept, cannot be sent, and says so', async ({ browser }) => {
  const page = await windowOf(browser)
  const desk = await deskVisitor()
  const { now } = await desk.done('readClock')
  const soon = new Date(Date.parse(now) + 3 * 3_600_000)
  const { slug } = await openPost(`Closing soon ${process.env.E2E_RUNNING ?? ''}`, [library[0]!, form.at(-1)!], soon)
  await newPerson(page, 'Late Comer')
  await page.goto(`/vacancies/${slug}`)
  await page.getByRole('button', { name: 'Apply' }).click()
  await page.getByLabel('Given names').fill('Late')
  await page.getByLabel('Family name').fill('Comer')
  await page.getByLabel('Date of birth').fill('1990-01-01')
  await expect(page.getByText('Everything is saved.')).toBeVisible()
  await expect(page.getByText(/Not sent yet · closes/)).toBeVisible()
  await page.getByRole('link', { name: 'Next: Read through and send' }).click()
  await expect(page.getByRole('heading', { name: 'Nothing is left' })).toBeVisible()
  await desk.done('moveClock', { body: { days: 1 } })
  await page.getByRole('button', { name: 'Send my application' }).click()
  await expect(page.getByText(/This vacancy is closed. What you wrote is kept/).first()).toBeVisible()
  await page.reload()
  await expect(page.getByRole('alert').filter({ hasText: /This vacancy closed on/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Send my application' })).toBeDisabled()
  await page.goto('/me')
  await expect(page.getByRole('link', { name: /Closing soon/ })).toBeVisible()
})

test('an interim paper whose time runs out is told to its candidate, and its requirement is open again', async ({
  browser,
}) => {
  const candidate = await windowOf(browser)
  await signIn(candidate, 'priya.raghunathan@mail.example')
  await candidate
    .getByRole('link', { name: /Track engineer/ })
    .first()
    .click()
  await expect(candidate.getByText(/^The final paper by .*; until then the interim one does\.$/)).toBeVisible()
  const desk = await deskVisitor()
  await desk.done('moveClock', { body: { days: 8 } })
  await mailTo(candidate, 'priya.raghunathan@mail.example', 'The final paper has not come')
  await candidate.reload()
  await expect(candidate.getByText(/was good until .*, and the final one has not come\./).first()).toBeVisible()
  await expect(candidate.getByText(/until then the interim one does/)).toHaveCount(0)
})
