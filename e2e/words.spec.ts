import { expect, type Page, test } from '@playwright/test'
import { settled, signIn, windowOf } from './people'

/** Names of the house, keys of a keyboard, units and formats: the same in every language. */
const sameEverywhere =
  /^(probatum|vallorne|mountain|lines|ctrl|enter|space|esc|pdf|csv|json|tiff|jpeg|png|kb|mb|eur|utc|europe|vienna|english|deutsch|mon|tue|wed|thu|fri|sat|sun|jan|feb|mar|apr|may|jun|jul|aug|sep|sept|oct|nov|dec)$/i

/** Every word that came with the answers of the server: what people typed, names, and codes. */
function collectData(page: Page): Set<string> {
  const words = new Set<string>()
  const take = (value: unknown): void => {
    if (typeof value === 'string') for (const word of value.match(/\p{L}+/gu) ?? []) words.add(word.toLowerCase())
    else if (value && typeof value === 'object') Object.values(value).forEach(take)
  }
  page.on('response', async (response) => {
    if (response.headers()['content-type']?.includes('json')) take(await response.json().catch(() => undefined))
  })
  return words
}

/** Countries are called as CLDR calls them: asked of the browser, whose names may be others than ours. */
function namesOfCountries(): string[] {
  const spoken = ['en', 'en-GB'].map((locale) => new Intl.DisplayNames([locale], { type: 'region' }))
  const letters = Array.from({ length: 26 }, (_, nth) => String.fromCharCode(65 + nth))
  return letters
    .flatMap((one) => letters.flatMap((two) => spoken.map((names) => names.of(one + two) ?? '')))
    .flatMap((name) => name.toLowerCase().match(/\p{L}{2,}/gu) ?? [])
}

/** Texts on the page as it is spoken marked: what is left of them outside of the marks. */
const unmarked = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = []
    const without = (text: string) => {
      let rest = text
      for (let before = ''; before !== rest; ) {
        before = rest
        rest = rest.replace(/⟦[^⟦⟧]*⟧/g, ' ')
      }
      return rest.trim()
    }
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const holder = node.parentElement!
      if (holder.closest('script, style, svg title')) continue
      // A mark may span what is drawn beside it; each text is said whole, so its node holds both marks.
      const rest = without(node.textContent ?? '')
      if (/\p{L}{2,}/u.test(rest)) found.push(rest)
    }
    for (const element of document.querySelectorAll('[aria-label], [placeholder], [title]'))
      for (const name of ['aria-label', 'placeholder', 'title']) {
        const rest = without(element.getAttribute(name) ?? '')
        if (/\p{L}{2,}/u.test(rest)) found.push(rest)
      }
    return found
  })

const places = {
  'ines@vallorne.example': [
    '/desk/today',
    '/desk/verification',
    '/desk/validity',
    '/desk/applications/table',
    '/desk/vacancies',
    '/desk/vacancies/groups',
    '/desk/vacancies/sections',
    '/desk/sources',
    '/desk/words',
    '/desk/behalf',
    '/desk/paper',
    '/desk/imports',
    '/desk/duplicates',
    '/desk/outbox',
    '/desk/safe',
    '/desk/trail',
    '/account',
  ],
  'felix.rautner@mail.example': ['/', '/vacancies/cableway-electrical-supervisor', '/me'],
}

for (const [who, addresses] of Object.entries(places))
  test(`what ${who} reads is from the catalogue, or was typed by somebody`, {
    tag: who.startsWith('ines') ? '@long' : '@short',
  }, async ({ browser }) => {
    test.setTimeout(120_000)
    const page = await windowOf(browser)
    const data = collectData(page)
    for (const name of await page.evaluate(namesOfCountries)) data.add(name)
    await signIn(page, who)
    await page.evaluate(() => localStorage.setItem('probatum-language', 'x-marked'))
    const foreign: string[] = []
    for (const address of addresses) {
      await page.goto(address)
      await page.locator('h1, h2').first().waitFor()
      await settled(page)
      expect(await page.getByText('⟦').count(), `${address} is spoken marked`).toBeGreaterThan(0)
      // A name that no text was fetched for is said as it is.
      expect(await page.locator('body').innerText()).not.toMatch(/⟦[a-z]\w*\.[\w.-]+⟧/)
      for (const text of await unmarked(page)) {
        const words = (text.match(/\p{L}{2,}/gu) ?? []).filter(
          (word) => !sameEverywhere.test(word) && !data.has(word.toLowerCase()),
        )
        if (words.length > 0) foreign.push(`${address}: ${text.slice(0, 120)}`)
      }
    }
    expect([...new Set(foreign)]).toEqual([])
    await page.context().close()
  })
