import { screen, waitFor, within } from '@testing-library/react'
import { type Catalogue, catalogueParts } from '#core/catalogue/catalogue'
import { vallorneCatalogue } from '#scenario/catalogue'
import { showPage } from '../../../test/page'
import { CataloguePage } from './CataloguePage'

type Answers = Parameters<typeof showPage>[1]
const show = (part: string, more: Answers = {}) =>
  showPage(<CataloguePage />, {
    ...{ at: `/desk/catalogue/${part}`, path: '/desk/catalogue/:part?', roles: ['administrator'] },
    readCatalogue: { version: 3, catalogue: vallorneCatalogue },
    saveCatalogue: { version: 4 },
    ...more,
  } as Answers)
const savedBy = (sent: Awaited<ReturnType<typeof show>>['sent']) =>
  (sent.at(-1)!.body as { version: number; catalogue: Catalogue }).catalogue
const dialog = async () => within(await screen.findByRole('dialog'))

test.each(catalogueParts)('%s are listed by name, with what there is to know', async (part) => {
  await show(part)
  await screen.findByRole('button', { name: vallorneCatalogue[part][0]!.name })
  expect(screen.getAllByRole('row')).toHaveLength(vallorneCatalogue[part].length + 1)
})

test('a kind is changed in its place: how long it is valid, how it is numbered, what it asks, in both languages', async () => {
  const { user, sent } = await show('credentials')
  await user.click(await screen.findByRole('button', { name: 'First aid at work' }))
  const form = await dialog()
  await user.clear(form.getByLabelText('Name in German'))
  await user.type(form.getByLabelText('Name in German'), 'Ersthelfer')
  await user.selectOptions(form.getByLabelText('How long it is valid'), 'so many months from issue')
  await user.clear(form.getByLabelText('Months from issue'))
  await user.type(form.getByLabelText('Months from issue'), '24')
  await user.click(form.getByRole('checkbox', { name: 'To the end of that month' }))
  await user.click(form.getByRole('button', { name: 'Add a field' }))
  await user.type(form.getByLabelText('Name of the field in English'), 'Sum')
  await user.selectOptions(form.getByLabelText('Kind of answer'), 'money')
  await user.click(form.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  expect(sent).toMatchObject([{ name: 'saveCatalogue', body: { version: 3 } }])
  const { credentials } = savedBy(sent)
  expect(credentials).toHaveLength(vallorneCatalogue.credentials.length)
  expect(credentials[2]).toMatchObject({
    ...{ key: 'first-aid', translations: { de: { name: 'Ersthelfer', papers: 'das Zeugnis' } } },
    validity: { kind: 'months', months: 24, toEndOfMonth: true },
    fields: [{ label: 'Sum', kind: 'money', unit: 'EUR', required: false }],
  })
})

test('what is wrong stands beside it, and what was typed stays', async () => {
  const pointer = `/body/catalogue/credentials/${vallorneCatalogue.credentials.length}/number/pattern`
  const { user } = await show('credentials', {
    saveCatalogue: {
      problem: { status: 422, code: 'invalid', faults: [{ pointer, message: 'This pattern cannot be read.' }] },
    },
  })
  await user.click(await screen.findByRole('button', { name: 'Add a kind' }))
  const form = await dialog()
  await user.type(form.getByLabelText('Name in English'), 'Drone pilot licence')
  await user.type(form.getByLabelText(/Pattern of its numbers/), '[[')
  await user.type(form.getByLabelText(/Example/), 'U-1')
  await user.click(form.getByRole('button', { name: 'Save' }))
  await form.findByText('This pattern cannot be read.')
  expect(form.getByLabelText<HTMLInputElement>('Name in English').value).toBe('Drone pilot licence')
})

test('a field of study is chosen from the standard, and what is there is not offered again', async () => {
  const { user, sent } = await show('fields')
  await user.click(await screen.findByRole('button', { name: 'Add a field' }))
  const form = await dialog()
  const choice = form.getByLabelText('Of the standard')
  expect(within(choice).queryByRole('option', { name: /^0713/ })).toBeNull()
  await user.selectOptions(choice, '0913')
  await user.click(form.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(savedBy(sent).fields.at(-1)).toMatchObject({ key: '0913', name: 'Nursing and midwifery' })
})

test('a language is taken out of the choice, and stays', async () => {
  const { user, sent } = await show('languages')
  await user.click(await screen.findByRole('button', { name: 'Arabic' }))
  await user.click((await dialog()).getByRole('checkbox', { name: /Offered to choose/ }))
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(savedBy(sent).languages.find(({ key }) => key === 'ar')?.retired).toBe(true)
})

test('a scale by letters has its marks and classes', async () => {
  const { user, sent } = await show('scales')
  await user.click(await screen.findByRole('button', { name: 'A to F' }))
  const form = await dialog()
  await user.click(form.getByRole('button', { name: 'Add a mark' }))
  await user.type(form.getByLabelText('Mark 7'), 'G')
  await user.click(form.getByRole('button', { name: 'Take class 3 out' }))
  const first = form.getByLabelText('Class 1 begins at per cent')
  await user.clear(first)
  await user.type(first, '92,5')
  await user.click(form.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  const { scale } = savedBy(sent).scales.at(-1)!
  expect(scale.kind === 'letters' && scale.letters.map(({ letter }) => letter).join('')).toBe('ABCDEFG')
  expect(scale.classes.map(({ from }) => from)).toEqual([92.5, 75])
})

test('a kind of document says who may read it', async () => {
  const { user, sent } = await show('documents')
  await user.click(await screen.findByRole('button', { name: 'Add a kind' }))
  const form = await dialog()
  await user.type(form.getByLabelText('Name in English'), 'Payslip, last month')
  await user.selectOptions(form.getByLabelText('Who may read it'), 'those named for money')
  await user.click(form.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(savedBy(sent).documents.at(-1)).toEqual({
    ...{ key: 'payslip-last-month', name: 'Payslip, last month', hint: '', sensitivity: 'money' },
  })
})

test('whoever does not keep it reads it, and is offered nothing that would be refused', async () => {
  await show('languages', { roles: ['coordinator'] })
  await screen.findByText(vallorneCatalogue.languages[0]!.name)
  expect(screen.queryByRole('button')).toBeNull()
  expect(screen.queryByRole('link', { name: 'Versions' })).toBeNull()
})

test('every version says who changed what', async () => {
  await show('versions', {
    readCatalogueVersions: {
      versions: [
        {
          ...{ version: 2, changedBy: 'Anselm Okoye', changedAt: '2026-11-20T09:00:00Z' },
          changes: [{ part: 'languages', key: 'ar', name: 'Arabic', what: 'retired' }],
        },
      ],
    },
  })
  await screen.findByText(/Version 2, Anselm Okoye/)
  await screen.findByText('Languages: Arabic, taken out of the choice')
})

test('a kind that is given in steps says how many, how far apart, and after how long again', async () => {
  const { user, sent } = await show('credentials')
  await user.click(await screen.findByRole('button', { name: 'First aid at work' }))
  const form = await dialog()
  expect(form.queryByLabelText('How many steps')).toBeNull()
  await user.click(form.getByRole('checkbox', { name: /^It is given in steps/ }))
  await user.clear(form.getByLabelText('Days between two of them at least'))
  await user.type(form.getByLabelText('Days between two of them at least'), '4')
  await user.type(form.getByLabelText(/^Repeated after months/), '12')
  await user.click(form.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  expect(savedBy(sent).credentials[2]).toMatchObject({ series: { steps: 2, repeatMonths: 12 } })
})
