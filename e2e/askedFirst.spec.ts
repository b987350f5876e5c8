import { expect, type Page, test } from '@playwright/test'
import { PDFDocument } from 'pdf-lib'
import { drawPdf } from '#scenario/papers'
import { textOf } from '../test/pdfText'
import { expectAccessible } from './accessible'
import { newPerson } from './newPost'
import { findRight, mailbox, settled, signIn, windowOf } from './people'

/** What a source asks for before anybody asks it, and what is known already so that nobody has to. */

const tail = String(Date.now()).slice(-5)

const receipt = () =>
  drawPdf({
    ...{ issuer: 'A bank', place: 'Lumira, IT', heading: 'Receipt', signedBy: 'Counter 4', on: '2026' },
    lines: ['Politecnico di Lumira', `16 euros, ${tail}`],
  })

async function beginStudy(page: Page, institution: string, found: RegExp) {
  await page.goto('/vacancies/track-engineer')
  await page.getByRole('button', { name: 'Apply' }).click()
  await page.waitForURL(/\/apply\/[^/]+\/[^/]+/)
  const application = page.url().replace(/\/[^/]+$/, '')
  await page.goto(`${application}/study`)
  await page.getByLabel('Who awarded it?').fill(institution)
  await page.getByRole('option', { name: found }).click()
  return application
}

test('a release form is filled in, signed by hand and posted; the desk looks at it, and only then asks', async ({
  browser,
}) => {
  const candidate = await windowOf(browser)
  await newPerson(candidate, 'Perla Postina')
  await beginStudy(candidate, 'lumira', /Politecnico di Lumira/)
  await expect(
    candidate.getByText(/Before it answers, it asks for: its own release form, signed by hand/),
  ).toBeVisible()
  await candidate.getByLabel('Programme', { exact: true }).selectOption('MSc, Civil Engineering')
  await candidate.getByLabel('Begun').fill('Oct 2017')
  await candidate.getByLabel('Awarded', { exact: true }).fill('Dec 2019')
  await candidate.getByLabel('Number of the certificate').fill(`PL/2019/${tail.slice(0, 4)}`)
  await candidate.getByRole('button', { name: 'Add to my studies' }).click()
  const asked = candidate.getByRole('region', { name: 'Politecnico di Lumira asks for this before it answers' })
  await expect(asked.getByText('still to be given')).toHaveCount(2)
  await expectAccessible(candidate, 'what a source asks for')
  await asked.getByRole('button', { name: 'Or send it by post' }).click()
  const print = asked.getByRole('link', { name: /^Print it with its cover sheet CS-/ })
  const printed = new Uint8Array(await (await candidate.request.get((await print.getAttribute('href'))!)).body())
  expect(await textOf(printed.slice().buffer)).toContain(`PL/2019/${tail.slice(0, 4)}`)
  await asked.getByRole('button', { name: 'I have posted it' }).click()
  await expect(asked.getByText('in the post')).toBeVisible()
  const sheet = await PDFDocument.load(printed)
  const scanned = await fetch(`${mailbox}/scanner/scan?name=post`, {
    method: 'POST',
    body: (await sheet.save()) as Uint8Array<ArrayBuffer>,
  })
  expect(scanned.ok).toBe(true)
  await expect(async () => {
    await candidate.reload()
    await expect(asked.getByText('here, we look at the signature')).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 60_000 })
})

test('a signature is looked at; what is still missing is waited for, and the question then leaves by itself', async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/applications/table?text=nwosu')
  await ines
    .getByRole('link', { name: /Adaeze Nwosu/ })
    .first()
    .click()
  await settled(ines)
  await ines
    .getByRole('button', { name: /MSc Civil Engineering/ })
    .first()
    .click()
  await ines.getByRole('button', { name: /^Look at MSc Nwosu.pdf/ }).click()
  const dialog = ines.getByRole('dialog')
  await findRight(ines)
  await ines.getByRole('button', { name: /^Look at Autorizzazione, signed.pdf/ }).click()
  await expect(dialog.getByText(/Is it signed by hand, by this person, and filled in whole/)).toBeVisible()
  await expectAccessible(ines, 'looking at a signature')
  await dialog.getByRole('button', { name: 'Signed by hand, and whole' }).click()
  await ines.getByRole('button', { name: /^Ask the source/ }).click()
  await expect(dialog.getByText(/asks for proof that its fee is paid before it answers/)).toBeVisible()
  await expectAccessible(ines, 'an enquiry that waits')
  await dialog.getByRole('button', { name: 'Prepare the enquiry' }).click()
  await expect(ines.getByText(/is asked by itself once nothing is missing/).first()).toBeVisible()

  const adaeze = await windowOf(browser, { width: 390, height: 844 })
  await signIn(adaeze, 'adaeze.nwosu@mail.example')
  await adaeze
    .getByRole('link', { name: /Track engineer/ })
    .first()
    .click()
  await expect(adaeze.getByRole('heading', { name: 'Politecnico di Lumira: its fee' })).toBeVisible()
  await adaeze
    .getByLabel(/^Add the receipt of the payment/)
    .setInputFiles({ name: 'receipt.pdf', mimeType: 'application/pdf', buffer: await receipt() })
  await expect(adaeze.getByRole('heading', { name: 'Politecnico di Lumira: its fee' })).toHaveCount(0)

  await expect(async () => {
    await ines.reload()
    await ines
      .getByRole('button', { name: /MSc Civil Engineering/ })
      .first()
      .click()
    await expect(ines.getByText(/^Politecnico di Lumira was asked/)).toBeVisible({ timeout: 3000 })
  }).toPass({ timeout: 30_000 })
})

test('a known programme with a record of the award is confirmed at once; a year outside is asked', {
  tag: '@long',
}, async ({ browser }) => {
  const greta = await windowOf(browser)
  await signIn(greta, 'greta.aschenbach@mail.example')
  await greta
    .getByRole('link', { name: /Cableway electrical supervisor/ })
    .first()
    .click()
  const known = greta.getByRole('region', { name: 'What we know of your studies' })
  await expect(
    known.getByText(/BSc, Energy Engineering at Technische Hochschule Tannberg is known to us/),
  ).toBeVisible()
  await expect(known.getByRole('button', { name: 'Yes, both are so' })).toBeDisabled()
  await known.getByLabel(/^The paper of my award says the same/).check()
  await known.getByLabel('I have finished this programme.').check()
  await expectAccessible(greta, 'what is known of a study')
  await known.getByRole('button', { name: 'Yes, both are so' }).click()
  await expect(greta.getByText(/BSc Energy Engineering: confirmed since .* and not asked again/).first()).toBeVisible()

  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/applications/table?text=aschenbach')
  await ines
    .getByRole('link', { name: /Greta Aschenbach/ })
    .first()
    .click()
  await settled(ines)
  await ines
    .getByRole('button', { name: /BSc Energy Engineering/ })
    .first()
    .click()
  await expect(ines.getByText(/confirmed at once by rule: BSc, Energy Engineering, assessed/)).toBeVisible()

  const yuri = await windowOf(browser)
  await newPerson(yuri, 'Yuri Yearout')
  await beginStudy(yuri, 'tannberg', /Technische Hochschule Tannberg/)
  await yuri.getByLabel('Programme', { exact: true }).selectOption('MSc, Civil Engineering')
  await yuri.getByLabel('Begun').fill('Oct 2014')
  await yuri.getByLabel('Awarded', { exact: true }).fill('Sep 2017')
  await yuri.getByLabel('Number of the certificate').fill(`TB-2017-${tail.slice(0, 4)}`)
  await yuri.getByRole('button', { name: 'Add to my studies' }).click()
  await expect(
    yuri.getByText(/accredited by Alpine Accreditation Council for 2019 – now. Your year lies outside/),
  ).toBeVisible()
  await expect(yuri.getByRole('button', { name: 'Yes, both are so' })).toHaveCount(0)
})

test('a new programme is read by a second person, and known to whoever comes next', { tag: '@long' }, async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/sources')
  await ines.getByRole('link', { name: /^New programmes/ }).click()
  await expectAccessible(ines, 'new programmes')
  await ines.getByRole('button', { name: /^For a second reader/ }).click()
  await ines.getByRole('link', { name: 'Mechanical Inspection' }).click()
  await expect(ines.getByText('You have concluded it: somebody else reads it.')).toBeVisible()

  const anselm = await windowOf(browser)
  await signIn(anselm, 'anselm@vallorne.example')
  await anselm.goto(new URL(ines.url()).pathname)
  await expect(anselm.getByText('Rang the school office, Ms Halvorsen')).toBeVisible()
  await anselm.getByRole('button', { name: 'I agree' }).click()
  await expect(anselm.getByText(/Read by Anselm Okoye on/)).toBeVisible()

  const next = await windowOf(browser, { width: 390, height: 844 })
  await newPerson(next, 'Nils Nesteby')
  await beginStudy(next, 'fjellvik', /Fjellvik tekniske fagskole/)
  await next.getByLabel('Programme', { exact: true }).selectOption('Higher technical diploma, Mechanical Inspection')
  await next.getByLabel('Begun').fill('Aug 2016')
  await next.getByLabel('Awarded', { exact: true }).fill('Jun 2018')
  await next.getByLabel('Number of the certificate').fill(`FTF-2018-${tail}`)
  await next.getByRole('button', { name: 'Add to my studies' }).click()
  await expect(
    next.getByText(/Mechanical Inspection at Fjellvik tekniske fagskole is known to us: assessed by/),
  ).toBeVisible()
})

test('one who has not finished asks ahead, with a link to the programme in place of papers', { tag: '@long' }, async ({
  browser,
}) => {
  const early = await windowOf(browser)
  await newPerson(early, 'Early Ebba')
  await beginStudy(early, 'tannberg', /Technische Hochschule Tannberg/)
  await early.getByLabel('Award', { exact: true }).fill('MSc')
  await early.getByLabel('Subject').fill(`Glacier Rail Design ${tail}`)
  await early.getByLabel('Level').selectOption('7')
  await early.getByLabel('Field', { exact: true }).selectOption('0732')
  await early.getByLabel('How it stands').selectOption('in progress')
  await early.getByLabel('Begun').fill('Oct 2025')
  await early.getByLabel('Expected to be finished').fill('Jun 2027')
  await early.getByLabel('Link to the programme').fill('https://tannberg.example/glacier-rail')
  await early.getByRole('button', { name: 'Add to my studies' }).click()
  await early.getByRole('button', { name: 'Ask about it now, before I finish' }).click()
  await expect(early.getByText('We do not know this programme yet, and look into it.')).toBeVisible()
  await expectAccessible(early, 'a programme asked about')

  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/sources/programmes')
  await ines.getByRole('link', { name: `Glacier Rail Design ${tail}` }).click()
  await expect(ines.getByText('https://tannberg.example/glacier-rail')).toBeVisible()
  await ines.getByRole('button', { name: 'Take it' }).click()
  await expect(ines.getByText('Ines Caldwell looks into it.')).toBeVisible()
})

test('a candidate does not want one source asked: the consequence is said, and the desk cannot ask it', {
  tag: '@long',
}, async ({ browser }) => {
  const noor = await windowOf(browser)
  await signIn(noor, 'noor.adeyemi@mail.example')
  await noor
    .getByRole('link', { name: /Cableway electrical supervisor/ })
    .first()
    .click()
  const whom = noor.getByRole('region', { name: 'Whom we would ask' })
  await whom.getByLabel('May Université d’Arlac be asked?').selectOption('not this one')
  await expect(whom.getByText(/^It cannot be confirmed then/)).toBeVisible()
  await whom.getByLabel('Why not this one').fill('They have lost my file once before')
  await expectAccessible(noor, 'whom we would ask')
  await whom.getByRole('button', { name: 'Keep this' }).click()
  await settled(noor)

  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/applications/table?text=adeyemi')
  await ines
    .getByRole('link', { name: /Noor Adeyemi/ })
    .first()
    .click()
  await settled(ines)
  await ines
    .getByRole('button', { name: /BSc Electrical Engineering/ })
    .first()
    .click()
  await ines.getByRole('button', { name: /^Ask the source/ }).click()
  await expect(ines.getByRole('dialog').getByText(/does not want this source to be asked/)).toBeVisible()
})
