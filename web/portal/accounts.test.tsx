import { screen, waitFor } from '@testing-library/react'
import { showPage } from '../../test/page'
import { SignIn } from './SignIn'
import { SignUp } from './SignUp'

describe('an account', () => {
  const fill = async (
    user: Awaited<ReturnType<typeof showPage>>['user'],
    password: string,
    mail = 'ida@mail.example',
  ) => {
    await user.type(await screen.findByLabelText('Your name'), 'Ida Innerberg')
    await user.type(screen.getByLabelText('Mail address'), mail)
    await user.type(screen.getByLabelText('Password'), password)
    await user.click(screen.getByRole('button', { name: /account/i }))
  }

  test('is made, and the mailbox named that was written to', async () => {
    const { user, sent } = await showPage(<SignUp />, { roles: [], signUp: { done: true } })
    await fill(user, 'a-long-enough-secret')
    expect(await screen.findByText(/ida@mail\.example/)).toBeTruthy()
    expect(sent[0]?.body).toMatchObject({ name: 'Ida Innerberg', mail: 'ida@mail.example' })
  })

  test('with a short password, or no address, is told so at the field before anything is sent', async () => {
    const { user, sent } = await showPage(<SignUp />, { roles: [], signUp: { done: true } })
    await fill(user, 'short', 'ida')
    expect(await screen.findByText('At least 12 characters are needed.')).toBeTruthy()
    expect(screen.getByText('This is not a mail address.')).toBeTruthy()
    expect(sent).toEqual([])
    expect(screen.getByLabelText<HTMLInputElement>('Your name').value).toBe('Ida Innerberg')
  })
})

describe('signing in', () => {
  test('asks for a code only where one is needed, and sends it with the same mail and password', async () => {
    const { user, sent } = await showPage(<SignIn />, {
      roles: [],
      signIn: { problem: { status: 401, code: 'code-needed', title: 'A code is needed.' } },
    })
    await user.type(await screen.findByLabelText('Mail address'), 'ines@vallorne.example')
    await user.type(screen.getByLabelText('Password'), 'glacier-lantern-42')
    expect(screen.queryByLabelText(/^Code/)).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Sign in' }))
    await user.type(await screen.findByLabelText(/^Code/), '123456')
    await user.click(screen.getByRole('button', { name: 'Sign in' }))
    await waitFor(() => expect(sent).toHaveLength(2))
    expect(sent[1]?.body).toEqual({ mail: 'ines@vallorne.example', password: 'glacier-lantern-42', code: '123456' })
  })
})
