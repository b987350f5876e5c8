import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { fileOf, findRight, linkIn, mailTo, openClaim, pressKey, settled, signIn, windowOf } from './people'

/** Reading what a paper says, and decisions that take more than one person. */

test('a contradiction takes a second person and a third, and the candidate is heard before it is final', async ({
  browser,
}) => {
  const [tomas, anselm, tomasz] = [
    await windowOf(browser),
    await windowOf(browser),
    await windowOf(browser, { width: 390, height: 800 }),
  ]
  await signIn(tomas, 'tomas@vallorne.example')
  await openLicence(tomas)
  await expect(tomas.getByText('Ines Caldwell has proposed a decision; a second person is needed.')).toBeVisible()
  // What she thinks is not shown before he has said what he thinks.
  await expect(tomas.getByText('The register holds this number for another person.')).toHaveCount(0)
  await expectAccessible(tomas, 'a decision that waits for a second person')
  await pressKey(tomas, 'u')
  await tomas.getByRole('dialog').getByRole('textbox').fill('The register may have the wrong person.')
  await tomas.getByRole('dialog').getByRole('button', { name: 'Record', exact: true }).click()
  await expect(tomas.getByText('Two people see it differently; a third decides.')).toBeVisible()
  await expect(tomas.getByText(/^Ines Caldwell, .*The register holds this number/)).toBeVisible()

  await signIn(anselm, 'anselm@vallorne.example')
  await openLicence(anselm)
  await pressKey(anselm, 'x')
  await anselm.getByRole('dialog').getByRole('textbox').fill('Two entries under one number.')
  await anselm
    .getByRole('dialog')
    .getByRole('button', { name: /^Record contradiction/ })
    .click()
  await expect(anselm.getByText('the candidate has been told what differs')).toBeVisible()

  const mail = await mailTo(tomasz, 'tomasz.wierzborski@mail.example', 'Please help us understand')
  expect(mail.text).toContain('Name: you gave Tomasz Wierzborski; whoever issued it has something else there.')
  await signIn(tomasz, 'tomasz.wierzborski@mail.example')
  await tomasz.goto(linkIn(mail.text))
  await settled(tomasz)
  await expect(tomasz.getByRole('heading', { name: 'We would like to hear from you' })).toBeVisible()
  // Whose number it is elsewhere is nobody's business here.
  await expect(tomasz.getByText('Tadeusz Wrona')).toHaveCount(0)
  await tomasz.getByRole('link', { name: 'Answer it below' }).click()
  await expectAccessible(tomasz, 'being heard')
  await tomasz
    .getByLabel('What do you know about it?')
    .fill('I changed my number last year; the old one went to a colleague.')
  await tomasz.getByRole('button', { name: 'Send your answer' }).click()
  await expect(tomasz.getByText('You answered. A person reads it before anything is decided.')).toBeVisible()

  await tomas.reload()
  await settled(tomas)
  await expect(tomas.getByText('I changed my number last year')).toBeVisible()
  await pressKey(tomas, 'n')
  await tomas.getByRole('dialog').getByRole('textbox').fill('The register has mended its entry since.')
  await tomas
    .getByRole('dialog')
    .getByRole('button', { name: /^Confirm/ })
    .click()
  await expect(
    tomas
      .getByText('This is settled. Nothing is to be done.')
      .or(tomas.getByRole('button', { name: /^Decide anew/ }))
      .first(),
  ).toBeVisible()
})

const openLicence = async (page: Page) => {
  await fileOf(page, 'Wierzborski', /Tomasz Wierzborski/)
  await openClaim(page, /Rack-railway driving licence/)
}

test('what a photograph says is read from it with its place; a misread is caught by whoever looks', async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await fileOf(ines, 'Nwosu', /Adaeze Nwosu/)
  await openClaim(ines, /First aid at work/)
  await ines.keyboard.press('l')
  const dialog = ines.getByRole('dialog')
  // Papers are read one after another: this one waits its turn.
  await expect(dialog.getByLabel('Number', { exact: true })).toHaveValue(/^FH-\d{5}$/, { timeout: 60_000 })
  await expect(
    dialog.getByRole('button', { name: /Show Number on the page: by machine, off the picture, p. 1/ }),
  ).toBeVisible()
  await expect(dialog.getByRole('img', { name: 'Number on the page' })).toBeVisible()
  await expectAccessible(ines, 'a paper that was read by machine')
  const read = await dialog.getByLabel('Number', { exact: true }).inputValue()
  await dialog.getByLabel('Number', { exact: true }).fill(`${read.slice(0, -1)}8`)
  await expect(dialog.getByText(`read by a person; the machine had ${read}`)).toBeVisible()
  await expect(dialog.getByText(/the paper says something else/)).toBeVisible()
  // Left half done, it is there again, also on another machine.
  await ines.keyboard.press('Escape')
  await expect(dialog).toHaveCount(0)
  await ines.reload()
  await settled(ines)
  await ines.getByRole('button', { name: /^Look at the document/ }).click()
  await expect(dialog.getByLabel('Number', { exact: true })).toHaveValue(`${read.slice(0, -1)}8`)
  await findRight(ines)
  await expect(ines.getByText(/Document .*(easily misread|is another)/).first()).toBeVisible()
})
