import { screen } from '@testing-library/react'
import { useState } from 'react'
import { showPage } from '../../test/page'
import { aBody, aDelivery } from '../../test/recipients'
import { Deliveries } from './Deliveries'
import { HowToSend, howOf, type Sending, usualSending } from './HowToSend'
import { recipientState } from './recipientState'
import { freshWish, isWhole } from './WhomAndWhat'

const show = (over: Parameters<typeof aDelivery>[0]) =>
  showPage(
    <Deliveries
      deliveries={[aDelivery(over)]}
      addressOfReport={(id) => `/reports/${id}`}
      takeBack={() => <p>Are you sure?</p>}
    />,
    { roles: ['candidate'] } as never,
  )

describe('what a recipient received', () => {
  test.each([
    ['open', 'holds', true],
    ['link ended', 'link has ended', true],
    ['ended', 'time has ended', false],
    ['revoked', 'does not hold any more: decided anew', false],
    ['taken back', 'taken back: decided anew', false],
  ] as const)('%s: %s', async (state, words, canBeTakenBack) => {
    await show({ state, because: 'decided anew' })
    expect(screen.getByText(words)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Take it back' }) !== null).toBe(canBeTakenBack)
  })

  test('of a link it says until which day it is open and whether it was read; of a file neither can be known', async () => {
    const { unmount } = await show({})
    // It ends with the 29th: at midnight of the 30th it is closed.
    expect(screen.getByText(/as a link, open until 29 Dec 2026/)).toBeTruthy()
    expect(screen.getByText(/Not opened yet/)).toBeTruthy()
    unmount()
    await show({ way: 'credential', linkEndsAt: null })
    expect(screen.getByText(/as a digital credential/)).toBeTruthy()
    expect(screen.queryByText(/opened/i)).toBeNull()
  })

  test('it can be read, and what taking it back means is asked first', async () => {
    const { user } = await show({})
    const read = screen.getByRole('link', { name: 'See what was sent' })
    expect(read.getAttribute('href')).toBe(`/reports/${aDelivery().reportId}`)
    await user.click(screen.getByRole('button', { name: 'Take it back' }))
    expect(screen.getByText('Are you sure?')).toBeTruthy()
  })
})

test('the day of a link is asked for where it is a link, and goes with nothing else', async () => {
  let last: Sending = usualSending('2026-11-30')
  function Held() {
    const [sending, setSending] = useState(last)
    last = sending
    return <HowToSend name="way" sending={sending} onChange={setSending} later />
  }
  const { user } = await showPage(<Held />)
  expect(howOf(last)).toEqual({ way: 'link', linkEndsOn: '2026-12-30' })
  await user.click(screen.getByLabelText('A PDF that they keep'))
  expect(screen.queryByLabelText('Last day of the link')).toBeNull()
  expect(howOf(last)).toEqual({ way: 'pdf' })
  await user.click(screen.getByLabelText(/^Not yet/))
  expect(howOf(last)).toBeNull()
})

test('a wish is whole once somebody, a purpose and something to tell of are named', () => {
  const fresh = freshWish({ today: '2026-11-30', claims: [{ id: 'a', title: 'A', rung: 'confirmed' }] }, 'de')
  const whole = { ...fresh, recipient: { ...fresh.recipient, name: 'Body', mail: 'a@b.example' }, purpose: 'Register' }
  expect([isWhole(fresh), isWhole(whole), isWhole({ ...whole, claims: [] })]).toEqual([false, true, false])
  expect([fresh.claims, fresh.through, fresh.recipient.language]).toEqual([['a'], '2027-02-28', 'de'])
})

test('a body that was chosen says where it stands; what it received that holds no more comes before that it was sent', () => {
  const left = [{ title: 'A', why: 'B', who: 'desk' as const }]
  expect(recipientState(aBody({ left }))).toBe('1 thing still to be proven')
  expect(recipientState(aBody({ state: 'to sign' }))).toBe('permission to be signed')
  expect(recipientState(aBody({ state: 'sent', sent: aDelivery({ state: 'link ended' }) }))).toBe('link has ended')
})
