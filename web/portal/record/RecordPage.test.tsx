import { screen, waitFor } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { aDelivery, aPermission, someRecipients } from '../../../test/recipients'
import { RecordPage } from './RecordPage'

const show = (...permissions: Parameters<typeof someRecipients>) =>
  showPage(<RecordPage />, {
    ...{ at: '/record', path: '/record', roles: ['candidate'] },
    listOwnRecipients: someRecipients(...permissions),
    ...{ permitRecipient: { id: aPermission().id }, sendOwnRecord: { done: true }, withdrawRecipient: { done: true } },
    takeBackOwnRecord: { done: true },
  } as never)

test('somebody else is told of what is chosen, by a link that ends, once it is signed', async () => {
  const { user, sent } = await show()
  await user.click(await screen.findByRole('button', { name: 'Send it to somebody else' }))
  // What is confirmed is chosen to begin with, and nothing else.
  expect(screen.getByLabelText<HTMLInputElement>('A degree: confirmed').checked).toBe(true)
  expect(screen.getByLabelText<HTMLInputElement>('A job: only said by you').checked).toBe(false)
  const sign = screen.getByRole<HTMLButtonElement>('button', { name: 'Sign and send' })
  await user.type(screen.getByLabelText('Name of the recipient'), 'Rail Inspectorate')
  await user.type(screen.getByLabelText('Mail address'), 'records@inspectorate.example')
  await user.type(screen.getByLabelText(/typing your full/), 'Rita Report')
  await user.type(screen.getByLabelText('Your password'), 'a-secret')
  await user.click(screen.getByLabelText(/I have read this/))
  expect(sign.disabled).toBe(true)
  await user.type(screen.getByLabelText('What for'), 'Entry in the register')
  expect(screen.getByText(/allow Vallorne Mountain Lines to send Rail Inspectorate/)).toBeTruthy()
  await user.click(sign)
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toEqual({
    recipient: { name: 'Rail Inspectorate', mail: 'records@inspectorate.example', language: 'en' },
    ...{ purpose: 'Entry in the register', claims: [someRecipients().claims[0]!.id], through: '2027-02-28' },
    ...{ fullName: 'Rita Report', password: 'a-secret', agreed: true },
    send: { way: 'link', linkEndsOn: '2026-12-30' },
  })
})

test('it may be left to the desk when it is sent', async () => {
  const { user } = await show()
  await user.click(await screen.findByRole('button', { name: 'Send it to somebody else' }))
  await user.click(screen.getByLabelText(/Not yet/))
  expect(screen.getByRole('button', { name: 'Sign' })).toBeTruthy()
  expect(screen.queryByLabelText('Last day of the link')).toBeNull()
})

test('each says what it received, whether it was read, and is taken back once it is said what that means', async () => {
  const { user, sent } = await show(
    aPermission({
      deliveries: [aDelivery({ openings: 2, lastOpenedAt: '2026-11-30T09:00:00Z', savedAt: '2026-11-30T09:01:00Z' })],
    }),
  )
  expect(await screen.findByText(/Opened 2 times, last 30 Nov 2026, saved 30 Nov 2026/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Take it back' }))
  expect(screen.getByText(/Rail Inspectorate is told/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Take it back' }))
  await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['takeBackOwnRecord']))
})

test('by a permission that holds it is sent anew; one that ended or was withdrawn is done with', async () => {
  const { user, sent, unmount } = await show(
    aPermission({ deliveries: [aDelivery({ state: 'revoked', because: 'x' })] }),
  )
  expect(await screen.findByText('does not hold any more: x')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Take it back' })).toBeNull()
  await user.click(screen.getByRole('button', { name: 'Send what is proven today' }))
  await user.click(screen.getByLabelText('A PDF that they keep'))
  await user.click(screen.getByRole('button', { name: 'Send' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toEqual({ way: 'pdf' })
  unmount()
  await show(aPermission({ state: 'withdrawn', deliveries: [] }))
  expect(await screen.findByText('permission withdrawn')).toBeTruthy()
  expect(screen.queryByRole('button', { name: /Send what|Withdraw/ })).toBeNull()
})
