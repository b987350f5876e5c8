import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { mkdirSync, rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { type Browser, expect, type Page, test } from '@playwright/test'
import { createConnection } from 'mariadb'
import { buildServer } from '../scripts/build'
import { expectAccessible } from './accessible'
import { mailbox } from './people'
import { port } from './playwright.config'

/** An installation of its own: an empty database on the demo's server, the compiled programs, a folder for its files. */
const address = `http://127.0.0.1:${port + 7}`
const folder = resolve('.check/first-run')
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
      ADMINISTRATOR_MAIL: 'ada@grimvik.example',
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

/** The link in the newest mail to somebody. */
async function linkTo(page: Page, to: string, place: string): Promise<string> {
  let found: string | undefined
  await expect
    .poll(async () => {
      const mails = (await (await page.request.get(`${mailbox}/api/mails`)).json()) as { to: string; text: string }[]
      const texts = mails.filter((mail) => mail.to === to).map(({ text }) => text)
      found = texts.flatMap((text) => new RegExp(`\\S*${place}[\\w=?-]+`).exec(text)?.[0] ?? []).at(-1)
      return found
    })
    .toBeTruthy()
  return found!
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
  await ada.goto(await linkTo(ada, 'ada@grimvik.example', '/desk/first-steps'))
  await expect(ada.getByText('It has arrived at ada@grimvik.example.')).toBeVisible()

  await ada.getByRole('link', { name: 'Organisation' }).click()
  await ada.getByLabel('Town').fill('Grimvik')
  await ada.getByLabel('Address for questions').fill('jobs@grimvik.example')
  await ada.getByLabel('Country').selectOption({ label: 'Norway' })
  await ada.getByLabel('Kinds of work').fill('Deck\nEngine')
  await ada.getByLabel('Places', { exact: true }).fill('Grimvik quay')
  await expectAccessible(ada, 'organisation')
  await ada.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(ada.getByText('It holds from now on.')).toBeVisible()

  await ada.getByRole('link', { name: 'People', exact: true }).click()
  await ada.getByRole('button', { name: 'Invite somebody' }).click()
  await ada.getByLabel('Name', { exact: true }).fill('Bo Kvist')
  await ada.getByLabel('Mail address at work').fill('bo@grimvik.example')
  for (const role of ['coordinator', 'hiring manager']) await ada.getByRole('checkbox', { name: role }).check()
  await ada.getByRole('button', { name: 'Send the invitation' }).click()
  await expect(ada.getByRole('row', { name: /Bo Kvist/ })).toContainText('invited')
  await expectAccessible(ada, 'colleagues')

  const bo = await windowAt(browser)
  await bo.goto(await linkTo(bo, 'bo@grimvik.example', '/join/'))
  await bo.getByLabel('New password').fill('nine loud puffins 17')
  await bo.getByRole('button', { name: 'Come in' }).click()
  await bo.getByRole('link', { name: 'Sources' }).click()
  await bo.getByRole('button', { name: 'Enter a source' }).click()
  await bo.getByLabel('Name', { exact: true }).fill('Grimvik Maritime School')
  await bo.getByLabel('Kind').selectOption({ label: 'school' })
  await bo.getByLabel('Town').fill('Grimvik')
  await bo.getByLabel('Country').selectOption({ label: 'Norway' })
  await bo.getByLabel('Mail address it is asked at').fill('registry@gms.example')
  await bo.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(bo.getByRole('row', { name: /Grimvik Maritime School/ })).toContainText('a colleague has to check it')
  await ada.getByRole('link', { name: 'Sources' }).click()
  await ada.getByRole('button', { name: 'Check', exact: true }).click()
  await ada.getByRole('button', { name: 'It is what it says' }).click()
  await expect(ada.getByRole('row', { name: /Grimvik Maritime School/ })).toContainText('checked')

  await bo.getByRole('link', { name: 'Vacancies' }).click()
  await bo.getByRole('button', { name: 'Set up a vacancy' }).click()
  await bo.getByLabel('Title').fill('Deckhand')
  await bo.getByText('An apprenticeship').click()
  await bo.getByRole('button', { name: 'Set it up' }).click()
  await bo.getByLabel('Kind of work').fill('Deck')
  await bo.getByLabel('Place', { exact: true }).fill('Grimvik quay')
  await bo.getByLabel('In one or two sentences').fill('Learn to handle lines, and people on a swaying deck.')
  await bo.getByLabel('What one would do').click()
  await bo.keyboard.type('Stand at the ramp in all weathers.')
  await bo.getByLabel(/Pay from/).fill('18000')
  await bo.getByLabel(/Pay to/).fill('21000')
  await bo.getByLabel('Who decides').selectOption({ label: 'Bo Kvist' })
  await expect(bo.getByLabel('Who decides').getByRole('option')).toHaveText(['choose', 'Ada Grim', 'Bo Kvist'])
  const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10)
  await bo.getByLabel(/Opens/).first().fill(yesterday)
  await bo.keyboard.press('Tab')
  await bo.getByRole('button', { name: /Publish/ }).click()
  await bo
    .getByRole('dialog')
    .getByRole('button', { name: /Publish/ })
    .click()
  await bo.getByRole('button', { name: 'Open', exact: true }).click()

  const candidate = await windowAt(browser, { width: 390, height: 844 })
  await candidate.goto('/')
  await candidate.getByRole('link', { name: /Deckhand/ }).click()
  await expect(candidate.getByText('Grimvik Ferries').first()).toBeAttached()
})
