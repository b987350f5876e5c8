import { expect, test } from '@playwright/test'
import { windowOf } from './people'

/** What a phone that was never here loads, in kB as it comes over the wire: what was measured, and a little air. */
const places = [
  { what: 'the list of vacancies', at: '/', most: 200 },
  { what: 'a vacancy', at: '/vacancies/cableway-electrical-supervisor', most: 203 },
  { what: 'the page of a reply', at: `/reply/${'x'.repeat(43)}`, most: 185 },
]

declare global {
  interface Window {
    shifted: number
  }
}

for (const { what, at, most } of places)
  test(`${what} weighs at most ${most} kB on a first visit, and nothing in it jumps`, async ({ browser }) => {
    const page = await windowOf(browser, { width: 390, height: 844 })
    const devtools = await page.context().newCDPSession(page)
    await devtools.send('Network.enable')
    let bytes = 0
    devtools.on('Network.loadingFinished', ({ encodedDataLength }) => {
      bytes += encodedDataLength
    })
    await page.addInitScript(() => {
      window.shifted = 0
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[])
          if (!entry.hadRecentInput) window.shifted += entry.value
      }).observe({ type: 'layout-shift', buffered: true })
    })
    await page.goto(at)
    await page.locator('h1, h2').first().waitFor()
    await page.waitForLoadState('networkidle')
    const heavy = bytes / 1000
    expect(heavy, 'what was loaded was counted').toBeGreaterThan(100)
    expect(heavy).toBeLessThanOrEqual(most)
    expect(await page.evaluate(() => window.shifted)).toBeLessThan(0.05)
    await page.context().close()
  })
