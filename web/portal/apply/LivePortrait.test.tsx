import { screen, waitFor } from '@testing-library/react'
import type { Claim } from '#contract/claims'
import { aDocument } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { LivePortrait } from './LivePortrait'

const show = (documents: Claim['documents']) =>
  showPage(<LivePortrait claim={{ id: '00000000-0000-7000-8000-000000000001', documents } as unknown as Claim} />, {
    beginCapture: {
      id: '00000000-0000-7000-8000-000000000002',
      state: 'waiting',
      address: 'http://device.test/1',
      offered: null,
      mended: [],
      why: null,
    },
    takeCapture: {
      id: '00000000-0000-7000-8000-000000000002',
      state: 'read',
      address: '',
      offered: null,
      mended: [],
      why: null,
    },
  })
const portrait = (state: 'to look at' | 'sent back' | 'seen' | 'replaced', sentBackBecause: string | null = null) =>
  aDocument({ live: true, part: 'portrait', state, sentBackBecause, uploadedAt: '2026-11-24T09:00:00.000Z' })

test('it is begun on a phone by its code, and looked for until it is there', async () => {
  const { user, sent } = await show([])
  await user.click(screen.getByRole('button', { name: 'Hand it over to my phone' }))
  expect(sent[0]!.body).toEqual({ what: 'portrait' })
  await screen.findByRole('img', { name: /QR code/ })
  await waitFor(() => expect(sent.length).toBeGreaterThan(1), { timeout: 5000 })
})

test('what was taken waits for a person and may be taken again until then', async () => {
  const { user } = await show([portrait('replaced'), portrait('to look at')])
  expect(screen.getByText(/Taken on 24 Nov 2026/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Take it again' }))
  expect(screen.getByRole('button', { name: 'Take it on this screen' })).toBeTruthy()
})

test('sent back it says why and is taken again; looked at it stays', async () => {
  await show([portrait('sent back', 'Your face is in the dark')])
  expect(screen.getByText('Your face is in the dark')).toBeTruthy()
  expect(screen.getByRole('button', { name: 'Take it on this screen' })).toBeTruthy()
})

test('looked at it stays as it is', async () => {
  await show([portrait('seen')])
  expect(screen.queryByRole('button')).toBeNull()
})
