import { mkdirSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import type { Page } from '@playwright/test'
import { drawPdf } from '#scenario/papers'
import { demoPassword } from '#scenario/staff'
import { openBrowser, signIn } from './browser'

/** Pictures of the main views at 1280x800, from a demo that is running and freshly loaded: `npm run screenshots`. */
const { values } = parseArgs({
  options: {
    address: { type: 'string', default: 'http://127.0.0.1:4100' },
    mailbox: { type: 'string', default: 'http://127.0.0.1:4103' },
    out: { type: 'string', default: 'docs/screenshots' },
    only: { type: 'string' },
  },
})
const { address } = values
const out = resolve(values.out)
mkdirSync(out, { recursive: true })

type View = {
  name: string
  as?: string
  width?: number
  height?: number
  go: (page: Page) => Promise<unknown>
}

const find = async (page: Page, queue: string, person: string) => {
  await page.goto(`${address}/desk/${queue}`)
  await page.getByRole('button', { name: person }).first().click()
  await page.getByRole('heading', { name: person }).waitFor()
}
const ines = 'ines@vallorne.example'
const myApplication = async (page: Page) => {
  await page.goto(`${address}/me`)
  await page.locator('main li a').first().click()
  await page.waitForURL(/\/(apply|applications)\/[^/]+/)
  await page.waitForLoadState('networkidle')
}
const vacancyPart = async (page: Page, title: string, part: string) => {
  await page.goto(`${address}/desk/vacancies`)
  await page.getByRole('link', { name: title }).first().click()
  await page.getByRole('link', { name: part, exact: true }).click()
}
const openEnquiry = async (page: Page) => {
  const mails = (await (await page.request.get(`${values.mailbox}/mailbox.json`)).json()) as {
    to: string
    text: string
    subject: string
  }[]
  for (const { text } of mails.filter(({ subject }) => /Please confirm: .*(Diploma|MSc|certificate)/.test(subject))) {
    const token = /\/reply\/([\w-]+)/.exec(text)?.[1]
    const { state } = (await (await page.request.get(`${address}/api/enquiries/${token}`)).json()) as { state: string }
    if (state !== 'open') continue
    await page.goto(`${address}/reply/${token}`)
    await page.locator('h1').waitFor()
    return
  }
}

const views: View[] = [
  { name: 'vacancies', go: (page) => page.goto(address) },
  { name: 'vacancy', go: (page) => page.goto(`${address}/vacancies/cableway-electrical-supervisor`) },
  {
    name: 'apply-work',
    as: 'felix.rautner@mail.example',
    go: async (page) => {
      await myApplication(page)
      await page.goto(page.url().replace(/[^/]+$/, 'work'))
    },
  },
  {
    name: 'check',
    as: 'mateo.lindqvist@mail.example',
    go: async (page) => {
      await myApplication(page)
      const coming = page.waitForEvent('download')
      await page.getByRole('link', { name: 'Digital credential' }).last().click()
      const text = await readFile(await (await coming).path(), 'utf8')
      await page.goto(`${address}/check`)
      await page.getByLabel('Or paste the text of a credential').fill(text)
      await page.getByRole('button', { name: 'Check it' }).click()
      await page.getByRole('heading', { name: 'What was checked' }).waitFor()
    },
  },
  {
    name: 'apply-phone',
    as: 'felix.rautner@mail.example',
    width: 390,
    height: 844,
    go: async (page) => {
      await myApplication(page)
      await page.goto(page.url().replace(/[^/]+$/, 'work'))
      await page.getByRole('button', { name: 'Deutsch' }).click()
      await page.locator('html[lang=de]').waitFor()
    },
  },
  {
    name: 'recipients',
    as: 'mateo.lindqvist@mail.example',
    go: (page) => page.goto(`${address}/record`),
  },
  { name: 'status', as: 'maelle.dreau-okafor@mail.example', go: myApplication },
  { name: 'reply', go: openEnquiry },
  { name: 'desk-today', as: ines, go: (page) => find(page, 'today', 'Maëlle Dréau-Okafor') },
  { name: 'desk-verification', as: ines, go: (page) => find(page, 'verification', 'Tomasz Wierzborski') },
  { name: 'desk-enquiries', as: ines, go: (page) => page.goto(`${address}/desk/verification/table`) },
  { name: 'desk-table', as: ines, go: (page) => page.goto(`${address}/desk/applications/table`) },
  {
    name: 'desk-flags',
    as: ines,
    go: async (page) => {
      await page.goto(`${address}/desk/red-flags`)
      await page.getByRole('link', { name: 'Greta Aschenbach' }).first().click()
      await page.getByRole('region', { name: 'Red flags about this' }).waitFor()
    },
  },
  { name: 'desk-statistics', as: ines, go: (page) => page.goto(`${address}/desk/statistics/calibration`) },
  {
    name: 'desk-scores',
    as: ines,
    go: async (page) => {
      await find(page, 'applications', 'Emil Castagna')
      await page.keyboard.press('s')
      await page.getByRole('heading', { name: 'Score sheet' }).waitFor()
    },
  },
  {
    name: 'desk-paper',
    as: ines,
    go: async (page) => {
      await page.goto(`${address}/desk/paper`)
      const paper = await drawPdf({
        issuer: 'Technische Hochschule Tannberg',
        place: 'Tannberg, AT',
        heading: 'Transcript of records',
        lines: ['of', 'Noor Adeyemi', 'Electrical Engineering'],
        signedBy: 'The registrar',
        on: '2020',
      })
      await page
        .getByLabel('Scans to put into the tray')
        .setInputFiles({ name: 'From the post.pdf', mimeType: 'application/pdf', buffer: paper })
      await page.getByText('It came without a cover sheet.').first().waitFor()
    },
  },
  {
    name: 'desk-fee',
    as: 'ottilie@vallorne.example',
    go: async (page) => {
      await page.goto(`${address}/desk/fees?queue=proofs`)
      await page.getByRole('link', { name: 'Samir Benali' }).click()
      await page.getByRole('heading', { name: /Samir Benali/ }).waitFor()
    },
  },
  {
    name: 'vacancy-requirements',
    as: ines,
    go: async (page) => {
      await vacancyPart(page, 'Rescue lead', 'Requirements')
      await page.getByRole('button', { name: /^Avalanche blasting permit/ }).click()
      await page.waitForTimeout(1200)
    },
  },
  {
    name: 'desk-source',
    as: ines,
    go: async (page) => {
      await page.goto(`${address}/desk/sources?text=nordramp`)
      await page.getByRole('link', { name: 'Nordrampe Seilbahnen' }).click()
      await page.getByRole('table').first().waitFor()
      await page.locator('.recharts-line').waitFor()
    },
  },
]

const browser = await openBrowser()
for (const { name, as, go, width = 1280, height = 800 } of views) {
  if (values.only && !values.only.split(',').includes(name)) continue
  const context = await browser.newContext({
    viewport: { width, height },
    colorScheme: 'light',
    locale: 'en-GB',
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  page.on('pageerror', (error) => console.error(name, error.message))
  page.on('console', (message) => message.type() === 'error' && console.error(name, message.text()))
  if (as) await signIn(page, address, as, demoPassword)
  await go(page)
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(500)
  await page.screenshot({ path: resolve(out, `${name}.png`) })
  await context.close()
}
await browser.close()
