import { expect, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { fileOf, findRight, openClaim, pressKey, settled, signIn, windowOf } from './people'

/** Patterns worth a look, and a licence that holds on terms. */

test('one paper in two files is found in the queue, seen on the paper, settled, and looked at again', async ({
  browser,
}) => {
  const page = await windowOf(browser)
  await signIn(page, 'tomas@vallorne.example')
  await page.goto('/desk')
  await page.getByRole('link', { name: /^Red flags/ }).click()
  await expect(page.getByRole('heading', { name: 'Red flags' })).toBeVisible()
  const greta = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: 'Greta Aschenbach', exact: true }) })
  await expect(greta.filter({ hasText: 'The same picture in two files' })).toContainText('one of Ilse Vandermeer')
  await expectAccessible(page, 'the queue of red flags')

  await greta.filter({ hasText: 'The name of somebody else' }).getByRole('link', { name: 'Greta Aschenbach' }).click()
  await settled(page)
  const flags = page.getByRole('region', { name: 'Red flags about this' })
  await expect(flags).toContainText('Confirming it takes a second person while a red flag stands.')
  await expectAccessible(page, 'red flags beside a claim')
  await flags.getByRole('button', { name: 'Show on the paper' }).last().click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('img', { name: 'The name of somebody else' })).toBeVisible()
  await page.keyboard.press('Escape')

  await pressKey(page, 'f')
  await dialog.getByLabel('It stands').check()
  await dialog.getByRole('textbox').fill('It is Ilse’s card, photographed a little turned.')
  await dialog.getByRole('button', { name: 'Settle it' }).click()
  await expect(flags.getByText(/^Upheld by Tomas Velde.*It is Ilse’s card/)).toBeVisible()
  await flags.getByRole('button', { name: 'Look at it again' }).click()
  await dialog.getByRole('textbox').fill('To be talked about with both of them.')
  await dialog.getByRole('button', { name: 'Look at it again' }).click()
  await expect(flags.getByText(/^Upheld by/)).toHaveCount(0)

  // Only a paper leads to the very claim; a name leads to the file.
  const same = flags.getByRole('listitem').filter({ hasText: 'The same picture in two files' })
  await same.getByRole('link', { name: 'Open the file of Ilse Vandermeer' }).click()
  await settled(page)
  await expect(page.getByRole('heading', { name: 'Ilse Vandermeer' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Red flags about this' })).toContainText('one of Greta Aschenbach')
})

test('what a register restricts is said with its terms, confirmed knowing them, and stands in the file', async ({
  browser,
}) => {
  const page = await windowOf(browser)
  await signIn(page, 'tomas@vallorne.example')
  await fileOf(page, 'Quint', /Amara Quint/)
  await openClaim(page, /Control-room dispatcher licence/)
  await page.keyboard.press('l')
  await findRight(page)
  await page.getByRole('button', { name: /^Look up in the register/ }).click()
  const terms = 'only under supervision, not at night'
  await expect(page.getByText(`Terms: ${terms}.`)).toBeVisible()
  const row = page.locator('[data-claim]').filter({ hasText: 'Control-room dispatcher licence' })
  await expect(row).toContainText(`restricted: ${terms}`)
  await pressKey(page, 'n')
  await page.getByRole('dialog').getByRole('textbox').fill('She works days, beside a supervisor, until it is lifted.')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Confirm/ })
    .click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(row).toContainText(`restricted: ${terms}`)
  await expect(row).toHaveAccessibleName(/^Confirmed/)
})
