import { screen, waitFor } from '@testing-library/react'
import { sessionOf, showPage } from '../../../test/page'
import { whenToldByOtherWindow, windowDone } from '../../otherWindow'
import { SignIn } from '../SignIn'
import { Join } from './Join'
import { ProviderDone, ProviderReturn } from './ProviderReturn'

const nobody = { ...sessionOf(), account: null, provider: 'Vallorne Identity' }
const unreachable = {
  problem: { status: 502, code: 'provider-unreachable', title: 'Vallorne Identity does not answer.' },
}

test.each([
  ['/sign-in?next=%2Fdesk%2Fsources', { next: '/desk/sources' }],
  // Candidates have no account there.
  ['/sign-in?next=%2Fme', {}],
])('from %s one leaves for the provider, and hears where it does not answer', async (at, body) => {
  const { user, sent } = await showPage(<SignIn />, { at, readSession: nobody, leaveForProvider: unreachable })
  await user.click(await screen.findByRole('button', { name: /Vallorne Identity/ }))
  await screen.findByText('Vallorne Identity does not answer.')
  expect(sent).toMatchObject([{ name: 'leaveForProvider', body }])
})

test('without a provider nothing is said of one', async () => {
  await showPage(<SignIn />, { at: '/sign-in', readSession: { ...nobody, provider: null } })
  await screen.findByRole('button', { name: 'Sign in' })
  expect(screen.queryByText(/work here/i)).toBeNull()
})

test('somebody invited who comes through the provider chooses no password', async () => {
  const { user, sent } = await showPage(<Join />, {
    at: `/join/${'t'.repeat(43)}`,
    path: '/join/:token',
    readSession: nobody,
    readInvitation: {
      ...{ name: 'Emil Straub', mail: 'emil@vallorne.example', roles: ['coordinator'] },
      ...{ organisation: 'Vallorne Mountain Lines', throughProvider: 'Vallorne Identity' },
    },
    leaveForProvider: unreachable,
  })
  await user.click(await screen.findByRole('button', { name: /Vallorne Identity/ }))
  await screen.findByText('Vallorne Identity does not answer.')
  expect(screen.queryByLabelText(/password/i)).toBeNull()
  expect(sent.map(({ name }) => name)).toEqual(['leaveForProvider'])
})

describe('back from the provider', () => {
  const back = (returnFromProvider: object) =>
    showPage(<ProviderReturn />, {
      at: '/sign-in/return?state=s&code=c',
      readSession: nobody,
      returnFromProvider,
    } as Parameters<typeof showPage>[1])
  const signedIn = { ...sessionOf('coordinator'), next: '/desk/sources', confirmed: false }

  test.each([
    ['to where one was going', signedIn, '/desk/sources'],
    ['to Today', { ...signedIn, next: null }, '/desk/today'],
    ['nowhere outside', { ...signedIn, next: '//elsewhere.example' }, '/desk/today'],
    ['to the end of the window it was for', { ...signedIn, next: null, confirmed: true }, windowDone],
  ])('leads %s', async (_, returned, to) => {
    const { where, sent } = await back(returned)
    await waitFor(() => expect(where()).toBe(to))
    expect(sent).toMatchObject([{ name: 'returnFromProvider', body: { search: '?state=s&code=c' } }])
  })

  test('says what went wrong, with a way on', async () => {
    await back({ problem: { status: 403, code: 'no-role', title: 'Vallorne Identity gives you no role here.' } })
    await screen.findByText('Vallorne Identity gives you no role here.')
    expect(screen.getByRole('link', { name: /again/i }).getAttribute('href')).toBe('/sign-in')
  })
})

test('the window that was for signing in tells the page it was opened from', async () => {
  let told = 0
  const end = whenToldByOtherWindow(() => {
    told += 1
  })
  await showPage(<ProviderDone />, { readSession: nobody })
  await waitFor(() => expect(told).toBe(1))
  end()
})
