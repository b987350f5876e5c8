import { type Browser, expect, type Page } from '@playwright/test'
import { demoPassword } from '#scenario/staff'
import { port } from './playwright.config'

export const mailbox = `http://127.0.0.1:${port + 3}`

/** A window of somebody’s own. */
export async function windowOf(browser: Browser, size = { width: 1280, height: 800 }): Promise<Page> {
  const context = await browser.newContext({
    viewport: size,
    reducedMotion: 'reduce',
    baseURL: `http://127.0.0.1:${port}`,
  })
  const page = await context.newPage()
  const traffic = { open: 0, lastAt: Date.now() }
  onItsWay.set(page, traffic)
  const count = (by: number) => () => {
    traffic.open += by
    traffic.lastAt = Date.now()
  }
  page.on('request', count(1))
  page.on('requestfinished', count(-1))
  page.on('requestfailed', count(-1))
  return page
}

/** What is on its way to each window, and when that changed last. */
const onItsWay = new WeakMap<Page, { open: number; lastAt: number }>()
const quietMs = 120

/** Waits until nothing has been on its way to a window for a moment. */
export async function settled(page: Page) {
  const traffic = onItsWay.get(page)!
  await expect
    .poll(() => traffic.open <= 0 && Date.now() - traffic.lastAt >= quietMs, { intervals: [40], timeout: 20_000 })
    .toBe(true)
}

/** Signs somebody in without the page for it, and goes where it would lead. The page itself has tests of its own. */
export async function signIn(page: Page, mail: string, password = demoPassword) {
  const session = await page.request.get('/api/session')
  const { csrf } = (await session.json()) as { csrf: string }
  const answer = await page.request.post('/api/session', {
    headers: { 'X-Probatum-Form': csrf },
    data: { mail, password },
  })
  expect(answer.status(), `signing in as ${mail}`).toBe(200)
  const { account } = (await answer.json()) as { account: { roles: string[] } }
  const home = account.roles.includes('employer') ? '/employer' : '/desk/today'
  await page.goto(account.roles.includes('candidate') ? '/me' : home)
}

/** Signs somebody in as a person does. */
export async function signInByPage(page: Page, mail: string, password = demoPassword) {
  await page.goto('/sign-in')
  await page.getByLabel('Mail address').fill(mail)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await page.waitForURL((url) => !url.pathname.startsWith('/sign-in'))
}

type Mail = { to: string; subject: string; text: string; attachments: { fileName: string; mediaType: string }[] }

/** The newest mail to somebody, once it has arrived in the stand-in mailbox. */
export async function mailTo(page: Page, to: string, about: string | RegExp): Promise<Mail> {
  let found: Mail | undefined
  await expect
    .poll(
      async () => {
        const mails = (await (
          await page.request.get(`${mailbox}/mailbox.json?to=${encodeURIComponent(to)}`)
        ).json()) as Mail[]
        found = mails.find(({ subject }) => (typeof about === 'string' ? subject.includes(about) : about.test(subject)))
        return found !== undefined
      },
      { timeout: 20_000, message: `a mail to ${to} about ${about}` },
    )
    .toBe(true)
  return found!
}

export const linkIn = (text: string): string => new URL(/https?:\/\/\S+/.exec(text)![0]).pathname

/** Opens somebody's file from the table, by the family name and the name as it stands there. */
export async function fileOf(page: Page, family: string, name: RegExp) {
  await page.goto(`/desk/applications/table?text=${family}`)
  await page.getByRole('link', { name }).first().click()
  await settled(page)
}

/** Chooses a claim of the file that is open. */
export const openClaim = async (page: Page, name: RegExp) => {
  await page.getByRole('button', { name }).first().click()
  await settled(page)
}

/** In the open dialog: waits until the paper was read, says that what was not is not on it, and finds it right. */
export async function findRight(page: Page) {
  const dialog = page.getByRole('dialog')
  await dialog
    .getByText(/Compare with the page what the machine has read|could not be read by machine/)
    .waitFor({ timeout: 30_000 })
  const rest = dialog.getByRole('button', { name: 'The rest is not on the paper' })
  if (await rest.isVisible()) await rest.click()
  for (const part of await dialog.getByRole('radiogroup').all())
    if ((await part.getByRole('radio', { checked: true }).count()) === 0) await part.getByLabel('missing').check()
  await dialog.getByRole('button', { name: 'Readable and right' }).click()
}

/** Presses the key of an act once the act that takes it is there. */
export async function pressKey(page: Page, letter: string) {
  const shown = page.locator('kbd').filter({ hasText: new RegExp(`^${letter}$`, 'i') })
  await expect(shown.first()).toBeVisible()
  await page.keyboard.press(letter)
}
