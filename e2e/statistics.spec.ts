import { readFile } from 'node:fs/promises'
import { expect, type Page, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { fileOf, linkIn, mailTo, settled, signIn, windowOf } from './people'

const likelyReady = (page: Page) => page.locator('dt', { hasText: 'Likely ready' }).locator('+ dd')

test('the likely day of a file moves when a source answers, and the candidate reads the same', async ({ browser }) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await fileOf(desk, 'Corvetti', /Bianca Corvetti/)
  await expect(desk.getByText(/% likely/).first()).toBeVisible()
  const before = await likelyReady(desk).textContent()

  const { text } = await mailTo(desk, 'segreteria@lumira.example', /Corvetti/)
  const source = await windowOf(browser)
  await source.goto(linkIn(text))
  await source.getByRole('button', { name: 'All of it is right' }).click()
  await source.getByLabel('Your name').fill('Rosa Ferri')
  await source.getByRole('button', { name: 'Send the answer' }).click()
  await expect(source.getByRole('heading', { name: 'Thank you' })).toBeVisible()

  await desk.reload()
  await settled(desk)
  await expect(likelyReady(desk)).not.toHaveText(before!)
  const day = (await likelyReady(desk).textContent())!.split('(')[0]!.trim()

  const candidate = await windowOf(browser, { width: 390, height: 844 })
  await signIn(candidate, 'bianca.corvetti@mail.example')
  await candidate.goto('/me')
  await candidate.getByRole('link', { name: 'Track engineer' }).first().click()
  await expect(candidate.getByText(new RegExp(`${day} \\d{4}`)).first()).toBeVisible()
})

test('how the work goes stands in charts and tables, by vacancy and days, and can be kept', async ({ browser }) => {
  const desk = await windowOf(browser)
  await signIn(desk, 'ines@vallorne.example')
  await desk.goto('/desk')
  await desk.getByRole('link', { name: 'Reports', exact: true }).click()
  await expect(desk.getByText(/Half of them answer within \d+ days/)).toBeVisible()
  await expect(desk.locator('.recharts-line-curve').first()).toBeVisible()
  await expectAccessible(desk, 'turnaround')

  await desk.getByRole('link', { name: 'Whether dates held' }).click()
  const answers = desk.getByRole('region', { name: /^Answers: how often/ })
  await expect(answers.getByText(/The 80 % day .*% of \d{4} /)).toBeVisible()
  // Eighteen months, each with its interval.
  expect(await answers.getByRole('row').count()).toBeGreaterThan(17)
  await expectAccessible(desk, 'whether dates held')

  await desk.getByRole('link', { name: 'Stages' }).click()
  const stages = desk.getByRole('region', { name: /^How each stage ends/ })
  const all = await stages.getByRole('row').nth(1).textContent()
  await desk.getByLabel('Vacancy').selectOption({ label: 'Track engineer, winter round' })
  await expect(stages.getByRole('row').nth(1)).not.toHaveText(all!)
  await expect(desk).toHaveURL(/vacancy=/)
  const shown = (await stages.getByRole('row').nth(1).getByRole('cell').nth(1).textContent())!
  const coming = desk.waitForEvent('download')
  await stages.getByRole('link', { name: 'As CSV' }).click()
  const csv = await readFile(await (await coming).path(), 'utf8')
  expect(csv.split('\r\n')[1]).toMatch(new RegExp(`^sent,${shown},`))

  for (const part of ['Red flags', 'Where people come from', 'Team', 'Promises']) {
    await desk.getByRole('navigation', { name: 'Reports' }).getByRole('link', { name: part }).click()
    await expect(
      desk.locator('.recharts-surface').first().or(desk.getByText('Nothing in these days.').first()),
    ).toBeVisible()
    await expectAccessible(desk, part)
  }
})
