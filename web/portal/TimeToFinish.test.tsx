import { cleanup, screen } from '@testing-library/react'
import { showPage } from '../../test/page'
import { TimeToFinish } from './TimeToFinish'

const id = '0190a3f0-0000-7000-8000-000000000001'
const show = (over: object, answers: object = {}) =>
  showPage(
    <TimeToFinish
      id={id}
      completion={{ endsOn: '2026-12-11', setAside: false, paysFirst: false, extraDays: 10, ...over }}
    />,
    {
      roles: ['candidate'],
      ...answers,
    } as never,
  )

test('one more stretch of days takes a reason; where there is none any more, it is not offered', async () => {
  const { user, sent, unmount } = await show({}, { extendTime: { done: true } })
  expect(screen.getByText(/To be finished by 11 Dec 2026/)).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'I need 10 days more' }))
  const take = screen.getByRole<HTMLButtonElement>('button', { name: 'Take more time' })
  expect(take.disabled).toBe(true)
  await user.type(screen.getByLabelText('Why you need 10 days more'), 'My papers are abroad')
  await user.click(take)
  expect(sent).toMatchObject([{ name: 'extendTime', params: { id }, body: { reason: 'My papers are abroad' } }])
  unmount()
  await show({ extraDays: 0 })
  expect(screen.queryByRole('button')).toBeNull()
})

test('what was set aside is taken up again in one act, or by paying; what became of it meanwhile is said', async () => {
  const { user, sent } = await show(
    { setAside: true },
    {
      restoreApplication: {
        problem: { status: 409, code: 'pay-first', title: 'It is taken up again once it is paid.' },
      },
    },
  )
  await user.click(screen.getByRole('button', { name: 'Take it up again' }))
  expect(sent).toMatchObject([{ name: 'restoreApplication', params: { id } }])
  expect((await screen.findByRole('alert')).textContent).toContain('once it is paid')
  cleanup()
  await show({ setAside: true, paysFirst: true })
  expect(screen.getByText('It goes on by itself once what is owed is paid.')).toBeTruthy()
  expect(screen.queryByRole('button')).toBeNull()
})
