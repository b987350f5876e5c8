import { screen, waitFor } from '@testing-library/react'
import type { NoticeChoice } from '#contract/notices'
import { usualChannels } from '#core/messages/notices'
import { showPage } from '../../../test/page'
import { Notices } from './Notices'
import { StopGeneral } from './StopGeneral'

const choice: NoticeChoice = {
  channels: usualChannels as never,
  phone: null,
  waitingFor: null,
  noPassingOn: false,
  version: 4,
}
const show = (over: Partial<NoticeChoice> = {}, more: object = {}) =>
  showPage(<Notices />, {
    roles: ['candidate'],
    readNoticeChoice: { ...choice, ...over },
    saveNoticeChoice: { version: 5 },
    sendPhoneCode: { phone: '+436645550101' },
    confirmPhone: { done: true },
    removePhone: { done: true },
    ...more,
  } as Parameters<typeof showPage>[1])
const box = (name: string) => screen.getByRole<HTMLInputElement>('checkbox', { name })

test('the last way to hear of one’s application cannot be taken away, and no text goes without a number', async () => {
  const { user, sent } = await show()
  expect(box('What you have to do, By mail').disabled).toBe(true)
  expect(box('What you have to do, By text message').disabled).toBe(true)
  await user.click(box('Anything else, By mail'))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({ channels: { ...usualChannels, general: [] }, version: 4 })
  await user.click(screen.getByRole('checkbox', { name: /^Do not pass my details on/ }))
  await waitFor(() => expect(sent.at(-1)!.body).toMatchObject({ noPassingOn: true, channels: usualChannels }))
})

test('with a number each kind can come by text message, or by both', async () => {
  const { user, sent } = await show({ phone: '+436645550101' })
  await user.click(box('What you have to do, By text message'))
  await waitFor(() => expect(sent[0]?.body).toMatchObject({ channels: { 'to do': ['mail', 'text'] } }))
  await user.click(screen.getByRole('button', { name: 'Remove' }))
  await waitFor(() => expect(sent.at(-1)?.name).toBe('removePhone'))
})

test('a number is sent a code, and a wrong code is said beside its field', async () => {
  const { user, sent, unmount } = await show()
  await user.type(screen.getByLabelText('Mobile number'), '0664 5550101')
  await user.click(screen.getByRole('button', { name: 'Send a code' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'sendPhoneCode', body: { phone: '0664 5550101' } }))
  unmount()
  const faults = [{ pointer: '/body/code', message: 'This is not the code.' }]
  const waiting = await show(
    { waitingFor: '+436645550101' },
    { confirmPhone: { problem: { status: 422, code: 'invalid', title: 'x', faults } } },
  )
  expect(screen.getByRole('status').textContent).toContain('+436645550101')
  await waiting.user.type(screen.getByLabelText('Code from the text message'), '123456')
  await waiting.user.click(screen.getByRole('button', { name: 'Confirm the number' }))
  expect(await screen.findByText('This is not the code.')).toBeTruthy()
  await waiting.user.click(screen.getByRole('button', { name: 'Another number' }))
  expect(screen.getByLabelText('Mobile number')).toBeTruthy()
})

test('the link below a general mailing ends them with one press', async () => {
  const { user, sent } = await showPage(<StopGeneral />, {
    stopGeneralMail: { done: true },
    at: `/notices/${'t'.repeat(60)}`,
    path: '/notices/:token',
  })
  await user.click(screen.getByRole('button', { name: 'Stop them' }))
  expect((await screen.findByRole('status')).textContent).toMatch(/^Done/)
  expect(sent[0]).toMatchObject({ name: 'stopGeneralMail', params: { token: 't'.repeat(60) } })
})
