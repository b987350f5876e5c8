import { screen, waitFor } from '@testing-library/react'
import { showPage } from '../../test/page'
import { VouchPage } from './VouchPage'

const token = 'k'.repeat(43)
const asked = {
  ...{ state: 'asked' as const, operator: 'Vallorne Mountain Lines', contact: 'people@vallorne.example' },
  ...{
    candidate: 'Oskar Fjellheim',
    vacancy: 'Rope-access inspector',
    name: 'Runa Berg',
    relation: null,
    doneAt: null,
  },
}
const show = (more: object = {}) =>
  showPage(<VouchPage />, {
    roles: [],
    at: `/vouch/${token}`,
    path: '/vouch/:token?',
    readVouching: asked,
    vouch: { receivedAt: '2026-11-28T08:00:00.000Z', receipt: 'VO-1234' },
    ...more,
  } as Parameters<typeof showPage>[1])

test('says whom it is about and for what, with one’s name there already', async () => {
  await show()
  expect(await screen.findByRole('heading', { name: /Oskar Fjellheim/ })).toBeTruthy()
  expect(screen.getByText(/Rope-access inspector/)).toBeTruthy()
  expect(screen.getByLabelText<HTMLInputElement>('Your name').value).toBe('Runa Berg')
})

test('what is missing is named beside each field, and nothing goes', async () => {
  const { user, sent } = await show()
  await user.click(await screen.findByRole('button', { name: 'Send my answer' }))
  expect((await screen.findAllByText('This is needed.')).length).toBe(4)
  await user.type(screen.getByLabelText(/What have you seen/), 'Too short')
  expect(screen.getAllByText('This is needed.')).toHaveLength(4)
  await user.type(screen.getByLabelText(/What have you seen/), ' to say what somebody has seen.')
  expect(screen.getAllByText('This is needed.')).toHaveLength(3)
  expect(sent).toEqual([])
})

test('an answer goes once, with what was said, and is received with a number', async () => {
  const { user, sent } = await show()
  await user.type(await screen.findByLabelText(/Since when/), 'Aug 2021')
  await user.click(screen.getByLabelText('every week', { exact: false }))
  await user.click(screen.getByLabelText('Yes, with support at first'))
  await user.type(screen.getByLabelText(/What have you seen/), 'Led the rescue drill twice, calm both times.')
  await user.type(screen.getByLabelText(/Your position/), 'Rope lead')
  await user.click(screen.getByRole('button', { name: 'Send my answer' }))
  expect(await screen.findByText('VO-1234')).toBeTruthy()
  expect(sent).toMatchObject([
    {
      name: 'vouch',
      params: { token },
      body: {
        ...{ knownFrom: '2021-08', knownTo: 'present', worked: 'every week', trust: 'with support' },
        ...{ respondent: 'Runa Berg', capacity: 'Rope lead' },
      },
    },
  ])
})

test('without a connection what was written stays, and goes on the second try', async () => {
  let connected = false
  const { user } = await show({
    vouch: () => (connected ? { receivedAt: '2026-11-28T08:00:00.000Z', receipt: 'VO-9' } : 'no connection'),
  })
  await user.type(await screen.findByLabelText(/Since when/), '2021')
  await user.click(screen.getByLabelText('rarely', { exact: false }))
  await user.click(screen.getByLabelText('No'))
  await user.type(screen.getByLabelText(/What have you seen/), 'Was not there when it mattered, twice.')
  await user.click(screen.getByRole('button', { name: 'Send my answer' }))
  expect((await screen.findByRole('alert')).textContent).toMatch(/connection/i)
  expect(screen.getByLabelText<HTMLTextAreaElement>(/What have you seen/).value).toContain('twice')
  connected = true
  await user.click(screen.getByRole('button', { name: 'Send my answer' }))
  expect(await screen.findByText('VO-9')).toBeTruthy()
})

test.each([
  ['done', /answered already/],
  ['called off', /no longer asked/],
] as const)('a vouching that is %s says so and takes nothing', async (state, words) => {
  await show({ readVouching: { ...asked, state } })
  expect(await screen.findByRole('heading', { name: words })).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Send my answer' })).toBeNull()
})

test('a link that leads nowhere says what may have happened to it', async () => {
  await show({ readVouching: { problem: { status: 404 } } })
  expect(await screen.findByRole('heading', { name: /leads nowhere/ })).toBeTruthy()
})

test('whoever has only the reference and the short code finds the question by them', async () => {
  const { user, sent, where } = await show({ findVouching: { token }, at: '/vouch' })
  await user.type(await screen.findByLabelText('Reference'), 'VO-7')
  const go = screen.getByRole<HTMLButtonElement>('button', { name: 'Go on' })
  expect(go.disabled).toBe(true)
  await user.type(screen.getAllByRole('textbox').at(-1)!, '4711')
  await user.click(go)
  await waitFor(() => expect(where()).toBe(`/vouch/${token}`))
  expect(sent).toMatchObject([{ body: { reference: 'VO-7', code: '4711' } }])
})
