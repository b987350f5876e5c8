import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Reply } from '#contract/endpoint'
import type { listMyOriginals } from '#contract/originals'
import { showPage } from '../../../test/page'
import { Originals } from './Originals'

type Mine = Reply<typeof listMyOriginals>
const original = (over: Partial<Mine['originals'][number]> = {}): Mine['originals'][number] => ({
  ...{ id: uuid(), document: uuid(), title: 'MSc', fileName: 'MSc.pdf', pages: 1, state: 'announced', way: 'by post' },
  ...{ tracking: 'RR 1', announcedAt: '2026-11-20T08:00:00.000Z', receivedAt: null, receivedFrom: '', compared: null },
  ...{ returnedAt: null, returnedTo: '', returnTracking: '', version: 1 },
  ...over,
})
const paper = { document: uuid(), title: 'First aid', fileName: 'Aid.png' }
const show = (originals: Mine['originals'], more: object = {}) =>
  showPage(<Originals id={uuid()} />, {
    roles: ['candidate'],
    listMyOriginals: { originals, papers: [paper], address: 'Vallorne Mountain Lines\npeople@vallorne.example' },
    announceOriginal: { id: uuid() },
    callOffOriginal: { done: true },
    ...more,
  } as Parameters<typeof showPage>[1])

test('an original is announced with how it comes, and a number only where it comes by post', async () => {
  const { user, sent } = await show([])
  await user.click(screen.getByRole('button', { name: 'Announce an original' }))
  screen.getByText(/^Bring or send it to:/)
  expect(screen.queryByLabelText(/^Tracking number/)).toBeNull()
  await user.click(screen.getByLabelText('by post'))
  await user.type(screen.getByLabelText(/^Tracking number/), 'RR 9')
  await user.click(screen.getByRole('button', { name: 'Announce it' }))
  await waitFor(() => expect(sent[0]?.body).toEqual({ document: paper.document, way: 'by post', tracking: 'RR 9' }))
})

test('where each is stands in words, and what was announced can be called off', async () => {
  const { user, sent } = await show([
    original(),
    original({ state: 'here', receivedAt: '2026-11-21T08:00:00.000Z', compared: 'same' }),
    original({ state: 'returned', returnedAt: '2026-11-25T08:00:00.000Z', returnedTo: 'Ilse', returnTracking: 'B 2' }),
    original({ state: 'called off' }),
  ])
  screen.getByText('You said it would come by post.')
  screen.getByText('Lies in our safe since 21 Nov 2026. It is the same as your scan.')
  screen.getByText('Given back on 25 Nov 2026: Ilse. Tracking number B 2.')
  screen.getByText('Does not come.')
  await user.click(screen.getByRole('button', { name: 'It does not come' }))
  await waitFor(() => expect(sent[0]?.name).toBe('callOffOriginal'))
})
