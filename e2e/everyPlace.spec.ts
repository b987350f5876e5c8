import { expect, type Page, test } from '@playwright/test'
import { signIn, windowOf } from './people'

/** Of places that differ only in whose they are, so many are gone to. */
const mostOfOneKind = 1

/** An address without whose it is. */
const kindOf = (address: string): string =>
  address
    .replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, ':id')
    .replace(/(\/vacancies\/)[^/?]+/, '$1:slug')
    .replace(/=[^&]+/g, '=')

/** Every address a page leads to that is a page of ours. */
const linksOf = (page: Page): Promise<string[]> =>
  page
    .locator('a[href^="/"]:not([download])')
    .evaluateAll((links) =>
      links.map((link) => link.getAttribute('href')!.split('#')[0]!).filter((href) => !href.startsWith('/api/')),
    )

const people: { who: string; mail?: string; from: string[]; atLeast: number }[] = [
  { who: 'a visitor', from: ['/'], atLeast: 6 },
  { who: 'a candidate', mail: 'maelle.dreau-okafor@mail.example', from: ['/me', '/account'], atLeast: 4 },
  { who: 'a candidate with a draft', mail: 'felix.rautner@mail.example', from: ['/me'], atLeast: 10 },
  { who: 'a coordinator', mail: 'ines@vallorne.example', from: ['/desk'], atLeast: 25 },
  { who: 'a hiring manager', mail: 'bastian@vallorne.example', from: ['/desk'], atLeast: 10 },
  { who: 'an assessor', mail: 'mirela@vallorne.example', from: ['/desk'], atLeast: 10 },
  { who: 'an administrator', mail: 'anselm@vallorne.example', from: ['/desk'], atLeast: 25 },
]

for (const { who, mail, from, atLeast } of people)
  test(`every link leads ${who} to a place that is there for them`, async ({ browser }) => {
    const page = await windowOf(browser)
    if (mail) await signIn(page, mail)
    const wrong: string[] = []
    let at = ''
    page.on(
      'console',
      (message) => message.type() === 'error' && wrong.push(`${at}: the console says ${message.text()}`),
    )
    page.on('pageerror', (error) => wrong.push(`${at}: ${error.message}`))
    page.on('response', (response) => {
      if (response.status() >= 400) wrong.push(`${at}: ${response.status()} for ${new URL(response.url()).pathname}`)
    })
    const waiting = [...from]
    const visited = new Set<string>()
    const kinds = new Map<string, number>()
    for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
      const kind = kindOf(next)
      const already = kinds.get(kind) ?? 0
      if (visited.has(next) || already >= mostOfOneKind) continue
      visited.add(next)
      kinds.set(kind, already + 1)
      at = next
      await page.goto(next)
      await page.locator('h1, h2').first().waitFor()
      await page.waitForLoadState('networkidle')
      if ((await page.locator('main').count()) !== 1) wrong.push(`${at}: not one main part`)
      if (!/^.+, /.test(await page.title())) wrong.push(`${at}: its title is “${await page.title()}”`)
      if (await page.getByText('There is nothing at this address').count()) wrong.push(`${at}: nothing there`)
      if (mail && new URL(page.url()).pathname.startsWith('/sign-in')) wrong.push(`${at}: asks to sign in`)
      waiting.push(...(await linksOf(page)))
    }
    expect(wrong).toEqual([])
    expect(visited.size, [...visited].join(' ')).toBeGreaterThanOrEqual(atLeast)
  })
