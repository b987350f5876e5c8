import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { DeskOriginal } from '#contract/originals'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { Safe } from '../overviews/Safe'
import { Originals } from './Originals'

const original = (over: Partial<DeskOriginal> = {}): DeskOriginal => ({
  ...{ id: uuid(), document: uuid(), title: 'MSc', fileName: 'MSc.pdf', pages: 2, state: 'here', way: 'in person' },
  ...{ tracking: '', announcedAt: '2026-11-20T08:00:00.000Z', receivedAt: '2026-11-21T08:00:00.000Z' },
  ...{ receivedFrom: 'Ilse', receivedBy: 'Ines Caldwell', place: 'Drawer 3', compared: null, pagesCompared: [] },
  ...{ comparedBy: '', comparedAt: null, returnedAt: null, returnedTo: '', returnedBy: '', returnTracking: '' },
  ...{ signed: false, version: 2 },
  ...over,
})
const paper = { document: uuid(), title: 'First aid', fileName: 'Aid.png' }
const show = (originals: DeskOriginal[], more: object = {}) =>
  showPage(<Originals file={aFile()} />, {
    roles: ['coordinator'],
    listOriginals: { originals, papers: [paper] },
    receiveOriginal: { id: uuid() },
    compareOriginal: { compared: 'differs' },
    returnOriginal: { done: true },
    moveOriginal: { done: true },
    ...more,
  } as Parameters<typeof showPage>[1])
const press = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name, hidden: true })

test('every page is said to be the same or how it differs, and none is said beforehand', async () => {
  const { user, sent } = await show([original()])
  await user.click(press('Compare with the scan'))
  expect(screen.getAllByRole<HTMLInputElement>('radio').some(({ checked }) => checked)).toBe(false)
  await user.click(screen.getAllByLabelText('the same')[0]!)
  expect(press('Write it down').disabled).toBe(true)
  await user.click(screen.getAllByLabelText('differs')[1]!)
  expect(press('Write it down').disabled).toBe(true)
  await user.type(screen.getByLabelText('How page 2 differs'), 'No seal')
  await user.click(press('Write it down'))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toEqual({
    version: 2,
    pages: [
      { page: 1, same: true, note: '' },
      { page: 2, same: false, note: 'No seal' },
    ],
  })
})

test('it is taken in with who handed it over and where it is kept; by post it goes back with its number', async () => {
  const { user, sent, unmount } = await show([])
  await user.click(press('Take an original in'))
  expect(press('Take it in').disabled).toBe(true)
  await user.type(screen.getByLabelText('Where it is kept'), 'Drawer 9')
  await user.click(press('Take it in'))
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ document: paper.document, place: 'Drawer 9' }))
  unmount()
  const back = await show([original()])
  await back.user.click(press('Give it back'))
  await back.user.click(screen.getByLabelText('by post'))
  await back.user.type(screen.getByLabelText('Tracking number'), 'RR 1')
  await back.user.click(press('Give it back'))
  await waitFor(() => expect(back.sent[0]?.body).toEqual({ version: 2, way: 'by post', to: 'Ilse', tracking: 'RR 1' }))
})

test('who only reads is offered nothing; what differs is said by page', async () => {
  const pagesCompared = [{ page: 2, same: false, note: 'No seal' }]
  await show([original({ compared: 'differs', pagesCompared, comparedAt: '2026-11-22T08:00:00.000Z' })], {
    roles: ['auditor'],
  })
  screen.getByText('Page 2: No seal')
  expect(screen.queryByRole('button', { hidden: true })).toBeNull()
})

test('the safe lists what is in it, and what nobody has compared', async () => {
  const application = { id: uuid(), reference: 'VM-1', ended: true }
  await showPage(<Safe />, {
    readSafe: [
      {
        ...{ id: uuid(), title: 'MSc', name: 'Ilse Vandermeer', application, place: 'Drawer 3' },
        ...{ since: '2026-11-01T08:00:00.000Z', days: 28, compared: null },
      },
    ],
  })
  screen.getByText(/28 days/)
  screen.getByText('not yet')
  screen.getByText('over')
})
