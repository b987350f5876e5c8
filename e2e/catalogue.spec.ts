import { expect, test } from '@playwright/test'
import { form, library } from '#scenario/form'
import { expectAccessible } from './accessible'
import { newPerson, openPost } from './newPost'
import { signIn, windowOf } from './people'

const kind = `Boat master ${process.env.E2E_RUNNING ?? ''}`.trim()

test('a kind that the desk adds is what a candidate is asked and what the desk then reads', { tag: '@long' }, async ({
  browser,
}) => {
  const desk = await windowOf(browser)
  const candidate = await windowOf(browser, { width: 390, height: 844 })
  const held = library.find(({ holds }) => holds === 'credentials')!
  const { slug } = await openPost(`Lake crew ${process.env.E2E_RUNNING ?? ''}`, [held, form.at(-1)!])

  await test.step('the kind: two years to the end of the month, a pattern, a sum insured', async () => {
    await signIn(desk, 'anselm@vallorne.example')
    await desk.goto('/desk/catalogue/credentials')
    await desk.getByRole('button', { name: 'Add a kind' }).click()
    await desk.getByLabel('Name in English').fill(kind)
    await desk.getByLabel('Name in German').fill(`${kind} (deutsch)`)
    await desk.getByLabel('Papers to give, in English').fill('the card')
    await desk.getByLabel('How long it is valid').selectOption('months')
    await desk.getByLabel('Months from issue').fill('24')
    await desk.getByLabel('To the end of that month').check()
    await desk.getByLabel('Pattern of its numbers').fill('BM-####')
    await desk.getByLabel('Example').fill('BM-0001')
    await desk.getByRole('button', { name: 'Add a field' }).click()
    await desk.getByLabel('Name of the field in English').fill('Largest boat')
    await desk.getByLabel('Kind of answer').selectOption('number')
    await desk.getByLabel('Currency or unit').fill('t')
    await expectAccessible(desk, 'a kind of the catalogue')
    await desk.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(desk.getByText(`${kind} is saved`).first()).toBeVisible()
  })

  await test.step('asked of a candidate on a phone: what is wrong is said, the last day comes by the rule', async () => {
    await newPerson(candidate, 'Bodil Boat')
    await candidate.goto(`/vacancies/${slug}`)
    await candidate.getByRole('button', { name: 'Apply' }).click()
    await candidate.getByRole('button', { name: 'Add another kind' }).click()
    await candidate.getByLabel('Kind', { exact: true }).selectOption({ label: kind })
    await candidate.getByRole('combobox', { name: 'Who issued it?' }).fill('hoehenwerk')
    await candidate.getByRole('option', { name: /Höhenwerk Training/ }).click()
    await candidate.getByLabel(/^Issued/).fill('10 Mar 2026')
    await candidate.getByLabel(/^Issued/).blur()
    await expect(candidate.getByLabel('Valid through')).toHaveValue('31 Mar 2028')
    await candidate.getByLabel('Number', { exact: true }).fill('BX-12')
    await candidate.getByLabel('Largest boat').fill('35')
    await candidate.getByRole('button', { name: 'Add to my papers' }).click()
    await expect(candidate.getByText('BM-0001').first()).toBeVisible()
    await candidate.getByLabel('Number', { exact: true }).fill('BM-4711')
    await candidate.getByRole('button', { name: 'Add to my papers' }).click()
    await expect(candidate.getByRole('heading', { name: kind })).toBeVisible()
    await expect(candidate.getByText('Largest boat: 35 t')).toBeVisible()
  })

  await test.step('taken out it is offered no more, and stays what was given', async () => {
    await desk
      .getByRole('button', { name: new RegExp(kind) })
      .first()
      .click()
    await desk.getByLabel('Offered to choose').last().uncheck()
    await desk.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(desk.getByRole('dialog')).toHaveCount(0)
    await candidate.reload()
    await expect(candidate.getByRole('heading', { name: kind })).toBeVisible()
    await candidate.getByRole('button', { name: 'Add another kind' }).click()
    await expect(candidate.getByLabel('Kind', { exact: true }).locator('option', { hasText: kind })).toHaveCount(0)
  })

  await test.step('the versions say who did what', async () => {
    await desk.goto('/desk/catalogue/versions')
    await expect(desk.getByText(kind).first()).toBeVisible()
    await expect(desk.getByText('Anselm').first()).toBeVisible()
  })
})
