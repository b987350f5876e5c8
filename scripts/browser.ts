import { type Browser, chromium, type Page } from '@playwright/test'

const flags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
]

/** Debian's Chromium without a window. */
export const openBrowser = (): Promise<Browser> =>
  chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: flags })

/** Signs in through the page, as a person does. */
export async function signIn(page: Page, address: string, mail: string, password: string) {
  await page.goto(`${address}/sign-in`)
  await page.getByLabel('Mail address').fill(mail)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await page.waitForURL((url) => !url.pathname.startsWith('/sign-in'))
}
