import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { settled, signIn, windowOf } from './people'

const mark = process.env.E2E_RUNNING ? String(Date.now()).slice(-5) : 'once'

const open = async (desk: Page, name: string, state = '') => {
  await desk.goto(`/desk/sources?text=${encodeURIComponent(name)}${state ? `&state=${state}` : ''}`)
  await desk.getByRole('link', { name, exact: true }).click()
  await expect(desk.getByRole('heading', { level: 1, name })).toBeVisible()
}

test('a source that a candidate proposed is refused to who wrote it down, and checked by a second person', async ({
  browser,
}) => {
  const ines = await windowOf(browser)
  await signIn(ines, 'ines@vallorne.example')
  await ines.goto('/desk/sources?state=proposed')
  await ines.getByRole('link', { name: 'Seilwerkstatt Bruckner' }).click()
  await expect(ines.getByText('You have entered it: somebody else checks it.')).toBeVisible()
  await expect(ines.getByText('chef@seilwerkstatt.example')).toBeVisible()
  await expectAccessible(ines, 'a proposed source')

  const anselm = await windowOf(browser)
  await signIn(anselm, 'anselm@vallorne.example')
  await open(anselm, 'Seilwerkstatt Bruckner')
  await anselm.getByLabel(/^How you made sure of buero@/).selectOption({ label: 'through its switchboard' })
  await anselm.getByRole('button', { name: 'It is what it says' }).click()
  await expect(anselm.getByRole('heading', { name: 'Checked', exact: true })).toBeVisible()
  await expect(anselm.getByText(/checked by Anselm Okoye on .*through its switchboard/)).toBeVisible()
  // The claim that proposed it names it now.
  await anselm.getByRole('link', { name: 'Greta Aschenbach' }).click()
  await settled(anselm)
  await expect(anselm.getByText('Seilwerkstatt Bruckner').first()).toBeVisible()
})

test('an address that only looks like a known one is told, and a seller of degrees cannot be checked', {
  tag: '@long',
}, async ({ browser }) => {
  const anselm = await windowOf(browser)
  await signIn(anselm, 'anselm@vallorne.example')
  await open(anselm, 'Valsanta Bergbahn', 'proposed')
  await expect(
    anselm
      .getByText('valsantabahnem.example looks like valsantabahnen.example of Valsanta Bergbahnen, and is not.')
      .first(),
  ).toBeVisible()
  await anselm.getByLabel(/^How you made sure of hr@/).selectOption({ label: 'on its own website' })
  await anselm.getByRole('button', { name: 'It is what it says' }).click()
  await expect(anselm.getByText('At least 3 characters are needed.')).toBeVisible()
  await expectAccessible(anselm, 'a source with a red flag')

  await open(anselm, 'Norwick Royal Institute of Technolgy', 'proposed')
  await expect(anselm.getByText(/one letter away from one on the list of sellers/)).toBeVisible()
  await expect(anselm.getByRole('button', { name: 'It is what it says' })).toHaveCount(0)
  await anselm.getByRole('link', { name: 'Viktor Halloran' }).click()
  await settled(anselm)
  await anselm.getByRole('button', { name: /MBA Management/ }).click()
  await expect(anselm.getByText(/one letter away from one on the list of sellers/)).toBeVisible()
})

test('a proposal that is in the directory already is merged into it, and taken apart again', { tag: '@long' }, async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await desk.goto('/desk/sources?state=double')
  await desk.getByRole('link', { name: 'Gratbahn Oberwalt' }).click()
  await expect(desk.getByText('Gratbahn Oberwalt here, Gratbahn Oberwald there.')).toBeVisible()
  await desk.getByRole('button', { name: 'Merge …' }).click()
  const dialog = desk.getByRole('dialog')
  await expectAccessible(desk, 'merging two sources')
  await dialog.getByRole('button', { name: 'Merge Gratbahn Oberwalt into Gratbahn Oberwald' }).click()
  await expect(desk.getByRole('heading', { level: 1, name: 'Gratbahn Oberwald' })).toBeVisible()
  await expect(desk.getByText(/1 claim followed/)).toBeVisible()
  await desk.goto(`/desk/sources?text=${encodeURIComponent('gratbahn oberwalt')}`)
  await expect(desk.getByText('also goes by Gratbahn Oberwalt')).toBeVisible()
  await open(desk, 'Gratbahn Oberwald')
  await desk.getByRole('button', { name: 'Take apart again' }).click()
  await expect(desk.getByText(/1 claim followed/)).toHaveCount(0)
  await open(desk, 'Gratbahn Oberwalt', 'proposed')
  await expect(desk.getByText('Clara Montserrat')).toBeVisible()
})

test('a candidate finds a source in any spelling, and says what is known of one that is not there', async ({
  browser,
}) => {
  const candidate = await windowOf(browser, { width: 390, height: 844 })
  await signIn(candidate, 'felix.rautner@mail.example')
  await candidate.goto('/vacancies/rescue-lead')
  await candidate
    .getByRole('button', { name: 'Apply' })
    .or(candidate.getByRole('link', { name: /^Go on/ }))
    .first()
    .click()
  await candidate.waitForURL('**/apply/**')
  const work = new URL(candidate.url()).pathname.replace(/(\/apply\/[^/]+).*/, '$1/work')
  await candidate.goto(work)
  await candidate.getByRole('button', { name: 'Add another entry' }).first().click()
  const employer = candidate.getByLabel('Employer')
  await employer.fill('nordrmape')
  await expect(candidate.getByRole('option', { name: /Nordrampe Seilbahnen/ })).toBeVisible()
  await employer.fill(`Firnwerk ${mark}`)
  await candidate.getByRole('option', { name: /is not in the list/ }).click()
  await candidate.getByText(/^Not in our directory yet/).click()
  await candidate.getByLabel(/^Its website/).fill('firnwerk.example')
  await expectAccessible(candidate, 'a source that is not in the list')
})
