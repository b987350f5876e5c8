import { expect, test } from '@playwright/test'
import { createTransport } from 'nodemailer'
import { expectAccessible } from './accessible'
import { fileOf, linkIn, mailbox, mailTo, openClaim, signIn, windowOf } from './people'
import { port } from './playwright.config'

/** The other ways a source answers: a register that is down, a digital credential, a mail of its own; and a page without script. */

const coordinator = 'ines@vallorne.example'

test('a register that is down is asked again by itself, and what it says of a licence then is told', {
  tag: '@long',
}, async ({ browser }) => {
  const ines = await windowOf(browser)
  await signIn(ines, coordinator)
  const behave = (failing: number) => ines.request.put(`${mailbox}/registers/behaviour/grid`, { data: { failing } })
  await behave(1)
  await fileOf(ines, 'aschenbach', /Greta Aschenbach/)
  await openClaim(ines, /switching/i)
  await ines.getByRole('button', { name: /^Look up in the register/ }).click()
  await expect(ines.getByText('The register does not answer now; it is asked again by itself.').first()).toBeVisible()
  // Up again, but down every second time: it is asked until it answers.
  await behave(0.5)
  await expect(async () => {
    await ines.reload()
    await openClaim(ines, /switching/i)
    await expect(ines.getByText(/revoked/i).first()).toBeVisible({ timeout: 3000 })
  }).toPass({ timeout: 120_000 })
  await expectAccessible(ines, 'a revoked licence')
  await behave(0)
})

test('a digital credential confirms at once; five that must not say why', async ({ browser }) => {
  const henrik = await windowOf(browser, { width: 390, height: 844 })
  await signIn(henrik, 'henrik.solberg-nystrom@mail.example')
  await henrik
    .getByRole('link', { name: /Rope-access inspector/ })
    .first()
    .click()
  const place = henrik.getByRole('region', { name: 'Digital credential' })
  await expect(place).toBeVisible()
  const bring = async (fault: string) => {
    const asked = new URLSearchParams({
      ...{ name: 'Henrik Solberg-Nyström', award: 'Higher technical diploma', subject: 'Steel Construction' },
      ...{ number: 'FTF-2010-71', fault },
    })
    const given = await henrik.request.get(`${mailbox}/issuers/fjellvik/credential?${asked}`)
    const file = { name: 'credential.jwt', mimeType: 'application/vc+jwt', buffer: await given.body() }
    await place.getByLabel('Digital credential', { exact: true }).setInputFiles(file)
  }
  for (const [fault, told] of [
    ['signature', /signature/i],
    ['issuer', /Somebody else issued it: https:\/\/somebody-else\.example/],
    ['ended', /It is not valid any more/],
    ['revoked', /Its issuer has revoked it/],
    ['other person', /It speaks of somebody else: Somebody Else Entirely/],
  ] as const) {
    await bring(fault)
    await expect(place.getByRole('alert')).toHaveText(told)
  }
  await expectAccessible(henrik, 'a credential that was refused')
  await bring('none')
  await expect(henrik.getByText('Confirmed by your digital credential.')).toBeVisible()

  const ines = await windowOf(browser)
  await signIn(ines, coordinator)
  await fileOf(ines, 'solberg', /Henrik Solberg-Nyström/)
  await openClaim(ines, /Higher technical diploma/)
  await expect(ines.getByText(/Fjellvik tekniske fagskole/).first()).toBeVisible()
  await expect(ines.getByText(/^confirmed at once by a digital credential of/)).toBeVisible()
})

test('a mail of a source finds its enquiry by code, sender and person; of another sender it waits for somebody', async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, coordinator)
  await fileOf(ines, 'adeyemi', /Noor Adeyemi/)
  await openClaim(ines, /Lumira Impianti/)
  await ines.getByRole('button', { name: /^Ask the source/ }).click()
  const dialog = ines.getByRole('dialog')
  const way = dialog.getByLabel('Way')
  await way.selectOption(await way.getByRole('option', { name: /^sent by the source itself/ }).getAttribute('value'))
  await dialog.getByRole('button', { name: 'Send the enquiry' }).click()
  const asked = await mailTo(ines, 'personale@impianti.example', /Noor Adeyemi/)
  const [code] = /EQ-[0-9A-Z]{4}-[0-9A-Z]{2}/.exec(asked.text)!
  const transport = createTransport({ host: '127.0.0.1', port: port + 4, ignoreTLS: true })
  const mail = { to: 'applications@vallorne.example', subject: `Conferma ${code}` }
  await transport.sendMail({ ...mail, from: 'noor@elsewhere.example', text: 'Noor Adeyemi worked for us, I am sure.' })
  await transport.sendMail({ ...mail, from: 'personale@impianti.example', text: 'Noor Adeyemi: confermiamo.' })
  transport.close()

  await ines.goto('/desk/verification/table?channel=direct issue')
  await expect(async () => {
    await ines.reload()
    await expect(ines.getByText('A paper came: read it')).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 30_000 })
  await ines.getByRole('link', { name: 'Noor Adeyemi' }).click()
  await expect(ines.getByText('Noor Adeyemi: confermiamo.')).toBeVisible()
  await ines.goto('/desk/mail-in')
  await expect(ines.getByText('noor@elsewhere.example').first()).toBeVisible()
})

test('a source answers on a page without script, with a paper, and gets its receipt', async ({ browser }) => {
  const ines = await windowOf(browser)
  await signIn(ines, coordinator)
  await fileOf(ines, 'solberg', /Henrik Solberg-Nyström/)
  await openClaim(ines, /Brattlia/)
  await ines.getByRole('button', { name: /^Ask the source/ }).click()
  await ines.getByRole('dialog').getByRole('button', { name: 'Send the enquiry' }).click()
  const link = linkIn((await mailTo(ines, 'hr@brattlia.example', /Solberg/)).text)
  const context = await browser.newContext({
    ...{ javaScriptEnabled: false, locale: 'it-IT', viewport: { width: 390, height: 844 } },
    baseURL: `http://127.0.0.1:${port}`,
  })
  const old = await context.newPage()
  await old.goto(link)
  await old.waitForURL(/\/plain/)
  await expect(old.locator('html')).toHaveAttribute('lang', 'it')
  await old.getByRole('link', { name: 'English' }).click()
  await old.getByRole('button', { name: 'All of it is right' }).click()
  await old.getByRole('button', { name: 'Send the answer' }).click()
  await expect(old.getByText('Nothing was sent. What is missing is marked below.')).toBeVisible()
  await old
    .getByRole('group', { name: /^Position/ })
    .getByLabel('Not so')
    .check()
  await old.getByLabel('Position according to your records').fill('Rigger')
  await old.getByLabel('Your name').fill('Nils Brattli')
  await old.getByLabel('A confirmation on paper').setInputFiles({
    ...{ name: 'letter.png', mimeType: 'image/png' },
    buffer: await old.screenshot(),
  })
  await old.getByRole('button', { name: 'Send the answer' }).click()
  await expect(old.getByText(/RC-/)).toBeVisible()
  const receipt = await old.request.get(
    (await old.getByRole('link', { name: 'Download the receipt as PDF' }).getAttribute('href'))!,
  )
  expect(receipt.headers()['content-type']).toBe('application/pdf')
  await old.goto(`${link}?lang=en`)
  await expect(old.getByRole('heading', { name: 'This has been answered already' })).toBeVisible()
})
