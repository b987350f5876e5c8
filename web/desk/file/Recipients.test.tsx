import { screen, waitFor } from '@testing-library/react'
import type { ChosenRecipient } from '#contract/recipients'
import type { Role } from '#contract/roles'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { aBody, aDelivery, aPermission, someRecipients } from '../../../test/recipients'
import { Recipients } from './Recipients'

async function show(
  permissions: Parameters<typeof someRecipients>,
  roles: Role[] = ['coordinator'],
  chosen: ChosenRecipient[] = [],
) {
  const shown = await showPage(<Recipients file={aFile()} />, {
    ...{ roles, listRecipients: { ...someRecipients(...permissions), chosen } },
    ...{ sendRecord: { done: true }, endRecipientPermission: { done: true }, takeBackRecord: { done: true } },
    ...{ noteRecipientPermission: { id: aPermission().id }, addRecipientPaper: { done: true } },
  } as never)
  await shown.user.click(await screen.findByText(`Recipients (${permissions.length})`))
  return shown
}

test('by a permission on file it is sent; taken back and withdrawn it is with a reason', async () => {
  const { user, sent } = await show([aPermission()])
  await user.click(screen.getByRole('button', { name: 'Send what is proven today' }))
  await user.click(screen.getByLabelText('A digital credential that they keep'))
  await user.click(screen.getByRole('button', { name: 'Send' }))
  await waitFor(() =>
    expect(sent.map(({ name, body }) => [name, body])).toEqual([['sendRecord', { way: 'credential' }]]),
  )
  await user.click(screen.getByRole('button', { name: 'Take it back' }))
  const back = screen.getByRole<HTMLButtonElement>('button', { name: 'Take it back' })
  expect(back.disabled).toBe(true)
  await user.type(screen.getByLabelText(/^Why/), 'Sent to the wrong body')
  await user.click(back)
  await waitFor(() => expect(sent.at(-1)!.name).toBe('takeBackRecord'))
  expect(sent.at(-1)!.params).toMatchObject({ delivery: aDelivery().id })
  await user.click(screen.getByRole('button', { name: 'Withdraw the permission' }))
  await user.type(screen.getByLabelText(/^Why/), 'She rang and wants nothing sent')
  await user.click(screen.getByRole('button', { name: 'Withdraw the permission' }))
  await waitFor(() => expect(sent.at(-1)!.body).toEqual({ reason: 'She rang and wants nothing sent' }))
})

test('one on paper waits for its paper, and nothing is sent by it before', async () => {
  const { user, sent } = await show([
    aPermission({ given: 'paper', state: 'paper to come', hasPaper: false, deliveries: [] }),
  ])
  expect(screen.queryByRole('button', { name: 'Send what is proven today' })).toBeNull()
  const paper = new File(['%PDF'], 'signed.pdf', { type: 'application/pdf' })
  await user.upload(screen.getByLabelText('Signed paper for Rail Inspectorate'), paper)
  await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['addRecipientPaper']))
})

test('a permission on paper is noted with who signed it when', async () => {
  const { user, sent } = await show([])
  await user.click(screen.getByRole('button', { name: 'Note a permission on paper' }))
  await user.type(screen.getByLabelText('Name of the recipient'), 'Night School')
  await user.type(screen.getByLabelText('Mail address'), 'office@night.example')
  await user.type(screen.getByLabelText('What for'), 'Teaching')
  await user.click(screen.getByRole('button', { name: 'Note it' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({ purpose: 'Teaching', signedOn: '2026-11-30', fullName: aFile().candidate.name })
})

test('an auditor sees what was sent and has no button for anything; a hidden name opens no paper', async () => {
  await show([aPermission({ fullName: '', hasPaper: false })], ['auditor'])
  expect(screen.getByText('Signed 29 Nov 2026')).toBeTruthy()
  expect(screen.queryAllByRole('button')).toEqual([])
  expect(screen.queryAllByRole('link')).toEqual([])
})

test('a body that was chosen receives something once nothing is left for it, and says what is', async () => {
  const left = [{ title: 'Diploma seen', why: 'Look at the paper', who: 'desk' as const }]
  const permission = aPermission({ inApplication: true, deliveries: [] })
  const { unmount } = await show([permission], ['coordinator'], [aBody({ permission: permission.id, left })])
  expect(screen.getByText('Diploma seen: Look at the paper')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Send what is proven today' })).toBeNull()
  unmount()
  await show([permission], ['coordinator'], [aBody({ permission: permission.id, state: 'ready' })])
  expect(screen.getByText('ready to be sent')).toBeTruthy()
  expect(screen.getByRole('button', { name: 'Send what is proven today' })).toBeTruthy()
})
