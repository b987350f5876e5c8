import { screen, waitFor, within } from '@testing-library/react'
import type { Reply } from '#contract/endpoint'
import type { readTray } from '#contract/tray'
import { showPage } from '../../../test/page'
import { PaperTray } from './PaperTray'

type Tray = Reply<typeof readTray>
const nth = (at: number) => `0190a3f0-0000-7000-8000-00000000000${at}`
const guess = (at: number, over: object = {}): Tray['waiting'][number]['guesses'][number] =>
  ({
    ...{ applicationId: nth(at), claimId: nth(at + 4), name: `Person ${at}`, label: 'Rope access card' },
    ...{ reference: 'VM-EDMH-RK', because: ['name', 'awaited'] },
    ...over,
  }) as never
const paper = (at: number, over: Partial<Tray['waiting'][number]> = {}): Tray['waiting'][number] => ({
  ...{ id: nth(at), fileName: `Scan ${at}.pdf`, came: 'scanner', broughtBy: '', cameAt: '2026-11-28T08:00:00.000Z' },
  ...{ pages: 2, why: 'Two people have this name.', guesses: [guess(1), guess(2)] },
  ...over,
})
const aTray = (over: Partial<Tray> = {}): Tray => ({
  ...{ waiting: [paper(1), paper(2, { pages: 1 })], reading: [], refused: [], filed: [] },
  ...over,
})
const show = (tray: Tray, more: object = {}) =>
  showPage(<PaperTray />, {
    ...{ at: `/desk/paper/${nth(1)}`, path: '/desk/paper/:id?', readTray: tray, readTrayPaper: 'no connection' },
    ...more,
  } as Parameters<typeof showPage>[1])

test('a number files the paper where it most likely belongs, and the tray goes on', async () => {
  const { user, sent, where } = await show(aTray(), { filePaper: { done: true } })
  await screen.findByText('Person 2')
  expect(screen.getAllByText('the name is on it, the file waits for it')).toHaveLength(2)
  await user.keyboard('2')
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({ params: { id: nth(1) }, body: { applicationId: nth(2), claimId: nth(6) } })
  await waitFor(() => expect(where()).toBe('/desk/paper'))
})

test('J and K go through what waits; X takes out what belongs to no file', async () => {
  const { user, sent, where } = await show(aTray(), { takeOutOfTray: { done: true } })
  await screen.findByText('Person 1')
  await user.keyboard('j')
  await waitFor(() => expect(where()).toBe(`/desk/paper/${nth(2)}`))
  await user.keyboard('k')
  await waitFor(() => expect(where()).toBe(`/desk/paper/${nth(1)}`))
  await user.keyboard('x')
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'takeOutOfTray', params: { id: nth(1) } }))
})

test('somebody nobody guessed is found by name, and it is said what of their file it is', async () => {
  const person = { id: nth(9), candidate: 'Ada Roth', vacancy: 'Track engineer', reference: 'VM-1' }
  const { user, sent } = await show(aTray({ waiting: [paper(1, { guesses: [] })] }), {
    find: { people: [person], sources: [], vacancies: [] },
    placesFor: [{ claimId: nth(8), label: 'First aid at work', parts: ['front', 'back'] }],
    filePaper: { done: true },
  })
  await screen.findByText('Nothing on it says whose it is.')
  const place = within(screen.getByRole('region', { name: 'Another person’s' }))
  await user.type(place.getByRole('searchbox'), 'Ada')
  await user.click(await place.findByRole('button', { name: /^Ada Roth/ }))
  const file = place.getByRole<HTMLButtonElement>('button', { name: 'File it here' })
  expect(file.disabled).toBe(true)
  await place.findByRole('option', { name: 'First aid at work' })
  await user.selectOptions(place.getByLabelText('What is it for?'), 'First aid at work')
  await user.selectOptions(place.getByLabelText('What is it?'), 'back')
  await user.click(file)
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toEqual({ applicationId: nth(9), claimId: nth(8), part: 'back' })
})

test('what somebody else has dealt with meanwhile says so, and stays', async () => {
  const title = 'Somebody has dealt with this already.'
  const { user, where } = await show(aTray(), { filePaper: { problem: { status: 409, code: 'settled', title } } })
  await screen.findByText('Person 1')
  await user.click(screen.getAllByRole('button', { name: /^File it here/ })[0]!)
  await screen.findByText(title)
  expect(where()).toBe(`/desk/paper/${nth(1)}`)
})

test('of several scans one that is refused is named, and the others are in', async () => {
  const { user, sent } = await show(aTray(), {
    putInTray: ({ query }: { query: { fileName: string } }) =>
      query.fileName === 'Torn.pdf'
        ? { problem: { status: 422, title: 'Only PDF, TIFF, JPEG and PNG.' } }
        : { id: nth(3) },
  })
  const file = (name: string) => new File(['x'], name)
  await screen.findByText('Person 1')
  await user.upload(screen.getByLabelText('Scans to put into the tray'), [file('Torn.pdf'), file('card.pdf')])
  await screen.findByText('Not taken: Torn.pdf.')
  expect(sent.map(({ query }) => query.fileName)).toEqual(['Torn.pdf', 'card.pdf'])
})

test('what is being read, what could not be, and what was filed lately stand beneath', async () => {
  await show(
    aTray({
      waiting: [],
      reading: [{ id: nth(4), fileName: 'Big.tiff' }],
      refused: [
        { id: nth(5), fileName: 'Torn.pdf', fault: 'Its pages cannot be read.', cameAt: '2026-11-28T08:00:00.000Z' },
      ],
      filed: [{ id: nth(6), fileName: 'Card.pdf', to: 'Ada Roth, card', by: 'Ines', at: '2026-11-28T08:00:00.000Z' }],
    }),
  )
  await screen.findByText('Reading Big.tiff…')
  screen.getByText('Its pages cannot be read.')
  screen.getByText(/^by Ines/)
  screen.getByText('Nothing waits. What comes with a cover sheet is filed by itself.')
})

test('a paper that answers a question is laid with it by its reference; which is not known is said beside it', async () => {
  const message = 'No open enquiry has this reference.'
  const { user, sent } = await show(aTray(), {
    layWithQuestion: { problem: { status: 422, faults: [{ pointer: '/body/reference', message }] } },
  })
  const form = within(await screen.findByRole('region', { name: 'It answers an enquiry' }))
  await user.type(form.getByLabelText('Reference of the enquiry'), 'eq-1{Enter}')
  await form.findByText(message)
  expect(sent[0]).toMatchObject({ params: { id: nth(1) }, body: { reference: 'eq-1' } })
})
