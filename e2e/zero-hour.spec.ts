import { expect, test } from '@playwright/test'
import { form, library } from '#scenario/form'
import { expectAccessible } from './accessible'
import { deskVisitor, newPerson, openPost } from './newPost'
import { fileOf, mailTo, openClaim, signIn, windowOf } from './people'

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

test('an interim paper whose time runs out is told to its candidate, and its requirement is open again', {
  tag: '@long',
}, async ({ browser }) => {
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

test('a source that stays silent is reminded, asked by another way where there is one, and given up; the decision is proposed', {
  tag: '@long',
}, async ({ browser }) => {
  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await fileOf(ines, 'nwosu', /Adaeze Nwosu/)
  await openClaim(ines, /Gleisbau Hochtal/)
  await ines.getByRole('button', { name: /^Ask the source/ }).click()
  await ines.getByRole('dialog').getByRole('button', { name: 'Send the enquiry' }).click()
  await expect(ines.getByText(/^Asked Gleisbau Hochtal/).first()).toBeVisible()
  const row = ines.getByRole('row').filter({ hasText: 'Gleisbau Hochtal' }).filter({ hasText: 'Adaeze Nwosu' })
  const desk = await deskVisitor()
  // As days go by; each night does what is due, by itself.
  const until = async (stage: string) => {
    for (let weeks = 0; ; weeks += 1) {
      expect(weeks, `weeks until “${stage}”`).toBeLessThan(9)
      await desk.done('moveClock', { body: { days: 7 } })
      const there = await expect(async () => {
        await ines.goto('/desk/verification/table')
        await expect(row.getByText(stage)).toBeVisible({ timeout: 1500 })
      })
        .toPass({ timeout: 6000 })
        .then(
          () => true,
          () => false,
        )
      if (there) return
    }
  }
  await until('Reminded')
  await mailTo(ines, 'personal@gleisbau.example', /Adaeze Nwosu/)
  await until('Silent for good: decide')
  await row.getByRole('link', { name: 'Adaeze Nwosu' }).click()
  await expect(ines.getByText('Nothing is left to try')).toBeVisible()
  await expect(ines.getByText('Reminded').first()).toBeVisible()
  await expectAccessible(ines, 'a source that stayed silent')
  await fileOf(ines, 'nwosu', /Adaeze Nwosu/)
  await openClaim(ines, /Gleisbau Hochtal/)
  await expect(ines.getByRole('button', { name: /^Cannot be confirmed/ }).first()).toBeVisible()
})
