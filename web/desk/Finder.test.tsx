import { screen, waitFor } from '@testing-library/react'
import { useLocation } from 'react-router'
import { showPage } from '../../test/page'
import { Finder } from './Finder'

const id = '0190a3f0-0000-7000-8000-0000000000aa'
const maelle = {
  id,
  candidate: 'Maëlle Dréau',
  vacancy: 'Rescue lead',
  reference: 'VM-H831-TD',
  because: 'TB-2016-7785',
}

const Here = () => <output>{useLocation().pathname}</output>
const show = (more: Parameters<typeof showPage>[1] = {}) =>
  showPage(
    <>
      <Finder open onClose={() => undefined} />
      <Here />
    </>,
    {
      find: ({ query }) => ({ people: query.text?.startsWith('ma') ? [maelle] : [], imported: [], likely: null }),
      ...more,
    },
  )
const field = () => screen.findByRole('combobox')

test('a person is found as it is typed, with why, and gone to by Enter', async () => {
  const { user } = await show()
  await user.type(await field(), 'maelle')
  const option = await screen.findByRole('option', { name: /Maëlle Dréau/ })
  expect(option.textContent).toContain('Rescue lead · TB-2016-7785')
  await user.keyboard('{Enter}')
  await waitFor(() => expect(screen.getByRole('status', { hidden: true }).textContent).toBe(`/desk/today/${id}`))
})

test('whom nobody is called is said so', async () => {
  const { user } = await show()
  await user.type(await field(), 'zzzz')
  expect(await screen.findByText(/Nobody fits/)).toBeTruthy()
})

test('places of the desk are found by what they are for, those of keepers by keepers alone', async () => {
  const { user, unmount } = await show()
  await user.type(await field(), 'cover')
  expect(await screen.findByRole('option', { name: /Paper tray/ })).toBeTruthy()
  unmount()
  const other = await show({ roles: ['assessor'] })
  await other.user.type(await field(), 'cover')
  await waitFor(() => expect(screen.queryByRole('option', { name: /Paper tray/ })).toBeNull())
})
