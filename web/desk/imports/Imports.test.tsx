import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Reply } from '#contract/endpoint'
import type { readImport } from '#contract/imports'
import { showPage } from '../../../test/page'
import { Imports } from './Imports'

type Import = Reply<typeof readImport>
const id = uuid()
const anImport = (over: Partial<Import> = {}): Import => ({
  ...{ id, fileName: 'season.csv', format: 'csv', state: 'mapping', total: 3, done: 0, by: 'Ines Caldwell' },
  ...{ at: '2026-11-26T09:30:00.000Z', finishedAt: null, columns: ['Name', 'Mail', 'Notes'] },
  sample: [['Ada Kern', 'ada@mail.example', 'tall']],
  mapping: { Name: 'fullName', Mail: 'mail' },
  ...{ faults: [], faultCount: 0, faultyRows: 0, doubts: [], doubtCount: 0, people: { made: 2, known: 1, claims: 4 } },
  ...{ note: null, brought: [] },
  ...over,
})
const show = (one: Import, more: Parameters<typeof showPage>[1] = {}) =>
  showPage(<Imports />, { at: `/desk/imports/${id}`, path: '/desk/imports/:id?', readImport: one, ...more })

test('a file that is chosen is taken in and opened', async () => {
  const { user, where, container } = await showPage(<Imports />, {
    at: '/desk/imports',
    path: '/desk/imports/:id?',
    listImports: [],
    beginImport: { id },
    readImport: anImport(),
  })
  expect(await screen.findByText('Nothing has been imported yet.')).toBeTruthy()
  await user.upload(
    container.querySelector<HTMLInputElement>('input[type=file]')!,
    new File(['Name\nAda'], 'season.csv'),
  )
  await waitFor(() => expect(where()).toBe(`/desk/imports/${id}`))
})

test('columns say what they are taken for; no two columns are taken for one thing', async () => {
  const { user, sent } = await show(anImport(), { mapImport: { done: true } })
  const field = (name: string) => screen.findByLabelText<HTMLSelectElement>(name)
  expect([(await field('Name')).value, (await field('Notes')).value]).toEqual(['fullName', ''])
  await user.selectOptions(await field('Notes'), 'mail')
  await waitFor(() => expect(sent.at(-1)?.body).toEqual({ mapping: { Name: 'fullName', Notes: 'mail' } }))
  await user.selectOptions(await field('Name'), '')
  await waitFor(() => expect(sent.at(-1)?.body).toEqual({ mapping: { Mail: 'mail' } }))
})

test('faults are named by row and column, and the rest may go in all the same', async () => {
  const faults = [{ row: 3, column: 'Mail', message: 'This is no mail address.' }]
  const { user, sent } = await show(anImport({ faults, faultCount: 1, faultyRows: 1 }), { runImport: { done: true } })
  const wrong = within(await screen.findByRole('region', { name: 'What is wrong' }))
  expect(wrong.getByText('One thing is wrong.')).toBeTruthy()
  expect(wrong.getAllByRole('cell').map(({ textContent }) => textContent)).toEqual([
    '3',
    'Mail',
    'This is no mail address.',
  ])
  expect(wrong.getByRole('link').getAttribute('href')).toBe(`/api/desk/imports/${id}/left.csv`)
  await user.click(screen.getByRole('button', { name: 'Import 2 rows' }))
  await waitFor(() => expect(sent).toMatchObject([{ name: 'runImport', params: { id } }]))
})

test('where no row is right nothing can be imported', async () => {
  await show(anImport({ total: 1, faultyRows: 1, faultCount: 1, faults: [{ row: 2, column: 'Mail', message: 'No.' }] }))
  expect((await screen.findByRole<HTMLButtonElement>('button', { name: /^Import/ })).disabled).toBe(true)
})

test('what no rule can be sure of is shown to be looked at', async () => {
  const doubts = [{ row: 2, column: 'Name', message: 'Read as given names "Ana Maria", family name "Ruiz Sol".' }]
  await show(anImport({ doubts, doubtCount: 1 }))
  const look = within(await screen.findByRole('region', { name: 'Look at this' }))
  expect(look.getByText('Look at one name.')).toBeTruthy()
  expect(look.getByText(/Ana Maria/)).toBeTruthy()
})

test('while it runs it says how far it is, and nothing can be pressed twice', async () => {
  await show(anImport({ state: 'waiting', done: 1 }))
  expect(await screen.findByText('1 of 3 rows')).toBeTruthy()
  expect(screen.queryByRole('button', { name: /Import|Take/ })).toBeNull()
  expect(screen.queryByLabelText('Name')).toBeNull()
})

test('what is in is listed by name and can be taken back whole', async () => {
  const brought = [{ candidateId: uuid(), name: 'Ada Kern', claims: 2 }]
  const { user, sent } = await show(
    anImport({ state: 'done', done: 3, brought, people: { made: 1, known: 1, claims: 4 } }),
    {
      undoImport: { done: true },
    },
  )
  const who = within(await screen.findByRole('region', { name: 'Who came with it' }))
  expect(who.getByRole('link', { name: 'Ada Kern' }).getAttribute('href')).toBe(
    `/desk/people/${brought[0]!.candidateId}`,
  )
  expect(who.getByText(/^The first 1; anybody/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Take it back whole' }))
  await waitFor(() => expect(sent).toMatchObject([{ name: 'undoImport', params: { id } }]))
})

test('one that broke off says so, and what is in can be taken back', async () => {
  await show(anImport({ state: 'failed', done: 2, note: 'The file ended in the middle of a row.' }))
  expect(await screen.findByText('The file ended in the middle of a row.')).toBeTruthy()
  expect(screen.getByRole('button', { name: 'Take it back whole' })).toBeTruthy()
  expect(screen.getByText('3 rows, broke off.')).toBeTruthy()
})
