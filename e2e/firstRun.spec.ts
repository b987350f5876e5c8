import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { mkdirSync, rmSync } from 'node:fs'
import { type Browser, expect, type Page, test } from '@playwright/test'
import { createConnection } from 'mariadb'
import { Temporal } from 'temporal-polyfill'
import { writeWhen } from '#core/dates/write'
import { buildServer } from '../scripts/build'
import { aPaper } from '../test/house'
import { lastingFolder } from '../test/lasting'
import { expectAccessible } from './accessible'
import { mailTo } from './people'
import { port } from './playwright.config'

/** An installation of its own: an empty database on the demo's server, the compiled programs, a folder for its files. */
const address = `http://127.0.0.1:${port + 7}`
const folder = lastingFolder('first-run')
const database = 'first_run'
const env = {
  PATH: process.env.PATH ?? '',
  HOME: process.env.HOME ?? '',
  CONFIG_FILE: `${folder}/probatum.env`,
  DATABASE_URL: `mariadb://root@127.0.0.1:${port + 6}/${database}`,
  PUBLIC_URL: address,
  PORT: String(port + 7),
  SMTP_URL: `smtp://127.0.0.1:${port + 2}`,
  MAIL_FROM: 'jobs@grimvik.example',
  DATA_FOLDER: `${folder}/data`,
  LOG_LEVEL: 'warn',
  // What signing in with one-time codes looks like has a test of its own.
  SECOND_FACTOR: '',
}
/** Of this run alone, so that no mail of an earlier one is taken for theirs. */
const run = Date.now()
const people = {
  ada: `ada-${run}@grimvik.example`,
  bo: `bo-${run}@grimvik.example`,
  cora: `cora-${run}@mail.example`,
}
let server: ChildProcess
let link: string

test.beforeAll(async () => {
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  await buildServer()
  const connection = await createConnection({ host: '127.0.0.1', port: port + 6, user: 'root' })
  await connection.query(`DROP DATABASE IF EXISTS ${database}`)
  await connection.query(`CREATE DATABASE ${database} CHARACTER SET utf8mb4`)
  await connection.end()
  const said = execFileSync(process.execPath, ['dist/server/setup.js', '--yes'], {
    env: {
      ...env,
      ORGANISATION: 'Grimvik Ferries',
      ADMINISTRATOR_MAIL: people.ada,
      ADMINISTRATOR_NAME: 'Ada Grim',
    },
    encoding: 'utf8',
  })
  link = /\S+\/join\/[\w-]+/.exec(said)![0]
  const { CONFIG_FILE, PATH, HOME, LOG_LEVEL, SECOND_FACTOR } = env
  // Everything else comes from the file that setting up has written.
  server = spawn(process.execPath, ['dist/server/main.js'], {
    env: { CONFIG_FILE, PATH, HOME, LOG_LEVEL, SECOND_FACTOR },
    stdio: 'inherit',
  })
  await expect
    .poll(
      () =>
        fetch(`${address}/health/ready`).then(
          ({ status }) => status,
          () => 0,
        ),
      { timeout: 30_000 },
    )
    .toBe(200)
})
test.afterAll(() => void server.kill('SIGTERM'))

const windowAt = async (browser: Browser, size = { width: 1280, height: 800 }): Promise<Page> =>
  (await browser.newContext({ viewport: size, reducedMotion: 'reduce', baseURL: address })).newPage()

/** The link in the newest mail to somebody about something. */
async function linkTo(page: Page, to: string, about: string): Promise<string> {
  const link = /https?:\/\/\S+/.exec((await mailTo(page, to, about)).text)
  return link![0]
}

test('from an empty database to a first application that is sent and looked at', async ({ browser }) => {
  const ada = await windowAt(browser)
  await ada.goto(link)
  await ada.getByText('Ada Grim, you come as administrator.', { exact: false }).waitFor()
  await ada.getByLabel('New password').fill('seven quiet herons 42')
  await ada.getByRole('button', { name: 'Come in' }).click()
  await ada.getByRole('link', { name: 'First steps' }).click()
  await expect(ada.getByRole('region', { name: 'To do' }).getByRole('listitem')).toHaveCount(6)
  await expectAccessible(ada, 'first steps')

  await ada.getByRole('button', { name: 'Send me a test mail' }).click()
  await ada.goto(await linkTo(ada, people.ada, 'A test mail'))
  await expect(ada.getByText(`It has arrived at ${people.ada}.`)).toBeVisible()

  await ada.getByRole('link', { name: 'Organisation' }).click()
  await ada.getByLabel('Town').fill('Grimvik')
  await ada.getByLabel('Address for questions').fill('jobs@grimvik.example')
  await ada.getByLabel('Country').selectOption({ label: 'Norway' })
  await ada.getByLabel('Kinds of work').fill('Deck\nEngine')
  await ada.getByLabel('Places', { exact: true }).fill('Grimvik quay')
  await expectAccessible(ada, 'organisation')
  await ada.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(ada.getByText('It holds from now on.', { exact: true })).toBeVisible()

  await ada.getByRole('link', { name: 'People', exact: true }).click()
  await ada.getByRole('button', { name: 'Invite somebody' }).click()
  await ada.getByLabel('Name', { exact: true }).fill('Bo Kvist')
  await ada.getByLabel('Mail address at work').fill(people.bo)
  for (const role of ['coordinator', 'hiring manager']) await ada.getByRole('checkbox', { name: role }).check()
  await ada.getByRole('button', { name: 'Send the invitation' }).click()
  await expect(ada.getByRole('row', { name: /Bo Kvist/ })).toContainText('invited')
  await expectAccessible(ada, 'colleagues')

  const bo = await windowAt(browser)
  await bo.goto(await linkTo(bo, people.bo, 'You are invited'))
  await bo.getByLabel('New password').fill('nine loud puffins 17')
  await bo.getByRole('button', { name: 'Come in' }).click()
  await bo.getByRole('link', { name: 'Sources' }).click()
  await bo.getByRole('link', { name: 'Enter a source' }).click()
  await bo.getByLabel('Name', { exact: true }).fill('Grimvik Maritime School')
  await bo.getByLabel('Kind').selectOption({ label: 'school' })
  await bo.getByLabel('Town').fill('Grimvik')
  await bo.getByLabel('Country').selectOption({ label: 'Norway' })
  await bo.getByRole('button', { name: 'Add a contact' }).click()
  await bo.getByLabel('Mail', { exact: true }).fill('registry@gms.example')
  await bo.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(bo.getByText('You have entered it: somebody else checks it.')).toBeVisible()
  await ada.getByRole('link', { name: 'Sources' }).click()
  await ada.getByRole('link', { name: 'Grimvik Maritime School' }).click()
  await ada.getByLabel(/^How you made sure of registry@/).selectOption({ label: 'by a letter that was answered' })
  await ada.getByRole('button', { name: 'It is what it says' }).click()
  await expect(ada.getByRole('heading', { name: 'Checked', exact: true })).toBeVisible()

  await bo.getByRole('link', { name: 'Vacancies' }).click()
  await bo.getByRole('button', { name: 'Set up a vacancy' }).click()
  await bo.getByLabel('Title').fill('Deckhand')
  await bo.getByText('An apprenticeship').click()
  await bo.getByRole('button', { name: 'Set it up' }).click()
  await bo.getByLabel('Family of work').fill('Deck')
  await bo.getByLabel('Place', { exact: true }).fill('Grimvik quay')
  await bo.getByLabel('In one or two sentences').fill('Learn to handle lines, and people on a swaying deck.')
  await bo.getByRole('textbox', { name: 'What one would do' }).click()
  await bo.keyboard.type('Stand at the ramp in all weathers.')
  await bo.getByLabel(/Pay from/).fill('18000')
  await bo.getByLabel(/Pay to/).fill('21000')
  await bo.getByLabel('Who decides').selectOption({ label: 'Bo Kvist' })
  await expect(bo.getByLabel('Who decides').getByRole('option')).toHaveText(['Choose', 'Ada Grim', 'Bo Kvist'])
  const yesterday = writeWhen(Temporal.Now.plainDateISO().subtract({ days: 1 }).toString())
  await bo.getByLabel('Opens', { exact: true }).fill(yesterday)
  await bo.keyboard.press('Tab')
  await expect(bo.getByText('Everything is saved.', { exact: true })).toBeVisible()
  await bo.getByRole('button', { name: 'Publish the rules' }).click()
  await bo.getByRole('button', { name: 'Publish it' }).click()
  await bo.getByRole('button', { name: 'Open it' }).click()
  await expect(bo.getByText(/Deckhand is .*open/).first()).toBeVisible()

  const cora = await windowAt(browser, { width: 390, height: 844 })
  await cora.goto('/')
  await cora.getByRole('link', { name: /Deckhand/ }).click()
  await cora.getByRole('link', { name: 'Make an account to apply' }).first().click()
  await cora.getByLabel('Your name').fill('Cora Lind')
  await cora.getByLabel('Mail address').fill(people.cora)
  await cora.getByLabel('Password').fill('three tall lighthouses')
  await cora.getByRole('button', { name: 'Make the account' }).click()
  await cora.goto(await linkTo(cora, people.cora, 'Confirm your address'))
  await cora.getByRole('button', { name: 'Confirm my address' }).click()
  await cora.waitForURL((url) => !url.pathname.startsWith('/confirm'))
  const reference = await apply(cora)

  await bo.getByRole('link', { name: 'Applications' }).click()
  await expect(bo.getByRole('heading', { name: 'Cora Lind' })).toBeVisible()
  await bo.getByText(reference).first().waitFor()
  await bo.getByRole('button', { name: 'Take it' }).click()
  await expect(bo.getByText('Your file')).toBeVisible()
  await ada.goto('/desk/first-steps')
  await expect(ada.getByText('Nothing is left to do here.')).toBeVisible()
})

/** Fills in and sends what the form of an apprenticeship asks; what each part of the form is like has tests of its own. */
async function apply(page: Page): Promise<string> {
  const { csrf } = (await (await page.request.get('/api/session')).json()) as { csrf: string }
  const send = async (method: string, path: string, data?: unknown, more: Record<string, string> = {}) => {
    const headers = { 'X-Probatum-Form': csrf, 'Idempotency-Key': crypto.randomUUID(), ...more }
    const reply = await page.request.fetch(path, { method, headers, data: data as never })
    expect(reply.status(), `${method} ${path}: ${await reply.text()}`).toBe(200)
    return reply.json()
  }
  const { id } = await send('POST', '/api/vacancies/deckhand/applications', {})
  const changes = {
    'about.givenNames': 'Cora',
    'about.familyName': 'Lind',
    'about.born': '2009-05-04',
    'contact.mail': people.cora,
    'contact.phone': '+47 22 55 51 00',
    'contact.home': { postcode: '0150', town: 'Oslo', country: 'Norway' },
    'school.why': 'I like ropes and bad weather.',
  }
  await send('PATCH', `/api/my/applications/${id}/answers`, { version: 0, changes })
  const details = { kind: 'paper', sourceId: null, sourceName: '', question: 'school.report', title: 'Report' }
  const claim = await send('POST', '/api/my/claims', { details })
  const pdf = await aPaper('Report of the tenth year')
  await send('POST', `/api/my/claims/${claim.id}/documents?fileName=Report.pdf`, Buffer.from(pdf), {
    'Content-Type': 'application/pdf',
  })
  await page.goto(`/apply/${id}/permission`)
  await page.getByRole('checkbox', { name: 'I have read this and agree to it.' }).check()
  await page.getByLabel('Sign by typing your full name').fill('Cora Lind')
  await page.getByLabel('Your password').fill('three tall lighthouses')
  await page.getByRole('button', { name: 'Sign', exact: true }).click()
  await expect(page.getByText('Signed by Cora Lind')).toBeVisible()
  await page.goto(`/apply/${id}/send`)
  await page.getByRole('button', { name: 'Send my application' }).click()
  await page.waitForURL(/\/applications\//)
  return (
    (await page
      .getByText(/^[A-Z]{2}-\w{4}-\w{2}$/)
      .first()
      .textContent()) ?? ''
  )
}
