import { type Browser, expect, type Page } from '@playwright/test'
import { demoPassword } from '#scenario/people'
import { port } from './playwright.config'

export const mailbox = `http://127.0.0.1:${port + 3}`

/** A window of somebody’s own. */
export async function windowOf(browser: Browser, size = { width: 1280, height: 800 }): Promise<Page> {
  const context = await browser.newContext({
    viewport: size,
    reducedMotion: 'reduce',
    baseURL: `http://127.0.0.1:${port}`,
  })
  return context.newPage()
}

export async function signIn(page: Page, mail: string, password = demoPassword) {
  await page.goto('/sign-in')
  await page.getByLabel('Mail address').fill(mail)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
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
