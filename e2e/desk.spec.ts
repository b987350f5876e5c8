import { expect, test } from '@playwright/test'
import { PDFDocument } from 'pdf-lib'
import { drawPdf } from '#scenario/papers'
import { expectAccessible } from './accessible'
import { deskVisitor } from './newPost'
import { linkIn, mailTo, signIn, signInByPage, windowOf } from './people'
import { port } from './playwright.config'

const coordinator = 'ines@vallorne.example'

test('the table: filters in the address, a saved view, ticks by key, a message seen before it goes', async ({
  page,
}) => {
  await signInByPage(page, coordinator)
  await page.goto('/desk/applications/table')
  await expect(page.getByRole('status').first()).toHaveText(/^\d+ people$/)
  // The box follows the address, a moment after the click.
  await page.getByLabel('Likely late').click()
  await expect(page).toHaveURL(/late=yes/)
  await page.getByRole('button', { name: /Save this view|Saved views|^View:/ }).click()
  await page.getByLabel('Keep what is shown as').fill('Late ones')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('button', { name: 'View: Late ones' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('heading', { name: 'Applications' }).click()
  await page.keyboard.press('Space')
  await expect(page.getByText('1 ticked')).toBeVisible()
  await page.keyboard.press('b')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Begin with').selectOption({ label: 'We are still looking' })
  await dialog.getByRole('button', { name: 'See what each will get' }).click()
  await expect(dialog.getByRole('article')).toContainText('is here and complete')
  await dialog.getByRole('button', { name: 'Send to 1' }).click()
  await expect(page.getByText('1 mail is on the way.').first()).toBeVisible()
})

test('two files of one person are merged, and the merge is undone with one key', async ({ page }) => {
  await signIn(page, coordinator)
  await page.goto('/desk/duplicates')
  const pair = page.getByRole('link', { name: /Pavel Novotný.*Pavel Jan Novotny|Pavel Jan Novotny.*Pavel Novotný/ })
  await pair.click()
  await expect(page.getByRole('heading', { name: 'Almost certainly one person' })).toBeVisible()
  await expect(page.getByText('the same except for “jan”')).toBeVisible()
  await page.keyboard.press('m')
  await page.getByRole('dialog').getByRole('button', { name: 'Merge', exact: true }).click()
  await expect(page.getByText(/^Merged\. Everything of/).first()).toBeVisible()
  await expect(pair).toHaveCount(0)
  await page.keyboard.press('z')
  await expect(page.getByText('Undone.').first()).toBeVisible()
  await expect(pair).toBeVisible()
})

test('scoring by digits, a correction in two keys, and what is hidden shown for a reason', { tag: '@long' }, async ({
  page,
}) => {
  await signIn(page, coordinator)
  await page.goto('/desk/applications/table?text=castagna')
  await page.getByRole('link', { name: 'Emil Castagna' }).click()
  await expect(page.getByText('Eligible, going by what they state.')).toBeVisible()
  await page.keyboard.press('s')
  await expect(page.getByRole('heading', { name: 'Score sheet' })).toBeVisible()
  for (const digit of ['4', '3', '5']) await page.keyboard.press(digit)
  await expect(page.getByRole('radio', { name: '5' }).last()).toBeChecked()
  await expect(page.getByRole('button', { name: 'Hand in' })).toBeEnabled()

  await page.locator('[data-claim]', { hasText: 'Apprenticeship certificate' }).click()
  await page.keyboard.press('a')
  await expect(page.getByRole('dialog')).toContainText('The copy is too blurred to read.')
  await page.keyboard.press('1')
  await expect(page.getByText(/^Asked Emil Castagna about/).first()).toBeVisible()

  // He works in German, on whatever device he signs in.
  await signIn(page, 'bastian@vallorne.example')
  await expect(page.getByRole('heading', { name: 'Heute' })).toBeVisible()
  await page.goto('/desk/hiring')
  await expect(page.getByText(/^Verdeckt: /)).toBeVisible()
  await page.keyboard.press('h')
  await page.getByRole('dialog').getByText('Erklärungen').click()
  await page.getByLabel('Wozu brauchen Sie es?').fill('Vor dem Angebot')
  await page.getByRole('button', { name: 'Anzeigen', exact: true }).click()
  await expect(page.getByText('Ihnen für eine Viertelstunde angezeigt.').first()).toBeVisible()
})

test('paper fed on its head under a weak lamp finds its file; what has no sheet waits with a guess', async ({
  page,
}) => {
  const desk = await deskVisitor()
  const { rows } = await desk.done('readTable', { query: { text: 'adeyemi' } })
  const file = await desk.done('readFile', { params: { id: rows[0]!.id } })
  const claim = file.claims.find(({ details }) => details.kind === 'study')!
  const { sheets } = await desk.done('printCoverSheets', {
    params: { id: file.id },
    body: { papers: [{ claimId: claim.id, part: 'transcript' }] },
  })
  const sheet = await desk.request(`/api/desk/applications/${file.id}/cover-sheets?numbers=${sheets[0]!.number}`)
  const paper = await drawPdf({
    issuer: 'A university',
    place: 'Tannberg, AT',
    heading: 'Transcript',
    lines: ['of', file.candidate.name, 'Marks of all terms'],
    signedBy: 'For the office',
    on: '2020',
  })
  const feeder = await PDFDocument.create()
  for (const part of [new Uint8Array(await sheet.arrayBuffer()), paper]) {
    const from = await PDFDocument.load(part)
    for (const one of await feeder.copyPages(from, from.getPageIndices())) feeder.addPage(one)
  }
  const scanned = await fetch(`http://127.0.0.1:${port + 3}/scanner/scan?turned=180&faint=yes&name=post`, {
    method: 'POST',
    body: (await feeder.save()) as Uint8Array<ArrayBuffer>,
  })
  expect(scanned.ok).toBe(true)
  await signIn(page, coordinator)
  await page.goto('/desk/paper')
  await page
    .getByLabel('Scans to put into the tray')
    .setInputFiles({ name: 'loose.pdf', mimeType: 'application/pdf', buffer: paper })
  await expect(page.getByText(/by its cover sheet/)).toBeVisible({ timeout: 60_000 })
  await page.getByRole('link', { name: /loose\.pdf/ }).click({ timeout: 60_000 })
  await expect(page.getByText('It came without a cover sheet.').first()).toBeVisible()
  await expect(page.getByText(/the name is on it/).first()).toBeVisible()
  await page.keyboard.press('1')
  await expect(page.getByText(/^Filed to .*Adeyemi/).first()).toBeVisible()
})

test('of a list the wrong row comes back to be put right; what is imported is taken back whole', async ({ page }) => {
  await signIn(page, coordinator)
  await page.goto('/desk/imports')
  const mail = `import-${Date.now()}@mail.example`
  const file = (text: string) => ({ name: 'people.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  const choose = (text: string) => page.getByLabel('File to import').setInputFiles(file(text))
  await choose(`Given name,Surname,E-mail\nIda,Listed,${mail}\nUdo,Listed,udo at mail`)
  await expect(page.getByText('“udo at mail” is not a mail address.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Import one row' })).toBeEnabled()
  await expect(page.getByRole('link', { name: 'The row that is wrong, to put right' }).first()).toBeVisible()
  await page.getByRole('link', { name: 'All imports' }).click()
  await choose(`Given name,Surname,E-mail\nIda,Listed,${mail}`)
  await expect(page.getByText('Nothing is wrong.')).toBeVisible()
  await page.getByRole('button', { name: 'Import one row' }).click()
  await expect(page.getByRole('link', { name: 'Ida Listed' })).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.keyboard.type('ida listed')
  await page.getByRole('option', { name: /Imported, has not applied/ }).click()
  await expect(page.getByText('Has not applied.')).toBeVisible()
  await expectAccessible(page, 'an imported person')
  await page.getByRole('link', { name: 'Begin an application for them' }).click()
  await expect(page.getByLabel('Mail address')).toHaveValue(mail)
  await page.goBack()
  await page.getByRole('link', { name: 'people.csv' }).click()
  await page.getByRole('button', { name: 'Take it back whole' }).click()
  await expect(page.getByText('One row, taken back.')).toBeVisible()
})

test('the record is verified, and the finder knows sounds and commands', async ({ page }) => {
  await signIn(page, coordinator)
  await page.goto('/desk/trail')
  await page.getByRole('button', { name: 'Verify the whole record' }).click()
  await expect(page.getByText('Nothing was changed since it was recorded.')).toBeVisible()
  const [kept] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Keep today’s fingerprint' }).click(),
  ])
  await page.getByLabel('A fingerprint kept before').setInputFiles(await kept.path())
  await expect(page.getByText(/Nothing was changed or written anew since/)).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.keyboard.type('piotrovski')
  await expect(page.getByRole('option', { name: /Pietrowski/ })).toBeVisible()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('paper tray')
  await page.getByRole('option', { name: 'Paper tray' }).click()
  await expect(page).toHaveURL(/desk\/paper/)
})

test('what somebody said by phone is written down, taken over by link, and read through by themselves', {
  tag: '@long',
}, async ({ browser }) => {
  const page = await windowOf(browser)
  await signIn(page, 'ines@vallorne.example')
  await page.goto('/desk/behalf')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await expect(page.getByText('This is not a mail address.')).toBeVisible()
  await page.getByLabel('Given names').fill('Jonna')
  await page.getByLabel('Family name').fill('Reiter')
  await page.getByLabel('Mail address').fill('jonna.reiter@mail.example')
  await page.getByLabel('Vacancy').selectOption('cableway-mechanic')
  await page.getByLabel('It came').selectOption('by phone')
  await expectAccessible(page, 'on behalf')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.getByLabel('Date of birth').fill('1991-02-03')
  await expect(page.getByText('Everything is saved.').first()).toBeVisible()
  await page
    .getByRole('link', { name: /^Permission to check/ })
    .first()
    .click()
  await expect(page.getByText('This part is left to Jonna Reiter')).toBeVisible()
  await expectAccessible(page, 'writing for somebody')
  await page.getByRole('button', { name: 'Ask to take it over' }).click()
  await expect(page.getByText('A link is on its way').first()).toBeVisible()

  const hers = await windowOf(browser)
  await hers.goto(linkIn((await mailTo(hers, 'jonna.reiter@mail.example', 'Please read through')).text))
  await expectAccessible(hers, 'taking over')
  await hers.getByLabel('Choose a password').fill(`six slow herons ${Date.now()}`)
  await hers.getByRole('button', { name: 'Take it over and read it through' }).click()
  await expect(hers.getByText('We wrote this down for you')).toBeVisible()
  await expect(hers.getByLabel('Date of birth')).toHaveValue('3 Feb 1991')

  await page.goto('/desk/behalf')
  await expect(page.getByRole('row', { name: /Jonna Reiter/ })).toContainText('Taken over on')
})

test('somebody is turned down with a mail and a reason, and taken up again', async ({ page }) => {
  await signIn(page, coordinator)
  await page.goto('/desk/applications/table?text=okonedo')
  await expect(page.getByRole('status').first()).toHaveText('one person')
  await page.getByRole('heading', { name: 'Applications' }).click()
  await page.keyboard.press('Space')
  await page.keyboard.press('t')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Why? This stays on record; they do not read it.').fill('The post is given to somebody else.')
  await dialog.getByLabel('Begin with').selectOption({ index: 1 })
  await dialog.getByRole('button', { name: 'See what each will get' }).click()
  await dialog.getByRole('button', { name: 'Turn down and write to 1' }).click()
  await expect(page.getByText('1 turned down and written to.').first()).toBeVisible()
  await page.getByRole('link', { name: 'Samir Okonedo' }).click()
  await expect(page.getByRole('button', { name: /Take up again/ })).toBeVisible()
  await page.keyboard.press('a')
  await page.getByRole('dialog').getByLabel('Why? This stays on record.').fill('The other has declined.')
  await page.getByRole('dialog').getByRole('button', { name: 'Take them up again' }).click()
  await expect(page.getByText('Samir Okonedo is taken up again.').first()).toBeVisible()
  await expect(page.getByRole('button', { name: /Move on/ })).toBeVisible()
})

test('a section is opened again with a reason, corrected, and the difference is seen', { tag: '@long' }, async ({
  page,
  browser,
}) => {
  await signIn(page, coordinator)
  await page.goto('/desk/applications/table?text=dreau')
  await page.getByRole('link', { name: /Maëlle Dréau/ }).click()
  await page.getByText(/^Changed since it was sent/).click()
  await page.getByRole('button', { name: 'Ask them to change something' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Section').selectOption({ label: 'Study' })
  await dialog.getByLabel('Why? They read this.').fill('The diploma shows another number.')
  await dialog.getByRole('button', { name: 'Ask them', exact: true }).click()
  await expect(page.getByText(/^Asked Maëlle/).first()).toBeVisible()

  const hers = await windowOf(browser)
  await signIn(hers, 'maelle.dreau-okafor@mail.example')
  await hers.goto(linkIn((await mailTo(hers, 'maelle.dreau-okafor@mail.example', 'Please change')).text))
  await hers.getByRole('link', { name: 'Change it' }).click()
  await hers.getByRole('heading', { level: 1 }).waitFor()
  await hers
    .getByRole('button', { name: /^Change / })
    .first()
    .click()
  await hers.getByLabel(/^Number/).fill('TB-2018-0001')
  await hers.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(hers.getByText('The diploma shows another number.')).toBeVisible()
  await hers.getByRole('button', { name: 'This is done' }).click()
  await hers.getByRole('heading', { name: 'What to do next' }).waitFor()

  await page.reload()
  await expect(page.getByRole('insertion').filter({ hasText: 'TB-2018-0001' })).toBeVisible()
})
