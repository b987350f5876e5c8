import { readFileSync } from 'node:fs'
import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { signIn, windowOf } from './people'

const title = `Avalanche dog handler ${process.env.E2E_RUNNING ?? ''}`.trim()

test('a vacancy is composed, tried, run dry, published and seen as a candidate sees it', { tag: '@long' }, async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  const outside = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  let address = ''

  await test.step('set up as a copy, and described', async () => {
    await desk.goto('/desk/vacancies')
    await desk.getByRole('button', { name: 'Set up a vacancy' }).click()
    await desk.getByLabel('Title').fill(title)
    await desk.getByText('What an earlier vacancy says and asks').click()
    await desk.getByLabel('Which one').selectOption({ label: 'Rescue lead, Vallorne valley station' })
    await desk.getByRole('button', { name: 'Set it up' }).click()
    await expect(desk.getByRole('heading', { name: title })).toBeVisible()
    await desk.getByLabel('In one or two sentences').fill('Search with your dog, in any weather.')
    const duties = desk.getByRole('textbox', { name: 'What one would do' })
    await duties.click()
    await desk.keyboard.press('Control+A')
    await desk.keyboard.type('Train every week')
    await desk.getByLabel('Opens', { exact: true }).fill('20 Nov 2026')
    await desk.getByLabel('Opens at, hours and minutes').fill('7:30')
    await expect(desk.getByText('Everything is saved.')).toBeVisible()
    await expectAccessible(desk, 'the post')
    address = (await desk.getByRole('link', { name: 'As a candidate sees it' }).getAttribute('href'))!
    await outside.goto(address)
    await expect(outside.getByText('There is nothing here, or it is not for you to see.')).toBeVisible()
  })

  await test.step('a question of its own, with a condition, moved by keyboard', async () => {
    await desk.getByRole('link', { name: 'Form', exact: true }).click()
    await desk.getByRole('button', { name: 'Add a question to Being called' }).click()
    await desk.getByLabel('The question').fill('How old is your dog?')
    await desk.getByLabel('Answered with').selectOption('number')
    await desk.getByLabel('Unit').fill('years')
    await desk.getByRole('button', { name: 'Add a condition' }).click()
    await desk.getByLabel('What is looked at').selectOption({ label: 'Would you lead in winter?' })
    await expect(desk.getByText('Only if “Would you lead in winter” is yes.')).toBeVisible()
    await expect(desk.getByText('Saved, not published.')).toBeVisible()
    await desk.getByRole('button', { name: 'Move How old is your dog?' }).focus()
    await desk.keyboard.press('Space')
    for (let up = 0; up < 6; up += 1) {
      await desk.keyboard.press('ArrowUp')
      await desk.waitForTimeout(300)
    }
    await desk.keyboard.press('Space')
    await expect(desk.getByText(/which is asked later. Move that question up/)).toBeVisible()
    await expect(desk.getByRole('button', { name: 'Publish the rules' })).toBeDisabled()
    await desk.getByRole('button', { name: 'Undo' }).click()
    await expect(desk.getByText('Saved, not published.')).toBeVisible()
    await expectAccessible(desk, 'the form')
  })

  await test.step('a conditional requirement with an alternative and an exemption, tried on somebody made up', async () => {
    await desk.getByRole('link', { name: 'Requirements' }).click()
    await desk.getByRole('button', { name: 'Add a requirement' }).click()
    await desk.getByLabel('What it is called in lists').fill('Rope or height papers for winter')
    await desk.getByLabel('What is asked').selectOption('credential')
    await desk.getByLabel('Of this kind').selectOption('rope-access')
    await desk.getByRole('button', { name: 'Something else does as well' }).click()
    await desk.getByLabel('Of this kind').nth(1).selectOption('work-at-height')
    await desk.getByLabel('How well proven').first().selectOption('evidenced')
    await desk
      .getByRole('group', { name: 'Only under a condition' })
      .getByRole('button', { name: 'Add a condition' })
      .click()
    await desk
      .getByRole('group', { name: 'Only under a condition' })
      .getByLabel('What is looked at')
      .selectOption({ label: 'Would you lead in winter?' })
    await desk.getByRole('group', { name: 'Exempt by rule' }).getByRole('button', { name: 'Add a condition' }).click()
    const exempt = desk.getByRole('group', { name: 'Exempt by rule' })
    await exempt.getByLabel('What is looked at').selectOption('file.credentials')
    await exempt.getByLabel('With what').selectOption('blasting')
    await desk.getByLabel('Why that exempts').fill('a blasting permit includes it')
    const row = desk.getByRole('button', { name: /^Rope or height papers for winter/ })
    await expect(row).toContainText(
      'Rope access card, or work at height certificate, shown by a document, before an offer. Only if “Would you lead in winter” is yes. Not needed if “licences and certificates” include Avalanche blasting permit: a blasting permit includes it.',
    )
    const panel = desk.getByRole('complementary', { name: 'Try it' })
    await expect(row).toContainText('undecided')
    await expect(panel.getByText('Would be decided by: Would you lead in winter?').first()).toBeVisible()
    await panel.getByRole('group', { name: 'Would you lead in winter?' }).getByText('No').click()
    await expect(row).toContainText('not needed')
    await panel.getByRole('group', { name: 'Would you lead in winter?' }).getByText('Yes').click()
    await expect(row).toContainText('unmet')
    await panel.getByLabel('Work at height certificate', { exact: true }).check()
    await panel.getByLabel('How well proven').selectOption('evidenced')
    await expect(row).toContainText(/\bmet/)
    await expect(row).not.toContainText('unmet')
    await panel.getByLabel('Work at height certificate', { exact: true }).uncheck()
    await panel.getByLabel('Avalanche blasting permit', { exact: true }).check()
    await expect(row).toContainText('not needed')
    await expectAccessible(desk, 'requirements', { dark: true })
  })

  await test.step('published, opened, and seen from outside', async () => {
    await desk.getByRole('button', { name: 'Publish the rules' }).click()
    await desk.getByLabel('What is new, for the list of versions').fill('First')
    await desk.getByRole('button', { name: 'Publish it' }).click()
    await expect(desk.getByText('rules version 1', { exact: false }).first()).toBeVisible()
    await desk.getByRole('button', { name: 'Open it' }).click()
    await expect(desk.getByText(/· open ·/)).toBeVisible()
    await outside.goto(address)
    await expect(outside.getByRole('heading', { name: title })).toBeVisible()
    await expect(outside.getByText('Train every week')).toBeVisible()
    await expect(
      outside.getByText(/shown by a document, before an offer. Only if “Would you lead in winter” is yes/),
    ).toBeVisible()
    expect(await outside.locator('script[type="application/ld+json"]').textContent()).toContain('"JobPosting"')
    await signIn(outside, 'felix.rautner@mail.example')
    await outside.goto(address)
    await outside.getByRole('button', { name: 'Apply' }).click()
    await outside
      .getByRole('link', { name: /^Being called/ })
      .first()
      .click()
    await expect(outside.getByLabel(/How old is your dog/)).toBeHidden()
    await outside.getByRole('group', { name: 'Would you lead in winter?' }).getByText('Yes').click()
    await outside.getByLabel(/How old is your dog/).fill('x')
    await expect(outside.getByText('This is not a number.')).toBeVisible()
    await outside.getByLabel(/How old is your dog/).fill('4')
    await expect(outside.getByText('Everything is saved.')).toBeVisible()
    await outside.reload()
    await expect(outside.getByLabel(/How old is your dog/)).toHaveValue('4')
  })
})

test('a change is run dry, left, found again, and its effects filtered; rules go out and in as a file', async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await desk.goto('/desk/vacancies')
  await desk.getByRole('link', { name: 'Cableway mechanic', exact: true }).click()
  await desk.getByRole('link', { name: 'Requirements' }).click()
  await desk.getByRole('button', { name: /^Welding qualification/ }).click()
  await desk.getByLabel('By which gate').selectOption('shortlist')
  await expect(desk.getByText('Saved, not published.')).toBeVisible()
  await desk.getByRole('link', { name: 'Dry run', exact: true }).click()
  await desk.getByRole('button', { name: 'Begin the dry run' }).click()
  await desk.getByRole('link', { name: 'The post' }).click()
  await desk.getByRole('link', { name: 'Dry run', exact: true }).click()
  await expect(desk.getByText(/of \d+ applications come out differently/)).toBeVisible({ timeout: 30_000 })
  await expect(desk.getByRole('link', { name: /Jonas Brüderlin/ })).toBeVisible()
  await expect(desk.getByText(/unmet, before the shortlist instead of before the first day/).first()).toBeVisible()
  await desk.getByLabel('Name or reference').fill('Halloran')
  await expect(desk.getByRole('link', { name: /Jonas Brüderlin/ })).toBeHidden()
  await expect(desk.getByRole('link', { name: /Viktor Halloran/ })).toBeVisible()
  await expectAccessible(desk, 'dry run')

  await desk.getByRole('link', { name: 'Versions' }).click()
  await expect(desk.getByRole('row', { name: /Requirement: Welding qualification/ })).toBeVisible()
  await expectAccessible(desk, 'versions')
  const [download] = await Promise.all([
    desk.waitForEvent('download'),
    desk.getByRole('button', { name: 'Save as JSON' }).click(),
  ])
  const text = readFileSync(await download.path(), 'utf8')
  await takeFile(desk, text.replace('"gate": "shortlist"', '"gate": "lunch"'))
  await expect(desk.getByText('The file was not taken; nothing was changed.')).toBeVisible()
  await expect(desk.getByText(/\/rules\/requirements\/\d+\/gate/)).toBeVisible()
  await takeFile(desk, text.replace('"title": "Welding qualification"', '"title": "Welding papers"'))
  await expect(desk.getByText('The rules of rules.json are in the draft.', { exact: false }).first()).toBeVisible()
  await expect(desk.getByRole('row', { name: /Requirement: Welding papers/ })).toBeVisible()
})

test('the library and the groups can be worked, and are accessible', async ({ browser }) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await desk.goto('/desk/vacancies/sections')
  await desk.getByRole('button', { name: 'Put version 2 into their drafts' }).click()
  await expect(desk.getByText(/“Contact” is in \d+ drafts now/).first()).toBeVisible()
  await expectAccessible(desk, 'library')
  await desk.goto('/desk/vacancies/groups')
  await desk.getByRole('button', { name: 'Make a group' }).click()
  await expectAccessible(desk, 'groups')
})

const takeFile = (desk: Page, text: string) =>
  desk
    .locator('input[type="file"]')
    .setInputFiles({ name: 'rules.json', mimeType: 'application/json', buffer: Buffer.from(text) })
