import { screen, waitFor } from '@testing-library/react'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { HiddenParts } from './HiddenParts'

const id = aFile().id
const hidden = [
  { subject: 'name', label: 'name and papers', mayReveal: true },
  { subject: 'health', label: 'paper about health', mayReveal: false },
]

test('what is hidden is named; what may be shown is, for a reason, by one key', async () => {
  const { user, sent } = await showPage(<HiddenParts applicationId={id} hidden={hidden} letter="H" />, {
    reveal: { until: '2026-11-28T09:15:00.000Z' },
  })
  expect(screen.getByText(/name and papers; paper about health/)).toBeTruthy()
  await user.keyboard('h')
  await screen.findByRole('dialog')
  // What may not be shown to this role is not offered.
  expect(screen.queryByLabelText('paper about health')).toBeNull()
  const show = screen.getByRole<HTMLButtonElement>('button', { name: 'Show it' })
  expect(show.disabled).toBe(true)
  await user.type(screen.getByLabelText('Why do you need it?'), 'They rang about their paper')
  await user.click(show)
  await waitFor(() =>
    expect(sent).toMatchObject([
      { name: 'reveal', params: { id }, body: { subject: 'name', reason: 'They rang about their paper' } },
    ]),
  )
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
})

test('where nothing may be shown there is no way to ask, and no key', async () => {
  const { user } = await showPage(<HiddenParts applicationId={id} hidden={[hidden[1]!]} letter="H" />)
  expect(screen.queryByRole('button')).toBeNull()
  await user.keyboard('h')
  expect(screen.queryByRole('dialog')).toBeNull()
})

test('with nothing hidden nothing is said', async () => {
  await showPage(<HiddenParts applicationId={id} hidden={[]} letter="H" />)
  expect(screen.queryByText(/Hidden/)).toBeNull()
})
