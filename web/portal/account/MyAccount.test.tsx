import { screen, waitFor, within } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { MyAccount } from './MyAccount'

const account = {
  ...{ name: 'Ines Caldwell', mail: 'ines@vallorne.example', codesOn: false, recoveryCodesLeft: 0, sessions: 1 },
  newMail: null as string | null,
}
const show = (more: object = {}, over: object = {}) =>
  showPage(<MyAccount />, { readAccount: { ...account, ...over }, ...more } as Parameters<typeof showPage>[1])
const part = async (title: string) => within((await screen.findByRole('heading', { name: title })).parentElement!)

test('another password is taken with the one that is, and what is wrong with it stands beside it', async () => {
  let fine = false
  const { user, sent } = await show({
    changePassword: () =>
      fine
        ? { done: true }
        : {
            problem: {
              status: 422,
              code: 'invalid',
              title: 'x',
              faults: [{ pointer: '/body/next', message: 'Too easy to guess.' }],
            },
          },
  })
  const password = await part('Password')
  const change = password.getByRole<HTMLButtonElement>('button', { name: 'Change it' })
  expect(change.disabled).toBe(true)
  await user.type(password.getByLabelText('New password'), 'password1234')
  await user.type(password.getByLabelText('Your password'), 'glacier-lantern-42')
  await user.click(change)
  expect(await password.findByText('Too easy to guess.')).toBeTruthy()
  fine = true
  await user.click(change)
  expect((await password.findByRole('status')).textContent).toMatch(/changed/)
  expect(password.getByLabelText<HTMLInputElement>('New password').value).toBe('')
  expect(sent.at(-1)?.body).toEqual({ password: 'glacier-lantern-42', next: 'password1234' })
})

test('one-time codes are set up by a code the app shows, and the recovery codes are shown once', async () => {
  const { user, sent } = await show({
    beginOneTimeCodes: { secret: 'JBSWY3DPEHPK3PXP', address: 'otpauth://totp/x?secret=JBSWY3DPEHPK3PXP' },
    confirmOneTimeCodes: { recoveryCodes: ['aaaa-bbbb', 'cccc-dddd'] },
  })
  const codes = await part('One-time codes')
  await user.type(codes.getByLabelText('Your password'), 'glacier-lantern-42')
  await user.click(codes.getByRole('button', { name: 'Set them up' }))
  expect(await screen.findByText('JBSW Y3DP EHPK 3PXP')).toBeTruthy()
  await user.type(screen.getByLabelText('The code it shows now'), '123456')
  await user.click(screen.getByRole('button', { name: 'Switch them on' }))
  const list = await screen.findByRole('list', { name: 'Your recovery codes' })
  expect(
    within(list)
      .getAllByRole('listitem')
      .map(({ textContent }) => textContent),
  ).toEqual(['aaaa-bbbb', 'cccc-dddd'])
  await user.click(screen.getByRole('button', { name: 'I have kept them' }))
  expect(screen.queryByRole('list', { name: 'Your recovery codes' })).toBeNull()
  expect(sent.map(({ name }) => name)).toEqual(['beginOneTimeCodes', 'confirmOneTimeCodes'])
})

test('codes that are on say how many recovery codes are left, and go off by password and code', async () => {
  const { user, sent } = await show({ dropOneTimeCodes: { done: true } }, { codesOn: true, recoveryCodesLeft: 1 })
  const codes = await part('One-time codes')
  expect(codes.getByText(/One recovery code is left|1 recovery code/i)).toBeTruthy()
  await user.type(codes.getByLabelText(/^Code of your authenticator/), '654321')
  await user.type(codes.getByLabelText('Your password'), 'glacier-lantern-42')
  await user.click(codes.getByRole('button', { name: 'Switch them off' }))
  await waitFor(() => expect(sent).toMatchObject([{ body: { password: 'glacier-lantern-42', code: '654321' } }]))
})

test('a move to another address says which link it waits for', async () => {
  await show({}, { newMail: 'new@vallorne.example' })
  const mail = await part('Mail address')
  expect(mail.getByRole('status').textContent).toContain('new@vallorne.example')
  expect(mail.getByRole('status').textContent).toContain('ines@vallorne.example')
})

test('signing out elsewhere is there where there is an elsewhere', async () => {
  const { user, sent } = await show({ signOutElsewhere: { done: true } }, { sessions: 3 })
  await user.click(await screen.findByRole('button', { name: 'Sign out everywhere else' }))
  await waitFor(() => expect(sent.map(({ name }) => name)).toEqual(['signOutElsewhere']))
})

test('a colleague finds no way to take their data along or to be erased', async () => {
  await show()
  await part('Password')
  expect(screen.queryByRole('button', { name: 'Sign out everywhere else' })).toBeNull()
  expect(screen.queryByRole('heading', { name: /data/i })).toBeNull()
})
