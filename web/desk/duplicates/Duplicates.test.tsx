import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { listDuplicates, readDuplicate } from '#contract/duplicates'
import type { Reply } from '#contract/endpoint'
import { showPage } from '../../../test/page'
import { Duplicates } from './Duplicates'

type Pair = Reply<typeof readDuplicate>
const [one, two, three] = [uuid(), uuid(), uuid()]
const side = (candidateId: string, name: string, over: Partial<Pair['sides'][number]> = {}): Pair['sides'][number] => ({
  ...{
    candidateId,
    name,
    otherNames: [],
    born: '1990-04-11',
    phone: null,
    mails: [`${candidateId.slice(-4)}@mail.example`],
  },
  ...{ hidden: [], since: '2026-10-01T08:00:00.000Z', applications: [], claims: [] },
  ...over,
})
const pair = (over: Partial<Pair> = {}): Pair => ({
  sides: [side(one, 'Marta Keller'), side(two, 'Martha Keller')],
  likelihood: 'likely',
  agreements: [
    { field: 'name', verdict: 'close', reasons: [], ours: 'Marta', theirs: 'Martha', words: 'almost the same' },
    { field: 'birth date', verdict: 'same', reasons: [], ours: '', theirs: '', words: 'the same' },
  ],
  state: 'open',
  ...over,
})
const listed: Reply<typeof listDuplicates> = {
  pairs: [
    {
      oneId: one,
      otherId: two,
      names: ['Marta Keller', 'Martha Keller'],
      likelihood: 'likely',
      agreeing: ['birth date'],
    },
    { oneId: two, otherId: three, names: ['Martha Keller', 'M. Keller'], likelihood: 'possible', agreeing: ['phone'] },
  ],
  merged: [],
}
const show = (at: string, more: Parameters<typeof showPage>[1] = {}) =>
  showPage(<Duplicates />, {
    at,
    path: '/desk/duplicates/:oneId?/:otherId?',
    listDuplicates: listed,
    readDuplicate: pair(),
    ...more,
  })

test('pairs stand with what agrees, and J opens the first', async () => {
  const { user, where } = await show('/desk/duplicates')
  const pairs = within(await screen.findByRole('region', { name: 'Pairs' }))
  expect(pairs.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'Marta KellerMartha KellerLikely: date of birth',
    'Martha KellerM. KellerPossible: phone',
  ])
  await user.keyboard('j')
  expect(where()).toBe(`/desk/duplicates/${one}/${two}`)
})

test('two files side by side say field by field what agrees, and what cannot be compared', async () => {
  await show(`/desk/duplicates/${one}/${two}`)
  expect(await screen.findByRole('heading', { name: 'Likely one person' })).toBeTruthy()
  const cells = (name: string) =>
    within(screen.getByRole('row', { name: new RegExp(`^${name}`) }))
      .getAllByRole('cell')
      .map(({ textContent }) => textContent)
  expect(cells('Name')).toEqual(['Marta Keller', 'Martha Keller', 'almost the same'])
  expect(cells('Born').at(-1)).toBe('the same')
  expect(cells('Phone')).toEqual(['not given', 'not given', 'nothing to compare'])
  expect(cells('Mail').at(-1)).toBe('another address')
})

test('what is hidden from the reader is said to be hidden, not to be missing', async () => {
  const hidden = [{ subject: 'birth date', label: 'Date of birth', mayReveal: false }]
  await show(`/desk/duplicates/${one}/${two}`, {
    readDuplicate: pair({ sides: [side(one, 'A', { born: null, hidden }), side(two, 'B', { born: null })] }),
  })
  const born = within(await screen.findByRole('row', { name: /^Born/ })).getAllByRole('cell')
  expect(born.slice(0, 2).map(({ textContent }) => textContent)).toEqual(['hidden', 'not given'])
})

test('X says that they are two, once, and goes back to the pairs', async () => {
  const { user, sent, where } = await show(`/desk/duplicates/${one}/${two}`, { setApart: { done: true } })
  await screen.findByRole('heading', { name: 'Likely one person' })
  await user.keyboard('x')
  await waitFor(() => expect(where()).toBe('/desk/duplicates'))
  expect(sent).toMatchObject([{ name: 'setApart', params: { oneId: one, otherId: two } }])
})

test('nothing is decided about files that could not be read', async () => {
  const { user, sent } = await show(`/desk/duplicates/${one}/${two}`, { readDuplicate: { problem: { status: 503 } } })
  await screen.findByRole('button', { name: 'Try again' })
  await user.keyboard('xm')
  expect(sent).toEqual([])
  expect(screen.queryByRole('dialog')).toBeNull()
})

test('merging says which file stays and why, and brings the other into it', async () => {
  const { user, sent, where } = await show(`/desk/duplicates/${one}/${two}`, { mergeFiles: { id: uuid() } })
  await screen.findByRole('heading', { name: 'Likely one person' })
  await user.keyboard('m')
  const dialog = within(await screen.findByRole('dialog'))
  const why = dialog.getByRole<HTMLTextAreaElement>('textbox')
  expect(why.value).toBe('Agree: date of birth')
  await user.click(dialog.getByRole('radio', { name: /^Martha Keller/ }))
  await user.click(dialog.getByRole('button', { name: 'Merge' }))
  await waitFor(() => expect(where()).toBe('/desk/duplicates'))
  expect(sent).toMatchObject([
    { name: 'mergeFiles', params: { keptId: two }, body: { mergedId: one, reason: 'Agree: date of birth' } },
  ])
})

test('a merge that somebody was quicker with is told where it was asked for', async () => {
  const { user } = await show(`/desk/duplicates/${one}/${two}`, {
    mergeFiles: { problem: { status: 409, title: 'These two have been merged already.' } },
  })
  await screen.findByRole('heading', { name: 'Likely one person' })
  await user.keyboard('m')
  await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Merge' }))
  expect(await within(screen.getByRole('dialog')).findByText(/merged already/)).toBeTruthy()
})

test('what was merged lately can be taken apart again', async () => {
  const id = uuid()
  const { user, sent } = await show('/desk/duplicates', {
    listDuplicates: {
      pairs: [],
      merged: [{ id, kept: 'Marta Keller', merged: 'Martha Keller', by: 'Ines', at: '2026-11-27T08:00:00.000Z' }],
    },
    undoMerge: { done: true },
  })
  await user.click(await screen.findByRole('button', { name: 'Take apart again' }))
  await waitFor(() => expect(sent).toMatchObject([{ name: 'undoMerge', params: { id } }]))
})
