import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { QueueLine } from '#contract/desk'
import { aFile } from '../../../test/deskFile'
import { type Call, showPage } from '../../../test/page'
import { QueueDesk } from './QueueDesk'

const line = (candidate: string, over: Partial<QueueLine> = {}): QueueLine => ({
  ...{
    id: uuid(),
    candidate,
    vacancy: 'Rope-access inspector',
    slack: 9,
    why: 'Look at the document',
    marks: [],
    owner: null,
  },
  ...over,
})
const [ada, bela, cem] = [line('Ada Kern', { slack: -2 }), line('Bela Moser', { slack: 3 }), line('Cem Ulmer')]

const show = (at: string, more: Parameters<typeof showPage>[1] = {}) =>
  showPage(<QueueDesk />, {
    at,
    path: '/desk/:queue/:id?/:chosen?',
    readQueue: ({ query }: Call) =>
      query.after ? { people: [cem], next: null, late: 1 } : { people: [ada, bela], next: '3_x', late: 1 },
    readFile: ({ params }: Call) => aFile({ id: params.id, candidate: { ...aFile().candidate, name: 'Somebody' } }),
    ...more,
  } as Parameters<typeof showPage>[1])
const list = async (name = 'Today') => within((await screen.findAllByLabelText(name)).at(-1)!)
const people = async () =>
  (await (await list()).findAllByRole('button', { name: /Rope-access/ })).map(({ textContent }) => textContent)

test('least slack stands first, with its days, what waits, and how many are late', async () => {
  await show('/desk/today')
  expect(await people()).toEqual([
    'Ada KernSlack −2 dRope-access inspectorLook at the document',
    'Bela MoserSlack +3 dRope-access inspectorLook at the document',
  ])
  expect(screen.getByText('One person is likely to miss the start.')).toBeTruthy()
})

test('more of a queue comes beneath what was read', async () => {
  const { user } = await show('/desk/today')
  await people()
  await user.click(screen.getByRole('button', { name: 'Show more' }))
  await waitFor(async () => expect(await people()).toHaveLength(3))
  expect(screen.queryByRole('button', { name: 'Show more' })).toBeNull()
})

test('J and K go through the people, and the file of whoever is chosen opens', async () => {
  const { user, where } = await show('/desk/today')
  await people()
  await user.keyboard('j')
  expect(where()).toBe(`/desk/today/${ada.id}`)
  expect(await screen.findByRole('heading', { name: 'Somebody' })).toBeTruthy()
  await user.keyboard('jjjj')
  expect(where()).toBe(`/desk/today/${bela.id}`)
  await user.keyboard('k')
  expect(where()).toBe(`/desk/today/${ada.id}`)
})

test('an address of a queue that is none leads to today', async () => {
  const { where } = await show('/desk/yesterday')
  await waitFor(() => expect(where()).toBe('/desk/today'))
})

test('more than are counted are said to be more', async () => {
  await show('/desk/today', { readQueue: { people: [ada], next: null, late: 1000 } })
  expect(await screen.findByText('More than 999 people are likely to miss the start.')).toBeTruthy()
})

test('an empty queue says that nothing waits', async () => {
  await show('/desk/today', { readQueue: { people: [], next: null, late: 0 } })
  expect(await (await list()).findByRole('listitem')).toBeTruthy()
  expect(screen.queryByText(/likely to miss/)).toBeNull()
})

test('whose roles see no files is told who decides that, and nothing is asked of the server', async () => {
  await show('/desk/today', { roles: ['stores'] })
  expect(await screen.findByText(/^Your roles see no files/)).toBeTruthy()
})

test('mine is asked for unless everybody’s is chosen, which stays in the address', async () => {
  const asked: string[] = []
  const { user, where } = await show('/desk/today', {
    readQueue: ({ query }: Call) => {
      asked.push(query.whose ?? '')
      return { people: [{ ...ada, owner: { id: uuid(), name: 'Tomas Velde' } }], next: null, late: 0 }
    },
  })
  expect(await screen.findByTitle('Tomas Velde')).toBeTruthy()
  expect(asked).toEqual(['mine'])
  await user.click(screen.getByRole('button', { name: 'Everybody’s' }))
  await waitFor(() => expect(asked.at(-1)).toBe('all'))
  expect(where()).toContain('?whose=all')
})
