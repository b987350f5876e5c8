import { expect, type Page, test } from '@playwright/test'
import { settled, signIn, windowOf } from './people'

/** An address without whose it is: of places that differ only in that, one is gone to. */
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

/** `long` is gone round by `./check long` only: their places are those of the others, fewer of them. */
const everybody: { who: string; mail?: string; from: string[]; atLeast: number; long?: true }[] = [
  { who: 'a visitor', from: ['/'], atLeast: 6 },
  { who: 'a candidate', mail: 'maelle.dreau-okafor@mail.example', from: ['/me', '/account'], atLeast: 4, long: true },
  { who: 'a candidate with a draft', mail: 'felix.rautner@mail.example', from: ['/me'], atLeast: 10 },
  { who: 'a coordinator', mail: 'ines@vallorne.example', from: ['/desk'], atLeast: 25, long: true },
  { who: 'a hiring manager', mail: 'bastian@vallorne.example', from: ['/desk'], atLeast: 10, long: true },
  { who: 'an assessor', mail: 'mirela@vallorne.example', from: ['/desk'], atLeast: 10, long: true },
  { who: 'an administrator', mail: 'anselm@vallorne.example', from: ['/desk'], atLeast: 25, long: true },
]
const people = everybody.filter(({ long }) => !long || process.env.CHECK_LONG)

/** Goes wherever the links lead somebody, and says what was wrong there. */
async function follow(page: Page, { mail, from }: (typeof everybody)[number]) {
  if (mail) await signIn(page, mail)
  const wrong: string[] = []
  let at = ''
  const found = (what: string) => void wrong.push(`${at}: ${what}`)
  page.on('console', (message) => message.type() === 'error' && found(`the console says ${message.text()}`))
  page.on('pageerror', (error) => found(error.message))
  page.on('response', (response) => {
    if (response.status() >= 400) found(`${response.status()} for ${new URL(response.url()).pathname}`)
  })
  const waiting = [...from]
  const visited = new Set<string>()
  for (let next = waiting.shift(); next !== undefined; next = waiting.shift()) {
    const kind = kindOf(next)
    if (visited.has(kind)) continue
    visited.add(kind)
    at = next
    await page.goto(next)
    await page.locator('h1, h2').first().waitFor()
    await settled(page)
    if ((await page.locator('main').count()) !== 1) found('not one main part')
    if (!/^.+, /.test(await page.title())) found(`its title is “${await page.title()}”`)
    if (await page.getByText(/There is nothing at this address|Unter dieser Adresse gibt es nichts/).count())
      found('nothing there')
    if (mail && new URL(page.url()).pathname.startsWith('/sign-in')) found('asks to sign in')
    waiting.push(...(await linksOf(page)))
  }
  return { wrong, visited: [...visited] }
}

test('every link leads whoever follows it to a place that is there for them', async ({ browser }) => {
  const gone = await Promise.all(
    people.map(async (person) => ({ ...person, ...(await follow(await windowOf(browser), person)) })),
  )
  expect(gone.flatMap(({ who, wrong }) => wrong.map((what) => `${who} at ${what}`))).toEqual([])
  for (const { who, visited, atLeast } of gone)
    expect(visited.length, `${who}: ${visited.join(' ')}`).toBeGreaterThanOrEqual(atLeast)
})
