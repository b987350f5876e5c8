import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createCanvas } from '@napi-rs/canvas'
import type { Page } from '@playwright/test'
import { demoPassword } from '#scenario/staff'
import { openBrowser, signIn } from '../scripts/browser'
import { registerShippedFonts } from '../test/fonts'
import { percentile, type Result } from './result'

const applicant = { mail: 'felix.rautner@mail.example', vacancy: 'rescue-lead' }

/** The candidate's side in a browser against a demo that is running: first load, a change of section, ten photographs. */
export async function portalIn(address: string): Promise<Result[]> {
  const browser = await openBrowser()
  const page = await browser.newPage({ baseURL: address, viewport: { width: 1280, height: 800 } })
  const load = await firstLoad(page)
  await signIn(page, address, applicant.mail, demoPassword)
  await page.goto(`/vacancies/${applicant.vacancy}`)
  await page
    .getByRole('button', { name: 'Apply' })
    .or(page.getByRole('link', { name: /^Go on/ }))
    .click()
  await page.waitForURL('**/apply/**')
  await page.getByRole('heading', { level: 1 }).waitFor()
  const results = [load, await sectionChange(page), ...(await joinTen(page))]
  await browser.close()
  return results
}

/** Script that comes over the wire before the first page stands, compressed as it is served. */
async function firstLoad(page: Page): Promise<Result> {
  const session = await page.context().newCDPSession(page)
  await session.send('Network.enable')
  const scripts = new Set<string>()
  let bytes = 0
  session.on('Network.responseReceived', ({ requestId, type }) => type === 'Script' && scripts.add(requestId))
  // Of the bodies, as they are compressed; what stands in the headers is not script.
  session.on('Network.dataReceived', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength
  })
  await page.goto('/', { waitUntil: 'networkidle' })
  return { what: 'First load of the portal', measured: `${(bytes / 1000).toFixed(0)} kB`, wanted: 'under 170 kB' }
}

/** From the click on another section until its heading is drawn. */
async function sectionChange(page: Page): Promise<Result> {
  const change = (name: string) =>
    page.evaluate(async (wanted) => {
      const link = [...document.querySelectorAll<HTMLAnchorElement>('nav a')].find((a) =>
        a.textContent?.startsWith(wanted),
      )!
      const before = document.querySelector('h1')!.textContent
      const from = performance.now()
      link.click()
      while (document.querySelector('h1')!.textContent === before)
        await new Promise((frame) => requestAnimationFrame(frame))
      await new Promise((frame) => requestAnimationFrame(frame))
      return performance.now() - from
    }, name)
  const times: number[] = []
  for (const name of ['Contact', 'Study', 'Work', 'Declarations', 'About you', 'Study', 'Work', 'Contact'])
    times.push(await change(name))
  return {
    what: 'Change of section',
    measured: `${percentile(times, 0.5).toFixed(0)} ms, ${Math.max(...times).toFixed(0)} ms at most`,
    wanted: 'under 100 ms',
  }
}

/** Ten noisy photographs of 12 megapixels: opened, measured, joined, and the page used meanwhile. */
async function joinTen(page: Page): Promise<Result[]> {
  await page
    .getByRole('navigation', { name: 'Your application' })
    .getByRole('link', { name: /^Study/ })
    .click()
  const files = photographs(10)
  await page.evaluate(() => {
    const seen = { longest: 0, last: performance.now() }
    Object.assign(window, { seen })
    setInterval(() => {
      const now = performance.now()
      seen.longest = Math.max(seen.longest, now - seen.last)
      seen.last = now
    }, 4)
  })
  await page.locator('input[type=file]').first().setInputFiles(files)
  const from = Date.now()
  await page.getByText('Page 10', { exact: true }).waitFor({ timeout: 120_000 })
  const opened = Date.now() - from
  const sent = page.waitForRequest(
    (request) => request.method() === 'POST' && request.url().includes('/api/my/uploads'),
    {
      timeout: 120_000,
    },
  )
  const pressed = Date.now()
  await page.getByRole('button', { name: 'Send 10 pages' }).click()
  const request = await sent
  const joined = Date.now() - pressed
  const size = Number(request.headers()['upload-length'])
  const longest = await page.evaluate(() => (window as unknown as { seen: { longest: number } }).seen.longest)
  return [
    {
      what: 'Ten photographs of 12 MP joined',
      measured: `${((opened + joined) / 1000).toFixed(1)} s (opening ${(opened / 1000).toFixed(1)} s), ${(size / 1e6).toFixed(2)} MB`,
      wanted: 'under 15 s, at most 5 MB',
    },
    { what: 'Longest time the page stood still', measured: `${longest.toFixed(0)} ms`, wanted: 'usable' },
  ]
}

function photographs(count: number): string[] {
  const folder = mkdtempSync(join(tmpdir(), 'probatum-photographs-'))
  const [width, height] = [4000, 3000]
  const canvas = createCanvas(width, height)
  const page = canvas.getContext('2d')
  const { serif } = registerShippedFonts()
  return Array.from({ length: count }, (_, nth) => {
    page.fillStyle = '#6d6459'
    page.fillRect(0, 0, width, height)
    page.fillStyle = '#f4f1e8'
    page.fillRect(300, 200, width - 600, height - 400)
    page.fillStyle = '#24201c'
    page.font = `72px "${serif}"`
    for (let line = 0; line < 22; line += 1)
      page.fillText(`Page ${nth + 1}, line ${line + 1}: what was learnt, and when`, 420, 360 + line * 105)
    const pixels = page.getImageData(0, 0, width, height)
    let seed = nth + 1
    for (let at = 0; at < pixels.data.length; at += 4) {
      seed = (seed * 1103515245 + 12345) & 0x7fffffff
      const grain = (seed >> 16) % 17
      for (let channel = 0; channel < 3; channel += 1) pixels.data[at + channel]! += grain - 8
    }
    page.putImageData(pixels, 0, 0)
    const file = join(folder, `photograph-${nth + 1}.jpg`)
    writeFileSync(file, canvas.toBuffer('image/jpeg', 90))
    return file
  })
}
